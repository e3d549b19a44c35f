package view

import (
	"inktally/core/plan"
	"inktally/internal/wording"
)

// Plan is what all pages of a client must have, in the order of work.
type Plan struct {
	Hours   float64    `json:"hours" doc:"To spend on this client's targets"`
	Pages   []PlanPage `json:"pages" doc:"Those that there are, then those to make"`
	Targets []Target   `json:"targets"`
	// Fit, Gain and Worth are of what stands above the cut line.
	Fit      int      `json:"fit" doc:"Targets above the cut line"`
	Open     int      `json:"open" doc:"Targets that are not dropped"`
	Gain     float64  `json:"gain" doc:"Above the cut line, in the unit; an estimate"`
	All      float64  `json:"all" doc:"Of all open targets, in the unit; an estimate"`
	Worth    float64  `json:"worth" doc:"Of the gain above the cut line in money a month, 0 if it is not known"`
	Money    string   `json:"money" doc:"What money is written with"`
	Unit     GainUnit `json:"unit"`
	UnitNote string   `json:"unit_note" doc:"What gains are, in a sentence"`
	Minutes  float64  `json:"minutes" doc:"Of all open targets"`
	Left     float64  `json:"left" doc:"Minutes that are left of the hours"`
	Needs    float64  `json:"needs" doc:"Where nothing fits: the minutes of the first target with what it depends on"`
	Done     []Done   `json:"done" doc:"What was done between the last two readings of the client's pages"`
	Notices  []Notice `json:"notices" doc:"What changed between the last two readings of the rivals' pages that a word target may have changed by"`
	Idle     []Idle   `json:"idle" doc:"What was said of lines that are no longer in the plan: it is kept"`
	Telling  []string `json:"telling" doc:"The ids of the open targets in the order of telling"`
	Waiting  Waiting  `json:"waiting" doc:"What is unsure: it makes no target until a word of it is judged"`
	Recap    []Recap  `json:"recap" doc:"The whole plan in up to three imperatives, most gain first"`
	Folded   []Fold   `json:"folded" doc:"Lines that bring next to nothing, by page"`
}

// Recap is a front of the whole plan as an imperative.
type Recap struct {
	Fronts   []FrontCode `json:"fronts" doc:"What it is about"`
	Says     string      `json:"says"`
	Evidence string      `json:"evidence"`
	Now      int         `json:"now" doc:"Words that the page has which most of its words are for"`
	Words    int         `json:"words" doc:"To write"`
	Slots    []SlotCode  `json:"slots" doc:"Where phrases are to be placed"`
	Gain     float64     `json:"gain" doc:"In the unit; an estimate"`
	Minutes  float64     `json:"minutes"`
	Targets  []string    `json:"targets" doc:"The ids of its lines, in the order of work"`
}

// Fold is the small lines of a page.
type Fold struct {
	Page    string   `json:"page" doc:"The key of the page"`
	Says    string   `json:"says"`
	Gain    float64  `json:"gain" doc:"In the unit; an estimate"`
	Minutes float64  `json:"minutes"`
	Targets []string `json:"targets" doc:"The ids of its lines"`
}

// Waiting is what the phrases would add that nothing is asked for until a verdict is given.
type Waiting struct {
	Families int     `json:"families" doc:"How many families wait"`
	Gain     float64 `json:"gain" doc:"What they would bring, in visits a month; an estimate"`
	Volume   float64 `json:"volume" doc:"Searches a month of all of them, as far as they count"`
	Word     string  `json:"word" doc:"The word that decides about most of it"`
}

// Notice is what is to be known of a page's targets.
type Notice struct {
	Page string `json:"page" doc:"The key of the page"`
	Says string `json:"says"`
}

// Idle is what was said of a line that is no longer in the plan.
type Idle struct {
	Page string `json:"page" doc:"The key of the page"`
	Key  string `json:"key" doc:"That of the target or part"`
	Says string `json:"says" doc:"What it was about, and what was said"`
}

// PlanPage is a page of a plan.
type PlanPage struct {
	Key  string   `json:"key" doc:"Names it in the plan; stays the same"`
	Page PageInfo `json:"page"`
}

// Target is one sitting's work on a page, as people read it.
type Target struct {
	ID   string     `json:"id" doc:"Names it among all of the client's"`
	Page string     `json:"page" doc:"The key of its page"`
	Key  string     `json:"key" doc:"Names it on its page; the same when the page is measured again"`
	Kind TargetKind `json:"kind"`
	Name string     `json:"name" doc:"The kind in words"`
	// Front is what it is told by to an owner.
	Front  FrontCode `json:"front"`
	Family string    `json:"family" doc:"The key of the family that is placed, empty for none"`
	// Before, Pencil and After are the instruction.
	Before   string     `json:"before" doc:"The instruction, up to what is to be written"`
	Pencil   string     `json:"pencil" doc:"What is to be written on the page"`
	After    string     `json:"after" doc:"The rest of the instruction"`
	Evidence string     `json:"evidence" doc:"Why: what stands there now and what rivals have"`
	Slots    []SlotCode `json:"slots" doc:"Where phrases are to be placed"`
	Words    int        `json:"words" doc:"To write, 0 for none"`
	Gain     float64    `json:"gain" doc:"In the unit, 0 if no rule gives one; an estimate"`
	Minutes  float64    `json:"minutes"`
	First    bool       `json:"first" doc:"It must be put right before all others"`
	Fits     bool       `json:"fits" doc:"Above the cut line"`
	Needs    []string   `json:"needs" doc:"The ids of targets that it depends on"`
	Short    bool       `json:"short" doc:"Above the cut line with its title and h1 alone: the rest does not fit"`
	OwnID    int64      `json:"own_id" doc:"Of one that was added by hand, else 0"`
	Parts    []Part     `json:"parts"`
	Choice   Choice     `json:"choice"`
}

// Part is one line of a target, which can be changed or dropped by itself.
type Part struct {
	Key     string   `json:"key" doc:"Names it on its page; the same when the page is measured again"`
	Kind    PartKind `json:"kind"`
	Name    string   `json:"name" doc:"The kind in words"`
	Before  string   `json:"before" doc:"The instruction, up to what is to be written"`
	Pencil  string   `json:"pencil" doc:"What is to be written on the page"`
	After   string   `json:"after" doc:"The rest of the instruction"`
	Note    string   `json:"note" doc:"What there is now"`
	Gain    float64  `json:"gain" doc:"In the unit; an estimate"`
	Minutes float64  `json:"minutes"`
	Choice  Choice   `json:"choice"`
}

// Choice is what the user said of a target.
type Choice struct {
	State  TargetState `json:"state"`
	Value  string      `json:"value,omitempty" maxLength:"2000" doc:"What a changed part says instead"`
	Reason string      `json:"reason,omitempty" maxLength:"200"`
}

// Core returns the choice as the rules have it.
func (c Choice) Core() plan.Choice {
	return plan.Choice{State: plan.State(c.State), Value: c.Value, Reason: c.Reason}
}

func choiceOf(c plan.Choice) Choice {
	return Choice{TargetState(c.State), c.Value, c.Reason}
}

// refs returns the names of targets.
func refs(list []plan.Ref) []string {
	out := make([]string, len(list))
	for i, r := range list {
		out[i] = r.String()
	}
	return out
}

// TargetOf shows a target.
func TargetOf(w wording.Teller, x *plan.Target, fits bool) Target {
	says := w.Instruct(x)
	out := Target{ID: x.Ref().String(), Page: x.Page, Key: x.Key, Kind: TargetKind(x.Kind), Name: wording.Kind(x.Kind),
		Front:  FrontCode(x.Kind.Front()),
		Family: x.Family, Before: says.Before, Pencil: says.Pencil, After: says.After, Evidence: w.Evidence(x),
		Slots: []SlotCode{},
		Gain:  x.Gain, Minutes: x.Minutes, First: x.First, Fits: fits, Needs: refs(x.Needs), Parts: []Part{},
		Choice: choiceOf(x.Choice)}
	for i := range x.Parts {
		p := &x.Parts[i]
		said := w.Part(x, p)
		out.Parts = append(out.Parts, Part{Key: p.Key, Kind: PartKind(p.Kind), Name: wording.PartName(p.Kind),
			Before: said.Before, Pencil: said.Pencil,
			After: said.After, Note: said.Note, Gain: p.Gain, Minutes: p.Minutes, Choice: choiceOf(p.Choice)})
		if p.Choice.State == plan.Dropped {
			continue
		}
		out.Words += p.Words
		if rule := plan.PartRuleOf(p.Kind); rule.Weight != "" && rule.Kind != plan.Words {
			out.Slots = append(out.Slots, SlotCode(rule.Slot.String()))
		}
	}
	return out
}

// PartOf shows a part in words.
func PartOf(p *plan.Part, says wording.PartSays) Part {
	return Part{Key: p.Key, Kind: PartKind(p.Kind), Name: wording.PartName(p.Kind), Before: says.Before,
		Pencil: says.Pencil, After: says.After, Note: says.Note, Gain: p.Gain, Minutes: p.Minutes,
		Choice: choiceOf(p.Choice)}
}

// Why is the sum that made the figures of a target or of one of its parts.
type Why struct {
	Title string    `json:"title" doc:"What is explained"`
	Lines []WhyLine `json:"lines"`
}

// WhyLine is one line of such a sum.
type WhyLine struct {
	Says   string `json:"says"`
	Value  string `json:"value"`
	Rule   string `json:"rule" doc:"The number of the rule, empty for none"`
	Figure string `json:"figure" doc:"The key of the figure of the yardstick, empty for none"`
	Sum    bool   `json:"sum" doc:"It is the result of the lines before it"`
}

// WhyLinesOf shows lines of a sum.
func WhyLinesOf(lines []wording.WhyLine) []WhyLine {
	out := make([]WhyLine, 0, len(lines))
	for _, l := range lines {
		out = append(out, WhyLine(l))
	}
	return out
}

// PlanChange is what a change of figures would change in a plan.
type PlanChange struct {
	Unit    GainUnit       `json:"unit"`
	Gain    float64        `json:"gain" doc:"Above the cut line: by how much it would change"`
	Minutes float64        `json:"minutes" doc:"Of all open targets: by how much they would change"`
	Fit     int            `json:"fit" doc:"How many more targets would fit"`
	Targets []TargetChange `json:"targets" doc:"Those that would change, most gain first"`
}

// TargetChange is how a target would change.
type TargetChange struct {
	ID      string  `json:"id"`
	Page    string  `json:"page"`
	Says    string  `json:"says" doc:"What it would ask for, empty if it would be gone"`
	Was     string  `json:"was" doc:"What it asks for, empty if it would be new"`
	Gain    float64 `json:"gain" doc:"By how much it would change"`
	Minutes float64 `json:"minutes" doc:"By how much they would change"`
	New     bool    `json:"new"`
	Gone    bool    `json:"gone"`
	Fits    bool    `json:"fits" doc:"It would stand above the cut line"`
	Fitted  bool    `json:"fitted" doc:"It stands above the cut line"`
}

// Preset is a set of changes of figures for another habit.
type Preset struct {
	Says    string            `json:"says"`
	Changes map[string]string `json:"changes"`
}

// Done is what was asked for before the last measuring and is there now.
type Done struct {
	Page string   `json:"page" doc:"The key of its page"`
	Key  string   `json:"key" doc:"That of the part"`
	Kind PartKind `json:"kind"`
	Name string   `json:"name" doc:"What kind of part it was"`
	Says string   `json:"says" doc:"What it asked for"`
	Note string   `json:"note" doc:"What there was before"`
	Gain float64  `json:"gain" doc:"That it was promised to bring; an estimate"`
	// Words are those that were written, Minutes what it takes by the rules.
	Words   int     `json:"words" doc:"That were written, 0 for none"`
	Minutes float64 `json:"minutes" doc:"That it takes by the rules"`
}

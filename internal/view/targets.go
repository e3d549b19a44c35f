package view

import (
	"time"

	"inktally/core/target"
	"inktally/internal/wording"
)

// Targets is what a page must have, in the order in which it is worth doing.
type Targets struct {
	Page     PageInfo `json:"page"`
	Hours    float64  `json:"hours" doc:"To spend on this client's targets"`
	Targets  []Target `json:"targets"`
	Fit      int      `json:"fit" doc:"Targets above the cut line"`
	Gain     float64  `json:"gain" doc:"Above the cut line, in the unit; an estimate"`
	Unit     GainUnit `json:"unit"`
	UnitNote string   `json:"unit_note" doc:"What gains are, in a sentence"`
	Minutes  float64  `json:"minutes" doc:"Of all open targets"`
}

// Target is one thing a page must have, as people read it.
type Target struct {
	Key    string     `json:"key" doc:"The same when the page is measured again"`
	Kind   TargetKind `json:"kind"`
	Name   string     `json:"name" doc:"The kind in words"`
	Family string     `json:"family" doc:"The key of the family that is placed, empty for none"`
	Phrase string     `json:"phrase" doc:"The lead of that family, as it would stand in a text"`
	// Before, Pencil and After are the instruction.
	Before     string      `json:"before" doc:"The instruction, up to what is to be written"`
	Pencil     string      `json:"pencil" doc:"What is to be written on the page"`
	After      string      `json:"after" doc:"The rest of the instruction"`
	Evidence   string      `json:"evidence" doc:"Why: what stands there now and what rivals have"`
	Wanted     string      `json:"wanted" doc:"A proposed file name, empty for none"`
	RivalsHave int         `json:"rivals_have" doc:"Of rivals"`
	Rivals     int         `json:"rivals"`
	Words      *WordTarget `json:"words" doc:"Null for targets that are not about words"`
	Gain       float64     `json:"gain" doc:"In the unit, 0 if no rule gives one; an estimate"`
	Minutes    float64     `json:"minutes"`
	First      bool        `json:"first" doc:"It must be fixed before all others"`
	Fits       bool        `json:"fits" doc:"Above the cut line"`
	Parts      []Target    `json:"parts" doc:"What stands inside the target of a new page"`
	Choice     Choice      `json:"choice"`
}

// Choice is what the user said of a target.
type Choice struct {
	State  TargetState `json:"state"`
	Value  string      `json:"value,omitempty" maxLength:"2000" doc:"What a changed target says instead"`
	Reason string      `json:"reason,omitempty" maxLength:"200"`
}

// Core is the choice as the rules have it.
func (c Choice) Core() target.Choice {
	return target.Choice{State: target.State(c.State), Value: c.Value, Reason: c.Reason}
}

// Teller words the targets of one page.
type Teller struct {
	// Display writes a phrase as it would stand in a text.
	Display func(phrase string) string
	Words   wording.WordCase
}

// Target shows a target.
func (t Teller) Target(x target.Target, fits bool) Target {
	phrase := t.Display(x.Phrase)
	says := wording.Instruct(x, phrase)
	out := Target{Key: x.Key, Kind: TargetKind(x.Kind), Name: wording.Kind(x.Kind), Family: x.Family, Phrase: phrase, Before: says.Before,
		Pencil: says.Pencil, After: says.After, Evidence: wording.Evidence(x, t.Words), Wanted: x.Wanted, RivalsHave: x.RivalsHave,
		Rivals: x.Rivals, Gain: x.Gain, Minutes: x.Minutes, First: x.First, Fits: fits, Parts: []Target{},
		Choice: Choice{TargetState(x.Choice.State), x.Choice.Value, x.Choice.Reason}}
	if x.Words != nil {
		words := WordTargetOf(*x.Words)
		out.Words = &words
	}
	for _, p := range x.Parts {
		out.Parts = append(out.Parts, t.Target(p, fits))
	}
	return out
}

// Brief is a page's targets as a writer needs them.
type Brief struct {
	Client   string         `json:"client"`
	Page     PageInfo       `json:"page"`
	Date     time.Time      `json:"date"`
	Lead     string         `json:"lead"`
	Unit     GainUnit       `json:"unit"`
	UnitNote string         `json:"unit_note" doc:"What gains are, in a sentence"`
	Words    BriefWords     `json:"words"`
	Sections []BriefSection `json:"sections"`
}

// BriefWords is the figure at the head of a brief.
type BriefWords struct {
	Now      int    `json:"now" doc:"Words seen now"`
	Target   int    `json:"target"`
	ToWrite  int    `json:"to_write"`
	Writer   int    `json:"writer" doc:"Copy to hand in: the target less menus and footers"`
	Hold     bool   `json:"hold"`
	Evidence string `json:"evidence"`
}

// BriefSection is a part of a brief.
type BriefSection struct {
	Part  BriefPart `json:"part"`
	Title string    `json:"title"`
	Lines []Target  `json:"lines"`
}

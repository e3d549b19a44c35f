package plan

import (
	"context"
	"strings"

	"inktally/core/book"
	"inktally/core/outline"
	"inktally/core/site"
	"inktally/core/target"
	"inktally/internal/app/sheet"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Worked is the plan of a client as it was worked out, with what it was worked out from.
type Worked struct {
	target.Plan
	Whole *sheet.Whole
	// Pages are the client's by their keys.
	Pages map[string]*sheet.Comparison
	Study target.Study

	headings *outline.Headings
	families map[string]*book.Family
	tellers  map[string]wording.Teller
}

// kept is what the user changed of a plan.
type kept struct {
	choices  map[string]target.Choice
	outlines map[string]outline.Edits
	own      []target.Own
}

func (k *kept) load(tx *store.Tx, id int64) (err error) {
	if k.choices, err = tx.Choices(id); err != nil {
		return err
	}
	if k.own, err = tx.OwnTargets(id); err != nil {
		return err
	}
	k.outlines, err = tx.Outlines(id)
	return err
}

// Work works out the plan of a client.
func (p *Plan) Work(ctx context.Context, id int64) (*Worked, error) {
	var k kept
	whole, err := p.Sheet.Whole(ctx, id, func(tx *store.Tx) error { return k.load(tx, id) })
	if err != nil {
		return nil, err
	}
	return work(whole, &k, &outline.Headings{}), nil
}

// work works out a plan; headings remembers what those of the pages say.
func work(whole *sheet.Whole, k *kept, headings *outline.Headings) *Worked {
	w := gather(whole, k, headings)
	w.Plan = whole.Known.Yardstick.Target.Plan(w.Study)
	return w
}

// gather gathers what a plan is worked out from.
func gather(whole *sheet.Whole, k *kept, headings *outline.Headings) *Worked {
	w := &Worked{Whole: whole, headings: headings, Pages: map[string]*sheet.Comparison{}, tellers: map[string]wording.Teller{}, families: book.ByKey(whole.Known.AllFamilies())}
	w.Study = target.Study{Findings: whole.Findings, Own: k.own, Choices: k.choices}
	for _, c := range whole.Pages {
		page := c.Aim
		page.Headings = headings
		page.Edits = k.outlines[page.Key]
		if page.Formerly != "" && len(page.Edits.Sections)+len(page.Edits.Order) == 0 {
			page.Edits = k.outlines[page.Formerly]
		}
		w.Pages[page.Key] = c
		w.Study.Pages = append(w.Study.Pages, page)
		adopt(k.choices, page)
	}
	return w
}

// adopt puts what older programs kept by the text of a phrase under the key of its family.
func adopt(choices map[string]target.Choice, page target.Page) {
	prefix := target.ChoiceKey(page.Key, "")
	said := map[string]target.Choice{}
	for key, choice := range choices {
		if rest, ok := strings.CutPrefix(key, prefix); ok {
			said[rest] = choice
		}
	}
	for key, choice := range target.Adopt(said, page.Criteria.FamilyOf) {
		choices[prefix+key] = choice
	}
}

// teller words the targets of a page.
func (w *Worked) teller(page string) wording.Teller {
	if made, ok := w.tellers[page]; ok {
		return made
	}
	made := w.newTeller(page)
	w.tellers[page] = made
	return made
}

func (w *Worked) newTeller(page string) wording.Teller {
	out := wording.Teller{Firm: w.Whole.Known.Client.Name}
	for _, p := range w.Whole.Known.Places {
		if !p.Home {
			out.Towns = append(out.Towns, p.Name)
		}
	}
	c, ok := w.Pages[page]
	if !ok {
		out.Display = func(phrase string) string { return phrase }
		return out
	}
	info := c.PageInfo()
	out.Display = c.Display
	out.Page = wording.PageCase{Kind: c.Page.Kind, There: c.Aim.Client != nil, HasURL: c.Page.URL != "", Have: c.Have, Sites: c.Sites}
	if info.Words != nil {
		out.Page.Words = *info.Words
	}
	words := c.WordCase()
	out.Rivals, out.Page.RivalWords = words.Names, words.Words
	return out
}

// unit is what the gains of a plan are in.
func (w *Worked) unit() wording.Unit {
	if w.Shares {
		return wording.Share
	}
	return wording.Visits
}

// Show shows a plan with its cut line.
func (w *Worked) Show() *view.Plan {
	known := w.Whole.Known
	out := &view.Plan{Hours: known.Client.Hours, Pages: []view.PlanPage{}, Targets: []view.Target{}, Unit: view.GainUnit(w.unit()),
		UnitNote: wording.UnitNote(w.unit()), Money: known.Client.Money, Telling: []string{}, Done: []view.Done{}, Notices: []view.Notice{}}
	for _, c := range w.Whole.Pages {
		out.Pages = append(out.Pages, view.PlanPage{Key: c.Aim.Key, Page: c.PageInfo()})
	}
	cut := target.CutLine(w.Targets, out.Hours*60)
	out.Left, out.Needs = cut.Left, cut.Needs
	for i := range w.Targets {
		t := &w.Targets[i]
		shown := view.TargetOf(w.teller(t.Page), t, cut.Fits[i])
		shown.OwnID = w.ownID(t)
		out.Targets = append(out.Targets, shown)
		if t.Choice.State == target.Dropped {
			continue
		}
		out.Open++
		out.Minutes += t.Minutes
		out.All += t.Gain
		if cut.Fits[i] {
			out.Fit++
			out.Gain += t.Gain
			out.Worth += w.worth(t)
		}
	}
	for _, t := range target.Telling(w.Targets) {
		out.Telling = append(out.Telling, t.ID())
	}
	return out
}

// worth is the gain of a target in money, as far as it is known what a job of its page's
// service brings.
func (w *Worked) worth(t *target.Target) float64 {
	c, ok := w.Pages[t.Page]
	if !ok || w.Shares {
		return 0
	}
	gain, worth := 0.0, 0.0
	for _, f := range c.Families {
		gain += f.RowGain
		worth += f.Worth
	}
	if gain == 0 {
		return 0
	}
	return t.Gain * worth / gain
}

func (w *Worked) ownID(t *target.Target) int64 {
	for _, o := range w.Study.Own {
		if t.Kind == target.ByHand && t.Key == o.Key() {
			return o.ID
		}
	}
	return 0
}

// find finds a target by its id.
func (w *Worked) find(id string) (*target.Target, error) {
	for i := range w.Targets {
		if w.Targets[i].ID() == id {
			return &w.Targets[i], nil
		}
	}
	return nil, store.ErrNotFound
}

// there tells whether the plan has a page of a key.
func (w *Worked) there(page string) error {
	if _, ok := w.Pages[page]; !ok {
		return store.ErrNotFound
	}
	return nil
}

// home is the key of the client's home page, empty for none.
func (w *Worked) home() string {
	for _, c := range w.Whole.Pages {
		if c.Page.Kind == site.Home {
			return c.Aim.Key
		}
	}
	return ""
}

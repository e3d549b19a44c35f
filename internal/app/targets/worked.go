package targets

import (
	"cmp"
	"context"

	"inktally/core/book"
	"inktally/core/cutline"
	"inktally/core/plan"
	"inktally/core/recap"
	"inktally/internal/app/sheets"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Worked is the plan of a client as it is told. It is for one goroutine.
type Worked struct {
	*study.Plan
	// Study is what it was worked out from.
	Study *study.Study

	tellers map[string]wording.Teller
}

// Work works out the plan of a client.
func (p *Plan) Work(ctx context.Context, id int64) (*Worked, error) {
	s, err := p.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	made, err := s.Plan(ctx)
	if err != nil {
		return nil, err
	}
	return worked(s, made), nil
}

func worked(s *study.Study, made *study.Plan) *Worked {
	return &Worked{Plan: made, Study: s, tellers: map[string]wording.Teller{}}
}

// Teller words the targets of a page.
func (w *Worked) Teller(page string) wording.Teller {
	if made, ok := w.tellers[page]; ok {
		return made
	}
	made := w.newTeller(page)
	w.tellers[page] = made
	return made
}

func (w *Worked) newTeller(page string) wording.Teller {
	known := w.Whole.Known
	out := wording.Teller{Firm: known.Client.Name, Copy: known.Yardstick.Target.Copy.Of(known.Client.Language)}
	for _, p := range known.Places {
		if !p.Home {
			out.Towns = append(out.Towns, p.Name)
		}
	}
	c, ok := w.Pages[page]
	if !ok {
		out.Display = func(phrase string) string { return phrase }
		return out
	}
	info := sheets.PageInfo(c)
	out.Display = c.Display
	out.Page = wording.PageCase{Kind: c.Page.Kind, Town: cmp.Or(c.Page.Place, known.Home().Name),
		There: c.Aim.Client != nil, HasURL: c.Page.URL != "", Have: c.Have,
		Sites: c.Sites}
	if first, ok := c.First(); ok {
		out.Page.Phrase = c.Display(first.Text)
	}
	if info.Words != nil {
		out.Page.Words = *info.Words
	}
	words := sheets.WordCase(c)
	out.Rivals, out.Page.RivalWords = words.Names, words.Words
	return out
}

// Unit returns what the gains of a plan are in.
func (w *Worked) Unit() wording.Unit {
	if w.Shares {
		return wording.Share
	}
	return wording.Visits
}

// waiting shows what nothing is asked for until a word of it is judged (rule 3.6).
func waiting(families []book.Family) view.Waiting {
	sum := book.WaitingOf(families)
	out := view.Waiting{Families: sum.Families, Gain: sum.Gain, Volume: sum.Volume}
	if words := book.WordsToJudge(families); len(words) > 0 && sum.Families > 0 {
		out.Word = words[0].Word
	}
	return out
}

// Show shows a plan with its cut line.
func (w *Worked) Show() *view.Plan {
	known := w.Whole.Known
	out := &view.Plan{Hours: w.Study.Said.Hours, Pages: []view.PlanPage{}, Targets: []view.Target{},
		Unit:     view.GainUnit(w.Unit()),
		UnitNote: wording.UnitNote(w.Unit()), Money: known.Client.Money, Telling: []string{}, Done: []view.Done{},
		Notices: []view.Notice{}, Idle: []view.Idle{}, Recap: []view.Recap{}, Folded: []view.Fold{},
		Waiting: waiting(known.Families())}
	for _, c := range w.Whole.Pages {
		out.Pages = append(out.Pages, view.PlanPage{Key: c.Aim.Key, Page: sheets.PageInfo(c)})
	}
	cut := cutline.Of(w.Targets, out.Hours*60)
	out.Left, out.Needs = cut.Left, cut.Needs
	for i := range w.Targets {
		t := &w.Targets[i]
		shown := view.TargetOf(w.Teller(t.Page), t, cut.Fits[i])
		shown.OwnID, shown.Short = w.ownID(t), cut.Short[i]
		out.Targets = append(out.Targets, shown)
		if t.Choice.State == plan.Dropped {
			continue
		}
		out.Open++
		out.Minutes += t.Minutes
		out.All += t.Gain
		if cut.Fits[i] {
			gain := t.Gain
			if cut.Short[i] {
				_, gain, _ = cutline.Short(t)
			}
			out.Fit++
			out.Gain += gain
			out.Worth += w.worth(t, gain)
		}
	}
	w.recap(out)
	for _, ref := range w.Idle(&w.From) {
		out.Idle = append(out.Idle, view.Idle{Page: ref.Page, Key: ref.Key, Says: w.idleSays(ref)})
	}
	for _, t := range recap.Telling(w.Targets) {
		out.Telling = append(out.Telling, t.Ref().String())
	}
	return out
}

// idleSays words what was said of a line that is no longer in the plan.
func (w *Worked) idleSays(ref plan.Ref) string {
	kind, about := plan.ReadKey(ref.Key)
	if f := w.Whole.Known.ByKey()[about]; f != nil {
		about = w.Teller(ref.Page).Display(f.Lead().Text)
	}
	return wording.Idle(kind, about, w.From.Choices[ref])
}

// worth returns a gain of a target in money, as far as it is known what a job of its page's
// service brings.
func (w *Worked) worth(t *plan.Target, of float64) float64 {
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
	return of * worth / gain
}

func (w *Worked) ownID(t *plan.Target) int64 {
	for _, o := range w.From.Own {
		if t.Kind == plan.ByHand && t.Key == o.Key() {
			return o.ID
		}
	}
	return 0
}

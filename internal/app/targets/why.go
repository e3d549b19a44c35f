package targets

import (
	"context"

	"inktally/core/plan"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Why explains the figures of a target, or of one of its parts: the sum that made them,
// line by line.
func (p *Plan) Why(ctx context.Context, client int64, id, part string) ([]view.Why, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	t, err := w.Find(id)
	if err != nil {
		return nil, err
	}
	out := []view.Why{}
	said, byKey := map[string]bool{}, w.Whole.Known.ByKey()
	for i := range t.Parts {
		at := &t.Parts[i]
		if part != "" && at.Key != part || part == "" && at.Choice.State == plan.Dropped {
			continue
		}
		for _, key := range w.stake(at) {
			if f := byKey[key]; f != nil && !said[key] {
				said[key] = true
				lines := w.teller(t.Page).WhyFamily(f, w.Whole.Known.Yardstick)
				out = append(out, view.Why{Title: "What the phrase brings", Lines: view.WhyLinesOf(lines)})
			}
		}
	}
	for i := range t.Parts {
		at := &t.Parts[i]
		if part != "" && at.Key != part || part == "" && at.Choice.State == plan.Dropped {
			continue
		}
		out = append(out, w.whyPart(t, at))
	}
	if len(out) == 0 {
		return nil, store.ErrNotFound
	}
	if part == "" {
		out = append(out, w.whyWhole(t))
	}
	return out, nil
}

// stake are the families whose gain a part is a share of.
func (w *Worked) stake(p *plan.Part) []string {
	if w.Shares || p.Weight == "" {
		return nil
	}
	return p.Families
}

func (w *Worked) whyPart(t *plan.Target, p *plan.Part) view.Why {
	teller := w.teller(t.Page)
	says := teller.Part(t, p)
	title := wording.PartName(p.Kind) + ": " + join(says.Before, says.Pencil, says.After)
	lines := []wording.WhyLine{}
	if p.Weight != "" {
		lines = append(lines, wording.WhyLine{Says: w.ofSays(p), Value: wording.Figure(p.Of), Rule: "12.2"})
	}
	return view.Why{Title: title,
		Lines: view.WhyLinesOf(append(lines, teller.WhyPart(t, p, w.Whole.Known.Yardstick)...))}
}

func (w *Worked) ofSays(p *plan.Part) string {
	switch {
	case w.Shares:
		return "Each phrase counts the same, for want of searches"
	case p.Kind == plan.Words:
		return "Gain of all the page's phrases"
	}
	return "Gain of its phrase"
}

// whyWhole adds the parts up, with what brings the target to its place.
func (w *Worked) whyWhole(t *plan.Target) view.Why {
	lines := []wording.WhyLine{}
	if t.Fixed > 0 {
		lines = append(lines, wording.WhyLine{Says: "Making a page", Value: wording.Figure(t.Fixed) + " min",
			Rule: "12.3", Figure: "minutes.new_page"})
	}
	lines = append(lines, wording.WhyLine{Says: "Gain of all parts", Value: wording.Figure(t.Gain), Rule: "12.2",
		Sum: true},
		wording.WhyLine{Says: "Time of all parts", Value: wording.Figure(t.Minutes) + " min", Rule: "12.3", Sum: true})
	if t.Minutes > 0 && t.Rank > 0 {
		if t.Rank-t.Gain > .005 {
			lines = append(lines, wording.WhyLine{
				Says:  "For the order phrases of unknown volume count as the smallest gain",
				Value: wording.Figure(t.Rank), Rule: "12.2"})
		}
		lines = append(lines, wording.WhyLine{Says: "Gain an hour, which it is ordered by",
			Value: wording.Figure(t.Rank * 60 / t.Minutes), Rule: "12.4", Sum: true})
	}
	return view.Why{Title: "The whole", Lines: view.WhyLinesOf(lines)}
}

func join(parts ...string) string {
	out := ""
	for _, p := range parts {
		if p != "" && out != "" {
			out += " "
		}
		out += p
	}
	return out
}

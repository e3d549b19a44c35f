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
	out, y := []view.Why{}, w.Whole.Known.Yardstick
	seen, byKey := map[string]bool{}, w.Whole.Known.ByKey()
	for i := range t.Parts {
		at := &t.Parts[i]
		if part != "" && at.Key != part || part == "" && at.Choice.State == plan.Dropped {
			continue
		}
		for _, key := range w.stake(at) {
			if f := byKey[key]; f != nil && !seen[key] {
				seen[key] = true
				lines := w.Teller(t.Page).WhyGain(f, f.Sum(y.Visits, y.Book.AlsoShare))
				out = append(out, view.Why{Title: wording.WhyPhraseTitle, Lines: view.WhyLinesOf(lines)})
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
		out = append(out, view.Why{Title: wording.WhyWholeTitle,
			Lines: view.WhyLinesOf(w.Teller(t.Page).WhyTarget(t, y.Target))})
	}
	return out, nil
}

// stake returns the families whose gain a part is a share of; without any searches known none is
// explained on its own.
func (w *Worked) stake(p *plan.Part) []string {
	if w.Shares {
		return nil
	}
	return p.Families
}

func (w *Worked) whyPart(t *plan.Target, p *plan.Part) view.Why {
	teller := w.Teller(t.Page)
	says := teller.Part(t, p)
	return view.Why{Title: wording.PartName(p.Kind) + ": " + join(says.Before, says.Pencil, says.After),
		Lines: view.WhyLinesOf(teller.WhyPart(t, p))}
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

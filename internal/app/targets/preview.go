package targets

import (
	"cmp"
	"context"
	"math"
	"slices"

	"inktally/core/yardstick"
	figures "inktally/internal/app/rules"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Preview returns what changes of figures would change in the plan of a client, before they
// are kept: those of the client, or of the workspace.
func (p *Plan) Preview(ctx context.Context, id int64, changes map[string]string, workspace bool) (*view.PlanChange,
	error) {
	y, err := p.yardstick(ctx, id, changes, workspace)
	if err != nil {
		return nil, err
	}
	s, err := p.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	before, err := s.Plan(ctx)
	if err != nil {
		return nil, err
	}
	as, err := s.PlanAs(ctx, y)
	if err != nil {
		return nil, err
	}
	return difference(worked(s, before).Show(), worked(s, as).Show()), nil
}

// yardstick returns a client's with changes of its own, or of the workspace.
func (p *Plan) yardstick(ctx context.Context, id int64, changes map[string]string,
	workspace bool) (y yardstick.Yardstick, err error) {
	err = p.DB.Read(ctx, func(tx *store.Tx) error {
		if !workspace {
			y, err = figures.As(tx, id, changes)
			return err
		}
		if y, err = figures.As(tx, 0, changes); err != nil {
			return err
		}
		kept, err := tx.YardstickChanges(id)
		if err != nil {
			return err
		}
		y, err = y.With(kept)
		return err
	})
	return y, err
}

// difference returns what is other in one plan than in another, what changes most first.
func difference(was, is *view.Plan) *view.PlanChange {
	out := &view.PlanChange{Unit: is.Unit, Gain: is.Gain - was.Gain, Minutes: is.Minutes - was.Minutes,
		Fit: is.Fit - was.Fit, Targets: []view.TargetChange{}}
	before := map[string]view.Target{}
	for _, t := range was.Targets {
		before[t.ID] = t
	}
	for _, t := range is.Targets {
		old, had := before[t.ID]
		delete(before, t.ID)
		change := view.TargetChange{ID: t.ID, Page: t.Page, Says: sentenceOf(t), Was: sentenceOf(old),
			Gain:    t.Gain - old.Gain,
			Minutes: t.Minutes - old.Minutes, New: !had,
			Fits: t.Fits, Fitted: old.Fits}
		if !had || change.Says != change.Was || math.Abs(change.Gain) > .005 || math.Abs(change.Minutes) > .005 ||
			t.Fits != old.Fits {
			out.Targets = append(out.Targets, change)
		}
	}
	for _, t := range was.Targets {
		if old, gone := before[t.ID]; gone {
			out.Targets = append(out.Targets,
				view.TargetChange{ID: t.ID, Page: t.Page, Was: sentenceOf(old), Gain: -old.Gain, Minutes: -old.Minutes,
					Gone: true, Fitted: old.Fits})
		}
	}
	slices.SortStableFunc(out.Targets, func(a, b view.TargetChange) int {
		return cmp.Compare(math.Abs(b.Gain), math.Abs(a.Gain))
	})
	return out
}

func sentenceOf(t view.Target) string { return join(t.Before, t.Pencil, t.After) }

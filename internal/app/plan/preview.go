package plan

import (
	"cmp"
	"context"
	"math"
	"slices"

	"inktally/internal/app/client"
	"inktally/internal/app/sheet"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Preview tells what changes of figures would change in the plan of a client, before they
// are kept: those of the client, or of the workspace.
func (p *Plan) Preview(ctx context.Context, id int64, changes map[string]string, workspace bool) (*view.PlanChange, error) {
	now, err := p.Work(ctx, id)
	if err != nil {
		return nil, err
	}
	then, err := p.Work(ctx, id, p.as(ctx, id, changes, workspace))
	if err != nil {
		return nil, err
	}
	return difference(now, then), nil
}

// as puts the yardstick with changes in place of a client's.
func (p *Plan) as(ctx context.Context, id int64, changes map[string]string, workspace bool) sheet.Change {
	return func(k *client.Known) error {
		return p.DB.Read(ctx, func(tx *store.Tx) error {
			own := map[string]string{}
			if !workspace {
				own = changes
			} else if y, err := client.YardstickAs(tx, 0, changes); err != nil {
				return err
			} else {
				kept, err := tx.YardstickChanges(id)
				if err != nil {
					return err
				}
				k.Yardstick, err = y.With(kept)
				return err
			}
			y, err := client.YardstickAs(tx, id, own)
			k.Yardstick = y
			return err
		})
	}
}

// difference is what is other in one plan than in another, what changes most first.
func difference(now, then *Worked) *view.PlanChange {
	was, is := now.Show(), then.Show()
	out := &view.PlanChange{Unit: is.Unit, Gain: is.Gain - was.Gain, Minutes: is.Minutes - was.Minutes, Fit: is.Fit - was.Fit, Targets: []view.TargetChange{}}
	before := map[string]view.Target{}
	for _, t := range was.Targets {
		before[t.ID] = t
	}
	for _, t := range is.Targets {
		old, had := before[t.ID]
		delete(before, t.ID)
		change := view.TargetChange{ID: t.ID, Page: t.Page, Says: says(t), Was: says(old), Gain: t.Gain - old.Gain, Minutes: t.Minutes - old.Minutes, New: !had,
			Fits: t.Fits, Fitted: old.Fits}
		if !had || change.Says != change.Was || math.Abs(change.Gain) > .005 || math.Abs(change.Minutes) > .005 || t.Fits != old.Fits {
			out.Targets = append(out.Targets, change)
		}
	}
	for _, t := range was.Targets {
		if old, gone := before[t.ID]; gone {
			out.Targets = append(out.Targets, view.TargetChange{ID: t.ID, Page: t.Page, Was: says(old), Gain: -old.Gain, Minutes: -old.Minutes, Gone: true, Fitted: old.Fits})
		}
	}
	slices.SortStableFunc(out.Targets, func(a, b view.TargetChange) int { return cmp.Compare(math.Abs(b.Gain), math.Abs(a.Gain)) })
	return out
}

func says(t view.Target) string { return join(t.Before, t.Pencil, t.After) }

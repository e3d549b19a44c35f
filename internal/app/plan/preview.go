package plan

import (
	"cmp"
	"context"
	"math"
	"slices"
	"sync"

	"inktally/core/outline"
	"inktally/core/yardstick"
	"inktally/internal/app/client"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Preview tells what changes of figures would change in the plan of a client, before they
// are kept: those of the client, or of the workspace.
func (p *Plan) Preview(ctx context.Context, id int64, changes map[string]string, workspace bool) (*view.PlanChange, error) {
	y, err := p.yardstick(ctx, id, changes, workspace)
	if err != nil {
		return nil, err
	}
	writes := p.DB.Writes()
	var k kept
	whole, err := p.Sheet.Whole(ctx, id, func(tx *store.Tx) error { return k.load(tx, id) })
	if err != nil {
		return nil, err
	}
	headings := &outline.Headings{}
	was := p.shown.get(id, writes)
	if was == nil {
		was = work(whole, &k, headings).Show()
		p.shown.put(id, writes, was)
	}
	as, err := p.Sheet.As(ctx, whole, y)
	if err != nil {
		return nil, err
	}
	return difference(was, work(as, &k, headings).Show()), nil
}

// lastShown is the plan that was shown last: one figure is tried after another while the
// plan that they are held against stays what it is.
type lastShown struct {
	mu             sync.Mutex
	client, writes int64
	plan           *view.Plan
}

func (l *lastShown) get(client, writes int64) *view.Plan {
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.client != client || l.writes != writes {
		return nil
	}
	return l.plan
}

func (l *lastShown) put(client, writes int64, plan *view.Plan) {
	l.mu.Lock()
	defer l.mu.Unlock()
	l.client, l.writes, l.plan = client, writes, plan
}

// yardstick is a client's with changes of its own, or of the workspace.
func (p *Plan) yardstick(ctx context.Context, id int64, changes map[string]string, workspace bool) (y yardstick.Yardstick, err error) {
	err = p.DB.Read(ctx, func(tx *store.Tx) error {
		if !workspace {
			y, err = client.YardstickAs(tx, id, changes)
			return err
		}
		if y, err = client.YardstickAs(tx, 0, changes); err != nil {
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

// difference is what is other in one plan than in another, what changes most first.
func difference(was, is *view.Plan) *view.PlanChange {
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

// Package plan is the stop at which the targets of all pages stand in the order of work,
// with the cut line, and are kept, changed, dropped and explained.
package plan

import (
	"cmp"
	"context"

	"inktally/core/fault"
	"inktally/core/target"
	"inktally/core/text"
	"inktally/internal/app/sheet"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Plan keeps what its user says of targets.
type Plan struct {
	DB    *store.DB
	Sheet *sheet.Sheet

	shown lastShown
}

// Get works out the plan of a client.
func (p *Plan) Get(ctx context.Context, client int64) (*view.Plan, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	out := w.Show()
	if out.Done, err = p.done(ctx, client, w); err != nil {
		return nil, err
	}
	out.Notices, err = p.notices(ctx, client, w)
	return out, err
}

// Said is what the user says of a target or of a part of one.
type Said struct {
	Page, Key string
	target.Choice
	// Was is what was said when the change began, nil if that is not known: then it is refused
	// where something else was said meanwhile.
	Was *target.Choice
}

// Choose keeps what the user says of targets, all of it at once.
func (p *Plan) Choose(ctx context.Context, client int64, said []Said) (*view.Plan, error) {
	for _, s := range said {
		if s.State == target.Changed && s.Value == "" {
			return nil, fault.New(fault.ChangeNeedsValue)
		}
		if err := checkName(s); err != nil {
			return nil, err
		}
	}
	err := p.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		kept, err := tx.Choices(client)
		if err != nil {
			return err
		}
		for _, s := range said {
			if s.Was != nil {
				if s.Choice, err = mergedChoice(*s.Was, kept[target.ChoiceKey(s.Page, s.Key)], s.Choice); err != nil {
					return err
				}
			}
			if err := tx.SetChoice(client, s.Page, s.Key, s.Choice); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return p.Get(ctx, client)
}

// Add adds a target by hand, to the home page where no page is named. It returns its id.
func (p *Plan) Add(ctx context.Context, client int64, o target.Own) (int64, error) {
	o.Text = text.Collapse(o.Text)
	if o.Text == "" {
		return 0, fault.New(fault.TargetNeedsText)
	}
	w, err := p.Work(ctx, client)
	if err != nil {
		return 0, err
	}
	o.Page = cmp.Or(o.Page, w.home())
	if err := w.there(o.Page); err != nil {
		return 0, err
	}
	var id int64
	err = p.DB.Write(ctx, func(tx *store.Tx) (err error) {
		id, err = tx.AddOwnTarget(client, o)
		return err
	})
	return id, err
}

// Remove removes a target that was added by hand.
func (p *Plan) Remove(ctx context.Context, client, id int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.DeleteOwnTarget(client, id) })
}

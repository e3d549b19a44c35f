// Package targets is the stop at which the targets of all pages stand in the order of work,
// with the cut line, and are kept, changed, dropped and explained.
package targets

import (
	"cmp"
	"context"
	"slices"

	"inktally/core/plan"
	"inktally/core/text"
	"inktally/internal/app/readings"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Plan keeps what its user says of targets.
type Plan struct {
	DB       *store.DB
	Studies  *study.Studies
	Readings *readings.Readings
}

// Get works out the plan of a client.
func (p *Plan) Get(ctx context.Context, client int64) (*view.Plan, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	out := w.Show()
	out.Notices = w.notices()
	out.Done, err = w.done(ctx)
	return out, err
}

// Said is what the user says of a target or of a part of one.
type Said struct {
	Page, Key string
	plan.Choice
	// Was is what was said when the change began, nil if that is not known: then it is refused
	// where something else was said meanwhile.
	Was *plan.Choice
}

// Choose keeps what the user says of targets, all of it at once.
func (p *Plan) Choose(ctx context.Context, client int64, said []Said) (*view.Plan, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	for _, s := range said {
		if s.State == plan.Changed && s.Value == "" {
			return nil, ChangeNeedsValue.New()
		}
		if err := w.checkName(s); err != nil {
			return nil, err
		}
	}
	err = p.DB.Write(ctx, func(tx *store.Tx) error {
		for _, s := range said {
			row, err := w.row(tx, s.Page)
			if err != nil {
				return err
			}
			if !w.has(s.Page, s.Key) {
				return store.ErrNotFound
			}
			if s.Was != nil {
				kept, err := tx.Choice(client, row, s.Key)
				if err != nil {
					return err
				}
				if s.Choice, err = mergedChoice(*s.Was, kept, s.Choice); err != nil {
					return err
				}
			}
			if err := tx.SetChoice(client, row, s.Key, s.Choice); err != nil {
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

// has reports whether the plan has a target or a part of a key on a page, or whether something
// was said of it when it had.
func (w *Worked) has(page, key string) bool {
	if _, known := w.From.Choices[plan.Ref{Page: page, Key: key}]; known {
		return true
	}
	return slices.ContainsFunc(w.Targets, func(t plan.Target) bool {
		return t.Page == page && (t.Key == key || slices.ContainsFunc(t.Parts, func(p plan.Part) bool {
			return p.Key == key
		}))
	})
}

// row returns the row of a page of the plan, which is added for one to make of which nothing was
// said so far. A page that the plan has not is store.ErrNotFound.
func (w *Worked) row(tx *store.Tx, page string) (int64, error) {
	c, err := w.Page(page)
	if err != nil {
		return 0, err
	}
	if row := w.Study.Row(c); row != 0 {
		return row, nil
	}
	return tx.PageToMake(c.Page)
}

// Add adds a target by hand, to the home page where no page is named. It returns its id.
func (p *Plan) Add(ctx context.Context, client int64, o plan.Own) (int64, error) {
	o.Text = text.Collapse(o.Text)
	if o.Text == "" {
		return 0, TargetNeedsText.New()
	}
	w, err := p.Work(ctx, client)
	if err != nil {
		return 0, err
	}
	var id int64
	err = p.DB.Write(ctx, func(tx *store.Tx) error {
		row, err := w.row(tx, cmp.Or(o.Page, w.Home()))
		if err != nil {
			return err
		}
		id, err = tx.AddOwnTarget(client,
			store.OwnTarget{ID: o.ID, PageID: row, Text: o.Text, Gain: o.Gain, Minutes: o.Minutes})
		return err
	})
	return id, err
}

// Remove removes a target that was added by hand.
func (p *Plan) Remove(ctx context.Context, client, id int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.DeleteOwnTarget(client, id) })
}

// Package plan is the stop at which a page's targets stand in order, with the cut
// line, and are kept, changed or dropped.
package plan

import (
	"context"

	"inktally/core/fault"
	"inktally/core/target"
	"inktally/internal/app/sheet"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Plan keeps what its user says of targets.
type Plan struct {
	DB    *store.DB
	Sheet *sheet.Sheet
}

// Get works out the targets of a page.
func (p *Plan) Get(ctx context.Context, client, pageID int64) (*view.Targets, error) {
	c, err := p.Sheet.Compare(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	return Of(c), nil
}

// Of shows the targets of a comparison.
func Of(c *sheet.Comparison) *view.Targets {
	out := &view.Targets{Page: c.PageInfo(), Hours: c.Known.Client.Hours, Targets: []view.Target{}, Unit: view.GainUnit(c.Unit),
		UnitNote: wording.UnitNote(c.Unit)}
	fits := target.CutLine(c.Targets, out.Hours*60)
	teller := view.Teller{Display: c.Display, Words: c.WordCase()}
	for i, t := range c.Targets {
		out.Targets = append(out.Targets, teller.Target(t, fits[i]))
		if t.Choice.State != target.Dropped {
			out.Minutes += t.Minutes
		}
		if fits[i] {
			out.Fit++
			out.Gain += t.Gain
		}
	}
	return out
}

// Choose keeps what the user says of a target.
func (p *Plan) Choose(ctx context.Context, client, pageID int64, key string, c target.Choice) (*view.Targets, error) {
	if c.State == target.Changed && c.Value == "" {
		return nil, fault.New(fault.ChangeNeedsValue)
	}
	err := p.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Page(client, pageID); err != nil {
			return err
		}
		return tx.SetChoice(pageID, key, c)
	})
	if err != nil {
		return nil, err
	}
	return p.Get(ctx, client, pageID)
}

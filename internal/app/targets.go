package app

import (
	"context"
	"math"

	"inktally/core/target"
	"inktally/internal/store"
)

// Targets is what a page must have, in the order in which it is worth doing.
type Targets struct {
	Page    PageInfo     `json:"page"`
	Hours   float64      `json:"hours" doc:"To spend on this client's targets"`
	Targets []TargetView `json:"targets"`
	// Fit counts the targets above the cut line, Gain is what they bring.
	Fit  int     `json:"fit"`
	Gain float64 `json:"gain" doc:"Above the cut line, in the unit; an estimate"`
	// Unit is what gains are in: visits a month, or shares of the page's gain in
	// percent where no searches are known.
	Unit    string  `json:"unit" enum:"visits,share" doc:"What gains are in: visits a month, or shares of the page's gain in percent where no searches are known"`
	Minutes float64 `json:"minutes" doc:"Of all open targets"`
}

// TargetView is a target with its wording.
type TargetView struct {
	target.Target
	// Before and Wanted are the instruction; Wanted is what is still to be
	// written, in pencil.
	Before   string `json:"before"`
	Pencil   string `json:"pencil" doc:"The part of the instruction that is to be written on the page"`
	Evidence string `json:"evidence" doc:"Why: what stands there now and what rivals have"`
	Fits     bool   `json:"fits" doc:"Above the cut line"`
}

// Targets works out the targets of a page.
func (a *App) Targets(ctx context.Context, client, pageID int64) (*Targets, error) {
	s, err := a.study(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	return s.view(), nil
}

func (s *study) view() *Targets {
	out := &Targets{Hours: s.ground.Client.Hours, Targets: []TargetView{}, Unit: s.unit()}
	out.Page = PageInfo{ID: s.page.ID, Kind: s.page.Kind, URL: s.page.URL}
	if c := s.client.column; c != nil {
		out.Page.Words, out.Page.ToWrite = &c.Page.Words.Seen, &s.words.ToWrite
	}
	fits := target.CutLine(s.targets, out.Hours*60)
	for i, t := range s.targets {
		before, pencil := s.instruction(t)
		out.Targets = append(out.Targets, TargetView{Target: t, Before: before, Pencil: pencil, Evidence: s.evidence(t), Fits: fits[i]})
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

// unit names what gains are in.
func (s *study) unit() string {
	if s.visits {
		return "visits"
	}
	return "share"
}

// Choose keeps what the user says of a target.
func (a *App) Choose(ctx context.Context, client, pageID int64, key string, c target.Choice) (*Targets, error) {
	if c.State == target.Dropped && c.Reason == "" {
		c.Reason = "not wanted"
	}
	if c.State == target.Changed && c.Value == "" {
		return nil, Invalid{"a changed target needs what it should say instead"}
	}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Page(client, pageID); err != nil {
			return err
		}
		return tx.SetChoice(pageID, key, c)
	})
	if err != nil {
		return nil, err
	}
	return a.Targets(ctx, client, pageID)
}

// SetHours sets the hours to spend on a client's targets.
func (a *App) SetHours(ctx context.Context, client int64, hours float64) error {
	if math.IsNaN(hours) || hours < 0 || hours > 1000 {
		return Invalid{"hours are a number from 0 to 1000"}
	}
	return a.db.Write(ctx, func(tx *store.Tx) error { return tx.SetHours(client, hours) })
}

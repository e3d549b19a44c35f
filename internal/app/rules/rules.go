// Package rules keeps the figures that a user changed, for the workspace and
// for single clients.
package rules

import (
	"context"
	"inktally/internal/wording/yardsticks"

	"inktally/core/fault"
	"inktally/core/yardstick"
	"inktally/internal/app/merge"
	"inktally/internal/export"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Yardstick keeps figures.
type Yardstick struct{ DB *store.DB }

// Figures lists the figures of a client, those of the workspace for client 0.
func (y *Yardstick) Figures(ctx context.Context, id int64) ([]view.Figure, error) {
	out := []view.Figure{}
	err := y.DB.Read(ctx, func(tx *store.Tx) error {
		figures, err := figuresOf(tx, id)
		for _, f := range figures {
			out = append(out, view.Figure{Key: f.Key, Says: yardsticks.Says(f.Key),
				Group: yardsticks.Group(f), Unit: view.FigureUnit(f.Unit), Rule: f.Rule, Least: f.Least,
				Most: f.Most, Choices: append([]string{}, f.Choices...), Language: f.Language,
				Blanks: append([]string{}, f.Blanks...), Value: f.Value, Default: f.Default})
		}
		return err
	})
	return out, err
}

// figuresOf returns the figures of a client, those of the workspace for client 0; the default of a
// client's is the workspace's.
func figuresOf(tx *store.Tx, id int64) ([]yardstick.Figure, error) {
	if err := there(tx, id); err != nil {
		return nil, err
	}
	own, err := study.Yardstick(tx, id)
	if err != nil || id == 0 {
		return own.Figures(), err
	}
	workspace, err := study.Yardstick(tx, 0)
	figures, usual := own.Figures(), workspace.Figures()
	for i := range figures {
		figures[i].Default = usual[i].Value
	}
	return figures, err
}

// Change changes figures of a client, of the workspace for client 0, all of them
// or none; an empty value brings back the one that a figure differs from. was are what they were
// when the change began, as far as that is known: one that changed meanwhile is refused with both.
func (y *Yardstick) Change(ctx context.Context, id int64, changes, was map[string]string) ([]view.Figure, error) {
	err := y.DB.Write(ctx, func(tx *store.Tx) error {
		if err := changedElsewhere(tx, id, changes, was); err != nil {
			return err
		}
		for key, value := range changes {
			if err := tx.SetFigure(id, key, value); err != nil {
				return err
			}
		}
		return check(tx, id)
	})
	if err != nil {
		return nil, err
	}
	return y.Figures(ctx, id)
}

// Read changes figures to those of a file in YAML; figures that it does not name stay as
// they are, and those that are as they would be anyway are no changes.
func (y *Yardstick) Read(ctx context.Context, id int64, raw []byte) ([]view.Figure, error) {
	values, err := export.ReadYardstick(raw)
	if err != nil {
		return nil, err
	}
	figures, err := y.Figures(ctx, id)
	if err != nil {
		return nil, err
	}
	for _, f := range figures {
		if value, named := values[f.Key]; named && value == f.Default {
			values[f.Key] = ""
		}
	}
	return y.Change(ctx, id, values, nil)
}

// changedElsewhere is the fault of the first figure that is neither what it was when a change
// began nor what the change makes of it.
func changedElsewhere(tx *store.Tx, id int64, changes, was map[string]string) error {
	figures, err := figuresOf(tx, id)
	if err != nil {
		return err
	}
	for _, f := range figures {
		before, known := was[f.Key]
		want, changed := changes[f.Key]
		if !known || !changed {
			continue
		}
		if want == "" {
			want = f.Default
		}
		if _, err := merge.Merge(fault.Thing(f.Key), before, f.Value, want, merge.Text); err != nil {
			return err
		}
	}
	return nil
}

// there reports whether there is a client; the workspace always is.
func there(tx *store.Tx, id int64) error {
	if id == 0 {
		return nil
	}
	_, err := tx.Client(id)
	return err
}

package documents

import (
	"context"
	"fmt"
	"net/http"
	"slices"
	"strings"

	"inktally/core/handoff"
	"inktally/internal/paper"
	"inktally/internal/store"
	"inktally/internal/store/telling"
	"inktally/internal/view/told"
)

// The bounds of what is said to a step, and of its picture.
const (
	headRunes, pointRunes, mostPoints = 300, 2000, 40
	pictureBytes                      = 2 << 20
	mostAdded                         = 40
)

// edits returns what was changed of a walk-through.
func (h *Handoff) edits(ctx context.Context, client int64) (e handoff.Edits, err error) {
	err = h.Plan.DB.Read(ctx, func(tx *store.Tx) error {
		e, err = telling.Edits(tx, client)
		return err
	})
	return e, err
}

// editing changes a walk-through and returns it as it is then.
func (h *Handoff) editing(ctx context.Context, client int64, change func(tx *store.Tx, e handoff.Edits) error) (
	*told.Walk, error) {
	err := h.Plan.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Revision(client); err != nil {
			return err
		}
		e, err := telling.Edits(tx, client)
		if err != nil {
			return err
		}
		return change(tx, e)
	})
	if err != nil {
		return nil, err
	}
	return h.Walk(ctx, client)
}

// known reports whether a step can be changed: one that the rules have, or one that was added.
func known(e handoff.Edits, key string) bool {
	return slices.Contains(handoff.StepKinds(), handoff.StepKind(key)) || e.Steps[key].Added
}

// ChangeStep changes what is said to a step of the walk-through, or leaves it out.
func (h *Handoff) ChangeStep(ctx context.Context, client int64, key string, said told.StepSaid) (*told.Walk, error) {
	return h.editing(ctx, client, func(tx *store.Tx, e handoff.Edits) error {
		if !known(e, key) {
			return store.ErrNotFound
		}
		return telling.SetStep(tx, client, key, edit(e.Steps[key], said))
	})
}

// ResetStep takes back what was changed of a step; one that was added is gone.
func (h *Handoff) ResetStep(ctx context.Context, client int64, key string) (*told.Walk, error) {
	return h.editing(ctx, client, func(tx *store.Tx, e handoff.Edits) error {
		if !known(e, key) {
			return store.ErrNotFound
		}
		return telling.Forget(tx, client, key)
	})
}

// AddStep adds a step of the user's own behind another.
func (h *Handoff) AddStep(ctx context.Context, client int64, said told.StepSaid, behind string) (*told.Walk, error) {
	g, err := h.gather(ctx, client)
	if err != nil {
		return nil, err
	}
	return h.editing(ctx, client, func(tx *store.Tx, e handoff.Edits) error {
		key := ""
		for n := 1; key == "" || e.Steps[key].Added; n++ {
			if n > mostAdded {
				return TooManySteps.New(mostAdded)
			}
			key = fmt.Sprintf("%s-%d", handoff.OwnStep, n)
		}
		if err := telling.SetStep(tx, client, key, edit(handoff.StepEdit{Added: true}, said)); err != nil {
			return err
		}
		order := e.Keys(g.walk.Steps())
		return telling.SetOrder(tx, client, slices.Insert(order, slices.Index(order, behind)+1, key))
	})
}

// OrderSteps puts the steps of the walk-through into an order, by their keys.
func (h *Handoff) OrderSteps(ctx context.Context, client int64, keys []string) (*told.Walk, error) {
	return h.editing(ctx, client, func(tx *store.Tx, e handoff.Edits) error {
		keys = slices.DeleteFunc(slices.Clone(keys), func(k string) bool { return !known(e, k) })
		return telling.SetOrder(tx, client, keys)
	})
}

// SetPicture gives a step that was added a picture, as PNG or JPEG in base64, empty for none.
func (h *Handoff) SetPicture(ctx context.Context, client int64, key, encoded string) (*told.Walk, error) {
	picture, err := pictureOf(encoded, pictureBytes)
	if err != nil {
		return nil, err
	}
	return h.editing(ctx, client, func(tx *store.Tx, e handoff.Edits) error {
		if !e.Steps[key].Added {
			return store.ErrNotFound
		}
		return telling.SetPicture(tx, client, key, picture)
	})
}

// Picture returns the picture of a step with its media type.
func (h *Handoff) Picture(ctx context.Context, client int64, key string) (picture []byte, media string, err error) {
	err = h.Plan.DB.Read(ctx, func(tx *store.Tx) error {
		picture, err = telling.Picture(tx, client, key)
		return err
	})
	return picture, http.DetectContentType(picture), err
}

// edit changes what is said to a step, as it is kept: nothing that no reader can show, nothing without end.
func edit(e handoff.StepEdit, said told.StepSaid) handoff.StepEdit {
	e.Dropped = said.Dropped
	if said.Head != nil {
		e.Head = short(*said.Head, headRunes)
	}
	if said.Points != nil {
		e.Points = nil
	}
	for _, p := range said.Points[:min(len(said.Points), mostPoints)] {
		if p = short(p, pointRunes); p != "" {
			e.Points = append(e.Points, p)
		}
	}
	return e
}

// short cleans a text, and cuts it after so many characters.
func short(s string, most int) string {
	s = strings.TrimSpace(paper.Clean(s))
	if r := []rune(s); len(r) > most {
		s = string(r[:most])
	}
	return s
}

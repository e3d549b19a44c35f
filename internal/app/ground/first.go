package ground

import (
	"context"
	"slices"

	"inktally/core/book"
	"inktally/internal/store"
)

// SetFirst keeps a family that a page carries as its first one; an empty key leaves it to the rule (9.2).
func (g *Ground) SetFirst(ctx context.Context, id, page int64, family string) error {
	return g.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := g.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		carries := func(f book.Family) bool { return f.Key == family && !f.Near }
		if family != "" && !slices.ContainsFunc(k.Known.Shown(page), carries) {
			return store.ErrNotFound
		}
		return tx.SetFirst(id, page, family)
	})
}

package book

import (
	"context"
	"reflect"

	"inktally/core/intent"
	"inktally/core/text"
	"inktally/internal/app/client"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Lists returns the lists of words of a client.
func (b *Book) Lists(ctx context.Context, id int64) (*view.ListsOfWords, error) {
	out := &view.ListsOfWords{}
	err := b.DB.Read(ctx, func(tx *store.Tx) error {
		c, err := tx.Client(id)
		if err != nil {
			return err
		}
		g, err := tx.Ground(id)
		if err != nil {
			return err
		}
		out.Lists, out.Language = view.ListsOf(client.ListsOf(c, g.Services)), c.Language
		out.Standard = reflect.DeepEqual(out.Lists, view.ListsOf(intent.ListsOfServices(c.Language, g.Services)))
		return nil
	})
	return out, err
}

// SaveLists replaces the lists of words of a client; null brings back those of
// its language.
func (b *Book) SaveLists(ctx context.Context, id int64, lists *view.Lists) (*view.ListsOfWords, error) {
	var kept *intent.Lists
	if lists != nil {
		clean := lists.Core().Each(func(entries []string) (out []string) {
			for _, e := range entries {
				if e = text.Collapse(e); len(text.Tokens(e)) > 0 {
					out = append(out, e)
				}
			}
			return out
		})
		kept = &clean
	}
	if err := b.DB.Write(ctx, func(tx *store.Tx) error { return tx.SetLists(id, kept) }); err != nil {
		return nil, err
	}
	return b.Lists(ctx, id)
}

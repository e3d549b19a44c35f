package phrasebook

import (
	"context"
	"reflect"

	"inktally/core/intent"
	"inktally/core/text"
	"inktally/internal/app/merge"
	"inktally/internal/store"
	"inktally/internal/study"
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
		out.Lists, out.Language = view.ListsOf(study.ListsOf(c, g.Services)), c.Language
		out.Standard = reflect.DeepEqual(out.Lists, view.ListsOf(intent.ListsOfServices(c.Language, g.Services)))
		return nil
	})
	return out, err
}

// SaveLists replaces the lists of words of a client; null brings back those of its language.
// was is what the change was made from, nil if that is not known: then words that were added
// or taken away elsewhere meanwhile stay so.
func (b *Book) SaveLists(ctx context.Context, id int64, lists, was *view.Lists) (*view.ListsOfWords, error) {
	err := b.DB.Write(ctx, func(tx *store.Tx) error {
		g, err := tx.Ground(id)
		if err != nil {
			return err
		}
		if lists == nil {
			return tx.SetLists(id, nil)
		}
		kept := cleanLists(lists.Core())
		if was != nil {
			kept = kept.Merge(cleanLists(was.Core()), study.ListsOf(g.Client, g.Services), merge.List)
		}
		return tx.SetLists(id, &kept)
	})
	if err != nil {
		return nil, err
	}
	return b.Lists(ctx, id)
}

// cleanLists are lists without entries that hold no word.
func cleanLists(lists intent.Lists) intent.Lists {
	return lists.Each(func(entries []string) (out []string) {
		for _, e := range entries {
			if e = text.Collapse(e); len(text.Tokens(e)) > 0 {
				out = append(out, e)
			}
		}
		return out
	})
}

package app

import (
	"context"
	"encoding/json"
	"reflect"

	"inktally/core/phrase"
	"inktally/core/text"
	"inktally/internal/store"
)

// ListsOfWords are a client's lists by which intents are told.
type ListsOfWords struct {
	phrase.Lists
	Language string `json:"language"`
	// Standard tells that they are those that the program comes with.
	Standard bool `json:"standard" doc:"Whether they are those that the program comes with"`
}

// listsOf returns the lists of a client: its own, else those of its language.
func listsOf(c store.Client) (l phrase.Lists, err error) {
	if c.Lists == "" {
		return phrase.ListsFor(c.Language), nil
	}
	return l, json.Unmarshal([]byte(c.Lists), &l)
}

// Lists returns the lists of words of a client.
func (a *App) Lists(ctx context.Context, client int64) (*ListsOfWords, error) {
	out := &ListsOfWords{}
	err := a.db.Read(ctx, func(tx *store.Tx) error {
		c, err := tx.Client(client)
		if err != nil {
			return err
		}
		out.Lists, err = listsOf(c)
		out.Language = c.Language
		return err
	})
	if err != nil {
		return nil, err
	}
	out.Lists = out.Lists.Each(func(entries []string) []string { return append([]string{}, entries...) })
	out.Standard = reflect.DeepEqual(out.Lists, phrase.ListsFor(out.Language).Each(func(e []string) []string { return append([]string{}, e...) }))
	return out, nil
}

// SaveLists replaces the lists of words of a client; null brings back those of
// its language.
func (a *App) SaveLists(ctx context.Context, client int64, lists *phrase.Lists) (*ListsOfWords, error) {
	kept := ""
	if lists != nil {
		clean := lists.Each(func(entries []string) (out []string) {
			for _, e := range entries {
				if e = text.Collapse(e); len(text.Tokens(e)) > 0 {
					out = append(out, e)
				}
			}
			return out
		})
		raw, err := json.Marshal(clean)
		if err != nil {
			return nil, err
		}
		kept = string(raw)
	}
	if err := a.db.Write(ctx, func(tx *store.Tx) error { return tx.SetLists(client, kept) }); err != nil {
		return nil, err
	}
	return a.Lists(ctx, client)
}

package phrasebook

import (
	"context"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/phrase"
	"inktally/core/text"
	"inktally/internal/store"
	"inktally/internal/view"
)

// PlacePhrases puts phrases of a client's book in the family of another one:
// with is that one's text, the phrase's own for one that stands alone, and
// empty if the rule decides again.
func (b *Book) PlacePhrases(ctx context.Context, client int64, phrases []string, with string) (*view.Book, error) {
	if with != "" && len(text.Tokens(with)) == 0 {
		return nil, fault.PhraseNoWord.New(with)
	}
	err := b.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		for _, p := range phrases {
			if err := tx.SetPhraseWith(client, phrase.Fold(p), phrase.Fold(with)); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return b.Get(ctx, client)
}

// ChooseFamily keeps what the user said of families.
func (b *Book) ChooseFamily(ctx context.Context, client int64, keys []string, c book.Choice) (*view.Book, error) {
	err := b.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		had, err := tx.BookChoices(client)
		if err != nil {
			return err
		}
		for _, key := range keys {
			next := c
			if next.Lead == "" {
				next.Lead = had[key].Lead
			}
			if err := tx.SetBookChoice(client, key, next); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return b.Get(ctx, client)
}

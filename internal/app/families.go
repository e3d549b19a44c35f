package app

import (
	"context"
	"fmt"

	"inktally/core/phrase"
	"inktally/core/text"
	"inktally/internal/store"
)

// PlacePhrases puts phrases of a client's book in the family of another one:
// with is that one's text, the phrase's own for one that stands alone, and
// empty where the rule decides again.
func (a *App) PlacePhrases(ctx context.Context, client int64, phrases []string, with string) (*Book, error) {
	if with != "" && len(text.Tokens(with)) == 0 {
		return nil, Invalid{fmt.Sprintf("%q holds no word", with)}
	}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		for _, p := range phrases {
			if err := tx.SetPhraseWith(client, folded(p), folded(with)); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return a.Book(ctx, client)
}

// ChooseFamily keeps what the user said of families.
func (a *App) ChooseFamily(ctx context.Context, client int64, keys []string, c phrase.FamilyChoice) (*Book, error) {
	if c.State != "" && c.State != "kept" && c.State != "aside" {
		return nil, Invalid{"a family is kept or set aside"}
	}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
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
	return a.Book(ctx, client)
}

// JudgeWord keeps what the user said of a word: a verdict, the word that it is
// tied to, or nothing any more.
func (a *App) JudgeWord(ctx context.Context, client int64, word, verdict, tiedTo string) (*Book, error) {
	one := func(s string) (string, error) {
		tokens := text.Tokens(s)
		if len(tokens) != 1 {
			return "", Invalid{fmt.Sprintf("%q is not one word", s)}
		}
		return tokens[0], nil
	}
	w := store.BookWord{Verdict: verdict}
	var err error
	if w.Word, err = one(word); err != nil {
		return nil, err
	}
	if tiedTo != "" {
		if w.TiedTo, err = one(tiedTo); err != nil {
			return nil, err
		}
		if w.TiedTo == w.Word {
			return nil, Invalid{"a word cannot be tied to itself"}
		}
	}
	err = a.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		return tx.SetBookWord(client, w)
	})
	if err != nil {
		return nil, err
	}
	return a.Book(ctx, client)
}

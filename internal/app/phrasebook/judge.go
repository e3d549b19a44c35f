package phrasebook

import (
	"context"

	"inktally/core/book"
	"inktally/core/phrase"
	"inktally/core/text"
	"inktally/core/visits"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// JudgeWord keeps what the user says of a word: its verdict, or nothing. The book
// that it returns says what that changed.
func (b *Book) JudgeWord(ctx context.Context, id int64, word, verdict string) (*view.Book, error) {
	one, err := oneWord(word)
	if err != nil {
		return nil, err
	}
	return b.changing(ctx, id, func(tx *store.Tx, k *study.Known) error {
		return tx.SetBookWord(id, store.BookWord{Word: one, Verdict: verdict, TiedTo: said(k, one).TiedTo})
	})
}

// Tied is a word with what it is to be read as: another word, the parts of a
// compound, itself to be read as it is, or nothing for what the rules say.
type Tied struct{ Word, Means string }

// TieWords keeps what words are to be read as.
func (b *Book) TieWords(ctx context.Context, id int64, ties []Tied) (*view.Book, error) {
	rows := make([]store.BookWord, len(ties))
	for i, t := range ties {
		one, err := oneWord(t.Word)
		if err != nil {
			return nil, err
		}
		rows[i] = store.BookWord{Word: one, TiedTo: phrase.Fold(t.Means)}
		if t.Means != "" && rows[i].TiedTo == "" {
			return nil, NotOneWord.New(t.Means)
		}
	}
	return b.changing(ctx, id, func(tx *store.Tx, k *study.Known) error {
		for _, row := range rows {
			row.Verdict = said(k, row.Word).Verdict
			if err := tx.SetBookWord(id, row); err != nil {
				return err
			}
		}
		return nil
	})
}

// SetArea says where the searches of phrases were counted: of those of which it is
// not known, where none are named.
func (b *Book) SetArea(ctx context.Context, id int64, area visits.Area, phrases []int64) (*view.Book, error) {
	return b.changing(ctx, id, func(tx *store.Tx, k *study.Known) error {
		named := map[int64]bool{}
		for _, p := range phrases {
			named[p] = true
		}
		for _, p := range k.Phrases {
			if named[p.ID] || len(phrases) == 0 && p.Area == "" && p.Volume != nil {
				if err := tx.SetPhraseArea(id, p.ID, area); err != nil {
					return err
				}
			}
		}
		return nil
	})
}

// changing changes what is known of a client and returns the book with what that
// changed in it.
func (b *Book) changing(ctx context.Context, id int64, change func(*store.Tx, *study.Known) error) (*view.Book, error) {
	var before *study.Study
	err := b.DB.Write(ctx, func(tx *store.Tx) (err error) {
		if before, err = b.Studies.In(ctx, tx, id); err != nil {
			return err
		}
		return change(tx, before.Known)
	})
	if err != nil {
		return nil, err
	}
	earlier := before.Families()
	out, now, err := b.get(ctx, id)
	if err != nil {
		return nil, err
	}
	out.Changed = view.BookChangeOf(book.Compare(earlier, now))
	return out, nil
}

// said returns what the user said of a word so far.
func said(k *study.Known, word string) store.BookWord {
	for _, w := range k.Words {
		if w.Word == word {
			return w
		}
	}
	return store.BookWord{}
}

func oneWord(s string) (string, error) {
	tokens := text.Tokens(s)
	if len(tokens) != 1 {
		return "", NotOneWord.New(s)
	}
	return tokens[0], nil
}

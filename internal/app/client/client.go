// Package client loads what is known of a client once, for all use cases that
// judge by it: its ground, its phrases with the pages that they were typed for,
// what its user said of words and families, and its yardstick.
package client

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/yardstick"
	"inktally/internal/store"
)

// Known is all that is known of a client.
type Known struct {
	store.Ground
	// Phrases are those of its book; those that were typed for a page are tied
	// to it (rule 9.1).
	Phrases   []book.Phrase
	Choices   map[string]book.Choice
	Words     []store.BookWord
	Lists     intent.Lists
	Rivals    []string // names of firms in its lineup
	Entries   []store.Entry
	Yardstick yardstick.Yardstick
}

// Load loads what is known of a client.
func Load(tx *store.Tx, id int64) (k *Known, err error) {
	k = &Known{}
	if k.Ground, err = tx.Ground(id); err != nil {
		return nil, err
	}
	k.Lists = ListsOf(k.Client)
	if k.Phrases, err = tx.BookPhrases(id); err != nil {
		return nil, err
	}
	k.tie()
	if k.Choices, err = tx.BookChoices(id); err != nil {
		return nil, err
	}
	if k.Words, err = tx.BookWords(id); err != nil {
		return nil, err
	}
	if k.Entries, err = tx.Entries(id); err != nil {
		return nil, err
	}
	for _, e := range k.Entries {
		if e.Kind == lineup.Business {
			k.Rivals = append(k.Rivals, lineup.NameOf(e.Name, e.URL))
		}
	}
	k.Yardstick, err = Yardstick(tx, id)
	return k, err
}

// Yardstick loads the yardstick of a client: the workspace's figures over the
// standard ones, and the client's own over these. Figures that contradict one
// another by now are left out.
func Yardstick(tx *store.Tx, id int64) (yardstick.Yardstick, error) {
	y := yardstick.Standard()
	for _, of := range slices.Compact([]int64{0, id}) {
		changes, err := tx.YardstickChanges(of)
		if err != nil {
			return y, err
		}
		if changed, err := y.With(changes); err == nil {
			y = changed
		}
	}
	return y, nil
}

// CheckYardstick is the fault of a client's figures, nil if there is none.
func CheckYardstick(tx *store.Tx, id int64) error {
	y := yardstick.Standard()
	for _, of := range slices.Compact([]int64{0, id}) {
		changes, err := tx.YardstickChanges(of)
		if err != nil {
			return err
		}
		if y, err = y.With(changes); err != nil {
			return err
		}
	}
	return nil
}

// ListsOf are the lists of words of a client: its own, else those of its
// language.
func ListsOf(c store.Client) intent.Lists {
	if c.Lists == nil {
		return intent.ListsFor(c.Language)
	}
	return *c.Lists
}

// tie puts the pages on the phrases that were typed for them. One that is not in
// the book yet makes a book of itself.
func (k *Known) tie() {
	at := map[string]int{}
	for i, p := range k.Phrases {
		at[phrase.Fold(p.Text)] = i
	}
	for n, typed := range k.Typed {
		key := phrase.Fold(typed.Text)
		i, ok := at[key]
		if !ok {
			i = len(k.Phrases)
			at[key] = i
			k.Phrases = append(k.Phrases, book.Phrase{Text: strings.ToLower(typed.Text)})
		}
		if k.Phrases[i].Typed == 0 {
			k.Phrases[i].Page, k.Phrases[i].Typed = typed.Page, n+1
		}
	}
}

// TypedFor are the phrases that were typed for a page, in their order.
func TypedFor(g store.Ground, page int64) []string {
	out := []string{}
	for _, t := range g.Typed {
		if t.Page == page {
			out = append(out, t.Text)
		}
	}
	return out
}

// Language is what the client's phrases are read with.
func (k *Known) Language() phrase.Language {
	return phrase.LanguageOf(k.Client.Language, k.Places, k.Corrections())
}

// Judge judges phrases for the client. It is for one goroutine.
func (k *Known) Judge() *intent.Judge {
	g := intent.Ground{
		Language: k.Language().Remembering(), Services: k.Services, Names: append([]string{k.Client.Name}, k.Rivals...),
		Trade: k.Client.Trade, Lists: k.Lists, Verdicts: map[string]intent.Verdict{},
	}
	for _, w := range k.Words {
		if w.Verdict != "" {
			g.Verdicts[w.Word] = intent.Verdict(w.Verdict)
		}
	}
	return intent.NewJudge(g)
}

// Ties are the words that the user has tied as one.
func (k *Known) Ties() phrase.Ties {
	groups := map[string]int{}
	out := phrase.Ties{}
	for _, w := range k.Words {
		if w.TiedTo == "" {
			continue
		}
		at, ok := groups[w.TiedTo]
		if !ok {
			at = len(out)
			groups[w.TiedTo] = at
			out = append(out, []string{w.TiedTo})
		}
		out[at] = append(out[at], w.Word)
	}
	return out
}

// Corrections are what the user corrected of words and phrases.
func (k *Known) Corrections() phrase.Corrections {
	c := phrase.Corrections{Ties: k.Ties(), With: map[string]string{}, Small: k.Lists.Small}
	for _, p := range k.Phrases {
		if p.With != "" {
			c.With[phrase.Fold(p.Text)] = p.With
		}
	}
	return c
}

// Families are those of the client's book, with the pages that carry them. It is
// the one source of families and their gains for book, sheet and targets
// (rule 9.1).
func (k *Known) Families() []book.Family {
	in := book.Input{Phrases: k.Phrases, Judge: k.Judge(), Choices: k.Choices, Services: k.Services, Home: k.Home().Name,
		Rules: k.Yardstick.Book, Visits: k.Yardstick.Visits, Customers: k.Client.Customers}
	for _, p := range k.Pages {
		in.Pages = append(in.Pages, book.Page{ID: p.ID, Kind: p.Kind, Service: p.Service, Place: p.Place})
	}
	return book.Families(in)
}

// OfPage are the families that a page carries, in order of gain.
func (k *Known) OfPage(page int64) []book.Family {
	return book.OfPage(k.Families(), page, k.Yardstick.Book.PageFamilies)
}

// Home is the home town, empty if none is known.
func (k *Known) Home() place.Place {
	home, _ := place.Home(k.Places)
	return home
}

// RivalEntries are the rivals of the lineup, in the order in which they stand
// beside the client.
func (k *Known) RivalEntries() []store.Entry { return RivalsOf(k.Entries, k.Yardstick.Lineup) }

// RivalsOf are the rivals among entries, in their order, each page once.
func RivalsOf(entries []store.Entry, rules lineup.Rules) []store.Entry {
	list := make([]lineup.Entry, len(entries))
	for i, e := range entries {
		list[i] = e.Entry
	}
	var out []store.Entry
	for _, i := range rules.Rivals(list) {
		out = append(out, entries[i])
	}
	return out
}

// ReadingKey is under which address the readings of a page are kept. What is
// pasted for a page without an address has one of its own.
func ReadingKey(p store.Page) string {
	if p.URL == "" {
		return fmt.Sprintf("pasted:%d", p.ID)
	}
	return p.URL
}

// HomePage finds the home page among a client's pages.
func HomePage(pages []store.Page) (store.Page, error) {
	for _, p := range pages {
		if p.Kind == site.Home {
			return p, nil
		}
	}
	return store.Page{}, store.ErrNotFound
}

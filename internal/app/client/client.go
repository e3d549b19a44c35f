// Package client loads what is known of a client once, for all use cases that
// judge by it: its ground, its phrases with the pages that they were typed for,
// what its user said of words and families, and its yardstick.
package client

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/book"
	"inktally/core/gazetteer"
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
	Phrases []book.Phrase
	Choices map[string]book.Choice
	Words   []store.BookWord
	Lists   intent.Lists
	Rivals  []string // names of firms in its lineup
	// Entries are those of its main lineup, with the pages that were typed in; Lineups
	// are all recorded searches, the newest first.
	Entries   []store.Entry
	Lineups   []store.Lineup
	Yardstick yardstick.Yardstick
	// Towns are those that ship, and those of the file.
	Towns *gazetteer.Gazetteer

	read     *reading      // of its phrases, once asked for
	recorded []store.Entry // of all lineups
	families []book.Family // once asked for
}

// Load loads what is known of a client.
func Load(tx *store.Tx, id int64) (k *Known, err error) {
	k = &Known{}
	if k.Ground, err = tx.Ground(id); err != nil {
		return nil, err
	}
	k.Lists = ListsOf(k.Client, k.Services)
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
	if err = k.loadLineups(tx); err != nil {
		return nil, err
	}
	for _, e := range k.recorded {
		if e.Kind == lineup.Business || e.Kind == lineup.Chain {
			k.Rivals = append(k.Rivals, lineup.NameOf(e.Name, e.URL))
		}
	}
	towns, err := tx.Towns()
	if err != nil {
		return nil, err
	}
	k.Towns = gazetteer.World().With(towns)
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

// YardstickAs is the yardstick that a client, or the workspace for client 0, would have with
// changes: an empty value brings back the one that a figure differs from. Its error is the
// first contradiction.
func YardstickAs(tx *store.Tx, id int64, changes map[string]string) (yardstick.Yardstick, error) {
	y := yardstick.Standard()
	for _, of := range slices.Compact([]int64{0, id}) {
		kept, err := tx.YardstickChanges(of)
		if err != nil {
			return y, err
		}
		if of == id {
			for key, value := range changes {
				kept[key] = value
				if value == "" {
					delete(kept, key)
				}
			}
		}
		if y, err = y.With(kept); err != nil {
			return y, err
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
// language and of those that its services are named in.
func ListsOf(c store.Client, services []intent.Service) intent.Lists {
	if c.Lists == nil {
		return intent.ListsOfServices(c.Language, services)
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

// OfPage are the families that a page carries, in order of gain.
func (k *Known) OfPage(page int64) []book.Family { return k.Shown(k.Families(), page) }

// Shown are those of a book's families that a page carries.
func (k *Known) Shown(all []book.Family, page int64) []book.Family {
	return book.OfPage(all, page, k.Yardstick.Book.PageFamilies)
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

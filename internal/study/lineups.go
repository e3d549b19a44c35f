package study

import (
	"slices"

	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/internal/store"
)

// MainLineup returns the newest search for a phrase that was typed for the home page, else
// the newest one; the zero Lineup if none was recorded.
func (k *Known) MainLineup() store.Lineup {
	home, _ := HomePage(k.Pages)
	for _, typed := range TypedFor(k.Ground, home.ID) {
		if l, ok := k.searchFor(func(folded string) bool { return folded == phrase.Fold(typed) }); ok {
			return l
		}
	}
	if len(k.Lineups) > 0 {
		return k.Lineups[0]
	}
	return store.Lineup{}
}

// searchFor returns the newest search for a phrase.
func (k *Known) searchFor(is func(folded string) bool) (store.Lineup, bool) {
	i := slices.IndexFunc(k.Lineups, func(l store.Lineup) bool { return is(phrase.Fold(l.Phrase)) })
	if i < 0 {
		return store.Lineup{}, false
	}
	return k.Lineups[i], true
}

// EntriesOf returns the entries of a search, with the pages that were typed in.
func (k *Known) EntriesOf(id int64) []store.Entry {
	var out []store.Entry
	for _, e := range k.recorded {
		if e.LineupID == id || e.Part == lineup.Typed {
			out = append(out, e)
		}
	}
	return out
}

// LineupOf returns the search that a page is judged against: the newest for its own first
// phrase, in any of its forms; the home page's for a page that has none.
func (k *Known) LineupOf(page int64) store.Lineup {
	main := k.MainLineup()
	if page == 0 || len(k.Lineups) < 2 || !slices.ContainsFunc(k.Lineups, func(l store.Lineup) bool {
		return phrase.Fold(l.Phrase) != phrase.Fold(main.Phrase)
	}) {
		return main
	}
	return k.lineupFor(k.Shown(page), main)
}

func (k *Known) lineupFor(families []book.Family, main store.Lineup) store.Lineup {
	if len(families) == 0 {
		return main
	}
	first := families[0]
	l, ok := k.searchFor(func(folded string) bool {
		return slices.ContainsFunc(first.Members, func(m book.Phrase) bool { return phrase.Fold(m.Text) == folded })
	})
	if !ok {
		return main
	}
	return l
}

// SearchRivals returns the rivals of all searches, each site once, those of the main one
// first.
func (k *Known) SearchRivals() []store.Entry {
	out := k.RivalEntries()
	had := map[string]bool{}
	for _, e := range out {
		had[lineup.Domain(e.URL)] = true
	}
	for _, l := range k.Lineups {
		for _, e := range RivalsOf(k.EntriesOf(l.ID), k.Yardstick.Lineup) {
			if domain := lineup.Domain(e.URL); !had[domain] {
				had[domain] = true
				out = append(out, e)
			}
		}
	}
	return out
}

// Stands returns where the client stands in the map and in the organic results, 0 for nowhere.
func Stands(entries []store.Entry) (inMap, organic int) {
	for _, e := range entries {
		if e.Kind != lineup.Client || e.Paying() {
			continue
		}
		switch {
		case e.Part == lineup.Map && (inMap == 0 || e.Position < inMap):
			inMap = e.Position
		case e.Part == lineup.Organic && (organic == 0 || e.Position < organic):
			organic = e.Position
		}
	}
	return inMap, organic
}

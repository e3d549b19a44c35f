package study

import (
	"slices"

	"inktally/core/finding"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/internal/store"
)

// MainLineup returns the search in use for a phrase that was typed for the home page, else
// that in use for any; the zero Lineup if none was recorded.
func (k *Known) MainLineup() store.Lineup { return k.mainAmong(k.Lineups) }

func (k *Known) mainAmong(lineups []store.Lineup) store.Lineup {
	home, _ := HomePage(k.Pages)
	if onePhrase(lineups) {
		l, _ := k.inUse(lineups, "")
		return l
	}
	for _, typed := range k.TypedFor(home.ID) {
		if l, ok := k.inUse(lineups, phrase.New(typed, k.Language()).Family()); ok {
			return l
		}
	}
	l, _ := k.inUse(lineups, "")
	return l
}

// onePhrase reports whether all searches are for one phrase.
func onePhrase(lineups []store.Lineup) bool {
	return !slices.ContainsFunc(lineups, func(l store.Lineup) bool {
		return phrase.Fold(l.Phrase) != phrase.Fold(lineups[0].Phrase)
	})
}

// inUse returns the search for a family that was put to use last (rule 6.2), of any for an empty key.
func (k *Known) inUse(lineups []store.Lineup, family string) (out store.Lineup, ok bool) {
	for _, l := range lineups {
		if (family == "" || k.searched(l) == family) && (!ok || l.Used > out.Used) {
			out, ok = l, true
		}
	}
	return out, ok
}

// searched returns the family of what was searched for.
func (k *Known) searched(l store.Lineup) string {
	if key, ok := k.readWith().searched[l.Phrase]; ok {
		return key
	}
	return phrase.New(l.Phrase, k.Language()).Family()
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

// LineupOf returns the search that a page is judged against: the one in use for its own first
// phrase, in any of its forms; the home page's for a page that has none.
func (k *Known) LineupOf(page int64) store.Lineup { return k.LineupAmong(k.Lineups, page) }

// LineupAmong returns the one of some searches that a page is judged against.
func (k *Known) LineupAmong(lineups []store.Lineup, page int64) store.Lineup {
	main := k.mainAmong(lineups)
	if page == 0 || onePhrase(lineups) {
		return main
	}
	families := k.Shown(page)
	if len(families) == 0 {
		return main
	}
	if l, ok := k.inUse(lineups, families[0].Key); ok {
		return l
	}
	return main
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

// directories returns those that hold high places of the client's searches, those of the main one first.
func (k *Known) directories() (out []finding.Finding) {
	for _, l := range append([]store.Lineup{k.MainLineup()}, k.Lineups...) {
		out = append(out, lineup.Directories(l.Phrase, Results(k.EntriesOf(l.ID)))...)
	}
	return out
}

// Results returns entries as the rules have them.
func Results(entries []store.Entry) []lineup.Entry {
	out := make([]lineup.Entry, len(entries))
	for i := range entries {
		out[i] = entries[i].Entry
	}
	return out
}

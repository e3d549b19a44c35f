package study

import (
	"slices"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/gazetteer"
	"inktally/core/lineup"
	"inktally/core/yardstick"
	"inktally/internal/store"
	"inktally/internal/store/workspace"
)

// facts are what is loaded of a client, facet by facet.
type facts struct {
	revision store.Revision

	ground store.Ground
	towns  *gazetteer.Gazetteer
	added  []gazetteer.Town // to those that ship

	phrases []book.Phrase
	choices map[string]book.Choice
	words   []store.BookWord

	lineups []store.Lineup
	entries []store.Entry

	latest, before map[string]store.Reading
	failures       map[string]*fault.Fault
	modes          map[string]store.ReadMode
	drafts         []store.Draft

	sites map[string]store.Site
	likes []store.LikeChoice

	yardstick yardstick.Yardstick
}

// loadFacts loads the facets of a client that are others than in had, nil for nothing.
func loadFacts(tx *store.Tx, id int64, revision store.Revision, had *facts) (f *facts, err error) {
	f = &facts{}
	if had != nil {
		*f = *had
	}
	f.revision = revision
	for facet, load := range map[store.Facet]func(*store.Tx, int64) error{
		store.FacetGround: f.loadGround, store.FacetBook: f.loadBook, store.FacetLineups: f.loadLineups,
		store.FacetReadings: f.loadReadings, store.FacetSurveyed: f.loadSurveyed, store.FacetYardstick: f.loadYardstick,
	} {
		if had != nil && revision.Same(had.revision, facet) {
			continue
		}
		if err := load(tx, id); err != nil {
			return nil, err
		}
	}
	return f, nil
}

func (f *facts) loadGround(tx *store.Tx, id int64) (err error) {
	if f.ground, err = tx.Ground(id); err != nil {
		return err
	}
	towns, err := workspace.Towns(tx)
	if f.towns == nil || !slices.Equal(towns, f.added) {
		f.towns, f.added = gazetteer.World().With(towns), towns
	}
	return err
}

func (f *facts) loadBook(tx *store.Tx, id int64) (err error) {
	if f.phrases, err = tx.BookPhrases(id); err != nil {
		return err
	}
	if f.choices, err = tx.BookChoices(id); err != nil {
		return err
	}
	f.words, err = tx.BookWords(id)
	return err
}

func (f *facts) loadLineups(tx *store.Tx, id int64) (err error) {
	if f.lineups, err = tx.Lineups(id); err != nil {
		return err
	}
	f.entries, err = tx.Entries(id)
	return err
}

func (f *facts) loadReadings(tx *store.Tx, id int64) (err error) {
	if f.latest, err = tx.LatestReadings(id); err != nil {
		return err
	}
	if f.before, err = tx.ReadingsBefore(id); err != nil {
		return err
	}
	if f.failures, err = tx.Failures(id); err != nil {
		return err
	}
	if f.modes, err = tx.ReadModes(id); err != nil {
		return err
	}
	f.drafts, err = tx.Drafts(id)
	return err
}

func (f *facts) loadSurveyed(tx *store.Tx, id int64) (err error) {
	if f.sites, err = tx.Sites(id); err != nil {
		return err
	}
	f.likes, err = tx.LikeChoices(id)
	return err
}

func (f *facts) loadYardstick(tx *store.Tx, id int64) (err error) {
	f.yardstick, err = Yardstick(tx, id)
	return err
}

// known makes what is known of a client as a transaction sees it, before its own site is judged
// (followSite). It takes over what is still so of the study that was made before, nil for none.
func (s *Studies) known(tx *store.Tx, id int64, revision store.Revision, had *Study) (*Known, error) {
	var before *facts
	if had != nil {
		before = had.facts
	}
	f, err := loadFacts(tx, id, revision, before)
	if err != nil {
		return nil, err
	}
	k := f.known(s)
	k.alone()
	if had != nil {
		k.takeOver(had.Known)
	}
	k.Entries = k.EntriesOf(k.MainLineup().ID)
	return k, nil
}

// known returns what is known by facts, before anything is worked out.
func (f *facts) known(s *Studies) *Known {
	k := &Known{from: s, facts: f, Ground: f.ground, Choices: f.choices, Words: f.words, Yardstick: f.yardstick,
		Towns:    f.towns,
		recorded: f.entries, Latest: f.latest, Before: f.before, Failures: f.failures,
		Modes: f.modes, Drafts: f.drafts}
	own := map[int64]bool{}
	for _, l := range f.lineups {
		if own[l.ID] = l.OwnName; l.OwnName {
			k.NameSearches = append(k.NameSearches, l)
		} else {
			k.Lineups = append(k.Lineups, l)
		}
	}
	k.Lists = ListsOf(k.Client, k.Services)
	k.Phrases = slices.Clone(f.phrases)
	k.tie()
	for _, e := range k.recorded {
		if !own[e.LineupID] && (e.Kind == lineup.Business || e.Kind == lineup.Chain) {
			k.Rivals = append(k.Rivals, lineup.NameOf(e.Name, e.URL))
		}
	}
	return k
}

package study

import (
	"fmt"
	"reflect"
	"slices"
	"strings"
	"sync"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/gazetteer"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/outline"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/yardstick"
	"inktally/internal/store"
	"inktally/internal/study/measured"
	"inktally/internal/study/part"
)

// Known is all that is known and measured of a client, but for what was said of its plan. It
// is never changed.
type Known struct {
	// Ground has the client's pages with what they are for by now: what a person said, else
	// what the survey of its site tells.
	store.Ground
	// Phrases are those of its book; those that were typed for a page are tied
	// to it (rule 9.1).
	Phrases []book.Phrase
	Choices map[string]book.Choice
	Words   []store.BookWord
	Lists   intent.Lists
	Rivals  []string // names of firms in its lineup
	// Entries are those of its main lineup, with the pages that were typed in; Lineups
	// are all recorded searches for services, NameSearches those for its own name, which choose no rivals (rule 13.3);
	// the newest first.
	Entries               []store.Entry
	Lineups, NameSearches []store.Lineup
	Yardstick             yardstick.Yardstick
	// Towns are those that ship, and those of the file.
	Towns *gazetteer.Gazetteer
	// Latest are the latest readings by address, Before those before them.
	Latest, Before map[string]store.Reading
	// Failures are why addresses could not be read when that was last tried, Modes how they
	// are to be read.
	Failures map[string]*fault.Fault
	Modes    map[string]store.ReadMode
	// Drafts are those that were kept, the newest first.
	Drafts []store.Draft

	from     *Studies
	facts    *facts
	recorded []store.Entry // of all lineups
	// surveyed are the pages of the client's own site, by their bare addresses.
	surveyed map[string]site.Surveyed

	read     *part.Of[*readWith]
	families *part.Of[*worked]
	trees    *trees
	beside   *part.Of[*Beside]
	whole    *part.Of[*Whole]
	// wholeBefore is as it was before the pages were read the last time.
	wholeBefore *part.Of[*Whole]
	columns     *measured.Pages
	headings    *outline.Headings

	mu    sync.Mutex
	pages map[string]*part.Of[*Comparison] // by key
	held  map[int64]int64                  // bytes of the pages that it holds, by reading

	planBefore *planBefore
}

// hold notes that it holds the page of a reading.
func (k *Known) hold(reading int64, bytes int) {
	k.mu.Lock()
	defer k.mu.Unlock()
	k.held[reading] = int64(bytes)
}

// holds returns the bytes of the pages that it holds.
func (k *Known) holds() (bytes int64) {
	k.mu.Lock()
	defer k.mu.Unlock()
	for _, n := range k.held {
		bytes += n
	}
	return bytes
}

// alone gives what is known parts of its own, none of which is made yet.
func (k *Known) alone() {
	k.read, k.families, k.beside = &part.Of[*readWith]{}, &part.Of[*worked]{}, &part.Of[*Beside]{}
	k.whole, k.wholeBefore = &part.Of[*Whole]{}, &part.Of[*Whole]{}
	k.trees, k.columns, k.headings, k.pages = &trees{}, &measured.Pages{}, &outline.Headings{},
		map[string]*part.Of[*Comparison]{}
	k.held = map[int64]int64{}
}

// takeOver takes over what is the same in what was known before: what phrases are read with where nothing that
// tells it changed; judged sites and measured columns are compared one by one when they are asked for.
func (k *Known) takeOver(had *Known) {
	if k.facts.revision.Same(had.facts.revision, store.FacetGround, store.FacetBook, store.FacetLineups) {
		k.read = had.read
	}
	k.trees.had = had.trees.judged()
	if reflect.DeepEqual(k.spoken(), had.spoken()) {
		k.columns = measured.After(had.columns)
	}
}

// variant returns the same client known otherwise, as change makes it: pages and phrases are read alike.
func (k *Known) variant(change func(*Known)) *Known {
	out := &Known{Ground: k.Ground, Phrases: k.Phrases, Choices: k.Choices, Words: k.Words, Lists: k.Lists,
		Rivals: k.Rivals, Entries: k.Entries,
		Lineups: k.Lineups, NameSearches: k.NameSearches, Yardstick: k.Yardstick, Towns: k.Towns, Latest: k.Latest,
		Before:   k.Before,
		Failures: k.Failures, Modes: k.Modes,
		Drafts: k.Drafts, from: k.from, facts: k.facts, recorded: k.recorded}
	out.alone()
	out.read, out.trees, out.headings = k.read, k.trees, k.headings
	out.columns = measured.After(k.columns)
	change(out)
	if reflect.DeepEqual(out.Yardstick.Book, k.Yardstick.Book) &&
		reflect.DeepEqual(out.Yardstick.Visits, k.Yardstick.Visits) {
		out.families = k.families
	}
	return out
}

// As returns what is known with the figures of another yardstick.
func (k *Known) As(y yardstick.Yardstick) *Known {
	return k.variant(func(out *Known) { out.Yardstick = y })
}

// Yardstick loads the yardstick of a client: the workspace's figures over the
// standard ones, and the client's own over these. Figures that contradict one
// another by now are left out.
func Yardstick(tx *store.Tx, id int64) (yardstick.Yardstick, error) {
	var all []yardstick.Changes
	for _, of := range slices.Compact([]int64{0, id}) {
		changes, err := tx.YardstickChanges(of)
		if err != nil {
			return yardstick.Yardstick{}, err
		}
		all = append(all, changes)
	}
	return yardstick.Of(all...), nil
}

// ListsOf returns the lists of words of a client: its own, else those of its
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

// Shown returns the families that a page carries, its first one first.
func (k *Known) Shown(page int64) []book.Family {
	p, _ := k.Page(page) // one that is to be made has none that was kept
	return book.OfPage(k.Families(), page, p.First, k.Yardstick.Book.PageFamilies)
}

// Home returns the home town, empty if none is known.
func (k *Known) Home() place.Place {
	home, _ := place.Home(k.Places)
	return home
}

// RivalEntries returns the rivals of the lineup, in the order in which they stand
// beside the client.
func (k *Known) RivalEntries() []store.Entry { return RivalsOf(k.Entries, k.Yardstick.Lineup) }

// RivalsOf returns the rivals among entries, in their order, each page once.
func RivalsOf(entries []store.Entry, rules lineup.Rules) []store.Entry {
	var out []store.Entry
	for _, i := range rules.Rivals(Results(entries)) {
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

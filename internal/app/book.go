package app

import (
	"context"
	"sort"
	"time"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/target"
	"inktally/core/visits"
	"inktally/internal/store"
)

// Book is a client's phrase book.
type Book struct {
	Families []BookRow `json:"families" doc:"Those worth writing for first, by gain"`
	// Phrases is how many there are; Sums counts families by intent.
	Phrases int            `json:"phrases"`
	Sums    map[string]int `json:"sums" doc:"Families by intent"`
	// Pages are those that carry the families, in order of gain.
	Pages []CarrierPage `json:"pages" doc:"The pages that carry the families, in order of gain"`
	// Firms are words of the names of firms, by which families were set aside.
	Firms []Unfamiliar `json:"firms" doc:"Words of firms, by which families were set aside"`
	// Imports are the lists that were taken, the last first: that one can be
	// taken back.
	Imports []ImportInfo `json:"imports" doc:"The lists that were taken, the last first: that one can be taken back"`
	// Unfamiliar are words that stand in no list, the most frequent first.
	Unfamiliar []Unfamiliar `json:"unfamiliar"`
	// Slips are words that may be others with a letter wrong, for a tie.
	Slips []SlipCount `json:"slips"`
	// Ties are words that are taken as one, each group's first word first.
	Ties [][]string `json:"ties"`
}

// BookRow is a family with the page that carries it.
type BookRow struct {
	phrase.BookFamily
	// Carrier is the page that carries it (MEASURES 9.1): home, a service or a
	// place; empty where it is set aside.
	Carrier string `json:"carrier" doc:"The page that carries it: home, a service or a place; empty where it is set aside"`
	// PageID is the client's page that it is, 0 where that is to be made.
	PageID int64 `json:"page_id" doc:"The client's page, 0 where it is to be made"`
	// Conflict are other pages that claim the family too.
	Conflict []int64 `json:"conflict" doc:"Other pages that claim it too"`
}

// CarrierPage is a page with the families that it carries.
type CarrierPage struct {
	Kind    phrase.CarrierKind `json:"kind" enum:"home,service,area"`
	Carrier string             `json:"carrier" doc:"home, a service or a place"`
	PageID  int64              `json:"page_id" doc:"0 where the page is to be made"`
	// Families are how many it carries, Gain what they bring together.
	Families int     `json:"families"`
	Gain     float64 `json:"gain" doc:"Visits a month more, an estimate"`
	Conflict []int64 `json:"conflict" doc:"Other pages that claim the same families"`
}

// ImportInfo is a list that was taken.
type ImportInfo struct {
	ID      int64     `json:"id"`
	Name    string    `json:"name" doc:"The file, or where it came from"`
	TakenAt time.Time `json:"taken_at"`
	Added   int       `json:"added" doc:"Phrases that it added"`
	Joined  int       `json:"joined" doc:"Phrases whose figures it changed"`
	Sites   int       `json:"sites" doc:"Sites whose found-for lists it brought"`
}

// Unfamiliar is a word that stands in no list.
type Unfamiliar struct {
	Word    string `json:"word"`
	Phrases int    `json:"phrases" doc:"How many phrases hold it"`
}

// SlipCount is a likely slip of spelling.
type SlipCount struct {
	phrase.Slip
	Phrases int `json:"phrases" doc:"How many phrases hold it"`
}

// mostUnfamiliar bounds the words that are shown for a verdict.
const mostUnfamiliar = 60

// shownImports bounds the lists that are named.
const shownImports = 10

// Book works out the families of a client's phrase book.
func (a *App) Book(ctx context.Context, client int64) (*Book, error) {
	var l loaded
	var imports []store.Import
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if l, err = loadBook(tx, client); err != nil {
			return err
		}
		if l.readings, err = tx.LatestReadings(client); err != nil {
			return err
		}
		imports, err = tx.Imports(client, shownImports)
		return err
	})
	if err != nil {
		return nil, err
	}
	book := &Book{Families: []BookRow{}, Phrases: len(l.entries), Sums: map[string]int{}, Pages: []CarrierPage{}, Imports: []ImportInfo{}, Ties: l.ties()}
	for _, i := range imports {
		book.Imports = append(book.Imports, ImportInfo{i.ID, i.Name, i.TakenAt, len(i.Added), len(i.Changed), len(i.Found)})
	}
	families, carriers := l.families()
	unfamiliar, firms, slips := map[string]int{}, map[string]int{}, map[phrase.Slip]int{}
	for i, f := range families {
		row := BookRow{BookFamily: f, Conflict: []int64{}}
		if f.Kept {
			row.carry(carriers[i])
			book.sumPage(carriers[i].Kind, row)
		}
		book.Sums[string(f.Intent)]++
		for _, w := range f.Unfamiliar {
			unfamiliar[w] += len(f.Members)
		}
		if f.Intent == phrase.Brand {
			firms[f.Reason] += len(f.Members)
		}
		for _, s := range f.Slips {
			slips[s] += len(f.Members)
		}
		book.Families = append(book.Families, row)
	}
	if err := a.missed(ctx, &l, book.Families); err != nil {
		return nil, err
	}
	sort.SliceStable(book.Pages, func(i, j int) bool { return book.Pages[i].Gain > book.Pages[j].Gain })
	book.Unfamiliar, book.Firms, book.Slips = mostFrequent(unfamiliar), mostFrequent(firms), mostSlips(slips)
	return book, nil
}

// missed takes those off the near misses whose lead stands on their page
// already.
func (a *App) missed(ctx context.Context, l *loaded, rows []BookRow) error {
	near := map[int64][]*BookRow{}
	for i := range rows {
		if r := &rows[i]; r.NearMiss && r.PageID != 0 {
			near[r.PageID] = append(near[r.PageID], r)
		}
	}
	for _, p := range l.Pages {
		reading, read := l.readings[readingKey(p)]
		if !read || len(near[p.ID]) == 0 {
			continue
		}
		kept, err := a.pageOf(ctx, reading)
		if err != nil {
			return err
		}
		q := &sheet.Question{Places: l.Places, Said: l.said()}
		for _, r := range near[p.ID] {
			q.Phrases = append(q.Phrases, r.Members[0].Text)
		}
		for i, holds := range sheet.Holds(kept, q) {
			near[p.ID][i].NearMiss = !holds
		}
	}
	return nil
}

// carry puts the page that carries a family on its row.
func (r *BookRow) carry(c phrase.Carrier) {
	r.Carrier = c.Name
	if c.Kind == phrase.OnHome {
		r.Carrier = string(phrase.OnHome)
	}
	if len(c.Pages) > 0 {
		r.PageID, r.Conflict = c.Pages[0], append(r.Conflict, c.Pages[1:]...)
	}
}

// sumPage adds a family to the page that carries it.
func (b *Book) sumPage(kind phrase.CarrierKind, r BookRow) {
	for i := range b.Pages {
		if p := &b.Pages[i]; p.Kind == kind && p.Carrier == r.Carrier && p.PageID == r.PageID {
			p.Families++
			p.Gain += r.Gain
			return
		}
	}
	b.Pages = append(b.Pages, CarrierPage{Kind: kind, Carrier: r.Carrier, PageID: r.PageID, Families: 1, Gain: r.Gain, Conflict: r.Conflict})
}

// mostFrequent lists words with how many phrases hold them, bounded.
func mostFrequent(counts map[string]int) []Unfamiliar {
	out := make([]Unfamiliar, 0, len(counts))
	for w, n := range counts {
		out = append(out, Unfamiliar{Word: w, Phrases: n})
	}
	sort.Slice(out, func(i, j int) bool {
		return out[i].Phrases > out[j].Phrases || out[i].Phrases == out[j].Phrases && out[i].Word < out[j].Word
	})
	return out[:min(len(out), mostUnfamiliar)]
}

func mostSlips(counts map[phrase.Slip]int) []SlipCount {
	out := make([]SlipCount, 0, len(counts))
	for s, n := range counts {
		out = append(out, SlipCount{s, n})
	}
	sort.Slice(out, func(i, j int) bool {
		return out[i].Phrases > out[j].Phrases || out[i].Phrases == out[j].Phrases && out[i].Word < out[j].Word
	})
	return out[:min(len(out), mostUnfamiliar)]
}

// loaded is all that a phrase book is made from.
type loaded struct {
	store.Ground
	entries []phrase.BookPhrase
	choices map[string]phrase.FamilyChoice
	words   []store.BookWord
	rivals  []string
	lists   phrase.Lists
	// readings are only there for the whole book.
	readings map[string]store.Reading
}

// loadSaid loads what the user said of words and phrases; of the book's
// phrases only those that were put in another family.
func loadSaid(tx *store.Tx, client int64) (l loaded, err error) {
	if l.Ground, err = tx.Ground(client); err != nil {
		return l, err
	}
	if l.lists, err = listsOf(l.Client); err != nil {
		return l, err
	}
	if l.entries, err = tx.MovedPhrases(client); err != nil {
		return l, err
	}
	l.words, err = tx.BookWords(client)
	return l, err
}

func loadBook(tx *store.Tx, client int64) (l loaded, err error) {
	if l, err = loadSaid(tx, client); err != nil {
		return l, err
	}
	if l.entries, err = tx.BookPhrases(client); err != nil {
		return l, err
	}
	if l.choices, err = tx.BookChoices(client); err != nil {
		return l, err
	}
	entries, err := tx.Entries(client)
	for _, e := range entries {
		if e.Kind == "business" || e.Kind == "chain" {
			l.rivals = append(l.rivals, lineup.NameOf(e.Name, e.URL))
		}
	}
	return l, err
}

// ground is what intents are told by.
func (l *loaded) ground() phrase.Ground {
	g := phrase.Ground{
		Language: phrase.LanguageOf(l.Client.Language, l.Places, l.said()).Remembering(), Services: l.Services, Names: append([]string{l.Client.Name}, l.rivals...),
		Trade: l.Client.Trade, Lists: l.lists, Verdicts: map[string]phrase.Verdict{},
	}
	for _, w := range l.words {
		if w.Verdict != "" {
			g.Verdicts[w.Word] = phrase.Verdict(w.Verdict)
		}
	}
	return g
}

// ties are the words that the user has tied as one.
func (l *loaded) ties() phrase.Ties {
	groups := map[string]int{}
	out := phrase.Ties{}
	for _, w := range l.words {
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

// said is what the user said of words and phrases.
func (l *loaded) said() phrase.Said {
	said := phrase.Said{Ties: l.ties(), With: map[string]string{}, Small: l.lists.Small}
	for _, e := range l.entries {
		if e.With != "" {
			said.With[folded(e.Text)] = e.With
		}
	}
	return said
}

// families are those of the book with the pages that carry them.
func (l *loaded) families() ([]phrase.BookFamily, []phrase.Carrier) {
	families := phrase.Book(l.entries, phrase.NewSorter(l.ground()), phrase.Rules{Visits: visits.Standard(), Customers: l.Client.Customers}, l.choices)
	home, _ := place.Home(l.Places)
	var pages []phrase.SitePage
	for _, p := range l.Pages {
		if p.Kind == target.Home || p.Kind == target.Service || p.Kind == target.Area {
			pages = append(pages, phrase.SitePage{ID: p.ID, Kind: phrase.CarrierKind(p.Kind), Service: p.Service, Place: p.Place})
		}
	}
	return families, phrase.Carriers(families, pages, l.Services, home.Name)
}

// mostFamilies bounds the families for which a page is measured.
const mostFamilies = 12

// carried are the phrases of the families that a page carries, in order of
// gain, the lead of each first. Those that ask for what is near come last:
// nobody writes "near me" into a title, so that none of them can be a page's
// first family.
func (l *loaded) carried(page int64) (phrases []string) {
	families, carriers := l.families()
	n := 0
	for _, near := range []bool{false, true} {
		for i, c := range carriers {
			if len(c.Pages) == 0 || c.Pages[0] != page || families[i].Near != near || n == mostFamilies {
				continue
			}
			n++
			for _, m := range families[i].Members {
				phrases = append(phrases, m.Text)
			}
		}
	}
	return phrases
}

// Package book is the second leaf of the ground: the phrase book, the lists that
// are imported into it, what its user says of it, and what sites are found for.
package book

import (
	"cmp"
	"context"
	"maps"
	"slices"
	"time"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/sheet"
	"inktally/internal/app/client"
	"inktally/internal/app/readings"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Book keeps phrase books.
type Book struct {
	DB       *store.DB
	Readings *readings.Readings
	// Demand is nil if there is no source of search volumes.
	Demand Demander
	Now    func() time.Time
}

// The bounds of what is shown beside the families.
const (
	shownWords   = 60
	shownImports = 10
)

// Get works out the families of a client's phrase book.
func (b *Book) Get(ctx context.Context, id int64) (*view.Book, error) {
	var k *client.Known
	var latest map[string]store.Reading
	var imports []store.Import
	err := b.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if k, err = client.Load(tx, id); err != nil {
			return err
		}
		if latest, err = tx.LatestReadings(id); err != nil {
			return err
		}
		imports, err = tx.Imports(id, shownImports)
		return err
	})
	if err != nil {
		return nil, err
	}
	families := k.Families()
	if err := b.missed(ctx, k, latest, families); err != nil {
		return nil, err
	}
	out := show(families)
	out.Phrases, out.Ties, out.OtherShare = len(k.Phrases), k.Ties(), k.Yardstick.Visits.Others
	for _, i := range imports {
		out.Imports = append(out.Imports, view.ImportInfo{ID: i.ID, Name: i.Name, TakenAt: i.TakenAt, Added: len(i.Added), Joined: len(i.Changed), Sites: len(i.Found)})
	}
	return out, nil
}

// missed takes those off the near misses whose lead stands on their page
// already (rule 3.9).
func (b *Book) missed(ctx context.Context, k *client.Known, latest map[string]store.Reading, families []book.Family) error {
	near := map[int64][]*book.Family{}
	for i := range families {
		if f := &families[i]; f.NearMiss && f.Kept && f.Carrier.Page() != 0 {
			near[f.Carrier.Page()] = append(near[f.Carrier.Page()], f)
		}
	}
	for _, p := range k.Pages {
		reading, read := latest[client.ReadingKey(p)]
		if !read || len(near[p.ID]) == 0 {
			continue
		}
		kept, err := b.Readings.Page(ctx, reading)
		if err != nil {
			return err
		}
		var leads []string
		for _, f := range near[p.ID] {
			leads = append(leads, f.Lead().Text)
		}
		for i, holds := range sheet.Holds(kept, sheet.NewCriteria(sheet.Asked{Phrases: leads, Language: k.Language()})) {
			near[p.ID][i].NearMiss = !holds
		}
	}
	return nil
}

// show shows families with what they come to.
func show(families []book.Family) *view.Book {
	out := &view.Book{Families: []view.BookRow{}, Sums: map[string]int{}, Pages: []view.CarrierPage{}, Imports: []view.ImportInfo{}}
	unfamiliar, firms, slips := map[string]int{}, map[string]int{}, map[intent.Slip]int{}
	for i := range families {
		f := &families[i]
		row := view.BookRowOf(f)
		if f.Kept {
			out.Pages = carry(out.Pages, f, row)
		}
		out.Sums[string(f.Intent)]++
		for _, w := range f.Unfamiliar {
			unfamiliar[w] += len(f.Members)
		}
		if f.Reason.Code == intent.NamesFirm {
			firms[f.Reason.Words[0]] += len(f.Members)
		}
		for _, s := range f.Slips {
			slips[s] += len(f.Members)
		}
		out.Families = append(out.Families, row)
	}
	slices.SortStableFunc(out.Pages, func(a, b view.CarrierPage) int { return cmp.Compare(b.Gain, a.Gain) })
	out.Unfamiliar, out.Firms = words(unfamiliar), words(firms)
	out.Slips = []view.SlipCount{}
	for _, s := range mostFrequent(slips, func(a, b intent.Slip) int { return cmp.Compare(a.Word, b.Word) }) {
		out.Slips = append(out.Slips, view.SlipCount{Slip: view.Slip(s), Phrases: slips[s]})
	}
	return out
}

// carry adds a family to the page that carries it.
func carry(pages []view.CarrierPage, f *book.Family, row view.BookRow) []view.CarrierPage {
	kind := view.PageKind(f.Carrier.Kind)
	for i := range pages {
		if p := &pages[i]; p.Kind == kind && p.Carrier == row.Carrier && p.PageID == row.PageID {
			p.Families++
			p.Gain += row.Gain
			return pages
		}
	}
	return append(pages, view.CarrierPage{Kind: kind, Carrier: row.Carrier, PageID: row.PageID, Families: 1, Gain: row.Gain, Conflict: row.Conflict})
}

// mostFrequent lists what was counted, the most frequent first, bounded.
func mostFrequent[T comparable](counts map[T]int, compare func(a, b T) int) []T {
	out := slices.SortedFunc(maps.Keys(counts), func(a, b T) int {
		return cmp.Or(cmp.Compare(counts[b], counts[a]), compare(a, b))
	})
	return out[:min(len(out), shownWords)]
}

func words(counts map[string]int) []view.WordCount {
	out := []view.WordCount{}
	for _, w := range mostFrequent(counts, cmp.Compare[string]) {
		out = append(out, view.WordCount{Word: w, Phrases: counts[w]})
	}
	return out
}

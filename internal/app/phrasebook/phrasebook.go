// Package phrasebook is the second leaf of the ground: the phrase book, the lists that
// are imported into it, what its user says of it, and what sites are found for.
package phrasebook

import (
	"cmp"
	"context"
	"errors"
	"maps"
	"slices"
	"strings"
	"time"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/sheet"
	"inktally/internal/app/readings"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Book keeps phrase books.
type Book struct {
	DB       *store.DB
	Readings *readings.Readings
	Studies  *study.Studies
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
	out, _, err := b.get(ctx, id)
	return out, err
}

func (b *Book) get(ctx context.Context, id int64) (*view.Book, []book.Family, error) {
	k, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, nil, err
	}
	var imports []store.Import
	err = b.DB.Read(ctx, func(tx *store.Tx) (err error) {
		imports, err = tx.Imports(id, shownImports)
		return err
	})
	if err != nil {
		return nil, nil, err
	}
	families := slices.Clone(k.Families())
	if err := b.missed(ctx, k.Known, families); err != nil {
		return nil, nil, err
	}
	out := show(families, k.Known)
	for _, i := range imports {
		out.Imports = append(out.Imports,
			view.ImportInfo{ID: i.ID, Name: i.Name, TakenAt: i.TakenAt, Added: len(i.Added), Joined: len(i.Changed),
				Sites: len(i.Found)})
	}
	return out, families, nil
}

// missed takes those off the near misses whose lead stands on their page
// already (rule 3.9).
func (b *Book) missed(ctx context.Context, k *study.Known, families []book.Family) error {
	near := map[int64][]*book.Family{}
	for i := range families {
		if f := &families[i]; f.NearMiss && f.Kept && f.Carrier.Page() != 0 {
			near[f.Carrier.Page()] = append(near[f.Carrier.Page()], f)
		}
	}
	for _, p := range k.Pages {
		reading, read := k.Latest[study.ReadingKey(p)]
		if !read || len(near[p.ID]) == 0 {
			continue
		}
		kept, err := b.Readings.Page(ctx, reading)
		if errors.Is(err, store.ErrDamaged) { // it is not known what stands on it
			continue
		}
		if err != nil {
			return err
		}
		var leads []string
		for _, f := range near[p.ID] {
			leads = append(leads, f.Lead().Text)
		}
		for i, holds := range sheet.Holds(kept,
			sheet.NewCriteria(sheet.Asked{Phrases: leads, Language: k.Language()})) {
			near[p.ID][i].NearMiss = !holds
		}
	}
	return nil
}

// show shows families with what they come to.
func show(families []book.Family, k *study.Known) *view.Book {
	out := &view.Book{Families: []view.BookRow{}, Sums: map[string]int{}, Pages: []view.CarrierPage{},
		Imports:    []view.ImportInfo{},
		Unfamiliar: []view.UnknownWord{}, Likely: []view.Tie{}, Verdicts: []view.WordJudged{},
		Phrases: len(k.Phrases), Ties: k.Ties(), OtherShare: k.Yardstick.Visits.Others,
		AlsoShare: k.Yardstick.Book.AlsoShare}
	firms := map[string]int{}
	for i := range families {
		f := &families[i]
		row := view.BookRowOf(f)
		if f.Kept && !f.Waits() {
			out.Pages = carry(out.Pages, f, row)
			for _, m := range k.Members(f) {
				if m.Wanted {
					row.Wanted = append(row.Wanted, m.Text)
				}
			}
		}
		out.Sums[string(f.Intent)]++
		if f.Reason.Code == intent.NamesFirm {
			firms[f.Reason.Words[0]] += len(f.Members)
		}
		for _, m := range f.Members {
			if m.Volume != nil && m.Area == "" && f.Place == "" {
				out.NoArea++
			}
		}
		out.Families = append(out.Families, row)
	}
	slices.SortStableFunc(out.Pages, func(a, b view.CarrierPage) int { return cmp.Compare(b.Gain, a.Gain) })
	out.Firms = words(firms)
	for _, w := range book.WordsToJudge(families) {
		out.Unfamiliar = append(out.Unfamiliar,
			view.UnknownWord{Word: w.Word, Families: w.Families, Gain: w.Gain, Searches: w.Volume, Example: w.Example})
	}
	for _, t := range k.LikelyTies() {
		out.Likely = append(out.Likely,
			view.Tie{Kind: view.TieKind(t.Kind), Word: t.Word, Means: strings.Join(t.Means, " "), Made: t.Certain,
				Searches: t.Searches, Phrases: t.Phrases})
	}
	for _, w := range k.Words {
		if w.Verdict != "" {
			out.Verdicts = append(out.Verdicts, view.WordJudged{Word: w.Word, Verdict: view.WordVerdict(w.Verdict)})
		}
	}
	return out
}

// carry adds a family to the page that carries it. The gain of a page is that of
// its rows: what is folded under one is in it already (rule 3.10).
func carry(pages []view.CarrierPage, f *book.Family, row view.BookRow) []view.CarrierPage {
	kind, gain := view.PageKind(f.Carrier.Kind), row.RowGain
	if f.Under != "" {
		gain = 0
	}
	for i := range pages {
		if p := &pages[i]; p.Kind == kind && p.Carrier == row.Carrier && p.PageID == row.PageID {
			p.Families++
			p.Gain += gain
			return pages
		}
	}
	return append(pages, view.CarrierPage{Kind: kind, Carrier: row.Carrier, PageID: row.PageID, Families: 1, Gain: gain,
		Conflict: row.Conflict})
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

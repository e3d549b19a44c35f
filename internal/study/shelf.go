package study

import (
	"context"
	"errors"
	"time"

	"inktally/core/lineup"
	"inktally/core/yardstick"
	"inktally/internal/store"
)

// ShelfRow is what lists show of a client.
type ShelfRow struct {
	store.ShelfRow
	// Lead is the lead phrase of its home page: the first that was typed for it, else that of
	// its first family; empty for none.
	Lead string
	// MapPosition and OrganicPosition are where the client stands in its main search, 0 if it
	// was not found; Searched reports that there is one, Rivals how many were taken.
	MapPosition, OrganicPosition int
	Searched                     bool
	Rivals                       int
	PageFigures
}

// PageFigures are what lists show of a page.
type PageFigures struct {
	// Words are those seen, nil if the page was not read; ToWrite is what its word target
	// asks for.
	Words   *int
	ToWrite int
	TakenAt time.Time
}

// Figures returns what lists show of a page of the client.
func (k *Known) Figures(b *Beside, p store.Page) PageFigures {
	var f PageFigures
	seen, frame := 0, 0
	if r, ok := k.Latest[ReadingKey(p)]; ok {
		words := r.Facts.Words
		seen, frame, f.TakenAt, f.Words = words.Seen, words.Frame(), r.TakenAt, &words.Seen
	}
	var counted []int
	for _, b := range b.Of(p) {
		if r, ok := k.Latest[b.URL]; ok && b.URL != "" && r.Facts.Whole() && b.Counts(p.Kind) {
			counted = append(counted, r.Facts.Words.Seen)
		}
	}
	f.ToWrite = k.Yardstick.Target.Words.Of(p.Kind, seen, frame, counted).ToWrite
	return f
}

// Lead returns the lead phrase of the home page.
func (k *Known) Lead() string {
	home, _ := HomePage(k.Pages)
	if typed := k.TypedFor(home.ID); len(typed) > 0 {
		return typed[0]
	}
	if families := k.Shown(home.ID); len(families) > 0 {
		return families[0].Lead().Text
	}
	return ""
}

// Shelf lists all clients. One whose home page has a phrase that was typed for it, and that
// has one search at most, is listed by what a few statements load of all; the others by their
// studies, whose rows are remembered as long as their revisions hold.
func (s *Studies) Shelf(ctx context.Context) ([]ShelfRow, error) {
	var rows []store.ShelfRow
	var all store.OfAll
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if rows, err = tx.Shelf(); err != nil {
			return err
		}
		all, err = tx.OfAll()
		return err
	})
	out := make([]ShelfRow, 0, len(rows))
	for _, r := range rows {
		row := ShelfRow{ShelfRow: r}
		k := lightly(r, &all)
		if k == nil {
			row, err = s.shelfRow(ctx, r)
			if errors.Is(err, store.ErrNotFound) {
				continue // it was deleted meanwhile
			}
			if err != nil {
				return nil, err
			}
		} else {
			row.tell(k, &Beside{known: k, choices: chosen(all.Likes[r.ID])})
		}
		out = append(out, row)
	}
	return out, err
}

// lightly returns what is known of a client and decides on its row, nil if its families do too.
func lightly(r store.ShelfRow, all *store.OfAll) *Known {
	k := &Known{Ground: store.Ground{Client: store.Client{ID: r.ID}, Typed: all.Typed[r.ID],
		Pages: []store.Page{r.Home}},
		Lineups: all.Lineups[r.ID], recorded: all.Entries[r.ID], Latest: all.Readings[r.ID]}
	if r.Home.ID == 0 || !onePhrase(k.Lineups) || len(k.TypedFor(r.Home.ID)) == 0 {
		return nil
	}
	k.alone()
	k.Yardstick = yardstick.Of(all.Yardstick[0], all.Yardstick[r.ID])
	k.Entries = k.EntriesOf(k.MainLineup().ID)
	return k
}

// tell puts the figures of a client on its row.
func (row *ShelfRow) tell(k *Known, b *Beside) {
	row.MapPosition, row.OrganicPosition = lineup.Stands(Results(k.Entries))
	row.Searched, row.Rivals = len(k.Lineups) > 0, len(k.RivalEntries())
	row.Lead = k.Lead()
	if row.Home.ID != 0 {
		row.PageFigures = k.Figures(b, row.Home)
	}
}

// shelfRow returns the row of a client by its study.
func (s *Studies) shelfRow(ctx context.Context, r store.ShelfRow) (ShelfRow, error) {
	row := ShelfRow{ShelfRow: r}
	var revision store.Revision
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		revision, err = tx.Revision(r.ID)
		return err
	})
	if err != nil {
		return row, err
	}
	if had, ok := s.rows.Load(r.ID); ok && had.(rememberedRow).revision == revision.Number {
		return had.(rememberedRow).row, nil
	}
	study, err := s.Of(ctx, r.ID)
	if err != nil {
		return row, err
	}
	beside, err := study.Beside(ctx)
	if err != nil {
		return row, err
	}
	row.tell(study.Known, beside)
	s.rows.Store(r.ID, rememberedRow{study.Revision.Number, row})
	return row, nil
}

// rememberedRow is the row of a client at a revision.
type rememberedRow struct {
	revision int64
	row      ShelfRow
}

package app

import (
	"context"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/sheet"
	"inktally/internal/store"
)

// PageFacts is all there is on a page beside its words.
type PageFacts struct {
	Details page.Details      `json:"details"`
	Menus   [][]page.MenuItem `json:"menus" doc:"The menus as trees, folded entries too"`
	Links   []page.LinkFact   `json:"links"`
}

// MadeOf is what a page's copy is made of, and what the rivals' have in common.
type MadeOf struct {
	Sequences []sheet.Sequence `json:"sequences" doc:"The most frequent first"`
	Shared    []SharedWords    `json:"shared" doc:"What rivals have in common, those on most pages first"`
}

// SharedWords is a sequence that rivals have in common.
type SharedWords struct {
	sheet.Shared
	// Named tells those that name a service or a place of the client.
	Named bool `json:"named" doc:"It names a service or a place of the client"`
}

// MadeOf lists the words that a page of the sheet is made of, the client's
// where entry is 0, and what its rivals share.
func (a *App) MadeOf(ctx context.Context, client, pageID, entry int64) (*MadeOf, error) {
	s, err := a.study(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	sub, err := s.entryOf(entry)
	if err != nil {
		return nil, err
	}
	out := &MadeOf{Sequences: []sheet.Sequence{}, Shared: []SharedWords{}}
	if sub.column != nil {
		out.Sequences = append(out.Sequences, sheet.MadeOf(sub.column.Page)...)
	}
	var own *page.Page
	if s.client.column != nil {
		own = s.client.column.Page
	}
	var rivals []*page.Page
	for _, r := range s.read() {
		rivals = append(rivals, r.column.Page)
	}
	var l loaded
	if err := a.db.Read(ctx, func(tx *store.Tx) (err error) { l, err = loadBook(tx, client); return err }); err != nil {
		return nil, err
	}
	sorter := phrase.NewSorter(l.ground())
	for _, shared := range sheet.SharedByRivals(own, rivals) {
		out.Shared = append(out.Shared, SharedWords{shared, sorter.Names(shared.Text)})
	}
	return out, nil
}

// PageFacts shows a page of the sheet, the client's where entry is 0.
func (a *App) PageFacts(ctx context.Context, client, pageID, entry int64) (*PageFacts, error) {
	_, sub, err := a.readSubject(ctx, client, pageID, entry)
	if err != nil {
		return nil, err
	}
	p := sub.column.Page
	return &PageFacts{Details: p.Details(), Menus: p.Menus(), Links: p.LinkList()}, nil
}

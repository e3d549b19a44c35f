package app

import (
	"context"
	"fmt"
	"path"
	"strings"

	"inktally/internal/fetch/saved"
	"inktally/internal/store"
)

// Filed tells what became of a page that was found in the files of a user.
type Filed struct {
	File string `json:"file"`
	URL  string `json:"url" doc:"The address that the file tells, empty for none"`
	// Name is whose page it became, empty where it became nobody's.
	Name   string `json:"name"`
	PageID int64  `json:"page_id" doc:"The client's page that it became, 0 for a rival's or nobody's"`
	// ReadingID is the reading that it became, by which it can be taken back.
	ReadingID int64 `json:"reading_id"`
	// Problem is why it became nobody's, in one sentence.
	Problem string `json:"problem"`
}

// seat is a page of a client or a rival that a reading can be for.
type seat struct {
	key, address, name string
	page               int64
}

// AddFiles keeps the pages found in files as readings: each of the page of the
// client or the rival whose address it tells, and a single one that tells none
// of the page that it was brought for.
func (a *App) AddFiles(ctx context.Context, client, pageID, entry int64, files []saved.File) ([]Filed, error) {
	if len(files) == 0 {
		return nil, Invalid{"no file was brought"}
	}
	if len(files) > saved.MaxFiles {
		return nil, Invalid{fmt.Sprintf("more than %d files were brought at once", saved.MaxFiles)}
	}
	pages, problems := saved.Read(files)
	if len(pages) == 0 {
		return nil, Invalid{problems[0].Error()}
	}
	seats, here, err := a.seats(ctx, client, pageID, entry)
	if err != nil {
		return nil, err
	}
	out := []Filed{}
	for _, p := range pages {
		f := Filed{File: path.Base(p.File), URL: p.Document.URL}
		to := seatOf(seats, p.Document.URL)
		if to == nil && len(pages) == 1 {
			to = &here
		}
		if to == nil {
			f.Problem = "it is no page of this client or its rivals"
			if p.Document.URL == "" {
				f.Problem = "it does not tell its address: bring it by itself, on the page that it is"
			}
			out = append(out, f)
			continue
		}
		if id, err := a.keepSaved(ctx, client, *to, p); err != nil {
			f.Problem = err.Error()
		} else {
			f.Name, f.PageID, f.ReadingID = to.name, to.page, id
		}
		out = append(out, f)
	}
	for _, problem := range problems {
		file, says, _ := strings.Cut(problem.Error(), ": ")
		out = append(out, Filed{File: file, Problem: says})
	}
	return out, nil
}

func (a *App) keepSaved(ctx context.Context, client int64, to seat, p saved.Page) (int64, error) {
	b := brought{doc: p.Document, sheets: p.Sheets, base: p.Base, road: roadFile}
	if p.Archive {
		b.road = roadArchive
	}
	if b.doc.URL == "" {
		b.doc.URL = to.address
	}
	return a.keep(ctx, client, to.key, b)
}

// seats lists the pages of a client and its rivals, and the one that is asked
// for.
func (a *App) seats(ctx context.Context, client, pageID, entry int64) (list []seat, here seat, err error) {
	err = a.db.Read(ctx, func(tx *store.Tx) error {
		g, err := tx.Ground(client)
		if err != nil {
			return err
		}
		for _, p := range g.Pages {
			s := seat{readingKey(p), p.URL, g.Client.Name, p.ID}
			list = append(list, s)
			if p.ID == pageID && entry == 0 {
				here = s
			}
		}
		entries, err := tx.Entries(client)
		if err != nil {
			return err
		}
		for _, e := range entries {
			if e.URL == "" {
				continue
			}
			s := seat{e.URL, e.URL, e.Name, 0}
			list = append(list, s)
			if e.ID == entry && entry != 0 {
				here = s
			}
		}
		if here.key == "" {
			return ErrNotFound
		}
		return nil
	})
	return list, here, err
}

// seatOf finds the page that has an address.
func seatOf(list []seat, address string) *seat {
	for i := range list {
		if saved.Same(list[i].address, address) {
			return &list[i]
		}
	}
	return nil
}

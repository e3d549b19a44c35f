package readings

import (
	"context"
	"path"

	"inktally/core/fault"
	"inktally/core/reading"
	"inktally/internal/fetch/saved"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// ownedPage is a page of a client or a rival that a reading can be for.
type ownedPage struct {
	key, address, name string
	page               int64 // of the client, 0 for a rival's
}

// AddFiles keeps the pages found in files as readings: each of the page of the
// client or the rival whose address it tells, and a single one that tells none
// of the page that it was added for.
func (r *Readings) AddFiles(ctx context.Context, client, pageID, entry int64, files []saved.File) ([]view.Filed,
	error) {
	if len(files) == 0 {
		return nil, NoFile.New()
	}
	if len(files) > saved.MaxFiles {
		return nil, TooManyFiles.New(saved.MaxFiles)
	}
	pages, problems := saved.Read(files)
	if len(pages) == 0 {
		return nil, problems[0].Err
	}
	owned, here, err := r.owned(ctx, client, pageID, entry)
	if err != nil {
		return nil, err
	}
	out := []view.Filed{}
	for _, p := range pages {
		out = append(out, r.file(ctx, client, p, owned, here, len(pages) == 1))
	}
	for _, problem := range problems {
		out = append(out, failed(view.Filed{File: problem.File}, problem.Err))
	}
	return out, nil
}

// file keeps a page that was found in a file. alone reports whether it is the only
// one: it is then the page that it was added for if it tells no other.
func (r *Readings) file(ctx context.Context, client int64, p saved.Copy, owned []ownedPage, here ownedPage,
	alone bool) view.Filed {
	f := view.Filed{File: path.Base(p.File), URL: p.Document.URL}
	to, ok := withAddress(owned, p.Document.URL)
	switch {
	case ok:
	case alone:
		to = here
	case p.Document.URL == "":
		return failed(f, FileWithoutURL.New())
	default:
		return failed(f, FileOfNobody.New())
	}
	in := Incoming{Document: p.Document, Sheets: p.Sheets, Base: p.Base, Source: reading.FromFile}
	if p.Archive {
		in.Source = reading.FromArchive
	}
	if in.Document.URL == "" {
		in.Document.URL = to.address
	}
	id, err := r.Keep(ctx, client, to.key, in)
	if err != nil {
		return failed(f, err)
	}
	f.Name, f.PageID, f.ReadingID = to.name, to.page, id
	return f
}

func failed(f view.Filed, err error) view.Filed {
	why, known := fault.Of(err)
	if !known {
		why = fault.OwnMistake.New().Because(err)
	}
	f.Failure = view.FailureOf(why)
	return f
}

// owned lists the pages of a client and its rivals, and the one that is asked
// for.
func (r *Readings) owned(ctx context.Context, id, pageID, entry int64) (list []ownedPage, here ownedPage, err error) {
	err = r.DB.Read(ctx, func(tx *store.Tx) error {
		g, err := tx.Ground(id)
		if err != nil {
			return err
		}
		for _, p := range g.Pages {
			o := ownedPage{study.ReadingKey(p), p.URL, g.Client.Name, p.ID}
			list = append(list, o)
			if p.ID == pageID && entry == 0 {
				here = o
			}
		}
		entries, err := tx.Entries(id)
		if err != nil {
			return err
		}
		for _, e := range entries {
			if e.URL == "" {
				continue
			}
			o := ownedPage{e.URL, e.URL, e.Name, 0}
			list = append(list, o)
			if e.ID == entry && entry != 0 {
				here = o
			}
		}
		return nil
	})
	if err != nil {
		return nil, here, err
	}
	if entry != 0 {
		likely, err := r.besideOf(ctx, id, pageID, entry)
		if err != nil {
			return nil, here, err
		}
		if likely.key != "" {
			here = likely
			list = append(list, here)
		}
	}
	if here.key == "" {
		return nil, here, store.ErrNotFound
	}
	return list, here, nil
}

// besideOf returns the page of a rival that stands beside a page of the client, if it is
// another one than its entry's.
func (r *Readings) besideOf(ctx context.Context, id, pageID, entry int64) (ownedPage, error) {
	k, err := r.Studies.Of(ctx, id)
	if err != nil {
		return ownedPage{}, err
	}
	p, err := k.Page(pageID)
	if err != nil {
		return ownedPage{}, err
	}
	beside, err := k.Beside(ctx)
	if err != nil {
		return ownedPage{}, err
	}
	b := study.Find(beside.Of(p), entry)
	if b == nil || b.URL == "" {
		return ownedPage{}, nil
	}
	return ownedPage{b.URL, b.URL, b.Entry.Name, 0}, nil
}

// withAddress finds the page that has an address.
func withAddress(list []ownedPage, address string) (ownedPage, bool) {
	for _, o := range list {
		if saved.Same(o.address, address) {
			return o, true
		}
	}
	return ownedPage{}, false
}

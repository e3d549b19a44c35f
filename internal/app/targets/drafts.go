package targets

import (
	"context"
	"errors"

	"inktally/core/reading"
	"inktally/internal/app/readings"
	"inktally/internal/draft"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// KeepDraft keeps a draft as a version of its page: it stands on the page's sheet until a
// later one does.
func (p *Plan) KeepDraft(ctx context.Context, id int64, pageKey, name string, raw []byte) (*view.Draft, error) {
	read, err := draft.Read(name, raw)
	if err != nil {
		return nil, err
	}
	w, c, err := p.one(ctx, id, pageKey)
	if err != nil {
		return nil, err
	}
	in := readings.Incoming{Source: reading.FromDraft,
		Document: fetch.Document{URL: c.Page.URL, ContentType: "text/html; charset=utf-8", Body: read.HTML}}
	kept, err := p.Readings.Keep(ctx, id, "", in, func(tx *store.Tx, reading int64) error {
		row, err := w.row(tx, pageKey)
		if err != nil {
			return err
		}
		return tx.AddDraft(id, store.Draft{Reading: store.Reading{ID: reading}, PageID: row, Name: name,
			Format: string(read.Format)}, raw)
	})
	if err != nil {
		return nil, err
	}
	return p.Draft(ctx, id, kept)
}

// Drafts returns the kept drafts of a page, the newest first.
func (p *Plan) Drafts(ctx context.Context, id int64, pageKey string) ([]view.Draft, error) {
	s, err := p.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	out := []view.Draft{}
	c, _, err := s.PageOf(ctx, pageKey)
	if errors.Is(err, store.ErrNotFound) {
		return out, nil
	}
	if err != nil {
		return nil, err
	}
	for _, d := range c.OwnDrafts() {
		out = append(out, viewOf(c, d))
	}
	return out, nil
}

// viewOf shows a draft of a page.
func viewOf(c *study.Comparison, d store.Draft) view.Draft {
	return view.DraftOf(d.ID, c.Aim.Key, d.Name, d.Format, d.Facts.Words.Copy, d.TakenAt)
}

// Draft returns a kept draft with what was typed; that of a Word document is what was read of it.
func (p *Plan) Draft(ctx context.Context, id, readingID int64) (*view.Draft, error) {
	s, err := p.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	whole, err := s.Whole(ctx)
	if err != nil {
		return nil, err
	}
	for _, c := range whole.Pages {
		for _, d := range c.OwnDrafts() {
			if d.ID == readingID {
				return p.typed(ctx, id, d, viewOf(c, d))
			}
		}
	}
	return nil, store.ErrNotFound
}

// typed returns a draft with what was typed.
func (p *Plan) typed(ctx context.Context, client int64, d store.Draft, out view.Draft) (*view.Draft, error) {
	err := p.DB.Read(ctx, func(tx *store.Tx) error {
		body, err := tx.DraftBody(client, d.ID)
		if d.Format == string(draft.Word) && err == nil {
			body, err = tx.ReadingHTML(d.ID)
		}
		out.Text = draft.Plain(body)
		return err
	})
	return &out, err
}

// RemoveDraft removes a kept draft; the one before it stands again.
func (p *Plan) RemoveDraft(ctx context.Context, id, readingID int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.RemoveDraft(id, readingID, false) })
}

// RestoreDraft brings back a draft that was removed.
func (p *Plan) RestoreDraft(ctx context.Context, id, readingID int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.RemoveDraft(id, readingID, true) })
}

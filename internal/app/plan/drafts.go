package plan

import (
	"context"

	"inktally/core/reading"
	"inktally/internal/app/readings"
	"inktally/internal/app/sheet"
	"inktally/internal/draft"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"
)

// KeepDraft keeps a draft as a version of its page: it stands on the page's sheet until a
// later one does.
func (p *Plan) KeepDraft(ctx context.Context, id int64, pageKey, name string, raw []byte) (*view.Draft, error) {
	read, err := draft.Read(name, raw)
	if err != nil {
		return nil, err
	}
	_, c, err := p.one(ctx, id, pageKey)
	if err != nil {
		return nil, err
	}
	kept := store.Draft{Page: pageKey, Name: name, Format: string(read.Format)}
	in := readings.Incoming{Source: reading.FromDraft,
		Document: fetch.Document{URL: c.Page.URL, ContentType: "text/html; charset=utf-8", Body: read.HTML}}
	kept.ReadingID, err = p.Sheet.Readings.Keep(ctx, id, store.DraftKey(pageKey), in, func(tx *store.Tx, reading int64) error {
		kept.ReadingID = reading
		return tx.AddDraft(id, kept, raw)
	})
	if err != nil {
		return nil, err
	}
	return p.Draft(ctx, id, kept.ReadingID)
}

// Drafts are the kept drafts of a page, the newest first.
func (p *Plan) Drafts(ctx context.Context, id int64, pageKey string) ([]view.Draft, error) {
	all, pages, err := p.drafts(ctx, id)
	if err != nil {
		return nil, err
	}
	formerly := ""
	for _, page := range pages {
		if sheet.PageKey(page) == pageKey && page.Kind.ForOneSubject() {
			formerly = sheet.Purpose(page)
		}
	}
	out := []view.Draft{}
	for _, d := range all {
		if d.Page == pageKey || d.Page == formerly {
			out = append(out, view.DraftOf(d.ReadingID, d.Page, d.Name, d.Format, d.Words, d.TakenAt))
		}
	}
	return out, nil
}

// Draft is a kept draft with what was typed; that of a Word document is what was read of it.
func (p *Plan) Draft(ctx context.Context, id, readingID int64) (*view.Draft, error) {
	all, _, err := p.drafts(ctx, id)
	if err != nil {
		return nil, err
	}
	for _, d := range all {
		if d.ReadingID != readingID {
			continue
		}
		out := view.DraftOf(d.ReadingID, d.Page, d.Name, d.Format, d.Words, d.TakenAt)
		err = p.DB.Read(ctx, func(tx *store.Tx) error {
			body, err := tx.DraftBody(id, readingID)
			if d.Format == string(draft.Word) && err == nil {
				body, err = tx.ReadingHTML(readingID)
			}
			out.Text = draft.Plain(body)
			return err
		})
		return &out, err
	}
	return nil, store.ErrNotFound
}

func (p *Plan) drafts(ctx context.Context, id int64) (all []store.Draft, pages []store.Page, err error) {
	err = p.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if _, err = tx.Client(id); err != nil {
			return err
		}
		if pages, err = tx.Pages(id); err != nil {
			return err
		}
		all, err = tx.Drafts(id)
		return err
	})
	return all, pages, err
}

// RemoveDraft removes a kept draft; the one before it stands again.
func (p *Plan) RemoveDraft(ctx context.Context, id, readingID int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.RemoveDraft(id, readingID, false) })
}

// RestoreDraft brings back a draft that was removed.
func (p *Plan) RestoreDraft(ctx context.Context, id, readingID int64) error {
	return p.DB.Write(ctx, func(tx *store.Tx) error { return tx.RemoveDraft(id, readingID, true) })
}

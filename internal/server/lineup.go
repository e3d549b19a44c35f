package server

import (
	"context"

	"inktally/internal/fetch/saved"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

type searchInput struct {
	ClientPath
	Body struct {
		Phrase string `json:"phrase" maxLength:"200"`
	}
}

type rivalsInput struct {
	ClientPath
	Body struct {
		Addresses string `json:"addresses" maxLength:"20000" doc:"Parted by blanks, commas or lines"`
	}
}

type EntryPath struct {
	ClientPath
	Entry int64 `path:"entry"`
}

type takeInput struct {
	EntryPath
	Body struct {
		Taken bool `json:"taken" doc:"Used as a rival, or dismissed"`
	}
}

// resultsForm is a page of results as a form sends it.
type resultsForm struct {
	File   huma.FormFile `form:"file" required:"true" doc:"HTML, MHTML, copied text or CSV"`
	Phrase string        `form:"phrase" required:"false" doc:"What was searched for; needed to keep it"`
}

type resultsInput struct {
	ClientPath
	RawBody huma.MultipartFormFiles[resultsForm]
}

// file is the page of results of a form; in an archive there may be more than a page.
func (in *resultsInput) file() (name string, body []byte, err error) {
	return contentOf(in.RawBody.Data().File, saved.MaxBytes)
}

func (r api) lineup() {
	handle(r, post, "/clients/{client}/lineup/results/preview", "previewResults", "Show what is read of a page of search results; nothing is kept",
		func(_ context.Context, in *resultsInput) (*view.Results, error) {
			name, body, err := in.file()
			if err != nil {
				return nil, err
			}
			return r.app.Lineup.PreviewResults(name, body)
		})
	handle(r, post, "/clients/{client}/lineup/results", "keepResults", "Record a page of search results as the search for a phrase",
		func(ctx context.Context, in *resultsInput) (*view.Lineup, error) {
			name, body, err := in.file()
			if err != nil {
				return nil, err
			}
			return r.app.Lineup.KeepResults(ctx, in.Client, in.RawBody.Data().Phrase, name, body)
		})
	handle(r, get, "/clients/{client}/lineup", "lineup", "The recorded search", func(ctx context.Context, in *ClientPath) (*view.Lineup, error) {
		return r.app.Lineup.Get(ctx, in.Client)
	})
	handle(r, post, "/clients/{client}/lineup/search", "recordSearch", "Search and record the result",
		func(ctx context.Context, in *searchInput) (*view.Lineup, error) {
			return r.app.Lineup.Record(ctx, in.Client, in.Body.Phrase)
		})
	handle(r, post, "/clients/{client}/lineup/rivals", "pasteRivals", "Add addresses as rivals",
		func(ctx context.Context, in *rivalsInput) (*view.Lineup, error) {
			return r.app.Lineup.Paste(ctx, in.Client, in.Body.Addresses)
		})
	handle(r, put, "/clients/{client}/lineup/{entry}", "take", "Use an entry as a rival or dismiss it; one that is paid for becomes a rival added by hand",
		func(ctx context.Context, in *takeInput) (*view.Lineup, error) {
			return r.app.Lineup.Take(ctx, in.Client, in.Entry, in.Body.Taken)
		})
	handle(r, remove, "/clients/{client}/lineup/{entry}", "deleteEntry", "Delete an entry",
		func(ctx context.Context, in *EntryPath) (*view.Lineup, error) {
			return r.app.Lineup.Delete(ctx, in.Client, in.Entry)
		})
}

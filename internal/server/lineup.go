package server

import (
	"context"
	"slices"
	"strings"

	"inktally/core/grid"
	"inktally/core/lineup"
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

// EntryPath names a lineup entry of a client.
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

type lineupInput struct {
	ClientPath
	Lineup int64 `query:"lineup" doc:"0 for the main one"`
}

type recordedInput struct {
	ClientPath
	Lineup int64 `path:"lineup"`
}

type entryInput struct {
	ClientPath
	Body struct {
		Lineup int64  `json:"lineup" doc:"The search that it is of; 0 for a new one"`
		Phrase string `json:"phrase" required:"false" maxLength:"200" doc:"Of a new search"`
		view.EntryDraft
	}
}

type moveInput struct {
	EntryPath
	Body struct {
		Position int `json:"position" minimum:"1" maximum:"1000"`
	}
}

type kindInput struct {
	EntryPath
	Body struct {
		Kind view.EntryKind `json:"kind"`
	}
}

// DomainPath names a site of a client's lineup.
type DomainPath struct {
	ClientPath
	Domain string `path:"domain" maxLength:"255"`
}

type siteKindInput struct{ DomainPath }

type siteListInput struct {
	Body struct {
		List string `json:"list" maxLength:"100000" doc:"A line each: a domain and its kind, directory where none is told"`
	}
}

// resultsForm is a page of results as a form sends it.
type resultsForm struct {
	File   huma.FormFile `form:"file" required:"true" doc:"HTML, MHTML, copied text or CSV"`
	Phrase string        `form:"phrase" required:"false" doc:"What was searched for; needed to keep it"`
	// Continues is a number as a form has it.
	Continues int64 `form:"continues" required:"false" doc:"The search that a later page of results or a longer list of the map joins, or may join; 0 for a new one"`
	// Columns are parted by commas; a form has no lists.
	Columns string `form:"columns" required:"false" doc:"What the columns of a table hold, parted by commas; empty to guess it"`
}

type resultsInput struct {
	ClientPath
	RawBody huma.MultipartFormFiles[resultsForm]
}

// columns returns what the columns of a table hold, nil to guess it.
func (in *resultsInput) columns() (out []grid.Field) {
	typed := in.RawBody.Data().Columns
	if typed == "" {
		return nil
	}
	for _, name := range strings.Split(typed, ",") {
		field := grid.Field(name)
		if !slices.Contains(grid.Fields(), field) {
			field = grid.NoField
		}
		out = append(out, field)
	}
	return out
}

// file returns the page of results of a form; in an archive there may be more than a page.
func (in *resultsInput) file() (name string, body []byte, err error) {
	return contentOf(in.RawBody.Data().File, saved.MaxBytes)
}

func (r api) lineup() {
	handle(r, post, "/clients/{client}/lineup/results/preview", "previewResults",
		"Show what is read of a page of search results; nothing is kept",
		func(ctx context.Context, in *resultsInput) (*view.ResultsPreview, error) {
			name, body, err := in.file()
			if err != nil {
				return nil, err
			}
			beside := in.RawBody.Data().Continues
			return r.app.Lineup.PreviewResults(ctx, in.Client, beside, name, body, in.columns())
		}, takes(resultPages))
	handle(r, post, "/clients/{client}/lineup/results", "keepResults",
		"Record a page of search results as the search for a phrase",
		func(ctx context.Context, in *resultsInput) (*view.Lineup, error) {
			name, body, err := in.file()
			if err != nil {
				return nil, err
			}
			form := in.RawBody.Data()
			return r.app.Lineup.KeepResults(ctx, in.Client, form.Continues, form.Phrase, name, body, in.columns())
		}, takes(resultPages))
	handle(r, get, "/clients/{client}/lineup", "lineup", "A recorded search, the main one if none is told",
		func(ctx context.Context, in *lineupInput) (*view.Lineup, error) {
			return r.app.Lineup.Get(ctx, in.Client, in.Lineup)
		})
	handle(r, remove, "/clients/{client}/lineups/{lineup}", "forgetLineup", "Delete a recorded search",
		func(ctx context.Context, in *recordedInput) (*view.Lineup, error) {
			return r.app.Lineup.Forget(ctx, in.Client, in.Lineup)
		})
	handle(r, put, "/clients/{client}/lineups/{lineup}/use", "chooseLineup",
		"Use a recorded search: the rivals of the pages judged against it become its own",
		func(ctx context.Context, in *recordedInput) (*view.Lineup, error) {
			return r.app.Lineup.Use(ctx, in.Client, in.Lineup)
		})
	handle(r, post, "/clients/{client}/lineup/entries", "addEntry", "Add a row that was typed",
		func(ctx context.Context, in *entryInput) (*view.Lineup, error) {
			return r.app.Lineup.AddTyped(ctx, in.Client, in.Body.Lineup, in.Body.Phrase, in.Body.EntryDraft)
		})
	handle(r, put, "/clients/{client}/lineup/{entry}/position", "moveEntry",
		"Move an entry to another position of its part",
		func(ctx context.Context, in *moveInput) (*view.Lineup, error) {
			return r.app.Lineup.Move(ctx, in.Client, in.Entry, in.Body.Position)
		})
	handle(r, put, "/clients/{client}/lineup/{entry}/kind", "setEntryKind",
		"Say what the site of an entry is, for all clients",
		func(ctx context.Context, in *kindInput) (*view.Lineup, error) {
			return r.app.Lineup.SetKind(ctx, in.Client, in.Entry, lineup.Kind(in.Body.Kind))
		})
	handle(r, get, "/site-kinds", "siteKinds", "What was said of sites, for all clients",
		func(ctx context.Context, _ *struct{}) ([]view.SiteKind, error) {
			return r.app.Lineup.SiteKinds(ctx)
		})
	handle(r, put, "/site-kinds", "importSiteKinds", "Keep a list of sites with what they are, for all clients",
		func(ctx context.Context, in *siteListInput) ([]view.SiteKind, error) {
			return r.app.Lineup.ImportSites(ctx, in.Body.List)
		})
	handle(r, remove, "/clients/{client}/site-kinds/{domain}", "forgetSiteKind", "Take back what was said of a site",
		func(ctx context.Context, in *siteKindInput) (*view.Lineup, error) {
			return r.app.Lineup.ForgetSiteKind(ctx, in.Client, in.Domain)
		})
	handle(r, post, "/clients/{client}/lineup/search", "recordSearch", "Search and record the result",
		func(ctx context.Context, in *searchInput) (*view.Lineup, error) {
			return r.app.Lineup.Record(ctx, in.Client, in.Body.Phrase)
		})
	handle(r, post, "/clients/{client}/lineup/rivals", "pasteRivals", "Add addresses as rivals",
		func(ctx context.Context, in *rivalsInput) (*view.Lineup, error) {
			return r.app.Lineup.Paste(ctx, in.Client, in.Body.Addresses)
		}, takes(longEntry))
	handle(r, put, "/clients/{client}/lineup/{entry}", "take",
		"Use an entry as a rival or dismiss it; one that is paid for becomes a rival added by hand",
		func(ctx context.Context, in *takeInput) (*view.Lineup, error) {
			return r.app.Lineup.Take(ctx, in.Client, in.Entry, in.Body.Taken)
		})
	handle(r, remove, "/clients/{client}/lineup/{entry}", "deleteEntry", "Delete an entry",
		func(ctx context.Context, in *EntryPath) (*view.Lineup, error) {
			return r.app.Lineup.Delete(ctx, in.Client, in.Entry)
		})
}

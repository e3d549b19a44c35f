package server

import (
	"context"
	"fmt"
	"io"
	"mime/multipart"
	"strconv"

	"inktally/core/imagename"
	"inktally/core/target"
	"inktally/internal/app"
	"inktally/internal/fetch/saved"

	"github.com/danielgtaylor/huma/v2"
)

type evidenceInput struct {
	PagePath
	Entry  int64  `query:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
	Phrase string `query:"phrase" maxLength:"200" doc:"What is marked; a phrase of the sheet stands for its family"`
}

type draftInput struct {
	ClientPath
	Body app.PageDraft
}

type changeInput struct {
	PagePath
	Body app.PageDraft
}

type filesInput struct {
	PagePath
	RawBody multipart.Form
}

type pasteInput struct {
	PagePath
	Body struct {
		Entry int64  `json:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
		HTML  string `json:"html" doc:"The page's HTML, or its text"`
	}
}

type chooseInput struct {
	PagePath
	Body struct {
		Key string `json:"key"`
		target.Choice
	}
}

type readingPath struct {
	ClientPath
	Reading int64 `path:"reading"`
}

// file is an answer that a browser saves or shows by itself.
type file struct {
	ContentType string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Policy      string `header:"Content-Security-Policy"`
	Body        []byte
}

func (r api) pages() {
	const page = "/clients/{client}/pages/{page}"
	handle(r, post, "/clients/{client}/pages", "addPage", "Add a page of the client; without a kind its address tells what it is for",
		func(ctx context.Context, in *draftInput) (app.PageInfo, error) {
			return r.app.AddPage(ctx, in.Client, in.Body)
		})
	handle(r, put, page, "updatePage", "Change the address of a page and what it is for",
		func(ctx context.Context, in *changeInput) (app.PageInfo, error) {
			return r.app.UpdatePage(ctx, in.Client, in.Page, in.Body)
		})
	do(r, remove, page, "takePageOff", "Take a page off the client",
		func(ctx context.Context, in *PagePath) error { return r.app.TakePageOff(ctx, in.Client, in.Page) })
	do(r, post, page+"/back", "bringPageBack", "Bring a page back that was taken off, with what was said of its targets",
		func(ctx context.Context, in *PagePath) error { return r.app.BringPageBack(ctx, in.Client, in.Page) })
	handle(r, get, page+"/sheet", "sheet", "The page and its rivals', measured side by side",
		func(ctx context.Context, in *PagePath) (*app.Sheet, error) {
			return r.app.Sheet(ctx, in.Client, in.Page)
		})
	handle(r, get, page+"/evidence", "evidence", "What a figure was counted in",
		func(ctx context.Context, in *evidenceInput) (*app.Evidence, error) {
			return r.app.Evidence(ctx, in.Client, in.Page, in.Entry, in.Phrase)
		})
	handle(r, get, page+"/facts", "pageFacts", "All there is on a page beside its words",
		func(ctx context.Context, in *evidenceInput) (*app.PageFacts, error) {
			return r.app.PageFacts(ctx, in.Client, in.Page, in.Entry)
		})
	handle(r, get, page+"/made-of", "madeOf", "What a page's copy is made of, and what rivals share",
		func(ctx context.Context, in *evidenceInput) (*app.MadeOf, error) {
			return r.app.MadeOf(ctx, in.Client, in.Page, in.Entry)
		})
	handle(r, post, page+"/files", "files", "Take saved pages and web archives as readings: files in \"files\", their paths in \"paths\", the rival's entry in \"entry\"", r.files)
	handle(r, post, page+"/paste", "paste", "Take pasted HTML or text as the page's reading",
		func(ctx context.Context, in *pasteInput) (app.Filed, error) {
			return r.app.Paste(ctx, in.Client, in.Page, in.Body.Entry, in.Body.HTML)
		})
	do(r, remove, "/clients/{client}/readings/{reading}", "dropReading", "Take a reading back that was brought by mistake",
		func(ctx context.Context, in *readingPath) error { return r.app.DropReading(ctx, in.Client, in.Reading) })
	handle(r, get, page+"/targets", "targets", "What the page must have, in order",
		func(ctx context.Context, in *PagePath) (*app.Targets, error) {
			return r.app.Targets(ctx, in.Client, in.Page)
		})
	handle(r, put, page+"/targets", "choose", "Keep, change or drop a target",
		func(ctx context.Context, in *chooseInput) (*app.Targets, error) {
			return r.app.Choose(ctx, in.Client, in.Page, in.Body.Key, in.Body.Choice)
		})
	handle(r, get, page+"/brief", "brief", "The page's targets as a writer needs them",
		func(ctx context.Context, in *PagePath) (*app.Brief, error) {
			return r.app.Brief(ctx, in.Client, in.Page)
		})
	huma.Register(r.huma, operation(get, page+"/brief.md", "briefMarkdown", "The brief as Markdown"), r.briefMarkdown)
	huma.Register(r.huma, operation(get, "/clients/{client}/readings/{reading}/page", "keptPage", "The page as it was kept"), r.keptPage)
}

// files takes the files of a form; the paths tell the folders that they were in.
func (r api) files(ctx context.Context, in *filesInput) ([]app.Filed, error) {
	headers, paths := in.RawBody.File["files"], in.RawBody.Value["paths"]
	var files []saved.File
	sum := 0
	for i, h := range headers {
		f, err := h.Open()
		if err != nil {
			return nil, err
		}
		body, err := io.ReadAll(io.LimitReader(f, saved.MaxBytes+1))
		f.Close()
		if err != nil {
			return nil, err
		}
		if sum += len(body); sum > saved.MaxBytes {
			return nil, app.Invalid{Sentence: fmt.Sprintf("the files are larger than %d MB together", saved.MaxBytes>>20)}
		}
		name := h.Filename
		if i < len(paths) && paths[i] != "" {
			name = paths[i]
		}
		files = append(files, saved.File{Name: name, Body: body})
	}
	entry := int64(0)
	if v := in.RawBody.Value["entry"]; len(v) > 0 {
		entry, _ = strconv.ParseInt(v[0], 10, 64)
	}
	return r.app.AddFiles(ctx, in.Client, in.Page, entry, files)
}

func (r api) briefMarkdown(ctx context.Context, in *PagePath) (*file, error) {
	b, err := r.app.Brief(ctx, in.Client, in.Page)
	if err != nil {
		return nil, r.problem("briefMarkdown", err)
	}
	name := imagename.Slug(fmt.Sprintf("brief %s %s", b.Client, b.Page.Kind))
	return &file{
		ContentType: "text/markdown; charset=utf-8",
		Disposition: fmt.Sprintf("attachment; filename=%q", name+".md"),
		Body:        []byte(b.Markdown()),
	}, nil
}

// keptPage shows a kept page with nothing of it alive: no scripts, no request
// to any host.
func (r api) keptPage(ctx context.Context, in *readingPath) (*file, error) {
	html, contentType, err := r.app.KeptHTML(ctx, in.Client, in.Reading)
	if err != nil {
		return nil, r.problem("keptPage", err)
	}
	if contentType == "" {
		contentType = "text/html"
	}
	return &file{
		ContentType: contentType,
		Disposition: "inline",
		Policy:      "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:",
		Body:        html,
	}, nil
}

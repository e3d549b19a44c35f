package server

import (
	"context"
	"fmt"

	"inktally/core/imagename"
	"inktally/core/target"
	"inktally/internal/app"

	"github.com/danielgtaylor/huma/v2"
)

type evidenceInput struct {
	PagePath
	Entry  int64  `query:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
	Phrase string `query:"phrase" maxLength:"200" doc:"What is marked; a phrase of the sheet stands for its family"`
}

type pasteInput struct {
	PagePath
	Body struct {
		Entry int64  `json:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
		HTML  string `json:"html" doc:"The page's HTML"`
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
	handle(r, get, page+"/sheet", "sheet", "The page and its rivals', measured side by side",
		func(ctx context.Context, in *PagePath) (*app.Sheet, error) {
			return r.app.Sheet(ctx, in.Client, in.Page)
		})
	handle(r, get, page+"/evidence", "evidence", "What a figure was counted in",
		func(ctx context.Context, in *evidenceInput) (*app.Evidence, error) {
			return r.app.Evidence(ctx, in.Client, in.Page, in.Entry, in.Phrase)
		})
	do(r, post, page+"/paste", "paste", "Take pasted HTML as the page's reading", func(ctx context.Context, in *pasteInput) error {
		return r.app.Paste(ctx, in.Client, in.Page, in.Body.Entry, in.Body.HTML)
	})
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

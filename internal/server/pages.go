package server

import (
	"context"
	"encoding/json"
	"io"

	"inktally/core/fault"
	"inktally/internal/fetch/saved"
	"inktally/internal/inert"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

type evidenceInput struct {
	PagePath
	Entry  int64  `query:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
	Phrase string `query:"phrase" maxLength:"200" doc:"What is marked; a phrase of the sheet stands for its family"`
}

type draftInput struct {
	ClientPath
	Body view.PageDraft
}

type changeInput struct {
	PagePath
	Body struct {
		view.PageDraft
		Was *view.PageDraft `json:"was,omitempty" doc:"What the change was made from: what was changed elsewhere meanwhile stays, and is told where both changed one thing"`
	}
}

type firstInput struct {
	PagePath
	Body struct {
		Family string `json:"family" doc:"The key of the family; empty for the one with the most counted searches"`
	}
}

// filesForm are saved pages and web archives as a form sends them.
type filesForm struct {
	Files []huma.FormFile `form:"files" required:"true"`
	Paths string          `form:"paths" required:"false" doc:"The path of each file with its folders, as a JSON list"`
	Entry int64           `form:"entry" required:"false" doc:"The rival's lineup entry; 0 for the client's page"`
}

type filesInput struct {
	PagePath
	RawBody huma.MultipartFormFiles[filesForm]
}

type pasteInput struct {
	PagePath
	Body struct {
		Entry int64  `json:"entry" doc:"The rival's lineup entry; 0 for the client's page"`
		HTML  string `json:"html" doc:"The page's HTML, or its text"`
	}
}

// ReadingPath names a reading of a client.
type ReadingPath struct {
	ClientPath
	Reading int64 `path:"reading"`
}

// keptPath names a reading whose page is shown, with what is marked in it.
type keptPath struct {
	ReadingPath
	Mark string `query:"mark" maxLength:"300" doc:"Words that are marked as find-in-page finds them; the first has the id marked-1"`
}

// file is an answer that a browser saves or shows by itself.
type file struct {
	ContentType string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Policy      string `header:"Content-Security-Policy"`
	Prefetch    string `header:"X-DNS-Prefetch-Control"`
	Body        []byte
}

func (r api) pages() {
	const page = "/clients/{client}/pages/{page}"
	handle(r, post, "/clients/{client}/pages", "addPage",
		"Add a page of the client; without a kind its address tells what it is for",
		func(ctx context.Context, in *draftInput) (view.PageInfo, error) {
			return r.app.Ground.AddPage(ctx, in.Client, in.Body)
		})
	handle(r, put, page, "updatePage", "Change the address of a page and what it is for",
		func(ctx context.Context, in *changeInput) (view.PageInfo, error) {
			return r.app.Ground.UpdatePage(ctx, in.Client, in.Page, in.Body.PageDraft, in.Body.Was)
		})
	do(r, put, page+"/first", "setFirst", "Say which family is the first of a page, that its title and H1 are for",
		func(ctx context.Context, in *firstInput) error {
			return r.app.Ground.SetFirst(ctx, in.Client, in.Page, in.Body.Family)
		})
	do(r, remove, page, "removePage", "Remove a page of the client",
		func(ctx context.Context, in *PagePath) error { return r.app.Ground.RemovePage(ctx, in.Client, in.Page) })
	do(r, post, page+"/restore", "restorePage", "Restore a page that was removed, with what was said of its targets",
		func(ctx context.Context, in *PagePath) error {
			return r.app.Ground.RestorePage(ctx, in.Client, in.Page)
		})
	handle(r, get, page+"/sheet", "sheet", "The page and its rivals', measured side by side",
		func(ctx context.Context, in *PagePath) (*view.Sheet, error) {
			return r.app.Sheet.Get(ctx, in.Client, in.Page)
		})
	handle(r, get, page+"/evidence", "evidence", "What a figure was counted in",
		func(ctx context.Context, in *evidenceInput) (*view.Evidence, error) {
			return r.app.Sheet.Evidence(ctx, in.Client, in.Page, in.Entry, in.Phrase)
		}, heavy)
	handle(r, get, page+"/facts", "pageFacts", "All there is on a page beside its words",
		func(ctx context.Context, in *evidenceInput) (*view.PageFacts, error) {
			return r.app.Sheet.Facts(ctx, in.Client, in.Page, in.Entry)
		}, heavy)
	handle(r, get, page+"/made-of", "madeOf", "What a page's copy is made of, and what rivals share",
		func(ctx context.Context, in *evidenceInput) (*view.MadeOf, error) {
			return r.app.Sheet.MadeOf(ctx, in.Client, in.Page, in.Entry)
		}, heavy)
	handle(r, post, page+"/files", "files", "Add saved pages and web archives as readings", r.files, takes(someFiles))
	handle(r, post, page+"/paste", "paste", "Add pasted HTML or text as the page's reading",
		func(ctx context.Context, in *pasteInput) (view.Filed, error) {
			return r.app.Readings.Paste(ctx, in.Client, in.Page, in.Body.Entry, in.Body.HTML)
		}, takes(aPage))
	do(r, remove, "/clients/{client}/readings/{reading}", "removeReading", "Remove a reading that was added by mistake",
		func(ctx context.Context, in *ReadingPath) error {
			return r.app.Readings.Remove(ctx, in.Client, in.Reading)
		})
	huma.Register(r.huma, r.operation(get, "/clients/{client}/readings/{reading}/page", "keptPage",
		"The page as it was kept", heavy), r.keptPage)
}

// files takes the files of a form; the paths tell the folders that they were in.
func (r api) files(ctx context.Context, in *filesInput) ([]view.Filed, error) {
	form := in.RawBody.Data()
	var paths []string
	_ = json.Unmarshal([]byte(form.Paths), &paths) // without them the names serve
	var files []saved.File
	sum := 0
	for i, f := range form.Files {
		body, err := io.ReadAll(io.LimitReader(f, saved.MaxBytes+1))
		f.Close()
		if err != nil {
			return nil, err
		}
		if sum += len(body); sum > saved.MaxBytes {
			return nil, FilesTooLarge.New(saved.MaxBytes >> 20)
		}
		name := f.Filename
		if i < len(paths) && paths[i] != "" {
			name = paths[i]
		}
		files = append(files, saved.File{Name: name, Body: body})
	}
	return r.app.Readings.AddFiles(ctx, in.Client, in.Page, form.Entry, files)
}

// keptPage shows a kept page with nothing of it alive: no scripts, no request
// to any host.
func (r api) keptPage(ctx context.Context, in *keptPath) (*file, error) {
	html, contentType, err := r.app.Readings.KeptHTML(ctx, in.Client, in.Reading)
	if err != nil {
		return nil, r.problem(ctx, "keptPage", err)
	}
	calm, err := inert.Marked(html, contentType, in.Mark)
	if err != nil {
		return nil, r.problem(ctx, "keptPage", fault.KeptPageUnreadable.New().Because(err))
	}
	return &file{
		ContentType: "text/html; charset=utf-8",
		Disposition: "inline",
		Policy: "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:; form-action 'none'; " +
			"base-uri 'none'; frame-ancestors 'self'",
		Prefetch: "off",
		Body:     calm,
	}, nil
}

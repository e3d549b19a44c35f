// Package documents is the stop at which the work is handed to those who do it: the walk-through, the owner's plan,
// the briefs and the pencilled pages, on the screen and as files.
package documents

import (
	"context"
	"slices"
	"time"

	"inktally/core/imagename"
	"inktally/internal/app/targets"
	"inktally/internal/paper"
	"inktally/internal/study/stood"
)

// Handoff makes documents.
type Handoff struct {
	Plan *targets.Plan
	// Printer prints web pages, nil where there is no browser.
	Printer Printer
	Now     func() time.Time
	// Judged judges what comes from elsewhere.
	Judged *stood.Standings
}

// Printer prints a web page on sheets of paper, as PDF.
type Printer interface {
	// Available reports whether there is a browser.
	Available() bool
	Print(ctx context.Context, page []byte) ([]byte, error)
}

// Kind is a document that is handed over.
type Kind string

// The documents.
const (
	WalkThrough Kind = "walk"
	OwnersPlan  Kind = "plan"
	OnePage     Kind = "one-page" // the owner's plan in short
	Account     Kind = "account"  // what was done and what moved since a day
	OneBrief    Kind = "brief"
	AllBriefs   Kind = "briefs"
	Pencilled   Kind = "pencilled"
)

// Kinds returns all of them.
func Kinds() []Kind {
	return []Kind{WalkThrough, OwnersPlan, OnePage, Account, OneBrief, AllBriefs, Pencilled}
}

// OfPage reports whether a document is about one page.
func (k Kind) OfPage() bool { return k == OneBrief || k == Pencilled }

// Format is what a file is written in.
type Format string

// The formats.
const (
	HTML     Format = "html"
	Markdown Format = "md"
	DOCX     Format = "docx"
	PDF      Format = "pdf"
)

// Formats returns those that a document is written in: a pencilled page is drawn, not told.
func (k Kind) Formats() []Format {
	if k == Pencilled {
		return []Format{HTML, PDF}
	}
	return []Format{HTML, DOCX, PDF, Markdown}
}

// Type returns the media type of a format.
func (f Format) Type() string {
	return map[Format]string{HTML: "text/html; charset=utf-8", Markdown: "text/markdown; charset=utf-8",
		PDF:  "application/pdf",
		DOCX: "application/vnd.openxmlformats-officedocument.wordprocessingml.document"}[f]
}

// File is a document as a file.
type File struct {
	Name string
	Type string
	Body []byte
}

// Ask names a file: a document of a client, of a page by its key in the plan where it is about one.
type Ask struct {
	Client int64
	Kind   Kind
	Page   string
	Format Format
	// Bare leaves out why, what it brings and what it takes.
	Bare bool
	// Since is the day from which an account is given, such as 2026-11-26; empty for 30 days ago.
	Since string
}

// File writes a document.
func (h *Handoff) File(ctx context.Context, a Ask) (*File, error) {
	if !slices.Contains(a.Kind.Formats(), a.Format) {
		return nil, NoFormat.New(string(a.Format))
	}
	if a.Kind == Pencilled {
		return h.pencilledFile(ctx, a)
	}
	p, about, err := h.paper(ctx, a)
	if err != nil {
		return nil, err
	}
	out := &File{Name: fileName(a, about), Type: a.Format.Type()}
	switch a.Format {
	case Markdown:
		out.Body = paper.Markdown(p)
	case DOCX:
		out.Body, err = paper.DOCX(p)
	case HTML:
		out.Body = paper.Web(p)
	default:
		out.Body, err = h.print(ctx, paper.Web(p))
	}
	return out, err
}

func fileName(a Ask, about string) string {
	return imagename.Slug(string(a.Kind)+" "+about) + "." + string(a.Format)
}

func (h *Handoff) print(ctx context.Context, page []byte) ([]byte, error) {
	if h.Printer == nil || !h.Printer.Available() {
		return nil, NoPrinter.New()
	}
	return h.Printer.Print(ctx, page)
}

// paper puts a document on paper; about is what its file is named after.
func (h *Handoff) paper(ctx context.Context, a Ask) (p *paper.Paper, about string, err error) {
	p = &paper.Paper{}
	switch a.Kind {
	case WalkThrough:
		about, err = h.walkPaper(ctx, a.Client, p)
	case OwnersPlan:
		about, err = h.ownerPaper(ctx, a.Client, p)
	case OnePage:
		about, err = h.onePaper(ctx, a.Client, p)
	case Account:
		about, err = h.accountPaper(ctx, a, p)
	case OneBrief:
		about, err = h.briefPaper(ctx, a, p)
	default:
		about, err = h.briefsPaper(ctx, a, p)
	}
	if err != nil {
		return nil, "", err
	}
	p.Letterhead, err = h.Letterhead(ctx)
	return p, about, err
}

package server

import (
	"errors"
	"io"
	"net/http"
	"time"

	"inktally/core/fault"
	"inktally/internal/app/lineups"
	"inktally/internal/app/phrasebook"
	"inktally/internal/app/readings"
	"inktally/internal/draft"
	"inktally/internal/fetch"
	"inktally/internal/fetch/saved"
	"inktally/internal/server/gate"
	"inktally/internal/tables"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
)

// limit is how large the body of a request may be, and what is told of a larger one.
type limit struct {
	bytes int64
	fault *fault.Fault
}

// The limits. A text in JSON may take twice its length; a form has more around its files.
var (
	usual       = limit{100 << 10, BodyTooLarge.New()}
	longEntry   = limit{1 << 20, BodyTooLarge.New()}
	manyRows    = limit{2 << 20, BodyTooLarge.New()}
	wordLists   = limit{4 << 20, BodyTooLarge.New()}
	aPage       = limit{2 * fetch.MaxBody, readings.PastedTooLarge.New(fetch.MaxBody >> 20)}
	aDraft      = limit{2 * draft.MaxBytes, draft.DraftTooLarge.New(draft.MaxBytes >> 20)}
	someFiles   = limit{saved.MaxBytes + 1<<20, FilesTooLarge.New(saved.MaxBytes >> 20)}
	resultPages = limit{saved.MaxBytes + 1<<20, lineups.ResultsTooLarge.New(saved.MaxBytes >> 20)}
	aList       = limit{phrasebook.MaxList + 1<<20, tables.ListTooLarge.New(phrasebook.MaxList >> 20)}
)

// traits are what an operation is registered with, beside what its description tells.
type traits struct {
	limit
	// heavy reports that its answer or its body may be as large as a page: few of them are
	// answered at once, for they are held in memory until they are taken.
	heavy bool
	// endless reports that its answer goes on as long as somebody listens.
	endless bool
}

// option is a trait of an operation.
type option func(*traits)

// takes sets how large the body may be.
func takes(l limit) option { return func(t *traits) { t.limit = l } }

func heavy(t *traits)   { t.heavy = true }
func endless(t *traits) { t.endless = true }

const traitsKey = "traits"

// traitsOf returns those of the operation that a request is for.
func traitsOf(ctx huma.Context) traits { return ctx.Operation().Metadata[traitsKey].(traits) }

// bounded bounds the body of a request as it comes in, whatever reads it: a form is put down
// in files before anybody looks at it.
func bounded(ctx huma.Context, next func(huma.Context)) {
	c := humagin.Unwrap(ctx)
	until := time.Time{} // who listens sends nothing
	if !safe(c.Request.Method) {
		until = time.Now().Add(gate.ReadTime)
	}
	_ = http.NewResponseController(c.Writer).SetReadDeadline(until)
	c.Request.Body = &boundedBody{c.Request.Body, traitsOf(ctx).bytes}
	next(ctx)
}

// waste is how much more of a body that is too large is taken in and thrown away, so that
// whoever sends it gets to read why: a browser that is cut off while it sends does not.
const waste = 64 << 20

// boundedBody ends with an error where a body is larger than it may be.
type boundedBody struct {
	io.ReadCloser
	left int64
}

func (b *boundedBody) Read(p []byte) (int, error) {
	n, err := b.ReadCloser.Read(p)
	if b.left -= int64(n); b.left >= 0 {
		return n, err
	}
	if err == nil {
		_, _ = io.CopyN(io.Discard, b.ReadCloser, waste)
	}
	return 0, errTooLarge
}

var errTooLarge = errors.New("request body too large")

const heavyAtOnce = 2

// turns lets few heavy requests in at a time, and gives each answer its time.
type turns chan struct{}

func newTurns() turns { return make(turns, heavyAtOnce) }

func (t turns) take(ctx huma.Context, next func(huma.Context)) {
	c, is := humagin.Unwrap(ctx), traitsOf(ctx)
	if is.heavy {
		select {
		case t <- struct{}{}:
			defer func() { <-t }()
		case <-ctx.Context().Done():
			return // who asked has left
		}
	}
	until := time.Now().Add(gate.WriteTime)
	if !safe(c.Request.Method) { // its body comes first
		until = until.Add(gate.ReadTime)
	}
	if is.endless {
		until = time.Time{}
	}
	_ = http.NewResponseController(c.Writer).SetWriteDeadline(until)
	next(ctx)
}

package server

import (
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
	"inktally/internal/server/spool"
	"inktally/internal/tables"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
	"github.com/gin-gonic/gin"
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
	// heavy reports that its answer or its body may be as large as a page, or that it is worked out
	// of whole pages each time: few of them are worked on at once.
	heavy bool
	// endless reports that its answer goes on as long as somebody listens.
	endless bool
}

// option is a trait of an operation.
type option func(*traits)

// takes sets how large the body may be; more than the usual is heavy.
func takes(l limit) option {
	return func(t *traits) { t.limit, t.heavy = l, t.heavy || l.bytes > usual.bytes }
}

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
	c.Request.Body = gate.Body(c.Request.Body, traitsOf(ctx).bytes)
	if takesJSON(ctx.Operation()) {
		c.Request.Body = gate.Entries(c.Request.Body)
	}
	next(ctx)
}

// takesJSON reports whether what is sent to an operation is read as JSON, whatever it says it is.
func takesJSON(o *huma.Operation) bool {
	return o.RequestBody != nil && o.RequestBody.Content["application/json"] != nil
}

const heavyAtOnce = 2

// turns lets few heavy requests in at a time, and gives each answer its time. One takes its turn when its body is
// there, and gives it back before its answer is sent: who sends or reads slowly holds nobody up.
type turns chan struct{}

func (t turns) take(ctx huma.Context, next func(huma.Context)) {
	c, is := humagin.Unwrap(ctx), traitsOf(ctx)
	if !is.heavy {
		sendUntil(c, is.endless)
		next(ctx)
		return
	}
	c.Request.Body = spool.Body(c.Request.Body)
	defer c.Request.Body.Close()
	_ = http.NewResponseController(c.Writer).SetReadDeadline(time.Time{}) // it is there, however long its turn takes
	answer := spool.Hold(c)
	defer answer.Release(c)
	if t.work(ctx, next) {
		sendUntil(c, false)
		_ = answer.Send() // who asked may have left, or take it too slowly
	}
}

// work does what was asked for when its turn has come, and reports whether it did.
func (t turns) work(ctx huma.Context, next func(huma.Context)) bool {
	select {
	case t <- struct{}{}:
	case <-ctx.Context().Done():
		return false
	}
	defer func() { <-t }()
	next(ctx)
	return true
}

// sendUntil sets until when an answer must be taken. The body of a request that changes something comes first.
func sendUntil(c *gin.Context, endless bool) {
	until := time.Now().Add(gate.WriteTime)
	switch {
	case endless:
		until = time.Time{}
	case !safe(c.Request.Method):
		until = until.Add(gate.ReadTime)
	}
	_ = http.NewResponseController(c.Writer).SetWriteDeadline(until)
}

package server

import (
	"errors"
	"io"
	"net/http"
	"time"

	"inktally/core/fault"
	"inktally/internal/app/phrasebook"
	"inktally/internal/draft"
	"inktally/internal/fetch"
	"inktally/internal/fetch/saved"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
)

// usualBody is how large the body of a request may be; large are the bodies of operations
// that need more. A text in JSON may take twice its length.
const usualBody = 100 << 10

var large = map[string]int64{
	"paste": 2 * fetch.MaxBody, "recognize": 2 * fetch.MaxBody, "keepReceived": 2 * fetch.MaxBody,
	"files": saved.MaxBytes + 1<<20, "previewResults": saved.MaxBytes + 1<<20, "keepResults": saved.MaxBytes + 1<<20,
	"previewList": phrasebook.MaxList + 1<<20, "importList": phrasebook.MaxList + 1<<20,
	"proof": 2 * draft.MaxBytes, "keepDraft": 2 * draft.MaxBytes,
	"newClient": 2 << 20, "saveGround": 2 << 20, "quick": 1 << 20, "pasteRivals": 1 << 20, "addPhrases": 2 << 20,
	"placePhrases":   2 << 20,
	"chooseFamilies": 2 << 20, "tieWords": 2 << 20, "setArea": 1 << 20, "saveLists": 4 << 20,
	"choose": 1 << 20, "changeOutline": 1 << 20, "pasteFigures": 1 << 20, "readYardstick": 1 << 20,
}

// bodyOf is how large the body of an operation may be.
func bodyOf(id string) int64 {
	if most, ok := large[id]; ok {
		return most
	}
	return usualBody
}

// bounded bounds the body of a request as it comes in, whatever reads it: a form is put down
// in files before anybody looks at it.
func bounded(ctx huma.Context, next func(huma.Context)) {
	c := humagin.Unwrap(ctx)
	c.Request.Body = &boundedBody{c.Request.Body, bodyOf(ctx.Operation().OperationID)}
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

// tooLargeFor is the fault of a body that is larger than its operation takes.
func tooLargeFor(id string) *fault.Fault {
	switch id {
	case "previewList", "importList":
		return fault.New(fault.ListTooLarge, phrasebook.MaxList>>20)
	case "previewResults", "keepResults":
		return fault.New(fault.ResultsTooLarge, saved.MaxBytes>>20)
	case "files":
		return fault.New(fault.FilesTooLarge, saved.MaxBytes>>20)
	case "proof", "keepDraft":
		return fault.New(fault.DraftTooLarge, draft.MaxBytes>>20)
	case "paste", "recognize", "keepReceived":
		return fault.New(fault.PastedTooLarge, fetch.MaxBody>>20)
	}
	return fault.New(fault.BodyTooLarge)
}

// readTime is how long a client may take to send its body, writeTime how long to take what
// it asked for; progress is sent as long as somebody listens.
const (
	readTime  = 2 * time.Minute
	writeTime = time.Minute
)

// Server serves a handler, and waits for nobody for ever.
func Server(h http.Handler) *http.Server {
	return &http.Server{Handler: h, ReadHeaderTimeout: 10 * time.Second, WriteTimeout: writeTime, IdleTimeout: readTime,
		MaxHeaderBytes: 64 << 10}
}

// heavy are operations whose answers may be as large as a page; few of them are answered at
// once, for they are held in memory until they are taken.
var heavy = map[string]bool{"keptPage": true, "files": true, "paste": true, "recognize": true, "keepReceived": true,
	"previewResults": true, "keepResults": true,
	"importList": true, "previewList": true, "proof": true, "keepDraft": true, "draft": true}

const heavyAtOnce = 2

// turns lets few heavy requests in at a time, and gives each answer its time.
type turns chan struct{}

func newTurns() turns { return make(turns, heavyAtOnce) }

func (t turns) take(ctx huma.Context, next func(huma.Context)) {
	c, id := humagin.Unwrap(ctx), ctx.Operation().OperationID
	if heavy[id] {
		select {
		case t <- struct{}{}:
			defer func() { <-t }()
		case <-ctx.Context().Done():
			return // who asked has left
		}
	}
	until := time.Now().Add(writeTime)
	if !safe(c.Request.Method) { // its body comes first
		until = until.Add(readTime)
	}
	if id == "progress" {
		until = time.Time{}
	}
	_ = http.NewResponseController(c.Writer).SetWriteDeadline(until)
	next(ctx)
}

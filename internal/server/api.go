package server

import (
	"context"
	"log/slog"
	"net/http"
	"strings"

	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/server/gate"

	"github.com/danielgtaylor/huma/v2"
)

// body is an answer with a JSON body.
type body[T any] struct{ Body T }

// Change is what an operation that writes tells of what it changed. It is exported for huma to
// find its headers.
type Change struct {
	Revision int64  `header:"Revision" doc:"The revision of what is known of the client that the change made; 0 where it changed nothing"`
	Changed  string `header:"Changed" doc:"The facets of the client that changed, parted by blanks: what is made from no other is as it was"`
}

// changed is an answer of an operation that writes.
type changed[T any] struct {
	Change
	Body T
}

// ClientPath and PagePath are the paths that most operations share. Parts of
// an input must be exported for huma to fill them.
type ClientPath struct {
	Client int64 `path:"client" minimum:"1"`
}

// PagePath names a page of a client.
type PagePath struct {
	ClientPath
	Page int64 `path:"page"`
}

// ofClient makes an operation of a use case that is asked of a client, and nothing more.
func ofClient[T any](use func(context.Context, int64) (T, error)) func(context.Context, *ClientPath) (T, error) {
	return func(ctx context.Context, in *ClientPath) (T, error) { return use(ctx, in.Client) }
}

// api registers operations and turns the errors of use cases into problems.
type api struct {
	huma huma.API
	app  *app.App
	log  *slog.Logger
	tag  string // what the operations that are registered are about
}

// of registers operations about something else.
func (r api) of(tag string) api {
	r.tag = tag
	return r
}

func register(h huma.API, a *app.App, log *slog.Logger) {
	r := api{h, a, log, ""}
	r.of("clients").clients()
	r.of("lineup").lineup()
	r.of("standing").standing()
	r.of("sites").site()
	r.of("tabs").received()
	r.of("runs").runs()
	r.of("pages").pages()
	r.of("handoff").handoff()
	r.of("phrase book").book()
	r.of("plan").plan()
	r.of("yardstick").yardstick()
}

// operation describes an operation of the group that r registers.
func (r api) operation(method, path, id, summary string, options ...option) huma.Operation {
	is := traits{limit: usual}
	for _, o := range options {
		o(&is)
	}
	return huma.Operation{Method: method, Path: "/api" + path, OperationID: id, Summary: summary, Tags: []string{r.tag},
		MaxBodyBytes: is.bytes, BodyReadTimeout: gate.ReadTime, Metadata: map[string]any{traitsKey: is}}
}

// handle registers an operation whose use case answers with a T. One that writes tells what
// it changed.
func handle[I, T any](r api, method, path, id, summary string, f func(context.Context, *I) (T, error),
	options ...option) {
	op := r.operation(method, path, id, summary, options...)
	if method == get {
		huma.Register(r.huma, op, func(ctx context.Context, in *I) (*body[T], error) {
			out, err := f(ctx, in)
			if err != nil {
				return nil, r.problem(ctx, id, err)
			}
			return &body[T]{out}, nil
		})
		return
	}
	huma.Register(r.huma, op, func(ctx context.Context, in *I) (*changed[T], error) {
		ctx, changes := app.Noting(ctx)
		out, err := f(ctx, in)
		if err != nil {
			return nil, r.problem(ctx, id, err)
		}
		return &changed[T]{changeOf(changes), out}, nil
	})
}

// do registers an operation that writes and answers with nothing else.
func do[I any](r api, method, path, id, summary string, f func(context.Context, *I) error,
	options ...option) {
	op := r.operation(method, path, id, summary, options...)
	huma.Register(r.huma, op, func(ctx context.Context, in *I) (*Change, error) {
		ctx, changes := app.Noting(ctx)
		if err := f(ctx, in); err != nil {
			return nil, r.problem(ctx, id, err)
		}
		out := changeOf(changes)
		return &out, nil
	})
}

func changeOf(changes *app.Changed) Change {
	var facets []string
	for _, f := range changes.Facets() {
		facets = append(facets, string(f))
	}
	return Change{changes.Revision(), strings.Join(facets, " ")}
}

// problem makes an answer of an error: a code and one sentence for the user.
func (r api) problem(ctx context.Context, id string, err error) error {
	reason, known := fault.Of(err)
	switch {
	case err == nil:
		return nil
	case known:
		return problemOf(http.StatusUnprocessableEntity, reason)
	case app.IsDamaged(err):
		return problemOf(http.StatusUnprocessableEntity, fault.KeptPageUnreadable.New())
	case app.IsNoClient(err):
		return problemOf(http.StatusNotFound, NoSuchClient.New())
	case app.IsGone(err):
		return problemOf(http.StatusNotFound, NotThere.New())
	case ctx.Err() != nil: // who asked is gone, whatever that broke off
		return problemOf(statusGivenUp, fault.GivenUp.New())
	}
	r.log.Error("an operation failed", "operation", id, "error", err)
	return problemOf(http.StatusInternalServerError, fault.OwnMistake.New())
}

const (
	get    = http.MethodGet
	post   = http.MethodPost
	put    = http.MethodPut
	remove = http.MethodDelete
)

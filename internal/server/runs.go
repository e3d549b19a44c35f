package server

import (
	"context"

	"inktally/internal/app"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/sse"
)

type RunPath struct {
	ClientPath
	Run int64 `path:"run"`
}

type overruleInput struct {
	RunPath
	Body struct {
		URL string `json:"url" maxLength:"2000"`
	}
}

type readInput struct {
	ClientPath
	Body struct {
		URL string `json:"url" maxLength:"2000" doc:"The address of a page of the client or of a rival"`
		Way string `json:"way" enum:",served,browser" doc:"How it is to be read from now on; empty leaves that to the program"`
	}
}

// lastRun is the newest run of a client.
type lastRun struct {
	Run *app.Run `json:"run" doc:"Null where nothing was measured yet"`
}

func (r api) runs() {
	handle(r, get, "/clients/{client}/run", "lastRun", "The newest measuring run", func(ctx context.Context, in *ClientPath) (lastRun, error) {
		run, err := r.app.LastRun(ctx, in.Client)
		return lastRun{run}, err
	})
	handle(r, post, "/clients/{client}/run", "measure", "Read and measure the client's pages and its rivals'",
		func(ctx context.Context, in *ClientPath) (app.Run, error) { return r.app.Measure(ctx, in.Client) })
	handle(r, post, "/clients/{client}/read", "readPage", "Read one page anew, as served or in a browser",
		func(ctx context.Context, in *readInput) (app.Run, error) {
			return r.app.ReadPage(ctx, in.Client, in.Body.URL, in.Body.Way)
		})
	handle(r, post, "/clients/{client}/run/{run}/resume", "resume", "Go on with a run, and try again what failed",
		func(ctx context.Context, in *RunPath) (app.Run, error) { return r.app.Resume(ctx, in.Client, in.Run) })
	handle(r, post, "/clients/{client}/run/{run}/overrule", "overrule", "Read a page although its site asks programs not to",
		func(ctx context.Context, in *overruleInput) (app.Run, error) {
			return r.app.Overrule(ctx, in.Client, in.Run, in.Body.URL)
		})
	handle(r, post, "/clients/{client}/run/{run}/stop", "stop", "Stop a run",
		func(ctx context.Context, in *RunPath) (app.Run, error) { return r.app.Stop(ctx, in.Client, in.Run) })
	sse.Register(r.huma, huma.Operation{
		Method: get, Path: "/api/clients/{client}/progress", OperationID: "progress", Summary: "The progress of runs, as it happens",
	}, map[string]any{"progress": lastRun{}}, r.progress)
}

// progress sends the state of the newest run, and each change of it, until the
// browser goes away.
func (r api) progress(ctx context.Context, in *ClientPath, send sse.Sender) {
	states, end := r.app.Watch(in.Client)
	defer end()
	run, err := r.app.LastRun(ctx, in.Client)
	if err != nil || send.Data(lastRun{run}) != nil {
		return
	}
	for {
		select {
		case <-ctx.Done():
			return
		case run := <-states:
			if send.Data(lastRun{&run}) != nil {
				return
			}
		}
	}
}

package server

import (
	"context"

	"inktally/core/reading"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2/sse"
)

// RunPath names a run of a client.
type RunPath struct {
	ClientPath
	Run int64 `path:"run"`
}

type robotsInput struct {
	RunPath
	Body struct {
		URL string `json:"url" maxLength:"2000"`
	}
}

type readInput struct {
	ClientPath
	Body struct {
		URL  string        `json:"url" maxLength:"2000" doc:"The address of a page of the client or of a rival"`
		Mode view.ReadMode `json:"mode" doc:"How it is to be read from now on; empty is automatic"`
	}
}

// lastRun is the newest run of a client.
type lastRun struct {
	Run *view.Run `json:"run" doc:"Null if nothing was measured yet"`
}

func (r api) runs() {
	handle(r, get, "/clients/{client}/run", "lastRun", "The newest measuring run",
		func(ctx context.Context, in *ClientPath) (lastRun, error) {
			run, err := r.app.Runs.Last(ctx, in.Client)
			return lastRun{run}, err
		})
	handle(r, post, "/clients/{client}/run", "measure", "Read and measure the client's pages and its rivals'",
		ofClient(r.app.Runs.Measure))
	handle(r, post, "/clients/{client}/read", "readPage", "Read one page again, as served or as rendered",
		func(ctx context.Context, in *readInput) (view.Run, error) {
			return r.app.Runs.ReadPage(ctx, in.Client, in.Body.URL, reading.Mode(in.Body.Mode))
		})
	handle(r, post, "/clients/{client}/run/{run}/resume", "resume", "Go on with a run, and try again what failed",
		func(ctx context.Context, in *RunPath) (view.Run, error) {
			return r.app.Runs.Resume(ctx, in.Client, in.Run)
		})
	handle(r, post, "/clients/{client}/run/{run}/ignore-robots", "ignoreRobots",
		"Read a page although its robots.txt asks programs not to",
		func(ctx context.Context, in *robotsInput) (view.Run, error) {
			return r.app.Runs.IgnoreRobots(ctx, in.Client, in.Run, in.Body.URL)
		})
	handle(r, post, "/clients/{client}/run/{run}/stop", "stop", "Stop a run",
		func(ctx context.Context, in *RunPath) (view.Run, error) {
			return r.app.Runs.Stop(ctx, in.Client, in.Run)
		})
	sse.Register(r.huma, r.operation(get, "/clients/{client}/progress", "progress",
		"The progress of runs, as it happens", endless), map[string]any{"progress": lastRun{}}, r.progress)
}

// progress sends the state of the newest run, and each change of it, until the
// browser goes away.
func (r api) progress(ctx context.Context, in *ClientPath, send sse.Sender) {
	states, end := r.app.Runs.Watch(in.Client)
	defer end()
	run, err := r.app.Runs.Last(ctx, in.Client)
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

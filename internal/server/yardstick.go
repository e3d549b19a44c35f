package server

import (
	"context"

	"inktally/internal/view"
)

// figuresBody are figures to change.
type figuresBody struct {
	Changes map[string]string `json:"changes" doc:"Values by the keys of figures; an empty one brings the other back" example:"{\"words.home.low\":\"1200\"}"`
}

type figuresInput struct{ Body figuresBody }

type clientFiguresInput struct {
	ClientPath
	Body figuresBody
}

// yardstick registers what is asked of figures.
func (r api) yardstick() {
	handle(r, get, "/yardstick", "yardstick", "The figures of the workspace", func(ctx context.Context, _ *struct{}) ([]view.Figure, error) {
		return r.app.Yardstick.Figures(ctx, 0)
	})
	handle(r, put, "/yardstick", "changeYardstick", "Change figures of the workspace, all of them or none",
		func(ctx context.Context, in *figuresInput) ([]view.Figure, error) {
			return r.app.Yardstick.Change(ctx, 0, in.Body.Changes)
		})
	handle(r, get, "/clients/{client}/yardstick", "clientYardstick", "The figures of a client",
		func(ctx context.Context, in *ClientPath) ([]view.Figure, error) {
			return r.app.Yardstick.Figures(ctx, in.Client)
		})
	handle(r, put, "/clients/{client}/yardstick", "changeClientYardstick", "Change figures of a client, all of them or none",
		func(ctx context.Context, in *clientFiguresInput) ([]view.Figure, error) {
			return r.app.Yardstick.Change(ctx, in.Client, in.Body.Changes)
		})
}

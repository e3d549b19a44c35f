package server

import (
	"context"
	"inktally/internal/wording/yardsticks"

	"inktally/core/yardstick"
	"inktally/internal/export"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

// figuresBody are figures to change.
type figuresBody struct {
	Was     map[string]string `json:"was,omitempty" doc:"Their values when the change began; then one that changed elsewhere meanwhile is refused"`
	Changes map[string]string `json:"changes" doc:"Values by the keys of figures; an empty one brings the other back" example:"{\"words.home.low\":\"1200\"}"`
}

type figuresInput struct{ Body figuresBody }

type clientFiguresInput struct {
	ClientPath
	Body figuresBody
}

type figuresPath struct {
	Client int64 `query:"client" doc:"0 for the workspace"`
}

type figuresFile struct {
	Client int64 `query:"client" doc:"0 for the workspace"`
	Body   struct {
		YAML string `json:"yaml" maxLength:"100000"`
	}
}

type previewInput struct {
	ClientPath
	Body struct {
		Changes   map[string]string `json:"changes" doc:"Values by the keys of figures; an empty one brings the other back"`
		Workspace bool              `json:"workspace,omitempty" doc:"They are figures of the workspace"`
	}
}

// presets are sets of changes for other habits.
func presets() []view.Preset {
	out := []view.Preset{}
	for _, p := range yardstick.PresetNames() {
		out = append(out, view.Preset{Says: yardsticks.PresetSays(p), Changes: yardstick.Presets()[p]})
	}
	return out
}

func (r api) yardstickFile(ctx context.Context, in *figuresPath) (*file, error) {
	figures, err := r.app.Yardstick.Figures(ctx, in.Client)
	if err != nil {
		return nil, r.problem(ctx, "yardstickFile", err)
	}
	return &file{ContentType: "application/yaml; charset=utf-8", Disposition: `attachment; filename="yardstick.yaml"`,
		Body: export.Yardstick(figures)}, nil
}

// yardstick registers what is asked of figures.
func (r api) yardstick() {
	handle(r, get, "/yardstick", "yardstick", "The figures of the workspace",
		func(ctx context.Context, _ *struct{}) ([]view.Figure, error) {
			return r.app.Yardstick.Figures(ctx, 0)
		})
	handle(r, put, "/yardstick", "changeYardstick", "Change figures of the workspace, all of them or none",
		func(ctx context.Context, in *figuresInput) ([]view.Figure, error) {
			return r.app.Yardstick.Change(ctx, 0, in.Body.Changes, in.Body.Was)
		})
	handle(r, get, "/clients/{client}/yardstick", "clientYardstick", "The figures of a client",
		ofClient(r.app.Yardstick.Figures))
	handle(r, put, "/clients/{client}/yardstick", "changeClientYardstick",
		"Change figures of a client, all of them or none",
		func(ctx context.Context, in *clientFiguresInput) ([]view.Figure, error) {
			return r.app.Yardstick.Change(ctx, in.Client, in.Body.Changes, in.Body.Was)
		})
	handle(r, get, "/yardstick/presets", "presets", "Sets of changes for other habits",
		func(context.Context, *struct{}) ([]view.Preset, error) { return presets(), nil })
	huma.Register(r.huma, r.operation(get, "/yardstick.yaml", "yardstickFile", "The figures as YAML"), r.yardstickFile)
	handle(r, put, "/yardstick.yaml", "readYardstick", "Change figures to those of a file in YAML, all of them or none",
		func(ctx context.Context, in *figuresFile) ([]view.Figure, error) {
			return r.app.Yardstick.Read(ctx, in.Client, []byte(in.Body.YAML))
		}, takes(longEntry))
	handle(r, post, "/clients/{client}/yardstick/preview", "previewYardstick",
		"What changes of figures would change in the plan",
		func(ctx context.Context, in *previewInput) (*view.PlanChange, error) {
			return r.app.Plan.Preview(ctx, in.Client, in.Body.Changes, in.Body.Workspace)
		})
}

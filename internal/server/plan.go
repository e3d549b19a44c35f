package server

import (
	"context"

	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/app/targets"
	"inktally/internal/export"
	"inktally/internal/view"
	"inktally/internal/view/told"
	"inktally/internal/wording"

	"github.com/danielgtaylor/huma/v2"
)

type chooseInput struct {
	ClientPath
	Body struct {
		Said []saidBody `json:"said" minItems:"1" maxItems:"500"`
	}
}

// saidBody is what the user says of a target or of a part of one.
type saidBody struct {
	Page string `json:"page" maxLength:"500" doc:"The key of its page"`
	Key  string `json:"key" maxLength:"1000" doc:"That of the target, or of its part"`
	view.Choice
	Was *view.Choice `json:"was,omitempty" doc:"What was said when the change began; then it is refused where something else was said elsewhere meanwhile"`
}

// core is it as the use case takes it.
func (s saidBody) core() targets.Said {
	out := targets.Said{Page: s.Page, Key: s.Key, Choice: s.Core()}
	if s.Was != nil {
		was := s.Was.Core()
		out.Was = &was
	}
	return out
}

type ownInput struct {
	ClientPath
	Body struct {
		ID      int64   `json:"id,omitempty" doc:"Of one that was removed and comes back"`
		Page    string  `json:"page,omitempty" maxLength:"500" doc:"The key of its page; empty is the home page"`
		Text    string  `json:"text" maxLength:"300" doc:"What is to be done"`
		Gain    float64 `json:"gain,omitempty" minimum:"0" maximum:"1000000" doc:"Visits a month, as you estimate them"`
		Minutes float64 `json:"minutes" minimum:"1" maximum:"10000"`
	}
}

type ownPath struct {
	ClientPath
	Own int64 `path:"own"`
}

type whyInput struct {
	ClientPath
	Target string `query:"target" required:"true" maxLength:"2000" doc:"The id of a target"`
	Part   string `query:"part" maxLength:"1000" doc:"The key of one of its parts; empty is all of it"`
}

// OutlinePath names a page of the plan.
type OutlinePath struct {
	ClientPath
	Page string `query:"page" required:"true" maxLength:"500" doc:"The key of a page of the plan"`
}

type ladderPath struct {
	ClientPath
	Page string `query:"page" maxLength:"500" doc:"The key of a page of the plan; empty is the home page"`
}

type outlineInput struct {
	OutlinePath
	Body struct {
		view.OutlineEdits
		Was *view.OutlineEdits `json:"was,omitempty" doc:"What the change was made from: what was changed elsewhere meanwhile stays, and is told where both changed one thing"`
	}
}

// was returns the edits that a change was made from, nil if that is not told.
func (in *outlineInput) was() *outline.Edits {
	if in.Body.Was == nil {
		return nil
	}
	was := in.Body.Was.Core()
	return &was
}

type proofInput struct {
	OutlinePath
	Body struct {
		Name string `json:"name,omitempty" maxLength:"300" doc:"That of the draft's file, empty for text"`
		Text string `json:"text,omitempty" doc:"The draft as text, Markdown or HTML"`
		File []byte `json:"file,omitempty" doc:"The bytes of the draft's file in base64"`
	}
}

type draftPath struct {
	ClientPath
	Draft int64 `path:"draft"`
}

// added is the id of what was added.
type added struct {
	ID int64 `json:"id"`
}

// plan registers what is asked of targets.
func (r api) plan() {
	handle(r, get, "/clients/{client}/plan", "plan", "What all pages must have, in the order of work",
		ofClient(r.app.Plan.Get))
	handle(r, put, "/clients/{client}/plan/choices", "choose", "Keep, change or drop targets or parts of them",
		func(ctx context.Context, in *chooseInput) (*view.Plan, error) {
			said := make([]targets.Said, len(in.Body.Said))
			for i, s := range in.Body.Said {
				said[i] = s.core()
			}
			return r.app.Plan.Choose(ctx, in.Client, said)
		}, takes(longEntry))
	handle(r, get, "/clients/{client}/plan/why", "why", "The sums that made the figures of a target",
		func(ctx context.Context, in *whyInput) ([]view.Why, error) {
			return r.app.Plan.Why(ctx, in.Client, in.Target, in.Part)
		})
	handle(r, post, "/clients/{client}/plan/own", "addTarget", "Add a target by hand",
		func(ctx context.Context, in *ownInput) (added, error) {
			b := in.Body
			id, err := r.app.Plan.Add(ctx, in.Client,
				plan.Own{ID: b.ID, Page: b.Page, Text: b.Text, Gain: b.Gain, Minutes: b.Minutes})
			return added{id}, err
		})
	do(r, remove, "/clients/{client}/plan/own/{own}", "removeTarget", "Remove a target that was added by hand",
		func(ctx context.Context, in *ownPath) error { return r.app.Plan.Remove(ctx, in.Client, in.Own) })
	do(r, post, "/clients/{client}/plan/drafts/{draft}/restore", "restoreDraft",
		"Bring back a kept draft that was removed",
		func(ctx context.Context, in *draftPath) error {
			return r.app.Plan.RestoreDraft(ctx, in.Client, in.Draft)
		})
	handle(r, get, "/clients/{client}/plan/outline", "outline", "The sections that a page should have",
		func(ctx context.Context, in *OutlinePath) (*view.Outline, error) {
			return r.app.Plan.Outline(ctx, in.Client, in.Page)
		}, heavy)
	handle(r, put, "/clients/{client}/plan/outline", "changeOutline",
		"Change the sections of a page: all changes at once",
		func(ctx context.Context, in *outlineInput) (*view.Outline, error) {
			return r.app.Plan.SetOutline(ctx, in.Client, in.Page, in.Body.Core(), in.was())
		}, takes(longEntry))
	handle(r, get, "/clients/{client}/plan/images", "imageNames",
		"The images of all pages with the names that they should have",
		ofClient(r.app.Plan.Shown), heavy)
	handle(r, get, "/clients/{client}/plan/ladder", "ladder",
		"Rival by rival: who leads on which front, and what passes it",
		func(ctx context.Context, in *ladderPath) (*told.Ladder, error) {
			return r.app.Plan.Ladder(ctx, in.Client, in.Page)
		})
	handleDraft(r, "/clients/{client}/plan/proof", "proof", "Measure a draft against the targets of a page",
		(*targets.Plan).Proof)
	handleDraft(r, "/clients/{client}/plan/drafts", "keepDraft", "Keep a draft as a version of its page",
		(*targets.Plan).KeepDraft)
	handle(r, get, "/clients/{client}/plan/drafts", "drafts", "The kept drafts of a page, the newest first",
		func(ctx context.Context, in *OutlinePath) ([]view.Draft, error) {
			return r.app.Plan.Drafts(ctx, in.Client, in.Page)
		})
	handle(r, get, "/clients/{client}/plan/drafts/{draft}", "draft", "A kept draft with what was typed",
		func(ctx context.Context, in *draftPath) (*view.Draft, error) {
			return r.app.Plan.Draft(ctx, in.Client, in.Draft)
		}, heavy)
	do(r, remove, "/clients/{client}/plan/drafts/{draft}", "removeDraft",
		"Remove a kept draft; the one before it stands again",
		func(ctx context.Context, in *draftPath) error {
			return r.app.Plan.RemoveDraft(ctx, in.Client, in.Draft)
		})
	huma.Register(r.huma,
		r.operation(get, "/clients/{client}/plan/images.csv", "imageNamesCSV", "All of them as CSV", heavy),
		r.imagesCSV)
	huma.Register(r.huma, r.operation(get, "/clients/{client}/plan/rename.sh", "renameScript",
		"A shell script that renames the files"), r.renameScript)
}

// handleDraft registers what is asked with a draft.
func handleDraft[T any](r api, path, id, summary string,
	do func(p *targets.Plan, ctx context.Context, client int64, page, name string, raw []byte) (*T, error)) {
	handle(r, post, path, id, summary, func(ctx context.Context, in *proofInput) (*T, error) {
		raw := in.Body.File
		if len(raw) == 0 {
			raw = []byte(in.Body.Text)
		}
		return do(r.app.Plan, ctx, in.Client, in.Page, in.Body.Name, raw)
	}, takes(aDraft))
}

func (r api) imagesCSV(ctx context.Context, in *ClientPath) (*file, error) {
	list, err := r.app.Plan.Images(ctx, in.Client)
	if err != nil {
		return nil, r.problem(ctx, "imageNamesCSV", err)
	}
	rows := [][]string{wording.ImageColumns()}
	for _, i := range list.Rows {
		wanted := i.Wanted
		if i.Dropped {
			wanted = ""
		}
		rows = append(rows, []string{i.PageURL, i.Now, wanted, i.AltNow, i.AltWanted})
	}
	raw, err := export.CSV(rows)
	if err != nil {
		return nil, r.problem(ctx, "imageNamesCSV", err)
	}
	return &file{ContentType: "text/csv; charset=utf-8", Disposition: `attachment; filename="images.csv"`, Body: raw},
		nil
}

func (r api) renameScript(ctx context.Context, in *ClientPath) (*file, error) {
	list, err := r.app.Plan.Renames(ctx, in.Client)
	if err != nil {
		return nil, r.problem(ctx, "renameScript", err)
	}
	return &file{ContentType: "text/x-shellscript; charset=utf-8", Disposition: `attachment; filename="rename.sh"`,
		Body: export.RenameScript(list)}, nil
}

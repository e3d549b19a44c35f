package server

import (
	"context"
	"fmt"

	"inktally/core/imagename"
	"inktally/internal/app/documents"
	"inktally/internal/view"
	"inktally/internal/view/told"

	"github.com/danielgtaylor/huma/v2"
)

// DocumentCode names a document that is handed over.
type DocumentCode documents.Kind

// Schema lists all of them.
func (DocumentCode) Schema(huma.Registry) *huma.Schema { return view.Enum(documents.Kinds()) }

// FormatCode names what a file is written in.
type FormatCode documents.Format

// Schema lists all of them.
func (FormatCode) Schema(huma.Registry) *huma.Schema {
	return view.Enum(documents.OwnersPlan.Formats())
}

type documentInput struct {
	ClientPath
	Document DocumentCode `path:"document" doc:"Which document"`
	Page     string       `query:"page" maxLength:"400" doc:"The key of the page in the plan, for a document of a page"`
	Format   FormatCode   `query:"format" default:"html"`
	Bare     bool         `query:"bare" doc:"Without why, what it brings and what it takes"`
	Since    string       `query:"since" maxLength:"10" doc:"From which day an account is given, such as 2026-11-26; empty for 30 days ago"`
	Save     bool         `query:"save" doc:"To be saved as a file, not shown"`
}

// StepPath names a step of a walk-through.
type StepPath struct {
	ClientPath
	Step string `path:"step" maxLength:"40" doc:"The key of the step"`
}

type changeStepInput struct {
	StepPath
	Body told.StepSaid
}

type addStepInput struct {
	ClientPath
	Body struct {
		told.StepSaid
		Behind string `json:"behind" maxLength:"40" doc:"The key of the step before it, empty for the first place"`
	}
}

type orderInput struct {
	ClientPath
	Body struct {
		Order []string `json:"order" maxItems:"200" doc:"The keys of the steps"`
	}
}

type stepPictureInput struct {
	StepPath
	Body struct {
		Picture string `json:"picture" maxLength:"3000000" doc:"PNG or JPEG in base64, empty for none"`
	}
}

type letterheadInput struct{ Body told.Letterhead }

func (r api) handoff() {
	handle(r, get, "/clients/{client}/walk", "walk", "What an owner is told, step by step",
		ofClient(r.app.Handoff.Walk))
	handle(r, put, "/clients/{client}/walk/steps/{step}", "changeStep",
		"Change what is said to a step, or leave it out",
		func(ctx context.Context, in *changeStepInput) (*told.Walk, error) {
			return r.app.Handoff.ChangeStep(ctx, in.Client, in.Step, in.Body)
		})
	handle(r, remove, "/clients/{client}/walk/steps/{step}", "resetStep",
		"Take back what was changed of a step; one that was added is removed",
		func(ctx context.Context, in *StepPath) (*told.Walk, error) {
			return r.app.Handoff.ResetStep(ctx, in.Client, in.Step)
		})
	handle(r, post, "/clients/{client}/walk/steps", "addStep", "Add a step of one's own",
		func(ctx context.Context, in *addStepInput) (*told.Walk, error) {
			return r.app.Handoff.AddStep(ctx, in.Client, in.Body.StepSaid, in.Body.Behind)
		})
	handle(r, put, "/clients/{client}/walk/order", "orderSteps", "Put the steps into an order",
		func(ctx context.Context, in *orderInput) (*told.Walk, error) {
			return r.app.Handoff.OrderSteps(ctx, in.Client, in.Body.Order)
		})
	handle(r, put, "/clients/{client}/walk/steps/{step}/picture", "setStepPicture",
		"Give a step that was added a picture, or take it away",
		func(ctx context.Context, in *stepPictureInput) (*told.Walk, error) {
			return r.app.Handoff.SetPicture(ctx, in.Client, in.Step, in.Body.Picture)
		}, takes(aPage))
	huma.Register(r.huma, r.operation(get, "/clients/{client}/walk/steps/{step}/picture", "stepPicture",
		"The picture of a step"), r.stepPicture)
	huma.Register(r.huma, r.operation(get, "/clients/{client}/documents/{document}", "documentFile",
		"A document as a file", heavy), r.document)
	huma.Register(r.huma, r.operation(get, "/clients/{client}/workbook", "workbook",
		"All figures of a client with their evidence as XLSX", heavy), r.workbook)
	handle(r, get, "/letterhead", "letterhead", "What all documents are headed by",
		func(ctx context.Context, _ *struct{}) (*told.Letterhead, error) {
			l, err := r.app.Handoff.Letterhead(ctx)
			return told.LetterheadOf(l), err
		})
	handle(r, put, "/letterhead", "setLetterhead", "Set what all documents are headed by",
		func(ctx context.Context, in *letterheadInput) (*told.Letterhead, error) {
			l, err := r.app.Handoff.SetLetterhead(ctx, in.Body)
			return told.LetterheadOf(l), err
		}, takes(aPage))
}

// documentPolicy lets a document be read and printed by the screen that frames it, and ask for nothing.
const documentPolicy = "sandbox allow-same-origin allow-modals; default-src 'none'; style-src 'unsafe-inline'; " +
	"font-src data:; img-src data:; form-action 'none'; base-uri 'none'; frame-ancestors 'self'"

// document sends a document, to be shown or to be saved.
func (r api) document(ctx context.Context, in *documentInput) (*file, error) {
	made, err := r.app.Handoff.File(ctx, documents.Ask{Client: in.Client, Kind: documents.Kind(in.Document),
		Page: in.Page, Format: documents.Format(in.Format), Bare: in.Bare,
		Since: in.Since})
	if err != nil {
		return nil, r.problem(ctx, "documentFile", err)
	}
	shown := "inline"
	if in.Save || documents.Format(in.Format) != documents.HTML {
		shown = fmt.Sprintf("attachment; filename=%q", made.Name)
	}
	return &file{ContentType: made.Type, Disposition: shown, Policy: documentPolicy, Prefetch: "off",
		Body: made.Body}, nil
}

// workbook sends the workbook.
func (r api) workbook(ctx context.Context, in *ClientPath) (*file, error) {
	body, name, err := r.app.Workbook.File(ctx, in.Client)
	if err != nil {
		return nil, r.problem(ctx, "workbook", err)
	}
	return &file{ContentType: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
		Disposition: fmt.Sprintf("attachment; filename=%q", imagename.Slug("workbook "+name)+".xlsx"), Body: body}, nil
}

// stepPicture sends the picture of a step.
func (r api) stepPicture(ctx context.Context, in *StepPath) (*file, error) {
	picture, media, err := r.app.Handoff.Picture(ctx, in.Client, in.Step)
	if err != nil {
		return nil, r.problem(ctx, "stepPicture", err)
	}
	return &file{ContentType: media, Disposition: "inline", Policy: "sandbox; default-src 'none'", Prefetch: "off",
		Body: picture}, nil
}

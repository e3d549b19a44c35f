package server

import (
	"context"

	"inktally/internal/view"
)

type groundInput struct {
	ClientPath
	Body struct {
		view.Business
		Was *view.Business `json:"was,omitempty" doc:"What the change was made from: what was changed elsewhere meanwhile stays, and is told where both changed one thing"`
	}
}

type newClientInput struct{ Body view.Business }

type quickInput struct {
	Body struct {
		Address string `json:"address" maxLength:"2000" doc:"The client's home page"`
		Phrase  string `json:"phrase" maxLength:"200"`
		Rivals  string `json:"rivals" maxLength:"20000" doc:"Addresses parted by blanks, commas or lines; may be empty"`
	}
}

type hoursInput struct {
	ClientPath
	Body struct {
		Hours float64  `json:"hours" doc:"Hours to spend on the client's targets"`
		Was   *float64 `json:"was,omitempty" doc:"What they were when the change began; then it is refused where they changed elsewhere meanwhile"`
	}
}

func (r api) clients() {
	handle(r, get, "/backups", "backups", "The backups that were made by themselves",
		func(context.Context, *struct{}) (view.Backups, error) { return r.app.Backups(), nil })
	handle(r, get, "/clients", "shelf", "All clients", func(ctx context.Context, _ *struct{}) ([]view.ShelfRow, error) {
		return r.app.Shelf.List(ctx)
	})
	handle(r, get, "/names", "names", "All clients by their names",
		func(ctx context.Context, _ *struct{}) ([]view.ClientName, error) {
			return r.app.Shelf.Names(ctx)
		})
	handle(r, post, "/clients", "newClient", "A new client",
		func(ctx context.Context, in *newClientInput) (view.Ground, error) {
			return r.app.Ground.New(ctx, in.Body)
		}, takes(manyRows))
	handle(r, post, "/quick", "quick", "The short way in: a client from one line, measured at once",
		func(ctx context.Context, in *quickInput) (view.Ground, error) {
			return r.app.Quick(ctx, in.Body.Address, in.Body.Phrase, in.Body.Rivals)
		}, takes(longEntry))
	handle(r, get, "/clients/{client}", "ground", "What is known of a client",
		func(ctx context.Context, in *ClientPath) (view.Ground, error) {
			return r.app.Ground.Get(ctx, in.Client)
		})
	handle(r, put, "/clients/{client}", "saveGround", "Change what is known of a client",
		func(ctx context.Context, in *groundInput) (view.Ground, error) {
			return r.app.Ground.Save(ctx, in.Client, in.Body.Business, in.Body.Was)
		}, takes(manyRows))
	handle(r, get, "/clients/{client}/communities", "communities",
		"The communities around a client's home town that are none of its places yet",
		func(ctx context.Context, in *ClientPath) (view.Around, error) {
			return r.app.Ground.Around(ctx, in.Client)
		})
	handle(r, get, "/clients/{client}/proposal", "proposal",
		"What the client's home page says of the business, where nothing was entered",
		func(ctx context.Context, in *ClientPath) (view.Proposal, error) {
			return r.app.Ground.Proposal(ctx, in.Client)
		})
	do(r, remove, "/clients/{client}", "deleteClient", "Delete a client and all that belongs to it",
		func(ctx context.Context, in *ClientPath) error {
			return r.app.Delete(ctx, in.Client)
		})
	do(r, put, "/clients/{client}/hours", "setHours", "Set the hours to spend",
		func(ctx context.Context, in *hoursInput) error {
			return r.app.Ground.SetHours(ctx, in.Client, in.Body.Hours, in.Body.Was)
		})
}

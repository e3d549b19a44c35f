package server

import (
	"context"

	"inktally/internal/app"
)

type groundInput struct {
	ClientPath
	Body app.Business
}

type newClientInput struct{ Body app.Business }

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
		Hours float64 `json:"hours" doc:"Hours to spend on the client's targets"`
	}
}

func (r api) clients() {
	handle(r, get, "/clients", "shelf", "All clients", func(ctx context.Context, _ *struct{}) ([]app.ShelfRow, error) {
		return r.app.Shelf(ctx)
	})
	handle(r, post, "/clients", "newClient", "A new client", func(ctx context.Context, in *newClientInput) (app.Ground, error) {
		return r.app.NewClient(ctx, in.Body)
	})
	handle(r, post, "/quick", "quick", "The short way in: a client from one line, measured at once",
		func(ctx context.Context, in *quickInput) (app.Ground, error) {
			return r.app.Quick(ctx, in.Body.Address, in.Body.Phrase, in.Body.Rivals)
		})
	handle(r, get, "/clients/{client}", "ground", "What is known of a client", func(ctx context.Context, in *ClientPath) (app.Ground, error) {
		return r.app.Ground(ctx, in.Client)
	})
	handle(r, put, "/clients/{client}", "saveGround", "Change what is known of a client", func(ctx context.Context, in *groundInput) (app.Ground, error) {
		return r.app.SaveGround(ctx, in.Client, in.Body)
	})
	do(r, remove, "/clients/{client}", "deleteClient", "Delete a client and all that belongs to it", func(ctx context.Context, in *ClientPath) error {
		return r.app.DeleteClient(ctx, in.Client)
	})
	do(r, put, "/clients/{client}/hours", "setHours", "Set the hours to spend", func(ctx context.Context, in *hoursInput) error {
		return r.app.SetHours(ctx, in.Client, in.Body.Hours)
	})
}

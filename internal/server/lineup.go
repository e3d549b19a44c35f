package server

import (
	"context"

	"inktally/internal/app"
)

type searchInput struct {
	ClientPath
	Body struct {
		Phrase string `json:"phrase" maxLength:"200"`
	}
}

type rivalsInput struct {
	ClientPath
	Body struct {
		Addresses string `json:"addresses" maxLength:"20000" doc:"Parted by blanks, commas or lines"`
	}
}

type EntryPath struct {
	ClientPath
	Entry int64 `path:"entry"`
}

type takeInput struct {
	EntryPath
	Body struct {
		Taken bool `json:"taken" doc:"Taken as a rival, or set aside"`
	}
}

func (r api) lineup() {
	handle(r, get, "/clients/{client}/lineup", "lineup", "The recorded search", func(ctx context.Context, in *ClientPath) (*app.Lineup, error) {
		return r.app.Lineup(ctx, in.Client)
	})
	handle(r, post, "/clients/{client}/lineup/search", "recordSearch", "Search and record the result",
		func(ctx context.Context, in *searchInput) (*app.Lineup, error) {
			return r.app.RecordSearch(ctx, in.Client, in.Body.Phrase)
		})
	handle(r, post, "/clients/{client}/lineup/rivals", "pasteRivals", "Take addresses as rivals",
		func(ctx context.Context, in *rivalsInput) (*app.Lineup, error) {
			return r.app.PasteRivals(ctx, in.Client, in.Body.Addresses)
		})
	handle(r, put, "/clients/{client}/lineup/{entry}", "take", "Take an entry as a rival or set it aside",
		func(ctx context.Context, in *takeInput) (*app.Lineup, error) {
			return r.app.Take(ctx, in.Client, in.Entry, in.Body.Taken)
		})
	handle(r, remove, "/clients/{client}/lineup/{entry}", "deleteEntry", "Delete an entry",
		func(ctx context.Context, in *EntryPath) (*app.Lineup, error) {
			return r.app.DeleteEntry(ctx, in.Client, in.Entry)
		})
}

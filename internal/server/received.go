package server

import (
	"context"

	"inktally/internal/view"
)

type handedInput struct{ Body view.Handed }

type keepHandedInput struct {
	ClientPath
	Body struct {
		view.Handed
		As     view.HandedAs `json:"as"`
		PageID int64         `json:"page_id" required:"false" doc:"The client's page that it is; 0 for the one with its address, or a new one"`
	}
}

func (r api) received() {
	handle(r, get, "/bookmark", "bookmark", "The bookmark that hands the page of a tab over",
		func(ctx context.Context, _ *struct{}) (view.Bookmark, error) {
			address, err := r.app.Received.Bookmark(ctx)
			return view.Bookmark{Address: address}, err
		})
	handle(r, post, "/received", "recognize", "What a page that was handed over may be; nothing is kept",
		func(ctx context.Context, in *handedInput) (*view.Recognized, error) {
			return r.app.Received.Look(ctx, in.Body)
		}, takes(aPage))
	handle(r, post, "/clients/{client}/received", "keepReceived",
		"Keep a page that was handed over as the client's or a rival's",
		func(ctx context.Context, in *keepHandedInput) (view.Filed, error) {
			return r.app.Received.Keep(ctx, in.Client, in.Body.Handed, in.Body.As, in.Body.PageID)
		}, takes(aPage))
}

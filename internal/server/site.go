package server

import (
	"context"

	"inktally/internal/view"
)

type besideInput struct {
	PagePath
	Body struct {
		EntryID int64   `json:"entry_id" doc:"The rival's lineup entry"`
		URL     *string `json:"url" maxLength:"2000" doc:"The comparable page; empty says that the rival has none, null leaves it to the program"`
	}
}

func (r api) site() {
	handle(r, get, "/clients/{client}/site", "site", "What a survey found of the client's site and of its rivals'",
		ofClient(r.app.Ground.Site))
	handle(r, post, "/clients/{client}/survey", "survey", "Find the pages of the client's site and of its rivals'",
		ofClient(r.app.Runs.Survey))
	handle(r, get, "/clients/{client}/overview", "overview", "All pages at a glance, those to make too",
		ofClient(r.app.Sheet.Overview))
	handle(r, get, "/clients/{client}/pages/{page}/beside", "beside",
		"The pages of rivals that stand beside one of the client's",
		func(ctx context.Context, in *PagePath) ([]view.Beside, error) {
			return r.app.Ground.BesidePages(ctx, in.Client, in.Page)
		})
	handle(r, put, "/clients/{client}/pages/{page}/beside", "chooseBeside",
		"Say which page of a rival is the comparable one",
		func(ctx context.Context, in *besideInput) ([]view.Beside, error) {
			if err := r.app.Ground.ChooseBeside(ctx, in.Client, in.Page, in.Body.EntryID, in.Body.URL); err != nil {
				return nil, err
			}
			return r.app.Ground.BesidePages(ctx, in.Client, in.Page)
		})
}

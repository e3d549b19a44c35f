package server

import (
	"context"
	"net/http"
	"strconv"

	"inktally/internal/app"
	"inktally/internal/view"
	"inktally/internal/view/told"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gin-gonic/gin"
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
	handle(r, get, "/missed", "missed", "What clients miss of visits of those ready to hire",
		func(ctx context.Context, _ *struct{}) (*told.MissedOfAll, error) { return r.app.Shelf.Missed(ctx) }, heavy)
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
		ofClient(r.app.Ground.Get))
	handle(r, put, "/clients/{client}", "saveGround", "Change what is known of a client",
		func(ctx context.Context, in *groundInput) (view.Ground, error) {
			return r.app.Ground.Save(ctx, in.Client, in.Body.Business, in.Body.Was)
		}, takes(manyRows))
	handle(r, get, "/clients/{client}/communities", "communities",
		"The communities around a client's home town that are none of its places yet",
		ofClient(r.app.Ground.Around))
	handle(r, get, "/clients/{client}/proposal", "proposal",
		"What the client's home page says of the business, where nothing was entered",
		ofClient(r.app.Ground.Proposal))
	whole(r, remove, "/clients/{client}", "deleteClient",
		"Delete a client and all that belongs to it; for an hour it can be brought back",
		func(ctx context.Context, client int64) error { return r.app.Delete(ctx, client) })
	whole(r, post, "/clients/{client}/restore", "restoreClient",
		"Bring a client back that was deleted a short while ago",
		func(ctx context.Context, client int64) error { return r.app.Restore(ctx, client) })
	do(r, put, "/clients/{client}/hours", "setHours", "Set the hours to spend",
		func(ctx context.Context, in *hoursInput) error {
			return r.app.Ground.SetHours(ctx, in.Client, in.Body.Hours, in.Body.Was)
		})
}

// whole registers an operation that takes a client away as a whole, or brings it back: what lists clients changes.
func whole(r api, method, path, id, summary string, f func(ctx context.Context, client int64) error) {
	huma.Register(r.huma, r.operation(method, path, id, summary),
		func(ctx context.Context, in *ClientPath) (*Change, error) {
			if err := f(ctx, in.Client); err != nil {
				return nil, r.problem(ctx, id, err)
			}
			return &Change{Changed: string(app.Listed)}, nil
		})
}

// present refuses what is asked of a client that was deleted and can still be brought back.
func present(isAway func(client int64) bool) gin.HandlerFunc {
	return func(c *gin.Context) {
		client, err := strconv.ParseInt(c.Param("client"), 10, 64)
		if err != nil || !isAway(client) || c.FullPath() == "/api/clients/:client/restore" {
			return
		}
		problem(c, http.StatusNotFound, NoSuchClient)
		c.Abort()
	}
}

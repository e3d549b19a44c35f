package ground

import (
	"context"

	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/app/client"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Proposal tells what a client's home page says of the business, for what
// nobody has entered yet.
func (g *Ground) Proposal(ctx context.Context, id int64) (out view.Proposal, err error) {
	var k *client.Known
	var latest map[string]store.Reading
	err = g.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if k, err = client.Load(tx, id); err != nil {
			return err
		}
		latest, err = tx.LatestReadings(id)
		return err
	})
	if err != nil {
		return out, err
	}
	home, err := client.HomePage(k.Pages)
	if err != nil {
		return out, err
	}
	r, read := latest[client.ReadingKey(home)]
	if !read {
		return out, nil
	}
	p, err := g.Readings.Page(ctx, r)
	if err != nil {
		return out, err
	}
	lead := ""
	if typed := client.TypedFor(k.Ground, home.ID); len(typed) > 0 {
		lead = typed[0]
	}
	says := site.ProfileOf(p, lead)
	if k.Client.Name == lineup.Domain(home.URL) { // nobody named it
		out.Name = says.Name
	}
	if k.Client.Trade == "" {
		out.Trade = says.Trade
	}
	if k.Client.Phone == "" {
		out.Phone = says.Phone
	}
	if len(k.Places) == 0 && says.Town.Name != "" {
		out.Place = says.Town.Name
		if says.Town.State != "" {
			out.Place += ", " + says.Town.State
		}
	}
	if len(k.Services) == 0 {
		out.Service = says.Service
	}
	if base := text.Base(p.Lang); base != "" && base != text.Base(k.Client.Language) {
		out.Language = base
	}
	return out, nil
}

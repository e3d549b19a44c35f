package ground

import (
	"context"
	"errors"

	"inktally/core/lineup"
	"inktally/core/profile"
	"inktally/core/text"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Proposal returns what a client's home page says of the business, for what
// nobody has entered yet.
func (g *Ground) Proposal(ctx context.Context, id int64) (out view.Proposal, err error) {
	k, err := g.Studies.Of(ctx, id)
	if err != nil {
		return out, err
	}
	home, err := study.HomePage(k.Pages)
	if err != nil {
		return out, err
	}
	r, read := k.Latest[study.ReadingKey(home)]
	if !read {
		return out, nil
	}
	p, err := g.Readings.Page(ctx, r)
	if errors.Is(err, store.ErrDamaged) { // it tells nothing any more
		return out, nil
	}
	if err != nil {
		return out, err
	}
	lead := ""
	if typed := k.TypedFor(home.ID); len(typed) > 0 {
		lead = typed[0]
	}
	found := profile.Of(p, lead)
	if k.Client.Name == lineup.Domain(home.URL) { // nobody named it
		out.Name = found.Name
	}
	if k.Client.Trade == "" {
		out.Trade = found.Trade
	}
	if k.Client.Phone == "" {
		out.Phone = found.Phone
	}
	if len(k.Places) == 0 && found.Town.Name != "" {
		out.Place = found.Town.Name
		if found.Town.State != "" {
			out.Place += ", " + found.Town.State
		}
	}
	if k.Client.Address == "" && !k.Client.Hidden {
		out.Address = found.Address
	}
	if k.Client.OpeningHours == "" {
		out.OpeningHours = found.Hours
	}
	if len(k.Services) == 0 {
		out.Service = found.Service
	}
	if base := text.Base(p.Lang); base != "" && base != text.Base(k.Client.Language) {
		out.Language = base
	}
	return out, nil
}

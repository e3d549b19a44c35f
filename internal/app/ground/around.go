package ground

import (
	"context"
	"slices"
	"strings"

	"inktally/core/gazetteer"
	"inktally/core/place"
	"inktally/internal/store"
	"inktally/internal/store/workspace"
	"inktally/internal/view"
)

// mostAround is how many communities are proposed at most.
const mostAround = 24

// AddTowns adds towns to the gazetteer of all clients.
func (g *Ground) AddTowns(ctx context.Context, towns []gazetteer.Town) error {
	return g.DB.Write(ctx, func(tx *store.Tx) error { return workspace.AddTowns(tx, towns) })
}

// Around proposes the communities around a client's home town that are none of its
// places yet (rule 5.4). None are proposed for a town that no gazetteer knows.
func (g *Ground) Around(ctx context.Context, id int64) (view.Around, error) {
	k, err := g.Studies.Of(ctx, id)
	out := view.Around{Communities: []view.Community{}}
	if err != nil {
		return out, err
	}
	home := k.Home()
	state, _ := place.StateAbbreviation(home.State)
	town, ok := k.Towns.Find(home.Name, home.Country(), state)
	if !ok {
		return out, nil
	}
	out.Home, out.Km = town.Name, k.Yardstick.Book.CommunityKm
	for _, n := range k.Towns.Around(town, out.Km, mostAround+len(k.Places)) {
		had := slices.ContainsFunc(k.Places, func(p place.Place) bool { return strings.EqualFold(p.Name, n.Name) })
		if !had && len(out.Communities) < mostAround {
			out.Communities = append(out.Communities,
				view.Community{Name: n.Name, State: n.State, Km: n.Km, Size: n.Size})
		}
	}
	return out, nil
}

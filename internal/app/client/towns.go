package client

import (
	"slices"

	"inktally/core/gazetteer"
	"inktally/core/place"
	"inktally/core/site"
)

// TownsNear finds the towns that tokens name and that are at most so many times as far
// from the client's home town as its communities are (rule 5.4).
func (k *Known) TownsNear(times float64) site.Towns {
	home := k.Home()
	state, _ := place.StateAbbreviation(home.State)
	town, ok := k.Towns.Find(home.Name, home.Country(), state)
	return func(tokens []string) (out []string) {
		for i := 0; ok && i < len(tokens); {
			n := min(k.Towns.Longest(tokens[i:]), len(tokens)-i)
			for ; n > 0; n-- {
				near := slices.IndexFunc(k.Towns.Named(tokens[i:i+n]), func(t gazetteer.Town) bool {
					return gazetteer.Km(town, t) <= times*k.Yardstick.Book.CommunityKm
				})
				if near >= 0 {
					out = append(out, k.Towns.Named(tokens[i : i+n])[near].Name)
					break
				}
			}
			i += max(n, 1)
		}
		return out
	}
}

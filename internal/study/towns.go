package study

import (
	"inktally/core/place"
	"inktally/core/site"
)

// TownsNear finds the towns that tokens name and that are at most so many times as far
// from the client's home town as its communities are (rule 5.4).
func (k *Known) TownsNear(times float64) site.Towns {
	home := k.Home()
	state, _ := place.StateAbbreviation(home.State)
	town, ok := k.Towns.Find(home.Name, home.Country(), state)
	return func(tokens []string) []string {
		if !ok {
			return nil
		}
		return k.Towns.NamedNear(town, times*k.Yardstick.Book.CommunityKm, tokens)
	}
}

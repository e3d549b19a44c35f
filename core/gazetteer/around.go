package gazetteer

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"inktally/core/text"
)

// Near is a town with its distance from another one.
type Near struct {
	Town
	// Km is the distance as the crow flies.
	Km float64
}

// Find returns the town of a name in a country and a state, the largest of them;
// false if there is none. An empty country or state is any.
func (g *Gazetteer) Find(name, country, state string) (Town, bool) {
	for _, t := range g.Named(text.Tokens(name)) {
		if (country == "" || t.Country == country) && (state == "" || t.State == state || t.State == "") {
			return t, true
		}
	}
	return Town{}, false
}

// Around returns the towns within so many kilometers of a town, without itself: those
// that are larger for their distance first, so that a village next door and a
// city half an hour away both come before a hamlet far out (rule 5.4).
func (g *Gazetteer) Around(home Town, km float64, most int) []Near {
	var out []Near
	seen := map[string]bool{strings.ToLower(home.Name): true}
	for at := g; at != nil; at = at.more {
		for _, t := range at.towns {
			// A degree is 111 km at most: what is further off needs no trigonometry.
			if math.Abs(t.Lat-home.Lat)*110 > km {
				continue
			}
			if d := Km(home, t); d <= km && !seen[strings.ToLower(t.Name)] {
				seen[strings.ToLower(t.Name)] = true
				out = append(out, Near{t, d})
			}
		}
	}
	weight := func(n Near) float64 { return math.Log10(float64(n.Size)+100) / (n.Km + 5) }
	slices.SortStableFunc(out, func(a, b Near) int {
		return cmp.Or(cmp.Compare(weight(b), weight(a)), strings.Compare(a.Name, b.Name))
	})
	return out[:min(len(out), most)]
}

// NamedNear returns the towns that tokens name and that are within so many kilometers of a
// town, as the program writes them, in their order.
func (g *Gazetteer) NamedNear(home Town, km float64, tokens []string) (out []string) {
	for i := 0; i < len(tokens); {
		n := min(g.Longest(tokens[i:]), len(tokens)-i)
		for ; n > 0; n-- {
			named := g.Named(tokens[i : i+n])
			near := slices.IndexFunc(named, func(t Town) bool { return Km(home, t) <= km })
			if near >= 0 {
				out = append(out, named[near].Name)
				break
			}
		}
		i += max(n, 1)
	}
	return out
}

// Km returns the distance of two towns as the crow flies.
func Km(a, b Town) float64 {
	const radius = 6371
	rad := func(degrees float64) float64 { return degrees * math.Pi / 180 }
	lat, lon := math.Sin(rad(b.Lat-a.Lat)/2), math.Sin(rad(b.Lon-a.Lon)/2)
	h := lat*lat + math.Cos(rad(a.Lat))*math.Cos(rad(b.Lat))*lon*lon
	return 2 * radius * math.Asin(min(1, math.Sqrt(h)))
}

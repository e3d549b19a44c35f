package standings

import (
	"fmt"
	"strings"

	"inktally/core/listing"
	"inktally/internal/wording"
)

var hits = map[listing.Hit]string{listing.OwnSite: "own website", listing.OwnProfile: "own profile",
	listing.Listing: "listing", listing.Namesake: "another business of this name", listing.Written: "article",
	listing.Nothing: "not about it"}

// Hit names what an entry of a search for the client's own name is.
func Hit(h listing.Hit) string { return hits[h] }

// NameFound says what a search for the client's own name shows: its website at place, 0 for not at all, and what else.
func NameFound(place int, list []listing.Hit) string {
	count := map[listing.Hit]int{}
	for _, h := range list {
		count[h]++
	}
	says := []string{"no website"}
	if place > 0 {
		says[0] = fmt.Sprintf("website at %d", place)
	}
	for _, c := range []struct {
		hit       listing.Hit
		one, many string
	}{{listing.OwnProfile, "profile", "profiles"}, {listing.Listing, "listing", "listings"},
		{listing.Written, "article", "articles"}, {listing.Namesake, "namesake", "namesakes"}} {
		if n := count[c.hit]; n > 0 {
			says = append(says, wording.Count(n, c.one, c.many))
		}
	}
	return strings.Join(says, ", ")
}

// NameNotFound says that a search for the client's own name does not show its website among those looked at, 0 where
// it is not known how many these are.
func NameNotFound(looked int) string {
	if looked == 0 {
		return "A search for your own name does not show your website."
	}
	return fmt.Sprintf("A search for your own name does not show your website in the first %d.", looked)
}

// NamesakeAbove says that another business of the client's name stands above it in a search for that name.
func NamesakeAbove(name string, place int) string {
	return fmt.Sprintf("A search for your own name shows another business above you: “%s” at %d.", name, place)
}

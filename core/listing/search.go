package listing

import (
	"slices"
	"strings"

	"inktally/core/lineup"
	"inktally/core/text"
)

// Hit is what an entry of a search for the business's own name is (rule 13.3).
type Hit string

// The hits.
const (
	OwnSite    Hit = "own_site"
	OwnProfile Hit = "own_profile" // on the map or a social site
	Listing    Hit = "listing"
	Namesake   Hit = "namesake" // of another place or with another number
	Written    Hit = "article"
	Nothing    Hit = "nothing"
)

// Hits returns all of them.
func Hits() []Hit { return []Hit{OwnSite, OwnProfile, Listing, Namesake, Written, Nothing} }

// NameSearch is what tells the entries of a search for the business's own name.
type NameSearch struct {
	Business Business
	// Profiles are the addresses that the site's structured data calls the business's own.
	Profiles []string
	// Directory reports whether an entry is of a directory, Elsewhere whether a text names a place that is none of the
	// client's.
	Directory func(lineup.Entry) bool
	Elsewhere func(text string) bool
}

// HitOf returns what an entry is. It chooses no rivals.
func (n NameSearch) HitOf(e lineup.Entry) Hit {
	named := n.named(e.Name)
	verdict, _ := n.Business.samePhone(e.Phone)
	other := e.Phone != "" && verdict == Differs || n.Elsewhere != nil && n.Elsewhere(e.Name)
	own, _ := hostOf(n.Business.Site)
	switch {
	case own != "" && lineup.Domain(e.URL) == lineup.Domain("https://"+own):
		return OwnSite
	case slices.ContainsFunc(n.Profiles, func(p string) bool { return sameAddressOf(p, e.URL) }):
		return OwnProfile
	case named && other:
		return Namesake
	case e.Part == lineup.Map && (named || verdict == Agrees):
		return OwnProfile
	case n.Directory != nil && n.Directory(e) && (named || verdict == Agrees):
		return Listing
	case named && inFolderOfPeople(e.URL):
		return OwnProfile
	case named:
		return Written
	}
	return Nothing
}

// named reports whether a text holds the words of the business's name in their order.
func (n NameSearch) named(s string) bool {
	key, tokens := nameKey(n.Business.Name), text.Tokens(s)
	for i := 0; len(key) > 0 && i+len(key) <= len(tokens); i++ {
		if slices.Equal(tokens[i:i+len(key)], key) {
			return true
		}
	}
	return false
}

func sameAddressOf(a, b string) bool {
	hostA, pathA := hostOf(a)
	hostB, pathB := hostOf(b)
	return hostA != "" && hostA == hostB && strings.EqualFold(pathA, pathB)
}

// inFolderOfPeople reports whether an address has a folder of profiles, or nothing but a name behind its host.
func inFolderOfPeople(address string) bool {
	_, path := hostOf(address)
	folders := strings.Split(strings.ToLower(path), "/")
	return len(folders) > 1 && slices.Contains([]string{"profile", "profiles", "user", "users", "pages", "company",
		"biz"},
		folders[0])
}

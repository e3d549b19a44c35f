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
	// Directory reports whether an entry is of a directory, Elsewhere whether the words of a text beside the business's
	// name say a place that is none of the client's.
	Directory func(lineup.Entry) bool
	Elsewhere func(text string) bool
}

// HitOf returns what an entry is. It chooses no rivals.
func (n NameSearch) HitOf(e lineup.Entry) Hit {
	named := n.named(e.Name)
	verdict, _ := n.Business.samePhone(e.Phone)
	other := e.Phone != "" && verdict == Differs || named && n.Elsewhere != nil && n.Elsewhere(n.beside(e.Name))
	meant := named || verdict == Agrees
	switch {
	case n.own(e.URL) && e.Part == lineup.Map:
		return OwnProfile
	case n.own(e.URL):
		return OwnSite
	case slices.ContainsFunc(n.Profiles, func(p string) bool { return sameAddressOf(p, e.URL) }):
		return OwnProfile
	case named && other:
		return Namesake
	case meant && e.Part == lineup.Map:
		return OwnProfile
	case meant && n.Directory != nil && n.Directory(e):
		return Listing
	case named && inFolderOfPeople(e.URL):
		return OwnProfile
	case named:
		return Written
	}
	return Nothing
}

// own reports whether an address is one of the business's own site.
func (n NameSearch) own(address string) bool {
	host, _ := hostOf(n.Business.Site)
	return host != "" && lineup.Domain(address) == lineup.Domain("https://"+host)
}

// named reports whether a text holds the words of the business's name in their order.
func (n NameSearch) named(s string) bool {
	at, _ := n.find(text.Tokens(s))
	return at >= 0
}

// beside returns the words of a text without the business's name.
func (n NameSearch) beside(s string) string {
	tokens := text.Tokens(s)
	if at, size := n.find(tokens); at >= 0 {
		tokens = slices.Delete(tokens, at, at+size)
	}
	return strings.Join(tokens, " ")
}

// find returns where the business's name begins among tokens and of how many it is, -1 where it is not.
func (n NameSearch) find(tokens []string) (at, size int) {
	key := nameKey(n.Business.Name)
	for i := 0; len(key) > 0 && i+len(key) <= len(tokens); i++ {
		if slices.Equal(tokens[i:i+len(key)], key) {
			return i, len(key)
		}
	}
	return -1, len(key)
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

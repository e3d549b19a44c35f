// Package backlink judges the domains that link to a client's rivals and not to the client: which of
// them to ask for a link, which to leave, which are doubtful (rule 13.2), and the links that the
// client has (rule 13.1).
//
// In go lists of links, site by site, and what is known of the client; out comes a Judged.
package backlink

import "time"

// Strength is a figure of 0 to 100 that a source gives a page or a site; one that is not known has none.
type Strength struct {
	Value float32
	Known bool
}

// Of returns a strength that is known.
func Of(value float64) Strength { return Strength{Value: float32(value), Known: true} }

// Row is a link, as a list has it, or all links of a domain where the list has one row for each.
type Row struct {
	// Domain is the registrable domain that the link stands on; Page is its address, empty if the list
	// has domains only.
	Domain, Page string
	// Title is that of the page, Anchor is the text of the link.
	Title, Anchor string
	// OfPage is the strength of the page, OfSite are up to two of its site.
	OfPage Strength
	OfSite [2]Strength
	// FirstSeen is the day on which the source saw the link first, zero if it does not say.
	FirstSeen time.Time
	// NotFollowed tells search engines to ignore the link; Lost is one that the source does not see any more.
	NotFollowed, Lost bool
	// Links is how many links of the domain the row stands for, 0 for one.
	Links int
	// Language is that of the page as the source has it, empty if it does not say.
	Language string
}

// Site is a site that is linked to.
type Site struct {
	Domain string
	// Name is that of its business, empty if it is not known: a page that has it in its title names no trade by it.
	Name string
	// Own is the client's; Chain is that of a chain, which counts in no target.
	Own, Chain bool
	Rows       []Row
}

// Verdict is what is done about a domain (rule 13.2).
type Verdict string

// The verdicts.
const (
	Get      Verdict = "get"
	Listing  Verdict = "listing"
	Doubtful Verdict = "doubtful"
	Leave    Verdict = "leave"
)

// Verdicts returns all of them.
func Verdicts() []Verdict { return []Verdict{Get, Listing, Doubtful, Leave} }

// Said returns those that a user can say of a domain.
func Said() []Verdict { return []Verdict{Get, Doubtful, Leave} }

// ReasonCode names why a domain has its verdict.
type ReasonCode string

// The reasons. Those of a Doubtful one have what was found beside them.
const (
	ByRivals     ReasonCode = "by_rivals"      // how many local rivals have it
	ByHand       ReasonCode = "by_hand"        // the user said so
	IsDirectory  ReasonCode = "is_directory"   // it lists firms
	WeakSite     ReasonCode = "weak_site"      // its strength
	ManyLinks    ReasonCode = "many_links"     // how many links of it
	ForeignWords ReasonCode = "foreign_words"  // the language
	ForeignEnd   ReasonCode = "foreign_ending" // the ending
	FarApart     ReasonCode = "far_apart"      // how far two strengths of the site are apart
	Burst        ReasonCode = "burst"          // how many domains of the rival were first seen within 30 days
	Famous       ReasonCode = "famous"         // its strength
)

// ReasonCodes returns all of them.
func ReasonCodes() []ReasonCode {
	return []ReasonCode{ByRivals, ByHand, IsDirectory, WeakSite, ManyLinks, ForeignWords, ForeignEnd, FarApart, Burst,
		Famous}
}

// Reason is why a domain has its verdict: a code, with a number or a word if the code has one.
type Reason struct {
	Code   ReasonCode
	Number float64
	Quote  string
}

// Kind is what a domain to ask is.
type Kind string

// The kinds, each with its own way to ask.
const (
	Association Kind = "association" // an association, a school, a town
	Profile     Kind = "profile"     // one that the client makes itself
	Article     Kind = "article"     // its author is asked
	Neighbor    Kind = "neighbor"    // a business of a neighboring trade
	Other       Kind = "other"
)

// Kinds returns all of them.
func Kinds() []Kind { return []Kind{Association, Profile, Article, Neighbor, Other} }

// Anchor is what a link is to be made of.
type Anchor string

// The anchors: the name of the business, its address, its lead phrase.
const (
	ByName    Anchor = "name"
	ByAddress Anchor = "address"
	ByPhrase  Anchor = "phrase"
)

// Anchors returns all of them.
func Anchors() []Anchor { return []Anchor{ByName, ByAddress, ByPhrase} }

// Domain is a domain that links to a rival or to the client.
type Domain struct {
	Name    string
	Verdict Verdict
	Reason  Reason
	Kind    Kind
	// Best is the link of it that stands: of its strongest page.
	Best Row
	// Rivals are the local rivals that it links to, by their place among the sites.
	Rivals []int
	// Followed reports whether any of its links is followed.
	Followed bool
	// Trade is the word of domain, title or page that names the client's trade or a neighboring one, Place the place
	// of the client that they name; empty for none.
	Trade, Place string
	// Anchor is the text that is wanted; Minutes is what asking takes. Both are empty for what is not asked.
	Anchor  Anchor
	Minutes float64
}

// Judged is what the lists of links come to.
type Judged struct {
	// Ask are the domains to ask for a link, in the order in which they are asked.
	Ask []Domain
	// Listings are directories: the business is to be listed there (rule 13.3). Doubtful and Left are not asked.
	Listings, Doubtful, Left []Domain
	// Own are the domains that link to the client, OwnDoubtful those of them that are doubtful.
	Own         int
	OwnDoubtful []Domain
	// OfRivals is how many different domains link to local rivals.
	OfRivals int
}

// Ground is what is known of the client when links are judged.
type Ground struct {
	// Trade is the client's trade; Services are the forms of its services, each of one or more words.
	Trade    string
	Services []string
	// Idle reports whether a token says nothing of a trade: repair, service, company.
	Idle func(token string) bool
	// Places are the names of the client's places.
	Places []string
	// Languages are those that pages may be in: the client's and those of its town.
	Languages []string
	// Country is that of the client, as two capitals, empty if it is not known.
	Country string
	// Directory reports whether a page is one of a directory (rule 6.1), by its title and address; Ranks whether it is
	// an article that ranks firms.
	Directory, Ranks func(title, address string) bool
	// Said is what the user said of domains, for any client.
	Said map[string]Verdict
	// Minutes are what things take.
	Minutes Minutes
}

// Minutes are what asking takes (rule 12.3, Y).
type Minutes struct{ Link, Profile float64 }

// StandardMinutes returns those that everybody starts with.
func StandardMinutes() Minutes { return Minutes{Link: 45, Profile: 20} }

// Package finding has what can be wrong with a page or with a site, each fact once: what it is
// called, whether it is fixed before all else, what the plan asks for it, and where it is shown.
// What is found is found by page and site; it is worded elsewhere.
//
// It holds the lists of rules 11 and 12.4.
package finding

// Type is a kind of thing that is wrong.
type Type string

// The types, the gravest first.
const (
	UnderConstruction Type = "under_construction"
	NoIndex           Type = "noindex" // kept out of search engines
	PlaceholderText   Type = "placeholder_text"
	NotSecure         Type = "not_secure"          // a page at an http address
	HTTPBesideHTTPS   Type = "http_beside_https"   // a site that answers by both
	HTTPOnly          Type = "http_only"           // a site that answers by http alone
	PlaceWrong        Type = "place_contradiction" // rule 5.2
	DeadLink          Type = "dead_link"
	SoftNotFound      Type = "soft_404"        // a page that says that it is none
	DrawnByScript     Type = "drawn_by_script" // a page whose text a browser draws
	SecondCopy        Type = "second_copy"
	SameService       Type = "same_service" // two pages for one service, or for one town
	OnlyPlacesDiffer  Type = "only_places_differ"
	AllServices       Type = "all_services_page"
	ServiceNoPage     Type = "service_without_page"
	ThinPage          Type = "thin_page"
	Orphan            Type = "orphan"
	NoHomeLink        Type = "no_home_link"     // a service page that the home page does not link by a word of it
	NoBusinessData    Type = "no_business_data" // no structured data of the business on the site
	DirectoryAhead    Type = "directory_ahead"  // a directory that holds a high place of a search (rule 6.4)
	NoTestimonial     Type = "no_testimonial"   // and rivals have some
	NoCallToAct       Type = "no_call_to_act"   // and rivals have one
	PhoneNotLinked    Type = "phone_not_linked"
	NoPhone           Type = "no_phone"
	NoDescription     Type = "no_description"
	VagueAreaWords    Type = "vague_area_words" // rule 5.3
	OtherLanguage     Type = "other_language"
	WordsInImages     Type = "words_in_images"
)

// Where is where on a page something stands.
type Where string

// The places on a page.
const (
	InTitle   Where = "title"
	InH1      Where = "h1"
	InSubhead Where = "subhead"
	InHeading Where = "heading"
	InURL     Where = "url"
	InBody    Where = "body"
	InImage   Where = "image" // its file name
	InAlt     Where = "alt"
)

// Finding is something that is wrong with a page, or with the site where it has no address.
// Which fields it has goes by its type.
type Finding struct {
	Type Type
	URL  string
	// Other is the address of another page: the first of two copies, the page that is like
	// it but for its place, the page that a dead link stands on.
	Other string
	// Label is the text of a link that is dead, or that is to be set, or the name of a directory; Status is what a dead
	// link's address answered.
	Label  string
	Status int
	// Alike reports whether two pages for one service name it and nothing else: one is to go. Else one may be for a
	// part of it.
	Alike bool
	// Services are those that one page holds, or the one without a page.
	Services []string
	// Words are the copy words of a thin page, Least how many it should have.
	Words, Least int
	// Place is one that contradicts the page's own, Where it stands there, Times how often the
	// body names it.
	Place string
	Where Where
	Times int
	// Have counts the rivals that have it, Of those that were measured; Position is a directory's place.
	Have, Of, Position int
	// Texts are what stands there: the text that names the place, placeholders, vague words, the
	// phone number, the phrase of a search.
	Texts []string
}

// Text returns the first of its texts, empty for none.
func (f *Finding) Text() string {
	if len(f.Texts) == 0 {
		return ""
	}
	return f.Texts[0]
}

// Yields reports whether the page of a finding is to go: it is a second copy of another, or for the same.
func (f *Finding) Yields() bool { return f.Type == SecondCopy || f.Type == SameService && f.Alike }

// Copies returns the addresses that are second copies of another page.
func Copies(list []Finding) map[string]bool {
	out := map[string]bool{}
	for _, f := range list {
		if f.Type == SecondCopy {
			out[f.URL] = true
		}
	}
	return out
}

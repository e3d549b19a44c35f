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
	PlaceWrong        Type = "place_contradiction" // rule 5.2
	DeadLink          Type = "dead_link"
	SoftNotFound      Type = "soft_404"        // a page that says that it is none
	HTTPOnly          Type = "http_only"       // a site that answers by http alone
	DrawnByScript     Type = "drawn_by_script" // a page whose text a browser draws
	SecondCopy        Type = "second_copy"
	SameService       Type = "same_service" // two pages for one service
	OnlyPlacesDiffer  Type = "only_places_differ"
	AllServices       Type = "all_services_page"
	ServiceNoPage     Type = "service_without_page"
	ThinPage          Type = "thin_page"
	Orphan            Type = "orphan"
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
	// Label is the text of a dead link, Status what its address answered.
	Label  string
	Status int
	// Services are those that one page holds, or the one without a page.
	Services []string
	// Words are the copy words of a thin page, Least how many it should have.
	Words, Least int
	// Place is one that contradicts the page's own, Where it stands there, Times how often the
	// body names it.
	Place string
	Where Where
	Times int
	// Texts are what stands there: the text that names the place, placeholders, vague words, the
	// phone number.
	Texts []string
}

// Text returns the first of its texts, empty for none.
func (f *Finding) Text() string {
	if len(f.Texts) == 0 {
		return ""
	}
	return f.Texts[0]
}

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

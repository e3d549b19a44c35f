package page

import (
	"encoding/json"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"inktally/core/text"

	"github.com/abadojack/whatlanggo"
)

// Details are what an owner can see of a page beside its words (S8).
type Details struct {
	Canonical string `json:"canonical" doc:"As it stands in the page"`
	Robots    string `json:"robots" doc:"What the page tells search engines"`
	Secure    bool   `json:"secure" doc:"Read by https"`
	// Phones are the numbers in the visible text; a linked one can be called by
	// a touch.
	Phones []Phone  `json:"phones"`
	Mails  []string `json:"mails" doc:"Addresses that a link writes to"`
	Forms  int      `json:"forms" doc:"Forms with something to fill in, searches left out"`
	Videos int      `json:"videos"`
	Maps   int      `json:"maps"`
	// Internal and External count the links with text, by where they lead.
	Internal int `json:"internal"`
	External int `json:"external"`
	// Businesses are those that the page describes in structured data.
	Businesses []DescribedBusiness `json:"businesses"`
	// Placeholder counts the words of visible blocks that are left-over text.
	Placeholder int `json:"placeholder"`
	// Foreign counts the words of visible blocks in another language.
	Foreign int `json:"foreign"`
	// Vague are the catch-all words for the places around (MEASURES 5.3).
	Vague []string `json:"vague"`
	// Testimonials counts quotations and blocks marked as reviews.
	Testimonials int `json:"testimonials"`
	// Years is what the page says of its years in trade, empty for nothing.
	Years string `json:"years"`
	// UnderConstruction tells a page that says so and holds little else.
	UnderConstruction bool `json:"under_construction"`
}

// Phone is a telephone number on a page.
type Phone struct {
	Number string `json:"number"`
	Linked bool   `json:"linked" doc:"Whether a touch calls it"`
}

// DescribedBusiness is what structured data says of a business.
type DescribedBusiness struct {
	Type    string   `json:"type"`
	Name    string   `json:"name"`
	Phone   string   `json:"phone"`
	Address string   `json:"address"`
	Hours   []string `json:"hours"`
	Areas   []string `json:"areas" doc:"Areas served"`
}

// structure is what the walk notes for the details.
type structure struct {
	canonical, robots   string
	forms, videos, maps int
	quotes              int
	data                []string // JSON-LD
}

var (
	phoneText = regexp.MustCompile(`(?:\+?1[-. ])?(?:\(\d{3}\)\s?|\b\d{3}[-. ])\d{3}[-. ]\d{4}\b`)
	vagueText = regexp.MustCompile(`(?i)\b(?:and )?(?:all )?(?:the )?(?:surrounding|nearby|neighbou?ring) (?:areas?|communities|cities|towns|villages|regions?)\b` +
		`|\b(?:and )?(?:the )?(?:towns|cities|communities|villages|areas) (?:nearby|around|close by)\b|\band beyond\b`)
	// Years alone may be those of a guarantee: words about the firm must follow.
	yearsText = regexp.MustCompile(`(?i)\b((?:since|established in|est\.?|founded in) (?:1[89]|20)\d\d)\b` +
		`|\b((?:over |more than |nearly )?(?:\d{1,3}|ten|fifteen|twenty|thirty|forty|fifty) years)` +
		`(?:’|')? (?:of experience|experience|in business|in (?:the )?trade|we|our)\b`)
	buildingText = regexp.MustCompile(`(?i)\b(?:under construction|coming soon|launching soon|site is being built)\b`)
)

const (
	fewWords     = 100 // words under which a page under construction is one
	foreignWords = 12  // words of a block whose language can be told
	foreignTries = 16  // blocks of a page whose language is told: it is slow
	foreignBytes = 240 // of a block that are looked at
)

// Details returns what an owner can see of a page. They are worked out when
// they are first asked for.
func (p *Page) Details() Details {
	p.once.Do(func() { p.details = p.findDetails() })
	return p.details
}

func (p *Page) findDetails() Details {
	s := &p.structure
	d := Details{Canonical: s.canonical, Robots: s.robots, Secure: strings.HasPrefix(p.URL, "https:"), Forms: s.forms,
		Videos: s.videos, Maps: s.maps, Testimonials: s.quotes,
		Phones: []Phone{}, Mails: []string{}, Businesses: []DescribedBusiness{}, Vague: []string{}}
	p.phonesAndLinks(&d)
	tries := 0
	for i := range p.Blocks {
		b := &p.Blocks[i]
		if b.Hidden {
			continue
		}
		t := p.Text(i)
		low := strings.ToLower(t)
		if placeholder(low) {
			d.Placeholder += b.Words
		} else if b.Words >= foreignWords && tries < foreignTries && p.mayBeForeign(i) {
			tries++
			if p.foreign(t) {
				d.Foreign += b.Words
			}
		}
		if holdsOne(low, "surrounding", "nearby", "neighb", "around", "close by", "beyond") {
			d.Vague = append(d.Vague, vagueText.FindAllString(t, -1)...)
		}
		if d.Years == "" && b.Copy() && holdsOne(low, "since ", "established", "est. ", "est 1", "est 2", "founded", " years") {
			if m := yearsText.FindStringSubmatch(t); m != nil {
				d.Years = m[1] + m[2]
			}
		}
		d.UnderConstruction = d.UnderConstruction || p.Words.Copy < fewWords && buildingText.MatchString(t)
	}
	for _, raw := range s.data {
		d.Businesses = append(d.Businesses, businesses(raw)...)
	}
	return d
}

// phonesAndLinks tells numbers that are linked from those that are not, and
// counts links.
func (p *Page) phonesAndLinks(d *Details) {
	linked := map[string]bool{}
	for _, l := range p.Links {
		scheme, rest, _ := strings.Cut(strings.TrimSpace(l.Href), ":")
		switch strings.ToLower(scheme) {
		case "tel":
			linked[digits(rest)] = true
			continue
		case "mailto":
			address, _, _ := strings.Cut(rest, "?")
			if !slices.Contains(d.Mails, address) {
				d.Mails = append(d.Mails, address)
			}
			continue
		}
		if len(l.Spans) == 0 {
			continue
		}
		if p.leadsAway(l.Href) {
			d.External++
		} else {
			d.Internal++
		}
	}
	seen := map[string]bool{}
	for i := range p.Blocks {
		if p.Blocks[i].Hidden {
			continue
		}
		if len(digits(p.Text(i))) < 7 {
			continue
		}
		for _, number := range phoneText.FindAllString(p.Text(i), -1) {
			key := digits(number)
			if !seen[key] {
				seen[key] = true
				d.Phones = append(d.Phones, Phone{Number: number, Linked: linked[key]})
			}
		}
	}
}

// digits are those of a number, without the country's 1.
func digits(number string) string {
	var b strings.Builder
	for i := range len(number) {
		if number[i] >= '0' && number[i] <= '9' {
			b.WriteByte(number[i])
		}
	}
	only := b.String()
	if len(only) == 11 {
		only = strings.TrimPrefix(only, "1")
	}
	return only
}

// leadsAway tells a link to another host.
func (p *Page) leadsAway(href string) bool {
	if !strings.Contains(href, "//") {
		return false // a path of this site
	}
	at := resolve(p.URL, href)
	_, rest, ok := strings.Cut(at, "://")
	if !ok {
		return false
	}
	_, own, _ := strings.Cut(p.URL, "://")
	return !strings.EqualFold(hostOf(rest), hostOf(own))
}

func hostOf(rest string) string {
	host, _, _ := strings.Cut(rest, "/")
	return strings.TrimPrefix(strings.ToLower(host), "www.")
}

// placeholder tells left-over text, given in lower case, by its usual words.
func placeholder(low string) bool {
	return holdsOne(low, "lorem ipsum", "dolor sit amet", "your text here", "insert text here")
}

// The words that hardly any text of a language does without. They tell which
// blocks are worth telling the language of, which is slow.
var (
	commonEnglish = wordSet("the and of to we is for you with our are")
	commonOthers  = wordSet("la le les des nous vous est dans pour el los las una con para por der die das und ist wir sie nicht mit " +
		"il che per sono della uma nos het een voor niet och att det som")
)

func wordSet(words string) map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(words) {
		out[w] = true
	}
	return out
}

// mayBeForeign tells whether a block of an English page may be in another
// language, or one of another page in English.
func (p *Page) mayBeForeign(block int) bool {
	english, others := 0, 0
	lo, hi := p.TokenRange(block)
	for i := lo; i < hi; i++ {
		token := p.scan.Folded(i)
		if len(token) > 5 {
			continue
		}
		if commonEnglish[token] {
			english++
		} else if commonOthers[token] {
			others++
		}
	}
	if text.English(p.Lang) {
		return english == 0 && others >= 2
	}
	return english >= 2
}

// holdsOne tells whether one of the words stands in a text: expressions are
// only matched where they may be.
func holdsOne(s string, words ...string) bool {
	return slices.ContainsFunc(words, func(w string) bool { return strings.Contains(s, w) })
}

// told are the languages that blocks are told apart by.
var told = whatlanggo.Options{Whitelist: map[whatlanggo.Lang]bool{
	whatlanggo.Eng: true, whatlanggo.Spa: true, whatlanggo.Fra: true, whatlanggo.Deu: true, whatlanggo.Por: true,
	whatlanggo.Ita: true, whatlanggo.Nld: true, whatlanggo.Swe: true,
}}

// foreign tells a block in another language than the page's.
func (p *Page) foreign(s string) bool {
	if len(s) > foreignBytes {
		s = strings.ToValidUTF8(s[:foreignBytes], "")
	}
	own, _, _ := strings.Cut(strings.ToLower(p.Lang), "-")
	info := whatlanggo.DetectWithOptions(s, told)
	found := info.Lang.Iso6391()
	return own != "" && info.IsReliable() && found != "" && found != own
}

// businesses reads the businesses of a JSON-LD script.
func businesses(raw string) []DescribedBusiness {
	var v any
	if json.Unmarshal([]byte(raw), &v) != nil {
		return nil
	}
	var out []DescribedBusiness
	var walk func(v any, depth int)
	walk = func(v any, depth int) {
		if depth > 6 {
			return
		}
		switch v := v.(type) {
		case []any:
			for _, x := range v {
				walk(x, depth+1)
			}
		case map[string]any:
			if b, ok := businessOf(v); ok {
				out = append(out, b)
				return
			}
			walk(v["@graph"], depth+1)
			walk(v["mainEntity"], depth+1)
		}
	}
	walk(v, 0)
	return out
}

// businessOf reads an object that has the phone or the address of a business.
func businessOf(o map[string]any) (DescribedBusiness, bool) {
	if o["telephone"] == nil && o["address"] == nil {
		return DescribedBusiness{}, false
	}
	b := DescribedBusiness{Type: plain(o["@type"]), Name: plain(o["name"]), Phone: plain(o["telephone"]), Hours: []string{}, Areas: []string{}}
	if a, ok := o["address"].(map[string]any); ok {
		var parts []string
		for _, key := range []string{"streetAddress", "addressLocality", "addressRegion", "postalCode"} {
			if s := plain(a[key]); s != "" {
				parts = append(parts, s)
			}
		}
		b.Address = strings.Join(parts, ", ")
	} else {
		b.Address = plain(o["address"])
	}
	b.Hours = append(b.Hours, plainList(o["openingHours"])...)
	b.Areas = append(b.Areas, plainList(o["areaServed"])...)
	return b, b.Name != ""
}

// plain is a JSON value as text; of an object its name, of a list its first.
func plain(v any) string {
	switch v := v.(type) {
	case string:
		return text.Collapse(v)
	case float64:
		return strconv.FormatFloat(v, 'f', -1, 64)
	case []any:
		if len(v) > 0 {
			return plain(v[0])
		}
	case map[string]any:
		return plain(v["name"])
	}
	return ""
}

func plainList(v any) []string {
	list, ok := v.([]any)
	if !ok {
		list = []any{v}
	}
	var out []string
	for _, x := range list {
		if s := plain(x); s != "" {
			out = append(out, s)
		}
	}
	return out
}

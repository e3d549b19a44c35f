package sheet

import (
	"slices"
	"strings"
	"sync"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Question is what pages are measured for. It may be shared between
// goroutines.
type Question struct {
	// Phrases are the phrases of the client's page.
	Phrases []string
	// Services are words for what the client sells.
	Services []string
	Places   []place.Place
	// Said is what the user said of words and phrases.
	Said phrase.Said
	// Place is the page's own place (MEASURES 5.1).
	Place place.Place
	// PlacesBound tells that other places are contradictions on this page.
	PlacesBound bool

	mu      sync.Mutex
	readers map[string]*reader
}

// reader is a question compiled for one language.
type reader struct {
	matcher *phrase.Matcher
	judge   *imagename.Judge
}

// reader compiles the question for the language of a page.
func (q *Question) reader(lang string) *reader {
	primary, _, _ := strings.Cut(strings.ToLower(lang), "-")
	q.mu.Lock()
	defer q.mu.Unlock()
	if r, ok := q.readers[primary]; ok {
		return r
	}
	language := phrase.LanguageOf(primary, q.Places, q.Said)
	list := make([]phrase.Phrase, len(q.Phrases))
	for i, p := range q.Phrases {
		list[i] = phrase.New(p, language)
	}
	r := &reader{matcher: phrase.Compile(list, language)}
	r.judge = imagename.NewJudge(imagename.Judge{
		Matcher: r.matcher, Language: language, Services: q.Services, Place: q.Place, PlacesBound: q.PlacesBound,
	})
	if q.readers == nil {
		q.readers = map[string]*reader{}
	}
	q.readers[primary] = r
	return r
}

// Judge returns the judge of image names for pages in a language.
func (q *Question) Judge(lang string) *imagename.Judge { return q.reader(lang).judge }

// Families returns the families of the question's phrases in English, each
// with the indices of its members.
func (q *Question) Families() []phrase.Family { return q.reader("en").matcher.Families }

// Placement is where a phrase or a family stands in a page.
type Placement struct {
	Exact Slots `json:"exact"`
	Loose Slots `json:"loose"`
	// InCopy are the occurrences in headings and body, exact and loose.
	InCopy int `json:"in_copy"`
}

// Rate is the number of occurrences per 1,000 copy words (MEASURES 3.4).
func (p Placement) Rate(copyWords int) float64 {
	if copyWords == 0 {
		return 0
	}
	return float64(p.InCopy) * 1000 / float64(copyWords)
}

// Density is the keyword density in percent of a phrase of so many tokens
// (MEASURES 3.4).
func (p Placement) Density(tokens, copyWords int) float64 {
	return p.Rate(copyWords) * float64(tokens) / 10
}

// Column is one page as it stands in a sheet.
type Column struct {
	Page *page.Page
	// Phrases are the placements by phrase, Families those by family.
	Phrases  []Placement
	Families []Placement
	// Verdicts are those of the page's images, in their order.
	Verdicts []imagename.Verdict
}

// Measure measures a page.
func Measure(p *page.Page, q *Question) *Column {
	r := q.reader(p.Lang)
	c := &Column{
		Page:     p,
		Phrases:  make([]Placement, len(r.matcher.Phrases)),
		Families: make([]Placement, len(r.matcher.Families)),
		Verdicts: make([]imagename.Verdict, len(p.Images)),
	}
	labels := newLabels(p, r)
	carries := make([]bool, len(p.Images))
	visit(p, r, labels, func(slot Slot, at int, copied bool, hits []phrase.Hit) {
		for _, h := range hits {
			c.count(slot, copied, h, r.matcher)
		}
		if slot == ImageNames {
			carries[at] = true
		}
	})
	for i := range p.Images {
		c.Verdicts[i] = r.judge.VerdictOf(p.Images[i].File, labels.names[i], carries[i])
	}
	return c
}

// Holds tells which of a question's phrases stand exactly in the title or the
// visible text of a page: a near miss lacks its lead there (MEASURES 3.9).
func Holds(p *page.Page, q *Question) []bool {
	c := Measure(p, q)
	out := make([]bool, len(c.Phrases))
	for i, placed := range c.Phrases {
		out[i] = placed.Exact.Title+placed.Exact.Total > 0
	}
	return out
}

// count counts one occurrence for its phrase and its family; a loose one is an
// occurrence of each member.
func (c *Column) count(slot Slot, copied bool, h phrase.Hit, m *phrase.Matcher) {
	if h.Exact() {
		c.Phrases[h.Phrase].addExact(slot, copied)
		if h.Counts {
			c.Families[h.Family].addExact(slot, copied)
		}
		return
	}
	c.Families[h.Family].addLoose(slot, copied)
	for _, i := range m.Families[h.Family].Members {
		c.Phrases[i].addLoose(slot, copied)
	}
}

func (p *Placement) addExact(slot Slot, copied bool) {
	p.Exact.add(slot, 1)
	if copied {
		p.InCopy++
	}
}

func (p *Placement) addLoose(slot Slot, copied bool) {
	p.Loose.add(slot, 1)
	if copied {
		p.InCopy++
	}
}

// Carrying counts the images whose names carry a phrase.
func (c *Column) Carrying() int {
	n := 0
	for _, v := range c.Verdicts {
		if v == imagename.Carries {
			n++
		}
	}
	return n
}

// TitlePosition returns where in the title a member of a family first stands
// exactly, in characters, and -1 where it does not.
func (c *Column) TitlePosition(q *Question, family int) int {
	r := q.reader(c.Page.Lang)
	scan := &text.Scan{Text: c.Page.Title}
	scan.AppendLabel(0, len(scan.Text))
	hits := r.matcher.Finder(scan).Find(0, len(scan.Tokens))
	at := slices.IndexFunc(hits, func(h phrase.Hit) bool { return h.Exact() && h.Family == family })
	if at < 0 {
		return -1
	}
	return len([]rune(c.Page.Title[:scan.Start(hits[at].Lo)]))
}

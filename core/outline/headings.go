package outline

import (
	"slices"
	"strings"
	"sync"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Headings remembers what the headings of pages say: the same page of a rival stands beside
// many of a client's, and all of a client's are matched with the same services. It is for
// one client and may be shared between goroutines.
type Headings struct {
	mu       sync.Mutex
	pages    map[*page.Page][]aspectHeading
	texts    map[string]headingWords
	services map[string]string // that a heading names
	topics   []topicStems      // the client's services
	known    map[string]stem
	names    []string
}

// headingWords are those of a text: its tokens, and as the stems of its content words.
type headingWords struct {
	tokens []string
	stems  []stem
}

// stem is the number of a stem among those that were met.
type stem int

// aspectHeading is what a heading says.
type aspectHeading struct {
	headingWords
	heading page.Heading
	bare    []stem // without the names of places
	// calls reports whether it only asks to get in touch.
	calls bool
}

// mostHeadings is how many headings of a rival's page are looked at.
const mostHeadings = 60

// of returns the headings of a rival's page below its h1 that tell an aspect.
func (h *Headings) of(p *page.Page, l phrase.Language) []aspectHeading {
	h.mu.Lock()
	defer h.mu.Unlock()
	if list, ok := h.pages[p]; ok {
		return list
	}
	if h.pages == nil {
		h.pages = map[*page.Page][]aspectHeading{}
	}
	h.pages[p] = h.aspects(p, l)
	return h.pages[p]
}

func (h *Headings) aspects(p *page.Page, l phrase.Language) (out []aspectHeading) {
	touch := h.read("contact call phone book email message appointment", l).stems
	for _, heading := range p.Headings {
		if heading.Level == 1 || heading.Words < aspectWords || len(out) == mostHeadings {
			continue
		}
		t := aspectHeading{heading: heading, headingWords: h.read(heading.Text, l)}
		t.bare = h.read(withoutPlaces(t.tokens, l), l).stems
		t.calls = overlaps(t.stems, touch)
		out = append(out, t)
	}
	return out
}

// text reads a text, once; whoever asks must not change it.
func (h *Headings) text(s string, l phrase.Language) headingWords {
	h.mu.Lock()
	defer h.mu.Unlock()
	return h.read(s, l)
}

// named returns the service that a heading names, worked out once: all pages of a client have the same services.
func (h *Headings) named(s string, work func() string) string {
	h.mu.Lock()
	defer h.mu.Unlock()
	name, ok := h.services[s]
	if !ok {
		if h.services == nil {
			h.services = map[string]string{}
		}
		name = work()
		h.services[s] = name
	}
	return name
}

// stemsOf returns the services of the client by their stems, worked out once.
func (h *Headings) stemsOf(services []Topic, l phrase.Language) []topicStems {
	h.mu.Lock()
	defer h.mu.Unlock()
	if h.topics != nil {
		return h.topics
	}
	for _, s := range services {
		t := topicStems{name: s.Name}
		for _, form := range append([]string{s.Name}, s.Forms...) {
			t.forms = append(t.forms, h.read(form, l).stems)
		}
		h.topics = append(h.topics, t)
	}
	return h.topics
}

func (h *Headings) read(s string, l phrase.Language) headingWords {
	if kept, ok := h.texts[s]; ok {
		return kept
	}
	if h.texts == nil {
		h.texts, h.known = map[string]headingWords{}, map[string]stem{}
	}
	out := headingWords{tokens: text.Tokens(s)}
	for _, t := range out.tokens {
		if !l.Small(t) {
			out.stems = append(out.stems, h.number(l.Stem(t)))
		}
	}
	h.texts[s] = out
	return out
}

func (h *Headings) number(name string) stem {
	n, ok := h.known[name]
	if !ok {
		n = stem(len(h.names))
		h.known[name] = n
		h.names = append(h.names, name)
	}
	return n
}

// met returns how many stems were met.
func (h *Headings) met() int {
	h.mu.Lock()
	defer h.mu.Unlock()
	return len(h.names)
}

// key writes stems as text, in alphabetical order.
func (h *Headings) key(stems []stem) string {
	h.mu.Lock()
	defer h.mu.Unlock()
	names := make([]string, 0, len(stems))
	for _, s := range stems {
		names = append(names, h.names[s])
	}
	slices.Sort(names)
	return strings.Join(names, " ")
}

// withoutPlaces are words without the names of known places.
func withoutPlaces(tokens []string, l phrase.Language) string {
	for _, p := range l.Places {
		for _, form := range p.Forms() {
			if at := place.Index(tokens, form); at >= 0 {
				tokens = slices.Concat(tokens[:at], tokens[at+len(form):])
			}
		}
	}
	return strings.Join(tokens, " ")
}

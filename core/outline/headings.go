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
// many of a client's. It is for one language and may be shared between goroutines.
type Headings struct {
	mu    sync.Mutex
	pages map[*page.Page][]told
}

// told is what a heading says.
type told struct {
	heading page.Heading
	// stems are those of its content words, bare those without the names of places.
	stems, bare []string
	tokens      []string
	// calls tells one that only asks to get in touch.
	calls bool
}

// mostHeadings is how many headings of a rival's page are looked at.
const mostHeadings = 60

// of are the headings of a rival's page below its h1 that tell an aspect.
func (h *Headings) of(p *page.Page, l phrase.Language) []told {
	if h == nil {
		return aspectsOf(p, l)
	}
	h.mu.Lock()
	defer h.mu.Unlock()
	if list, ok := h.pages[p]; ok {
		return list
	}
	if h.pages == nil {
		h.pages = map[*page.Page][]told{}
	}
	h.pages[p] = aspectsOf(p, l)
	return h.pages[p]
}

func aspectsOf(p *page.Page, l phrase.Language) (out []told) {
	touch := stemsOf("contact call phone book email message appointment", l)
	for _, h := range p.Headings {
		if h.Level == 1 || h.Words < aspectWords || len(out) == mostHeadings {
			continue
		}
		t := told{heading: h, tokens: text.Tokens(h.Text), stems: stemsOf(h.Text, l)}
		t.bare = stemsOf(withoutPlaces(t.tokens, l), l)
		t.calls = overlaps(t.stems, touch)
		out = append(out, t)
	}
	return out
}

// stemsOf are the stems of the content words of a text.
func stemsOf(s string, l phrase.Language) []string {
	var out []string
	for _, t := range text.Tokens(s) {
		if !l.Small(t) {
			out = append(out, l.Stem(t))
		}
	}
	return out
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

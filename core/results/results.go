// Package results reads a page of search results without knowing whose page it is:
// from the structure of repeated entries, or from the lines of a copied text
// (rule 6.6).
//
// In go the bytes of a page (HTML, text or a table) and its address, if that is
// known; out come its entries with their parts, positions and figures, and what
// looked like an entry and could not be read.
package results

import (
	"bytes"
	"regexp"
	"strconv"
	"strings"

	"inktally/core/decode"
	"inktally/core/text"
)

// Part is the part of a results page that an entry stands in.
type Part string

// The parts.
const (
	Paid         Part = "paid"
	Map          Part = "map"
	MapSponsored Part = "map-sponsored"
	Organic      Part = "organic"
)

// Parts returns all of them.
func Parts() []Part { return []Part{Paid, Map, MapSponsored, Organic} }

// Entry is an entry of a results page. What the page does not say is empty or nil.
type Entry struct {
	Part Part
	// Position counts inside the part, from 1; 0 for what is paid or sponsored.
	Position int
	Title    string
	// URL is the real target, taken out of a link that redirects.
	URL string
	// Domain is the registrable domain of the target, or the one that is shown.
	Domain  string
	Rating  *float64
	Reviews *int
	// Phone is as it stands on the page, Years how long the business says that it
	// is in trade.
	Phone string
	Years *int
}

// Results is a results page as it was read.
type Results struct {
	// Language is its tag, empty if it is not clear.
	Language string
	Entries  []Entry
	// Unread are the texts of what looked like an entry and could not be read.
	Unread []string
	// Heading is the first row of a table, Columns what each of its columns was read as;
	// nil for what is no table.
	Heading []string
	Columns []Field

	placed bool // the entries have the positions that a table has
}

// Source is what is known of a page beside its bytes.
type Source struct {
	// URL is its address, ContentType what the header says of it; both may be empty.
	URL, ContentType string
	// Table reports whether it is a table; Columns are what its columns hold, nil to guess it
	// by their headings.
	Table   bool
	Columns []Field
}

// MaxBytes bounds a results page.
const MaxBytes = 20 << 20

// Read reads a results page: HTML, else a table with headings, else lines of text.
func Read(body []byte, source Source) Results {
	body = body[:min(len(body), MaxBytes)]
	body = decode.Page(body, source.ContentType)
	var p Results
	switch {
	case looksLikeHTML(body, source.ContentType):
		p = fromHTML(body, source.URL)
	default:
		if table, ok := fromTable(body, source); ok {
			p = table
			if len(p.Entries) == 0 && source.Columns == nil { // no heading tells anything: lines may
				lines := fromText(string(body))
				p.Entries, p.Unread = lines.Entries, lines.Unread
			}
		} else {
			p = fromText(string(body))
		}
	}
	p.unmark()
	p.number()
	return p
}

// counting is what counts in front of a title.
var counting = regexp.MustCompile(`^(?:(\d{1,2})|([A-Z]))[.)]\s+(\S.*)`)

// unmark takes the marks from titles that count up in their part: 1. 2. 3., or A. B. C.
func (p *Results) unmark() {
	for _, part := range []Part{Map, Organic} {
		next, bare := 0, map[int]string{}
		for i, e := range p.Entries {
			if e.Part != part {
				continue
			}
			next++
			m := counting.FindStringSubmatch(e.Title)
			if m == nil || m[1] != "" && m[1] != strconv.Itoa(next) || m[2] != "" && m[2] != string(rune('A'+next-1)) {
				break
			}
			bare[i] = m[3]
		}
		if len(bare) < 2 {
			continue
		}
		for i, title := range bare {
			p.Entries[i].Title = title
		}
	}
}

// looksLikeHTML reports whether a text is a page of tags.
func looksLikeHTML(body []byte, contentType string) bool {
	if strings.Contains(contentType, "html") {
		return true
	}
	head := bytes.ToLower(bytes.TrimSpace(body[:min(len(body), 4096)]))
	for _, tag := range []string{"<!doctype", "<html", "<head", "<body", "<div", "<table", "<ol", "<ul", "<p>", "<a "} {
		if bytes.HasPrefix(head, []byte(tag)) || tag != "<a " && tag != "<p>" && bytes.Contains(head, []byte(tag)) {
			return true
		}
	}
	return false
}

// number counts positions inside the parts.
func (p *Results) number() {
	counts := map[Part]int{}
	for i := range p.Entries {
		e := &p.Entries[i]
		e.Title = text.Collapse(e.Title)
		stated := e.Position
		if e.Position = 0; e.Part == Map || e.Part == Organic {
			counts[e.Part]++
			if p.placed && stated > counts[e.Part] {
				counts[e.Part] = stated // what a table leaves out was there all the same
			}
			e.Position = counts[e.Part]
		}
	}
	if p.Entries == nil {
		p.Entries = []Entry{}
	}
	if p.Unread == nil {
		p.Unread = []string{}
	}
}

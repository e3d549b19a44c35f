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

	"inktally/core/copied"
	"inktally/core/cues"
	"inktally/core/decode"
	"inktally/core/entry"
	"inktally/core/grid"
	"inktally/core/text"
)

// Results is a results page as it was read.
type Results struct {
	// Language is its tag, empty if it is not clear.
	Language string
	// Phrase is what was searched for, as the page's field has it; empty if it does not say.
	Phrase  string
	Entries []entry.Entry
	// Unread are the texts of what looked like an entry and could not be read.
	Unread []string
	// Heading is the first row of a table, Columns what each of its columns was read as;
	// nil for what is no table.
	Heading []string
	Columns []grid.Field

	placed bool // the entries have the positions that a table has
}

// Source is what is known of a page beside its bytes.
type Source struct {
	// URL is its address, ContentType what the header says of it; both may be empty.
	URL, ContentType string
	// Table reports whether it is a table; Columns are what its columns hold, nil to guess it
	// by their headings.
	Table   bool
	Columns []grid.Field
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
		p = fromText(body, source)
	}
	p.unmark()
	p.number()
	return p
}

// counting is what counts in front of a title.
var counting = regexp.MustCompile(`^(?:(\d{1,2})|([A-Z]))[.)]\s+(\S.*)`)

// unmark takes the marks from titles that count up in their part: 1. 2. 3., or A. B. C.
func (p *Results) unmark() {
	for _, part := range []entry.Part{entry.Map, entry.Organic} {
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

// fromText reads what has no tags: a table, else lines of text.
func fromText(body []byte, source Source) (p Results) {
	if t, ok := grid.Read(body, source.Columns, source.Table); ok {
		p = Results{Entries: t.Entries, Unread: t.Unread, Heading: t.Heading, Columns: t.Columns, placed: t.Placed}
		if len(p.Entries) > 0 || source.Columns != nil {
			return p
		}
	}
	scan, _ := text.ScanText(string(body))
	p.Language = cues.Language(scan)
	p.Entries = copied.Read(string(body))
	return p
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
	counts := map[entry.Part]int{}
	for i := range p.Entries {
		e := &p.Entries[i]
		e.Title = text.Collapse(e.Title)
		stated := e.Position
		if e.Position = 0; e.Part == entry.Map || e.Part == entry.Organic {
			counts[e.Part]++
			if p.placed && stated > counts[e.Part] {
				counts[e.Part] = stated // what a table leaves out was there all the same
			}
			e.Position = counts[e.Part]
		}
	}
	if p.Entries == nil {
		p.Entries = []entry.Entry{}
	}
	if p.Unread == nil {
		p.Unread = []string{}
	}
}

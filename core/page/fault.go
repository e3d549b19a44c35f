package page

import "strings"

// Fault is something about a page that its owner should hear.
type Fault string

// The faults of a page. Those that First tells must be fixed before all else
// (MEASURES 11).
const (
	UnderConstruction Fault = "under construction"
	NoIndex           Fault = "no index" // kept out of search engines
	PlaceholderText   Fault = "placeholder text"
	NotSecure         Fault = "not secure" // plain http
	PhoneNoLink       Fault = "phone no link"
	NoPhone           Fault = "no phone"
	NoDescription     Fault = "no description"
	VagueWords        Fault = "vague words"
	OtherLanguage     Fault = "other language"
	WordsInImages     Fault = "words in images"
)

// First tells whether a fault must be fixed before all else.
func (f Fault) First() bool {
	switch f {
	case UnderConstruction, NoIndex, PlaceholderText, NotSecure:
		return true
	}
	return false
}

// faults lists the faults of a page, the gravest first.
func (p *Page) faults(d *Details) []Fault {
	linked := false
	for _, phone := range d.Phones {
		linked = linked || phone.Linked
	}
	out := []Fault{}
	for _, f := range []struct {
		fault Fault
		holds bool
	}{
		{UnderConstruction, d.UnderConstruction},
		{NoIndex, strings.Contains(strings.ToLower(d.Robots), "noindex")},
		{PlaceholderText, d.Placeholder.Words > 0},
		{NotSecure, strings.HasPrefix(p.URL, "http:")},
		{PhoneNoLink, len(d.Phones) > 0 && !linked},
		{NoPhone, len(d.Phones) == 0},
		{NoDescription, p.Description == ""},
		{VagueWords, len(d.Vague) > 0},
		{OtherLanguage, d.Foreign.Words > 0},
		{WordsInImages, len(d.Baked) > 0},
	} {
		if f.holds {
			out = append(out, f.fault)
		}
	}
	return out
}

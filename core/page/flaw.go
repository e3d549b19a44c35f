package page

import "strings"

// Flaw is something about a page that its owner should hear.
type Flaw string

// The flaws of a page. Those that First tells must be fixed before all else
// (rule 11).
const (
	UnderConstruction Flaw = "under_construction"
	NoIndex           Flaw = "no_index" // kept out of search engines
	PlaceholderText   Flaw = "placeholder_text"
	NotSecure         Flaw = "not_secure" // plain http
	PhoneNoLink       Flaw = "phone_no_link"
	NoPhone           Flaw = "no_phone"
	NoDescription     Flaw = "no_description"
	VagueWords        Flaw = "vague_words"
	OtherLanguage     Flaw = "other_language"
	WordsInImages     Flaw = "words_in_images"
)

// First tells whether a flaw must be fixed before all else.
func (f Flaw) First() bool {
	switch f {
	case UnderConstruction, NoIndex, PlaceholderText, NotSecure:
		return true
	}
	return false
}

// flaws lists the flaws of a page, the gravest first.
func (p *Page) flaws(d *Details) []Flaw {
	linked := false
	for _, phone := range d.Phones {
		linked = linked || phone.Linked
	}
	out := []Flaw{}
	for _, f := range []struct {
		flaw  Flaw
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
			out = append(out, f.flaw)
		}
	}
	return out
}

// Flaws are all of them, the gravest first.
func Flaws() []Flaw {
	return []Flaw{UnderConstruction, NoIndex, PlaceholderText, NotSecure, PhoneNoLink, NoPhone, NoDescription, VagueWords, OtherLanguage,
		WordsInImages}
}

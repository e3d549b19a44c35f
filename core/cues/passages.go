package cues

import (
	"regexp"
	"strings"
)

var (
	vague = regexp.MustCompile(
		`(?i)\b(?:and )?(?:all )?(?:the )?(?:surrounding|nearby|neighbou?ring) (?:areas?|communities|cities|towns|villages|regions?)\b` +
			`|\b(?:and )?(?:the )?(?:towns|cities|communities|villages|areas) (?:nearby|around|close by)\b|\band beyond\b`)
	// Years alone may be those of a guarantee: words about the firm must follow.
	years = regexp.MustCompile(`(?i)\b((?:since|established in|est\.?|founded in) (?:1[89]|20)\d\d)\b` +
		`|\b((?:over |more than |nearly )?(?:\d{1,3}|ten|fifteen|twenty|thirty|forty|fifty) years)` +
		`(?:’|')? (?:of experience|experience|in business|in (?:the )?trade|we|our)\b`)
	building = regexp.MustCompile(`(?i)\b(?:under construction|coming soon|launching soon|site is being built)\b`)
)

// VagueIn returns the catch-all words for the places around that a text holds (rule 5.3).
func VagueIn(text string) []string { return vague.FindAllString(text, -1) }

// YearsIn returns what a text says of the years that a firm is in its trade, empty for nothing.
func YearsIn(text string) string {
	m := years.FindStringSubmatch(text)
	if m == nil {
		return ""
	}
	return m[1] + m[2]
}

// IsBuilding reports whether a text says that its page is under construction.
func IsBuilding(text string) bool { return building.MatchString(text) }

// IsFiller reports whether a text was left over from a template, by its usual words.
func IsFiller(text string) bool {
	low := strings.ToLower(text)
	for _, words := range fillers {
		if strings.Contains(low, words) {
			return true
		}
	}
	return false
}

// fillers are the words that templates and builders of sites leave standing.
var fillers = []string{"lorem ipsum", "dolor sit amet", "your text here", "insert text here", "click edit",
	"click to edit",
	"click here to edit", "double click to edit", "double-click to edit", "edit this text", "change this text",
	"add your text",
	"add your own text", "replace this text", "[insert", "insert your", "your company name here",
	"your business name here",
	"your tagline", "this is a sample", "sample text", "placeholder text", "tell your visitors", "tell your story here",
	"this is a paragraph. click"}

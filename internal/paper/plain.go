package paper

import (
	"net/url"
	"regexp"
	"strings"
	"unicode"
)

// marks are the characters that mean something in Markdown wherever they stand.
const marks = "\\`*[]<>~@"

var (
	// address is where readers of Markdown see a link in mere text, entity a character that is
	// written by its name, opening what begins a list, a heading or a line.
	address = regexp.MustCompile(`(?i)(www|https?|ftp|mailto|xmpp)([.:])`)
	entity  = regexp.MustCompile(`&(#?[[:alnum:]]+;)`)
	opening = regexp.MustCompile(`^(?:(\d+)([.)])(\s|$)|([-+#=.)]))`)
)

// MarkdownText writes a text of strangers so that it is nothing but text in Markdown: no
// markup, no link, no line of its own.
func MarkdownText(s string) string {
	var out strings.Builder
	text := []rune(strings.Join(strings.Fields(s), " "))
	for i, r := range text {
		switch {
		case strings.ContainsRune(marks, r), r == '_' && !inWord(text, i):
			out.WriteByte('\\')
			out.WriteRune(r)
		case unicode.IsControl(r) || unicode.Is(unicode.Bidi_Control, r):
			out.WriteRune(unicode.ReplacementChar)
		default:
			out.WriteRune(r)
		}
	}
	spoken := address.ReplaceAllString(out.String(), `$1\$2`)
	spoken = entity.ReplaceAllString(spoken, `\&$1`)
	return opening.ReplaceAllStringFunc(spoken, func(s string) string {
		at := strings.IndexAny(s, "-+#=.)")
		return s[:at] + `\` + s[at:]
	})
}

// inWord reports whether a character stands between two letters or digits.
func inWord(text []rune, i int) bool {
	word := func(k int) bool {
		return k >= 0 && k < len(text) && (unicode.IsLetter(text[k]) || unicode.IsDigit(text[k]))
	}
	return word(i-1) && word(i+1)
}

// webAddress returns an address of the web, false for what is none.
func webAddress(to string) (*url.URL, bool) {
	u, err := url.Parse(to)
	return u, err == nil && (u.Scheme == "http" || u.Scheme == "https") && u.Host != ""
}

// MarkdownLink writes an address as a link, as far as it is one of the web.
func MarkdownLink(to string) string {
	u, ok := webAddress(to)
	if !ok {
		return MarkdownText(to)
	}
	return "<" + strings.NewReplacer("<", "%3C", ">", "%3E", " ", "%20", "\n", "%0A", "\r", "%0D").Replace(u.String()) +
		">"
}

package export

import (
	"net/url"
	"regexp"
	"strings"
	"unicode"
)

// marks are the characters that mean something in Markdown.
const marks = "\\`*_[]<>|~&@"

// address is where readers of Markdown see a link in mere text.
var address = regexp.MustCompile(`(?i)(www|https?|ftp|mailto|xmpp)([.:])`)

// MarkdownText writes a text of strangers so that it is nothing but text in Markdown: no
// markup, no link, no line of its own.
func MarkdownText(s string) string {
	var out strings.Builder
	for _, r := range strings.Join(strings.Fields(s), " ") {
		switch {
		case strings.ContainsRune(marks, r):
			out.WriteByte('\\')
			out.WriteRune(r)
		case unicode.IsControl(r) || unicode.Is(unicode.Bidi_Control, r):
			out.WriteRune(unicode.ReplacementChar)
		default:
			out.WriteRune(r)
		}
	}
	// What begins like a list, a heading or an address is none.
	text := address.ReplaceAllString(out.String(), `$1\$2`)
	if text != "" && strings.ContainsRune("#+-=.0123456789", rune(text[0])) {
		text = "\u200b" + text
	}
	return text
}

// MarkdownLink writes an address as a link, as far as it is one of the web.
func MarkdownLink(to string) string {
	u, err := url.Parse(to)
	if err != nil || u.Scheme != "http" && u.Scheme != "https" || u.Host == "" {
		return MarkdownText(to)
	}
	return "<" + strings.NewReplacer("<", "%3C", ">", "%3E", " ", "%20", "\n", "%0A", "\r", "%0D").Replace(u.String()) + ">"
}

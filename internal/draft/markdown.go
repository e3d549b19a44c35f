package draft

import (
	"bytes"
	"strings"

	"github.com/yuin/goldmark"
)

// The bounds of Markdown. Signs that open what is never closed are looked for again from each other one: a paragraph
// with more of them than anybody writes, and a line that nests deeper, is text.
const (
	maxMarkdown  = 2 << 20
	mostSigns    = 300 // of a paragraph or an item
	deepestLine  = 20  // items and quotes that a line begins with
	deepestBlank = 100 // blanks that it begins with
	mostNamed    = 1000
)

// markdown reads Markdown as HTML.
func markdown(s string) ([]byte, error) {
	if len(s) > maxMarkdown {
		return nil, DraftTooLarge.New(maxMarkdown >> 20)
	}
	var b bytes.Buffer
	err := goldmark.Convert([]byte(tame(s)), &b)
	return b.Bytes(), err
}

// tame writes text for what no writer means as Markdown.
func tame(s string) string {
	var out, paragraph strings.Builder
	signs, named := 0, 0
	flush := func() {
		if signs > mostSigns {
			out.WriteString(escaped(paragraph.String()))
		} else {
			out.WriteString(paragraph.String())
		}
		paragraph.Reset()
		signs = 0
	}
	for line := range strings.Lines(s) {
		rest := strings.TrimLeft(line, " \t>")
		if strings.HasPrefix(rest, "[") && strings.Contains(rest, "]:") {
			named++
		}
		switch {
		case depth(line) > deepestLine || named > mostNamed:
			flush()
			out.WriteString(escaped(strings.TrimLeft(line, " \t")))
			continue
		case strings.TrimSpace(line) == "", opens(rest):
			flush()
		}
		paragraph.WriteString(line)
		signs += strings.Count(line, "*") + strings.Count(line, "_") + strings.Count(line, "[") +
			strings.Count(line, "`") + strings.Count(line, "<") + strings.Count(line, "&")
	}
	flush()
	return out.String()
}

// opens reports whether a line begins an item or a heading.
func opens(line string) bool {
	if line == "" {
		return false
	}
	if strings.ContainsRune("-*+#", rune(line[0])) {
		return true
	}
	return numbered(line) > 0
}

// numbered returns how long the number is that a line begins with as an item, 0 for none.
func numbered(line string) int {
	digits := len(line) - len(strings.TrimLeft(line, "0123456789"))
	rest := line[digits:]
	if ends := strings.HasPrefix(rest, ". ") || strings.HasPrefix(rest, ") "); ends && digits > 0 && digits < 10 {
		return digits + 1
	}
	return 0
}

// depth counts what a line begins with that nests it: signs of quotes and items; more blanks than anybody types are as
// many as are too deep.
func depth(line string) (n int) {
	blanks := 0
	for i := 0; i < len(line); i++ {
		switch c := line[i]; {
		case c == ' ' || c == '\t':
			if blanks++; blanks > deepestBlank {
				return deepestLine + 1
			}
		case c == '>', (c == '-' || c == '*' || c == '+') && i+1 < len(line) && (line[i+1] == ' ' || line[i+1] == '\t'):
			n++
		case c >= '0' && c <= '9' && numbered(line[i:]) > 0:
			n++
			i += numbered(line[i:]) - 1
		default:
			return n
		}
	}
	return n
}

// escaped writes all signs of Markdown as signs.
func escaped(s string) string {
	var out strings.Builder
	for i := 0; i < len(s); i++ {
		if strings.IndexByte("\\`*_{}[]()<>#+-.!|&~=:\"'", s[i]) >= 0 {
			out.WriteByte('\\')
		}
		out.WriteByte(s[i])
	}
	return out.String()
}

// Package draft reads what a writer hands in - text, Markdown, HTML or a Word document -
// as HTML, so that it can be measured like a page.
//
// In go the bytes and the name of a file, or pasted text; out comes HTML and what it came
// as. Nothing of a file is run, and no more of it is unpacked than a page may have.
package draft

import (
	"bytes"
	"html"
	"path"
	"regexp"
	"strings"
	"unicode/utf8"

	"inktally/core/decode"
	"inktally/core/fault"
)

// Format is what a draft came as.
type Format string

// The formats.
const (
	Text     Format = "text"
	Markdown Format = "markdown"
	HTML     Format = "html"
	Word     Format = "docx"
)

// Formats returns all of them.
func Formats() []Format { return []Format{Text, Markdown, HTML, Word} }

// MaxBytes is how large a draft may be.
const MaxBytes = 20 << 20

// Draft is a draft as a page.
type Draft struct {
	HTML   []byte
	Format Format
}

// Read reads a draft; name is that of its file, empty for pasted text.
func Read(name string, raw []byte) (Draft, error) {
	switch {
	case len(raw) > MaxBytes:
		return Draft{}, DraftTooLarge.New(MaxBytes >> 20)
	case len(bytes.TrimSpace(raw)) == 0:
		return Draft{}, DraftEmpty.New()
	case bytes.HasPrefix(raw, []byte("PK\x03\x04")):
		out, err := word(raw)
		return Draft{out, Word}, err
	case strings.EqualFold(path.Ext(name), ".docx"), bytes.HasPrefix(raw, []byte("\xd0\xcf\x11\xe0")),
		bytes.HasPrefix(raw, []byte("%PDF")):
		return Draft{}, DraftUnreadable.New()
	case bytes.IndexByte(raw, '<') >= 0 && markup.Match(raw):
		return Draft{raw, HTML}, nil
	}
	s := Plain(raw)
	if strings.Count(s, "\x00") > 0 {
		return Draft{}, DraftUnreadable.New()
	}
	return typed(name, s)
}

// markup reports whether a draft is HTML, not text: a tag that stands at the start of a line.
var markup = regexp.MustCompile(
	`(?im)^\s*<(!doctype|html|head|body|main|article|section|aside|nav|header|footer|figure|blockquote|form|div|span|p|a|h[1-6]|ul|ol|table|img)[\s/>]`)

// signs tell Markdown from text.
var signs = regexp.MustCompile(`(?m)^(#{1,6} |[*+-] |\d+\. |> |---|===)|\*\*[^*\n]+\*\*|\]\(`)

// Plain returns the text of a file, whatever its encoding.
func Plain(raw []byte) string {
	if utf8.Valid(raw) {
		return strings.TrimPrefix(string(raw), "\ufeff")
	}
	return string(decode.Page(raw, "text/plain"))
}

// typed reads text: Markdown where it has its signs, else paragraphs parted by empty lines.
func typed(name, s string) (Draft, error) {
	if ext := strings.ToLower(path.Ext(name)); ext == ".md" || ext == ".markdown" || ext != ".txt" &&
		signs.MatchString(s) {
		body, err := markdown(s)
		if err != nil {
			if _, told := fault.Of(err); told {
				return Draft{}, err
			}
			return Draft{}, DraftUnreadable.New().Because(err)
		}
		return Draft{body, Markdown}, nil
	}
	var b strings.Builder
	for _, paragraph := range blank.Split(strings.ReplaceAll(s, "\r\n", "\n"), -1) {
		if paragraph = strings.TrimSpace(paragraph); paragraph != "" {
			b.WriteString("<p>" + html.EscapeString(paragraph) + "</p>\n")
		}
	}
	return Draft{[]byte(b.String()), Text}, nil
}

var blank = regexp.MustCompile(`\n[ \t]*\n`)

// Package decode turns the bytes of pages and style sheets into UTF-8.
package decode

import (
	"bytes"
	"slices"
	"strings"
	"unicode/utf8"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// marks are the byte order marks that count.
var marks = [][]byte{[]byte("\xef\xbb\xbf"), []byte("\xfe\xff"), []byte("\xff\xfe")}

// Page turns the bytes of a page into UTF-8 in the standard's order: by a byte
// order mark, by what the server says, by what the page says, by its letters
// (rule 1.1). contentType is the HTTP header, empty if there was none.
func Page(body []byte, contentType string) []byte {
	return by(body, contentType, declared)
}

// Sheet turns the bytes of a style sheet into UTF-8, by a byte order mark, by
// what the server says, by its @charset, by its letters (CSS Syntax 3.2).
// contentType is the HTTP header, empty when there was none.
func Sheet(sheet []byte, contentType string) string {
	return string(by(sheet, contentType, func(sheet []byte) (encoding.Encoding, string) {
		after, found := bytes.CutPrefix(sheet[:min(len(sheet), declaredWithin)], []byte(`@charset "`))
		label, _, closed := bytes.Cut(after, []byte(`";`))
		if !found || !closed {
			return nil, ""
		}
		return lookup(string(label))
	}))
}

func by(body []byte, contentType string, own func(body []byte) (encoding.Encoding, string)) []byte {
	if slices.ContainsFunc(marks, func(mark []byte) bool { return bytes.HasPrefix(body, mark) }) {
		decoded, _, err := transform.Bytes(unicode.BOMOverride(transform.Nop), body)
		if err != nil {
			return body
		}
		return as(decoded, nil, "utf-8")
	}
	enc, name := charset.Lookup(charsetOf(contentType))
	if enc == nil {
		enc, name = own(body)
	}
	if enc == nil {
		enc, name = undeclared(body)
	}
	return as(body, enc, name)
}

// as decodes all of a text; what stands for nothing becomes U+FFFD.
func as(body []byte, enc encoding.Encoding, name string) []byte {
	if name == "utf-8" {
		if utf8.Valid(body) {
			return body
		}
		enc = unicode.UTF8
	}
	decoded, err := enc.NewDecoder().Bytes(body)
	if err != nil {
		return body
	}
	return decoded
}

// declaredWithin is how many bytes of a page are searched for what it says of
// its encoding, and on to the end of its head as browsers do; they give up
// somewhere, too.
const (
	declaredWithin = 1024
	declaredMost   = 64 << 10
)

// declared returns the encoding that a page says it is in, nil for none: by its
// meta, else by an XML declaration before all (rule 1.1).
func declared(body []byte) (enc encoding.Encoding, name string) {
	if enc, name = declaredByMeta(body); enc != nil {
		return enc, name
	}
	declaration, ok := bytes.CutPrefix(body[:min(len(body), declaredWithin)], []byte("<?xml"))
	declaration, _, closed := bytes.Cut(declaration, []byte(">"))
	if !ok || !closed {
		return nil, ""
	}
	return lookup(labelBehind(string(declaration), "encoding"))
}

func declaredByMeta(body []byte) (enc encoding.Encoding, name string) {
	z := html.NewTokenizer(bytes.NewReader(body[:min(len(body), declaredMost)]))
	read, inHead := 0, true
	for inHead || read < declaredWithin {
		kind := z.Next()
		read += len(z.Raw())
		switch kind {
		case html.ErrorToken:
			return nil, ""
		case html.StartTagToken, html.SelfClosingTagToken, html.EndTagToken:
			tag, more := z.TagName()
			if kind != html.EndTagToken && string(tag) == "meta" {
				if enc, name = declaredBy(z, more); enc != nil {
					return enc, name
				}
			}
			inHead = inHead && ofHead(atom.Lookup(tag), kind == html.EndTagToken)
		}
	}
	return nil, ""
}

// ofHead reports whether an element may stand before the end of a head.
func ofHead(tag atom.Atom, end bool) bool {
	switch tag {
	case atom.Script, atom.Noscript, atom.Style, atom.Link, atom.Meta, atom.Object, atom.Title, atom.Base:
		return true
	case atom.Html, atom.Head:
		return !end
	}
	return false
}

// declaredBy returns the encoding that the meta element at hand names.
func declaredBy(z *html.Tokenizer, more bool) (enc encoding.Encoding, name string) {
	seen := map[string]string{}
	for more {
		var key, value []byte
		key, value, more = z.TagAttr()
		if _, twice := seen[string(key)]; !twice {
			seen[string(key)] = string(value)
		}
	}
	label, ok := seen["charset"]
	if !ok && strings.EqualFold(seen["http-equiv"], "content-type") {
		label = charsetOf(seen["content"])
	}
	return lookup(label)
}

// lookup finds the encoding that a text names within itself.
func lookup(label string) (enc encoding.Encoding, name string) {
	switch enc, name = charset.Lookup(label); {
	case strings.HasPrefix(name, "utf-16"): // what could be read so far is none
		return encoding.Nop, "utf-8"
	case name == "x-user-defined":
		return charset.Lookup("windows-1252")
	}
	return enc, name
}

// charsetOf takes the name of an encoding out of a content type as it stands in
// pages.
func charsetOf(content string) string { return labelBehind(strings.ToLower(content), "charset") }

// labelBehind takes what stands behind the first key= in a text, in quotes or
// not.
func labelBehind(s, key string) string {
	for rest := s; ; {
		_, after, found := strings.Cut(rest, key)
		if !found {
			return ""
		}
		rest = strings.TrimLeft(after, blanks)
		if after, found = strings.CutPrefix(rest, "="); !found {
			continue
		}
		after = strings.TrimLeft(after, blanks)
		if after != "" && (after[0] == '"' || after[0] == '\'') {
			label, _, closed := strings.Cut(after[1:], after[:1])
			if !closed {
				return ""
			}
			return label
		}
		if end := strings.IndexAny(after, ";"+blanks); end >= 0 {
			after = after[:end]
		}
		return after
	}
}

// blanks are what HTML calls white space.
const blanks = " \t\n\f\r"

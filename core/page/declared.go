package page

import (
	"bytes"
	"strings"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding"
)

// declaredWithin is how many bytes of a page are searched for what it says of
// its encoding, and on to the end of its head as browsers do; they give up
// somewhere, too.
const (
	declaredWithin = 1024
	declaredMost   = 64 << 10
)

// declared returns the encoding that a page says it is in, nil for none
// (MEASURES 1.1).
func declared(body []byte) (enc encoding.Encoding, name string) {
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

// ofHead tells what may stand before the end of a head.
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
func charsetOf(content string) string {
	for rest := strings.ToLower(content); ; {
		_, after, found := strings.Cut(rest, "charset")
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

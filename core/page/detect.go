package page

import (
	"unicode/utf8"

	"github.com/gogs/chardet"
	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding"
)

const (
	detectBytes = 64 << 10 // of a page that are looked at
	// detectSure is from which of a hundred a guess is taken. The rarer scripts of
	// one byte a letter get some 30 where they are right.
	detectSure = 25
	// detectClear is by how much a guess must beat the western letters, which most
	// old pages are written in.
	detectClear = 10
)

// undeclared finds the encoding of a page that nobody tells, by its letters;
// where they tell nothing it is the one of most old pages (MEASURES 1.1).
func undeclared(body []byte) (enc encoding.Encoding, name string) {
	if utf8.Valid(body) {
		return encoding.Nop, "utf-8"
	}
	if enc, name = charset.Lookup(guess(body[:min(len(body), detectBytes)])); enc == nil || name == "utf-8" {
		return charset.Lookup("windows-1252")
	}
	return enc, name
}

// guess returns the likeliest encoding, empty where none is likely. Guesses come
// in any order.
func guess(body []byte) string {
	all, err := chardet.NewHtmlDetector().DetectAll(body)
	if err != nil {
		return ""
	}
	best, sure, western := "", detectSure-1, 0
	for _, g := range all {
		switch {
		case g.Charset == "ISO-8859-1" || g.Charset == "windows-1252":
			western = max(western, g.Confidence)
		case g.Confidence > sure || g.Confidence == sure && g.Charset < best:
			best, sure = g.Charset, g.Confidence
		}
	}
	if western+detectClear >= sure {
		return ""
	}
	return best
}

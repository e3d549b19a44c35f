package decode

import (
	"unicode/utf8"

	"github.com/gogs/chardet"
	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding"
)

const (
	detectBytes = 64 << 10 // of a page that are looked at
	detectLeast = 24       // bytes beyond ASCII, in different words, that a guess needs
	// detectSure is from which of a hundred a guess is taken. The rarer scripts of
	// one byte a letter get some 30 if they are right.
	detectSure = 25
	// detectClear is by how much a guess must beat the western letters, which most
	// old pages are written in.
	detectClear = 10
)

// undeclared finds the encoding of a page that nobody tells, by its letters;
// if they say nothing it is the one of most old pages (rule 1.1).
func undeclared(body []byte) (enc encoding.Encoding, name string) {
	if utf8.Valid(body) {
		return encoding.Nop, "utf-8"
	}
	if enc, name = charset.Lookup(guess(body[:min(len(body), detectBytes)])); enc == nil || name == "utf-8" {
		return charset.Lookup("windows-1252")
	}
	return enc, name
}

// guess returns the likeliest encoding of a page, empty if none is likely.
// Other alphabets are told by the words beyond ASCII alone, western ones with a
// few letters of their own by all words; the clearer guess counts.
func guess(body []byte) string {
	words, telling := tellingWords(body)
	if telling < detectLeast {
		return ""
	}
	some, margin := likeliest(chardet.NewTextDetector(), words)
	all, clearer := likeliest(chardet.NewHtmlDetector(), body)
	if clearer > margin {
		return all
	}
	return some
}

// likeliest returns the likeliest encoding of a text and by how much it beats
// the western ones, 0 if it does not.
func likeliest(d *chardet.Detector, text []byte) (best string, margin int) {
	guesses, err := d.DetectAll(text)
	if err != nil {
		return "", 0
	}
	sure, western := detectSure-1, 0
	for _, g := range guesses { // they come in any order
		switch {
		case g.Charset == "ISO-8859-1" || g.Charset == "windows-1252":
			western = max(western, g.Confidence)
		case g.Confidence > sure || g.Confidence == sure && g.Charset < best:
			best, sure = g.Charset, g.Confidence
		}
	}
	if western+detectClear >= sure {
		return "", 0
	}
	return best, sure - western
}

// tellingWords returns the different words of a page that hold more than ASCII, and
// how many bytes of them do. The markup and the English around them would tell
// of English, and a sign that comes again and again of too much.
func tellingWords(body []byte) (words []byte, telling int) {
	had := map[string]bool{}
	apart := func(c byte) bool { return c <= ' ' || c == '<' || c == '>' || c == '"' }
	for len(body) > 0 {
		end, wide := 0, 0
		for end < len(body) && !apart(body[end]) {
			if body[end] >= utf8.RuneSelf {
				wide++
			}
			end++
		}
		if word := string(body[:end]); wide > 0 && !had[word] {
			had[word] = true
			telling += wide
			words = append(append(words, word...), ' ')
		}
		body = body[min(end+1, len(body)):]
	}
	return words, telling
}

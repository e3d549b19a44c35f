package page

import (
	"bytes"
	"unicode"
	"unicode/utf8"

	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/japanese"
	"golang.org/x/text/encoding/korean"
)

// detected are the encodings that an undeclared page may have beside UTF-8 and
// windows-1252, each with the letters that tell it (MEASURES 1.1).
var detected = []struct {
	encoding encoding.Encoding
	letters  []*unicode.RangeTable
}{
	{japanese.ShiftJIS, []*unicode.RangeTable{unicode.Hiragana, unicode.Katakana}},
	{japanese.EUCJP, []*unicode.RangeTable{unicode.Hiragana, unicode.Katakana}},
	{korean.EUCKR, []*unicode.RangeTable{unicode.Hangul}},
}

const (
	detectBytes   = 64 << 10 // of a page that are looked at
	detectLetters = 3        // that must be found at least
)

// detectEastAsian finds the encoding of an undeclared page by the letters that
// it would hold; nil where none fits. A text in another encoding gives letters
// that stand for nothing, or hardly any that tell.
func detectEastAsian(body []byte) encoding.Encoding {
	if len(body) > detectBytes {
		body = body[:detectBytes]
		if at := bytes.LastIndexByte(body, '\n'); at > 0 {
			body = body[:at]
		}
	}
	var best encoding.Encoding
	bestShare := 0.3
	for _, d := range detected {
		text, err := d.encoding.NewDecoder().Bytes(body)
		if err != nil {
			continue
		}
		telling, wide, broken := 0, 0, 0
		for _, r := range string(text) {
			switch {
			case r < utf8.RuneSelf:
			case r == utf8.RuneError:
				broken++
			case unicode.In(r, d.letters...) && (r < 0xFF61 || r > 0xFF9F):
				telling++
				wide++
			default:
				wide++
			}
		}
		if broken*50 > wide || telling < detectLetters {
			continue
		}
		if share := float64(telling) / float64(wide); share > bestShare {
			best, bestShare = d.encoding, share
		}
	}
	return best
}

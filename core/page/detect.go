package page

import (
	"bytes"
	"unicode"
	"unicode/utf8"

	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/japanese"
	"golang.org/x/text/encoding/korean"
)

// detected are the encodings that an undeclared page may have beside UTF-8 and
// windows-1252, each with the letters that tell it (MEASURES 1.1).
var detected = []struct {
	encoding encoding.Encoding
	tells    func(r rune) bool
	against  func(r rune) bool
}{
	{japanese.ShiftJIS, fullKana, nothing},
	{japanese.EUCJP, fullKana, nothing},
	{korean.EUCKR, syllable, soloJamo},
}

// fullKana tells kana but for that of half width, which all sorts of bytes
// become.
func fullKana(r rune) bool {
	return unicode.In(r, unicode.Hiragana, unicode.Katakana) && (r < 0xFF61 || r > 0xFF9F)
}

// syllable tells the letters that Korean is written in.
func syllable(r rune) bool { return r >= 0xAC00 && r <= 0xD7A3 }

// soloJamo tells parts of Korean letters by themselves: in that encoding they
// have the bytes of hiragana, and real texts hardly hold any.
func soloJamo(r rune) bool { return r >= 0x3131 && r <= 0x318E }

func nothing(rune) bool { return false }

const (
	detectBytes   = 64 << 10 // of a page that are looked at
	detectLetters = 3        // that must be found at least
)

// undeclared finds the encoding of a page that nobody tells (MEASURES 1.1).
func undeclared(body []byte) (enc encoding.Encoding, name string) {
	if utf8.Valid(body) {
		return encoding.Nop, "utf-8"
	}
	if enc = detectEastAsian(body); enc != nil {
		return enc, ""
	}
	return charset.Lookup("windows-1252")
}

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
				continue
			case r == utf8.RuneError:
				broken++
				continue
			case d.tells(r):
				telling++
			case d.against(r):
				telling--
			}
			wide++
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

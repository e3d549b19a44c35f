package text

import (
	"strings"
	"unicode"
	"unicode/utf8"

	"github.com/clipperhouse/uax29/v2/words"
	"golang.org/x/text/unicode/norm"
)

// unspaced are the scripts that are written without spaces (MEASURES 2.1).
var unspaced = []*unicode.RangeTable{
	unicode.Han, unicode.Hiragana, unicode.Katakana,
	unicode.Thai, unicode.Lao, unicode.Khmer, unicode.Myanmar,
}

// invisible tells the characters that are taken out before words are counted:
// soft hyphens and zero-width characters.
func invisible(r rune) bool {
	switch r {
	case 0x00AD, 0x200B, 0x200C, 0x200D, 0x200E, 0x200F, 0x2060, 0xFEFF:
		return true
	}
	return false
}

// wide handles one character beyond ASCII.
func (s *scanner) wide() {
	r, n := utf8.DecodeRuneInString(s.text[s.i:])
	switch {
	case invisible(r):
		if s.start >= 0 {
			s.folding()
		}
	case unicode.IsSpace(r):
		s.closeToken(s.i)
		s.closeWord()
	case r == '’' || r == '‘' || r == 'ʼ' || r == '＇':
		s.apostrophe(n)
		return
	case unicode.In(r, unspaced...) && unicode.IsLetter(r):
		s.segments()
		return
	case isAlnum(r):
		s.open()
		s.folding()
		writeFolded(&s.scan.folded, r)
	case unicode.IsMark(r) && s.start >= 0:
		s.folding()
		if !diacritic(r) {
			s.scan.folded.WriteRune(r)
		}
	default:
		s.closeToken(s.i)
	}
	s.i += n
}

// segments takes the rest of a run of non-space characters by the word
// segments of UAX #29: each that holds a letter or a digit is a word and a
// token.
func (s *scanner) segments() {
	s.closeToken(s.i)
	s.closeWord()
	end := s.i
	for end < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[end:])
		if unicode.IsSpace(r) {
			break
		}
		end += n
	}
	segments := words.FromString(s.text[s.i:end])
	for segments.Next() {
		segment := segments.Value()
		for _, r := range segment {
			switch {
			case isAlnum(r):
				s.open()
				s.folding()
				writeFolded(&s.scan.folded, r)
			case s.start >= 0 && unicode.IsMark(r) && !diacritic(r):
				s.scan.folded.WriteRune(r)
			}
		}
		s.i += len(segment)
		s.closeToken(s.i)
		s.closeWord()
	}
	s.i = end
}

// diacritic tells whether a mark is folded away: those of alphabets, not the
// vowel signs of other scripts and not kana's voicing marks.
func diacritic(r rune) bool {
	return unicode.In(r, unicode.Mn) &&
		unicode.In(r, unicode.Inherited, unicode.Arabic, unicode.Hebrew, unicode.Cyrillic, unicode.Syriac) &&
		r != 0x3099 && r != 0x309A
}

// writeFolded writes a letter or digit, case and diacritics folded.
func writeFolded(dst *strings.Builder, r rune) {
	switch r {
	case 'ß', 'ẞ':
		dst.WriteString("ss")
		return
	case 'ς':
		r = 'σ'
	}
	r = unicode.ToLower(r)
	var b [utf8.UTFMax]byte
	raw := utf8.AppendRune(b[:0], r)
	parts := norm.NFD.Properties(raw).Decomposition()
	if parts == nil || unicode.Is(unicode.Hangul, r) || keepsMark(parts) {
		dst.Write(raw)
		return
	}
	for _, p := range string(parts) {
		if !diacritic(p) {
			dst.WriteRune(p)
		}
	}
}

// keepsMark tells whether a decomposed letter holds a mark that stays.
func keepsMark(parts []byte) bool {
	for _, p := range string(parts) {
		if unicode.IsMark(p) && !diacritic(p) {
			return true
		}
	}
	return false
}

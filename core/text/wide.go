package text

import (
	"strings"
	"unicode"
	"unicode/utf8"

	"github.com/clipperhouse/uax29/v2/words"
	"golang.org/x/text/unicode/norm"
)

// unspaced are the scripts that are written without spaces (rule 2.1).
var unspaced = []*unicode.RangeTable{
	unicode.Han, unicode.Hiragana, unicode.Katakana,
	unicode.Thai, unicode.Lao, unicode.Khmer, unicode.Myanmar,
}

// invisible reports whether a character is taken out before words are counted:
// soft hyphens and zero-width characters.
func invisible(r rune) bool {
	switch r {
	case 0x00AD, 0x200B, 0x200C, 0x200D, 0x200E, 0x200F, 0x2060, 0xFEFF:
		return true
	}
	return false
}

// visible returns the first character that is seen, and how many bytes there are
// to its end.
func visible(s string) (r rune, n int) {
	for {
		r, size := utf8.DecodeRuneInString(s[n:])
		n += size
		if !invisible(r) {
			return r, n
		}
	}
}

// wide handles one character beyond ASCII.
func (s *scanner) wide() {
	r, n := utf8.DecodeRuneInString(s.text[s.i:])
	is := traitsOf(r)
	switch {
	case invisible(r):
		if s.start >= 0 {
			s.folding()
		}
	case is&runeBlank != 0:
		s.closeToken(s.i)
		s.closeWord()
	case r == '’' || r == '‘' || r == 'ʼ' || r == '＇':
		s.apostrophe(n)
		return
	case is&runeUnspaced != 0:
		s.segments()
		return
	case is&runeAlnum != 0:
		s.open()
		s.letter(r, n, is)
	case is&runeMark != 0 && s.start >= 0:
		s.folding()
		if !diacritic(r) {
			s.scan.folded.WriteRune(r)
		}
	default:
		s.closeToken(s.i)
	}
	s.i += n
}

// letter takes a letter or digit of n bytes into the open token. One that folds
// to itself stands there as it is.
func (s *scanner) letter(r rune, n int, is traits) {
	switch {
	case is&runeFolded == 0:
		s.folding()
		writeFolded(&s.scan.folded, r)
	case s.lo >= 0:
		s.scan.folded.WriteString(s.text[s.i : s.i+n])
	}
}

// segments takes the rest of a run of non-space characters by the word
// segments of UAX #29: each that holds a letter or a digit is a word. One of an
// unspaced script is a token too; others are parted like elsewhere.
func (s *scanner) segments() {
	s.closeToken(s.i)
	s.closeWord()
	end := s.i
	for end < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[end:])
		if traitsOf(r)&runeBlank != 0 {
			break
		}
		end += n
	}
	segments := words.FromString(seen(s.text[s.i:end]))
	for segments.Next() {
		to, unspaced := s.segment(len(segments.Value()))
		if unspaced {
			s.unspaced(to)
		} else {
			s.spaced(to)
		}
		s.i = to
		s.closeToken(to)
		s.closeWord()
	}
	s.i = end
}

// segment returns where a segment of so many visible bytes ends, and whether it
// holds a letter of an unspaced script.
func (s *scanner) segment(visible int) (to int, unspaced bool) {
	for to = s.i; visible > 0; {
		r, n := utf8.DecodeRuneInString(s.text[to:])
		unspaced = unspaced || traitsOf(r)&runeUnspaced != 0
		to += n
		if !invisible(r) {
			visible -= n
		}
	}
	return to, unspaced
}

// unspaced takes the text up to byte to as one token.
func (s *scanner) unspaced(to int) {
	for s.i < to {
		r, n := utf8.DecodeRuneInString(s.text[s.i:])
		switch is := traitsOf(r); {
		case is&runeAlnum != 0:
			s.open()
			s.letter(r, n, is)
		case s.start >= 0:
			s.folding()
			if is&runeMark != 0 && !diacritic(r) {
				s.scan.folded.WriteRune(r)
			}
		}
		s.i += n
	}
}

// seen returns a text without its invisible characters: they would end segments.
func seen(run string) string {
	at := strings.IndexFunc(run, invisible)
	if at < 0 {
		return run
	}
	var b strings.Builder
	for ; at >= 0; at = strings.IndexFunc(run, invisible) {
		_, n := utf8.DecodeRuneInString(run[at:])
		b.WriteString(run[:at])
		run = run[at+n:]
	}
	b.WriteString(run)
	return b.String()
}

// diacritic reports whether a mark is folded away: those of alphabets, not the
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

// keepsMark reports whether a decomposed letter holds a mark that stays.
func keepsMark(parts []byte) bool {
	for _, p := range string(parts) {
		if unicode.IsMark(p) && !diacritic(p) {
			return true
		}
	}
	return false
}

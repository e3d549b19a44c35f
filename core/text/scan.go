package text

import (
	"unicode"
	"unicode/utf8"
)

// class is what an ASCII character does to a scan.
type class uint8

const (
	alnum class = iota // a lower-case letter or a digit
	upper              // a capital, to be folded
	other              // ends a token
	space              // ends a word and a token
	quote              // an apostrophe: dropped inside a token
	stop               // may end a sentence
	ampersand
	wide // beyond ASCII
)

var (
	classes [256]class
	lower   [utf8.RuneSelf]byte
)

func init() {
	for c := range classes {
		classes[c] = wide
	}
	for c := range lower {
		r := rune(c)
		lower[c] = byte(unicode.ToLower(r))
		classes[c] = other
		switch {
		case unicode.IsUpper(r):
			classes[c] = upper
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			classes[c] = alnum
		case unicode.IsSpace(r):
			classes[c] = space
		}
	}
	classes['\''] = quote
	classes['&'] = ampersand
	classes['.'], classes['!'], classes['?'] = stop, stop, stop
}

// scanner is the state of one Append.
type scanner struct {
	scan        *Scan
	text        string
	i           int // next byte
	words       int
	inWord      bool // the run of non-space characters holds a letter or digit
	hasToken    bool // a token of this word was taken
	newSentence bool // the next token is the first of a sentence
	start       int  // where the open token starts, -1 without one
	lo          int  // where its folded form starts, -1 while it stands as it is
}

func (s *scanner) run() {
	text := s.text
	for s.i < len(text) {
		switch c := classes[text[s.i]]; c {
		case alnum, upper:
			if c == upper || s.start >= 0 || !s.word() {
				s.letters()
			}
		case space:
			s.closeToken(s.i)
			s.closeWord()
			s.i++
		default:
			s.sign(c)
		}
	}
	s.closeToken(len(text))
	s.closeWord()
}

// spaced takes the text up to byte to, which holds no white space, like any
// text outside unspaced scripts.
func (s *scanner) spaced(to int) {
	for s.i < to {
		if c := classes[s.text[s.i]]; c <= upper {
			s.letters()
		} else {
			s.sign(c)
		}
	}
}

// sign takes one character that is neither an ASCII letter or digit nor white
// space.
func (s *scanner) sign(c class) {
	switch c {
	case wide:
		s.wide()
		return
	case quote:
		s.apostrophe(1)
		return
	case stop:
		s.closeToken(s.i)
		s.i++
		s.stop()
		return
	case ampersand:
		s.closeToken(s.i)
		s.start = s.i
		s.fold("and")
		s.closeToken(s.i + 1)
	default:
		s.closeToken(s.i)
	}
	s.i++
}

// word takes the most common case at once: a token of lower-case letters and
// digits with a blank behind it. It is false if that is not what comes.
func (s *scanner) word() bool {
	text, i := s.text, s.i+1
	for i+8 <= len(text) {
		n := lowerRun(text, i)
		i += n
		if n < 8 {
			break
		}
	}
	for i < len(text) && classes[text[i]] == alnum {
		i++
	}
	if i == len(text) || text[i] != ' ' || i-s.i >= tooLong {
		return false
	}
	t := Token{start: int32(s.i), size: uint8(i - s.i), key: key(text[s.i], 0)}
	if i-s.i > 1 {
		t.key = key(text[s.i], text[s.i+1])
	}
	if !s.hasToken {
		t.flags = newWord
	}
	if s.newSentence {
		t.flags |= newSentence
	}
	s.scan.Tokens = append(s.scan.Tokens, t)
	s.words++
	s.inWord, s.hasToken, s.newSentence = false, false, false
	s.i = i + 1
	return true
}

// letters takes a run of ASCII letters and digits.
func (s *scanner) letters() {
	s.open()
	text, i := s.text, s.i
	if s.lo < 0 {
		for i < len(text) && classes[text[i]] == alnum {
			i++
		}
		if i < len(text) && classes[text[i]] == upper {
			s.fold(text[s.start:i])
		}
	}
	if s.lo >= 0 {
		for i < len(text) && classes[text[i]] <= upper {
			s.scan.folded.WriteByte(lower[text[i]])
			i++
		}
	}
	s.i = i
}

// open starts a token at the next byte unless one is open.
func (s *scanner) open() {
	s.inWord = true
	if s.start < 0 {
		s.start, s.lo = s.i, -1
	}
}

// fold begins the folded form of the open token with what was read of it.
func (s *scanner) fold(soFar string) {
	s.lo = s.scan.folded.Len()
	s.scan.folded.WriteString(soFar)
}

// folding makes sure that the open token has a folded form, since what comes
// does not stand in it as it is.
func (s *scanner) folding() {
	if s.lo < 0 {
		s.fold(s.text[s.start:s.i])
	}
}

// closeToken ends the open token at byte i.
func (s *scanner) closeToken(i int) {
	if s.start < 0 {
		return
	}
	t := Token{start: int32(s.start), size: uint8(min(i-s.start, tooLong))}
	if t.size == tooLong && s.lo < 0 {
		s.fold(s.text[s.start:i])
	}
	if s.lo >= 0 {
		if s.lo == s.scan.folded.Len() {
			s.start = -1
			return
		}
		t.flags = folded
		t.key = KeyOf(s.scan.folded.String()[s.lo:])
		s.scan.folds = append(s.scan.folds,
			fold{int32(len(s.scan.Tokens)), int32(s.lo), int32(s.scan.folded.Len()), int32(i)})
		s.lo = -1
	} else {
		t.key = KeyOf(s.text[s.start:i])
	}
	s.start = -1
	if s.inWord && !s.hasToken {
		t.flags |= newWord
	}
	if s.newSentence {
		t.flags |= newSentence
	}
	s.scan.Tokens = append(s.scan.Tokens, t)
	s.hasToken, s.newSentence = s.inWord, false
}

func (s *scanner) closeWord() {
	if s.inWord {
		s.words++
	}
	s.inWord, s.hasToken = false, false
}

// apostrophe handles an apostrophe of size bytes: inside a token it is
// dropped, with the possessive s that follows it.
func (s *scanner) apostrophe(size int) {
	at := s.i
	if s.start >= 0 {
		s.folding()
	}
	s.i += size
	if s.start < 0 {
		return
	}
	next, n := visible(s.text[s.i:])
	if !isAlnum(next) {
		s.closeToken(at)
		return
	}
	if next == 's' || next == 'S' {
		after, _ := visible(s.text[s.i+n:])
		if !isAlnum(after) && !unicode.IsMark(after) {
			s.i += n
			s.closeToken(s.i)
			return
		}
	}
}

// stop is called behind '.', '!' or '?'. The sentence ends before white space
// and a capital or a digit, unless the token before has one or two letters
// (rule 3.1).
func (s *scanner) stop() {
	i, spaced := s.i, false
	for i < len(s.text) {
		r, n := visible(s.text[i:])
		if unicode.IsSpace(r) {
			i, spaced = i+n, true
			continue
		}
		if !spaced || !(unicode.IsUpper(r) || unicode.IsTitle(r) || unicode.IsDigit(r)) || s.afterInitials() {
			return
		}
		s.newSentence = true
		return
	}
}

// afterInitials reports whether the last token has only one or two letters.
func (s *scanner) afterInitials() bool {
	if s.newSentence {
		return false
	}
	last := len(s.scan.Tokens) - 1
	n := 0
	for _, r := range s.text[s.scan.Start(last):s.scan.End(last)] {
		if invisible(r) {
			continue
		}
		if n++; n > 2 || !unicode.IsLetter(r) {
			return false
		}
	}
	return true
}

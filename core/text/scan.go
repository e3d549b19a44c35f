package text

import (
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"
)

// Token is one token of a scanned text (rule 2.4). It is kept small: a
// page has ten thousand of them and more.
type Token struct {
	start int32
	size  uint8 // in bytes; tooLong if it does not fit
	flags uint8
	key   uint16
}

// Key is the key of the token's folded form: see KeyOf.
func (t Token) Key() uint16 { return t.key }

// Keys is how many keys there are.
const Keys = 1 << 12

// KeyOf returns a number below Keys by the first two bytes of a folded token.
// Most tokens can be let go by it, without a look at their letters.
func KeyOf(token string) uint16 {
	second := byte(0)
	if len(token) > 1 {
		second = token[1]
	}
	return key(token[0], second)
}

func key(first, second byte) uint16 { return (uint16(first)<<5 ^ uint16(second)) & (Keys - 1) }

const (
	newWord = 1 << iota
	newSentence
	folded // the token does not stand folded in the text
)

const tooLong = 1<<8 - 1

// NewWord tells that the token is the first of its word (rule 2.1).
func (t Token) NewWord() bool { return t.flags&newWord != 0 }

// NewSentence tells that the token is the first of a sentence (rule 3.1).
func (t Token) NewSentence() bool { return t.flags&newSentence != 0 }

// Scan holds a text and the tokens of those ranges of it that were appended.
type Scan struct {
	Text   string
	Tokens []Token
	folded strings.Builder
	folds  []fold // by token
}

// fold is where in Scan.folded the folded form of a token stands, and where
// the token ends in the text.
type fold struct{ token, lo, hi, end int32 }

// Start returns the byte offset in Text at which token i starts.
func (s *Scan) Start(i int) int { return int(s.Tokens[i].start) }

// End returns the byte offset in Text at which token i ends.
func (s *Scan) End(i int) int {
	t := s.Tokens[i]
	if t.size == tooLong {
		return int(s.fold(i).end)
	}
	return int(t.start) + int(t.size)
}

// Folded returns the folded form of token i.
func (s *Scan) Folded(i int) string {
	t := s.Tokens[i]
	if t.flags&folded == 0 {
		return s.Text[t.start : t.start+int32(t.size)]
	}
	f := s.fold(i)
	return s.folded.String()[f.lo:f.hi]
}

func (s *Scan) fold(token int) fold {
	at, _ := slices.BinarySearchFunc(s.folds, token, func(f fold, token int) int { return int(f.token) - token })
	return s.folds[at]
}

// Append scans Text[lo:hi] as a text of its own, appends its tokens and
// returns how many words it holds (rule 2.1).
func (s *Scan) Append(lo, hi int) int {
	sc := scanner{scan: s, text: s.Text[:hi], i: lo, start: -1, newSentence: true}
	sc.run()
	return sc.words
}

// AppendLabel is Append for a title, an address, a name or an alt text, which
// is one sentence (rule 3.1).
func (s *Scan) AppendLabel(lo, hi int) {
	first := len(s.Tokens)
	s.Append(lo, hi)
	for i := first + 1; i < len(s.Tokens); i++ {
		s.Tokens[i].flags &^= newSentence
	}
}

// ScanText scans a whole text.
func ScanText(text string) (scan *Scan, words int) {
	scan = &Scan{Text: text}
	words = scan.Append(0, len(text))
	return scan, words
}

// Words counts the words of a text (rule 2.1).
func Words(text string) int {
	_, words := ScanText(text)
	return words
}

// Tokens returns the folded tokens of a text (rule 2.4).
func Tokens(text string) []string {
	s, _ := ScanText(text)
	out := make([]string, len(s.Tokens))
	for i := range out {
		out[i] = s.Folded(i)
	}
	return out
}

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
		s.scan.folds = append(s.scan.folds, fold{int32(len(s.scan.Tokens)), int32(s.lo), int32(s.scan.folded.Len()), int32(i)})
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

// afterInitials tells whether the last token has only one or two letters.
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

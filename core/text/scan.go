package text

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// Token is one token of a scanned text (MEASURES 2.4).
type Token struct {
	// Start and End are byte offsets in Scan.Text.
	Start, End int32
	fold       int32 // index in Scan.folds, -1 where the token stands as it is
	// NewWord tells that the token is the first of its word, NewSentence that
	// it is the first of a sentence (MEASURES 2.1, 3.1).
	NewWord, NewSentence bool
}

// Scan holds a text and the tokens of those ranges of it that were appended.
// Tokens that stand folded in the text are not copied, so that a page of ten
// thousand words costs a handful of allocations.
type Scan struct {
	Text   string
	Tokens []Token
	folded strings.Builder
	folds  []fold
}

// fold is where in Scan.folded the folded form of a token stands.
type fold struct{ lo, hi int32 }

// Folded returns the folded form of token i.
func (s *Scan) Folded(i int) string {
	t := &s.Tokens[i]
	if t.fold < 0 {
		return s.Text[t.Start:t.End]
	}
	f := s.folds[t.fold]
	return s.folded.String()[f.lo:f.hi]
}

// Append scans Text[lo:hi] as a text of its own, appends its tokens and
// returns how many words it holds (MEASURES 2.1).
func (s *Scan) Append(lo, hi int) int {
	sc := scanner{scan: s, text: s.Text[:hi], i: lo, start: -1, newSentence: true}
	sc.run()
	return sc.words
}

// AppendLabel is Append for a title, an address, a name or an alt text, which
// is one sentence (MEASURES 3.1).
func (s *Scan) AppendLabel(lo, hi int) {
	first := len(s.Tokens)
	s.Append(lo, hi)
	for i := first + 1; i < len(s.Tokens); i++ {
		s.Tokens[i].NewSentence = false
	}
}

// ScanText scans a whole text.
func ScanText(text string) (scan *Scan, words int) {
	scan = &Scan{Text: text}
	words = scan.Append(0, len(text))
	return scan, words
}

// Words counts the words of a text (MEASURES 2.1).
func Words(text string) int {
	_, words := ScanText(text)
	return words
}

// Tokens returns the folded tokens of a text (MEASURES 2.4).
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
)

var (
	classes [utf8.RuneSelf]class
	lower   [utf8.RuneSelf]byte
)

func init() {
	for c := range classes {
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
		c := text[s.i]
		if c >= utf8.RuneSelf {
			s.wide()
			continue
		}
		switch classes[c] {
		case alnum, upper:
			s.plain()
			continue
		case space:
			s.closeToken(s.i)
			s.closeWord()
		case quote:
			s.apostrophe(1)
			continue
		case stop:
			s.closeToken(s.i)
			s.i++
			s.stop()
			continue
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
	s.closeToken(len(text))
	s.closeWord()
}

// plain takes a run of ASCII letters and digits.
func (s *scanner) plain() {
	s.open()
	text, i := s.text, s.i
	if s.lo < 0 {
		for i < len(text) && text[i] < utf8.RuneSelf && classes[text[i]] == alnum {
			i++
		}
		if i < len(text) && text[i] < utf8.RuneSelf && classes[text[i]] == upper {
			s.fold(text[s.start:i])
		}
	}
	if s.lo >= 0 {
		for i < len(text) && text[i] < utf8.RuneSelf && classes[text[i]] <= upper {
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
	t := Token{Start: int32(s.start), End: int32(i), fold: -1, NewWord: s.inWord && !s.hasToken, NewSentence: s.newSentence}
	s.start = -1
	if s.lo >= 0 {
		if s.lo == s.scan.folded.Len() {
			return
		}
		t.fold = int32(len(s.scan.folds))
		s.scan.folds = append(s.scan.folds, fold{int32(s.lo), int32(s.scan.folded.Len())})
		s.lo = -1
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
	next, n := utf8.DecodeRuneInString(s.text[s.i:])
	if !isAlnum(next) {
		s.closeToken(at)
		return
	}
	if next == 's' || next == 'S' {
		after, _ := utf8.DecodeRuneInString(s.text[s.i+n:])
		if !isAlnum(after) && !unicode.IsMark(after) {
			s.i += n
			s.closeToken(s.i)
			return
		}
	}
}

// stop is called behind '.', '!' or '?'. The sentence ends before white space
// and a capital or a digit, unless the token before has one or two letters
// (MEASURES 3.1).
func (s *scanner) stop() {
	i := s.i
	for i < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[i:])
		if unicode.IsSpace(r) {
			i += n
			continue
		}
		if i == s.i || !(unicode.IsUpper(r) || unicode.IsTitle(r) || unicode.IsDigit(r)) || s.afterInitials() {
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
	t := s.scan.Tokens[len(s.scan.Tokens)-1]
	n := 0
	for _, r := range s.text[t.Start:t.End] {
		if !unicode.IsLetter(r) {
			return false
		}
		n++
	}
	return n <= 2
}

// isAlnum tells whether a rune is a letter or a decimal digit.
func isAlnum(r rune) bool {
	if r < utf8.RuneSelf {
		return r >= 0 && classes[r] <= upper
	}
	return r != utf8.RuneError && (unicode.IsLetter(r) || unicode.IsDigit(r))
}

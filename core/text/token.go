package text

import (
	"slices"
	"strings"
)

// Token is one token of a scanned text (rule 2.4). It is kept small: a
// page has ten thousand of them and more.
type Token struct {
	start int32
	size  uint8 // in bytes; tooLong if it does not fit
	flags uint8
	key   uint16
}

// Key returns the key of the token's folded form: see KeyOf.
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

// NewWord reports whether the token is the first of its word (rule 2.1).
func (t Token) NewWord() bool { return t.flags&newWord != 0 }

// NewSentence reports whether the token is the first of a sentence (rule 3.1).
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

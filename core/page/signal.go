package page

import "inktally/core/text"

// signal is a set of things that a block may say, told by single words, so that
// the slow looks are only taken at blocks that are worth one.
type signal uint8

const (
	mayBeFiller   signal = 1 << iota // left-over text
	mayBeVague                       // a catch-all for the places around
	mayTellYears                     // years in trade
	mayBeBuilding                    // under construction
	isEnglish                        // a word of English that others have not
	isOther                          // one of another language
)

// signalWords are the words that give a signal.
var signalWords, signalKeys = signals(map[signal]string{
	mayBeFiller:   "lorem dolor text",
	mayBeVague:    "surrounding nearby neighboring neighbouring around close beyond",
	mayTellYears:  "since established est founded years",
	mayBeBuilding: "construction coming launching built",
	isEnglish:     "the and of to we is for you with our are",
	isOther: "la le les des nous vous est dans pour el los las una con para por der die das und ist wir sie nicht mit " +
		"il che per sono della uma nos het een voor niet och att det som",
})

func signals(words map[signal]string) (map[string]signal, *[text.Keys]bool) {
	byWord, keys := map[string]signal{}, &[text.Keys]bool{}
	// A number may be one of a telephone.
	for first := byte('0'); first <= '9'; first++ {
		for second := range 256 {
			keys[text.KeyOf(string([]byte{first, byte(second)}))] = true
		}
		keys[text.KeyOf(string([]byte{first}))] = true
	}
	for s, list := range words {
		for _, w := range text.Tokens(list) {
			byWord[w] |= s
			keys[text.KeyOf(w)] = true
		}
	}
	return byWord, keys
}

// signs are what the words of a block tell.
type signs struct {
	signal
	english, others int // words of English and of other languages
	digits          int
}

// signsOf looks at the words of a block once.
func (p *Page) signsOf(block int) (s signs) {
	lo, hi := p.TokenRange(block)
	for i := lo; i < hi; i++ {
		if !signalKeys[p.scan.Tokens[i].Key()] {
			continue
		}
		token := p.scan.Folded(i)
		if token[0] <= '9' {
			s.digits += len(token)
			continue
		}
		found := signalWords[token]
		if found&mayTellYears != 0 && token != "years" && (i+1 == hi || p.scan.Folded(i + 1)[0] > '9') {
			continue // "since" and the like tell years only before a number
		}
		s.signal |= found
		if found&isEnglish != 0 {
			s.english++
		}
		if found&isOther != 0 {
			s.others++
		}
	}
	return s
}

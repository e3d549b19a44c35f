package intent

// word is a token of a phrase with what is known of it.
type word struct {
	text, singular, stem string
	role                 role
	verdict              Verdict
	// known reports whether a word stands in some list, is the client's own or was judged;
	// listed one of the lists of words alone.
	known, listed, small bool
}

// role is what a token was read as, if it is more than a word.
type role uint8

const (
	plainWord role = iota
	ownPlace       // of the client's places and their states
	nearMe         // of the words for near
)

// taken reports whether a token was read as a part of a place or of near me.
func (w word) taken() bool { return w.role != plainWord }

// unknown reports whether nothing is known of a word.
func (w word) unknown() bool { return !w.known && !w.small && !w.taken() && w.text[0] > '9' }

// singular returns a word without the ending of the plural.
func singular(word string) string {
	n := len(word)
	switch {
	case n > 4 && word[n-3:] == "ies":
		return word[:n-3] + "y"
	case n > 4 && (word[n-3:] == "hes" || word[n-3:] == "xes") && word[n-4] != 'c' || n > 5 && word[n-4:] == "ches" ||
		n > 4 && word[n-4:] == "sses":
		return word[:n-2]
	case n > 3 && word[n-1] == 's' && word[n-2] != 's':
		return word[:n-1]
	}
	return word
}

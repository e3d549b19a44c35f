package text

import "strings"

// StemFilter lets most tokens of a text go by their first letters, before
// anything is looked up or stemmed: a stem begins as its words do, but for a
// last letter or two (sky, skies). May is true for every token that has one of
// the words added as its stem, or is one of them, and false for most others.
type StemFilter struct {
	bucket [Keys]uint16 // index + 1 in lists, by key
	lists  [][]string
}

// Add adds a token or a stem. english reports whether stems are of English, of
// which more is known.
func (f *StemFilter) Add(word string, english bool) {
	start := word[:min(3, max(1, len(word)-2))]
	if english {
		start = word
		if strings.IndexByte("eily", word[len(word)-1]) >= 0 && len(word) > 2 {
			start = word[:len(word)-1]
		}
		switch word {
		case "die", "lie", "tie": // dying, lying, tying
			start = word[:1]
		}
	}
	if len(start) > 1 {
		f.add(KeyOf(start), start)
		return
	}
	for second := range 256 {
		f.add(key(start[0], byte(second)), start)
	}
}

func (f *StemFilter) add(bucket uint16, start string) {
	if f.bucket[bucket] == 0 {
		f.lists = append(f.lists, nil)
		f.bucket[bucket] = uint16(len(f.lists))
	}
	list := &f.lists[f.bucket[bucket]-1]
	for _, have := range *list {
		if strings.HasPrefix(start, have) {
			return
		}
	}
	*list = append(*list, start)
}

// May reports whether a token may have one of the words added as its stem.
func (f *StemFilter) May(token string) bool {
	at := f.bucket[KeyOf(token)]
	return at > 0 && f.begins(token, at)
}

// MayKey is May for all tokens of a key.
func (f *StemFilter) MayKey(key uint16) bool { return f.bucket[key&(Keys-1)] > 0 }

func (f *StemFilter) begins(token string, at uint16) bool {
	for _, start := range f.lists[at-1] {
		if strings.HasPrefix(token, start) {
			return true
		}
	}
	return false
}

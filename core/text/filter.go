package text

import "strings"

// StemFilter lets most tokens of a text go by their first letters, before
// anything is looked up or stemmed: a stem begins as its words do, but for a
// last letter or two (sky, skies). May is true for every token that has one of
// the words added as its stem, or is one of them, and false for most others.
type StemFilter struct {
	bucket [1 << 12]uint16 // index + 1 in lists, by the first two bytes
	lists  [][]string
}

func bucketOf(first, second byte) int { return (int(first)<<5 ^ int(second)) & (1<<12 - 1) }

// Add adds a token or a stem. english tells that stems are of English, of
// which more is known.
func (f *StemFilter) Add(word string, english bool) {
	start := word[:max(1, len(word)-2)]
	if english {
		start = word
		if strings.IndexByte("eily", word[len(word)-1]) >= 0 && len(word) > 1 {
			start = word[:len(word)-1]
		}
		switch word {
		case "die", "lie", "tie": // dying, lying, tying
			start = word[:1]
		}
	}
	if len(start) > 1 {
		f.add(bucketOf(start[0], start[1]), start)
		return
	}
	for second := range 256 {
		f.add(bucketOf(start[0], byte(second)), start)
	}
}

func (f *StemFilter) add(bucket int, start string) {
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

// May tells whether a token may have one of the words added as its stem.
func (f *StemFilter) May(token string) bool {
	second := byte(0)
	if len(token) > 1 {
		second = token[1]
	}
	at := f.bucket[bucketOf(token[0], second)]
	return at > 0 && f.begins(token, at)
}

func (f *StemFilter) begins(token string, at uint16) bool {
	for _, start := range f.lists[at-1] {
		if strings.HasPrefix(token, start) {
			return true
		}
	}
	return false
}

package phrase

import (
	"inktally/core/text"
)

// looseSlack is how many content tokens beyond its own a loose occurrence may
// hold (MEASURES 3.2).
const looseSlack = 4

// Matcher finds a list of phrases in texts. It is not changed after Compile
// and may be shared between goroutines.
type Matcher struct {
	Phrases  []Phrase
	Families []Family

	stem     text.Stemmer
	familyOf []int
	tokenIDs map[string]int32
	stemIDs  map[string]int32
	trie     []node
	loose    []looseFamily // by family
	anchored [][]int32     // by stem: the families that are looked for where it stands
	short    [256]bool     // first bytes that a short token of interest may have
	long     [1 << 16]bool // first two bytes that a longer one may have
}

// node is a state of the automaton over exact tokens.
type node struct {
	next    map[int32]int32
	phrases []int32
}

// looseFamily is what a loose occurrence of a family must hold.
type looseFamily struct{ stems []int32 }

// Compile prepares a matcher for phrases in one language.
func Compile(phrases []Phrase, lang Language) *Matcher {
	m := &Matcher{
		Phrases: phrases, Families: Families(phrases), stem: lang.Stem,
		familyOf: make([]int, len(phrases)),
		tokenIDs: map[string]int32{}, stemIDs: map[string]int32{},
		trie: []node{{}},
	}
	m.loose = make([]looseFamily, len(m.Families))
	for f, family := range m.Families {
		for _, i := range family.Members {
			m.familyOf[i] = f
			m.addExact(int32(i))
		}
		lead := phrases[family.Members[0]]
		if lead.NearMe {
			continue
		}
		for _, s := range lead.Stems {
			m.loose[f].stems = append(m.loose[f].stems, m.id(m.stemIDs, s))
		}
	}
	m.anchor()
	return m
}

// FamilyOf returns the family of a phrase.
func (m *Matcher) FamilyOf(phrase int) int { return m.familyOf[phrase] }

// id returns the number of a word in ids and lets tokens that begin like it
// through the filter.
func (m *Matcher) id(ids map[string]int32, word string) int32 {
	id, ok := ids[word]
	if !ok {
		id = int32(len(ids))
		ids[word] = id
	}
	m.short[word[0]] = true
	if len(word) > 1 {
		m.long[int(word[0])<<8|int(word[1])] = true
	} else {
		for second := range 256 {
			m.long[int(word[0])<<8|second] = true
		}
	}
	return id
}

func (m *Matcher) addExact(phrase int32) {
	at := int32(0)
	for _, t := range m.Phrases[phrase].Tokens {
		id := m.id(m.tokenIDs, t)
		next, ok := m.trie[at].next[id]
		if !ok {
			next = int32(len(m.trie))
			m.trie = append(m.trie, node{})
			if m.trie[at].next == nil {
				m.trie[at].next = map[int32]int32{}
			}
			m.trie[at].next[id] = next
		}
		at = next
	}
	if at > 0 {
		m.trie[at].phrases = append(m.trie[at].phrases, phrase)
	}
}

// anchor hangs each family on the stem that the fewest families have.
func (m *Matcher) anchor() {
	uses := make([]int, len(m.stemIDs))
	for _, l := range m.loose {
		for _, s := range l.stems {
			uses[s]++
		}
	}
	m.anchored = make([][]int32, len(m.stemIDs))
	for f, l := range m.loose {
		if len(l.stems) == 0 {
			continue
		}
		best := l.stems[0]
		for _, s := range l.stems {
			if uses[s] < uses[best] {
				best = s
			}
		}
		m.anchored[best] = append(m.anchored[best], int32(f))
	}
}

// Hit is one occurrence, a range of tokens.
type Hit struct {
	// Phrase is the index of the phrase that stands there, -1 for a loose
	// occurrence, which is one of the whole family.
	Phrase int
	Family int
	// Lo and Hi are the range of its tokens in the scan.
	Lo, Hi int
	// Counts tells that it counts for its family: of the members that stand
	// exactly, the leftmost and longest without overlap (MEASURES 3.5).
	Counts bool
}

// Exact tells an exact occurrence from a loose one.
func (h Hit) Exact() bool { return h.Phrase >= 0 }

// known is what a token means to a matcher: the number of the token and of
// its stem, -1 for none.
type known struct{ token, stem int32 }

// Finder runs a matcher over the texts of one page. It keeps what it has
// looked up, and is for one goroutine.
type Finder struct {
	m       *Matcher
	scan    *text.Scan
	memo    map[string]known
	sees    []known // of the sentence at hand
	hits    []Hit
	doneTo  int     // where the last range ended
	ends    []int   // by phrase: where its last exact occurrence ended
	famEnds []int   // by family: the same
	stamp   int     // the sentence at hand
	present []int   // by stem: the last sentence that held it
	last    []int32 // by stem of the family at hand: where it was last seen
	events  []event
}

// event is a content token of interest: its place among the content tokens of
// its sentence, its token and its stem.
type event struct {
	content, token int
	stem           int32
}

// Finder returns a finder for texts of scan.
func (m *Matcher) Finder(scan *text.Scan) *Finder {
	return &Finder{
		m: m, scan: scan, memo: map[string]known{},
		ends: make([]int, len(m.Phrases)), famEnds: make([]int, len(m.Families)),
		present: make([]int, len(m.stemIDs)), last: make([]int32, len(m.stemIDs)),
	}
}

// Find returns the occurrences in the tokens lo to hi, sentence by sentence.
// The result is only valid until the next call.
func (f *Finder) Find(lo, hi int) []Hit {
	f.hits = f.hits[:0]
	if lo < f.doneTo {
		clear(f.ends)
		clear(f.famEnds)
	}
	f.doneTo = hi
	for lo < hi {
		end := lo + 1
		for end < hi && !f.scan.Tokens[end].NewSentence {
			end++
		}
		f.sentence(lo, end)
		lo = end
	}
	return f.hits
}

func (f *Finder) sentence(lo, hi int) {
	f.stamp++
	f.sees = f.sees[:0]
	found := false
	for t := lo; t < hi; t++ {
		k := f.look(f.scan.Folded(t))
		found = found || k.token >= 0 || k.stem >= 0
		f.sees = append(f.sees, k)
	}
	if !found {
		return
	}
	from := len(f.hits)
	f.exact(lo)
	f.looseOnes(lo, from)
}

// look tells what a token means to the matcher. Most tokens are let go by
// their first bytes: a stem begins as its words do.
func (f *Finder) look(token string) known {
	if len(token) <= 5 {
		if !f.m.short[token[0]] {
			return known{-1, -1}
		}
	} else if !f.m.long[int(token[0])<<8|int(token[1])] {
		return known{-1, -1}
	}
	if k, ok := f.memo[token]; ok {
		return k
	}
	k := known{-1, -1}
	if id, ok := f.m.tokenIDs[token]; ok {
		k.token = id
	}
	if !text.Small(token) {
		if id, ok := f.m.stemIDs[f.m.stem(token)]; ok {
			k.stem = id
		}
	}
	f.memo[token] = k
	return k
}

// exact finds the exact occurrences of the sentence (MEASURES 3.1).
func (f *Finder) exact(lo int) {
	for i := range f.sees {
		at, first := int32(0), len(f.hits)
		for j := i; j < len(f.sees) && f.sees[j].token >= 0; j++ {
			next, ok := f.m.trie[at].next[f.sees[j].token]
			if !ok {
				break
			}
			at = next
			for _, p := range f.m.trie[at].phrases {
				if lo+i >= f.ends[p] {
					f.ends[p] = lo + j + 1
					f.hits = append(f.hits, Hit{Phrase: int(p), Family: f.m.familyOf[p], Lo: lo + i, Hi: lo + j + 1})
				}
			}
		}
		// Longest first: it is the one that counts for its family.
		for h := len(f.hits) - 1; h >= first; h-- {
			hit := &f.hits[h]
			if hit.Lo >= f.famEnds[hit.Family] {
				f.famEnds[hit.Family] = hit.Hi
				hit.Counts = true
			}
		}
	}
}

// looseOnes finds the loose occurrences of the sentence (MEASURES 3.2).
// Exact occurrences begin at hits[from].
func (f *Finder) looseOnes(lo, from int) {
	f.events = f.events[:0]
	content := 0
	for i, k := range f.sees {
		if k.stem >= 0 {
			f.present[k.stem] = f.stamp
			f.events = append(f.events, event{content: content, token: lo + i, stem: k.stem})
		}
		if k.stem >= 0 || !text.Small(f.scan.Folded(lo+i)) {
			content++
		}
	}
	exacts := len(f.hits)
	for i, e := range f.events {
		if f.seenBefore(i) {
			continue
		}
		for _, family := range f.m.anchored[e.stem] {
			if f.holdsAll(family) {
				f.windows(int(family), from, exacts)
			}
		}
	}
}

func (f *Finder) seenBefore(i int) bool {
	for j := range i {
		if f.events[j].stem == f.events[i].stem {
			return true
		}
	}
	return false
}

func (f *Finder) holdsAll(family int32) bool {
	for _, s := range f.m.loose[family].stems {
		if f.present[s] != f.stamp {
			return false
		}
	}
	return true
}

// windows finds the shortest windows that hold all stems of a family, from
// the left, without overlap, and clear of its exact occurrences.
func (f *Finder) windows(family, from, exacts int) {
	stems := f.m.loose[family].stems
	limit := len(stems) + looseSlack
	forget := func() {
		for _, s := range stems {
			f.last[s] = -1
		}
	}
	forget()
	for i, e := range f.events {
		if !contains(stems, e.stem) {
			continue
		}
		if f.insideExact(e.token, family, from, exacts) {
			forget()
			continue
		}
		f.last[e.stem] = int32(i)
		start := int32(i)
		for _, s := range stems {
			start = min(start, f.last[s])
		}
		if start < 0 || e.content-f.events[start].content+1 > limit {
			continue
		}
		f.hits = append(f.hits, Hit{Phrase: -1, Family: family, Lo: f.events[start].token, Hi: e.token + 1, Counts: true})
		forget()
	}
}

// insideExact tells whether a token stands in one of the exact occurrences
// hits[from:to] of the family.
func (f *Finder) insideExact(token, family, from, to int) bool {
	for _, h := range f.hits[from:to] {
		if h.Family == family && h.Lo <= token && token < h.Hi {
			return true
		}
	}
	return false
}

func contains(stems []int32, stem int32) bool {
	for _, s := range stems {
		if s == stem {
			return true
		}
	}
	return false
}

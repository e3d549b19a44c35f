package phrase

import (
	"strings"
	"sync"

	"inktally/core/text"
)

// looseSlack is how many content tokens beyond its own a loose occurrence may
// hold (rule 3.2).
const looseSlack = 4

// Matcher finds a list of phrases in texts. It may be shared between
// goroutines: after Compile it only learns what tokens mean to it.
type Matcher struct {
	Phrases  []Phrase
	Families []Family

	stem     text.Stemmer
	small    func(token string) bool
	familyOf []int
	tokenIDs map[string]int32
	stemIDs  map[string]int32
	trie     []node
	stems    [][]int32 // by family: what its loose occurrences must hold
	anchored [][]int32 // by stem: the families that are looked for where it stands
	filter   text.StemFilter
	english  bool

	mu     sync.RWMutex
	learnt map[string]known // tokens of all pages that were looked up
}

// maxLearnt bounds the tokens whose meaning is kept.
const maxLearnt = 20_000

// known is what a token means to a matcher: the number of the token and of
// its stem, -1 for none.
type known struct{ token, stem int32 }

// look returns what a token means. Stemming is slow, and the pages of one search
// have most of their words in common.
func (m *Matcher) look(token string) known {
	m.mu.RLock()
	k, ok := m.learnt[token]
	m.mu.RUnlock()
	if ok {
		return k
	}
	k = known{-1, -1}
	if id, ok := m.tokenIDs[token]; ok {
		k.token = id
	}
	if !m.small(token) {
		if id, ok := m.stemIDs[m.stem(token)]; ok {
			k.stem = id
		}
	}
	m.mu.Lock()
	defer m.mu.Unlock()
	if m.learnt == nil || len(m.learnt) >= maxLearnt {
		m.learnt = map[string]known{}
	}
	m.learnt[strings.Clone(token)] = k // the token is a part of a whole page
	return k
}

// node is a state of the automaton over exact tokens.
type node struct {
	next    map[int32]int32
	phrases []int32
}

// Compile prepares a matcher for phrases in one language.
func Compile(phrases []Phrase, lang Language) *Matcher {
	m := &Matcher{
		Phrases: phrases, Families: Families(phrases), stem: lang.Stem, small: lang.Small,
		familyOf: make([]int, len(phrases)),
		tokenIDs: map[string]int32{}, stemIDs: map[string]int32{},
		trie: []node{{}}, english: lang.English,
	}
	m.stems = make([][]int32, len(m.Families))
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
			m.stems[f] = append(m.stems[f], m.id(m.stemIDs, s))
		}
	}
	lang.Admit(&m.filter)
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
		m.filter.Add(word, m.english)
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
	for _, stems := range m.stems {
		for _, s := range stems {
			uses[s]++
		}
	}
	m.anchored = make([][]int32, len(m.stemIDs))
	for f, stems := range m.stems {
		if len(stems) == 0 {
			continue
		}
		best := stems[0]
		for _, s := range stems {
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
	// Counts reports whether it counts for its family: of the members that stand
	// exactly, the leftmost and longest without overlap (rule 3.5).
	Counts bool
}

// Exact reports whether the occurrence is exact, not loose.
func (h Hit) Exact() bool { return h.Phrase >= 0 }

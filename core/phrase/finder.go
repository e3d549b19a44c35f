package phrase

import "inktally/core/text"

// Finder runs a matcher over the texts of one page. It is for one
// goroutine.
type Finder struct {
	m       *Matcher
	scan    *text.Scan
	events  []event // of the sentence at hand
	hits    []Hit
	doneTo  int     // where the last range ended
	ends    []int   // by phrase: where its last exact occurrence ended
	famEnds []int   // by family: the same
	stamp   int     // the sentence at hand
	present []int   // by stem: the last sentence that held it
	last    []int32 // by stem of the family at hand: the event that last had it
}

// event is a token of interest.
type event struct {
	at int // which token it is
	known
}

// Finder returns a finder for texts of scan.
func (m *Matcher) Finder(scan *text.Scan) *Finder {
	return &Finder{
		m: m, scan: scan,
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
	f.events = f.events[:0]
	for t, token := range f.scan.Tokens[lo:hi] {
		t += lo
		if token.NewSentence() {
			f.sentence()
		}
		if !f.m.filter.MayKey(token.Key()) {
			continue
		}
		token := f.scan.Folded(t)
		if !f.m.filter.May(token) {
			continue
		}
		if k := f.m.look(token); k.token >= 0 || k.stem >= 0 {
			f.events = append(f.events, event{t, k})
		}
	}
	f.sentence()
	return f.hits
}

// sentence finds the occurrences among the events so far and forgets them.
func (f *Finder) sentence() {
	if len(f.events) == 0 {
		return
	}
	f.stamp++
	from := len(f.hits)
	f.exact()
	f.loose(from)
	f.events = f.events[:0]
}

// exact finds the exact occurrences of the sentence (rule 3.1).
func (f *Finder) exact() {
	for i, e := range f.events {
		at, first := int32(0), len(f.hits)
		for j := i; j < len(f.events) && f.events[j].at-e.at == j-i && f.events[j].token >= 0; j++ {
			next, ok := f.m.trie[at].next[f.events[j].token]
			if !ok {
				break
			}
			at = next
			for _, p := range f.m.trie[at].phrases {
				if e.at >= f.ends[p] {
					f.ends[p] = f.events[j].at + 1
					f.hits = append(f.hits,
						Hit{Phrase: int(p), Family: f.m.familyOf[p], Lo: e.at, Hi: f.events[j].at + 1})
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

// loose finds the loose occurrences of the sentence (rule 3.2). Its exact
// ones begin at hits[from].
func (f *Finder) loose(from int) {
	for _, e := range f.events {
		if e.stem >= 0 {
			f.present[e.stem] = f.stamp
		}
	}
	exacts := len(f.hits)
	for i, e := range f.events {
		if e.stem < 0 || f.seenBefore(i) {
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
	for _, s := range f.m.stems[family] {
		if f.present[s] != f.stamp {
			return false
		}
	}
	return true
}

// windows finds the shortest windows that hold all stems of a family, from
// the left, without overlap, and clear of its exact occurrences.
func (f *Finder) windows(family, from, exacts int) {
	stems := f.m.stems[family]
	forget := func() {
		for _, s := range stems {
			f.last[s] = -1
		}
	}
	forget()
	covered := 0 // where the exact occurrences end that began so far
	for i, e := range f.events {
		if !contains(stems, e.stem) {
			continue
		}
		for ; from < exacts && f.hits[from].Lo <= e.at; from++ { // they stand in order
			if h := &f.hits[from]; h.Family == family {
				covered = max(covered, h.Hi)
			}
		}
		if e.at < covered {
			forget()
			continue
		}
		f.last[e.stem] = int32(i)
		start := int32(i)
		for _, s := range stems {
			start = min(start, f.last[s])
		}
		if start < 0 || !f.close(f.events[start].at, e.at, len(stems)+looseSlack) {
			continue
		}
		f.hits = append(f.hits, Hit{Phrase: -1, Family: family, Lo: f.events[start].at, Hi: e.at + 1, Counts: true})
		forget()
	}
}

// close reports whether the tokens first to last hold at most limit content
// tokens.
func (f *Finder) close(first, last, limit int) bool {
	if last-first < limit {
		return true
	}
	content := 0
	for t := first; t <= last; t++ {
		if !f.m.small(f.scan.Folded(t)) {
			if content++; content > limit {
				return false
			}
		}
	}
	return true
}

func contains(stems []int32, stem int32) bool {
	for _, s := range stems {
		if s == stem {
			return true
		}
	}
	return false
}

// Package tie finds words that mean the same: slips of spelling, compounds
// written in two ways, doers with their own act, degrees, short forms (rule 3.5).
//
// In go the words of a book with how often they are searched for, and what is known
// of the client; out come ties, each with how sure it is. Those that are nearly
// certain are made at once, the others are proposed.
package tie

import (
	"cmp"
	"maps"
	"slices"
	"strings"

	"inktally/core/lexicon"
	"inktally/core/text"
)

// Kind is why two words are tied.
type Kind string

// The kinds of ties.
const (
	Slip     Kind = "slip"     // a letter wrong: chimny
	Compound Kind = "compound" // drainfield, drain field
	Doer     Kind = "doer"     // inspector, inspection
	Degree   Kind = "degree"   // cheapest, cheap
	Short    Kind = "short"    // hr, hour
)

// Kinds returns all of them.
func Kinds() []Kind { return []Kind{Slip, Compound, Doer, Degree, Short} }

// Tie is a word that is to be read as others.
type Tie struct {
	Kind Kind
	// Word is the word as it is typed, Means what it is read as: one word, or the parts
	// of a compound. All are tokens.
	Word  string
	Means []string
	// Certain reports whether a tie is made without asking.
	Certain bool
	// Searches are how often the phrases with the word are searched for, those whose
	// searches are not known counted once; Phrases is how many there are.
	Searches, Phrases int
}

// Searched is a phrase of the book, as tokens, with its searches.
type Searched struct {
	Tokens   []string
	Searches int
}

// Input is what ties are found by.
type Input struct {
	Phrases []Searched
	// Own are the words of services and places, in the order of their forms.
	Own [][]string
	// Known reports whether a word is one of the lists or the client's own; Act those of acts, Town
	// names of towns.
	Known, Act, Town func(token string) bool
	Stem             text.Stemmer
	English          bool
	// Apart are words that the user wants to be read as they are.
	Apart map[string]bool
}

// minCertain is the length from which a slip can be certain, minSlip that from
// which a word can be one, and often how much more the other is searched for.
const (
	minCertain = 5
	minSlip    = 3
	minMeant   = 4
	often      = 10
	// minCompound is the length from which a compound is known in other forms, minTwo that from which
	// a slip may be of two letters.
	minCompound = 8
	minTwo      = 6
)

// Find finds the ties of a book, those that decide about the most searches first.
func Find(in Input) []Tie {
	f := newFinder(in)
	var out []Tie
	for _, w := range f.order {
		if in.Apart[w] {
			continue
		}
		if t, ok := f.tie(w); ok {
			u := f.uses[w]
			t.Word, t.Searches, t.Phrases = w, u.searches, u.phrases
			out = append(out, t)
		}
	}
	slices.SortStableFunc(out, func(a, b Tie) int {
		return cmp.Or(cmp.Compare(b.Searches, a.Searches), strings.Compare(a.Word, b.Word))
	})
	return out
}

// Certain returns the ties that are made without asking.
func Certain(ties []Tie) []Tie {
	return slices.DeleteFunc(slices.Clone(ties), func(t Tie) bool { return !t.Certain })
}

type use struct{ searches, phrases int }

type finder struct {
	Input
	uses      map[string]use
	order     []string // the words in the order in which they came
	ownStems  map[string]bool
	own       map[string]bool
	pairs     map[string]bool     // words that stand side by side, in forms
	stemPairs map[string]bool     // their stems
	parted    []compound          // what may be written as one word, and as two
	beside    map[string][]string // what stands beside a word in phrases: "a ." before, ". a" behind
	seen      map[string]bool     // and in phrases
	meant     map[int][]string
}

// compound is a word of two that is written as one, too.
type compound struct {
	first, second string
	// own reports whether it is the client's, so that its forms are read like it without asking.
	own bool
}

func newFinder(in Input) *finder {
	f := &finder{Input: in, uses: map[string]use{}, ownStems: map[string]bool{}, own: map[string]bool{},
		pairs: map[string]bool{}, stemPairs: map[string]bool{}, seen: map[string]bool{}, meant: map[int][]string{},
		beside: map[string][]string{}}
	for _, p := range in.Phrases {
		for i, t := range p.Tokens {
			u, had := f.uses[t]
			if !had {
				f.order = append(f.order, t)
			}
			f.uses[t] = use{u.searches + max(1, p.Searches), u.phrases + 1}
			if i > 0 {
				f.seen[p.Tokens[i-1]+" "+t] = true
				f.standsBy(p.Tokens[i-1], t)
			}
		}
	}
	add := map[string]bool{}
	for _, form := range in.Own {
		for i, t := range form {
			f.own[t], f.ownStems[in.Stem(t)] = true, true
			add[t] = true
			if i > 0 {
				if !f.pairs[form[i-1]+" "+t] {
					f.parted = append(f.parted, compound{form[i-1], t, true})
				}
				f.pairs[form[i-1]+" "+t] = true
				f.stemPairs[in.Stem(form[i-1])+" "+in.Stem(t)] = true
			}
		}
	}
	f.partWords()
	for _, t := range f.order { // inflected forms of the client's words, and known ones
		if f.ownStems[in.Stem(t)] || in.Known(t) {
			add[t] = true
		}
	}
	for t := range add {
		if len(t) >= minSlip {
			f.meant[len(t)] = append(f.meant[len(t)], t)
		}
	}
	for n := range f.meant {
		slices.Sort(f.meant[n])
	}
	return f
}

// partWords finds the words that somebody writes as two: the client's, and others of the book.
func (f *finder) partWords() {
	for _, w := range append(slices.Sorted(maps.Keys(f.own)), f.order...) {
		if t, ok := f.parts(w); ok && !f.pairs[t.Means[0]+" "+t.Means[1]] {
			c := compound{t.Means[0], t.Means[1], t.Certain}
			if !slices.Contains(f.parted, c) {
				f.parted = append(f.parted, c)
			}
		}
	}
}

// tie returns what a word is tied to, if it is.
func (f *finder) tie(w string) (Tie, bool) {
	if t, ok := f.compound(w); ok {
		return t, true
	}
	if means, ok := f.short(w); ok {
		return Tie{Kind: Short, Means: means}, true
	}
	if t, ok := f.slip(w); ok {
		return t, true
	}
	if meant := f.besideMeant(w); meant != "" {
		return Tie{Kind: Slip, Means: []string{meant}}, true
	}
	return f.relative(w)
}

// compound parts a word in two that stand side by side in the words of a service or
// a place, or in the book.
func (f *finder) compound(w string) (Tie, bool) {
	if t, ok := f.parts(w); ok {
		return t, true
	}
	return f.compoundForm(w)
}

func (f *finder) parts(w string) (Tie, bool) {
	for i := 2; i <= len(w)-2; i++ {
		pair := w[:i] + " " + w[i:]
		switch {
		case f.pairs[pair] && !f.own[w], f.own[w] && f.seen[pair]:
			return Tie{Kind: Compound, Means: []string{w[:i], w[i:]}, Certain: true}, true
		case f.seen[pair] && i >= minSlip && len(w)-i >= minSlip && !f.Known(w) && !(f.English && lexicon.English(w)):
			return Tie{Kind: Compound, Means: []string{w[:i], w[i:]}}, true
		}
	}
	return Tie{}, false
}

// compoundForm parts another form of a compound, or a slip of one: drainfields, drainfeild. One that is parted is
// parted in all its forms, so those of the client's words are, be they ordinary ones or not.
func (f *finder) compoundForm(w string) (Tie, bool) {
	if len(w) < minCompound || f.own[w] {
		return Tie{}, false
	}
	known := f.Known(w) || f.ordinary(w)
	for _, c := range f.parted {
		whole := c.first + c.second
		switch rest, ok := strings.CutPrefix(w, c.first); {
		case known && !(c.own && f.own[whole]):
		case ok && len(rest) > minSlip && f.Stem(rest) == f.Stem(c.second) &&
			strings.HasPrefix(rest, c.second[:min(minSlip, len(c.second))]):
			return Tie{Kind: Compound, Means: []string{c.first, rest}, Certain: c.own}, true
		case !known && len(whole) >= minCompound && oneSlip(w, whole):
			certain := c.own && !f.Town(w) && max(1, f.uses[whole].searches) >= often*f.uses[w].searches
			return Tie{Kind: Compound, Means: []string{c.first, c.second}, Certain: certain}, true
		}
	}
	return Tie{}, false
}

// slip finds the word that a word is a slip of: of those that it may be the
// client's own first, then the most searched.
func (f *finder) slip(w string) (Tie, bool) {
	if len(w) < minSlip || f.Known(w) || f.ownStems[f.Stem(w)] && f.own[w] || f.ordinary(w) || w[0] <= '9' {
		return Tie{}, false
	}
	best, found := f.meantBy(w)
	if !found {
		return f.farSlip(w)
	}
	if f.Town(w) && !f.besidePlace(w, best) {
		return Tie{}, false // that town is meant
	}
	if len(best) <= minCertain && !f.isOwn(best) {
		return Tie{}, false
	}
	certain := len(w) >= minCertain && f.isOwn(best) && !f.Town(w) &&
		max(1, f.uses[best].searches) >= often*f.uses[w].searches
	return Tie{Kind: Slip, Means: []string{best}, Certain: certain}, true
}

// besidePlace reports whether a word stands beside what stands beside the one that may be meant.
func (f *finder) besidePlace(w, meant string) bool {
	return slices.ContainsFunc(f.beside[w], func(at string) bool {
		a, b, _ := strings.Cut(strings.Replace(at, ".", meant, 1), " ")
		return f.stemPairs[f.Stem(a)+" "+f.Stem(b)]
	})
}

// meantBy returns the best of the words that are one slip away from a word.
func (f *finder) meantBy(w string) (best string, found bool) {
	for n := len(w) - 1; n <= len(w)+1; n++ {
		for _, c := range f.meant[n] {
			if c == w || n < minMeant || !oneSlip(w, c) || f.uses[c].searches < f.uses[w].searches && !f.isOwn(c) {
				continue
			}
			if !found || f.better(c, best) {
				best, found = c, true
			}
		}
	}
	return best, found
}

// ordinary reports whether a word is one of the language: roots are no roofs.
func (f *finder) ordinary(w string) bool { return f.English && lexicon.English(w) }

func (f *finder) isOwn(w string) bool { return f.own[w] || f.ownStems[f.Stem(w)] }

func (f *finder) better(a, b string) bool {
	if f.isOwn(a) != f.isOwn(b) {
		return f.isOwn(a)
	}
	return f.uses[a].searches > f.uses[b].searches
}

// relative finds the act that a word is the doer of, and the word that it is a
// degree of.
func (f *finder) relative(w string) (Tie, bool) {
	one := strings.TrimSuffix(w, "s")
	for _, ending := range []string{"er", "or"} {
		base, ok := strings.CutSuffix(one, ending)
		if !ok || len(base) < minSlip {
			continue
		}
		if n := len(base); base[n-1] == base[n-2] && base[n-1] != 'l' && base[n-1] != 's' {
			base = base[:n-1] // fitter, fit
		}
		if act := f.actOf(base); act != "" && f.Stem(act) != f.Stem(w) {
			return Tie{Kind: Doer, Means: []string{act}}, true
		}
	}
	for _, ending := range []string{"est", "er"} {
		base, ok := strings.CutSuffix(w, ending)
		if !ok || len(base) < minSlip || f.Known(w) && ending == "er" {
			continue
		}
		for _, b := range []string{base, base + "e", strings.TrimSuffix(base, "i") + "y"} {
			if f.uses[b].phrases > 0 && f.Known(b) && !f.isOwn(b) && !f.Act(b) {
				return Tie{Kind: Degree, Means: []string{b}}, true
			}
		}
	}
	return Tie{}, false
}

// actOf returns the word of an act that begins with a verb: of those in the book or in
// the words of a service the most searched.
func (f *finder) actOf(verb string) string {
	best := ""
	for _, ending := range []string{"", "e", "ing", "ion", "ation", "ment", "al", "ting", "ning", "ping"} {
		c := verb + ending
		if !f.Act(c) || f.uses[c].phrases == 0 && !f.own[c] {
			continue
		}
		if best == "" || f.better(c, best) {
			best = c
		}
	}
	return best
}

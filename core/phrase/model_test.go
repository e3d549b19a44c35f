package phrase

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"inktally/core/place"
	"inktally/core/text"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// The automaton finds what the rules say when they are followed word by word,
// for all phrases at once, over any list of phrases and any text.
func TestMatcherFollowsTheRules(t *testing.T) {
	lang := LanguageOf("en", []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}},
		Corrections{Ties: Ties{{"sweep", "brush"}}})
	words := []string{"chimney", "chimneys", "sweep", "sweeping", "Sweeper's", "brush", "tarn", "harbor", "Ostrey",
		"me", "near", "the", "in", "of", "best", "flue"}
	ends := []string{" ", " ", " ", ", ", ". A ", "! Chimney ", " 7 ", " other ", " other soot ", "-"}
	rapid.Check(t, func(t *rapid.T) {
		// Few words, so that phrases overlap one another and themselves.
		word := rapid.SampledFrom(rapid.SliceOfN(rapid.SampledFrom(words), 1, 5).Draw(t, "vocabulary"))
		phrase := rapid.Map(rapid.SliceOfN(word, 1, 5), func(words []string) string { return strings.Join(words, " ") })
		var body strings.Builder
		for range rapid.IntRange(0, 40).Draw(t, "length") {
			body.WriteString(word.Draw(t, "word") + rapid.SampledFrom(ends).Draw(t, "end"))
		}
		var phrases []Phrase
		for _, s := range rapid.SliceOfNDistinct(phrase, 1, 4, strings.ToLower).Draw(t, "phrases") {
			phrases = append(phrases, New(s, lang))
		}
		m := Compile(phrases, lang)
		scan, _ := text.ScanText(body.String())
		var got, want []string
		for _, h := range m.Finder(scan).Find(0, len(scan.Tokens)) {
			got = append(got, fmt.Sprint(h))
		}
		for _, h := range byTheRules(m, scan, lang) {
			want = append(want, fmt.Sprint(h))
		}
		slices.Sort(got)
		slices.Sort(want)
		assert.Equal(t, want, got, scan.Text)
	})
}

// byTheRules finds the occurrences slowly: each phrase and family by itself, at
// each place of each sentence.
func byTheRules(m *Matcher, scan *text.Scan, lang Language) []Hit {
	var hits []Hit
	lo := 0
	for hi := 1; hi <= len(scan.Tokens); hi++ {
		if hi < len(scan.Tokens) && !scan.Tokens[hi].NewSentence() {
			continue
		}
		var tokens []string
		for t := lo; t < hi; t++ {
			tokens = append(tokens, scan.Folded(t))
		}
		for f, family := range m.Families {
			exact := exactByTheRules(m, family, tokens)
			for _, h := range append(exact, looseByTheRules(m.Phrases[family.Members[0]], exact, tokens, lang)...) {
				h.Family = f
				h.Lo += lo
				h.Hi += lo
				hits = append(hits, h)
			}
		}
		lo = hi
	}
	return hits
}

// exactByTheRules finds each member from left to right without overlap
// (rule 3.1), and of them all those that count: the leftmost, of these the
// longest (3.5).
func exactByTheRules(m *Matcher, family Family, tokens []string) []Hit {
	var hits []Hit
	for _, i := range family.Members {
		wanted := m.Phrases[i].Tokens
		for at := 0; len(wanted) > 0 && at+len(wanted) <= len(tokens); at++ {
			if slices.Equal(tokens[at:at+len(wanted)], wanted) {
				hits = append(hits, Hit{Phrase: i, Lo: at, Hi: at + len(wanted)})
				at += len(wanted) - 1
			}
		}
	}
	slices.SortStableFunc(hits, func(a, b Hit) int {
		if a.Lo != b.Lo {
			return a.Lo - b.Lo
		}
		return b.Hi - a.Hi
	})
	end := 0
	for i := range hits {
		if hits[i].Lo >= end {
			hits[i].Counts = true
			end = hits[i].Hi
		}
	}
	return hits
}

// looseByTheRules finds the windows that end first, of these the shortest, that
// hold all stems and no more than four other content tokens, without overlap
// and clear of exact occurrences (rule 3.2).
func looseByTheRules(lead Phrase, exact []Hit, tokens []string, lang Language) []Hit {
	var hits []Hit
	if lead.NearMe || len(lead.Stems) == 0 {
		return nil
	}
	from := 0
	for hi := 1; hi <= len(tokens); hi++ {
		for lo := hi - 1; lo >= from; lo-- {
			if slices.ContainsFunc(exact, func(h Hit) bool { return h.Lo < hi && lo < h.Hi }) {
				break
			}
			content, missing := 0, slices.Clone(lead.Stems)
			for _, token := range tokens[lo:hi] {
				if lang.Small(token) {
					continue
				}
				content++
				missing = slices.DeleteFunc(missing, func(s string) bool { return s == lang.Stem(token) })
			}
			if content > len(lead.Stems)+looseSlack {
				break
			}
			if len(missing) == 0 {
				hits = append(hits, Hit{Phrase: -1, Lo: lo, Hi: hi, Counts: true})
				from = hi
				break
			}
		}
	}
	return hits
}

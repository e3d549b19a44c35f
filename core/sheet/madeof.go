package sheet

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/page"
	"inktally/core/stats"
	"inktally/core/text"
)

const (
	longestSequence = 4   // words
	shownSequences  = 150 // of a page
	// MostCounted is how many words of a page's copy are looked at, far more than a page that people read has.
	MostCounted = 60_000
)

// Sequence is words that stand one after another in the copy of a page more
// than once (rule 3.8).
type Sequence struct {
	Text  string
	Words int
	Count int
	// Rate is occurrences in 1,000 copy words.
	Rate float64
}

// Shared is a sequence that rivals have in common.
type Shared struct {
	Text string
	// Rivals is on how many of their pages it stands, Median the median of
	// their rates.
	Rivals int
	Median float64
	// Own is how often it stands on the client's page.
	Own     int
	Missing bool
}

// run is a sequence of words by their numbers, 0 for none.
type run [longestSequence]int32

// counted are the sequences of a page.
type counted struct {
	words   []string // by number - 1
	counts  map[run]int
	copied  int // copy words
	isSmall func(token string) bool
}

// idle are words beside the small ones of rule 2.6 that say nothing of
// what a page is about; no sequence starts or ends in one.
var idle = func() map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(
		`i you he she it we they me him her us them my his its their mine yours this that these those who whom which
		what when where why how is are was were be been being am do does did done have has had having will would
		can could shall should may might
		must not no nor so if then than as but because while until although though also too very just only even
		still yet already again ever never
		always often here there now up down out off over under into onto about after before between through during
		without within against
		upon all any both each few more most other some such same own one two three four five six seven eight nine
		ten first second last next
		new old good well many much every another either neither come comes came go goes went get gets got make
		makes made take takes took give
		see say says said let leave keep put cannot dont doesnt isnt wont youre were weve ive thats`) {
		out[w] = true
	}
	return out
}()

// count counts all sequences of the copy sentences of a page. None starts or
// ends in a small word or an idle one.
func count(p *page.Page) *counted {
	c := &counted{counts: map[run]int{}, copied: p.Words.Copy, isSmall: text.SmallFor(p.Lang)}
	numbers := map[string]int32{}
	scan, left := p.Scan(), MostCounted
	var sentence []int32
	end := func() {
		c.add(sentence)
		sentence = sentence[:0]
	}
	for i := range p.Blocks {
		if !p.Blocks[i].Copy() {
			continue
		}
		lo, hi := p.TokenRange(i)
		hi = min(hi, lo+left)
		left -= hi - lo
		for t := lo; t < hi; t++ {
			if scan.Tokens[t].NewSentence() {
				end()
			}
			word := scan.Folded(t)
			n, ok := numbers[word]
			if !ok {
				c.words = append(c.words, strings.Clone(word))
				n = int32(len(c.words))
				numbers[c.words[n-1]] = n
			}
			sentence = append(sentence, n)
		}
		end()
	}
	return c
}

func (c *counted) small(n int32) bool {
	return c.isSmall(c.words[n-1]) || idle[c.words[n-1]]
}

func (c *counted) add(sentence []int32) {
	for i, first := range sentence {
		if c.small(first) {
			continue
		}
		var r run
		for n := 0; n < longestSequence && i+n < len(sentence); n++ {
			r[n] = sentence[i+n]
			if !c.small(sentence[i+n]) {
				c.counts[r]++
			}
		}
	}
}

func (r run) length() (n int) {
	for n < len(r) && r[n] != 0 {
		n++
	}
	return n
}

func (c *counted) text(r run) string {
	words := make([]string, 0, len(r))
	for _, n := range r[:r.length()] {
		words = append(words, c.words[n-1])
	}
	return strings.Join(words, " ")
}

// list lists the sequences that occur twice or more. One is left out if a
// longer one that holds it occurs as often.
func (c *counted) list() []Sequence {
	covered := map[run]bool{}
	for r, n := range c.counts {
		if n < 2 {
			continue
		}
		length := r.length()
		for from := 0; from < length; from++ {
			var part run
			for to := from; to < length; to++ {
				part[to-from] = r[to]
				if to-from+1 < length && c.counts[part] == n {
					covered[part] = true
				}
			}
		}
	}
	var out []Sequence
	for r, n := range c.counts {
		if n >= 2 && !covered[r] {
			out = append(out, Sequence{Text: c.text(r), Words: r.length(), Count: n, Rate: rate(n, c.copied)})
		}
	}
	slices.SortFunc(out, func(a, b Sequence) int {
		return cmp.Or(cmp.Compare(b.Count, a.Count), cmp.Compare(b.Words, a.Words), strings.Compare(a.Text, b.Text))
	})
	return out
}

func rate(n, words int) float64 {
	if words == 0 {
		return 0
	}
	return 1000 * float64(n) / float64(words)
}

// MadeOf lists what the copy of a page is made of (rule 3.8), the most
// frequent first. Of a page with more copy the first MostCounted words count.
func MadeOf(p *page.Page) []Sequence {
	list := count(p).list()
	return list[:min(len(list), shownSequences)]
}

// SharedByRivals lists the sequences that at least two rivals have, or half of
// them if that is more, with what the client's page has of them. client may be
// nil.
func SharedByRivals(client *page.Page, rivals []*page.Page) []Shared {
	type found struct {
		rates []float64
		often bool
	}
	all := map[string]*found{}
	for _, p := range rivals {
		c := count(p)
		for r, n := range c.counts {
			t := c.text(r)
			f := all[t]
			if f == nil {
				f = &found{}
				all[t] = f
			}
			f.rates = append(f.rates, rate(n, c.copied))
			f.often = f.often || n >= 2
		}
	}
	own := map[string]int{}
	if client != nil {
		c := count(client)
		for r, n := range c.counts {
			own[c.text(r)] = n
		}
	}
	least := max(2, (len(rivals)+1)/2)
	var out []Shared
	for t, f := range all {
		if len(f.rates) < least || !f.often {
			continue
		}
		out = append(out, Shared{Text: t, Rivals: len(f.rates), Median: stats.Median(f.rates), Own: own[t],
			Missing: own[t] == 0})
	}
	slices.SortFunc(out, func(a, b Shared) int {
		return cmp.Or(cmp.Compare(b.Rivals, a.Rivals), cmp.Compare(b.Median, a.Median), strings.Compare(a.Text, b.Text))
	})
	return withoutParts(out)
}

// withoutParts leaves out those that a longer one holds which stands on as many
// pages as often.
func withoutParts(list []Shared) []Shared {
	list = list[:min(len(list), 4*shownSequences)]
	out := []Shared{}
	for _, s := range list {
		part := slices.ContainsFunc(list, func(l Shared) bool {
			return l.Rivals == s.Rivals && l.Median == s.Median && len(l.Text) > len(s.Text) &&
				strings.Contains(" "+l.Text+" ", " "+s.Text+" ")
		})
		if !part && len(out) < shownSequences {
			out = append(out, s)
		}
	}
	return out
}

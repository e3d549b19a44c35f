package plan

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/imagename"
	"inktally/core/outline"
	"inktally/core/sum"
	"inktally/core/wordtarget"
)

// builder gathers the targets of one page.
type builder struct {
	y       Rules
	p       *Aim
	words   wordtarget.Target
	outline []outline.Section
	out     []Target

	room       map[string]int    // members of a family that the page has room for (rule 9.3)
	wish       map[string]string // what an image name says of a family
	named      map[string]bool   // families that an image is to be named after
	headed     map[string]bool   // sections whose heading says a phrase, by their keys
	subheads   int               // how many are asked for on the page
	images     *Target
	taken      *imagename.Names
	wrongNames []Part
	turn       int // the number of the page among the client's: it gets texts of its own
	brought    int // how often the parts of the first placing bring the first family
}

// OfPage works out the targets of one page by itself, in the order of a brief: without
// those that its site asks for. taken are the file names that the site has; those proposed
// are added.
func (y Rules) OfPage(p *Aim, taken *imagename.Names) []Target {
	b := y.builder(p)
	b.nameImages(taken)
	b.build()
	return b.out
}

func (y Rules) builder(p *Aim) *builder {
	b := &builder{y: y, p: p, words: y.WordTargetOf(p), outline: y.OutlineOf(p), room: map[string]int{},
		wish:  map[string]string{},
		named: map[string]bool{}, headed: map[string]bool{}}
	room := y.families(b.words) - min(len(p.Families), y.families(b.words))
	for _, f := range p.Families[:min(len(p.Families), y.families(b.words))] {
		b.room[f.Key] = min(len(f.Members), room)
		room -= b.room[f.Key]
	}
	return b
}

// first returns the key of the page's first family, empty for none.
func (b *builder) first() string {
	if len(b.p.Families) == 0 {
		return ""
	}
	return b.p.Families[0].Key
}

func (b *builder) build() {
	list := b.slices()
	var first []Part
	if len(b.p.Families) > 0 {
		first = b.placeFirst(&b.p.Families[0])
	}
	others := b.others(list)
	b.mention(list)
	switch {
	case !b.p.there():
		b.newPage(first, &list)
	case len(first) > 0:
		b.add(Target{Key: partKey("placing", b.first()), Kind: Placing, Family: b.first(), Phrase: b.p.Families[0].Text,
			Parts: first, opens: true})
	}
	for _, t := range others {
		b.add(t)
	}
	if b.images != nil {
		b.add(*b.images)
	}
	for _, t := range list {
		b.add(t)
	}
	b.cutBack()
}

// slices returns the words to write, a sitting each (rules 10.1, 12.2).
func (b *builder) slices() []Target {
	var out []Target
	for _, s := range b.outline {
		n := b.y.Outline.Slices(s)
		if asks := len(b.asks(s)); asks > 0 {
			n = min(n, asks) // each slice answers some
		}
		for i := range n {
			t := Target{Key: partKey("slice", s.Key), Kind: Slice, Section: s, Slice: i + 1, Slices: n,
				lead: s.Kind == outline.LeadSection}
			if i > 0 {
				t.Key += fmt.Sprintf(" %d", i+1)
			}
			t.Asks, t.Lists = slicePart(b.asks(s), i, n), slicePart(s.Subjects, i, n)
			words := outline.SliceWords(s.Words, i, n)
			rule := PartRuleOf(Words)
			p := Part{Key: t.Key + " words", Kind: Words, Words: words, Rivals: HaveIt{Of: len(b.p.Rivals)}}
			p.takes(b.y.ofWords(words)...)
			share := missingShare(sum.WordsOfTarget, float64(words)/float64(max(1, b.words.Target)))
			share.Count, share.Of = words, b.words.Target
			p.weigh(b.y, rule, b.p.Families, share)
			for _, r := range b.p.Rivals {
				if r.Page.Words.Seen >= b.words.Guideline.Low {
					p.Rivals.Have++
				}
			}
			t.Parts = append(t.Parts, p)
			target := b.words
			t.Words = &target
			out = append(out, t)
		}
	}
	return out
}

// asks returns the questions that a section answers.
func (b *builder) asks(s outline.Section) []string {
	if s.Kind != outline.Questions {
		return nil
	}
	return b.p.Topics.Questions
}

// slicePart returns the n-th part of a list that is dealt out to so many slices, in their order.
func slicePart(list []string, n, of int) []string {
	return list[len(list)*n/of : len(list)*(n+1)/of]
}

// mention shares out over the slices how often the first family is to stand in their
// words: what the placing leaves (rule 9.4).
func (b *builder) mention(list []Target) {
	if len(b.p.Families) == 0 || b.words.ToWrite == 0 {
		return
	}
	all, _ := b.counts(&b.p.Families[0])
	rest := max(0, all-b.p.family(b.first()).InCopy-b.brought)
	given, words := 0, 0
	for i := range list {
		words += list[i].ToWrite()
		now := rest * words / max(1, b.words.ToWrite)
		list[i].Mentions = max(0, now-given)
		given = now
	}
}

// others puts the page's further families into the slices of their sections; those whose
// sections have nothing to write get a placing of their own (rule 9.3).
func (b *builder) others(list []Target) []Target {
	var out []Target
	turn := map[string]int{}
	for i := 1; i < min(len(b.p.Families), b.y.families(b.words)); i++ {
		f := &b.p.Families[i]
		section := b.sectionOf(f.Key)
		var at []int
		for k := range list {
			if list[k].Section.Key == section && section != "" {
				at = append(at, k)
			}
		}
		if len(at) > 0 {
			t := &list[at[turn[section]%len(at)]]
			t.Parts = append(t.Parts, b.placeOther(f, t)...)
			turn[section]++
			continue
		}
		if parts := b.placeOther(f, nil); len(parts) > 0 && b.p.there() {
			out = append(out, Target{Key: partKey("placing", f.Key), Kind: Placing, Family: f.Key, Phrase: f.Text,
				Parts: parts})
		}
	}
	return out
}

func (b *builder) sectionOf(family string) string {
	for _, s := range b.outline {
		if slices.Contains(s.Families, family) {
			return s.Key
		}
	}
	return ""
}

// newPage asks for a page that is not there yet: its head, its lead section, and the ways
// to it (rule 12.2). Its other sections stay slices.
func (b *builder) newPage(head []Part, list *[]Target) {
	words := b.words
	t := Target{Key: string(NewPage), Kind: NewPage, Words: &words, Fixed: b.y.Minutes.NewPage, opens: true}
	if len(b.p.Families) > 0 {
		t.Family, t.Phrase = b.first(), b.p.Families[0].Text
	}
	for _, p := range head {
		p.takes(b.inNewPage())
		t.Parts = append(t.Parts, p)
	}
	*list = slices.DeleteFunc(*list, func(s Target) bool {
		if s.lead {
			t.Section = s.Section
			t.Parts = append(t.Parts, s.Parts...)
			t.Mentions += s.Mentions
		}
		return s.lead
	})
	for _, kind := range []PartKind{MenuEntry, HomeLink} {
		if b.p.Kind.ForOneSubject() {
			way := Part{Key: string(kind), Kind: kind}
			way.takes(b.inNewPage())
			t.Parts = append(t.Parts, way)
		}
	}
	b.add(t)
}

func (b *builder) add(t Target) {
	t.Page = b.p.Key
	t.Choice.State = Open
	for i := range t.Parts {
		t.Parts[i].Choice.State = Open
	}
	b.out = append(b.out, t)
}

// ReadKey parts the key of a target or of a part into its kind and what it is about: a family, a
// place, a file. It is the one place where a key is read.
func ReadKey(key string) (kind, about string) {
	kind, about, _ = strings.Cut(key, ": ")
	return kind, about
}

// partKey returns a key: a kind, and the family or the file that it is about.
func partKey[K ~string](k K, of string) string {
	return strings.TrimSuffix(string(k)+": "+strings.ToLower(of), ": ")
}

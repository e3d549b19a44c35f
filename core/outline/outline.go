package outline

import (
	"math"
	"slices"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/site"
)

// SectionKind is what a section of an outline is for.
type SectionKind string

// The kinds of sections (rule 10.1).
const (
	LeadSection SectionKind = "lead"
	ServiceText SectionKind = "service"
	AspectText  SectionKind = "aspect"
	Questions   SectionKind = "questions"
	Towns       SectionKind = "towns"
	AboutFirm   SectionKind = "about"
	// KeptText is a section of the page that no rule asks for and that has enough
	// words to stay.
	KeptText SectionKind = "kept"
	// AddedText is one that the user added.
	AddedText SectionKind = "added"
)

// SectionKinds returns all of them.
func SectionKinds() []SectionKind {
	return []SectionKind{LeadSection, ServiceText, AspectText, Questions, Towns, AboutFirm, KeptText, AddedText}
}

// Section is one section of the outline of a page.
type Section struct {
	// Key stays the same when the page is measured again.
	Key  string
	Kind SectionKind
	// Subject is the service of one for a service, else empty.
	Subject string
	// Heading is its heading as it stands on the page, as a rival words it, or as the
	// user wrote it; empty where it is worded by its kind and its families.
	Heading string
	// There reports whether the heading stands on the page: it is inked.
	There bool
	// Renamed reports whether the user worded the heading.
	Renamed bool
	// Holds are the words that the page has of it, Words those to write.
	Holds, Words int
	// Fixed reports whether the user set the words to write.
	Fixed   bool
	Dropped bool
	// Families are the keys of the families that it carries, without the page's first.
	Families []string
	// Have counts the rivals that have such a section, of Rivals; for aspects.
	Have, Rivals int

	share float64
}

// Edits are what the user changed of an outline. They go by the keys of sections, so
// that they hold when the page is measured again.
type Edits struct {
	// Order are the keys of sections in the user's order; others keep their places
	// behind the section that they stand behind by rule.
	Order    []string
	Sections map[string]SectionEdit
	// Alone reports whether the rest does not make up for sections whose words were set.
	Alone bool
}

// SectionEdit is what the user changed of a section.
type SectionEdit struct {
	Heading string
	// Words are those to write, nil as the rule has it.
	Words   *int
	Dropped bool
	// Added reports whether the section is the user's own.
	Added bool
}

// Input is what the outline of a page is worked out from.
type Input struct {
	Kind    site.Kind
	Service string
	Place   string
	// Page is nil if there is none yet; Rivals are the like rivals' pages.
	Page     *page.Page
	Rivals   []*page.Page
	Language phrase.Language
	// Headings remembers what pages say; nil for nothing.
	Headings *Headings
	Topics   Topics
	Edits    Edits
	// ToWrite and Writer are the words to write and those of all copy (rules 8.5, 8.6).
	ToWrite, Writer int
	// Families are those that sections are to carry, in order of gain, without the page's
	// first.
	Families []Given
}

// Given is a family of the page with what it names, empty for none and for the home town.
type Given struct{ Key, Service, Place string }

// Topics are what an outline has sections for.
type Topics struct {
	// Services are the client's, the main one first.
	Services []Topic
	// Towns are the communities that the client works in.
	Towns []string
	// Questions are what people ask about the page's subject.
	Questions []string
	// Firm is the name of the business, Rivals are those whose pages stand beside it.
	Firm   string
	Rivals []string
}

// Topic is a service with all its names.
type Topic struct {
	Name  string
	Forms []string
}

// Rules are the figures that outlines are worked out by (Y).
type Rules struct {
	Shares Shares
	// KeptWords is from how many words a heading of the page is kept; a section of more
	// than SliceWords is parted into equal slices.
	KeptWords, SliceWords int
	// SharedBy is by how many rivals an aspect must be shared to get a section.
	SharedBy int
}

// Shares are the parts of a writer's figure that sections get, in percent.
type Shares struct {
	Lead, Services, Questions, Places, About float64
}

// Sum returns what they come to together.
func (s Shares) Sum() float64 { return s.Lead + s.Services + s.Questions + s.Places + s.About }

// StandardRules returns those that everybody starts with.
func StandardRules() Rules {
	return Rules{Shares: Shares{Lead: 20, Services: 40, Questions: 20, Places: 10, About: 10}, KeptWords: 60,
		SliceWords: 250, SharedBy: 2}
}

// Of works out the sections that a page should have, with the words to write in each.
func (y Rules) Of(in Input) []Section {
	if in.Headings == nil {
		in.Headings = &Headings{}
	}
	o := outliner{y: y, p: &in, language: in.Language}
	o.find()
	list := in.Edits.apply(o.sections())
	share(list, y.Shares, in)
	in.Edits.setWords(list, in.ToWrite)
	o.give(list)
	return list
}

// group is by what share the words of a kind of section are told.
func (s Shares) group(k SectionKind) float64 {
	switch k {
	case LeadSection:
		return s.Lead
	case ServiceText, AspectText:
		return s.Services
	case Questions:
		return s.Questions
	case Towns:
		return s.Places
	case AboutFirm:
		return s.About
	}
	return 0
}

// share shares what is to write out: by the shares of the writer's figure, less what a
// section holds, scaled and rounded to 10; the rest to the lead. What a section that
// there is not would get goes to the others in proportion.
func share(list []Section, shares Shares, w Input) {
	counts := map[SectionKind]int{}
	for _, s := range list {
		if !s.Dropped {
			counts[s.Kind]++
		}
	}
	all := 0.0
	for k := range counts {
		all += shares.group(k)
	}
	if all == 0 || w.ToWrite == 0 {
		return
	}
	sum := 0.0
	for i := range list {
		s := &list[i]
		if s.Dropped {
			continue
		}
		share := shares.group(s.Kind) / all / float64(counts[s.Kind])
		s.share = max(0, share*float64(w.Writer)-float64(s.Holds))
		if shares.group(s.Kind) == 0 {
			s.share = 0
		}
		sum += s.share
	}
	rest := w.ToWrite
	for i := range list {
		s := &list[i]
		if s.Kind != LeadSection && sum > 0 {
			s.Words = int(math.Round(s.share*float64(w.ToWrite)/sum/10)) * 10
			rest -= s.Words
		}
	}
	toLead(list, rest)
}

// toLead gives the rest to the lead section; one below 0 is taken from those with the
// most words.
func toLead(list []Section, rest int) {
	for rest < 0 {
		most := 0
		for i := range list {
			if list[i].Words > list[most].Words {
				most = i
			}
		}
		less := min(10, list[most].Words, -rest)
		if less == 0 {
			break
		}
		list[most].Words -= less
		rest += less
	}
	at := slices.IndexFunc(list, func(s Section) bool { return s.Kind == LeadSection && !s.Dropped })
	if at < 0 {
		at = slices.IndexFunc(list, func(s Section) bool { return !s.Dropped })
	}
	if at >= 0 {
		list[at].Words += rest
	}
}

// give returns which sections carry which of the page's further families: that of their
// service, that of the towns where they name another place, else one after another those
// in which there is something to write.
func (o *outliner) give(list []Section) {
	if len(list) == 0 {
		return
	}
	turn := 0
	for _, f := range o.p.Families {
		at := slices.IndexFunc(list, func(s Section) bool {
			return !s.Dropped && s.Kind == ServiceText && s.Subject == f.Service && s.Words > 0
		})
		if f.Place != "" && f.Place != o.p.Place {
			if towns := slices.IndexFunc(list, func(s Section) bool {
				return !s.Dropped && s.Kind == Towns && s.Words > 0
			}); towns >= 0 {
				at = towns
			}
		}
		for n := 0; n < len(list) && at < 0; n++ {
			k := turn % len(list)
			turn++
			if list[k].Words > 0 && !list[k].Dropped {
				at = k
			}
		}
		if at < 0 {
			at = 0 // all is written: the family is placed by itself
		}
		list[at].Families = append(list[at].Families, f.Key)
	}
}

// Slices returns how many sittings the words of a section take (rule 10.1).
func (y Rules) Slices(s Section) int {
	if s.Words <= 0 {
		return 0
	}
	most := max(1, y.SliceWords)
	return (s.Words + most - 1) / most
}

// SliceWords returns those of the n-th of a section's slices, from 0: equal but for a word.
func SliceWords(words, n, of int) int {
	w := words / of
	if n < words%of {
		w++
	}
	return w
}

// hasAspects reports whether the sections of a kind of page are the aspects of one service.
func hasAspects(k site.Kind) bool { return k == site.Service }

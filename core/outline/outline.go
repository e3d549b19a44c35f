package outline

import (
	"slices"

	"inktally/core/copy"
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
	// ServiceList names several services in one section, each with a link to its page.
	ServiceList SectionKind = "services"
	// StandingText is one of those that stand on a page where rivals share too few aspects.
	StandingText SectionKind = "standing"
	// KeptText is a section of the page that no rule asks for and that has enough
	// words to stay.
	KeptText SectionKind = "kept"
	// AddedText is one that the user added.
	AddedText SectionKind = "added"
)

// SectionKinds returns all of them.
func SectionKinds() []SectionKind {
	return []SectionKind{LeadSection, ServiceText, ServiceList, AspectText, StandingText, Questions, Towns, AboutFirm,
		KeptText, AddedText}
}

// Section is one section of the outline of a page.
type Section struct {
	// Key stays the same when the page is measured again.
	Key  string
	Kind SectionKind
	// Subject is the service of one for a service, what a standing one is about, else empty. Subjects are
	// the services of a list, those of most gain first.
	Subject  string
	Subjects []string
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
	// Have counts the rivals that have such a section, of Rivals; Theirs are its words with each that has one, most
	// first.
	Have, Rivals int
	Theirs       []int

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
	// Standing are what the sections of a page are about that rivals tell nothing of, in the client's
	// language, by their keys in the order in which they stand.
	Standing []copy.Heading
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
	o := y.outliner(&in)
	list := o.share(in.Edits.apply(o.sections()))
	in.Edits.setWords(list, in.ToWrite)
	list = slices.DeleteFunc(list, func(s Section) bool { return s.idle(in.Edits) })
	o.give(list)
	return list
}

// idle reports whether a section is neither there nor to be written, and nobody said anything of it: who has enough
// words is told no new headings.
func (s *Section) idle(e Edits) bool {
	_, said := e.Sections[s.Key]
	return !s.There && s.Words == 0 && s.Kind != LeadSection && !said
}

// Before returns the sections of a page as they are before any words are shared out.
func (y Rules) Before(in Input) []Section {
	o := y.outliner(&in)
	return in.Edits.apply(o.sections())
}

func (y Rules) outliner(in *Input) *outliner {
	if in.Headings == nil {
		in.Headings = &Headings{}
	}
	o := &outliner{y: y, p: in, language: in.Language}
	o.find()
	return o
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
		at := slices.IndexFunc(list, func(s Section) bool { return !s.Dropped && s.Words > 0 && s.isOf(f.Service) })
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
			if list[k].Words > 0 && !list[k].Dropped && list[k].Kind.takesAny() {
				at = k
			}
		}
		if at < 0 {
			at = 0 // all is written: the family is placed by itself
		}
		list[at].Families = append(list[at].Families, f.Key)
	}
}

// isOf reports whether a section is that of a service, alone or among others.
func (s *Section) isOf(service string) bool {
	return s.Kind == ServiceText && s.Subject == service || s.Kind == ServiceList && slices.Contains(s.Subjects,
		service)
}

// takesAny reports whether a section of a kind takes families of any service: those of one service, of the firm,
// the towns and the questions do not.
func (k SectionKind) takesAny() bool {
	switch k {
	case ServiceText, ServiceList, AboutFirm, Towns, Questions:
		return false
	}
	return true
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

package outline

import (
	"slices"
	"strings"

	"inktally/core/lexicon"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/site"
	"inktally/core/text"
)

// outliner finds the sections of one page.
type outliner struct {
	y Rules
	p *Input

	language phrase.Language
	services []topicStems
	aspects  []aspect
	towns    [][]string // tokens
	firm     []stem
	own      []stem // those of the page's own service
	scratch  []stem
	marks    []mark // of each stem, by its number
}

// topicStems are a service by the stems of each of its names.
type topicStems struct {
	name  string
	forms [][]stem
}

func (o *outliner) find() {
	o.services = o.p.Headings.stemsOf(o.p.Topics.Services, o.language)
	for _, town := range o.p.Topics.Towns { // one that is an ordinary word names no section
		if tokens := text.Tokens(town); len(tokens) > 1 || !lexicon.English(tokens[0]) {
			o.towns = append(o.towns, tokens)
		}
	}
	o.firm = o.stems(o.p.Topics.Firm)
	for _, s := range o.services {
		if s.name == o.p.Service {
			o.own = append(o.own, slices.Concat(s.forms...)...)
		}
	}
	if hasAspects(o.p.Kind) {
		o.aspects = o.shared()
	}
	o.mark()
}

// stems returns the stems of the content words of a text.
func (o *outliner) stems(s string) []stem { return o.p.Headings.text(s, o.language).stems }

// sections returns those that the page should have, with what it has of each, in the order
// in which they stand: the lead, those of its subject, the page's own that stay, the
// questions, the towns, the firm.
func (o *outliner) sections() []Section {
	list := append([]Section{{Key: "lead", Kind: LeadSection}}, o.subjectSections()...)
	subject := len(list)
	if len(o.p.Topics.Questions) > 0 {
		list = append(list, Section{Key: "questions", Kind: Questions})
	}
	if len(o.p.Topics.Towns) > 0 {
		list = append(list, Section{Key: "towns", Kind: Towns})
	}
	list = append(list, Section{Key: "about", Kind: AboutFirm})
	o.theirs(list)
	list = slices.DeleteFunc(list, func(s Section) bool {
		return (s.Kind == Towns || s.Kind == AboutFirm) && o.p.Kind != site.Home && s.Have < enoughRivals
	})
	list = slices.Insert(list, subject, o.holds(list)...)
	return o.withStanding(list, subject)
}

// subjectSections returns those of the page's subject: of the services, or the aspects of one.
func (o *outliner) subjectSections() (list []Section) {
	if hasAspects(o.p.Kind) {
		for _, a := range o.aspects {
			list = append(list, Section{Key: a.key, Kind: AspectText, Heading: a.heading, Have: a.rivals})
		}
		return list
	}
	for _, s := range o.services {
		list = append(list, Section{Key: "service: " + s.name, Kind: ServiceText, Subject: s.name})
	}
	return list
}

// theirs counts what the rivals have of each section.
func (o *outliner) theirs(list []Section) {
	for i := range list {
		list[i].Rivals = len(o.p.Rivals)
	}
	for _, rival := range o.p.Rivals {
		words, met := make([]int, len(list)), make([]bool, len(list))
		met[0] = true
		for _, h := range o.p.Headings.of(rival, o.language) {
			if at := o.match(list, h.heading.Text, h.headingWords); at >= 0 {
				words[at] += h.heading.Words
				met[at] = true
			}
		}
		words[0] = rival.Words.Copy // the lead is what stands below no other heading
		for _, h := range rival.Headings {
			if h.Level > 1 {
				words[0] -= h.Words
			}
		}
		for at, n := range words {
			if met[at] {
				list[at].Theirs = append(list[at].Theirs, n)
			}
		}
	}
	for i := range list {
		s := &list[i]
		slices.SortFunc(s.Theirs, func(a, b int) int { return b - a })
		s.Have = max(s.Have, len(s.Theirs))
	}
}

// withStanding puts standing sections at a place of the outline where it has too few.
func (o *outliner) withStanding(list []Section, at int) []Section {
	for _, s := range o.p.Topics.Standing {
		if len(list) > besideLead {
			break
		}
		one := aspect{stems: o.stems(s.Heading)}
		if !slices.ContainsFunc(list, func(has Section) bool { return one.like(o.stems(has.Heading)) }) {
			list = slices.Insert(list, at, Section{Key: "standing: " + s.Key, Kind: StandingText, Subject: s.Key,
				Heading: s.Heading})
			at++
		}
	}
	return list
}

// holds counts what the page has of each section, and returns its own sections that no
// rule asks for and that have enough words to stay.
func (o *outliner) holds(list []Section) (kept []Section) {
	if o.p.Page == nil {
		return nil
	}
	pg := o.p.Page
	kept = make([]Section, 0, len(pg.Headings))
	at := map[string]int{} // in kept, by key
	list[0].Holds = pg.Words.Copy
	for _, h := range pg.Headings {
		list[0].Holds -= h.Words
	}
	for _, h := range pg.Headings {
		if h.Level == 1 {
			list[0].Holds += h.Words
			list[0].There = true
			continue
		}
		of := o.match(list, h.Text, o.p.Headings.text(h.Text, o.language))
		if of < 0 {
			if h.Words >= o.y.KeptWords {
				kept = keep(kept, at, h)
			}
			continue
		}
		s := &list[of]
		s.Holds += h.Words
		if !s.There && s.Kind != LeadSection {
			s.Heading, s.There = h.Text, true
		}
	}
	return kept
}

// keep puts a heading among those that stay; the same heading once more is one with it.
func keep(kept []Section, at map[string]int, h page.Heading) []Section {
	key := "kept: " + strings.ToLower(h.Text)
	if i, had := at[key]; had {
		kept[i].Holds += h.Words
		return kept
	}
	at[key] = len(kept)
	return append(kept, Section{Key: key, Kind: KeptText, Heading: h.Text, There: true, Holds: h.Words})
}

// match finds the section that a heading of a page is for, by its text and what that says; -1 for none.
func (o *outliner) match(list []Section, says string, heading headingWords) int {
	stems := heading.stems
	of := func(k SectionKind, subject string) int {
		for i := range list {
			if list[i].Kind == k && list[i].Subject == subject {
				return i
			}
		}
		return -1
	}
	said := o.said(stems)
	if strings.Contains(says, "?") || said.is&ofQuestions != 0 {
		if at := of(Questions, ""); at >= 0 {
			return at
		}
	}
	if !hasAspects(o.p.Kind) {
		if at := of(ServiceText, o.p.Headings.named(says, func() string { return o.serviceIn(stems) })); at >= 0 {
			return at
		}
	}
	if said.aspects != 0 {
		if i := o.aspectOf(stems); i >= 0 {
			return slices.IndexFunc(list, func(s Section) bool { return s.Key == o.aspects[i].key })
		}
	}
	if said.is&ofTowns != 0 || o.namesTowns(heading.tokens) {
		if at := of(Towns, ""); at >= 0 {
			return at
		}
	}
	if said.is&ofFirm != 0 || said.is&inFirmName != 0 && within(o.firm, stems) {
		return of(AboutFirm, "")
	}
	return -1
}

// serviceIn returns the service of which the longest form stands in a heading, empty for none.
func (o *outliner) serviceIn(stems []stem) (name string) {
	longest := 0
	for _, s := range o.services {
		for _, form := range s.forms {
			if len(form) > longest && within(form, stems) {
				name, longest = s.name, len(form)
			}
		}
	}
	return name
}

func (o *outliner) namesTowns(tokens []string) bool {
	return slices.ContainsFunc(o.towns, func(town []string) bool { return holdsRun(tokens, town) })
}

// subject puts the stems of a heading without those of the page's own service behind out:
// what is left is the aspect that it is about.
func (o *outliner) subject(out, stems []stem) []stem {
	for _, s := range stems {
		if !slices.Contains(o.own, s) && !slices.Contains(out, s) {
			out = append(out, s)
		}
	}
	return out
}

// within reports whether all of part are among stems.
func within(part, stems []stem) bool {
	return len(part) > 0 && !slices.ContainsFunc(part, func(s stem) bool { return !slices.Contains(stems, s) })
}

func overlaps(a, b []stem) bool {
	return slices.ContainsFunc(a, func(s stem) bool { return slices.Contains(b, s) })
}

// holdsRun reports whether part stands in tokens, one after another.
func holdsRun(tokens, part []string) bool {
	for i := 0; len(part) > 0 && i+len(part) <= len(tokens); i++ {
		if slices.Equal(tokens[i:i+len(part)], part) {
			return true
		}
	}
	return false
}

package plan

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/site"
	"inktally/core/sum"
	"inktally/core/wordtarget"
)

// Plan is all targets of a client, in the order of work.
type Plan struct {
	Targets []Target
	// Shares reports whether gains are shares in percent, for want of any search volumes.
	Shares bool
	// Words are the word targets, Outlines the outlines of pages, by their keys.
	Words    map[string]wordtarget.Target
	Outlines map[string][]outline.Section
	pages    map[string]*Aim
}

// Plan works out the plan of a client: the targets of all its pages, with what the user
// said of them, in the order in which they pay (rule 12.4).
func (y Rules) Plan(s Study) Plan {
	plan := Plan{Words: map[string]wordtarget.Target{}, Outlines: map[string][]outline.Section{},
		pages: map[string]*Aim{}}
	pages := slices.Clone(s.Pages)
	s.Pages = pages
	slices.SortStableFunc(pages, func(a, b Aim) int { return comparePages(&a, &b) })
	plan.Shares = rank(pages)
	s.note()
	taken, headings := NamesOf(pages...), &outline.Headings{}
	var all []Target
	wrong := map[string][]Part{}
	for i := range pages {
		p := &pages[i]
		plan.pages[p.Key] = p
		if p.Headings == nil {
			p.Headings = headings
		}
		b := y.builder(p)
		b.turn = i
		if !s.copied(p) { // who makes one page of two needs nothing else on the second
			b.nameImages(taken)
			b.build()
		}
		all = append(all, b.out...)
		wrong[p.Key] = b.wrongNames
		plan.Words[p.Key], plan.Outlines[p.Key] = b.words, b.outline
	}
	repairs := y.repairs(&s)
	for i := range repairs.out {
		wrong[repairs.out[i].Page] = renameWrong(&repairs.out[i], wrong[repairs.out[i].Page])
	}
	for i := range pages {
		repairs.rename(&pages[i], wrong[pages[i].Key])
		repairs.beside(&pages[i])
	}
	all = append(all, repairs.out...)
	all = append(all, byHand(&s)...)
	plan.credit(y, &s, all)
	choose(all, &s)
	depend(all, pages)
	plan.Targets = y.order(all, plan.pages)
	return plan
}

// copied reports whether a page is to go: it is a second copy of another, or for the same as it.
func (s *Study) copied(p *Aim) bool { return p.URL != "" && s.yields[site.BareAddress(p.URL)] }

// note notes what is asked for often: the addresses of the pages, and of those that are to go.
func (s *Study) note() {
	s.yields, s.at = map[string]bool{}, map[string]*Aim{}
	for i := range s.Pages {
		if p := &s.Pages[i]; p.URL != "" {
			s.at[site.BareAddress(p.URL)] = p
		}
	}
	for i := range s.Findings {
		if f := &s.Findings[i]; f.Yields() {
			s.yields[site.BareAddress(f.URL)] = true
		}
	}
}

// comparePages orders pages as ties are broken: home, service, area, then the others; by
// address, by key.
func comparePages(a, b *Aim) int {
	return cmp.Or(kindRank(a.Kind)-kindRank(b.Kind), strings.Compare(a.URL, b.URL), strings.Compare(a.Key, b.Key))
}

func kindRank(k site.Kind) int {
	if at := slices.Index([]site.Kind{site.Home, site.Service, site.Area}, k); at >= 0 {
		return at
	}
	return 3
}

// rank gives families what they are ordered by: their gain, the smallest known one above 0
// where the volume is unknown. Without any volumes every family counts the same, and gains
// are shares of the whole (rule 12.2).
func rank(pages []Aim) (shares bool) {
	smallest, count, known := 0.0, 0, false
	for _, p := range pages {
		for _, f := range p.Families {
			count++
			known = known || f.Known
			if f.Known && f.Gain > 0 && (smallest == 0 || f.Gain < smallest) {
				smallest = f.Gain
			}
		}
	}
	for i := range pages {
		pages[i].Families = slices.Clone(pages[i].Families)
		for k := range pages[i].Families {
			f := &pages[i].Families[k]
			switch {
			case !known:
				f.Gain = 100 / float64(count)
				f.rank = f.Gain
			case f.Known:
				f.rank = f.Gain
			default:
				f.Gain, f.rank = 0, smallest
			}
		}
	}
	return !known
}

// renameWrong puts the names that are proposed for images of another place on the fix of
// their page; it returns those that the fix does not speak of.
func renameWrong(t *Target, wrong []Part) []Part {
	for i := range t.Parts {
		p := &t.Parts[i]
		at := slices.IndexFunc(wrong, func(w Part) bool {
			return p.Kind == WrongPlace && p.Finding.Where == finding.InImage &&
				strings.HasPrefix(w.Image.File, p.Finding.Text())
		})
		if at >= 0 {
			p.Kind, p.Finding, p.Image, p.Effort = ImageName, nil, wrong[at].Image, wrong[at].Effort
			wrong = slices.Delete(slices.Clone(wrong), at, at+1)
		}
	}
	return wrong
}

func byHand(s *Study) (out []Target) {
	for _, o := range s.Own {
		t := Target{Page: o.Page, Key: o.Key(), Kind: ByHand, Text: o.Text, Choice: Choice{State: Open}}
		line := Part{Key: t.Key + " line", Kind: Repair, Choice: Choice{State: Open}}
		line.takes(sum.Step{Code: sum.ByHand, Value: o.Minutes, Unit: sum.Minutes, Rule: "12.3"})
		line.Estimate = Estimate{Gain: o.Gain, Rank: o.Gain}
		line.Sum = sum.Sum{{Code: sum.ByHand, Value: o.Gain, Rule: "12.2"}}
		t.Parts = []Part{line}
		out = append(out, t)
	}
	return out
}

// credit gives redirects and the naming of towns their percent of the first family's gain,
// as far as the other targets of its page leave some: a page never promises more than its
// families' gain (rule 12.2).
func (plan *Plan) credit(y Rules, s *Study, all []Target) {
	type left struct{ gain, rank float64 }
	of := map[string]*left{}
	home := ""
	for key, p := range plan.pages {
		of[key] = &left{}
		for _, f := range p.Families {
			of[key].gain += f.Gain
			of[key].rank += f.rank
		}
		if p.Kind == site.Home && (home == "" || key < home) {
			home = key
		}
	}
	for i := range all {
		for _, p := range all[i].Parts {
			if l := of[all[i].Page]; l != nil && all[i].Kind != ByHand {
				l.gain -= p.Gain
				l.rank -= p.Rank
			}
		}
	}
	for i := range all {
		t := &all[i]
		rule, page := KindRuleOf(t.Kind), t.Page
		if rule.Credit == "" {
			continue
		}
		if rule.Yields {
			page = ""
			if p := s.at[site.BareAddress(t.Finding.Other)]; p != nil {
				page = p.Key
			}
		}
		if p := plan.pages[page]; p == nil || len(p.Families) == 0 && t.Kind != VagueWords {
			page = home
		}
		l, p := of[page], plan.pages[page]
		if p == nil || len(p.Families) == 0 {
			continue
		}
		part := &t.Parts[0]
		part.credit(rule, rule.percent(y), p.Families[0], l.gain, l.rank)
		l.gain -= part.Gain
		l.rank -= part.Rank
	}
}

// Said returns what finds what the user said of a target of a page, or of a part of one, by
// its key; what was said of the page before it was made still holds.
func (s *Study) Said() func(page, key string) (Choice, bool) {
	formerly := map[string]string{}
	for _, p := range s.Pages {
		formerly[p.Key] = p.Formerly
	}
	return func(page, key string) (Choice, bool) {
		c, ok := s.Choices[Ref{page, key}]
		if !ok && formerly[page] != "" {
			c, ok = s.Choices[Ref{formerly[page], key}]
		}
		return c, ok
	}
}

// choose puts what the user said on targets and their parts.
func choose(all []Target, s *Study) {
	said := s.Said()
	for i := range all {
		t := &all[i]
		if c, ok := said(t.Page, t.Key); ok {
			t.Choice = c
		}
		for k := range t.Parts {
			if c, ok := said(t.Page, t.Parts[k].Key); ok {
				t.Parts[k].Choice = c
			}
		}
		t.total()
	}
}

// depend returns what each target needs to be done before (rules 12.2, 12.4): the first
// placing of its page or the page itself, a slice the slices of the lead section, and
// without a site all of them the home page.
func depend(all []Target, pages []Aim) {
	isThere := slices.ContainsFunc(pages, func(p Aim) bool { return p.there() })
	opens, leads, home := map[string]Ref{}, map[string][]Ref{}, Ref{}
	for i := range all {
		t := &all[i]
		if t.opens {
			opens[t.Page] = t.Ref()
		}
		if t.lead {
			leads[t.Page] = append(leads[t.Page], t.Ref())
		}
		if t.Kind == NewPage && home == (Ref{}) && isHome(pages, t.Page) {
			home = t.Ref()
		}
	}
	for i := range all {
		t := &all[i]
		need := func(ref Ref) {
			if ref != (Ref{}) && ref != t.Ref() && !slices.Contains(t.Needs, ref) {
				t.Needs = append(t.Needs, ref)
			}
		}
		if t.First || !KindRuleOf(t.Kind).Waits {
			continue
		}
		if t.Kind == Fix || t.Kind == CutBack { // they have their places in the order, and are done by themselves
			if !isThere {
				need(home)
			}
			continue
		}
		if !isThere {
			need(home)
		}
		need(opens[t.Page])
		if t.Kind == Slice && !t.lead {
			for _, id := range leads[t.Page] {
				need(id)
			}
		}
	}
}

func isHome(pages []Aim, key string) bool {
	return slices.ContainsFunc(pages, func(p Aim) bool { return p.Key == key && p.Kind == site.Home })
}

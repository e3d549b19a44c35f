package target

import (
	"slices"
	"strconv"

	"inktally/core/site"
)

// repairs are what the findings of a site ask for, by the page that they are about
// (rules 5.2, 5.3, 11).
type repairs struct {
	y     Rules
	study *Study
	out   []Target
}

func (y Rules) repairs(s *Study) *repairs {
	r := &repairs{y: y, study: s}
	for _, f := range s.Findings {
		r.find(f)
	}
	return r
}

// placeFix is the target that gathers what contradicts the place of a page.
func placeFix() Target {
	return Target{Key: partKey(Fix, string(site.PlaceWrong)), Kind: Fix, First: true, About: []string{string(site.PlaceWrong)}}
}

// rename asks for other names of images that name another place and that no finding speaks
// of.
func (r *repairs) rename(p *Page, wrong []Part) {
	for _, part := range wrong {
		r.gather(p, placeFix(), part)
	}
}

// fixes are the findings that are put right by a fix of one line.
var fixes = []site.FindingType{site.NoIndex, site.PlaceholderText, site.HTTPBesideHTTPS, site.PhoneNotLinked}

func (r *repairs) find(f site.Finding) {
	page := r.page(f.URL)
	switch {
	case slices.Contains(fixes, f.Type):
		r.fix(page, f)
	case f.Type == site.DeadLink:
		r.deadLink(f)
	case f.Type == site.PlaceWrong:
		r.wrongPlace(page, f)
	case f.Type == site.VagueAreaWords && r.towns() > 0:
		r.add(page, Target{Key: string(VagueWords), Kind: VagueWords, About: f.Words}, r.y.Minutes.Fix)
	case f.Type == site.SecondCopy:
		r.add(page, Target{Key: string(Redirect), Kind: Redirect, About: f.Words}, r.y.Minutes.Redirect)
	case f.Type == site.AllServices:
		r.split(page, f)
	case f.Type == site.OnlyPlacesDiffer:
		r.rewrite(page, f)
	}
}

// page is the client's page at an address, its home page where there is none.
func (r *repairs) page(address string) *Page {
	home := 0
	for i := range r.study.Pages {
		p := &r.study.Pages[i]
		if p.URL != "" && site.SameAddress(p.URL, address) {
			return p
		}
		if p.Kind == site.Home {
			home = i
		}
	}
	if len(r.study.Pages) == 0 {
		return nil
	}
	return &r.study.Pages[home]
}

func (r *repairs) towns() int {
	for i := range r.study.Pages {
		if n := len(r.study.Pages[i].Topics.Towns); n > 0 {
			return n
		}
	}
	return 0
}

// add adds a target of one line.
func (r *repairs) add(p *Page, t Target, minutes float64) {
	if p == nil {
		return
	}
	t.Page, t.Choice.State = p.Key, Open
	t.Parts = []Part{{Key: t.Key + " line", Kind: Repair, Image: -1, Minutes: minutes, Choice: Choice{State: Open}}}
	if !slices.ContainsFunc(r.out, func(o Target) bool { return o.ID() == t.ID() }) {
		r.out = append(r.out, t)
	}
}

func (r *repairs) fix(p *Page, f site.Finding) {
	r.add(p, Target{Key: partKey(Fix, string(f.Type)), Kind: Fix, First: true, About: append([]string{string(f.Type)}, f.Words...)}, r.y.Minutes.Fix)
}

// gather adds a part to the target of its page that gathers such parts.
func (r *repairs) gather(p *Page, t Target, part Part) {
	if p == nil {
		return
	}
	t.Page, t.Choice.State = p.Key, Open
	at := slices.IndexFunc(r.out, func(o Target) bool { return o.ID() == t.ID() })
	if at < 0 {
		r.out = append(r.out, t)
		at = len(r.out) - 1
	}
	part.Choice.State = Open
	if !slices.ContainsFunc(r.out[at].Parts, func(o Part) bool { return o.Key == part.Key }) {
		r.out[at].Parts = append(r.out[at].Parts, part)
	}
}

// deadLink is told of the page that the link stands on: where, its label, the status.
func (r *repairs) deadLink(f site.Finding) {
	words := append(slices.Clone(f.Words), "", "", "")
	r.gather(r.page(words[0]), Target{Key: partKey(Fix, string(f.Type)), Kind: Fix, First: true, About: []string{string(f.Type)}},
		Part{Key: partKey(DeadLink, f.URL), Kind: DeadLink, Now: f.URL, Phrase: words[1], Image: -1, Minutes: r.y.Minutes.Place})
}

// wrongPlace is a fix where it stands; where the other place has a page of its own, what
// is said of it moves there. Its words are the place, where it stands, and the text, or how
// often the body names it.
func (r *repairs) wrongPlace(p *Page, f site.Finding) {
	words := append(slices.Clone(f.Words), "", "", "")
	town, where, says := words[0], words[1], words[2]
	if other := r.ownPage(town); other != nil && other != p {
		r.add(p, Target{Key: partKey(Move, town), Kind: Move, First: true, About: []string{town, other.URL, where}}, r.y.Minutes.Move)
		return
	}
	part := Part{Key: partKey(WrongPlace, where+" "+town), Kind: WrongPlace, Phrase: town, Wanted: where, Now: says, Image: -1, Minutes: r.y.Minutes.Place}
	if n, err := strconv.Atoi(says); err == nil && where == "body" {
		part.From, part.Now = n, ""
	}
	r.gather(p, placeFix(), part)
}

// ownPage is the area page of a town that is there, nil for none.
func (r *repairs) ownPage(town string) *Page {
	for i := range r.study.Pages {
		if p := &r.study.Pages[i]; p.Kind == site.Area && p.Place == town && p.there() {
			return p
		}
	}
	return nil
}

// split is asked for as long as one of the services has no page of its own; it depends on
// those pages (rule 12.2).
func (r *repairs) split(p *Page, f site.Finding) {
	var needs []string
	for i := range r.study.Pages {
		o := &r.study.Pages[i]
		if o.Kind == site.Service && slices.Contains(f.Words, o.Service) && !o.there() {
			needs = append(needs, ChoiceKey(o.Key, string(NewPage)))
		}
	}
	if len(needs) > 0 {
		r.add(p, Target{Key: string(Split), Kind: Split, About: f.Words, Needs: needs}, r.y.Minutes.Redirect)
	}
}

func (r *repairs) rewrite(p *Page, f site.Finding) {
	if p != nil && p.there() {
		r.add(p, Target{Key: string(Rewrite), Kind: Rewrite, About: f.Words}, float64(p.copied())*r.y.Minutes.HundredWords/100)
	}
}

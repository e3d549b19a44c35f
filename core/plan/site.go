package plan

import (
	"cmp"
	"slices"

	"inktally/core/beside"
	"inktally/core/finding"
	"inktally/core/page"
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

// placeFix returns the target that gathers what contradicts the place of a page.
func placeFix() Target { return fixOf(finding.Finding{Type: finding.PlaceWrong}) }

// fixOf returns the fix of a finding, before its parts.
func fixOf(f finding.Finding) Target {
	return Target{Key: partKey(Fix, string(f.Type)), Kind: Fix, First: f.Type.Hides(), Finding: &f}
}

// rename asks for other names of images that name another place and that no finding speaks
// of.
func (r *repairs) rename(p *Aim, wrong []Part) {
	for _, part := range wrong {
		r.gather(p, placeFix(), part)
	}
}

// find asks for what a finding asks for (finding.Rule).
func (r *repairs) find(f finding.Finding) {
	about := r.page(f.URL)
	if about == nil && f.Type.OfSite() {
		about = r.home()
	}
	switch finding.RuleOf(f.Type).Asks {
	case finding.Fix:
		r.add(about, fixOf(f))
	case finding.FixLink:
		r.deadLink(f)
	case finding.FixPlace:
		r.wrongPlace(about, f)
	case finding.NameTowns:
		if r.towns() > 0 {
			r.add(about, Target{Key: string(VagueWords), Kind: VagueWords, Finding: &f})
		}
	case finding.Redirect:
		// The copy may be none of the client's pages any more.
		r.add(cmp.Or(about, r.home()), Target{Key: string(Redirect), Kind: Redirect, Finding: &f})
	case finding.Split:
		r.split(about, f)
	case finding.Rewrite:
		if about != nil && about.there() {
			r.add(about, Target{Key: string(Rewrite), Kind: Rewrite, Finding: &f})
		}
	case finding.Merge:
		if !f.Alike {
			break
		}
		r.add(about, Target{Key: string(Merge), Kind: Merge, Finding: &f})
	case finding.AddLink:
		r.addLink(about, f)
	case finding.BeListed:
		r.gather(r.home(), fixOf(finding.Finding{Type: f.Type}), r.faulty(Listing, f.URL, f))
	case finding.Nothing:
	}
}

// page returns the client's page at an address, nil for none.
func (r *repairs) page(address string) *Aim { return r.study.at[site.BareAddress(address)] }

// home returns the client's home page, nil for none.
func (r *repairs) home() *Aim { return r.first(func(p *Aim) bool { return p.Kind == site.Home }) }

func (r *repairs) first(is func(*Aim) bool) *Aim {
	for i := range r.study.Pages {
		if is(&r.study.Pages[i]) {
			return &r.study.Pages[i]
		}
	}
	return nil
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
func (r *repairs) add(p *Aim, t Target) {
	if p == nil {
		return
	}
	t.Page, t.Choice.State = p.Key, Open
	line := Part{Key: t.Key + " line", Kind: Repair, Choice: Choice{State: Open}}
	line.takes(r.y.effortOf(&t, p)...)
	t.Parts = []Part{line}
	if !slices.ContainsFunc(r.out, func(o Target) bool { return o.Ref() == t.Ref() }) {
		r.out = append(r.out, t)
	}
}

// gather adds a part to the target of its page that gathers such parts.
func (r *repairs) gather(p *Aim, t Target, part Part) {
	if p == nil {
		return
	}
	t.Page, t.Choice.State = p.Key, Open
	at := slices.IndexFunc(r.out, func(o Target) bool { return o.Ref() == t.Ref() })
	if at < 0 {
		r.out = append(r.out, t)
		at = len(r.out) - 1
	}
	part.Choice.State = Open
	if !slices.ContainsFunc(r.out[at].Parts, func(o Part) bool { return o.Key == part.Key }) {
		r.out[at].Parts = append(r.out[at].Parts, part)
	}
}

// faulty returns a part that mends a finding.
func (r *repairs) faulty(k PartKind, about string, f finding.Finding) Part {
	part := Part{Key: partKey(k, about), Kind: k, Finding: &f}
	part.takes(r.y.each(PartRuleOf(k)))
	return part
}

// deadLink is a part of the fix of the page that the link stands on.
func (r *repairs) deadLink(f finding.Finding) {
	from := cmp.Or(r.page(f.Other), r.home()) // it may stand in a menu
	r.gather(from, fixOf(finding.Finding{Type: f.Type}), r.faulty(DeadLink, f.URL, f))
}

// addLink is a part of the fix of the page that is to link: the home page for a service page, for an orphan the page of
// its service (rule 11).
func (r *repairs) addLink(p *Aim, f finding.Finding) {
	if p == nil || p.Kind == site.Other || r.study.copied(p) {
		return
	}
	own := r.first(func(o *Aim) bool {
		return f.Type == finding.Orphan && o.Kind == site.Service && o != p && o.there() && p.Service != "" &&
			o.Service == p.Service && !r.study.copied(o)
	})
	f.Label = cmp.Or(p.Service, p.Place, string(p.Kind))
	r.gather(cmp.Or(own, r.home()), fixOf(finding.Finding{Type: finding.NoHomeLink}), r.faulty(AddLink, f.URL, f))
}

// beside asks for what a page lacks beside its rivals' pages.
func (r *repairs) beside(p *Aim) {
	if !p.there() || p.Draft || !p.Kind.HasWordTarget() || r.study.copied(p) {
		return
	}
	var rivals []*page.Page
	for _, c := range p.Rivals {
		rivals = append(rivals, c.Page)
	}
	for _, f := range beside.Lacks(p.Client.Page, rivals) {
		r.add(p, fixOf(f))
	}
}

// wrongPlace is a part of the fix of its page: the page's own place takes its stead. Text is moved to the other
// place's page only by the user's wish (rule 5.2).
func (r *repairs) wrongPlace(p *Aim, f finding.Finding) {
	r.gather(p, placeFix(), r.faulty(WrongPlace, string(f.Where)+" "+f.Place, f))
}

// split is asked for as long as one of the services has no page of its own; it depends on
// those pages (rule 12.2).
func (r *repairs) split(p *Aim, f finding.Finding) {
	var needs []Ref
	for i := range r.study.Pages {
		o := &r.study.Pages[i]
		if o.Kind == site.Service && slices.Contains(f.Services, o.Service) && !o.there() {
			needs = append(needs, Ref{o.Key, string(NewPage)})
		}
	}
	if len(needs) > 0 {
		r.add(p, Target{Key: string(Split), Kind: Split, Finding: &f, Needs: needs})
	}
}

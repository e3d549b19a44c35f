package standings

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"time"

	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
	show "inktally/internal/view/stood"
	"inktally/internal/wording"
	"inktally/internal/wording/standings"
)

// shownParts are how many parts of a target are shown in the list.
const shownParts = 60

// table shows a standing as rows of figures, a site a column.
type table struct {
	k *study.Study
	s *stood.Standing
}

// known reports whether anything was brought of any site.
func (t table) known() bool {
	return len(t.s.Totals) > 0 || t.s.Grid != nil || t.s.Links != nil || len(t.k.Standing.Facts) > 0 ||
		len(t.s.Names) > 0
}

func (t table) groups() []show.StandingGroup {
	return []show.StandingGroup{t.listings(), t.profile(), t.links()}
}

// figure is the row of a figure of all sites.
func (t table) figure(f standing.Figure, scope standing.Scope, name, target string) show.StandingRow {
	row := show.StandingRow{Key: strings.Join([]string{string(f), string(scope), name}, " "), Name: standings.Figure(f,
		scope, name),
		Target: target,
		Figure: &show.FigureOf{Figure: view.FigureCode(f), Scope: show.ScopeCode(scope), Name: name}}
	for _, site := range t.s.Sites {
		row.Cells = append(row.Cells, t.cell(site, f, scope, name))
	}
	return row
}

// cell is what a site has of a figure, as its newest source has it.
func (t table) cell(site stood.Site, f standing.Figure, scope standing.Scope, name string) show.StandingCell {
	out := show.StandingCell{Former: []show.FormerFigure{}}
	i := slices.IndexFunc(t.s.Totals, func(n standing.Now) bool {
		return n.Site == site.Domain && n.Figure == f && n.Scope == scope && n.Name == name
	})
	if i < 0 {
		return t.seen(site, f, out)
	}
	n := t.s.Totals[i]
	out.Text, out.Value, out.Source = wording.Figure(n.Amount), &n.Amount, from(n.Source, n.On)
	if f == standing.Strength && n.Scale > 0 {
		out.Text += " of " + wording.Figure(n.Scale)
	}
	for _, v := range n.Former {
		out.Former = append(out.Former, show.FormerFigure{Value: v.Amount, Source: v.Source, On: v.On})
	}
	return out
}

// seen is what the recorded search shows of a figure.
func (t table) seen(site stood.Site, f standing.Figure, out show.StandingCell) show.StandingCell {
	field := map[standing.Figure]mapprofile.Field{standing.Reviews: mapprofile.Reviews,
		standing.Rating: mapprofile.Rating}[f]
	if n, ok := site.Facts.Number(field); ok && field != "" {
		out.Text, out.Value, out.Source = wording.Figure(n), &n, "as the recorded search shows it"
	}
	return out
}

// listings are how many directories list each site, and how many of the client's entries agree.
func (t table) listings() show.StandingGroup {
	g := show.StandingGroup{Key: "listings", Name: "Listings", Opens: t.s.Grid != nil}
	target := ""
	if w := t.s.Listings; w.Target > 0 {
		target = standings.Wanted(w)
	}
	g.Rows = append(g.Rows, t.figure(standing.Listings, standing.OfSite, "", target), t.nameSearch())
	if t.s.Grid == nil {
		return g
	}
	agree := show.StandingRow{Key: "agree", Name: "name, address, phone, hours, website agree"}
	wrong, held := 0, 0
	for _, row := range t.s.Grid.Listed {
		if len(row.Checks) > 0 {
			held++
		}
		if listing.Different(row.Checks) {
			wrong++
		}
	}
	for _, site := range t.s.Sites {
		c := show.StandingCell{Former: []show.FormerFigure{}}
		if site.Own && held > 0 {
			c.Text = fmt.Sprintf("%d of %d", held-wrong, held)
		}
		agree.Cells = append(agree.Cells, c)
	}
	if wrong > 0 {
		agree.Target = "all"
	}
	g.Rows = append(g.Rows, agree)
	g.Says = standings.ListingsToDo(len(t.s.Grid.Missing), wrong, t.minutes(standing.List, standing.Correct))
	return g
}

// minutes are what the open parts of kinds take.
func (t table) minutes(kinds ...standing.Kind) (sum float64) {
	for _, target := range t.s.Targets {
		if slices.Contains(kinds, target.Kind) {
			sum += target.Minutes
		}
	}
	return sum
}

// profile are the reviews, the rating, the photos and the newest post of the map profiles.
func (t table) profile() show.StandingGroup {
	g := show.StandingGroup{Key: "profile", Name: "Map profile", Opens: len(t.s.Profile) > 0}
	reviews := ""
	if w := t.s.Reviews; w.First > 0 {
		reviews = standings.ReviewsWanted(w)
	}
	g.Rows = append(g.Rows, t.figure(standing.Reviews, standing.OfSite, "", reviews),
		t.figure(standing.Rating, standing.OfSite, "", ""), t.figure(standing.Photos, standing.OfSite, "", ""))
	post := show.StandingRow{Key: "post", Name: "newest post"}
	for _, site := range t.s.Sites {
		c := show.StandingCell{Former: []show.FormerFigure{}}
		if on, err := time.Parse(time.DateOnly, site.Facts[mapprofile.LastPost]); err == nil {
			c.Text = on.Format("Jan 2, 2006")
		} else if _, known := site.Facts[mapprofile.LastPost]; known {
			c.Text = "none"
		}
		post.Cells = append(post.Cells, c)
	}
	if t.s.PostDue {
		post.Target = "this week"
	}
	g.Rows = append(g.Rows, post)
	filled, known := mapprofile.Count(t.s.Profile)
	if known > 0 {
		g.Says = fmt.Sprintf("%d of %d known facts filled in", filled, known)
	}
	return g
}

// links are how many sites link to each site and its page, and all strengths that sources have given names of their
// own.
func (t table) links() show.StandingGroup {
	g := show.StandingGroup{Key: "links", Name: "Links", Opens: t.s.Links != nil}
	target := ""
	switch w := t.s.Domains; {
	case w.Leads:
		target = "you lead"
	case w.Target > 0:
		target = standings.Wanted(w)
	}
	g.Rows = append(g.Rows, t.figure(standing.Domains, standing.OfSite, "", target),
		t.figure(standing.Domains, standing.OfPage, "", ""), t.figure(standing.Links, standing.OfSite, "", ""),
		t.figure(standing.Links, standing.OfPage, "", ""))
	type strength struct {
		scope standing.Scope
		name  string
	}
	var strengths []strength
	for _, n := range t.s.Totals {
		if of := (strength{n.Scope, n.Name}); n.Figure == standing.Strength && !slices.Contains(strengths, of) {
			strengths = append(strengths, of)
		}
	}
	// the site's first
	slices.SortStableFunc(strengths, func(a, b strength) int { return cmp.Compare(b.scope, a.scope) })
	for _, of := range strengths {
		g.Rows = append(g.Rows, t.figure(standing.Strength, of.scope, of.name, ""))
	}
	if t.s.Links != nil {
		g.Says = standings.LinksToDo(len(t.s.Links.Ask), len(t.s.Links.OwnDoubtful))
	}
	return g
}

// notes are what the totals tell (rules 13.1, 13.5).
func (t table) notes() []string {
	out := []string{}
	for _, site := range t.s.Sites {
		figure := func(f standing.Figure, scope standing.Scope) (float64, bool) {
			if n := standing.Of(t.s.Totals, site.Domain, f, scope); n != nil {
				return n.Amount, true
			}
			return 0, false
		}
		links, known := figure(standing.Links, standing.OfSite)
		domains, there := figure(standing.Domains, standing.OfSite)
		if known && there && standing.FromFewSites(links, domains) {
			out = append(out, standings.FromFewSites(site.Name, int(links), int(domains)))
		}
		page, known := figure(standing.Domains, standing.OfPage)
		if known && there && standing.CarriedBySite(page, domains) {
			out = append(out, standings.CarriedBySite(site.Name, int(page), int(domains)))
		}
	}
	own := t.s.Sites[0]
	if t.s.Reviews.Enough && own.Map != 1 {
		out = append(out, standings.ReviewsEnough)
	}
	return append(out, t.nameNotes()...)
}

// target shows a target with the first of its parts.
func (t table) target(of standing.Target, most int) show.StandingTarget {
	out := show.StandingTarget{Kind: show.StandingKind(of.Kind), Says: standings.Target(of), More: standings.More(of),
		Gain:    of.Gain,
		Minutes: of.Minutes, Parts: []show.StandingPart{}, Total: len(of.Parts)}
	for i, p := range of.Parts {
		if p.Fits {
			out.Fits++
		}
		if i < most {
			out.Parts = append(out.Parts, show.StandingPart{Key: p.Key, Says: t.part(of.Kind, p.Key),
				State: show.PartState(p.State),
				Gain:  p.Gain, Minutes: p.Minutes, Fits: p.Fits})
		}
	}
	return out
}

// part says what a part asks for.
func (t table) part(kind standing.Kind, key string) string {
	switch kind {
	case standing.Claim, standing.Fill:
		for _, i := range t.s.Profile {
			if string(i.Field) == key {
				return standings.ProfileWants(i)
			}
		}
	case standing.Correct, standing.List:
		for _, row := range slices.Concat(t.s.Grid.Listed, t.s.Grid.Missing) {
			if row.Key == key {
				return standings.ListingPart(row, len(t.s.Local()))
			}
		}
	case standing.Ask:
		return standings.AskReviews(t.s.Reviews)
	case standing.Post:
		return "Write a post about a job of this week"
	}
	return key
}

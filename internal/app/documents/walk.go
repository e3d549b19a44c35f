package documents

import (
	"context"
	"slices"

	"inktally/core/contact"
	"inktally/core/cutline"
	"inktally/core/handoff"
	"inktally/core/imagename"
	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/reach"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/internal/app/targets"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/reached"
	"inktally/internal/telling"
)

// gathering is what a walk-through is put together from.
type gathering struct {
	*targets.Worked
	page    *study.Comparison // the home page, nil for none
	rivals  *targets.Ladder
	reached *reached.Sites
	walk    handoff.Walk
	fits    []*plan.Target // that fit into the hours
}

// gather returns what is told of a client to its owner.
func (h *Handoff) gather(ctx context.Context, client int64) (*gathering, error) {
	w, err := h.Plan.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	g := &gathering{Worked: w, reached: reached.Of(w.Study), rivals: &targets.Ladder{}}
	g.walk.Client = w.Study.Client.Name
	if page, err := w.Page(w.Home()); err == nil {
		g.page, g.rivals = page, w.Ladder(page)
		g.words()
		g.phrase()
		g.images()
		g.advantages()
	}
	g.search()
	g.rival()
	g.pages()
	g.walk.Reviews, g.walk.Listings, g.walk.Links =
		g.compared(ladder.Reviews), g.compared(ladder.Listings), g.compared(ladder.Links)
	g.visits()
	for _, m := range w.Imperatives() {
		g.walk.Recap = append(g.walk.Recap, handoff.Imperative{Says: m.Says, Front: m.Fronts[0]})
	}
	judged, err := h.Judged.Of(ctx, w.Study)
	if err != nil {
		return nil, err
	}
	g.walk.Beside, g.walk.BesideGain = besideJobs(judged)
	g.next()
	return g, nil
}

// firm returns a rival with a figure.
func firm(r targets.Rung, figure float64) *handoff.Firm {
	return &handoff.Firm{Name: r.Name, Entry: r.Side.Entry.ID, Figure: int(figure), Places: r.Stands}
}

// step returns a front of a rung.
func step(r targets.Rung, f ladder.Front) ladder.Step {
	return r.Steps[slices.IndexFunc(r.Steps, func(s ladder.Step) bool { return s.Front == f })]
}

// best returns the rival with the largest figure of a front, nil where none is known; a chain's pages and domains are
// those of a whole country.
func (g *gathering) best(f ladder.Front) (best *handoff.Firm) {
	for _, r := range g.rivals.Rungs {
		s := step(r, f)
		if !s.TheirsKnown || ladder.OfCountry(f, r.Side.Entry.Kind == lineup.Chain) {
			continue
		}
		if best == nil || int(s.Theirs) > best.Figure {
			best = firm(r, s.Theirs)
		}
	}
	return best
}

// compared returns a figure of the client and of the best rival, nil where one of them is not known.
func (g *gathering) compared(f ladder.Front) *handoff.Compared {
	best := g.best(f)
	if best == nil || best.Figure == 0 {
		return nil
	}
	own := step(g.rivals.Rungs[0], f)
	if !own.OwnKnown {
		return nil
	}
	return &handoff.Compared{Own: int(own.Own), Best: *best}
}

func (g *gathering) words() {
	t := g.page.Words
	told := &handoff.WordsTold{Target: t.Target, ToWrite: t.ToWrite, Enough: g.rivals.Guideline,
		Hold: t.Hold, Best: g.best(ladder.Words)}
	if g.page.Client.Column != nil {
		told.There, told.Own = true, g.page.Client.Column.Page.Words.Seen
	}
	g.walk.Words = told
}

func (g *gathering) phrase() {
	first, ok := g.page.First()
	if !ok {
		return
	}
	told := &handoff.PhraseTold{Phrase: first.Text, Missing: g.missing(first.Key),
		There: g.page.Client.Column != nil}
	if f := g.Whole.Known.ByKey()[first.Key]; f != nil {
		if lead := f.Lead(); lead.Volume != nil && lead.Area.Counts(f.Place != "") {
			told.Searches = lead.Volume
		}
	}
	told.Own = stands(g.page.Client, first.Key, first.Text, g.page.Page.Kind)
	for _, r := range g.page.Counted() {
		if s := stands(r, first.Key, first.Text, g.page.Page.Kind); told.Rival == nil ||
			len(s.Slots) > len(told.Rival.Slots) {
			told.Rival = &s
		}
	}
	g.walk.Phrase = told
}

// stands returns where a family stands on the page of a side.
func stands(of *study.Side, family, text string, kind site.Kind) handoff.Stands {
	out := handoff.Stands{Name: of.Name, Entry: of.Entry.ID}
	if of.Column == nil {
		return out
	}
	placed := of.Column.Family(family)
	out.Found = sheet.FindInPage(of.Column.Page, text)
	for _, slot := range append(sheet.FirstSlots(kind.ForOneSubject()), sheet.Body) {
		if placed.Exact.In(slot) > 0 {
			out.Slots = append(out.Slots, slot)
		}
	}
	return out
}

// missing returns the slots of the home page in which the plan wants a family that is missing there.
func (g *gathering) missing(family string) (out []sheet.Slot) {
	for _, t := range g.Targets {
		if t.Page != g.page.Aim.Key || t.Choice.State == plan.Dropped {
			continue
		}
		for _, p := range t.Parts {
			rule := plan.PartRuleOf(p.Kind)
			if p.Choice.State != plan.Dropped && rule.Places && p.Family() == family && !slices.Contains(out,
				rule.Slot) {
				out = append(out, rule.Slot)
			}
		}
	}
	return out
}

func (g *gathering) images() {
	column := g.page.Client.Column
	if column == nil {
		return
	}
	told := &handoff.ImagesTold{Named: column.Carrying()}
	for _, t := range g.Targets {
		for _, p := range t.Parts {
			if t.Page == g.page.Aim.Key && p.Kind == plan.ImageName && p.Image != nil && p.Image.File != "" &&
				t.Choice.State != plan.Dropped && p.Choice.State != plan.Dropped {
				told.Names = append(told.Names, handoff.Renamed{Now: p.Image.File, Better: p.Image.Wanted})
			}
		}
	}
	if best := g.best(ladder.Images); best != nil && best.Figure > 0 {
		told.Rival, told.Example = best, g.named(best.Entry)
	}
	g.walk.Images = told
}

// named returns a file name of a rival's page that says what its picture shows.
func (g *gathering) named(entry int64) string {
	side, err := g.page.Entry(entry)
	if err != nil || side.Column == nil {
		return ""
	}
	for i, v := range side.Column.Verdicts {
		if v == imagename.Carries {
			img := side.Column.Page.Images[i]
			return img.File + img.Ext
		}
	}
	return ""
}

func (g *gathering) advantages() {
	var steps [][]ladder.Step
	var details [][]handoff.Detail
	for _, r := range g.rivals.Rungs {
		chain := r.Side.Entry.Kind == lineup.Chain
		steps = append(steps, slices.DeleteFunc(slices.Clone(r.Steps),
			func(s ladder.Step) bool { return ladder.OfCountry(s.Front, chain) }))
	}
	for _, r := range g.page.Counted() {
		details = append(details, detailsOf(r))
	}
	list := handoff.Leading(steps)
	if len(details) > 0 {
		for _, d := range detailsOf(g.page.Client) {
			if !slices.ContainsFunc(details, func(o []handoff.Detail) bool { return slices.Contains(o, d) }) {
				list = append(list, handoff.Advantage{Detail: d})
			}
		}
	}
	g.walk.Advantages = handoff.Best(list)
}

// detailsOf returns what of a page an owner can see and be proud of.
func detailsOf(s *study.Side) (out []handoff.Detail) {
	if s.Column == nil {
		return nil
	}
	d := s.Column.Page.Details()
	calls := slices.ContainsFunc(d.Phones, func(p contact.Phone) bool { return p.Linked })
	for _, of := range handoff.Details() {
		if map[handoff.Detail]bool{handoff.Testimonial: d.Testimonials > 0, handoff.YearsInIt: d.Years != "",
			handoff.Calls: calls, handoff.HasForm: d.Forms > 0, handoff.HasVideo: d.Videos > 0,
			handoff.HasMap: d.Maps > 0}[of] {
			out = append(out, of)
		}
	}
	return out
}

func (g *gathering) search() {
	known := g.Whole.Known
	l := known.MainLineup()
	if g.page != nil {
		l = known.LineupOf(g.page.Page.ID)
	}
	if l.ID == 0 {
		return
	}
	told := &handoff.SearchTold{Phrase: l.Phrase, Place: l.Place, Looked: l.LookedAt,
		MapLooked: l.MapLookedAt, Own: g.rivals.Own}
	rivals := study.RivalsOf(known.EntriesOf(l.ID), known.Yardstick.Lineup)
	for _, e := range known.EntriesOf(l.ID) {
		r := handoff.Result{Position: e.Position, Name: called(e), Own: e.Kind == lineup.Client,
			Kind: e.Kind, Rival: slices.ContainsFunc(rivals, func(o store.Entry) bool {
				return lineup.Domain(o.URL) != "" && lineup.Domain(o.URL) == lineup.Domain(e.URL)
			})}
		switch {
		case e.Paying():
			told.Ads++
		case e.Part == lineup.Map:
			told.Map = append(told.Map, r)
		case e.Part == lineup.Organic:
			told.Organic = append(told.Organic, r)
		}
		if lineup.Open(e.Entry) {
			told.Free = append(told.Free, e.Position)
		}
	}
	g.walk.Search = told
}

// called returns what an entry is told as: a list by its title, all others by the firm's name.
func called(e store.Entry) string {
	if e.Kind == lineup.ListArticle {
		return e.Name
	}
	return lineup.NameOf(e.Name, e.URL)
}

func (g *gathering) rival() {
	var list []handoff.Standing
	for _, r := range g.rivals.Rungs {
		s := handoff.Standing{Places: r.Stands, Above: r.Reason != nil}
		if gets := g.reached.Of(lineup.Domain(r.Side.Entry.URL)); gets != nil {
			s.Visits = gets.Hire
		}
		list = append(list, s)
	}
	at := handoff.Whole(list)
	if at < 0 || g.rivals.Rungs[at].Reason == nil {
		return
	}
	r := g.rivals.Rungs[at]
	g.walk.Rival = &handoff.RivalTold{Firm: *firm(r, 0), Steps: r.Steps, Reason: *r.Reason,
		Places: g.rivals.Places}
}

func (g *gathering) pages() {
	told := &handoff.PagesTold{Best: g.best(ladder.Pages)}
	if g.Whole.Site != nil {
		told.Own = g.Whole.Site.Subjects()
	}
	for _, t := range g.Targets {
		if t.Kind == plan.NewPage && t.Choice.State != plan.Dropped && (g.page == nil || t.Page != g.page.Aim.Key) {
			told.Make = append(told.Make, g.Name(t.Page))
		}
	}
	g.walk.Pages = told
}

func (g *gathering) visits() {
	own := g.reached.Client()
	if !own.Known {
		return
	}
	after := reach.AimedOf(own.Reach, g.Study.Families())
	told := &handoff.VisitsTold{Now: own.Hire, Aimed: after.Hire, Soon: after.Soon, Late: after.Late}
	for i, s := range g.reached.All {
		if s.Role == reached.Rival && s.Hire > told.BestVisits {
			told.BestVisits = s.Hire
			told.Best = &handoff.Firm{Name: g.reached.All[i].Name}
		}
	}
	g.walk.Visits = told
	if w, ok := reached.Worth(g.Study, after.More(own.Reach)); ok {
		g.walk.Worth = &handoff.WorthTold{Customers: w.Customers, Least: w.Least, Most: w.Most,
			Money: g.Study.Client.Money}
	}
}

func (g *gathering) next() {
	hours := g.Study.Said.Hours
	cut := cutline.Of(g.Targets, hours*60)
	told := handoff.NextTold{Hours: hours}
	for i := range g.Targets {
		t := &g.Targets[i]
		if t.Choice.State == plan.Dropped {
			continue
		}
		told.Open++
		if !cut.Fits[i] {
			continue
		}
		g.fits = append(g.fits, t)
		if told.First == "" && t.Gain > 0 {
			told.First = telling.Job(t, g.Teller(t.Page), g.Name(t.Page))
		}
	}
	told.Fit = len(g.fits)
	g.walk.Next = told
}

// Package ladder works out, rival by rival, who leads on which front, what the client has to do
// to pass it on the page, and what is left that no page can change (rule 12.6).
//
// In go the figures of the client and of a rival, and the client's targets in the order of
// work; out come Rungs.
package ladder

import (
	"slices"

	"inktally/core/plan"
)

// Front is what two firms are held against each other by.
type Front string

// The fronts. Those of content can be led by work on pages, the others cannot.
const (
	Words    Front = "words"
	Slots    Front = "slots"  // of the page's first phrase, that have it
	Images   Front = "images" // that are named for what they show
	Pages    Front = "pages"  // for services and towns
	FoundFor Front = "found_for"
	Links    Front = "links" // domains that link to the site
	Listings Front = "listings"
	Reviews  Front = "reviews"
)

// Fronts returns all of them, those of content first.
func Fronts() []Front {
	return []Front{Words, Slots, Images, Pages, FoundFor, Links, Listings, Reviews}
}

// Content reports whether work on pages can lead on a front.
func (f Front) Content() bool { return slices.Contains([]Front{Words, Slots, Images, Pages}, f) }

// Figures are what is known of a firm, by front.
type Figures map[Front]float64

// Leader is who leads on a front.
type Leader string

// The leaders. Unknown is that of a front of which one figure is not known.
const (
	Client  Leader = "client"
	Rival   Leader = "rival"
	Even    Leader = "even"
	Unknown Leader = "unknown"
)

// Leaders returns all of them.
func Leaders() []Leader { return []Leader{Client, Rival, Even, Unknown} }

// Step is one front of a rung.
type Step struct {
	Front       Front
	Own, Theirs float64
	// OwnKnown and TheirsKnown tell which of the figures are known.
	OwnKnown, TheirsKnown bool
	Leader                Leader
}

// Rung is one rival.
type Rung struct {
	Name  string
	Steps []Step
	// Targets are the IDs of the cheapest targets after which the client leads on every front
	// of content, in the order of work; Minutes is what they take with what they need.
	Targets []plan.Ref
	Minutes float64
	// Short are fronts of content on which all targets together do not lead.
	Short []Front
	// Left are the other fronts on which the rival leads: no page can change that.
	Left []Front
}

// Of works out the rung of a rival. page is the key of the client's page that stands beside
// the rival's, slots how many a page of its kind has for its first phrase: nobody can have
// more, so that all of them are enough. list are the client's targets in the order of work.
func Of(name string, own, theirs Figures, page string, slots int, list []plan.Target) Rung {
	r := Rung{Name: name}
	c := climb{list: list, page: page, taken: map[plan.Ref]bool{}}
	for _, f := range Fronts() {
		s := step(f, own, theirs)
		r.Steps = append(r.Steps, s)
		switch {
		case s.Leader == Client || s.Leader == Unknown:
		case !f.Content():
			if s.Leader == Rival {
				r.Left = append(r.Left, f)
			}
		case f == Slots && s.Own >= float64(slots):
		case f == Slots && c.pass(f, min(s.Theirs, float64(slots)-1)-s.Own):
		case f == Slots || !c.pass(f, s.Theirs-s.Own):
			r.Short = append(r.Short, f)
		}
	}
	for i := range list {
		if c.taken[list[i].Ref()] {
			r.Targets = append(r.Targets, list[i].Ref())
			r.Minutes += list[i].Minutes
		}
	}
	return r
}

func step(f Front, own, theirs Figures) Step {
	a, known := own[f]
	b, there := theirs[f]
	s := Step{Front: f, Own: a, Theirs: b, OwnKnown: known, TheirsKnown: there, Leader: Even}
	switch {
	case !known || !there:
		s.Leader = Unknown
	case a > b:
		s.Leader = Client
	case a < b:
		s.Leader = Rival
	}
	return s
}

// climb gathers the targets that pass a rival.
type climb struct {
	list  []plan.Target
	page  string
	taken map[plan.Ref]bool
}

// pass takes the targets that bring a front above so many, those that bring most for their
// time first; what they need goes with them. It is false if all of them do not.
func (c *climb) pass(f Front, behind float64) bool {
	type brings struct {
		at   int
		much float64
	}
	var all []brings
	for i := range c.list {
		if much := c.brings(&c.list[i], f); much > 0 {
			if c.taken[c.list[i].Ref()] {
				behind -= much
				continue
			}
			all = append(all, brings{i, much})
		}
	}
	slices.SortStableFunc(all, func(a, b brings) int {
		x, y := a.much/max(1, c.list[a.at].Minutes), b.much/max(1, c.list[b.at].Minutes)
		switch {
		case x > y:
			return -1
		case x < y:
			return 1
		}
		return 0
	})
	for _, b := range all {
		if behind < 0 {
			break
		}
		for _, at := range c.with(b.at, nil) {
			if c.taken[c.list[at].Ref()] {
				continue
			}
			c.taken[c.list[at].Ref()] = true
			behind -= c.brings(&c.list[at], f)
		}
	}
	return behind < 0
}

// with returns a target and what it needs.
func (c *climb) with(at int, list []int) []int {
	if slices.Contains(list, at) {
		return list
	}
	list = append(list, at)
	for _, id := range c.list[at].Needs {
		need := slices.IndexFunc(c.list, func(t plan.Target) bool { return t.Ref() == id })
		if need >= 0 && c.list[need].Choice.State != plan.Dropped {
			list = c.with(need, list)
		}
	}
	return list
}

// brings returns how much a target brings to a front.
func (c *climb) brings(t *plan.Target, f Front) float64 {
	if t.Choice.State == plan.Dropped {
		return 0
	}
	if f == Pages {
		if t.Kind == plan.NewPage {
			return 1
		}
		return 0
	}
	if t.Page != c.page {
		return 0
	}
	n := 0.0
	for _, p := range t.Parts {
		if p.Choice.State == plan.Dropped {
			continue
		}
		switch {
		case f == Words:
			n += float64(p.Words)
		case f == Images && p.Kind == plan.ImageName:
			n++
		case f == Slots && c.first(t, &p) && plan.PartRuleOf(p.Kind).Weight != "" && p.Kind != plan.Words:
			n++
		}
	}
	return n
}

// first reports whether a part places the page's first family in a slot of its own, and not
// another word order of it once more.
func (c *climb) first(t *plan.Target, p *plan.Part) bool {
	if t.Kind != plan.Placing && t.Kind != plan.NewPage && t.Kind != plan.Images || p.Family() == "" {
		return false
	}
	return p.Family() == c.family() && (!p.IsMember() || p.Kind == plan.Subhead || p.Kind == plan.ImageName ||
		p.Kind == plan.Alt)
}

// family returns the page's first.
func (c *climb) family() string {
	for i := range c.list {
		t := &c.list[i]
		if t.Page == c.page && (t.Kind == plan.Placing || t.Kind == plan.NewPage) && t.Family != "" {
			return t.Family
		}
	}
	return ""
}

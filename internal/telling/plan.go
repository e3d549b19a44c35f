package telling

import (
	"fmt"
	"math"
	"slices"

	"inktally/core/handoff"
	"inktally/core/ladder"
	"inktally/internal/wording"
)

// The headings of an owner's plan, in their order.
const (
	AheadTitle  = "What you already do better"
	StandTitle  = "Where you stand today"
	OthersTitle = "What the others have"
	WhyTitle    = "Why they come up before you"
	WorkTitle   = "What we do"
	WorthTitle  = "What it could bring, and when"
	BeyondTitle = "What no page changes"
	NextTitle   = "What happens next"
	JobsTitle   = "The first jobs"
)

// Stand words where the client stands in its search.
func (t Teller) Stand() []string {
	r := t.Search
	if r == nil {
		return nil
	}
	says := fmt.Sprintf("I searched for “%s” from %s. %s", r.Phrase, r.Place, stand(r))
	if r.Place == "" {
		says = fmt.Sprintf("I searched for “%s”. %s", r.Phrase, stand(r))
	}
	out := []string{says}
	if names := namesOf(r.Map, mostNamed); len(names) > 0 {
		out = append(out, "On the map: "+And(names)+".")
	}
	if names := namesOf(r.Organic, mostNamed); len(names) > 0 {
		out = append(out, "Below that, in order: "+And(names)+".")
	}
	if p := t.Phrase; p != nil && p.Searches != nil {
		out = append(out, fmt.Sprintf("That search is typed in about %s times a month.", wording.Number(*p.Searches)))
	}
	return out
}

// mostNamed bounds the firms of a search that are named.
const mostNamed = 3

// Why words why a rival comes before the client, in one line.
func (o OwnerTeller) Why(f handoff.FirmTold) string {
	r := f.Reason
	if r == nil {
		return ""
	}
	says := "nothing that I measured explains it. Some sites are simply older, or better known."
	if len(r.Leads) > 0 {
		var list []string
		for _, l := range r.Leads[:min(len(r.Leads), 3)] {
			list = append(list, o.lead(l))
		}
		says = And(list) + "."
	}
	if r.Fewer {
		says = "with fewer words than yours; " + says
	}
	return says
}

// lead words a front in which a rival is ahead, with both figures.
func (o OwnerTeller) lead(s ladder.Step) string {
	own, theirs := none(int(s.Own)), wording.Number(int(s.Theirs))
	if s.Front == ladder.Slots && o.Places > 0 {
		theirs += " of " + wording.Number(o.Places)
	}
	one := map[ladder.Front][2]string{ladder.Words: {"word", "words"},
		ladder.Slots:    {"place that has the words people search for", "places that have the words people search for"},
		ladder.Images:   {"picture named for the work", "pictures named for the work"},
		ladder.Pages:    {"page for services and towns", "pages for services and towns"},
		ladder.Links:    {"website that leads to it", "websites that lead to it"},
		ladder.Listings: {"directory entry", "directory entries"}, ladder.Reviews: {"review", "reviews"}}[s.Front]
	name := one[1]
	if s.Theirs == 1 {
		name = one[0]
	}
	return fmt.Sprintf("%s %s (you: %s)", theirs, name, own)
}

// OwnerTeller words an owner's plan.
type OwnerTeller struct {
	Teller
	*handoff.Owner
	// Places are how many the first phrase can have.
	Places int
}

// Unknown words the fronts of which nobody brought a figure, empty where all are known.
func (o OwnerTeller) Unknown() string {
	told := o.Told()
	var list []string
	for _, f := range []ladder.Front{ladder.Reviews, ladder.Listings, ladder.Links} {
		if !slices.Contains(told, f) {
			list = append(list, unknown[f])
		}
	}
	if len(list) == 0 {
		return ""
	}
	return "Not known yet: " + And(list) + "."
}

// unknown is what a front is called of which nothing is known.
var unknown = map[ladder.Front]string{ladder.Reviews: "your reviews next to theirs",
	ladder.Listings: "which directories list you and them", ladder.Links: "which websites link to you and to them"}

// Brings words what the plan may bring, and when.
func (t Teller) Brings() (out []string) {
	v := t.Visits
	if v == nil || v.Aimed <= v.Now {
		return nil
	}
	out = append(out, fmt.Sprintf("Searches bring you %s a month from people who are ready to hire. At the places "+
		"that we aim at, they could bring %s.", visits(v.Now), n(v.Aimed)))
	if v.Best != nil && v.BestVisits > v.Now {
		out = append(out, fmt.Sprintf("%s gets about %s today.", v.Best.Name, n(v.BestVisits)))
	}
	if says := months(v); says != "" {
		out = append(out, says)
	}
	if w := t.Worth; w != nil && w.Customers > 0 {
		says := "With the share of visitors who become customers that you told me, that is about " + Few(w.Customers) +
			" more customers a month"
		if w.Most > 0 {
			says += fmt.Sprintf(", worth between %s%s and %s%s a month", w.Money, n(w.Least), w.Money, n(w.Most))
		}
		out = append(out, says+".")
	}
	return append(out, "These are estimates. Nobody can promise you a place in the results.")
}

// months words how long the easiest and the hardest of the phrases take (rule 7.2).
func months(v *handoff.VisitsTold) string {
	soon, late := int(math.Round(v.Soon)), int(math.Round(v.Late))
	switch {
	case v.Late <= 0:
		return ""
	case soon == late:
		return fmt.Sprintf("It takes about %s.", wording.Count(soon, "month", ""))
	}
	return fmt.Sprintf("The easy ones take about %s, the hard ones up to %s.", wording.Count(soon, "month", ""),
		wording.Number(late))
}

// Beyond words a front that no page changes.
func Beyond(b handoff.Beyond) string {
	best := fmt.Sprintf("%s has %s", b.Best.Name, wording.Number(b.Best.Figure))
	own := none(b.Own)
	switch b.Front {
	case ladder.Reviews:
		return fmt.Sprintf("Reviews: you have %s, %s. Ask every customer who was pleased, on the day that the work "+
			"is done; never pay for one.", own, best)
	case ladder.Listings:
		return fmt.Sprintf("Directories: you are in %s, %s. Name, address and phone number should read the same in "+
			"each.",
			own, best)
	case ladder.Links:
		return fmt.Sprintf("Other websites that lead to yours: %s, %s. Ask associations, suppliers, the town.",
			own, best)
	}
	return fmt.Sprintf("%s: you have %s, %s.", Front(b.Front), own, best)
}

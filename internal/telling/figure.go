package telling

import (
	"inktally/core/handoff"
	"inktally/core/ladder"
)

// Figure words what a figure of a step is of.
func Figure(f handoff.Figure) string {
	switch f.Of {
	case handoff.OwnFront:
		return "you: " + fronts[f.Front]
	case handoff.BestFront:
		return "they: " + fronts[f.Front]
	}
	return map[handoff.FigureOf]string{
		handoff.OwnWords: "words on your page", handoff.BestWords: "words on the best of the others",
		handoff.WantedWords: "words wanted", handoff.OwnPhrase: "times on your page",
		handoff.BestPhrase: "times on theirs", handoff.Searches: "searches a month",
		handoff.OwnImages: "of your pictures named", handoff.BestImages: "of theirs named",
		handoff.NewNames: "new names", handoff.OwnOrganic: "your place in the results",
		handoff.OwnMap: "your place on the map", handoff.FreePlaces: "places that no business holds",
		handoff.OwnPages: "pages of yours", handoff.BestPages: "pages of theirs", handoff.NewPages: "pages to make",
		handoff.OwnVisits: "visits a month now, estimated", handoff.BestVisits: "the best of the others, estimated",
		handoff.AimedVisits: "aimed at, estimated", handoff.Customers: "customers a month, estimated",
		handoff.LeastMoney: "a month, from half of them", handoff.MostMoney: "a month, from all of them",
		handoff.PlanHours: "hours", handoff.PlanFit: "jobs fit", handoff.PlanOpen: "jobs in all"}[f.Of]
}

var fronts = map[ladder.Front]string{ladder.Words: "words", ladder.Slots: "places with the words that people search " +
	"for",
	ladder.Images: "pictures named for the work", ladder.Pages: "pages for services and towns",
	ladder.FoundFor: "searches it is found for", ladder.Links: "websites that lead to it",
	ladder.Listings: "directory entries", ladder.Reviews: "reviews"}

// Front words a front as an owner would call it.
func Front(f ladder.Front) string { return upper(fronts[f]) }

// FirmTitle heads a column of firms.
const FirmTitle = "Firm"

// PlaceTitle heads a column of where firms stand.
const PlaceTitle = "Comes up"

// Short words a front as the head of a narrow column.
func Short(f ladder.Front) string {
	return map[ladder.Front]string{ladder.Words: "Words", ladder.Slots: "Places with the search words",
		ladder.Images: "Pictures named", ladder.Pages: "Pages", ladder.FoundFor: "Searches",
		ladder.Links: "Sites that link", ladder.Listings: "Directories", ladder.Reviews: "Reviews"}[f]
}

// Stands words where a firm stands in a search.
func Stands(p ladder.Places) string {
	switch {
	case p.Organic > 0 && p.Map > 0:
		return ordinal(p.Organic) + " in the results, " + ordinal(p.Map) + " on the map"
	case p.Organic > 0:
		return ordinal(p.Organic) + " in the results"
	case p.Map > 0:
		return ordinal(p.Map) + " on the map"
	}
	return ""
}

func upper(s string) string {
	if s == "" {
		return ""
	}
	return string(s[0]-'a'+'A') + s[1:]
}

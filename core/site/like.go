package site

import "slices"

// Like reports whether a rival's page, by its address, is comparable with a page
// of a kind: a service page is not measured by home pages, nor a home page by others (rule 6.3).
func Like(kind Kind, rivalURL string) bool { return (kind == Home) == (Slug(rivalURL) == "") }

// LikeReason names why a rival's page is the comparable one.
type LikeReason string

// The reasons.
const (
	LikeHome         LikeReason = "home"          // both are home pages
	LikeService      LikeReason = "service"       // for the same service
	LikePlace        LikeReason = "place"         // for the same place
	LikeServicePlace LikeReason = "service_place" // for the same service in the same place
	LikeAnyService   LikeReason = "any_service"   // for the same place, and for another service
)

// LikeReasons returns all of them.
func LikeReasons() []LikeReason {
	return []LikeReason{LikeHome, LikeService, LikePlace, LikeServicePlace, LikeAnyService}
}

// LikeFound is the page of a rival that is comparable with a client's.
type LikeFound struct {
	Page   Surveyed
	Reason LikeReason
	// RunnerUp is the next best page, nil for none: a comparable one, else the page
	// that holds the service beside others.
	RunnerUp *Surveyed
}

// LikePage finds the page of a rival that is comparable with a client's: of the same
// kind, service and place, the one with the most words of them; false if the rival has
// none (rule 6.3). The runner-up is told all the same.
func LikePage(of Surveyed, rival []Surveyed, home string) (LikeFound, bool) {
	var list []Surveyed
	for _, p := range rival {
		if comparable(of, p, home) {
			list = append(list, p)
		}
	}
	slices.SortStableFunc(list, func(a, b Surveyed) int {
		if d := fitness(of, b) - fitness(of, a); d != 0 {
			return d
		}
		return b.Words - a.Words
	})
	if len(list) == 0 {
		return LikeFound{RunnerUp: holding(of, rival)}, false
	}
	found := LikeFound{Page: list[0], Reason: reasonOf(of, list[0])}
	if len(list) > 1 {
		found.RunnerUp = &list[1]
	} else {
		found.RunnerUp = holding(of, rival)
	}
	return found, true
}

// holding returns the page of a rival that holds a service beside others, nil for none.
func holding(of Surveyed, rival []Surveyed) *Surveyed {
	if of.Kind != Service {
		return nil
	}
	i := slices.IndexFunc(rival, func(p Surveyed) bool {
		return p.Reason == BySeveral && slices.Contains(p.Purpose.Words, of.Service)
	})
	if i < 0 {
		return nil
	}
	return &rival[i]
}

func comparable(of, p Surveyed, home string) bool {
	at := func(place string) string {
		if place == "" {
			return home
		}
		return place
	}
	switch of.Kind {
	case Home:
		return p.Kind == Home
	case Service:
		return p.Kind == Service && p.Service == of.Service && of.Service != ""
	case Area:
		return p.Kind == Area && at(p.Place) == at(of.Place)
	}
	return false
}

// fitness prefers the page for the very same service in a place, then one for the place
// alone.
func fitness(of, p Surveyed) int {
	switch p.Service {
	case of.Service:
		return 2
	case "":
		return 1
	}
	return 0
}

func reasonOf(of, p Surveyed) LikeReason {
	switch {
	case of.Kind == Home:
		return LikeHome
	case of.Kind == Service:
		return LikeService
	case p.Service == "":
		return LikePlace
	case p.Service == of.Service:
		return LikeServicePlace
	}
	return LikeAnyService
}

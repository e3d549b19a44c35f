package site

// Like tells whether a rival's page, by its address, is comparable with a page
// of a kind: a service page is not measured by home pages (rule 6.3).
func Like(kind Kind, rivalURL string) bool { return kind == Home || Slug(rivalURL) != "" }

// LikePage finds the page of a rival that is comparable with a client's: of the same
// kind, service and place, the one with the most words of them; false if the rival has
// none (rule 6.3).
func LikePage(of Surveyed, rival []Surveyed, home string) (Surveyed, bool) {
	best, found := Surveyed{}, false
	for _, p := range rival {
		if !comparable(of, p, home) || found && fitness(of, p) < fitness(of, best) {
			continue
		}
		if !found || fitness(of, p) > fitness(of, best) || p.Words > best.Words {
			best, found = p, true
		}
	}
	return best, found
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

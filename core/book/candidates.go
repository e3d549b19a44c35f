package book

import (
	"strings"

	"inktally/core/intent"
	"inktally/core/place"
)

// Patterns are how candidates are made: S a word for a service, P a place, ST
// and State its state (rule 3.7).
var Patterns = []string{"S P", "P S", "S in P", "S P ST", "S P State", "S company P", "S contractor P", "S near me",
	"best S P", "emergency S P", "affordable S P"}

// Candidates makes phrases of services, places and patterns, each once. A
// pattern with a state is left out for a place whose state is not known.
func Candidates(services []intent.Service, places []place.Place, patterns []string) []string {
	var out []string
	seen := map[string]bool{}
	for _, service := range services {
		for _, form := range service.Forms() {
			for _, p := range places {
				for _, pattern := range patterns {
					c, ok := candidate(pattern, form, p)
					if ok && !seen[c] {
						seen[c] = true
						out = append(out, c)
					}
				}
			}
		}
	}
	return out
}

func candidate(pattern, service string, p place.Place) (string, bool) {
	words := strings.Fields(pattern)
	for i, w := range words {
		known := true
		switch w {
		case "S":
			words[i] = service
		case "P":
			words[i] = p.Name
		case "ST":
			words[i], known = place.StateAbbreviation(p.State)
		case "State":
			words[i], known = place.StateName(p.State)
		}
		if !known {
			return "", false
		}
	}
	return strings.ToLower(strings.Join(words, " ")), true
}

package table

import (
	"strings"

	"inktally/core/place"
	"inktally/core/text"
	"inktally/core/visits"
)

// areaWords are what lists write for an area without naming it.
var areaWords = map[string]visits.Area{"town": visits.Town, "city": visits.Town, "local": visits.Town,
	"state": visits.State, "province": visits.State,
	"county": visits.State, "region": visits.State, "country": visits.Country, "national": visits.Country,
	"nationwide": visits.Country}

// AreaOf returns where a volume was counted by what a list says of it: the word town,
// state or country, or the name of one (rule 7.1). A town counts only if it is
// the client's home; empty is not known.
func AreaOf(cell string, home place.Place) visits.Area {
	tokens := text.Tokens(cell)
	key := strings.Join(tokens, " ")
	if area, ok := areaWords[key]; ok {
		return area
	}
	for _, form := range home.Forms() {
		if len(form) > 0 && place.Index(tokens, form) == 0 {
			return visits.Town
		}
	}
	switch {
	case len(place.Regions(cell)) > 0:
		return visits.State
	case place.Nation(cell) != "":
		return visits.Country
	}
	return ""
}

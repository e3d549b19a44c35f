package place

import (
	"regexp"
	"strings"
)

// TownState finds towns with a state behind them, as addresses have them.
var TownState = regexp.MustCompile(
	`((?:\p{Lu}[\p{L}'’.-]+ ){0,3}\p{Lu}[\p{L}'’.-]+),? ([A-Z]{2}|\p{Lu}\p{Ll}+(?: \p{Lu}\p{Ll}+)?)\b`)

// Town is a town with its state.
type Town struct{ Name, State string }

// TownBefore takes a town's name from the words before a state.
func TownBefore(words, state string) (Town, bool) {
	short, ok := StateAbbreviation(state)
	if !ok {
		if _, known := StateName(state); !known {
			return Town{}, false
		}
		short = state
	}
	fields := strings.Fields(words)
	for len(fields) > 1 && streetWord(fields[0]) {
		fields = fields[1:]
	}
	return Town{strings.Join(fields, " "), short}, true
}

// streetWord reports whether words of an address stand before the town.
func streetWord(word string) bool {
	switch strings.ToLower(strings.Trim(word, ".")) {
	case "street", "st", "road", "rd", "avenue", "ave", "lane", "ln", "drive", "dr", "way", "wharf", "court", "in",
		"of", "serving", "the", "from", "suite":
		return true
	}
	return false
}

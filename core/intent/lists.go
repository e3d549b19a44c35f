package intent

import "inktally/core/text"

// Lists are the words that intents are told by (rule 3.6). They are part of
// the yardstick and can be edited. Entries may be of several words.
type Lists struct {
	// Question are words that begin a question.
	Question []string
	// Research are words of somebody who wants to know, not to hire.
	Research []string
	// Hire are words of somebody who is ready to hire.
	Hire []string
	// Near are the words for what is close to the searcher.
	Near []string
	// Generic are words of services that many other trades have too: they make
	// no service by themselves.
	Generic []string
	// Goods are words of somebody who buys goods, looks for work, or means
	// something else altogether: such a phrase is broad.
	Goods []string
	// Small are small words beside those of the language.
	Small []string
	// Elsewhere are places that the client does not serve.
	Elsewhere []string
	// Ordinary are words that stand in names of firms and make no brand.
	Ordinary []string
}

// Each returns the lists with each of them changed.
func (l Lists) Each(change func(entries []string) []string) Lists {
	for _, list := range []*[]string{&l.Question, &l.Research, &l.Hire, &l.Near, &l.Generic, &l.Goods, &l.Small, &l.Elsewhere, &l.Ordinary} {
		*list = change(*list)
	}
	return l
}

// ListsFor are the lists for a language: those for English; for others they are
// empty until the user fills them.
func ListsFor(lang string) Lists {
	if text.English(lang) {
		return EnglishLists()
	}
	return Lists{}
}

// EnglishLists are the lists for English.
func EnglishLists() Lists {
	return Lists{
		Question: []string{"how", "what", "whats", "why", "when", "where", "who", "which", "should", "is", "are", "was", "do", "does", "did",
			"can", "could", "will", "would", "has", "have"},
		Research: []string{"how", "what", "why", "when", "should", "cost", "price", "pricing", "ideas", "photos", "pictures", "images",
			"examples", "diy", "vs", "versus", "yourself", "tips", "guide", "meaning", "definition", "history", "types of", "kinds of", "signs",
			"benefits", "explained", "steps", "average", "pros and cons", "difference between", "before and after", "checklist", "requirements",
			"regulations", "statistics", "video"},
		Hire: []string{"company", "contractor", "service", "installer", "emergency", "24 hour", "24 7", "same day", "best", "affordable", "quote",
			"estimate", "local", "cheap", "licensed", "certified", "professional", "top rated", "trusted", "low cost", "hire", "book", "appointment",
			"specialist", "expert", "firm"},
		Near: []string{"near me", "nearby", "close to me", "close by", "around me", "around here", "in my area", "near by"},
		Generic: []string{"repair", "cleaning", "cleaner", "installation", "install", "installer", "replacement", "replace", "inspection", "inspector",
			"fitting", "fitter", "service", "maintenance", "restoration", "removal", "testing", "test", "care", "company", "contractor", "work",
			"design", "building", "builder", "sales", "water", "home", "house", "treatment"},
		Goods: []string{"job", "salary", "wage", "career", "apprenticeship", "training", "school", "course", "license", "insurance", "for sale", "used",
			"kit", "parts", "spare", "brush", "song", "lyrics", "movie", "film", "game", "costume", "toy", "statue", "logs", "hose", "cover",
			"gasket", "wholesale", "hiring", "tool", "size", "weather", "recipe", "store", "rental"},
		Ordinary: []string{"old", "new", "first", "best", "street", "road", "avenue", "national", "american", "family", "brothers", "bros", "sons", "son",
			"house", "home", "inc", "llc", "ltd", "co", "corp", "group", "team", "pros", "pro", "north", "south", "east", "west", "central", "county",
			"city", "town", "village", "all", "one", "green", "blue", "red", "black", "white", "silver", "golden", "copper", "quality", "premier", "elite", "superior",
			"express", "fast", "quick", "solutions", "center", "centre", "supply", "store", "shop"},
	}
}

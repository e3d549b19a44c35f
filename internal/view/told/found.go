package told

import (
	"time"

	"inktally/core/reach"
	"inktally/internal/view"
)

// Found is what the client's site and its rivals' are found for, side by side (rules 7.5, 14.1).
type Found struct {
	Sites      []FoundSite   `json:"sites" doc:"The client's first, then the rivals' in order"`
	Rows       []FoundPhrase `json:"rows" doc:"Those with the most searches first"`
	Total      int           `json:"total" doc:"How many phrases there are"`
	Missed     *float64      `json:"missed" doc:"Visits ready to hire a month that the best rivals get, phrase by phrase, and the client does not: an estimate (rule 14.1). Null if it is not known"`
	Aimed      *float64      `json:"aimed" doc:"Visits ready to hire a month that the client gets at the positions that are aimed at: an estimate"`
	AimedWorth *Worth        `json:"aimed_worth" doc:"What they are worth, null if that is not known"`
}

// FoundSite is a site with what its list comes to.
type FoundSite struct {
	Site     string      `json:"site" doc:"Its registrable domain"`
	Name     string      `json:"name"`
	Role     string      `json:"role" enum:"client,rival,other"`
	Chain    bool        `json:"chain" doc:"Whether its figures are of a whole country"`
	Sums     *FoundSums  `json:"sums" doc:"Null if nothing is known of the site: no list was imported, and no search recorded"`
	Pages    []FoundPage `json:"pages" doc:"What its pages get, as far as it is known which page is found"`
	Source   string      `json:"source" doc:"The file or the source that its list is from, empty for none"`
	TakenAt  *time.Time  `json:"taken_at"`
	Searches int         `json:"searches" doc:"Recorded searches in which it stands"`
}

// FoundSums is what a site is found for, and what it gets of that.
type FoundSums struct {
	Phrases   int            `json:"phrases"`
	First3    int            `json:"first_3" doc:"Phrases at positions 1 to 3"`
	First10   int            `json:"first_10"`
	First20   int            `json:"first_20"`
	Intents   map[string]int `json:"intents" doc:"Phrases by intent"`
	Hire      float64        `json:"hire" doc:"Visits a month of those ready to hire: the list's own, else an estimate"`
	Apart     float64        `json:"apart" doc:"All other visits a month: business names, questions, other places"`
	Map       float64        `json:"map" doc:"Visits a month of those ready to hire by the map pack: an estimate, in no other sum"`
	Unknown   int            `json:"unknown" doc:"Phrases whose searches are not known: they count as none"`
	Uncounted int            `json:"uncounted" doc:"Phrases whose searches are not those of the town: they stand in no sum"`
	Searched  int            `json:"searched" doc:"The searches of these"`
	Worth     *Worth         `json:"worth" doc:"What the visits ready to hire are worth, null if that is not known"`
}

// FoundPage is what a page of a site gets.
type FoundPage struct {
	URL     string  `json:"url"`
	Phrases int     `json:"phrases"`
	Hire    float64 `json:"hire" doc:"Visits a month of those ready to hire"`
	Apart   float64 `json:"apart" doc:"All other visits a month"`
}

// Worth is what visits ready to hire are worth a month: an estimate (rule 14.2).
type Worth struct {
	Customers float64 `json:"customers"`
	Least     float64 `json:"least" doc:"Money, of half of the customers; 0 if no job's worth is known"`
	Most      float64 `json:"most" doc:"Money, of all of them"`
	Partly    bool    `json:"partly" doc:"Whether the worth of some services' jobs is not known"`
}

// FoundPhrase is a phrase with the positions of the sites.
type FoundPhrase struct {
	Text      string          `json:"text"`
	Intent    view.IntentCode `json:"intent"`
	Service   string          `json:"service" doc:"The client's that it names, empty for none"`
	Volume    *int            `json:"volume" doc:"Searches a month, null if it is not known"`
	Counts    bool            `json:"counts" doc:"Whether the searches are those of the town (rule 7.1)"`
	Positions []int           `json:"positions" doc:"Of the sites in their order; 0 for none"`
	Visits    []float64       `json:"visits" doc:"Of the sites a month, in their order"`
	Missed    float64         `json:"missed" doc:"What the best rival gets and the client does not; 0 for who is not ready to hire"`
	InBook    bool            `json:"in_book" doc:"Whether the client's book has it"`
}

// FoundSumsOf shows what a site is found for and gets.
func FoundSumsOf(s reach.Sums, r reach.Reach, w *Worth) *FoundSums {
	out := &FoundSums{Phrases: s.Phrases, First3: s.First3, First10: s.First10, First20: s.First20,
		Intents: map[string]int{}, Hire: r.Hire, Apart: r.Apart, Map: r.Map, Unknown: r.Unknown, Uncounted: r.Uncounted,
		Searched: r.Searches, Worth: w}
	for i, n := range s.Intents {
		out.Intents[string(i)] = n
	}
	return out
}

// FoundPagesOf shows what pages get.
func FoundPagesOf(pages []reach.Page) []FoundPage {
	out := []FoundPage{}
	for _, p := range pages {
		out = append(out, FoundPage{URL: p.Address, Phrases: p.Phrases, Hire: p.Hire, Apart: p.Apart})
	}
	return out
}

// FoundPhraseOf shows a phrase; own is the client's site among those of the row, -1 for none.
func FoundPhraseOf(r *reach.Row, own int, inBook bool) FoundPhrase {
	out := FoundPhrase{Text: r.Text, Intent: view.IntentCode(r.Intent), Service: r.Service, Volume: r.Volume,
		Counts: r.Counts, Missed: r.Missed(own), InBook: inBook}
	for _, p := range r.At {
		out.Positions, out.Visits = append(out.Positions, p.Position), append(out.Visits, p.Visits)
	}
	return out
}

// WorthOf shows what visits are worth, nil if that is not known.
func WorthOf(w reach.Worth, known bool) *Worth {
	if !known {
		return nil
	}
	return &Worth{Customers: w.Customers, Least: w.Least, Most: w.Most, Partly: w.Priced < w.All}
}

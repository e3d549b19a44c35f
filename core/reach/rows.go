package reach

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/visits"
)

// Row is a phrase with what each site gets of it.
type Row struct {
	Text   string
	Intent intent.Intent
	// Service is the client's that it names, empty for none.
	Service string
	// Volume are its searches a month, nil if they are not known; Counts reports whether they are those of the client's
	// town (rule 7.1).
	Volume *int
	Counts bool
	// At is what each site has of it, in their order.
	At []Place

	namesPlace bool
}

func (r *Row) searched(s Searched) { r.Volume, r.Counts = s.Volume, s.Area.Counts(r.namesPlace) }

// Place is where a site stands for a phrase.
type Place struct {
	// Position is the organic one, Map that in the map pack, 0 for none.
	Position, Map int
	// Address is the page that is found, empty if it is not known.
	Address string
	// Visits are those of the organic results, MapVisits those of the map pack.
	Visits, MapVisits float64
}

// Searched is what is known of a phrase beside the lists: its searches a month, and where they were counted.
type Searched struct {
	Volume *int
	Area   visits.Area
}

// Known are phrases by what they are folded to.
type Known map[string]Searched

// Rows puts what several sites are found for side by side: a row for each phrase, those with the most searches first.
func Rows(lists [][]Phrase, known Known, judge *intent.Judge, rules visits.Rules) []Row {
	t := table{known: known, judge: judge, sites: len(lists), at: map[string]int{}}
	for _, list := range lists {
		for _, f := range list {
			t.add(f)
		}
	}
	for site, list := range lists {
		for _, f := range list {
			t.rows[t.at[phrase.Fold(f.Text)]].put(site, f, rules)
		}
	}
	slices.SortStableFunc(t.rows, func(a, b Row) int {
		return cmp.Or(cmp.Compare(searches(b), searches(a)), strings.Compare(a.Text, b.Text))
	})
	return t.rows
}

func searches(r Row) int {
	if r.Volume == nil {
		return -1
	}
	return *r.Volume
}

// table gathers rows.
type table struct {
	known Known
	judge *intent.Judge
	sites int
	rows  []Row
	at    map[string]int
}

// add makes the row of a phrase, or gives it the searches that a list has of it.
func (t *table) add(f Phrase) {
	key := phrase.Fold(f.Text)
	i, ok := t.at[key]
	if !ok {
		i = len(t.rows)
		t.at[key] = i
		of := t.judge.Of(f.Text)
		t.rows = append(t.rows, Row{Text: f.Text, Intent: of.Intent, Service: of.Service, At: make([]Place, t.sites),
			namesPlace: of.Place != "" || of.Intent == intent.Elsewhere})
		t.rows[i].searched(t.known[key])
	}
	if t.rows[i].Volume == nil {
		t.rows[i].searched(Searched{f.Volume, f.Area})
	}
}

// put puts what a site has of a phrase: the visits of its list, else those that its position brings.
func (r *Row) put(site int, f Phrase, rules visits.Rules) {
	p := &r.At[site]
	p.Position, p.Map, p.Address = f.Position, f.Map, f.Address
	searched := 0.0
	if r.Volume != nil && r.Counts {
		searched = float64(*r.Volume)
	}
	p.Visits = searched * rules.Rate(f.Position)
	if f.Map >= 1 && f.Map <= len(rules.Map) {
		p.MapVisits = searched * rules.Map[f.Map-1]
	}
	if f.Visits != nil {
		p.Visits = *f.Visits
	}
}

// Missed returns the visits ready to hire that the best rival gets of a phrase and the client does not (rule 14.1);
// own is the client's site among them, -1 for none.
func (r *Row) Missed(own int) float64 {
	if r.Intent != intent.Hire {
		return 0
	}
	mine, best := 0.0, 0.0
	for i, p := range r.At {
		if i == own {
			mine = p.Visits
		} else {
			best = max(best, p.Visits)
		}
	}
	return max(0, best-mine)
}

package reach

import (
	"inktally/core/intent"
)

// Reach is what a site, or a page of it, gets of searches (rule 14.1).
type Reach struct {
	// Hire are the visits of those ready to hire, Apart all others: brand, questions, elsewhere. Map are those of the
	// map pack ready to hire, in neither.
	Hire, Apart, Map float64
	// Services are the visits of those ready to hire by the service that they name.
	Services map[string]float64
	// Phrases are those that it stands for; Unknown those of them whose searches are not known, Uncounted those whose
	// searches are not those of the town: none of them is in a sum. Searches are the uncounted ones.
	Phrases, Unknown, Uncounted, Searches int
}

// Of returns what a site gets of all rows.
func Of(rows []Row, site int) Reach {
	r := Reach{Services: map[string]float64{}}
	for i := range rows {
		r.add(&rows[i], site)
	}
	return r
}

func (r *Reach) add(row *Row, site int) {
	p := row.At[site]
	if p.Position == 0 && p.Map == 0 && p.Visits == 0 {
		return
	}
	r.Phrases++
	switch {
	case p.Visits > 0 || p.MapVisits > 0:
	case row.Volume == nil:
		r.Unknown++
	case !row.Counts:
		r.Uncounted++
		r.Searches += *row.Volume
	}
	if row.Intent != intent.Hire {
		r.Apart += p.Visits
		return
	}
	r.Hire += p.Visits
	r.Map += p.MapVisits
	r.Services[row.Service] += p.Visits
}

// Missed returns the sum of what the best rivals get and the client does not (rule 14.1); own is the client's site
// among the sites of the rows, -1 for none.
func Missed(rows []Row, own int) (sum float64) {
	for i := range rows {
		sum += rows[i].Missed(own)
	}
	return sum
}

// Page is what a page of a site gets of searches.
type Page struct {
	Address string
	Reach
}

// Pages returns what the pages of a site get, as far as the rows tell which page is found, in the order in which they
// come.
func Pages(rows []Row, site int) (out []Page) {
	at := map[string]int{}
	for i := range rows {
		address := rows[i].At[site].Address
		if address == "" {
			continue
		}
		n, ok := at[address]
		if !ok {
			n = len(out)
			at[address] = n
			out = append(out, Page{Address: address, Reach: Reach{Services: map[string]float64{}}})
		}
		out[n].add(&rows[i], site)
	}
	return out
}

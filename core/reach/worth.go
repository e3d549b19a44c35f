package reach

import (
	"maps"
	"slices"
)

// Worth is what visits ready to hire are worth a month (rule 14.2).
type Worth struct {
	// Customers are those that come of the visits.
	Customers float64
	// Least and Most are the money of their jobs, from half to full; 0 where no job's worth is known.
	Least, Most float64
	// Priced are the visits of services whose job's worth is known, of All.
	Priced, All float64
}

// WorthOf returns what visits by service are worth: perHundred customers come of a hundred visits, and job is what one
// job of a service brings, 0 if that is not known. It is not ok, and nothing is, while nobody said how many customers
// come of visits.
func WorthOf(services map[string]float64, perHundred float64, job func(service string) float64) (w Worth, ok bool) {
	if perHundred <= 0 {
		return Worth{}, false
	}
	for _, service := range slices.Sorted(maps.Keys(services)) { // sums come out the same each time
		visits := services[service]
		w.All += visits
		if brings := job(service); brings > 0 {
			w.Priced += visits
			w.Most += visits * perHundred / 100 * brings
		}
	}
	w.Customers, w.Least = w.All*perHundred/100, w.Most/2
	return w, true
}

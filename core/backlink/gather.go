package backlink

import (
	"slices"
	"time"
)

// found is a domain with all of its links.
type found struct {
	name string
	// site reports whether it is one of the sites themselves, own whether it links to the client.
	site, own bool
	// rivals are the local rivals that it links to; first has for each site the day on which it was seen first.
	rivals []int
	first  map[int]time.Time
	rows   []*Row
	most   int // links of it to one site
	// followed reports whether any link of it is followed.
	followed bool
}

// mostRows is how many links of a domain are looked at, those of the strongest pages.
const mostRows = 40

// gather puts the links of all sites together by their domains. Lost links make no rival have a domain.
func gather(sites []Site) map[string]*found {
	known := map[string]*found{}
	for i := range sites {
		count := map[*found]int{}
		for j := range sites[i].Rows {
			r := &sites[i].Rows[j]
			f := known[r.Domain]
			if f == nil {
				f = &found{name: r.Domain, first: map[int]time.Time{}}
				known[r.Domain] = f
			}
			f.rows = append(f.rows, r)
			if r.Lost {
				continue
			}
			count[f] += max(1, r.Links)
			f.followed = f.followed || !r.NotFollowed
			if at, ok := f.first[i]; !r.FirstSeen.IsZero() && (!ok || r.FirstSeen.Before(at)) {
				f.first[i] = r.FirstSeen
			}
		}
		for f, n := range count {
			f.most = max(f.most, n)
			switch {
			case sites[i].Own:
				f.own = true
			case !sites[i].Chain:
				f.rivals = append(f.rivals, i)
			}
		}
	}
	for i := range sites {
		if f := known[sites[i].Domain]; f != nil {
			f.site = true
		}
	}
	for _, f := range known {
		slices.Sort(f.rivals)
		f.strongestFirst()
	}
	return known
}

// strongestFirst sorts the links, those of the strongest pages first and lost ones last, and forgets what is
// looked at no more.
func (f *found) strongestFirst() {
	slices.SortStableFunc(f.rows, func(a, b *Row) int {
		switch {
		case a.Lost != b.Lost:
			return compareBool(a.Lost, b.Lost)
		case a.OfPage.Value > b.OfPage.Value:
			return -1
		case a.OfPage.Value < b.OfPage.Value:
			return 1
		}
		return 0
	})
	f.rows = f.rows[:min(len(f.rows), mostRows)]
}

// lost reports whether no link of it is seen any more.
func (f *found) lost() bool { return f.rows[0].Lost }

// best returns the link that stands for the domain: of its strongest page, of a site that everybody knows of the
// strongest that has to do with the client.
func (f *found) best(w *words) Row {
	if f.strongest() >= famous {
		if i := slices.IndexFunc(f.rows, w.belongs); i >= 0 {
			return *f.rows[i]
		}
	}
	return *f.rows[0]
}

func (f *found) any(is func(*Row) bool) bool { return slices.ContainsFunc(f.rows, is) }

// strongest returns the greatest strength of the site, 0 if none is known.
func (f *found) strongest() (most float64) {
	for _, r := range f.rows {
		most = max(most, float64(strength(*r)))
	}
	return most
}

// weak reports whether all strengths of the site that are known are of the weakest.
func (f *found) weak() bool {
	known := f.any(func(r *Row) bool { return r.OfSite[0].Known || r.OfSite[1].Known })
	return known && f.strongest() <= weakest
}

// A burst is of sites with so many dated domains, a third of them first seen within so many days (rule 13.2).
const (
	burstDomains = 15
	burstDays    = 30
)

// burstsOf returns the domains that are part of a burst of a rival's, with how many they are. One that another rival
// had before is none.
func burstsOf(sites []Site, known map[string]*found) map[string]int {
	out := map[string]int{}
	for i := range sites {
		if sites[i].Chain {
			continue
		}
		var dated []*found
		for _, f := range known {
			if _, ok := f.first[i]; ok && !f.site {
				dated = append(dated, f)
			}
		}
		if len(dated) < burstDomains {
			continue
		}
		slices.SortFunc(dated, func(a, b *found) int { return a.first[i].Compare(b.first[i]) })
		for j, n := range mostWithin(dated, i) {
			if f := dated[j]; 3*n >= len(dated) && !f.hadBefore(i) {
				out[f.name] = max(out[f.name], n)
			}
		}
	}
	return out
}

// mostWithin returns for each of some domains, in the order of their days, how many were seen within a burst's days
// together with it at most. Each is looked at a few times, however many there are: windows that hold it follow one
// another, and of those before only the ones that may still be the largest are kept.
func mostWithin(dated []*found, site int) []int {
	began := make([]int, len(dated)) // where the window begins that ends at one
	from := 0
	for to := range dated {
		for dated[to].first[site].Sub(dated[from].first[site]) > burstDays*24*time.Hour {
			from++
		}
		began[to] = from
	}
	size := func(to int) int { return to - began[to] + 1 }
	out := make([]int, len(dated))
	var kept []int // ends of windows, the largest first
	next := 0
	for j := range dated {
		for ; next < len(dated) && began[next] <= j; next++ {
			for len(kept) > 0 && size(kept[len(kept)-1]) <= size(next) {
				kept = kept[:len(kept)-1]
			}
			kept = append(kept, next)
		}
		for kept[0] < j {
			kept = kept[1:]
		}
		out[j] = size(kept[0])
	}
	return out
}

// hadBefore reports whether another site had a link of the domain before one did.
func (f *found) hadBefore(site int) bool {
	for i, at := range f.first {
		if i != site && at.Before(f.first[site]) {
			return true
		}
	}
	return false
}

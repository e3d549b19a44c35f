package telling

import (
	"fmt"
	"math"
	"strconv"

	"inktally/core/handoff"
	"inktally/internal/wording"
)

func (t Teller) visits() Says {
	v := t.Visits
	now := "Searches bring you " + visits(v.Now) + " a month."
	s := Says{Head: fmt.Sprintf("%s\nThey could bring %s.", now, n(v.Aimed))}
	s.Points = append(s.Points, "I counted only people who are ready to hire somebody, not those who look for a firm "+
		"by its name or want to do the work themselves.")
	if v.Best != nil && v.BestVisits > v.Now {
		s.Points = append(s.Points, fmt.Sprintf("%s gets about %s of them.", v.Best.Name, n(v.BestVisits)))
	}
	s.Points = append(s.Points, "Take these as estimates: how often something is searched for, times how many people "+
		"click at that place of the results.")
	if says := months(v); says != "" {
		s.Points = append(s.Points, says)
	}
	s.Points = append(s.Points, "Nobody can promise you a place in the results. What I can promise is the work.")
	return s
}

// visits words a few of them.
func visits(f float64) string {
	switch r := int(math.Round(f)); {
	case f == 0:
		return "no visits"
	case r == 0:
		return "less than one visit"
	case r == 1:
		return "about one visit"
	default:
		return "about " + wording.Number(r) + " visits"
	}
}

func (t Teller) worth() Says {
	w := t.Worth
	customers := "one more customer"
	if r := int(math.Round(w.Customers)); r > 1 {
		customers = wording.Number(r) + " more customers"
	} else if r == 0 {
		customers = "a customer more every few months"
	}
	s := Says{Head: "That comes to about " + customers + "."}
	if int(math.Round(w.Customers)) > 0 {
		s.Head = "That comes to about " + customers + " a month."
	}
	s.Points = append(s.Points, "You told me how many of a hundred visitors become customers. I only multiplied.")
	if w.Most > 0 {
		s.Points = append(s.Points, fmt.Sprintf("With what one job brings you, that is between %s%s and %s%s a "+
			"month.", w.Money, n(w.Least),
			w.Money, n(w.Most)), "The lower figure counts half of them. Take that one when you decide.")
	}
	return s
}

func (t Teller) recap() Says {
	s := Says{Head: map[int]string{1: "So there is one thing to do.", 2: "So there are two things to do.",
		3: "So there are three things to do."}[len(t.Recap)]}
	for _, m := range t.Recap {
		s.Points = append(s.Points, m.Says+".")
	}
	if len(t.Recap) > 1 {
		s.Points = append(s.Points, "They stand in this order because the first one brings you the most.")
	}
	if says := t.beside(); says != "" {
		s.Points = append(s.Points, says)
	}
	return s
}

func (t Teller) next() Says {
	x := t.Next
	s := Says{Head: "What happens next."}
	switch {
	case x.Open == 0 && !t.tells(handoff.WordsStep):
		s.Points = append(s.Points, "First I look at who is found, and measure their pages and yours.")
	case x.Fit > 0:
		s.Points = append(s.Points, fmt.Sprintf("In %s we get %s done, of %s altogether.", Hours(x.Hours),
			wording.Count(x.Fit, "job", ""), wording.Number(x.Open)))
		if x.First != "" {
			s.Points = append(s.Points, "The first of them that brings you visits: "+x.First+".")
		}
	default:
		s.Points = append(s.Points, fmt.Sprintf("%s on my list. Tell me how many hours we have, and I tell you which.",
			is(x.Open, "job is", "jobs are")))
	}
	s.Points = append(s.Points, "Each job is written down so that whoever does it does not have to ask back.",
		"In about a month I measure everything again and show you what has moved.")
	return s
}

// Hours words a number of hours.
func Hours(h float64) string {
	if h == 1 {
		return "one hour"
	}
	return strconv.FormatFloat(h, 'f', -1, 64) + " hours"
}

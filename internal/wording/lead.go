package wording

import (
	"fmt"
	"strings"

	"inktally/core/ladder"
)

// mostFronts bounds the fronts of one sentence: it has three figures at most.
const mostFronts = 3

// Leads words why a rival leads (rule 14.3); places are how many the page's first phrase can have.
func Leads(r ladder.Reason, places int) string {
	switch {
	case len(r.Leads) == 0 && r.Fewer:
		return "Leads with fewer words: nothing in what was measured explains it."
	case len(r.Leads) == 0:
		return "Nothing in what was measured explains why it leads."
	}
	says := "Leads by "
	if r.Fewer {
		says = "Leads with fewer words, by "
	}
	says += ahead(r.Leads[0], places) + "."
	var more []string
	for _, s := range r.Leads[1:min(len(r.Leads), mostFronts)] {
		more = append(more, ahead(s, places))
	}
	if len(more) > 0 {
		says += " Also ahead by " + strings.Join(more, " and ") + "."
	}
	return says
}

// ahead words a front in which a rival is ahead, with the client's figure.
func ahead(s ladder.Step, places int) string {
	theirs, you := int(s.Theirs), "none"
	if s.Own > 0 {
		you = Number(int(s.Own))
	}
	return Has(s.Front, theirs, places) + " (you: " + you + ")"
}

// Has words what a firm has on a front.
func Has(f ladder.Front, n, places int) string {
	switch f {
	case ladder.Words:
		return Count(n, "word on the page", "words on the page")
	case ladder.Slots:
		return fmt.Sprintf("the phrase in %d of %d places", n, places)
	case ladder.Images:
		return Count(n, "image name that holds a phrase", "image names that hold a phrase")
	case ladder.Pages:
		return Count(n, "service or town page", "service and town pages")
	case ladder.Links:
		return Count(n, "site that links to it", "sites that link to it")
	case ladder.Listings:
		return Count(n, "directory listing", "")
	case ladder.Reviews:
		return Count(n, "review", "")
	}
	return ""
}

// EnoughGuideline words that no rival has the words of the guideline.
func EnoughGuideline(low int) string {
	return "No rival’s page has " + Count(low, "word", "") + ": the guideline is enough here."
}

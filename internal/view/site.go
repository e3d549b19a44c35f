package view

import (
	"time"

	"inktally/core/finding"
	"inktally/core/site"
	"inktally/internal/wording"
)

// Site is what a survey found of the client's site, and of its rivals'.
type Site struct {
	URL        string       `json:"url" doc:"Of the home page; empty if there is no site yet"`
	SurveyedAt *time.Time   `json:"surveyed_at" doc:"Null if it was not surveyed"`
	Failure    *Failure     `json:"failure" doc:"Why the survey ended before its end, null if it did not"`
	Pages      []SitePage   `json:"pages" doc:"The client's pages, the home page first"`
	ToMake     []ToMake     `json:"to_make" doc:"Pages that are missing, those of most gain first"`
	Missed     []MissedPage `json:"missed" doc:"Pages that are known and could not be read"`
	Findings   []Finding    `json:"findings"`
	Services   []Offer      `json:"services" doc:"Services that the site names and the client does not have yet"`
	Places     []Offer      `json:"places" doc:"Towns near the client's that pages are for and that are none of its places"`
	Rivals     []Rival      `json:"rivals" doc:"In the order of the lineup"`
}

// MissedPage is a page of a site that a survey knows of and could not read.
type MissedPage struct {
	URL    string       `json:"url"`
	Reason MissedReason `json:"reason" doc:"What there is to do hangs on it: one that failed can be read again, one that was left out was not tried"`
	Says   string       `json:"says" doc:"Why it was not read"`
}

// MissedOf shows pages that were not read.
func MissedOf(list []site.Missed) []MissedPage {
	out := make([]MissedPage, len(list))
	for i, m := range list {
		out[i] = MissedPage{m.URL, MissedReason(m.Reason), wording.Missed(m)}
	}
	return out
}

// SitePage is one of the client's pages with what the survey tells of it.
type SitePage struct {
	PageInfo
	Title  string `json:"title"`
	Own    *int   `json:"own" doc:"Copy words that its site does not repeat, null if it was not surveyed"`
	Reason string `json:"reason" doc:"Why it is of its kind"`
	ByHand bool   `json:"by_hand" doc:"A person said what it is for"`
	Found  bool   `json:"found" doc:"The survey found it"`
}

// ToMake is a page that the client's site lacks.
type ToMake struct {
	Kind    PageKind `json:"kind"`
	Service string   `json:"service"`
	Place   string   `json:"place"`
	Phrase  string   `json:"phrase" doc:"Its first phrase, empty if none is known"`
	Gain    float64  `json:"gain" doc:"Estimated visits a month of its phrases"`
	Have    int      `json:"have" doc:"Rivals that have such a page"`
	Known   int      `json:"known" doc:"Rivals whose sites were surveyed"`
}

// Finding is something that is wrong with a page or the site.
type Finding struct {
	Type FindingType `json:"type"`
	URL  string      `json:"url"`
	Says string      `json:"says"`
	// First reports whether it is to be mended before anything else is worth it.
	First bool `json:"first" doc:"To be fixed before all else"`
}

// FindingOf shows a finding.
func FindingOf(f finding.Finding) Finding {
	return Finding{FindingType(f.Type), f.URL, wording.Finding(f), f.Type.First()}
}

// Offer is a service or a place that a site names.
type Offer struct {
	Name string `json:"name"`
	From string `json:"from" doc:"Where it was read"`
	URL  string `json:"url"`
}

// Rival is the site of a rival.
type Rival struct {
	EntryID    int64        `json:"entry_id"`
	Name       string       `json:"name"`
	Domain     string       `json:"domain"`
	SurveyedAt *time.Time   `json:"surveyed_at" doc:"Null if it was not surveyed"`
	Failure    *Failure     `json:"failure" doc:"Why the survey ended before its end, null if it did not"`
	Pages      int          `json:"pages"`
	Missed     []MissedPage `json:"missed" doc:"Pages that are known and could not be read"`
	Services   []string     `json:"services" doc:"The client's services that it has a page for"`
	Areas      []string     `json:"areas" doc:"The client's places that it has a page for"`
	All        []RivalPage  `json:"all" doc:"All its pages"`
}

// RivalPage is a page of a rival's site.
type RivalPage struct {
	URL     string   `json:"url"`
	Title   string   `json:"title"`
	Kind    PageKind `json:"kind"`
	Service string   `json:"service"`
	Place   string   `json:"place"`
	Words   int      `json:"words"`
}

// RivalPageOf shows a page of a rival.
func RivalPageOf(p site.Surveyed) RivalPage {
	return RivalPage{URL: p.URL, Title: p.Title, Kind: PageKind(p.Kind), Service: p.Service, Place: p.Place,
		Words: p.Words}
}

// Beside is the page of a rival that stands beside one of the client's.
type Beside struct {
	EntryID  int64       `json:"entry_id"`
	Name     string      `json:"name"`
	Domain   string      `json:"domain"`
	Chosen   bool        `json:"chosen" doc:"A person said which page it is, or that there is none"`
	Page     *RivalPage  `json:"page" doc:"Null if the rival has none, as far as its site is known"`
	Reason   string      `json:"reason" doc:"Why it is the comparable page"`
	RunnerUp *RivalPage  `json:"runner_up" doc:"The next best page, null for none"`
	Surveyed bool        `json:"surveyed" doc:"The rival's site is known"`
	Others   []RivalPage `json:"others" doc:"All pages of the rival's site, to choose from"`
}

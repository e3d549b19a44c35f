// Package proof measures a draft against the targets of the page that it is for, before it
// goes live.
//
// In go the draft as a page, the page that it is for and the rules; out comes a Report: the
// words that are left in each section, what is met and what is missing, what is said too
// often, and what contradicts the page's place. It judges by the rules of the page itself,
// so that a page for which nothing was left proves so.
package proof

import (
	"slices"

	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"
)

// Input is what a draft is proved by.
type Input struct {
	Rules plan.Rules
	// Page is what the draft is for; its Client is today's page, nil if there is none.
	Page  plan.Aim
	Draft *page.Page
	// Survey is what places are told by: the client's, without any pages.
	Survey site.Survey
}

// Report is what is left to do on a draft.
type Report struct {
	// Copy are the draft's words, Wanted those of the writer's figure, Left those that are
	// missing: 0 if it has enough.
	Copy, Wanted, Left int
	// Hold reports whether the draft has enough words.
	Hold bool
	// Sections are those of the outline, as the draft has them: Words are left to write.
	Sections []outline.Section
	// Met and Missing are the phrases that the page must say, by slots that the draft can
	// have; Over those that it says too often.
	Met, Missing, Over []plan.Part
	// Wrong is what contradicts the page's place, is vague, or was left over.
	Wrong []finding.Finding
}

// Short reports whether something is left to do.
func (r *Report) Short() bool {
	return r.Left > 0 || len(r.Missing)+len(r.Over)+len(r.Wrong) > 0
}

// Of proves a draft.
func Of(in Input) Report {
	draft := in.Page
	draft.Headings = &outline.Headings{}
	draft.Frame, draft.Draft = frame(&in.Page), true
	draft.Client = sheet.Measure(in.Draft, in.Page.Criteria)
	words := in.Rules.WordTargetOf(&draft)
	r := Report{Copy: in.Draft.Words.Copy, Wanted: words.Writer, Left: words.ToWrite, Hold: words.Hold,
		Sections: in.Rules.OutlineOf(&draft)}
	can := slots(in.Draft)
	missing := map[string]bool{}
	for _, t := range in.Rules.OfPage(&draft, plan.NamesOf()) {
		for _, p := range t.Parts {
			switch {
			case t.Kind == plan.CutBack:
				r.Over = append(r.Over, p)
			case can[p.Kind]:
				missing[p.Key] = true
				r.Missing = append(r.Missing, p)
			}
		}
	}
	blank := draft
	blank.Client = nil
	for _, t := range in.Rules.OfPage(&blank, plan.NamesOf()) {
		for _, p := range t.Parts {
			if can[p.Kind] && !missing[p.Key] {
				r.Met = append(r.Met, p)
			}
		}
	}
	r.Wrong = wrong(in)
	return r
}

// frame returns what the copy will stand in: that of today's page.
func frame(p *plan.Aim) int {
	if p.Client != nil {
		return p.Client.Page.Words.Frame()
	}
	return p.Frame
}

// slots returns the kinds of parts that a draft can have: text alone has no title and no
// images.
func slots(draft *page.Page) map[plan.PartKind]bool {
	out := map[plan.PartKind]bool{plan.H1: true, plan.Opening: true, plan.Subhead: true, plan.Body: true}
	out[plan.Title], out[plan.Description] = draft.Title != "", draft.Description != ""
	out[plan.Alt] = len(draft.Images) > 0
	return out
}

// wrong finds what rule 5 and 11 say of the draft, as if it stood at the page's address.
func wrong(in Input) []finding.Finding {
	s := in.Survey
	url := in.Page.URL
	if url == "" {
		url = "http://draft.example/" + string(in.Page.Kind)
	}
	s.Visited = []site.Visited{{URL: url, Page: in.Draft, InLinks: 1}}
	s.Set = map[string]site.Purpose{site.BareAddress(url): {Kind: in.Page.Kind, Service: in.Page.Service,
		Place: in.Page.Place}}
	s.Services, s.Dead, s.Both = nil, nil, false
	return slices.DeleteFunc(s.Tree().Findings, func(f finding.Finding) bool {
		return !f.Type.Shows(finding.InDraft) || f.Where == finding.InURL
	})
}

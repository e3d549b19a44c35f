// Package topic tells what the outlines of a client's pages have sections for: services, towns, and the questions that
// people type (rule 10.1).
//
// In go the client's ground and the families of its book; out come an outline's Topics, page by page.
package topic

import (
	"cmp"
	"slices"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/outline"
	"inktally/core/site"
	"inktally/internal/store"
)

// Topics are what outlines have sections for, by service and place.
type Topics struct {
	services  []outline.Topic
	questions map[string][]string // by service, empty for all
}

// questionsOfPage is for how many questions an outline has a section at most.
const questionsOfPage = 8

// Of returns the topics of a client by the families of its book.
func Of(services []intent.Service, families []book.Family) Topics {
	t := Topics{questions: map[string][]string{}}
	for _, s := range services {
		t.services = append(t.services, outline.Topic{Name: s.Name, Forms: s.Words})
	}
	asked := slices.Clone(families)
	slices.SortStableFunc(asked, func(a, b book.Family) int { return cmp.Compare(searches(b), searches(a)) })
	for _, f := range asked {
		if f.Intent == intent.Question && f.Choice.State != book.Aside {
			t.questions[f.Service] = append(t.questions[f.Service], f.Lead().Text)
		}
	}
	return t
}

func searches(f book.Family) int {
	if v := f.Lead().Volume; v != nil {
		return *v
	}
	return 0
}

// Page returns the topics of a page beside those of rivals by their names: the questions of its service, on a home
// page those of the main service and those that name none.
func (t Topics) Page(g store.Ground, p store.Page, rivals []string) outline.Topics {
	out := outline.Topics{Services: t.services, Firm: g.Client.Name, Rivals: rivals}
	for _, town := range g.Places {
		if !town.Home && town.Name != p.Place {
			out.Towns = append(out.Towns, town.Name)
		}
	}
	names := []string{p.Service}
	if p.Kind != site.Service {
		names = []string{""}
		if len(g.Services) > 0 {
			names = append(names, g.Services[0].Name)
		}
	}
	for _, name := range names {
		out.Questions = append(out.Questions, t.questions[name]...)
	}
	out.Questions = out.Questions[:min(len(out.Questions), questionsOfPage)]
	return out
}

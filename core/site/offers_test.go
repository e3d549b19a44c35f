package site

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

func offered(list []Offer) (out []string) {
	for _, o := range list {
		out = append(out, o.Name)
	}
	return out
}

// Services that menus and headings name are offered once, whatever words they are called
// by; what the client has, what is no service and what the firm is called are not.
func TestServiceOffers(t *testing.T) {
	drafts := append(faultless(),
		draft{path: "/gas-hearths/", title: "Gas hearth repair | Brindle", h1: "Gas hearths",
			labels: []string{"Gas hearth repair"}},
		draft{path: "/animals/", title: "Animals | Brindle", h1: "Animal removal", labels: []string{"Our services"}},
		draft{path: "/hearths/", title: "More | Brindle", h1: "Hearths",
			labels: []string{"Fixing gas hearths in Ostrey"}})
	s := surveyOf(drafts)
	got := offered(s.ServiceOffers(s.Tree()))
	assert.Equal(t, []string{"gas hearth repair"}, got)
}

// Towns that pages are for are offered; a word of an address alone is none.
func TestPlaceOffers(t *testing.T) {
	drafts := append(faultless(),
		draft{path: "/areas/marl-point/", title: "Marl Point | Brindle", h1: "Sweeps in Marl Point"},
		draft{path: "/sweet-briar-stoves/", title: "Stoves | Brindle", h1: "Stoves"})
	s := surveyOf(drafts)
	var towns Towns = func(tokens []string) (out []string) {
		spoken := " " + strings.Join(tokens, " ") + " "
		for _, town := range []string{"Marl Point", "Sweet Briar", "Ostrey"} {
			if strings.Contains(spoken, " "+strings.ToLower(town)+" ") {
				out = append(out, town)
			}
		}
		return out
	}
	s.Binder.Knows(towns)
	got := s.PlaceOffers(s.Tree(), towns)
	assert.Equal(t, []string{"Marl Point"}, offered(got))
	assert.True(t, slices.ContainsFunc(got, func(o Offer) bool {
		return o.By == OfferedByPage && o.From == "Marl Point | Brindle"
	}))
}

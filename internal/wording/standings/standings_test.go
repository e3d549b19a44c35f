package standings

import (
	"testing"

	"inktally/core/backlink"
	"inktally/core/brought"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"

	"github.com/stretchr/testify/assert"
)

// Every code has its words.
func TestWords(t *testing.T) {
	for _, f := range standing.Figures() {
		assert.NotEmpty(t, Figure(f, standing.OfSite, ""), f)
		assert.NotEmpty(t, Figure(f, standing.OfPage, ""), f)
	}
	assert.Equal(t, "strength: “Power”, of the page", Figure(standing.Strength, standing.OfPage, "Power"))
	for _, f := range listing.Fields() {
		assert.NotEmpty(t, Field(f), f)
	}
	for _, n := range listing.Notes()[1:] {
		assert.NotEmpty(t, Note(n), n)
	}
	for _, f := range mapprofile.Fields() {
		assert.NotEmpty(t, ProfileField(f), f)
		assert.NotEmpty(t, ProfileWants(mapprofile.Item{Field: f}), f)
	}
	for _, c := range backlink.ReasonCodes() {
		assert.NotEmpty(t, Reason(backlink.Reason{Code: c, Quote: "pl", Number: 3}), c)
	}
	for _, k := range backlink.Kinds() {
		assert.NotEmpty(t, Kind(k), k)
	}
	for _, k := range standing.Kinds() {
		assert.NotEqual(t, string(k), Target(standing.Target{Kind: k}), k)
	}
	for _, r := range brought.Reasons() {
		assert.NotEmpty(t, LeftOut(r), r)
	}
	for _, k := range brought.Kinds() {
		assert.NotEmpty(t, TableKind(k), k)
		for _, c := range brought.Columns(k) {
			assert.NotEmpty(t, Column(c), c)
		}
	}
	one := standing.Target{Kind: standing.Correct, Parts: []standing.Part{{State: standing.Open},
		{State: standing.Done}}}
	assert.Equal(t, "Correct 1 listing", Target(one))
	assert.Equal(t, "1 more directory to find", More(standing.Target{Kind: standing.List, More: 1}))
}

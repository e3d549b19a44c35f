package book

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A page to make carries rows: what is folded under one brings its share to it, and is not
// counted once more (rule 3.10).
func TestPagesToMakeCarryRows(t *testing.T) {
	made := Carrier{Kind: site.Service, Name: "masonry repair"}
	row := Family{Key: "masonri repair", Kept: true, Carrier: made, RowGain: 30.6}
	folded := Family{Key: "emergenc masonri repair", Kept: true, Carrier: made, RowGain: 4, Under: row.Key}
	near := Family{Key: "near", Kept: true, Carrier: made, RowGain: 9, Judgement: intent.Judgement{Near: true}}
	s := Site{Services: []intent.Service{{Name: "chimney sweep"}, {Name: "masonry repair"}},
		Have: func(site.Kind, string, string) int { return 2 }}
	list := s.Missing([]Family{row, folded, near})
	require.Len(t, list, 1)
	assert.Equal(t, []Family{row}, list[0].Families)
	assert.InDelta(t, 30.6, list[0].Gain, 1e-9)
	assert.Equal(t, 2, list[0].Have)
}

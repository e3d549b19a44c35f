package book

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
)

// rule 3.10, with the areas of rule 7.1 and the members of rule 9.3.
func TestFold(t *testing.T) {
	list := families([]Phrase{
		{ID: 1, Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6)},
		{ID: 2, Text: "tarn harbor chimney sweep", Volume: n(220)},
		{ID: 3, Text: "chimney sweep in tarn harbor", Volume: n(30)},
		{ID: 4, Text: "chimney sweeps tarn harbor", Volume: n(8)},
		{ID: 5, Text: "chimney sweep near me", Volume: n(880), Difficulty: n(40), Area: visits.State},
		{ID: 6, Text: "best chimney sweep tarn harbor", Volume: n(50), Difficulty: n(6)},
		{ID: 7, Text: "chimney sweep company tarn harbor", Volume: n(90), Difficulty: n(6)},
		{ID: 8, Text: "chimney sweep ostrey", Volume: n(40), Difficulty: n(6)},
		{ID: 9, Text: "chimney repair tarn harbor", Volume: n(70), Difficulty: n(6)},
	}, brindle(), nil)
	byLead := map[string]*Family{}
	for i := range list {
		byLead[list[i].Lead().Text] = &list[i]
	}
	row := byLead["chimney sweep tarn harbor"]
	assert.Equal(t, "chimney sweep tarn harbor", list[0].Lead().Text)
	assert.Equal(t, []string{byLead["chimney sweep company tarn harbor"].Key,
		byLead["best chimney sweep tarn harbor"].Key, byLead["chimney sweep near me"].Key}, row.Also)
	assert.InDelta(t, row.Gain+(90+50)*.33/2, row.RowGain, 1e-9)
	near := byLead["chimney sweep near me"]
	assert.Equal(t, row.Key, near.Under)
	assert.Zero(t, near.Gain, "the searches of a state are not the town's")
	assert.Equal(t, 880, near.Uncounted)
	assert.Equal(t, row.Carrier, near.Carrier)
	assert.Empty(t, byLead["chimney sweep ostrey"].Under)
	assert.Empty(t, byLead["chimney repair tarn harbor"].Under)

	var wanted, others []string
	for _, m := range MembersOf(row, ByKey(list), StandardRules(), nil, .5) {
		if m.Wanted {
			wanted = append(wanted, m.Text)
		} else {
			others = append(others, m.Text)
		}
	}
	assert.Equal(t, []string{"tarn harbor chimney sweep", "chimney sweep company tarn harbor",
		"best chimney sweep tarn harbor"}, wanted, "from 10% of the lead's searches on")
	assert.Equal(t, []string{"chimney sweep in tarn harbor", "chimney sweeps tarn harbor"}, others)
	rules := StandardRules()
	rules.Members = 1
	assert.True(t, MembersOf(row, ByKey(list), rules, nil, .5)[0].Wanted)
	assert.False(t, MembersOf(row, ByKey(list), rules, nil, .5)[1].Wanted)
	assert.False(t, MembersOf(row, ByKey(list), StandardRules(), map[string]bool{"harbor": true}, .5)[0].Wanted,
		"nobody writes a slip")

	local := families([]Phrase{{ID: 5, Text: "chimney sweep near me", Volume: n(100), Difficulty: n(6),
		Area: visits.Town}}, brindle(), nil)
	assert.InDelta(t, 33, local[0].Gain, 1e-9)
	typed := families([]Phrase{{ID: 1, Text: "chimney sweep tarn harbor", Volume: n(9)},
		{ID: 2, Text: "best chimney sweep tarn harbor", Page: 4, Typed: 1}}, brindle(), nil)
	assert.Empty(t, typed[1].Under, "what was typed for a page stays a row")
}

func TestCompare(t *testing.T) {
	phrases := []Phrase{{ID: 1, Text: "chimney sweep tarn harbor"}, {ID: 2, Text: "zebra chimney sweep tarn harbor"},
		{ID: 3, Text: "zebra chimney sweep ostrey"}, {ID: 4, Text: "chimny sweep tarn harbor"}}
	before := families(phrases, brindle(), nil)
	words := WordsToJudge(before)
	assert.Equal(t, []WordToJudge{{Word: "zebra", Families: 2, Example: "zebra chimney sweep ostrey"}}, words)
	g := brindle()
	g.Verdicts = map[string]intent.Verdict{"zebra": "firm"}
	now := families(phrases, g, nil)
	assert.Equal(t, Change{Aside: []string{"zebra chimney sweep ostrey", "zebra chimney sweep tarn harbor"}},
		Compare(before, now))
	assert.Equal(t, Change{Kept: []string{"zebra chimney sweep ostrey", "zebra chimney sweep tarn harbor"}},
		Compare(now, before))
	g.Verdicts["zebra"] = "ordinary"
	assert.Equal(t, Change{Sure: 2}, Compare(before, families(phrases, g, nil)))
	assert.Equal(t, Change{}, Compare(before, before))
}

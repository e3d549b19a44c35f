package book

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
)

func found(text string, position int, volume *int) FoundPhrase {
	return FoundPhrase{Text: text, Position: position, Volume: volume}
}

// rule 7.5: how many, in the first 3, 10 and 20, by intent, and the visits.
func TestSumFound(t *testing.T) {
	list := []FoundPhrase{
		found("chimney sweep tarn harbor", 1, n(100)), found("chimney sweep ostrey", 3, n(50)),
		found("chimney sweep cost", 4, n(1000)),
		found("chimney sweep near me", 10, n(10)), found("chimney sweep ohio", 11, nil), found("stove", 20, n(1)),
		found("chimney repair quillby", 21, n(500)), found("chimney sweep maine", 0, n(70)),
	}
	s := SumFound(list, intent.NewJudge(brindle()), visits.Standard())
	assert.Equal(t, 8, s.Phrases)
	assert.Equal(t, []int{2, 4, 6, 1}, []int{s.First3, s.First10, s.First20, s.Unknown})
	assert.Equal(t, 1, s.Intents[intent.Elsewhere])
	assert.Equal(t, 1, s.Intents[intent.Question])
	assert.InDelta(t, 100*.33+50*.11+1000*.08+10*.02+1*.007+500*.0025, s.Visits, 1e-9)
	sum := 0
	for _, of := range s.Intents {
		sum += of
	}
	assert.Equal(t, s.Phrases, sum, "every phrase has one intent")
	assert.Equal(t, FoundSums{Intents: map[intent.Intent]int{}},
		SumFound(nil, intent.NewJudge(brindle()), visits.Standard()))
}

// A site that is found for a phrase with several pages stands where its best
// one does.
func TestUniqueFound(t *testing.T) {
	list := UniqueFound([]FoundPhrase{
		found("Chimney sweep", 30, n(90)), found("flue liner", 0, nil), found("chimney  sweep!", 4, nil),
		found("chimney sweep", 9, n(1)), found("flue liner", 8, n(2)),
	})
	assert.Equal(t, []FoundPhrase{found("chimney  sweep!", 4, n(90)), found("flue liner", 8, n(2))}, list)
	assert.Empty(t, UniqueFound(nil))
}

func TestCompareFound(t *testing.T) {
	s := intent.NewJudge(brindle())
	rows := CompareFound([][]FoundPhrase{
		{found("chimney sweep tarn harbor", 14, nil), found("chimney sweep cost", 3, n(20))},
		nil,
		{found("Chimney Sweep, Tarn Harbor", 1, n(380)), found("zebra", 2, nil), found("apple", 2, nil)},
	}, s)
	var texts []string
	for _, r := range rows {
		texts = append(texts, r.Text)
	}
	assert.Equal(t, []string{"chimney sweep tarn harbor", "chimney sweep cost", "apple", "zebra"}, texts,
		"by searches, then by name")
	assert.Equal(t, []int{14, 0, 1}, rows[0].Positions)
	assert.Equal(t, 380, *rows[0].Volume)
	assert.Equal(t, intent.Hire, rows[0].Intent)
	assert.Equal(t, "chimney sweep", rows[0].Service)
	assert.Equal(t, []int{3, 0, 0}, rows[1].Positions)
}

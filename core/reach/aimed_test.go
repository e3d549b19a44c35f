package reach

import (
	"testing"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
)

// What is kept and ready to hire brings its row's gain; what is folded, set aside or waits brings nothing.
func TestAimedOf(t *testing.T) {
	family := func(kept bool, under string, is intent.Intent, gain, months float64) book.Family {
		return book.Family{Kept: kept, Under: under, RowGain: gain, Estimate: visits.Estimate{Months: months},
			Judgement: intent.Judgement{Intent: is, Service: "chimney sweep"}}
	}
	now := Reach{Hire: 4, Services: map[string]float64{"chimney sweep": 4}}
	a := AimedOf(now, []book.Family{family(true, "", intent.Hire, 100, 6), family(true, "", intent.Hire, 50, 3),
		family(true, "x", intent.Hire, 7, 1), family(true, "", intent.Unsure, 900, 1),
		family(false, "", intent.Hire, 900, 1), family(true, "", intent.Hire, 0, 12)})
	assert.Equal(t, []float64{154, 3, 6}, []float64{a.Hire, a.Soon, a.Late})
	assert.Equal(t, map[string]float64{"chimney sweep": 150}, a.More(now))
	assert.Equal(t, 4.0, now.Services["chimney sweep"], "what is now stays")
	assert.Zero(t, AimedOf(now, nil).Late)
}

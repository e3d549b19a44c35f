package sheet

import (
	"strings"
	"testing"

	"inktally/core/page"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// blocks are parts of a page that end a block on both sides.
var blocks = []string{
	"<p>chimney sweep tarn harbor</p>", "<p>tarn harbor. chimney</p>", "<h1>Chimney sweeping in Tarn Harbor</h1>",
	"<h2>sweep</h2>", "<h3>harbor chimney sweep tarn</h3>", "<nav><a href=a>chimney sweep tarn harbor</a></nav>",
	"<footer><p>tarn harbor</p></footer>", "<p>a <b>chimney</b> sweep. Tarn Harbor chimney sweep tarn harbor</p>",
	"<p hidden>chimney sweep tarn harbor</p>", "<ul><li>chimney sweep</li><li>tarn harbor</li></ul>",
	"<p>the sweep of harbor and tarn chimney</p>",
	"<table><tr><td>tarn</td><td>harbor chimney sweep</td></tr></table>", "<p>nothing at all</p>",
}

// All visible text is counted once: the slots of the text add up to the total
// (rule 3.3), and a page counted in pieces gives what it gives as a whole.
func TestCountingAddsUp(t *testing.T) {
	q := NewCriteria(Asked{Phrases: []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "tarn harbor",
		"chimney", "sweep harbor"}})
	rapid.Check(t, func(t *rapid.T) {
		parts := rapid.SliceOfN(rapid.SampledFrom(blocks), 0, 30).Draw(t, "parts")
		measure := func(body string) *Column {
			return Measure(page.Read([]byte("<html lang=en>"+body), page.Source{}), q)
		}
		whole := measure(strings.Join(parts, "\n"))
		exact, loose := make([]int, len(q.Phrases)), make([]int, len(q.Phrases))
		for _, part := range parts {
			for i, placed := range measure(part).Phrases {
				exact[i] += placed.Exact.Total
				loose[i] += placed.Loose.Total
			}
		}
		// A family's count never exceeds the sum of its members' (rule 3.5).
		for f, family := range q.Families {
			exact, loose := 0, 0
			for _, i := range family.Members {
				exact += whole.Phrases[i].Exact.Total
				loose += whole.Phrases[i].Loose.Total
			}
			assert.LessOrEqual(t, whole.Families[f].Exact.Total, exact)
			assert.LessOrEqual(t, whole.Families[f].Loose.Total, loose)
		}
		for i, placed := range whole.Phrases {
			for _, s := range []Slots{placed.Exact, placed.Loose} {
				assert.Equal(t, s.Total, s.H1+s.Subheads+s.Body+s.Elsewhere, q.Phrases[i])
				assert.LessOrEqual(t, s.Opening, s.Body)
			}
			assert.Equal(t, exact[i], placed.Exact.Total, q.Phrases[i])
			assert.Equal(t, loose[i], placed.Loose.Total, q.Phrases[i])
		}
	})
}

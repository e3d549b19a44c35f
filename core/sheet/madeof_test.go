package sheet

import (
	"testing"

	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

func made(body string) *page.Page { return page.Read([]byte("<html lang=en>"+body), page.Source{}) }

func TestMadeOf(t *testing.T) {
	p := made(
		`<nav><a href=a>chimney sweep</a> <a href=b>chimney sweep</a></nav><h1>The chimney sweep of Tarn Harbor</h1>
		<p>A chimney sweep for the harbor. Chimney sweep of Tarn Harbor is what we are.</p><p hidden>sweep sweep</p><p>A brush</p><p>the brush of the</p>`)
	var got []string
	for _, s := range MadeOf(p) {
		got = append(got, s.Text)
	}
	assert.Contains(t, got, "chimney sweep")
	assert.Contains(t, got, "brush")
	assert.NotContains(t, got, "chimney", "a longer one stands as often")
	assert.NotContains(t, got, "tarn harbor", "sweep of tarn harbor stands as often")
	assert.NotContains(t, got, "of tarn harbor", "it starts in a small word")
	assert.NotContains(t, got, "harbor chimney", "sentences part")
	assert.Equal(t, Sequence{Text: "chimney sweep", Words: 2, Count: 3, Rate: 3000 / float64(p.Words.Copy)},
		MadeOf(p)[0])
}

func TestSharedByRivals(t *testing.T) {
	rivals := []*page.Page{made("<p>level two inspection. Level two inspection. Soot.</p>"),
		made("<p>A level two inspection and soot and soot.</p>"), made("<p>Nothing of it.</p>")}
	shared := SharedByRivals(made("<p>Soot is all we say.</p>"), rivals)
	byText := map[string]Shared{}
	for _, s := range shared {
		byText[s.Text] = s
	}
	assert.True(t, byText["level two inspection"].Missing)
	assert.Equal(t, 2, byText["level two inspection"].Rivals)
	soot := byText["soot"]
	assert.InDelta(t, (1000.0/7+2000.0/8)/2, soot.Median, 1e-9)
	assert.Equal(t, []int{2, 1}, []int{soot.Rivals, soot.Own})
	assert.False(t, soot.Missing)
	assert.NotContains(t, byText, "level two", "a longer one stands on as many pages as often")
	assert.NotContains(t, byText, "nothing")
	assert.NotContains(t, byText, "and soot")
	assert.Empty(t, SharedByRivals(nil, nil))
}

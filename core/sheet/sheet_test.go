package sheet

import (
	"strings"
	"testing"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

const sample = `<html lang=en><title>Chimney sweep. Tarn Harbor</title>
<meta name=description content="The chimney sweep Tarn Harbor calls">
<nav><a href=/a>Chimney sweep Tarn Harbor</a></nav>
<h1>Chimney sweep<br>Tarn Harbor</h1><h2>A chimney sweep in Tarn Harbor</h2>
<p>Chimney sweeping throughout Tarn Harbor. Chimney sweep Tarn Harbor is what you typed. <a href=x>Chimney sweep Tarn</a> Harbor</p>
<p hidden>chimney sweep tarn harbor</p>
<img src="/i/chimney-sweep-tarn-harbor.jpg" alt="Tarn Harbor chimney sweep"><img src=TarnHarbor.png>
<footer>Chimney sweep Tarn Harbor</footer>`

func TestPlacement(t *testing.T) {
	q := NewCriteria(Asked{Phrases: []string{"chimney sweep tarn harbor", "tarn harbor"}})
	p := page.Read([]byte(sample), page.Source{URL: "http://brindleandash.example/chimney-sweep/tarn-harbor/"})
	c := Measure(p, q)
	assert.Equal(t, Slots{Title: 1, Description: 1, Address: 1, Opening: 2, Body: 2, Links: 1, ImageNames: 1,
		Elsewhere: 2, Total: 4},
		c.Phrases[0].Exact)
	assert.Equal(t, Slots{Subheads: 1, Opening: 1, Body: 1, Alt: 1, Total: 2}, c.Phrases[0].Loose)
	assert.Equal(t, 1, c.Phrases[1].Exact.H1)
	assert.Equal(t, 2, c.Phrases[1].Exact.ImageNames)
	assert.Equal(t, 4, c.Phrases[0].InCopy)
	assert.InDelta(t, 4000.0/float64(p.Words.Copy), c.Phrases[0].Rate(p.Words.Copy), 1e-9)
	assert.InDelta(t, 1600.0/float64(p.Words.Copy), c.Phrases[0].Density(4, p.Words.Copy), 1e-9)
	assert.Equal(t, []imagename.Verdict{imagename.Carries, imagename.Carries}, c.Verdicts)
	assert.Equal(t, 0, c.TitlePosition(q.Families[0].Key))
	assert.Equal(t, 4, FindInPage(p, "Chimney  Sweep TARN harbor"))
	assert.Equal(t, 0, FindInPage(p, " "))
}

func TestStateMayBeMissing(t *testing.T) {
	home := place.Place{Name: "Tarn Harbor", State: "ME"}
	q := NewCriteria(Asked{Phrases: []string{"chimney sweep tarn harbor me"},
		Language: phrase.LanguageOf("en", []place.Place{home}, phrase.Corrections{}), Place: home})
	c := Measure(page.Read([]byte("<p>Chimney sweep in Tarn Harbor, and a chimney sweep, Tarn Harbor, Me."),
		page.Source{}), q)
	assert.Equal(t, 1, c.Phrases[0].Exact.Body)
	assert.Equal(t, 1, c.Phrases[0].Loose.Body)
}

func TestOpeningEndsInsideABlock(t *testing.T) {
	body := "<p>" + strings.Repeat("word ", 97) + "flue liner now flue liner</p><p>flue liner</p>"
	c := Measure(page.Read([]byte(body), page.Source{}), NewCriteria(Asked{Phrases: []string{"flue liner"}}))
	assert.Equal(t, 1, c.Phrases[0].Exact.Opening)
	assert.Equal(t, 3, c.Phrases[0].Exact.Body)
}

func TestLinkInsideAWord(t *testing.T) {
	c := Measure(page.Read([]byte("<p><a href=x>flue liner</a>s and flue <a href=y>liner</a>"), page.Source{}),
		NewCriteria(Asked{Phrases: []string{"flue liner"}}))
	assert.Equal(t, 1, c.Phrases[0].Exact.Links)
	assert.Equal(t, 1, c.Phrases[0].Exact.Body)
}

// The marks of the evidence are what the placement counts, and the total is
// all visible text once (rule 3.3).
func TestMarksAddUp(t *testing.T) {
	words := []string{"chimney", "sweep", "sweeping", "Tarn Harbor", "the", "<p>", "</p>", "<h1>", "</h1>", "<h3>",
		"</h3>", "<footer>", "</footer>", "<a href=x>", "</a>", "<b hidden>", "</b>",
		"<img alt='chimney sweep tarn harbor' src=tarn-harbor-chimney-sweep.png>", ". Then "}
	q := NewCriteria(Asked{Phrases: []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "sweep",
		"chimney sweep near me"}})
	rapid.Check(t, func(t *rapid.T) {
		body := strings.Join(rapid.SliceOfN(rapid.SampledFrom(words), 0, 60).Draw(t, "body"), " ")
		p := page.Read([]byte("<html lang=en>"+body), page.Source{URL: "http://a.example/sweep"})
		c := Measure(p, q)
		for f, placed := range c.Families {
			var exact, loose Slots
			for _, m := range Marks(p, q, q.Families[f].Key) {
				if m.Exact {
					exact.add(m.Slot, 1)
				} else {
					loose.add(m.Slot, 1)
				}
			}
			assert.Equal(t, placed, Placement{Exact: exact, Loose: loose, InCopy: placed.InCopy})
			for _, s := range []Slots{exact, loose} {
				assert.Equal(t, s.Total, s.H1+s.Subheads+s.Body+s.Elsewhere)
				assert.LessOrEqual(t, s.Opening, s.Body)
			}
		}
	})
}

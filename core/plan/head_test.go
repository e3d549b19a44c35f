package plan

import (
	"maps"
	"slices"
	"testing"

	"inktally/core/imagename"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
)

// Title and H1 hold a phrase whatever small words stand between; what they hold of one at the first positions stays
// (rule 9.2).
func TestWhatLeadsStaysInTheHead(t *testing.T) {
	q := asked("chimney sweep tarn harbor", "flue liner tarn harbor")
	title := func(html string, positions ...int) (string, bool) {
		p := Aim{Key: "p1", URL: "http://brindleandash.example/", Kind: site.Home, Criteria: q, Topics: topics,
			Client: sheet.Measure(read(html+"<p>"+words(80)), q), Families: families(q, 100, 10)}
		for i, position := range positions {
			p.Families[i].Position = position
		}
		part := findPart(StandardRules().OfPage(&p, imagename.NamesOf()), "title: "+sweepKey)
		if part == nil {
			return "", false
		}
		return part.Slot.Wanted, true
	}
	for name, c := range map[string]struct {
		html      string
		positions []int
		want      string
		asked     bool
	}{
		"nothing of it":       {"<title>Home</title>", nil, "Chimney sweep Tarn Harbor, ME | " + topics.Firm, true},
		"small words between": {"<title>A chimney sweep in Tarn Harbor</title>", nil, "", false},
		"in another order": {"<title>Tarn Harbor: sweep your chimney</title>", nil,
			"Chimney sweep Tarn Harbor, ME | " + topics.Firm, true},
		"in another order, and it leads": {"<title>Tarn Harbor: sweep your chimney</title>", []int{2}, "", false},
		"it leads without the title": {"<title>Home</title>", []int{2},
			"Chimney sweep Tarn Harbor, ME | " + topics.Firm, true},
		"another one leads": {"<title>Flue liner Tarn Harbor</title>", []int{0, 3},
			"Chimney sweep Tarn Harbor | Flue liner Tarn Harbor", true},
		"another one is far behind": {"<title>Flue liner Tarn Harbor</title>", []int{0, 4},
			"Chimney sweep Tarn Harbor, ME | " + topics.Firm, true},
	} {
		t.Run(name, func(t *testing.T) {
			got, asked := title(c.html, c.positions...)
			assert.Equal(t, c.asked, asked)
			assert.Equal(t, c.want, got)
		})
	}
}

// Who is searched for as the best is not told to say so in a title, an H1 or a URL (rule 9.2).
func TestNoSuperlativeInTheHead(t *testing.T) {
	q := asked("best chimney sweep tarn harbor")
	parts := func(html string) map[PartKind]string {
		p := Aim{Key: "p1", URL: "http://brindleandash.example/work/", Kind: site.Service, Criteria: q, Topics: topics,
			Client: sheet.Measure(read(html+"<p>"+words(80)), q), Families: families(q, 100)}
		out := map[PartKind]string{}
		for _, target := range StandardRules().OfPage(&p, imagename.NamesOf()) {
			for _, part := range target.Parts {
				if part.Kind == Title || part.Kind == H1 || part.Kind == Address {
					out[part.Kind] = part.Says() + ": " + part.Slot.Wanted
				}
			}
		}
		return out
	}
	assert.Equal(t, map[PartKind]string{
		Title:   "chimney sweep tarn harbor: Chimney sweep Tarn Harbor, ME | " + topics.Firm,
		H1:      "chimney sweep tarn harbor: Chimney sweep Tarn Harbor",
		Address: "chimney sweep tarn harbor: /chimney-sweep-tarn-harbor/",
	}, parts("<title>Home</title><h1>Welcome</h1>"))
	done := parts("<title>Chimney sweep in Tarn Harbor</title><h1>Your chimney sweep in Tarn Harbor</h1>")
	assert.Equal(t, []PartKind{Address}, slices.Collect(maps.Keys(done)), "nothing more is asked of what says it")
}

// What stands at the first positions is not said less often; each time takes a minute (rule 9.5).
func TestCutBackTakesAMinuteATime(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	body := ""
	for range 12 {
		body += "<p>Chimney sweep Tarn Harbor is what we do all day.</p>"
	}
	p := Aim{Key: "p1", URL: "http://brindleandash.example/", Kind: site.Home, Criteria: q, Topics: topics,
		Client: sheet.Measure(read(body), q), Families: families(q, 100)}
	cut := find(StandardRules().OfPage(&p, imagename.NamesOf()), "cut_back")
	if assert.NotNil(t, cut) {
		limit := cut.Parts[0].Limit
		assert.InDelta(t, float64(limit.Now-limit.Most), cut.Parts[0].Minutes, 1e-9)
		assert.True(t, (&Target{Kind: CutBack}).Pays(), "it mends what is there")
	}
	p.Families[0].Position = 3
	assert.Nil(t, find(StandardRules().OfPage(&p, imagename.NamesOf()), "cut_back"))
}

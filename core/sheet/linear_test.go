package sheet

import (
	"runtime"
	"strconv"
	"strings"
	"testing"
	"time"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

// A phrase that stands hundreds of thousands of times on a page, in whatever way, is counted and marked by one walk:
// by the square it would take an hour.
func TestCountingIsLinear(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}}
	c := NewCriteria(Asked{Phrases: []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep"},
		Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Services: []string{"chimney sweep"},
		Place: places[0]})
	family := c.Families[0].Key
	const times = 60_000
	for name, body := range map[string]string{
		"one sentence":   strings.Repeat("chimney sweep tarn harbor ", times),
		"sentences":      strings.Repeat("Chimney sweep tarn harbor. ", times),
		"loose":          strings.Repeat("sweep a chimney at harbor of tarn, ", times),
		"blocks":         strings.Repeat("chimney sweep tarn harbor</p><p>", times),
		"links":          strings.Repeat("<a href=/x>chimney sweep tarn harbor</a> ", times),
		"images":         strings.Repeat("<img src=/chimney-sweep-tarn-harbor.jpg alt='Chimney sweep Tarn'>", times),
		"halves":         strings.Repeat("chimney sweep tarn ", times),
		"inside a word":  strings.Repeat("x<a href=/x>chimney sweep tarn harbor</a>", times/10),
		"small words":    "chimney " + strings.Repeat("the ", 20*times) + " sweep tarn harbor",
		"far from here ": strings.Repeat("chimney "+strings.Repeat("the ", 40)+"sweep ", times/10),
	} {
		t.Run(name, func(t *testing.T) {
			p := page.Read([]byte("<p>"+body+"</p>"), page.Source{URL: "http://brindle.example/"})
			start := time.Now()
			total := Measure(p, c).Family(family)
			marks := Marks(p, c, family)
			assert.Less(t, time.Since(start), 3*time.Minute, "however slow the machine is")
			if name != "halves" && name != "small words" && name != "far from here " {
				assert.NotEmpty(t, marks)
				assert.Positive(t, total.Exact.Total+total.Loose.Total+total.Exact.ImageNames+total.Exact.Alt+
					total.Exact.Links)
			}
		})
	}
}

// A page of 400,000 different words costs what its first words do.
func TestMadeOfIsBounded(t *testing.T) {
	var body strings.Builder
	body.WriteString("<p>chimney sweep chimney sweep ")
	for i := range 400_000 {
		body.WriteString("w")
		body.WriteString(strconv.Itoa(i))
		body.WriteByte(' ')
	}
	p := page.Read([]byte(body.String()), page.Source{URL: "http://brindle.example/"})
	runtime.GC()
	var before, after runtime.MemStats
	runtime.ReadMemStats(&before)
	list := MadeOf(p)
	SharedByRivals(p, []*page.Page{p, p, p})
	runtime.ReadMemStats(&after)
	assert.Equal(t, "chimney sweep", list[0].Text)
	assert.Less(t, (after.TotalAlloc-before.TotalAlloc)>>20, uint64(500), "MB in all")
}

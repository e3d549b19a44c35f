package measured

import (
	"strings"
	"sync"
	"testing"

	"inktally/core/page"
	"inktally/core/sheet"

	"github.com/stretchr/testify/assert"
)

// A page is measured once by the same criteria, however many ask and however often what is
// known of its client is made anew; where something else is asked it is measured again.
func TestMeasuredOnce(t *testing.T) {
	asked := sheet.Asked{Phrases: []string{"chimney sweep tarn harbor"}, Services: []string{"chimney sweep"}}
	p := page.Read([]byte("<h1>Chimney sweep Tarn Harbor</h1>"+strings.Repeat("<p>chimney", 9)), page.Source{})
	var mu sync.Mutex
	times := 0
	made := func() {
		mu.Lock()
		defer mu.Unlock()
		times++
	}
	first := &Pages{}
	var all sync.WaitGroup
	for range 8 {
		all.Go(func() {
			c := first.Page("p1", asked).Measure(7, p, made)
			assert.Equal(t, 1, c.Families[0].Exact.Total)
		})
	}
	all.Wait()
	assert.Equal(t, 1, times)
	second := After(first)
	third := After(second) // before it was asked for anything
	assert.Same(t, first.Page("p1", asked).Criteria, third.Page("p1", asked).Criteria)
	third.Page("p1", asked).Measure(7, p, made)
	assert.Equal(t, 1, times)
	third.Page("p1", asked).Measure(8, p, made)
	assert.Equal(t, 2, times, "another reading")

	other := asked
	other.Phrases = []string{"chimney inspection tarn harbor"}
	fourth := After(third)
	assert.NotSame(t, fourth.Page("p1", other).Criteria, third.Page("p1", asked).Criteria)
	fourth.Page("p1", other).Measure(7, p, made)
	assert.Equal(t, 3, times, "other phrases")
	assert.NotSame(t, third.Page("p1", asked), third.Page("p2", asked), "each page by itself")
}

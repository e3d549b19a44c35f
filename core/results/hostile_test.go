package results

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// A page of nothing but numbers costs what its first texts do.
func TestManyNumbers(t *testing.T) {
	for _, shape := range []string{"<p>+1 207 555 01%02d</p>", "207-555-01%02d<br>",
		"<li><a href=http://a%d.example/>4.%[1]d (12) 207-555-01%02[1]d</a>", "<td>(207) 555-01%02d"} {
		var b strings.Builder
		for i := range 60_000 {
			fmt.Fprintf(&b, shape, i%100)
		}
		start := time.Now()
		Read([]byte("<html><body>"+b.String()), Source{})
		assert.Less(t, time.Since(start), 20*time.Second, shape)
	}
}

package results

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// A page of nothing but numbers costs what its first texts do: of all of them it would be twenty times as much.
func TestManyNumbers(t *testing.T) {
	var b strings.Builder
	for i := range 120_000 {
		fmt.Fprintf(&b, "<p>+1 207 555 01%02d</p>", i%100)
	}
	start := time.Now()
	Read([]byte("<html><body>"+b.String()), Source{})
	assert.Less(t, time.Since(start), time.Minute)
}

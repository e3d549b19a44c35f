package beside

import (
	"testing"

	"inktally/core/finding"
	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

func read(body string) *page.Page {
	return page.Read([]byte(`<html lang="en"><body><main>`+body+`</main></body></html>`),
		page.Source{URL: "https://a.example/"})
}

// Only what half of the rivals have is missing.
func TestLacks(t *testing.T) {
	quoted := read("<blockquote>They came when they said.</blockquote><p>Call us.</p>")
	plain := read("<p>We sweep.</p>")
	types := func(own *page.Page, rivals ...*page.Page) (out []finding.Type) {
		for _, f := range Lacks(own, rivals) {
			assert.Equal(t, len(rivals), f.Of)
			out = append(out, f.Type)
		}
		return out
	}
	assert.Equal(t, []finding.Type{finding.NoTestimonial, finding.NoCallToAct}, types(plain, quoted, quoted, plain))
	assert.Equal(t, []finding.Type{finding.NoTestimonial, finding.NoCallToAct}, types(plain, quoted, plain),
		"half of two")
	assert.Empty(t, types(plain, quoted, plain, plain))
	assert.Empty(t, types(quoted, quoted, quoted))
	assert.Empty(t, types(plain), "no rivals")
}

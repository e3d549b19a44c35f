package beside

import (
	"testing"

	"inktally/core/finding"
	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

var calls = []string{"call", "book", "get a quote"}

func read(body string) *page.Page {
	return page.Read([]byte(`<html lang="en"><body><main>`+body+`</main></body></html>`),
		page.Source{URL: "https://a.example/"})
}

// Only what half of the rivals have is missing.
func TestLacks(t *testing.T) {
	quoted := read("<blockquote>They came when they said.</blockquote><p>Call us.</p>")
	plain := read("<p>We sweep.</p>")
	types := func(own *page.Page, rivals ...*page.Page) (out []finding.Type) {
		for _, f := range Lacks(own, rivals, calls) {
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

func TestCallsToAct(t *testing.T) {
	for name, c := range map[string]struct {
		body string
		want bool
	}{
		"a button":              {"<button>Book a visit</button>", true},
		"a link":                {`<a href="/quote">Get a quote</a>`, true},
		"a line":                {"<p>Call us any weekday.</p>", true},
		"a number":              {"<p>207-555-0134</p>", true},
		"a form":                {`<form><input type="text" name="name"><textarea></textarea><button>Go</button></form>`, true},
		"words in between":      {"<p>Some call it luck.</p>", false},
		"another word":          {"<p>Called in 1990 to this trade.</p>", false},
		"a quote of a customer": {"<p>Get a quotation mark.</p>", false},
		"not shown":             {`<p hidden>Call us any weekday.</p>`, false},
		"a long text": {"<p>Call it what you will, a flue that is cold in the morning will not draw until the air " +
			"in it is warm, and that takes a while on most days of the year.</p>", false},
	} {
		t.Run(name, func(t *testing.T) { assert.Equal(t, c.want, CallsToAct(read(c.body), calls)) })
	}
}

package page

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

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
		t.Run(name, func(t *testing.T) {
			assert.Equal(t, c.want, Read([]byte(`<html lang="en"><body><main>`+c.body+`</main></body></html>`), Source{}).CallsToAct())
		})
	}
}

package page

import (
	"testing"

	"inktally/core/contact"

	"github.com/stretchr/testify/assert"
)

// Numbers are told by the number library, in the country that the page says it
// is for; dates and prices are none, and one number stands once.
func TestPhones(t *testing.T) {
	for name, c := range map[string]struct {
		body string
		want []contact.Phone
	}{
		"one number in three forms": {"<p>(207) 555-0134, +1 207.555.0134 or 207-555-0134",
			[]contact.Phone{{Number: "(207) 555-0134", Linked: false}}},
		"linked in another form": {"<p>Call 207-555-0134 <a href='tel:+12075550134'>now</a>",
			[]contact.Phone{{Number: "207-555-0134", Linked: true}}},
		"linked without a country": {"<p>Call 207-555-0134 <a href='tel:(207)5550134'>now</a>",
			[]contact.Phone{{Number: "207-555-0134", Linked: true}}},
		"another country": {"<html lang=en-GB><p>Ring 01632 960134 or +44 1632 960134",
			[]contact.Phone{{Number: "01632 960134", Linked: false}}},
		"abroad with its country": {"<p>From abroad +44 1632 960134",
			[]contact.Phone{{Number: "+44 1632 960134", Linked: false}}},
		"no numbers": {"<p>2019-2020, 12,500 bricks, 04101, order 000123 and 5550134", nil},
	} {
		t.Run(name, func(t *testing.T) {
			got := Read([]byte(c.body), Source{}).Details().Phones
			if c.want == nil {
				assert.Empty(t, got)
				return
			}
			assert.Equal(t, c.want, got)
		})
	}
}

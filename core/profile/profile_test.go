package profile

import (
	"testing"

	"inktally/core/page"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

// What a home page says of its business: by structured data, else by its title,
// its text and its footer.
func TestOf(t *testing.T) {
	for name, c := range map[string]struct {
		html, url, typed string
		want             Profile
	}{
		"structured data": {
			`<script type="application/ld+json">{"@type":"RoofingContractor","name":"Gable & Crow Roofing",
"telephone":"207-555-0144",
			"address":{"@type":"PostalAddress","streetAddress":"4 Mill Lane","addressLocality":"Ostrey",
"addressRegion":"ME","postalCode":"04000"}}</script>
			<title>Roofs</title><p>Roofs that last.`, "http://gableandcrow.example/", "roofer ostrey",
			Profile{Name: "Gable & Crow Roofing", Phone: "207-555-0144", Trade: "roofing contractor",
				Town: place.Place{Name: "Ostrey", State: "ME"}, Address: "4 Mill Lane, Ostrey, ME 04000",
				Service: "roofer"}},
		"title and footer": {
			`<title>Chimney sweep in Tarn Harbor | Brindle &amp; Ash Chimney</title><p>Call us at (207) 555-0142 for a sweep.
			<footer>© 2026 Brindle &amp; Ash Chimney, 12 Wharf Street, Tarn Harbor, ME 04999</footer>`,
			"http://brindleandash.example/", "chimney sweep tarn harbor",
			Profile{Name: "Brindle & Ash Chimney", Phone: "(207) 555-0142", Trade: "chimney sweep",
				Town: place.Place{Name: "Tarn Harbor", State: "ME"}, Service: "chimney sweep"}},
		"the phrase's town goes first": {
			`<title>Vents</title><p>Serving Ostrey, ME and Ostrey, ME and Kettle Cove, ME.`, "http://vents.example/",
			"vent cleaning kettle cove",
			Profile{Name: "Vents", Trade: "vent cleaning", Town: place.Place{Name: "Kettle Cove", State: "ME"},
				Service: "vent cleaning"}},
		"a town without a state": {`<title>Ramonage</title><p>Un ramoneur à Étrelles-Basses, et à toute heure.`,
			"http://suie.example/", "ramoneur étrelles",
			Profile{Trade: "ramoneur", Town: place.Place{Name: "Étrelles"}, Service: "ramoneur"}},
		"nothing": {`<p>Hello`, "http://hello.example/", "sweep", Profile{}},
	} {
		t.Run(name, func(t *testing.T) {
			assert.Equal(t, c.want, Of(page.Read([]byte(c.html), page.Source{URL: c.url}), c.typed))
		})
	}
}

package results

import (
	"inktally/core/entry"
	"inktally/core/lineup"
)

// WithSites returns the entries of a page with addresses where they can be told: a copied text
// shows the domain alone, and of the map not even that; of a business on the map it is the
// address of the result of the same name (rule 6.6).
func (p Results) WithSites() []entry.Entry {
	out := make([]entry.Entry, len(p.Entries))
	for i, e := range p.Entries {
		if e.URL == "" && e.Domain != "" {
			e.URL = "https://" + e.Domain + "/"
		}
		out[i] = e
	}
	for i := range out {
		if out[i].Part == entry.Map && out[i].URL == "" {
			out[i].URL = addressOf(out[i].Title, out)
			out[i].Domain = lineup.Domain(out[i].URL)
		}
	}
	return out
}

// addressOf returns the address of the first organic result of the firm of a name, empty for none.
func addressOf(name string, entries []entry.Entry) string {
	for _, e := range entries {
		if e.Part == entry.Organic && lineup.IsNamed(name, e.Title, e.URL) {
			return e.URL
		}
	}
	return ""
}

package page

import (
	"strings"

	"inktally/core/finding"
)

// Findings returns what is wrong with the page by itself, the gravest first (rule 11).
func (p *Page) Findings() []finding.Finding {
	d := p.Details()
	linked, number := false, ""
	for _, phone := range d.Phones {
		linked = linked || phone.Linked
		if number == "" {
			number = phone.Number
		}
	}
	found := map[finding.Type]*finding.Finding{}
	add := func(holds bool, f finding.Finding) {
		if holds {
			f.URL = p.URL
			found[f.Type] = &f
		}
	}
	add(d.UnderConstruction, finding.Finding{Type: finding.UnderConstruction})
	add(strings.Contains(strings.ToLower(d.Robots), "noindex"), finding.Finding{Type: finding.NoIndex})
	add(d.Placeholder.Words > 0, finding.Finding{Type: finding.PlaceholderText, Texts: d.Placeholder.Texts})
	add(strings.HasPrefix(p.URL, "http:"), finding.Finding{Type: finding.NotSecure})
	add(len(d.Phones) > 0 && !linked, finding.Finding{Type: finding.PhoneNotLinked, Texts: []string{number}})
	add(len(d.Phones) == 0, finding.Finding{Type: finding.NoPhone})
	add(p.Description == "", finding.Finding{Type: finding.NoDescription})
	add(len(d.Vague) > 0, finding.Finding{Type: finding.VagueAreaWords, Texts: d.Vague})
	add(d.Foreign.Words > 0, finding.Finding{Type: finding.OtherLanguage, Texts: d.Foreign.Texts})
	add(len(d.Baked) > 0, finding.Finding{Type: finding.WordsInImages, Texts: d.Baked})
	out := []finding.Finding{}
	for _, t := range finding.TypesShown(finding.OnPage) {
		if f := found[t]; f != nil {
			out = append(out, *f)
		}
	}
	return out
}

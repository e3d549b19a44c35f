package intent

import "slices"

// freeWords say that nothing is to be paid, pricedFirst are what is given without a price.
var (
	freeWords   = map[string]bool{"free": true, "gratuit": true, "gratuite": true, "kostenlos": true, "gratis": true}
	pricedFirst = map[string]bool{"quote": true, "quotation": true, "estimate": true, "inspection": true,
		"consultation": true,
		"assessment":   true, "survey": true, "evaluation": true, "check": true, "checkup": true, "visit": true,
		"advice": true,
		"devis":  true, "angebot": true, "kostenvoranschlag": true, "beratung": true, "presupuesto": true,
		"visita": true}
)

// isFree returns the word by which a phrase asks for work, or a thing, for nothing: but for a quote, an
// estimate, an inspection that is what nobody is hired for (rule 3.6).
func (j *Judge) isFree(words []word, about about) string {
	at := slices.IndexFunc(words, func(w word) bool { return freeWords[w.text] && !w.taken() })
	if at < 0 || slices.ContainsFunc(words, func(w word) bool { return pricedFirst[w.singular] }) {
		return ""
	}
	for _, w := range words[at+1:] {
		if j.isAct(w.stem) || slices.Contains(about.thing, w.stem) {
			return words[at].text
		}
	}
	return ""
}

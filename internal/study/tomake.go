package study

import (
	"inktally/core/book"
	"inktally/core/site"
	"inktally/internal/store"
)

// ToMake is a page that the client's site lacks.
type ToMake struct {
	book.ToMake
	// Known are the rivals whose sites are known.
	Known int
}

// Page returns the page that is to be made; it has neither an address nor an id.
func (m ToMake) Page(client int64) store.Page {
	return store.Page{ClientID: client, Kind: m.Kind, Service: m.Service, Place: m.Place}
}

// ToMake returns the pages that the client's site lacks, or may lack where it was not surveyed (rules 9.1, 11).
func (k *Known) ToMake(b *Beside) []ToMake {
	beside := func(kind site.Kind, service, place string) (have, known int) {
		return Have(b.Of(store.Page{Kind: kind, Service: service, Place: place}))
	}
	of := book.Site{Services: k.Services, Places: k.Places, Pages: k.bookPages(),
		Have: func(kind site.Kind, service, place string) int {
			have, _ := beside(kind, service, place)
			return have
		}}
	var out []ToMake
	for _, m := range of.Missing(k.Families()) {
		_, known := beside(m.Kind, m.Service, m.Place)
		out = append(out, ToMake{m, known})
	}
	return out
}

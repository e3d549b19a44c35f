package plan

import (
	"inktally/core/place"
	"inktally/core/proposal"
)

// proposal returns the text that a slot is to hold with a phrase; kept is one that it holds and that stays, empty for
// none. It is not ok where both do not fit.
func (b *builder) proposal(kind PartKind, phrase, kept string) (proposed string, ok bool) {
	p := proposal.Page{Language: b.p.Criteria.Language(), Texts: b.y.texts(b.p), Places: b.places(),
		Firm: b.p.Topics.Firm, Phone: b.p.Phone, Towns: b.p.Topics.Towns, Turn: b.turn}
	if b.p.there() {
		p.URL = b.p.URL
	}
	for _, s := range b.p.Topics.Services {
		p.Services = append(append(p.Services, s.Name), s.Forms...)
	}
	switch kind {
	case Title:
		if kept != "" {
			return p.Both(phrase, kept, " | ")
		}
		return p.Title(phrase), true
	case Description:
		return p.Description(phrase), true
	case H1:
		if kept != "" {
			return p.Both(phrase, kept, " – ")
		}
		return p.H1(phrase), true
	case Address:
		return p.Address(phrase), true
	}
	return "", true
}

// places returns those that are written with capitals.
func (b *builder) places() []place.Place {
	if places := b.p.Criteria.Language().Places; len(places) > 0 {
		return places
	}
	return b.p.Named
}

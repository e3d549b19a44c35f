package plan

import (
	"inktally/core/place"
	"inktally/core/proposal"
)

// proposal returns a whole title, description, h1 or address that says a phrase (rule 9.2), empty for
// other kinds.
func (b *builder) proposal(kind PartKind, phrase string) string {
	p := proposal.Page{Language: b.p.Criteria.Language(), Places: b.places(), Firm: b.p.Topics.Firm, Phone: b.p.Phone,
		Towns: b.p.Topics.Towns, Turn: b.turn}
	if b.p.there() {
		p.URL = b.p.URL
	}
	for _, s := range b.p.Topics.Services {
		p.Services = append(append(p.Services, s.Name), s.Forms...)
	}
	switch kind {
	case Title:
		return p.Title(phrase)
	case Description:
		return p.Description(phrase)
	case H1:
		return p.H1(phrase)
	case Address:
		return p.Address(phrase)
	}
	return ""
}

// places returns those that are written with capitals.
func (b *builder) places() []place.Place {
	if places := b.p.Criteria.Language().Places; len(places) > 0 {
		return places
	}
	return b.p.Named
}

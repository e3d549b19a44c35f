package page

import (
	"strings"
	"unicode"
	"unicode/utf8"

	"inktally/core/copy"
)

// CallsToAct reports whether the page asks its visitor to do something: by a telephone number (one that is no link is a
// fix of its own), a form to fill in, or a short visible text that begins with a word of its language such as call or
// book, links and buttons among them (rule 11). It is worked out when it is first asked for.
func (p *Page) CallsToAct() bool {
	p.asked.Do(func() { p.asks = p.findCall() })
	return p.asks
}

// longestCall is how many words a text may have that calls to act.
const longestCall = 25

func (p *Page) findCall() bool {
	if d := p.Details(); d.Forms > 0 || len(d.Phones) > 0 {
		return true
	}
	calls := copy.Of(p.Lang).Calls
	for i := range p.Blocks {
		if b := &p.Blocks[i]; !b.Hidden && b.Words <= longestCall && begins(p.Text(i), calls) {
			return true
		}
	}
	for i := range p.Links {
		if l := &p.Links[i]; !l.hidden && (begins(p.AnchorText(l), calls) || begins(l.label, calls)) {
			return true
		}
	}
	return false
}

// begins reports whether a text begins with one of some words, whatever their case.
func begins(s string, calls []string) bool {
	s = strings.TrimLeftFunc(s, func(r rune) bool { return !unicode.IsLetter(r) })
	for _, call := range calls {
		if len(s) < len(call) || !strings.EqualFold(s[:len(call)], call) {
			continue
		}
		if next, _ := utf8.DecodeRuneInString(s[len(call):]); !unicode.IsLetter(next) && !unicode.IsDigit(next) {
			return true
		}
	}
	return false
}

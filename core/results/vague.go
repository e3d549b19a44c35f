package results

import (
	"unicode/utf8"

	"inktally/core/entry"

	"golang.org/x/net/html"
)

// fewVague is from how many links on that do not tell where they lead they are taken for results.
const fewVague = 3

// pairVague finds the links of a page's own that lead to results without telling where: such a link
// is a title beside which the address of a site is shown. That site is taken for its target.
func (s *scan) pairVague() {
	at := map[*html.Node][2]int{} // the units in each element
	for i := range s.units {
		for n := s.units[i].node; n != nil; n = n.Parent {
			span, ok := at[n]
			if !ok {
				span[0] = i
			}
			span[1] = i + 1
			at[n] = span
		}
	}
	pairs := map[*html.Node]string{}
	for i := range s.units {
		u := &s.units[i]
		if d := u.address(); d != "" && s.leads(u) == "" {
			if link := s.titleBeside(i, at); link != nil && pairs[link] == "" {
				pairs[link] = "https://" + d + "/"
			}
		}
	}
	if len(pairs) < fewVague {
		return
	}
	s.vague = map[*html.Node]bool{}
	for link, target := range pairs {
		s.out[link], s.vague[link] = target, true
	}
}

// widest is how many texts an element may hold in which a title is looked for beside its address.
const widest = 200

// vagueLetters is how long a title is at least whose link does not tell where it leads.
const vagueLetters = 8

// titleBeside returns the link that is the title beside the address that the unit i shows: in the
// smallest element around it that has one, and no other address and no link that leads out.
func (s *scan) titleBeside(i int, at map[*html.Node][2]int) *html.Node {
	for n := s.units[i].node; n != nil && at[n][1]-at[n][0] <= widest; n = n.Parent {
		var title *html.Node
		heading := false
		for k := at[n][0]; k < at[n][1]; k++ {
			u := &s.units[k]
			if k != i && u.address() != "" || s.leads(u) != "" {
				return nil
			}
			if u.link == nil || k == i || u.labeled || entry.IsGeneric(u.name()) ||
				utf8.RuneCountInString(u.name()) < vagueLetters {
				continue
			}
			if title == nil || u.heading && !heading {
				title, heading = u.link, u.heading
			}
		}
		if title != nil {
			return title
		}
	}
	return nil
}

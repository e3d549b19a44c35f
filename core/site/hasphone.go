package site

import (
	"slices"

	"inktally/core/contact"
	"inktally/core/lineup"
)

// HasPhone reports whether a number stands on a page of a site: a site that shows the business's own is its own, and
// no rival (rule 6.2).
func HasPhone(visited []Visited, number string) bool {
	return slices.ContainsFunc(visited, func(v Visited) bool {
		return v.Page != nil && slices.ContainsFunc(v.Page.Details().Phones, func(p contact.Phone) bool {
			return lineup.SameNumber(p.Number, number)
		})
	})
}

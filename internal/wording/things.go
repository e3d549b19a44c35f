package wording

import (
	"inktally/core/fault"
	"inktally/core/plan"
	"inktally/internal/wording/yardsticks"
)

// things names what two people can change at once.
var things = map[fault.Thing]string{
	fault.ClientName: "name", fault.Trade: "trade", fault.Phone: "phone", fault.HomePage: "home page",
	fault.Language: "language", fault.Currency: "currency", fault.Postcode: "postcode",
	fault.Customers: "customers per 100 visits", fault.StreetAddress: "street address",
	fault.AddressHidden: "choice to show the address", fault.OpeningHours: "opening hours",
	fault.MorePhones: "other phones", fault.Services: "services", fault.Places: "places", fault.Phrases: "phrases",
	fault.Hours: "hours", fault.PageURL: "page's URL", fault.PageKind: "page's kind",
	fault.PageService: "page's service", fault.PagePlace: "page's place",
	fault.SectionHeading: "section's heading", fault.SectionWords: "section's words to write",
	fault.SectionKept: "section", fault.SectionOrder: "order of the sections",
	fault.OthersAdjusted: "choice to adjust the other sections", fault.TargetChoice: "target",
	fault.SiteFigure: "figure",
}

// thing names what two changed: one of the things, or a figure of the yardstick by its key.
func thing(code string) string {
	if name, ok := things[fault.Thing(code)]; ok {
		return name
	}
	if says := yardsticks.Says(code); says != "" {
		return "figure " + quoted(says)
	}
	return code
}

// Choice words what a user said of a target.
func Choice(c plan.Choice) string {
	switch {
	case c.Value != "":
		return c.Value
	case c.Reason != "":
		return string(c.State) + ": " + c.Reason
	}
	return string(c.State)
}

// OthersAdjusted words whether other sections make up for those that were set.
func OthersAdjusted(alone bool) string {
	if alone {
		return "no"
	}
	return "yes"
}

// Added words whether a section of the user's own is there.
func Added(added bool) string {
	if added {
		return "added"
	}
	return "removed"
}

// Dropped words whether a section is dropped.
func Dropped(dropped bool) string {
	if dropped {
		return "dropped"
	}
	return "kept"
}

package telling

import (
	"fmt"
	"strings"

	"inktally/core/handoff"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/wording"
)

// BesideTitle heads the work that no page holds.
const BesideTitle = "What we do there"

// mostNames is how many directories or sites are named at once.
const mostNames = 3

// facts are what the facts of a map profile are called to an owner.
var facts = map[mapprofile.Field]string{mapprofile.Name: "the name", mapprofile.Category: "what kind of business it is",
	mapprofile.Description: "the description", mapprofile.Hours: "the opening hours",
	mapprofile.Phone: "the phone number",
	mapprofile.Site:  "the website", mapprofile.Address: "the address", mapprofile.Areas: "the towns you serve",
	mapprofile.Services: "the services", mapprofile.Founded: "the year you started",
	mapprofile.Attributes: "what is special about you",
	mapprofile.Photos:     "photos", mapprofile.PhotoNames: "photos with better names"}

// Beside words work on links, listings and map profile.
func Beside(j handoff.BesideJob) string {
	names := func(one, many string) string { return wording.Count(j.Count, one, many) + ": " + someOf(j.Names) }
	switch j.Kind {
	case standing.Claim:
		if j.Names[0] == string(mapprofile.There) {
			return "Make a profile of your business on the map"
		}
		return "Claim the profile of your business on the map, so that you can change it"
	case standing.Correct:
		return "Correct your entry in " + names("directory", "directories")
	case standing.Fill:
		var fields []string
		for _, n := range j.Names {
			fields = append(fields, facts[mapprofile.Field(n)])
		}
		return "Fill in your profile on the map: " + And(fields)
	case standing.List:
		return "Get listed in " + names("more directory", "more directories")
	case standing.Ask:
		return "Ask your customers for " + wording.Count(j.Count, "review", "")
	case standing.Post:
		return "Write a few lines about a job on your profile on the map, every week"
	}
	return "Ask for a link from " + names("website", "websites")
}

// someOf names the first of a list and counts the rest.
func someOf(names []string) string {
	if len(names) <= mostNames+1 {
		return And(names)
	}
	return fmt.Sprintf("%s and %d more", strings.Join(names[:mostNames], ", "), len(names)-mostNames)
}

// BesideBrings words what that work may bring, empty for nothing that is known.
func BesideBrings(gain float64) string {
	if gain < 1 {
		return ""
	}
	return fmt.Sprintf(
		"That could bring about %s from the map each month, on top of what the pages bring. It is an estimate.",
		wording.Count(int(gain+.5), "more visit", ""))
}

// beside words the work that no page holds in one sentence, empty for none.
func (t Teller) beside() string {
	var does []string
	for _, j := range t.Walk.Beside {
		switch j.Kind {
		case standing.Claim:
			does = append(does, "claim your profile on the map")
		case standing.Correct:
			does = append(does, "correct "+wording.Count(j.Count, "directory entry", "directory entries"))
		case standing.List:
			does = append(does, "get listed in "+wording.Count(j.Count, "more directory", "more directories"))
		case standing.Link:
			does = append(does, "ask "+wording.Count(j.Count, "website", "")+" for a link")
		}
	}
	if len(does) == 0 {
		return ""
	}
	return "Apart from your pages, we will " + And(does) + "."
}

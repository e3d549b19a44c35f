// Package standings has the sentences of what comes from elsewhere: links, listings, the map profile (rule 13).
//
// In go codes of core with their figures; out come sentences of the screens and files.
package standings

import (
	"fmt"
	"strings"
	"time"

	"inktally/core/backlink"
	"inktally/core/brought"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/wording"
)

// figures are what the figures are called.
var figures = map[standing.Figure]string{standing.Links: "links", standing.Domains: "sites that link to it",
	standing.Strength: "strength", standing.Listings: "directories that list it", standing.Reviews: "reviews",
	standing.Rating: "rating", standing.Photos: "photos", standing.FoundFor: "phrases found for",
	standing.VisitsMo: "visits/mo"}

// Figure names a figure of a site or of its page; a strength goes by the source's own name.
func Figure(f standing.Figure, s standing.Scope, name string) string {
	called := figures[f]
	switch {
	case f == standing.Domains && s == standing.OfPage:
		called = "sites that link to the page"
	case f == standing.Links && s == standing.OfPage:
		called = "links to the page"
	case f == standing.Links:
		called = "links to the site"
	case f == standing.Strength && name != "":
		called = fmt.Sprintf("strength: “%s”", name)
	}
	if f == standing.Strength && s == standing.OfPage {
		called += ", of the page"
	}
	return called
}

// fields are what the fields of a listing are called.
var fields = map[listing.Field]string{listing.Name: "name", listing.Address: "address", listing.Phone: "phone",
	listing.Hours: "hours", listing.Site: "website"}

// Field names a field of a listing.
func Field(f listing.Field) string { return fields[f] }

var notes = map[listing.Note]string{listing.UnitMissing: "suite or unit is missing on one side",
	listing.LongZIP: "ZIP with four more digits on one side", listing.Extension: "with an extension",
	listing.InnerPage: "links to an inner page"}

// Note words what is told of a field that agrees.
func Note(n listing.Note) string { return notes[n] }

// profile are what the facts of a map profile are called.
var profile = map[mapprofile.Field]string{mapprofile.There: "map profile", mapprofile.Claimed: "claimed by the owner",
	mapprofile.Name: "name", mapprofile.Category: "main category", mapprofile.Description: "description",
	mapprofile.Hours: "opening hours", mapprofile.Phone: "phone", mapprofile.Site: "website",
	mapprofile.Address: "address",
	mapprofile.Areas:   "areas served", mapprofile.Services: "services", mapprofile.Founded: "year of founding",
	mapprofile.Attributes: "attributes", mapprofile.Photos: "photos", mapprofile.PhotoNames: "photo file names",
	mapprofile.LastPost: "last post", mapprofile.Rating: "rating", mapprofile.Reviews: "reviews",
	mapprofile.Recent: "reviews of the last 90 days", mapprofile.Answered: "reviews answered, percent"}

// ProfileField names a fact of a map profile.
func ProfileField(f mapprofile.Field) string { return profile[f] }

// photosShown are how many photos are told by name.
const photosShown = 3

// photosRenamed says what photos should be called: a file that is there already cannot be renamed.
func photosRenamed(list []mapprofile.Photo) string {
	var names []string
	for _, p := range list[:min(len(list), photosShown)] {
		names = append(names, fmt.Sprintf("%s as %s", p.File, p.Better))
	}
	out := "Photos: upload again " + strings.Join(names, ", ")
	if more := len(list) - photosShown; more > 0 {
		out += fmt.Sprintf(" and %s more", wording.Number(more))
	}
	return out
}

// ProfileWants says what a fact of a map profile that is blank or wrong should be.
func ProfileWants(i mapprofile.Item) string {
	switch i.Field {
	case mapprofile.There:
		return "Make a map profile"
	case mapprofile.Claimed:
		return "Claim the map profile"
	case mapprofile.Name:
		return fmt.Sprintf("Name: use “%s” and nothing more", i.Own)
	case mapprofile.Description:
		return "Description: name a service and a town"
	case mapprofile.Photos:
		return "Add photos"
	case mapprofile.Address:
		return "Address: show it, or hide it by choice"
	case mapprofile.Areas:
		return "Areas served: add your towns"
	case mapprofile.Services:
		return "Services: add what you offer"
	case mapprofile.Attributes:
		return "Attributes: choose those that fit"
	case mapprofile.PhotoNames:
		return photosRenamed(i.Photos)
	}
	name := strings.ToUpper(profile[i.Field][:1]) + profile[i.Field][1:]
	if i.Own != "" {
		return fmt.Sprintf("%s: use “%s”", name, i.Own)
	}
	return name + ": fill it in"
}

// Target says what a target asks for.
func Target(t standing.Target) string {
	n := 0
	for _, p := range t.Parts {
		if p.State == standing.Open {
			n++
		}
	}
	switch t.Kind {
	case standing.Claim:
		if len(t.Parts) > 0 && t.Parts[0].Key == string(mapprofile.There) {
			return "Make a map profile"
		}
		return "Claim the map profile"
	case standing.Correct:
		return "Correct " + wording.Count(n, "listing", "")
	case standing.Fill:
		return "Fill in " + wording.Count(n, "field", "") + " of the map profile"
	case standing.List:
		return "Get listed in " + wording.Count(n, "directory", "directories")
	case standing.Ask:
		return "Ask your customers for reviews"
	case standing.Post:
		return "Post on the map profile this week"
	case standing.Link:
		return "Ask " + wording.Count(n, "site", "") + " for a link"
	case standing.Doubt:
		return "Look at " + wording.Count(n, "doubtful link", "") + " of your own"
	}
	return string(t.Kind)
}

// More says how many are wanted beyond those that are known, empty for none.
func More(t standing.Target) string {
	switch {
	case t.More == 0:
		return ""
	case t.Kind == standing.List:
		return wording.Count(t.More, "more directory", "more directories") + " to find"
	}
	return wording.Count(t.More, "more site", "") + " to find"
}

var languages = map[string]string{"en": "English", "de": "German", "fr": "French", "es": "Spanish", "it": "Italian",
	"nl": "Dutch", "pt": "Portuguese", "sv": "Swedish", "da": "Danish", "tr": "Turkish", "ro": "Romanian",
	"hu": "Hungarian",
	"pl": "Polish"}

// Reason says why a domain has its verdict.
func Reason(r backlink.Reason) string {
	n := int(r.Number)
	switch r.Code {
	case backlink.ByRivals:
		return wording.Count(n, "rival has it", "rivals have it")
	case backlink.ByHand:
		return "you said so"
	case backlink.IsDirectory:
		return "a directory: get listed there"
	case backlink.WeakSite:
		return fmt.Sprintf("the site's strength is %d of 100", n)
	case backlink.ManyLinks:
		return wording.Number(n) + " links from this one site"
	case backlink.ForeignWords:
		if name := languages[r.Quote]; name != "" {
			return "its page is in " + name
		}
		return "its page is in another language"
	case backlink.ForeignEnd:
		return "a site of another country: " + r.Quote
	case backlink.FarApart:
		return fmt.Sprintf("its two strengths are %d of 100 apart", n)
	case backlink.Burst:
		return wording.Number(n) + " sites linked to that rival for the first time within 30 days"
	case backlink.Famous:
		return "everybody knows this site, and the page has nothing to do with the trade"
	}
	return ""
}

// AlsoNames says what a domain to ask has to do with the client, empty for nothing.
func AlsoNames(d backlink.Domain) string {
	switch {
	case d.Trade != "" && d.Place != "":
		return fmt.Sprintf("names “%s” and %s", d.Trade, d.Place)
	case d.Trade != "":
		return fmt.Sprintf("names “%s”", d.Trade)
	case d.Place != "":
		return "names " + d.Place
	}
	return ""
}

var kinds = map[backlink.Kind]string{backlink.Association: "association or town", backlink.Profile: "profile to create",
	backlink.Article: "author to ask", backlink.Neighbor: "neighboring business", backlink.Other: "other site"}

// Kind names what a domain to ask is.
func Kind(k backlink.Kind) string { return kinds[k] }

var leftOut = map[brought.Reason]string{brought.IsSum: "adds up other rows", brought.NoSite: "names no site",
	brought.NoFigure: "has no figure that can be read", brought.Again: "is there already",
	brought.SiteElse: "is about a site that is neither the client's nor a rival's"}

// LeftOut says why a row was left out.
func LeftOut(r brought.Reason) string { return leftOut[r] }

var tables = map[brought.Kind]string{brought.Totals: "totals of sites", brought.Links: "links",
	brought.Listings: "listings",
	brought.Grid:     "listings, a business in each column", brought.Profiles: "map profiles",
	brought.Pairs:  "facts of one business",
	brought.NoKind: "not known"}

// TableKind names what a table has.
func TableKind(k brought.Kind) string { return tables[k] }

// From words where a figure is from: who says so, and when.
func From(source string, on time.Time) string { return source + ", " + on.Format("Jan 2, 2006") }

// Wanted says how many are wanted of something: 36: add 27.
func Wanted(w standing.Wanted) string {
	if !w.Known {
		return wording.Number(w.Target)
	}
	if w.Missing == 0 {
		return wording.Number(w.Target) + ": reached"
	}
	return fmt.Sprintf("%s: add %s", wording.Number(w.Target), wording.Number(w.Missing))
}

// ListingsToDo says what is to do about listings, empty for nothing.
func ListingsToDo(missing, wrong int, minutes float64) string {
	var says []string
	if missing > 0 {
		says = append(says, wording.Count(missing, "lists a rival and not you", "list a rival and not you"))
	}
	if wrong > 0 {
		says = append(says, wording.Number(wrong)+" to correct")
	}
	if len(says) == 0 {
		return ""
	}
	out := strings.Join(says, ", ")
	if minutes >= .5 {
		out += " · " + wording.Duration(minutes)
	}
	return out
}

// ReviewsWanted says how many reviews are wanted first, and then.
func ReviewsWanted(w mapprofile.ReviewTarget) string {
	switch {
	case w.Enough:
		return "you lead"
	case w.Missing == 0:
		return "then " + wording.Number(w.Then)
	case w.Then > w.First:
		return fmt.Sprintf("%s, then %s", wording.Number(w.First), wording.Number(w.Then))
	}
	return wording.Number(w.First)
}

// AskReviews says how many reviews to ask for.
func AskReviews(w mapprofile.ReviewTarget) string {
	return fmt.Sprintf("Ask for %s: that makes %s, the middle of the map pack", wording.Count(w.Missing, "review", ""),
		wording.Number(w.First))
}

// LinksToDo says what is to do about links, empty for nothing.
func LinksToDo(ask, doubtful int) string {
	var says []string
	if ask > 0 {
		says = append(says, wording.Count(ask, "site links", "sites link")+" to a rival and not to you")
	}
	if doubtful > 0 {
		says = append(says, wording.Count(doubtful, "doubtful link", "")+" of your own")
	}
	return strings.Join(says, ", ")
}

// FromFewSites tells that many links come from few sites.
func FromFewSites(name string, links, domains int) string {
	return fmt.Sprintf("%s: many links from few sites (%s from %s)", name, wording.Count(links, "link", ""),
		wording.Count(domains, "site", ""))
}

// CarriedBySite tells that a page is carried by its whole site.
func CarriedBySite(name string, page, site int) string {
	return fmt.Sprintf("%s: its page is carried by its whole site (%s to the page, %s to the site)", name,
		wording.Count(page, "site links", "sites link"), wording.Number(site))
}

// ReviewsEnough tells that the client has the most reviews, and lags all the same.
const ReviewsEnough = "You have the most reviews of the map pack and do not lead it: reviews are not what is missing."

// ListingPart says what a directory is asked for: to list the business, or to correct its entry.
func ListingPart(r listing.Row, rivals int) string {
	if r.Own == nil {
		out := fmt.Sprintf("%s: lists %d of %s", r.Name, len(r.Rivals), wording.Count(rivals, "rival", ""))
		if r.Position > 0 {
			out += fmt.Sprintf(", holds place %d of a search", r.Position)
		}
		return out
	}
	var wrong []string
	for _, c := range r.Checks {
		switch {
		case c.Verdict != listing.Differs:
		case c.Own == "":
			wrong = append(wrong, fields[c.Field]+" should not be shown")
		default:
			wrong = append(wrong, fmt.Sprintf("%s “%s” should be “%s”", fields[c.Field], c.Theirs, c.Own))
		}
	}
	return r.Name + ": " + strings.Join(wrong, "; ")
}

// NotSeen says that a list that came after a link was ticked off does not have it.
func NotSeen(on time.Time) string {
	return "ticked off, but the list of " + on.Format("Jan 2, 2006") + " does not have it"
}

// Finds says what a table would bring.
func Finds(figures, facts, links, domains, listings int) string {
	var says []string
	if figures > 0 {
		says = append(says, wording.Count(figures, "figure", ""))
	}
	if facts > 0 {
		says = append(says, wording.Count(facts, "fact", "")+" of map profiles")
	}
	if links > 0 {
		says = append(says, wording.Count(links, "link", "")+" from "+wording.Count(domains, "site", ""))
	}
	if listings > 0 {
		says = append(says, wording.Count(listings, "listing", ""))
	}
	if len(says) == 0 {
		return "nothing"
	}
	return strings.Join(says, ", ")
}

// Package yardsticks words the figures of the yardstick.
//
// In go their keys; out come what they mean and where they stand.
package yardsticks

import (
	"strings"

	"inktally/core/copy"
	"inktally/core/yardstick"
)

// Says words what a figure of the yardstick means by its key; a text's is the same in all languages.
func Says(key string) string {
	if says, ok := words[key]; ok {
		return says
	}
	for prefix, says := range prefixes {
		if rest, ok := strings.CutPrefix(key, prefix); ok {
			return strings.ReplaceAll(says, "%", strings.ReplaceAll(rest, "_", "–"))
		}
	}
	for _, tag := range copy.Tags() {
		if base, ok := strings.CutSuffix(key, "."+tag); ok {
			return Says(base)
		}
	}
	return ""
}

// Group words the part of the yardstick that a figure stands in.
func Group(f yardstick.Figure) string {
	if f.Language != "" {
		return "Texts in " + languageNames[f.Language]
	}
	room, _, _ := strings.Cut(f.Key, ".")
	return groups[room]
}

var languageNames = map[string]string{"en": "English", "fr": "French", "de": "German", "es": "Spanish"}

// PresetSays words a set of changes.
func PresetSays(p yardstick.Preset) string {
	return map[yardstick.Preset]string{yardstick.ShorterHome: "Words: shorter home page (1,000–1,500)",
		yardstick.MatchOnly:      "Words: match the strongest page",
		yardstick.JustAbove:      "Words: just above the strongest page",
		yardstick.QuarterMore:    "Words: a quarter more than the strongest page",
		yardstick.DoubleLinks:    "Links: double the best local rival",
		yardstick.AllLinks:       "Links: all that local rivals have, and 100",
		yardstick.DoubleListings: "Listings: double the best local rival",
		yardstick.ListingsFloor:  "Listings: at least 80",
		yardstick.DoubleReviews:  "Reviews: double the median of the map pack"}[p]
}

var groups = map[string]string{
	"visits": "Visits", "book": "Phrase book", "lineup": "Rivals", "words": "Words",
	"weight": "What counts for how much", "minutes": "How long work takes",
	"phrases": "Phrases on a page", "images": "Images", "outline": "Outline", "gain": "Other gains",
	"order": "Order of work", "standing": "Links, listings, map profile",
}

var prefixes = map[string]string{
	"visits.ctr.": "Click-through rate at position %",
	"visits.map.": "Click-through rate of place % in the map pack",
}

var words = map[string]string{
	"visits.others":           "Share of the searches for a phrase in other words that counts",
	"visits.aim.1.difficulty": "Easy: difficulty up to",
	"visits.aim.1.position":   "Position aimed at where it is easy",
	"visits.aim.2.difficulty": "Medium: difficulty up to",
	"visits.aim.2.position":   "Position aimed at where it is medium",
	"visits.aim.3.difficulty": "Hard: difficulty up to",
	"visits.aim.3.position":   "Position aimed at where it is hard",
	"visits.aim.else":         "Position aimed at where it is harder still",
	"visits.aim.unknown":      "Position aimed at where the difficulty is unknown",
	"visits.soon":             "Months that an easy phrase takes",
	"visits.late":             "Months that a hard phrase takes",
	"visits.soon_at":          "Difficulty up to which a phrase is easy",
	"visits.late_at":          "Difficulty from which a phrase is hard",

	"book.near_miss.from":       "Within reach from position",
	"book.near_miss.to":         "Within reach to position",
	"book.near_miss.difficulty": "Within reach up to difficulty",
	"book.area_gain":            "Gain from which a town gets a page of its own",
	"book.member_searches":      "Searches from which other words for a phrase must be on the page",
	"book.member_percent":       "Their least share of the searches for the lead phrase",
	"book.members":              "Other words of a phrase that a page must have, at most",
	"book.also_share":           "Share of the gain of what is also searched",
	"book.community_km":         "How far from town communities are proposed",
	"book.page_families":        "Phrases that a page is measured for, at most",

	"lineup.most":    "Rivals taken by themselves, at most",
	"lineup.pack":    "Of them from the map pack",
	"lineup.organic": "Organic position up to which a business counts as found in both",

	"words.home.low":        "Home page: guideline starts at",
	"words.home.high":       "Home page: guideline ends at",
	"words.home.ceiling":    "Home page: no target above",
	"words.service.low":     "Service and area pages: guideline starts at",
	"words.service.high":    "Service and area pages: guideline ends at",
	"words.service.ceiling": "Service and area pages: no target above",
	"words.mark":            "Which of the rivals' pages is the mark",
	"words.outlier":         "A page above the ceiling does not count from so many times the median",
	"words.beat_words":      "Beat the mark by at least",
	"words.beat_percent":    "Beat the mark by",
	"words.step":            "Targets are rounded up to",
	"words.writer_percent":  "To be handed in at least, of what the guideline starts at",

	"weight.words": "Words", "weight.title": "Title", "weight.h1": "H1", "weight.subheads": "Subheads",
	"weight.body":        "Text",
	"weight.image_names": "Image names", "weight.opening": "Opening", "weight.address": "URL", "weight.alt": "Alt text",
	"weight.description": "Meta description",

	"minutes.hundred_words": "100 words", "minutes.title": "A title, a meta description or a URL",
	"minutes.h1":     "An H1",
	"minutes.phrase": "A phrase in a subhead, the text or the opening", "minutes.image_name": "An image name",
	"minutes.alt":      "An alt text",
	"minutes.new_page": "Making a page, without its words", "minutes.place": "A wrong town, or a dead link",
	"minutes.redirect": "A redirect, or a split",
	"minutes.fix":      "Any other fix",
	"minutes.merge":    "Merging two pages", "minutes.https": "Moving a site to https",
	"minutes.structured_data": "The business as structured data", "minutes.testimonial": "A testimonial",
	"minutes.listing": "A listing in a directory", "minutes.cut_back": "Taking a phrase out once",

	"phrases.words_per_family": "Words of the target for each phrase",
	"phrases.title_start":      "The title must have its phrase within",
	"phrases.rate.usual":       "How often the first phrase is said, without rivals",
	"phrases.rate.least":       "How often it is said at least",
	"phrases.rate.most":        "How often it is said at most",
	"phrases.rate.per_tokens":  "How often it is said at most, over the words it has",
	"phrases.density":          "Keyword density from which a phrase is overused",
	"phrases.frames":           "Sentences that carry a phrase word for word",

	"copy.titles":             "Titles: the first that fits is proposed",
	"copy.descriptions":       "Meta descriptions, another on each page",
	"copy.short_descriptions": "Meta descriptions where none of these fits",
	"copy.heading.done":       "Heading: what is done",
	"copy.heading.when":       "Heading: when it is needed",
	"copy.heading.visit":      "Heading: how a visit goes",
	"copy.heading.price":      "Heading: what decides the price",
	"copy.heading.services":   "Heading of a list of services",
	"copy.heading.questions":  "Heading of the questions",
	"copy.heading.towns":      "Heading of the towns",
	"copy.heading.about":      "Heading about the business",
	"copy.picture":            "Alt text: in place of what a picture shows",

	"images.carrying_home":  "Images with a phrase in their name, home page",
	"images.carrying_other": "Images with a phrase in their name, other pages",

	"outline.lead": "First section", "outline.services": "Services together", "outline.questions": "Questions",
	"outline.places":      "Towns",
	"outline.about":       "About the business",
	"outline.kept_words":  "A heading of the page is kept from",
	"outline.slice_words": "A section is parted above",
	"outline.shared_by":   "A topic gets a section when so many rivals have one",

	"standing.links.over":           "Sites that link: beat the best local rival by",
	"standing.links.least":          "Sites that link: beat it by at least",
	"standing.links.of_all":         "Sites that link: this share of all that link to local rivals, instead",
	"standing.links.extra":          "Sites that link: so many beyond that share",
	"standing.listings.over":        "Listings: beat the best local rival by",
	"standing.listings.least":       "Listings: in all at least",
	"standing.reviews.times":        "Reviews: so many times the median of the map pack",
	"standing.post_days":            "A post is due after so many days",
	"standing.languages":            "Languages of the town beside the client's, in which links are no doubtful ones",
	"standing.hours":                "Share of the hours for links, listings and the map profile",
	"standing.share.listings":       "Share of the map's visits that listings bring",
	"standing.share.reviews":        "Share of the map's visits that reviews bring",
	"standing.share.profile":        "Share of the map's visits that the profile brings",
	"standing.minutes.listing":      "A new listing",
	"standing.minutes.correction":   "Correcting a listing",
	"standing.minutes.field":        "A field of the map profile",
	"standing.minutes.review":       "Asking for a review",
	"standing.minutes.claim":        "Making or claiming a map profile",
	"standing.minutes.post":         "A post on the map profile",
	"standing.minutes.doubt":        "Looking at a doubtful link",
	"standing.minutes.link":         "Asking for a link",
	"standing.minutes.link_profile": "Making a profile that links",

	"gain.redirect":    "A redirect, a merge, a split or a rewrite, of the first phrase's gain",
	"gain.vague_words": "Naming the towns, of the first phrase's gain",
	"order.slices":     "Share of the time that goes to words while a page is short",
}

package standings

import "inktally/core/brought"

var columns = map[brought.Column]string{brought.Other: "leave out", brought.Site: "site or business",
	brought.StrengthOfPage: "strength of the page", brought.StrengthOfSite: "strength of the site",
	brought.DomainsOfPage: "sites that link to the page", brought.DomainsOfSite: "sites that link to it",
	brought.LinksOfPage: "links to the page", brought.LinksOfSite: "links to the site",
	brought.FoundFor: "phrases found for",
	brought.Visits:   "visits/mo", brought.Rating: "rating", brought.Reviews: "reviews", brought.Photos: "photos",
	brought.ListingsOf: "directories that list it", brought.Day: "day", brought.LinkPage: "linking page",
	brought.LinkDomain: "linking site", brought.LinkTitle: "title of the page", brought.Anchor: "link text",
	brought.FirstSeen: "first seen", brought.LastSeen: "last seen", brought.Followed: "followed",
	brought.NotFollow: "not followed",
	brought.Lost:      "lost", brought.LinksFrom: "links from the site", brought.Target: "links to",
	brought.Language:  "language",
	brought.Directory: "directory", brought.BusinessName: "name", brought.Address: "address", brought.Town: "town",
	brought.State: "state", brought.Postcode: "ZIP", brought.Phone: "phone", brought.BusinessSite: "website",
	brought.Hours: "hours", brought.IsListed: "listed or not", brought.ListingPage: "page of the listing",
	brought.Category: "main category", brought.Description: "description", brought.Areas: "areas served",
	brought.Services: "services", brought.Founded: "year of founding", brought.Attributes: "attributes",
	brought.LastPost: "last post", brought.Recent: "reviews of the last 90 days", brought.Answered: "reviews answered",
	brought.Claimed: "claimed by the owner", brought.PhotoNames: "photo file names"}

// Column names what a column has.
func Column(c brought.Column) string { return columns[c] }

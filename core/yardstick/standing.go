package yardstick

import (
	"slices"
	"strings"

	"inktally/core/fault"

	"golang.org/x/text/language"
)

// ofStanding are the figures of what comes from elsewhere.
func (y *Yardstick) ofStanding(t *table) {
	s := &y.Standing
	t.fraction("standing.links.over", "13.1", Percent, 0, 1000, &s.Links.Over)
	t.fraction("standing.links.least", "13.1", Count, 0, 10_000, &s.Links.Least)
	t.fraction("standing.links.of_all", "13.1", Percent, 0, 100, &s.Links.OfAll)
	t.fraction("standing.links.extra", "13.1", Count, 0, 10_000, &s.Links.Extra)
	t.list = append(t.list, figure{Figure: Figure{Key: "standing.languages", Rule: "13.2", Unit: Tags, Most: 20},
		tags: &s.Languages})
	t.fraction("standing.listings.over", "13.3", Percent, 0, 1000, &s.Listings.Over)
	t.whole("standing.listings.least", "13.3", Count, 0, 1000, &s.Listings.Least)
	t.fraction("standing.reviews.times", "13.4", Times, 0, 100, &s.Profile.Times)
	t.whole("standing.post_days", "13.4", Count, 1, 1000, &s.Profile.PostDays)
	t.fraction("standing.hours", "13.5", Share, 0, 1, &s.Work.Hours)
	t.fraction("standing.share.listings", "13.5", Percent, 0, 100, &s.Work.Shares.Listings)
	t.fraction("standing.share.reviews", "13.5", Percent, 0, 100, &s.Work.Shares.Reviews)
	t.fraction("standing.share.profile", "13.5", Percent, 0, 100, &s.Work.Shares.Profile)
	m := &s.Work.Minutes
	for _, f := range []struct {
		key string
		at  *float64
	}{{"listing", &m.Listing}, {"correction", &m.Correction}, {"field", &m.Field}, {"review", &m.Review},
		{"claim", &m.Claim}, {"post", &m.Post}, {"doubt", &m.Doubt}, {"link", &s.Asking.Link},
		{"link_profile", &s.Asking.Profile}} {
		t.fraction("standing.minutes."+f.key, "12.3", Minutes, 0, 10_000, f.at)
	}
}

// setTags puts tags of languages, parted by commas or spaces.
func (f figure) setTags(value string) error {
	var tags []string
	for _, typed := range strings.FieldsFunc(value, func(r rune) bool { return strings.ContainsRune(",; ", r) }) {
		tag, err := language.Parse(typed)
		if err != nil {
			return fault.LanguageUnknown.New(typed)
		}
		if !slices.Contains(tags, tag.String()) {
			tags = append(tags, tag.String())
		}
	}
	if len(tags) > int(f.Most) {
		return FigureOutOfRange.New(f.Key, f.Least, f.Most)
	}
	*f.tags = tags
	return nil
}

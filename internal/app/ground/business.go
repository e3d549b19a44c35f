package ground

import (
	"slices"
	"strings"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"
)

// business is what was told of a client, checked and in order.
type business struct {
	client   store.Client // but for its id, its lists and its day
	homePage string
	services []intent.Service
	places   []place.Place
	phrases  []string // that were typed for the home page
}

// fields are what is changed of a business by itself, each with a pointer to it.
var fields = []struct {
	name fault.Thing
	of   func(*business) any
}{
	{fault.ClientName, func(b *business) any { return &b.client.Name }},
	{fault.Trade, func(b *business) any { return &b.client.Trade }},
	{fault.Phone, func(b *business) any { return &b.client.Phone }},
	{fault.HomePage, func(b *business) any { return &b.homePage }},
	{fault.Language, func(b *business) any { return &b.client.Language }},
	{fault.Currency, func(b *business) any { return &b.client.Money }},
	{fault.Postcode, func(b *business) any { return &b.client.Postcode }},
	{fault.StreetAddress, func(b *business) any { return &b.client.Address }},
	{fault.AddressHidden, func(b *business) any { return &b.client.Hidden }},
	{fault.OpeningHours, func(b *business) any { return &b.client.OpeningHours }},
	{fault.MorePhones, func(b *business) any { return &b.client.MorePhones }},
	{fault.Customers, func(b *business) any { return &b.client.Customers }},
	{fault.Services, func(b *business) any { return &b.services }},
	{fault.Places, func(b *business) any { return &b.places }},
	{fault.Phrases, func(b *business) any { return &b.phrases }},
}

// businessOf returns what is kept of a client as a person tells it.
func businessOf(k store.Ground) view.Business {
	c := k.Client
	out := view.Business{Name: c.Name, Trade: c.Trade, Phone: c.Phone, Language: c.Language, Customers: c.Customers,
		Money: c.Money, Postcode: c.Postcode, Address: c.Address, Hidden: c.Hidden, OpeningHours: c.OpeningHours,
		MorePhones: c.MorePhones,
		Services:   view.Services(k.Services), Places: view.Places(k.Places), Phrases: []string{}}
	for _, p := range k.Pages {
		if p.Kind == site.Home {
			out.HomePage, out.Phrases = p.URL, k.TypedFor(p.ID)
		}
	}
	return out
}

// clean checks what was told and brings it in order. The errors are faults.
func clean(g view.Business) (b business, err error) {
	b.client = store.Client{Name: text.Collapse(g.Name), Trade: text.Collapse(g.Trade), Phone: text.Collapse(g.Phone),
		Money:     text.Collapse(g.Money),
		Customers: g.Customers, Postcode: strings.ToUpper(text.Collapse(g.Postcode)),
		Address: text.Collapse(g.Address), Hidden: g.Hidden, OpeningHours: text.Collapse(g.OpeningHours),
		MorePhones: text.Collapse(g.MorePhones)}
	if strings.TrimSpace(g.HomePage) != "" {
		if b.homePage, err = fetch.Address(g.HomePage); err != nil {
			return b, err
		}
	}
	if b.phrases, err = lines(g.Phrases, fault.PhraseNoWord); err != nil {
		return b, err
	}
	services, places := g.Core()
	if b.services, err = cleanServices(services); err != nil {
		return b, err
	}
	if b.places, err = cleanPlaces(places); err != nil {
		return b, err
	}
	if b.client.Language, err = cleanLanguage(strings.TrimSpace(g.Language)); err != nil {
		return b, err
	}
	if b.client.Name == "" {
		b.client.Name = lineup.Domain(b.homePage)
	}
	if b.client.Name == "" {
		return b, ClientNeedsName.New()
	}
	return b, nil
}

// anyLanguage is the tag of a language that has no other: its words are taken
// as they stand.
const anyLanguage = "xx"

func cleanLanguage(typed string) (string, error) {
	switch tag := text.Tag(typed); {
	case typed == "":
		return "en", nil
	case typed == anyLanguage:
		return anyLanguage, nil
	case tag == "":
		return "", fault.LanguageUnknown.New(typed)
	default:
		return tag, nil
	}
}

// cleanServices brings services in order. Words behind a comma of the name are
// other words for it.
func cleanServices(services []intent.Service) ([]intent.Service, error) {
	out := []intent.Service{}
	for _, s := range services {
		words, err := lines(strings.Split(s.Name+","+strings.Join(s.Words, ","), ","), fault.ServiceNoWord)
		if err != nil {
			return nil, err
		}
		if s.Worth < 0 {
			return nil, JobNegative.New(s.Name)
		}
		if len(words) == 0 || slices.ContainsFunc(out, func(o intent.Service) bool {
			return strings.EqualFold(o.Name, words[0])
		}) {
			continue
		}
		out = append(out, intent.Service{Name: words[0], Words: words[1:], Worth: s.Worth})
	}
	return out, nil
}

// cleanPlaces brings places in order; the first is the home town if none is
// named.
func cleanPlaces(places []place.Place) ([]place.Place, error) {
	out := []place.Place{}
	for _, p := range places {
		var err error
		p.Name, p.State = text.Collapse(p.Name), text.Collapse(p.State)
		if p.Name == "" && p.State == "" {
			continue
		}
		if len(p.Tokens()) == 0 {
			return nil, fault.PlaceNoWord.New(p.Name)
		}
		if p.Spellings, err = lines(strings.Split(strings.Join(p.Spellings, ","), ","),
			SpellingNoWord); err != nil {
			return nil, err
		}
		out = append(out, p)
	}
	if len(out) > 0 && !slices.ContainsFunc(out, func(p place.Place) bool { return p.Home }) {
		out[0].Home = true
	}
	return out, nil
}

// longestLine is how many characters a line may have.
const longestLine = 200

// lines collapses each line and drops doubles and empty ones; a line of nothing
// but signs is the fault noWord.
func lines(list []string, noWord fault.Kind1) ([]string, error) {
	out := []string{}
	for _, line := range list {
		line = text.Collapse(line)
		if line == "" || slices.ContainsFunc(out, func(o string) bool { return strings.EqualFold(o, line) }) {
			continue
		}
		if len(text.Tokens(line)) == 0 {
			return nil, noWord.New(line)
		}
		if len([]rune(line)) > longestLine {
			return nil, TextTooLong.New(longestLine)
		}
		out = append(out, line)
	}
	return out, nil
}

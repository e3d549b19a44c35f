package ground

import (
	"slices"
	"strings"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/view"
)

// business is what was told of a client, checked and in order.
type business struct {
	name, trade, phone, homePage, language, money, postcode string
	services                                                []intent.Service
	places                                                  []place.Place
	phrases                                                 []string
	customers                                               float64
}

// clean checks what was told and brings it in order. The errors are faults.
func clean(g view.Business) (b business, err error) {
	b = business{name: text.Collapse(g.Name), trade: text.Collapse(g.Trade), phone: text.Collapse(g.Phone), money: text.Collapse(g.Money),
		customers: g.Customers, postcode: strings.ToUpper(text.Collapse(g.Postcode))}
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
	if b.language, err = cleanLanguage(strings.TrimSpace(g.Language)); err != nil {
		return b, err
	}
	if b.name == "" {
		b.name = lineup.Domain(b.homePage)
	}
	if b.name == "" {
		return b, fault.New(fault.ClientNeedsName)
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
		return "", fault.New(fault.LanguageUnknown, typed)
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
			return nil, fault.New(fault.JobNegative, s.Name)
		}
		if len(words) == 0 || slices.ContainsFunc(out, func(o intent.Service) bool { return strings.EqualFold(o.Name, words[0]) }) {
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
			return nil, fault.New(fault.PlaceNoWord, p.Name)
		}
		if p.Spellings, err = lines(strings.Split(strings.Join(p.Spellings, ","), ","), fault.SpellingNoWord); err != nil {
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
func lines(list []string, noWord fault.Code) ([]string, error) {
	out := []string{}
	for _, line := range list {
		line = text.Collapse(line)
		if line == "" || slices.ContainsFunc(out, func(o string) bool { return strings.EqualFold(o, line) }) {
			continue
		}
		if len(text.Tokens(line)) == 0 {
			return nil, fault.New(noWord, line)
		}
		if len([]rune(line)) > longestLine {
			return nil, fault.New(fault.TextTooLong, longestLine)
		}
		out = append(out, line)
	}
	return out, nil
}

package site

import (
	"net/url"
	"regexp"
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// rowOf is how many pages for known places make their addresses a row.
const rowOf = 2

// pattern is an address with the name of a place taken out of it.
type pattern struct{ folder, before, after string }

// inRows finds the pages for towns that are not known by the row that they stand in: addresses like
// those of pages for known places, with other words in the place of their names (rule 5.1).
func (s Survey) inRows(pages []Surveyed) {
	rows := map[pattern]int{}
	for _, p := range pages {
		if p.Kind != Area || p.Place == "" {
			continue
		}
		folder, words := parted(p.URL)
		for _, form := range s.formsOf(p.Place) {
			if at := place.Index(words, form); at >= 0 {
				rows[pattern{folder, strings.Join(words[:at], " "), strings.Join(words[at+len(form):], " ")}]++
				break
			}
		}
	}
	for i, p := range pages {
		if p.Place != "" || p.Reason == ByHand || p.Kind != Service && p.Kind != Other && p.Kind != Area {
			continue
		}
		folder, words := parted(p.URL)
		for row, n := range rows {
			bare := row.before+row.after == ""
			if n < rowOf || row.folder != folder || bare && folder == "" {
				continue
			}
			if town := s.townIn(strings.Join(words, " "), row); town != "" {
				if bare {
					pages[i].Service = ""
				}
				pages[i].Kind, pages[i].Place = Area, town
				pages[i].Reason, pages[i].Purpose.Words = ByPlace, []string{town}
				break
			}
		}
	}
}

// townIn returns the words that stand in an address where a row has the names of places, as a name; empty
// where they are words of services.
func (s Survey) townIn(words string, row pattern) string {
	rest, ok := strings.CutPrefix(words+" ", strings.TrimLeft(row.before+" ", " "))
	if !ok {
		return ""
	}
	if rest, ok = strings.CutSuffix(" "+strings.TrimSpace(rest), strings.TrimRight(" "+row.after, " ")); !ok {
		return ""
	}
	name := strings.Fields(rest)
	if len(name) == 0 || len(name) > 3 || s.Binder.Service(strings.Join(name, " ")) != "" {
		return ""
	}
	for i, w := range name {
		stem := s.Binder.lang.Stem(w)
		_, act := s.Binder.acts[stem]
		if i == 0 && (act || s.Binder.weights[stem] > 0 || hubs[w]) || len(w) < 2 {
			return ""
		}
		name[i] = strings.ToUpper(w[:1]) + w[1:]
	}
	return strings.Join(name, " ")
}

// formsOf returns the forms of a place's name as tokens.
func (s Survey) formsOf(name string) [][]string {
	forms := [][]string{text.Tokens(name)}
	for _, p := range s.Places {
		if p.Name == name {
			forms = append(forms, p.Forms()...)
		}
	}
	return slices.DeleteFunc(forms, func(f []string) bool { return len(f) == 0 })
}

// parted returns the folder of an address, and the words of its last part.
func parted(address string) (folder string, words []string) {
	u, err := url.Parse(address)
	if err != nil {
		return "", nil
	}
	p := strings.Trim(u.Path, "/")
	if at := strings.LastIndexByte(p, '/'); at >= 0 {
		folder = p[:at]
	}
	return folder, strings.Fields(LastOf(address))
}

// joints are where the words of a file name meet: ClientCrew, crew2.
var joints = regexp.MustCompile(`([\p{Ll}])([\p{Lu}])|(\p{L})(\d)|(\d)(\p{L})`)

// spaced returns a file name with its words apart (rule 4.2).
func spaced(name string) string { return joints.ReplaceAllString(name, "$1$3$5 $2$4$6") }

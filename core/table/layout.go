package table

import (
	"regexp"
	"strings"

	"inktally/core/text"
)

// Role is what a column holds.
type Role string

// The roles of columns.
const (
	Phrase     Role = "phrase"
	Volume     Role = "volume"
	Difficulty Role = "difficulty"
	Position   Role = "position"
	Address    Role = "address"
	Area       Role = "area"
	Visits     Role = "visits" // that the source itself says a phrase brings
	Other      Role = ""
)

// Roles returns all of them; Other is empty.
func Roles() []Role {
	return []Role{Other, Phrase, Volume, Difficulty, Position, Address, Area, Visits}
}

// headings are words in a heading that tell what its column holds.
var headings = []struct {
	role  Role
	words []string
}{
	{Difficulty, []string{"difficulty", "kd", "competition", "hardness"}},
	{Volume, []string{"volume", "searches", "search volume", "avg monthly", "monthly", "demand"}},
	{Visits, []string{"visits", "traffic", "visitors"}},
	{Position, []string{"position", "rank", "pos", "ranking"}},
	{Address, []string{"url", "address", "page", "landing"}},
	{Area, []string{"area", "location", "region", "geo", "searched from", "country"}},
	{Phrase, []string{"phrase", "keyword", "query", "term", "search"}},
}

// Layout is what the columns of a list hold.
type Layout struct {
	// Heading reports whether the first row names the columns.
	Heading bool
	Roles   []Role
}

// Guess returns what the columns hold, by their headings and else by what is in
// them: the phrase is the column with the most words, the volume the numbers
// that go highest.
func Guess(rows [][]string) Layout {
	width := 0
	for _, row := range rows[:min(len(rows), sampleRows)] {
		width = max(width, len(row))
	}
	l := Layout{Roles: make([]Role, width)}
	taken := map[Role]bool{}
	for c, cell := range rows[0] {
		if role := byHeading(cell); role != Other && !taken[role] {
			l.Roles[c], l.Heading = role, true
			taken[role] = true
		}
	}
	body := rows
	if l.Heading {
		body = rows[1:]
	}
	kinds := make([]column, width)
	for _, row := range body[:min(len(body), sampleRows)] {
		for c, cell := range row {
			kinds[c].add(cell)
		}
	}
	if !taken[Phrase] {
		best, most := -1, 0
		for c := range kinds {
			if l.Roles[c] == Other && kinds[c].words > most {
				best, most = c, kinds[c].words
			}
		}
		if best >= 0 {
			l.Roles[best] = Phrase
		}
	}
	if !l.Heading {
		guessNumbers(l.Roles, kinds)
	}
	return l
}

// share is what else of visits a column holds: not how many they are.
var share = regexp.MustCompile(` (share|cost|costs|value|percent|percentage|change|trend|paid) `)

func byHeading(cell string) Role {
	tokens := " " + strings.Join(text.Tokens(cell), " ") + " "
	if len(tokens) > 60 {
		return Other
	}
	for _, h := range headings {
		if h.role == Visits && strings.ContainsAny(cell, "%$€£") || h.role == Visits && share.MatchString(tokens) {
			continue
		}
		for _, w := range h.words {
			if strings.Contains(tokens, " "+w+" ") {
				return h.role
			}
		}
	}
	return Other
}

// column is what the cells of a column are like.
type column struct{ words, numbers, highest, addresses int }

func (c *column) add(cell string) {
	if n, ok := Number(cell); ok {
		c.numbers++
		c.highest = max(c.highest, n)
		return
	}
	if strings.Contains(cell, "://") {
		c.addresses++
		return
	}
	c.words += len(strings.Fields(cell))
}

// guessNumbers gives columns without headings their roles: the numbers that go
// highest are volumes, those next to it up to a hundred difficulties.
func guessNumbers(roles []Role, kinds []column) {
	best := -1
	for c, k := range kinds {
		if roles[c] == Other && k.numbers > k.words && (best < 0 || k.highest > kinds[best].highest) {
			best = c
		}
	}
	if best < 0 {
		return
	}
	roles[best] = Volume
	for c, k := range kinds {
		if roles[c] == Other && k.numbers > k.words && k.highest <= 100 {
			roles[c] = Difficulty
			return
		}
	}
}

package listing

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"inktally/core/lineup"
	"inktally/core/text"
)

// Firm is the client or a rival with what directories have of it.
type Firm struct {
	// Own is the client; Chain is a chain, which counts in no target.
	Own, Chain bool
	Entries    []Entry
	// Has tells which fields its lists have a column for, nil all.
	Has func(Field) bool
}

// Row is a directory.
type Row struct {
	// Key is what it is known by, whether a list has its name or its domain; Name is how it is shown.
	Key, Name string
	// Own is the client's entry, nil where it has none; Checks hold it against the business.
	Own    *Entry
	Checks []Check
	// Twice reports whether the client stands in it more than once.
	Twice bool
	// Rivals are the local rivals that it lists, by their place among the firms.
	Rivals []int
	// Position is the organic place from 1 to 5 that it holds in a search of the client's, 0 for none (rule 6.4).
	Position int
}

// Grid is directory by business.
type Grid struct {
	// Listed are those that list the client, Missing those that list a rival and not the client, in the order in
	// which they are asked for.
	Listed, Missing []Row
	// Counts are how many list each firm.
	Counts []int
}

// Key returns what a directory is known by: the name of its site without its ending, or its own in letters alone.
func Key(directory string) string {
	name := strings.ToLower(text.Collapse(directory))
	if host, _ := hostOf(name); host != "" {
		name, _, _ = strings.Cut(lineup.Domain("https://"+host), ".")
	}
	return strings.Join(text.Tokens(name), "")
}

// GridOf puts the entries of all firms together. positions are the organic places of directories by their key.
func GridOf(firms []Firm, b Business, positions map[string]int) Grid {
	rows := map[string]*Row{}
	g := Grid{Counts: make([]int, len(firms))}
	row := func(name string) *Row {
		key := Key(name)
		if rows[key] == nil {
			rows[key] = &Row{Key: key, Name: name, Position: positions[key]}
		}
		if r := rows[key]; !strings.Contains(r.Name, ".") && strings.Contains(name, ".") {
			r.Name = name
		}
		return rows[key]
	}
	for i, f := range firms {
		seen := map[string]bool{}
		for j := range f.Entries {
			e := &f.Entries[j]
			if Key(e.Directory) == "" {
				continue
			}
			r := row(e.Directory)
			switch {
			case e.Listed == IsNot:
			case seen[r.Key]:
				r.Twice = r.Twice || f.Own
			default:
				seen[r.Key] = true
				g.Counts[i]++
				r.add(f, i, e, b)
			}
		}
	}
	for key, position := range positions {
		if rows[key] != nil {
			rows[key].Position = position
		}
	}
	for _, r := range rows {
		switch {
		case r.Own != nil:
			g.Listed = append(g.Listed, *r)
		case len(r.Rivals) > 0:
			g.Missing = append(g.Missing, *r)
		}
	}
	slices.SortFunc(g.Listed, func(a, b Row) int { return cmp.Compare(a.Key, b.Key) })
	slices.SortFunc(g.Missing, firstToAsk)
	return g
}

// add adds an entry of a firm.
func (r *Row) add(f Firm, at int, e *Entry, b Business) {
	switch {
	case f.Own:
		r.Own, r.Checks = e, Checks(b, *e, f.Has)
	case !f.Chain:
		r.Rivals = append(r.Rivals, at)
	}
}

// firstToAsk orders directories that do not list the client: those that hold a high place of a search first, then those
// that list most rivals (rule 13.3).
func firstToAsk(a, b Row) int {
	place := func(r Row) int {
		if r.Position == 0 {
			return math.MaxInt
		}
		return r.Position
	}
	return cmp.Or(cmp.Compare(place(a), place(b)), cmp.Compare(len(b.Rivals), len(a.Rivals)), cmp.Compare(a.Key, b.Key))
}

// Rules are how many listings are wanted (rule 13.3, Y).
type Rules struct {
	// Over is how many percent more than the best local rival, Least is how many in all, whatever the rivals have.
	Over  float64
	Least int
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules { return Rules{Over: 25, Least: 10} }

// Target returns how many directories are to list the client, by how many list its local rivals.
func (r Rules) Target(rivals []int) int {
	best := 0
	if len(rivals) > 0 {
		best = slices.Max(rivals)
	}
	return max(r.Least, int(math.Ceil(float64(best)*(100+r.Over)/100)))
}

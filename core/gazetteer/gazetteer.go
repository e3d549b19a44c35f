// Package gazetteer knows towns: where they are and how large (rule 5.4).
//
// In go names, as tokens, and towns; out come the towns of that name, those
// around a town, and how far two of them are apart. The towns ship with the
// program, from GeoNames (see NOTICE), and are unpacked when they are first asked for.
package gazetteer

import (
	"bytes"
	"compress/gzip"
	_ "embed"
	"fmt"
	"io"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"sync"

	"inktally/core/text"
)

// Town is a town or a community.
type Town struct {
	Name string
	// Country is its code of two letters, State the abbreviation of its state or
	// province, empty where the data set has none.
	Country, State string
	// Lat and Lon are in degrees, to a hundredth.
	Lat, Lon float64
	// Size is how many live there, to two figures; 0 if that is not known.
	Size int
}

// Gazetteer is a list of towns. It may be shared between goroutines.
type Gazetteer struct {
	towns  []Town
	byName map[string][]int32 // by name, in one form
	words  map[string]int     // by first word: how many words the longest name has
	more   *Gazetteer         // looked into after this one
}

//go:embed towns.csv.gz
var packed []byte

// World are the towns that ship with the program.
var World = sync.OnceValue(unpack)

func unpack() *Gazetteer {
	unpacked, err := gzip.NewReader(bytes.NewReader(packed))
	if err != nil {
		panic("gazetteer: the towns that are built in cannot be unpacked: " + err.Error())
	}
	csv, err := io.ReadAll(unpacked)
	if err != nil {
		panic("gazetteer: the towns that are built in cannot be read: " + err.Error())
	}
	towns, err := Parse(string(csv))
	if err != nil {
		panic("gazetteer: the towns that are built in: " + err.Error())
	}
	return New(towns)
}

// Parse reads towns from lines of name, country, state, latitude, longitude and
// size. The error names the line that is none.
func Parse(csv string) ([]Town, error) {
	towns := make([]Town, 0, strings.Count(csv, "\n")+1)
	number := 0
	for line := range strings.SplitSeq(csv, "\n") {
		number++
		if line == "" {
			continue
		}
		town, ok := parseTown(line)
		if !ok {
			return nil, fmt.Errorf("line %d is no town", number)
		}
		towns = append(towns, town)
	}
	return towns, nil
}

func parseTown(line string) (t Town, ok bool) {
	var cells [6]string
	for i := range cells {
		cells[i], line, ok = strings.Cut(line, ",")
		if !ok && i < len(cells)-1 {
			return t, false
		}
	}
	lat, err1 := strconv.ParseFloat(cells[3], 64)
	lon, err2 := strconv.ParseFloat(cells[4], 64)
	size, err3 := strconv.Atoi(cells[5])
	t = Town{Name: cells[0], Country: cells[1], State: cells[2], Lat: lat, Lon: lon, Size: size}
	return t, t.Name != "" && line == "" && err1 == nil && err2 == nil && err3 == nil
}

// New makes a gazetteer of towns.
func New(towns []Town) *Gazetteer {
	g := &Gazetteer{towns: towns, byName: make(map[string][]int32, len(towns)), words: make(map[string]int, len(towns))}
	for i, town := range towns {
		for _, name := range namesOf(town) {
			tokens := OneForm(text.Tokens(name))
			if len(tokens) == 0 {
				continue
			}
			key := strings.Join(tokens, " ")
			g.byName[key] = append(g.byName[key], int32(i))
			g.words[tokens[0]] = max(g.words[tokens[0]], len(tokens))
		}
	}
	return g
}

// known is the size from which a town is called by the first part of its name
// alone: Stoke, for Stoke-on-Trent.
const known = 15_000

var (
	upon    = regexp.MustCompile(`(?i)^(.{4,}?)[ -](upon|on|under|super|le|in|by)[ -]`)
	calledA = map[string]string{"Kingston upon Hull": "Hull", "New York City": "New York",
		"City of Westminster": "Westminster"}
)

// namesOf returns the ways in which a town is called: its name, without its
// apostrophe, and the short one of a large town.
func namesOf(t Town) []string {
	names := []string{t.Name}
	if strings.ContainsAny(t.Name, "'’") {
		names = append(names, strings.NewReplacer("'", "", "’", "").Replace(t.Name))
	}
	if t.Size < known {
		return names
	}
	if short, ok := calledA[t.Name]; ok {
		return append(names, short)
	}
	if m := upon.FindStringSubmatch(t.Name); m != nil {
		names = append(names, m[1])
	}
	return names
}

// With returns the towns of a gazetteer and more of them, which go first.
func (g *Gazetteer) With(towns []Town) *Gazetteer {
	if len(towns) == 0 {
		return g
	}
	own := New(towns)
	own.more = g
	return own
}

// short are ways to write the first words of names, each with the one that names
// are looked up by.
var short = map[string]string{"saint": "st", "sainte": "ste", "mount": "mt", "fort": "ft"}

// OneForm brings the tokens of a name into the form that names are looked up by:
// Saint and St., Mount and Mt. are one.
func OneForm(tokens []string) []string {
	at := slices.IndexFunc(tokens, func(t string) bool { return short[t] != "" })
	if at < 0 {
		return tokens
	}
	tokens = slices.Clone(tokens)
	for i, t := range tokens {
		if s := short[t]; s != "" {
			tokens[i] = s
		}
	}
	return tokens
}

// Named returns the towns of a name, given as tokens, the largest first.
func (g *Gazetteer) Named(tokens []string) []Town {
	var out []Town
	key := strings.Join(OneForm(tokens), " ")
	for at := g; at != nil; at = at.more {
		for _, i := range at.byName[key] {
			out = append(out, at.towns[i])
		}
	}
	slices.SortStableFunc(out, func(a, b Town) int { return b.Size - a.Size })
	return out
}

// Longest returns how many tokens, from the first one on, can name a town at most;
// 0 if no name begins so.
func (g *Gazetteer) Longest(tokens []string) int {
	if len(tokens) == 0 {
		return 0
	}
	longest, first := 0, OneForm(tokens[:1])[0]
	for at := g; at != nil; at = at.more {
		longest = max(longest, at.words[first])
	}
	return min(longest, len(tokens))
}

// Package table reads lists that people bring: CSV, TSV and the like, whatever
// they are parted by and however they are encoded. It guesses what the columns
// hold, and takes phrases with their figures out of them.
package table

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strconv"
	"strings"
	"unicode/utf8"

	"inktally/core/text"

	"golang.org/x/net/html/charset"
	"golang.org/x/text/encoding/unicode"
)

// The bounds of a list.
const (
	MaxRows    = 100_000
	MaxColumns = 200 // of a row that are looked at
	MaxWords   = 40  // of a phrase
	sampleRows = 200 // that a column is guessed by
)

// Parse reads a list of any of the usual forms into rows of trimmed cells;
// empty rows are left out.
func Parse(body []byte) ([][]string, error) {
	plain, err := decode(body)
	if err != nil {
		return nil, err
	}
	plain = lineEnds.Replace(plain)
	comma := delimiter(plain)
	rows, swallowed := parse(plain, comma)
	if swallowed {
		rows, _ = parse(strings.ReplaceAll(plain, `"`, ""), comma)
	}
	if len(rows) == 0 {
		return nil, errors.New("the list holds nothing")
	}
	return rows, nil
}

// lineEnds makes all ends of lines the same; some programs write the first half
// of them only.
var lineEnds = strings.NewReplacer("\r\n", "\n", "\r", "\n")

// linesInCell is how many lines a cell may have: one with more began with a
// quote that nothing ends, and swallowed rows.
const linesInCell = 5

func parse(plain string, comma rune) (rows [][]string, swallowed bool) {
	r := csv.NewReader(strings.NewReader(plain))
	r.Comma, r.LazyQuotes, r.FieldsPerRecord, r.ReuseRecord = comma, true, -1, true
	for len(rows) < MaxRows {
		record, err := r.Read()
		if err == io.EOF {
			break
		}
		if err != nil {
			continue // lazy quotes leave no line that cannot be told apart
		}
		row := make([]string, 0, min(len(record), MaxColumns))
		filled := false
		for _, cell := range record[:min(len(record), MaxColumns)] {
			swallowed = swallowed || strings.Count(cell, "\n") > linesInCell
			cell = text.Collapse(cell)
			filled = filled || cell != ""
			row = append(row, cell)
		}
		if filled {
			rows = append(rows, row)
		}
	}
	return rows, swallowed
}

// decode turns a list into UTF-8. Without a mark it is UTF-8 where it is valid,
// UTF-16 where every other byte is empty, else windows-1252.
func decode(body []byte) (string, error) {
	switch {
	case bytes.HasPrefix(body, []byte("\xff\xfe")), bytes.HasPrefix(body, []byte("\xfe\xff")):
		out, err := unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewDecoder().Bytes(body)
		return string(out), err
	case bytes.HasPrefix(body, []byte("\xef\xbb\xbf")):
		body = body[3:]
	case bytes.Count(body[:min(len(body), 400)], []byte{0}) > 20:
		order := unicode.LittleEndian
		if body[0] == 0 {
			order = unicode.BigEndian
		}
		out, err := unicode.UTF16(order, unicode.IgnoreBOM).NewDecoder().Bytes(body)
		return string(out), err
	}
	if bytes.IndexByte(body[:min(len(body), 4096)], 0) >= 0 {
		return "", errors.New("this is no list of text: bring CSV, TSV or XLSX")
	}
	if utf8.Valid(body) {
		return string(body), nil
	}
	encoding, _ := charset.Lookup("windows-1252")
	out, err := encoding.NewDecoder().Bytes(body)
	return string(out), err
}

// delimiter guesses what the cells are parted by: the sign that parts most
// lines into the same number of cells, more than one, and of those that part
// as many lines the one that parts them into more. A list of phrases alone has
// none; then nothing parts them.
func delimiter(plain string) rune {
	lines := strings.SplitN(plain, "\n", 30)
	best, bestLines, bestCells := '\t', 0, 0
	for _, sign := range "\t;,|" {
		counts := map[int]int{}
		for _, line := range lines[:min(len(lines), 29)] {
			if n := countOutside(line, sign); n > 0 {
				counts[n]++
			}
		}
		for cells, lines := range counts {
			if lines > bestLines || lines == bestLines && cells > bestCells {
				best, bestLines, bestCells = sign, lines, cells
			}
		}
	}
	return best
}

// countOutside counts a sign outside quotes.
func countOutside(line string, sign rune) (n int) {
	quoted := false
	for _, r := range line {
		switch {
		case r == '"':
			quoted = !quoted
		case r == sign && !quoted:
			n++
		}
	}
	return n
}

// Role is what a column holds.
type Role string

// The roles of columns.
const (
	Phrase     Role = "phrase"
	Volume     Role = "volume"
	Difficulty Role = "difficulty"
	Position   Role = "position"
	Address    Role = "address"
	Other      Role = ""
)

// headings are words in a heading that tell what its column holds.
var headings = []struct {
	role  Role
	words []string
}{
	{Difficulty, []string{"difficulty", "kd", "competition", "hardness"}},
	{Volume, []string{"volume", "searches", "search volume", "avg monthly", "monthly", "demand"}},
	{Position, []string{"position", "rank", "pos", "ranking"}},
	{Address, []string{"url", "address", "page", "landing"}},
	{Phrase, []string{"phrase", "keyword", "query", "term", "search"}},
}

// Layout is what the columns of a list hold.
type Layout struct {
	// Heading tells that the first row names the columns.
	Heading bool   `json:"heading"`
	Roles   []Role `json:"roles"`
}

// Guess tells what the columns hold, by their headings and else by what is in
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

func byHeading(cell string) Role {
	tokens := " " + strings.Join(text.Tokens(cell), " ") + " "
	if len(tokens) > 60 {
		return Other
	}
	for _, h := range headings {
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

// Number reads a number as lists write it: 1300, 1,300, 1.3K, 2M, 10-100 (its
// middle), < 10. Dashes and words are none.
func Number(s string) (int, bool) {
	s = strings.ToLower(strings.TrimSpace(strings.Trim(strings.TrimSpace(s), "<>~≈+")))
	for _, dash := range []string{"–", "—", " to "} {
		s = strings.ReplaceAll(s, dash, "-")
	}
	if low, high, ok := strings.Cut(s, "-"); ok && low != "" && high != "" {
		a, okA := Number(low)
		b, okB := Number(high)
		return (a + b) / 2, okA && okB && b >= a
	}
	factor := 1.0
	for suffix, f := range map[string]float64{"k": 1e3, "m": 1e6, "%": 1} {
		if rest, ok := strings.CutSuffix(s, suffix); ok {
			s, factor = strings.TrimSpace(rest), f
			break
		}
	}
	s = strings.NewReplacer(" ", "", "\u00a0", "", "\u202f", "", "'", "").Replace(s)
	if comma := strings.LastIndexByte(s, ','); comma >= 0 {
		if len(s)-comma-1 == 3 && strings.IndexByte(s, '.') < comma || strings.Count(s, ",") > 1 || strings.Contains(s, ".") {
			s = strings.ReplaceAll(s, ",", "")
		} else {
			s = strings.Replace(s, ",", ".", 1)
		}
	}
	n, err := strconv.ParseFloat(s, 64)
	if err != nil || n < 0 || n*factor > 1e9 || s == "" || s[0] == '+' || strings.ContainsAny(s, "xein") {
		return 0, false
	}
	return int(n*factor + .5), true
}

// Row is a phrase of a list with its figures, nil where there are none.
type Row struct {
	Phrase                       string
	Volume, Difficulty, Position *int
	Address                      string
}

// Refused is a row that was not taken.
type Refused struct {
	Line   int    `json:"line" doc:"The row in the list, from 1"`
	Text   string `json:"text"`
	Reason string `json:"reason"`
}

// Take takes the phrases of a list by its layout. What cannot be taken is told
// with its reason.
func Take(rows [][]string, l Layout) (taken []Row, refused []Refused, err error) {
	phraseAt := -1
	for c, role := range l.Roles {
		if role == Phrase {
			phraseAt = c
		}
	}
	if phraseAt < 0 {
		return nil, nil, errors.New("no column holds phrases: say which one does")
	}
	for i, cells := range rows {
		if i == 0 && l.Heading {
			continue
		}
		if phraseAt >= len(cells) || cells[phraseAt] == "" {
			refused = append(refused, Refused{i + 1, strings.Join(cells[:min(len(cells), 3)], " "), "there is no phrase in the row"})
			continue
		}
		row := Row{Phrase: clean(cells[phraseAt])}
		if reason := unfit(row.Phrase); reason != "" {
			refused = append(refused, Refused{i + 1, short(cells[phraseAt]), reason})
			continue
		}
		for c, role := range l.Roles {
			if c < len(cells) {
				row.set(role, cells[c])
			}
		}
		taken = append(taken, row)
	}
	return taken, refused, nil
}

func (r *Row) set(role Role, cell string) {
	n, ok := Number(cell)
	switch {
	case role == Address:
		r.Address = cell
	case !ok:
	case role == Volume:
		r.Volume = &n
	case role == Difficulty:
		n = min(n, 100)
		r.Difficulty = &n
	case role == Position && n > 0:
		r.Position = &n
	}
}

// clean is a phrase without the signs that lists put around it: quotes, the
// brackets of match types, and what would make a formula of it.
func clean(s string) string {
	s = strings.Trim(s, "\"'[]“”")
	return text.Collapse(strings.TrimLeft(s, "=+-@"))
}

// unfit tells why a text cannot be a phrase, empty where it can.
func unfit(s string) string {
	switch words := len(strings.Fields(s)); {
	case len(text.Tokens(s)) == 0:
		return "it holds no word"
	case words > MaxWords || len(s) > 400:
		return fmt.Sprintf("it has more than %d words", MaxWords)
	case strings.Contains(s, "://"):
		return "it is an address, no phrase"
	}
	if _, ok := Number(s); ok {
		return "it is a number, no phrase"
	}
	return ""
}

func short(s string) string {
	if r := []rune(s); len(r) > 80 {
		return string(r[:80]) + "…"
	}
	return s
}

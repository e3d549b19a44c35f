// Package table reads lists that people bring: CSV, TSV and the like, whatever
// they are parted by and however they are encoded. It guesses what the columns
// hold, and takes phrases with their figures out of them.
package table

import (
	"bytes"
	"encoding/csv"
	"io"
	"strings"
	"unicode/utf8"

	"inktally/core/text"

	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// The bounds of a list.
const (
	MaxRows    = 100_000
	MaxColumns = 200 // of a row that are looked at
	MaxWords   = 40  // of a phrase
	MaxLetters = 400 // of a phrase, blanks too
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
		return nil, ListEmpty.New()
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

// decode turns a list into UTF-8. Without a byte order mark it is UTF-16 if
// every other byte is empty, UTF-8 if it is valid, else windows-1252.
func decode(body []byte) (string, error) {
	var fallback encoding.Encoding = charmap.Windows1252
	switch {
	case bytes.Count(body[:min(len(body), 400)], []byte{0}) > 20:
		fallback = unicode.UTF16(unicode.LittleEndian, unicode.IgnoreBOM)
		if body[0] == 0 {
			fallback = unicode.UTF16(unicode.BigEndian, unicode.IgnoreBOM)
		}
	case bytes.IndexByte(body[:min(len(body), 4096)], 0) >= 0 && !marked(body):
		return "", ListNotText.New()
	case utf8.Valid(body):
		fallback = encoding.Nop
	}
	plain, _, err := transform.Bytes(unicode.BOMOverride(fallback.NewDecoder()), body)
	return string(plain), err
}

// marked reports whether a list begins with the mark of UTF-16.
func marked(body []byte) bool {
	return bytes.HasPrefix(body, []byte("\xff\xfe")) || bytes.HasPrefix(body, []byte("\xfe\xff"))
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

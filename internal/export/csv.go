// Package export writes what leaves the program in open formats.
package export

import (
	"bytes"
	"encoding/csv"
	"strings"
	"unicode"
)

// CSV writes rows as UTF-8 with a byte order mark, which spreadsheets need to
// tell it. Cells that a spreadsheet would work out as formulas are made
// harmless.
func CSV(rows [][]string) ([]byte, error) {
	var b bytes.Buffer
	b.WriteString("\ufeff")
	w := csv.NewWriter(&b)
	for _, row := range rows {
		cells := make([]string, len(row))
		for i, cell := range row {
			cells[i] = harmless(cell)
		}
		if err := w.Write(cells); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return b.Bytes(), w.Error()
}

// separators are those of all dialects that tables are read in, ours and others': who opens
// a table may take another one for its separator than the one that it was written with.
const separators = ",;\t|\r\n\""

// harmless puts an apostrophe before what begins like a formula, also where a cell would
// begin if the table were read in another dialect.
func harmless(cell string) string {
	if cell != "" && strings.ContainsRune("\t\r\n", rune(cell[0])) {
		cell = "'" + cell
	}
	var out strings.Builder
	begins := true
	for _, r := range cell {
		if begins && strings.ContainsRune("=+-@", r) {
			out.WriteByte('\'')
		}
		out.WriteRune(r)
		begins = strings.ContainsRune(separators, r) || begins && unicode.IsSpace(r)
	}
	return out.String()
}

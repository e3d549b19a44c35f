// Package export writes what leaves the program in open formats.
package export

import (
	"bytes"
	"encoding/csv"
	"strings"
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

// harmless puts an apostrophe before what begins like a formula.
func harmless(cell string) string {
	if cell != "" && strings.ContainsRune("=+-@\t\r\n", rune(cell[0])) {
		return "'" + cell
	}
	return cell
}

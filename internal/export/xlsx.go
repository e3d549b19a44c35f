package export

import (
	"bytes"
	"math"
	"strings"
	"unicode/utf8"

	"github.com/xuri/excelize/v2"
)

// Sheet is a table of a workbook.
type Sheet struct {
	// Name is at most 31 letters, without any of :\/?*[].
	Name    string
	Columns []Column
	// Rows hold strings, ints, float64s, and nil for what is not known.
	Rows [][]any
}

// Column is a column of a sheet; its width is in letters.
type Column struct {
	Title string
	Width float64
}

// MostRows is how many rows of a sheet are written; a last one says that there are more.
const MostRows = 20_000

// XLSX writes sheets as a workbook: a heading that stays, and a filter on every column. Texts are texts, whatever they
// begin with; figures are figures.
func XLSX(sheets []Sheet) ([]byte, error) {
	f := excelize.NewFile()
	defer func() { _ = f.Close() }()
	heading, err := f.NewStyle(&excelize.Style{Font: &excelize.Font{Bold: true},
		Border: []excelize.Border{{Type: "bottom", Color: "16233B", Style: 1}}})
	if err != nil {
		return nil, err
	}
	whole, err := f.NewStyle(&excelize.Style{NumFmt: 3}) // 1,500
	if err != nil {
		return nil, err
	}
	tenths := "#,##0.0"
	parts, err := f.NewStyle(&excelize.Style{CustomNumFmt: &tenths})
	if err != nil {
		return nil, err
	}
	for i, s := range sheets {
		if i == 0 {
			err = f.SetSheetName(f.GetSheetName(0), s.Name)
		} else {
			_, err = f.NewSheet(s.Name)
		}
		if err != nil {
			return nil, err
		}
		if err := s.write(f, heading, whole, parts); err != nil {
			return nil, err
		}
	}
	var out bytes.Buffer
	err = f.Write(&out)
	return out.Bytes(), err
}

func (s Sheet) write(f *excelize.File, heading, whole, parts int) error {
	w, err := f.NewStreamWriter(s.Name)
	if err != nil {
		return err
	}
	titles := make([]any, len(s.Columns))
	for i, c := range s.Columns {
		if err := w.SetColWidth(i+1, i+1, c.Width); err != nil {
			return err
		}
		titles[i] = excelize.Cell{StyleID: heading, Value: c.Title}
	}
	below := excelize.Panes{Freeze: true, YSplit: 1, TopLeftCell: "A2", ActivePane: "bottomLeft"}
	if err := w.SetPanes(&below); err != nil {
		return err
	}
	rows := s.Rows
	if more := len(rows) - MostRows; more > 0 {
		rows = append(rows[:MostRows:MostRows], []any{"and more rows than fit here:", more})
	}
	for n, row := range append([][]any{titles}, rows...) {
		cells := make([]any, len(row))
		for i, v := range row {
			switch v := v.(type) {
			case string:
				cells[i] = legible(v)
			case int:
				cells[i] = excelize.Cell{StyleID: whole, Value: v}
			case float64:
				style := parts
				if v == math.Trunc(v) {
					style = whole
				}
				cells[i] = excelize.Cell{StyleID: style, Value: v}
			default:
				cells[i] = v
			}
		}
		at, err := excelize.CoordinatesToCellName(1, n+1)
		if err != nil {
			return err
		}
		if err := w.SetRow(at, cells); err != nil {
			return err
		}
	}
	if err := w.Flush(); err != nil || len(rows) == 0 {
		return err
	}
	last, err := excelize.CoordinatesToCellName(len(s.Columns), len(rows)+1)
	if err != nil {
		return err
	}
	return f.AutoFilter(s.Name, "A1:"+last, nil)
}

// legible takes out what no cell can hold.
func legible(s string) string {
	s = strings.Map(func(r rune) rune {
		if r == utf8.RuneError || r < ' ' && r != '\n' && r != '\t' {
			return -1
		}
		return r
	}, s)
	if len(s) > excelize.TotalCellChars {
		s = strings.ToValidUTF8(s[:excelize.TotalCellChars], "")
	}
	return s
}

package tables

import (
	"bytes"

	"inktally/core/table"
	"inktally/core/text"

	"github.com/xuri/excelize/v2"
)

// maxUnzipped bounds what a workbook may unfold to, maxSheet what one sheet of it may.
const (
	maxUnzipped = 200 << 20
	maxSheet    = 50 << 20
)

// workbook reads the sheets of a workbook that hold anything. Formulas are not worked out: what the file keeps as their
// value is taken.
func workbook(body []byte) (out []Table, err error) {
	f, err := excelize.OpenReader(bytes.NewReader(body),
		excelize.Options{UnzipSizeLimit: maxUnzipped, UnzipXMLSizeLimit: maxSheet})
	if err != nil {
		return nil, WorkbookUnreadable.New().Because(err)
	}
	defer f.Close()
	for _, name := range f.GetSheetList() {
		rows, err := f.Rows(name)
		if err != nil {
			continue
		}
		t := Table{Name: name}
		for rows.Next() && len(t.Rows) < table.MaxRows {
			cells, err := rows.Columns()
			if err != nil {
				break
			}
			if row := collapsed(cells); row != nil {
				t.Rows = append(t.Rows, row)
			}
		}
		_ = rows.Close()
		if len(t.Rows) > 0 && len(out) < mostTables {
			out = append(out, t)
		}
	}
	if len(out) == 0 {
		return nil, WorkbookEmpty.New()
	}
	return out, nil
}

// collapsed returns the cells of a row without the blanks around them, nil for a row of nothing.
func collapsed(cells []string) []string {
	row := make([]string, 0, min(len(cells), table.MaxColumns))
	filled := false
	for _, cell := range cells[:min(len(cells), table.MaxColumns)] {
		cell = text.Collapse(cell)
		filled = filled || cell != ""
		row = append(row, cell)
	}
	if !filled {
		return nil
	}
	return row
}

package tables

import (
	"archive/zip"
	"bufio"
	"bytes"
	"io"
	"strings"
	"time"

	"inktally/core/table"
	"inktally/core/text"

	"github.com/xuri/excelize/v2"
)

// maxUnzipped bounds what a workbook may unfold to, maxSheet what one sheet of it may.
const (
	maxUnzipped = 200 << 20
	maxSheet    = 50 << 20
	// longestRead is how long its rows are read; deepest is how deeply the elements of a part may stand in one
	// another.
	longestRead = 20 * time.Second
	deepest     = 64
)

// workbook reads the sheets of a workbook that hold anything. Formulas are not worked out: what the file keeps as
// their value is taken.
func workbook(body []byte) (out []Table, err error) {
	if nested(body) {
		return nil, WorkbookUnreadable.New()
	}
	until := time.Now().Add(longestRead)
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
		for len(t.Rows) < table.MaxRows && time.Now().Before(until) && rows.Next() {
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

// nested reports whether the elements of a part stand in one another more deeply than those of any workbook: a few
// bytes of them unfold to what takes minutes. It looks at signs alone.
func nested(body []byte) bool {
	z, err := zip.NewReader(bytes.NewReader(body), int64(len(body)))
	if err != nil {
		return false // what is none is told by who reads it
	}
	for _, f := range z.File {
		if !strings.HasSuffix(strings.ToLower(f.Name), ".xml") {
			continue
		}
		in, err := f.Open()
		if err != nil {
			continue
		}
		deep := deeper(bufio.NewReader(io.LimitReader(in, maxUnzipped)))
		_ = in.Close()
		if deep {
			return true
		}
	}
	return false
}

// deeper reports whether elements stand in one another more deeply than deepest. It knows tags, the values in them,
// comments and what is told to be text.
func deeper(in *bufio.Reader) bool {
	depth := 0
	for {
		if err := skip(in, "<"); err != nil {
			return false
		}
		kind, _ := in.Peek(8)
		if len(kind) == 0 {
			return false
		}
		var err error
		switch {
		case bytes.HasPrefix(kind, []byte("!--")):
			err = skip(in, "-->")
		case bytes.HasPrefix(kind, []byte("![CDATA[")):
			err = skip(in, "]]>")
		case kind[0] == '!' || kind[0] == '?':
			err = skip(in, ">")
		case kind[0] == '/':
			depth--
			err = skip(in, ">")
		default:
			var alone bool
			if alone, err = tag(in); !alone {
				depth++
			}
		}
		if depth > deepest {
			return true
		}
		if err != nil {
			return false
		}
	}
}

// skip reads up to the end of some signs.
func skip(in *bufio.Reader, signs string) error {
	for at := 0; at < len(signs); {
		c, err := in.ReadByte()
		switch {
		case err != nil:
			return err
		case c == signs[at]:
			at++
		case at > 0 && c == signs[0] && signs[0] == signs[at-1]: // one more of those that it begins with: --->
		case c == signs[0]:
			at = 1
		default:
			at = 0
		}
	}
	return nil
}

// tag reads to the end of a tag, and reports whether it ends its element.
func tag(in *bufio.Reader) (alone bool, err error) {
	var before, quote byte
	for {
		c, err := in.ReadByte()
		switch {
		case err != nil:
			return false, err
		case quote != 0:
			if c == quote {
				quote = 0
			}
		case c == '"' || c == '\'':
			quote = c
		case c == '>':
			return before == '/', nil
		}
		before = c
	}
}

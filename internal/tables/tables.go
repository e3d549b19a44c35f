// Package tables reads the tables of files that people bring: CSV and its like, workbooks, JSON, HTML.
//
// In goes the body of a file; out come its tables as rows of texts, each with its name. What they mean is core's.
package tables

import (
	"bytes"

	"inktally/core/fault"
	"inktally/core/table"
)

// The failures that a person is told of.
var (
	ListTooLarge       = fault.Define1("list_too_large", "mb")
	WorkbookUnreadable = fault.Define0("workbook_unreadable")
	WorkbookEmpty      = fault.Define0("workbook_empty")
	JSONUnreadable     = fault.Define0("json_unreadable")
	NoTable            = fault.Define0("no_table")
)

const (
	// MaxFile is the largest file that is read.
	MaxFile = 32 << 20
	// mostTables are looked at of one file.
	mostTables = 40
)

// Table is a table of a file.
type Table struct {
	// Name is that of its sheet, its caption, or its place in the file; empty for the only one.
	Name string
	Rows [][]string
}

// Read reads the tables of a file, by how it begins.
func Read(body []byte) ([]Table, error) {
	if len(body) > MaxFile {
		return nil, ListTooLarge.New(MaxFile >> 20)
	}
	head := bytes.TrimSpace(bytes.TrimPrefix(body[:min(len(body), 4096)], []byte("\xef\xbb\xbf")))
	switch {
	case bytes.HasPrefix(body, []byte("PK\x03\x04")):
		return workbook(body)
	case bytes.HasPrefix(head, []byte("{")) || bytes.HasPrefix(head, []byte("[")) && looksJSON(head):
		return records(body)
	case bytes.HasPrefix(head, []byte("<")):
		return page(body)
	}
	rows, err := table.Parse(body)
	if err != nil {
		return nil, err
	}
	return []Table{{Rows: rows}}, nil
}

// looksJSON reports whether what begins with a bracket goes on as JSON does.
func looksJSON(head []byte) bool {
	rest := bytes.TrimSpace(head[1:])
	return len(rest) == 0 || bytes.IndexByte([]byte(`{["]`), rest[0]) >= 0
}

// First reads the first table of a file that holds anything.
func First(body []byte) ([][]string, error) {
	list, err := Read(body)
	if err != nil {
		return nil, err
	}
	return list[0].Rows, nil
}

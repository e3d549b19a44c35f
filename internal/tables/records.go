package tables

import (
	"bytes"
	"encoding/json"
	"strconv"
	"strings"

	"inktally/core/table"
)

// maxDepth is how deep JSON is looked into, mostFields how many fields of a record are read.
const (
	maxDepth   = 6
	mostFields = table.MaxColumns
)

// reader reads lists of records out of JSON, token by token: what is no list of records is passed over.
type reader struct {
	tokens *json.Decoder
	out    []Table
	rows   int
}

// records reads the lists of records of a JSON text: the fields are the heading, in the order in which they come first.
// A text with one record alone is a table of facts.
func records(body []byte) ([]Table, error) {
	r := reader{tokens: json.NewDecoder(bytes.NewReader(bytes.TrimPrefix(body, []byte("\xef\xbb\xbf"))))}
	r.tokens.UseNumber()
	alone, err := r.value("", 0)
	if err != nil {
		return nil, JSONUnreadable.New().Because(err)
	}
	if len(r.out) == 0 && len(alone) > 0 {
		t := Table{}
		for _, f := range alone {
			t.Rows = append(t.Rows, []string{f.name, f.value})
		}
		r.out = append(r.out, t)
	}
	if len(r.out) == 0 {
		return nil, NoTable.New()
	}
	return r.out, nil
}

// field is a field of a record with a value that is no list.
type field struct{ name, value string }

// value reads a value. It returns the fields of a record, those of records inside it by both names; of another value
// one without a name.
func (r *reader) value(name string, depth int) ([]field, error) {
	t, err := r.tokens.Token()
	if err != nil {
		return nil, err
	}
	switch t := t.(type) {
	case json.Delim:
		if depth > maxDepth {
			return nil, r.skip()
		}
		if t == '[' {
			return nil, r.list(name, depth)
		}
		return r.record(depth)
	case string:
		return []field{{value: cell(t)}}, nil
	case json.Number:
		return []field{{value: t.String()}}, nil
	case bool:
		return []field{{value: strconv.FormatBool(t)}}, nil
	}
	return []field{{}}, nil
}

// cell returns a text as a cell has it.
func cell(s string) string { return strings.Join(strings.Fields(s), " ") }

// skip passes over the rest of a list or record that is too deep.
func (r *reader) skip() error {
	for open := 1; open > 0; {
		t, err := r.tokens.Token()
		if err != nil {
			return err
		}
		if d, ok := t.(json.Delim); ok {
			if d == '[' || d == '{' {
				open++
			} else {
				open--
			}
		}
	}
	return nil
}

func (r *reader) record(depth int) (out []field, err error) {
	for r.tokens.More() {
		key, err := r.tokens.Token()
		if err != nil {
			return nil, err
		}
		name, _ := key.(string)
		inside, err := r.value(name, depth+1)
		if err != nil {
			return nil, err
		}
		for _, f := range inside {
			if len(out) < mostFields {
				out = append(out, field{strings.TrimSuffix(name+" "+f.name, " "), f.value})
			}
		}
	}
	_, err = r.tokens.Token()
	return out, err
}

// list reads a list; one of records is a table.
func (r *reader) list(name string, depth int) error {
	t := Table{Name: name, Rows: [][]string{nil}}
	at := map[string]int{}
	for r.tokens.More() {
		fields, err := r.value(name, depth+1)
		if err != nil {
			return err
		}
		if r.rows >= table.MaxRows {
			continue
		}
		var row []string
		for _, f := range fields {
			c, ok := at[f.name]
			if !ok {
				if f.name == "" || len(at) >= mostFields {
					continue
				}
				c = len(at)
				at[f.name] = c
				t.Rows[0] = append(t.Rows[0], strings.ReplaceAll(f.name, "_", " "))
			}
			for len(row) <= c {
				row = append(row, "")
			}
			row[c] = f.value
		}
		if row != nil {
			t.Rows = append(t.Rows, row)
			r.rows++
		}
	}
	if len(t.Rows) > 1 && len(r.out) < mostTables {
		r.out = append(r.out, t)
	}
	_, err := r.tokens.Token()
	return err
}

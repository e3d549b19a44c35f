// Package kept has the values that stand in a single column of the file: lists, faults and
// times, as JSON or as text. Each is written by Value and read by Scan, so that database/sql
// does both.
//
// What is kept as JSON has row types of its own: their names stay as they are in files,
// whatever becomes of names elsewhere.
package kept

import (
	"database/sql/driver"
	"encoding/json"
	"fmt"
	"time"
)

// text returns the text of a column.
func text(column any) (string, error) {
	switch v := column.(type) {
	case string:
		return v, nil
	case []byte:
		return string(v), nil
	case nil:
		return "", nil
	}
	return "", fmt.Errorf("a column holds %T, not text", column)
}

// write returns a value as JSON.
func write(v any) (driver.Value, error) {
	raw, err := json.Marshal(v)
	return string(raw), err
}

// read reads JSON; an empty list or column leaves into as it is.
func read(column, into any) error {
	kept, err := text(column)
	if err != nil || kept == "" || kept == "[]" {
		return err
	}
	return json.Unmarshal([]byte(kept), into)
}

// List is a list of plain values, such as texts or ids.
type List[T any] []T

// Value returns the list as JSON; none is an empty one.
func (l List[T]) Value() (driver.Value, error) { return write(append([]T{}, l...)) }

// Scan reads a list; an empty one is nil.
func (l *List[T]) Scan(column any) error {
	*l = nil
	return read(column, (*[]T)(l))
}

// Time is a moment, to the second.
type Time time.Time

// Value returns the moment as RFC 3339 in UTC, empty for none.
func (t Time) Value() (driver.Value, error) {
	if time.Time(t).IsZero() {
		return "", nil
	}
	return time.Time(t).UTC().Format(time.RFC3339), nil
}

// Scan reads a moment; what is none is the zero time.
func (t *Time) Scan(column any) error {
	kept, err := text(column)
	if err != nil {
		return err
	}
	at, _ := time.Parse(time.RFC3339, kept)
	*t = Time(at)
	return nil
}

// ID is that of another row, 0 for none.
type ID int64

// Scan reads an id.
func (i *ID) Scan(column any) error {
	id, _ := column.(int64)
	*i = ID(id)
	return nil
}

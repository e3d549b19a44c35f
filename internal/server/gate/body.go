package gate

import (
	"errors"
	"io"
)

// ErrTooLarge ends a body that is larger than it may be, or that holds more entries.
var ErrTooLarge = errors.New("request body too large")

// waste is how much more of a body that is too large is taken in and thrown away, so that whoever sends it gets to
// read why: a browser that is cut off while it sends does not.
const waste = 64 << 20

// Body returns a body that ends with ErrTooLarge where it is longer than so many bytes.
func Body(from io.ReadCloser, bytes int64) io.ReadCloser { return &body{from, bytes} }

type body struct {
	io.ReadCloser
	left int64
}

func (b *body) Read(p []byte) (int, error) {
	n, err := b.ReadCloser.Read(p)
	if b.left -= int64(n); b.left >= 0 {
		return n, err
	}
	if err == nil {
		_, _ = io.CopyN(io.Discard, b.ReadCloser, waste)
	}
	return 0, ErrTooLarge
}

// MostEntries is how many lists, objects and members of them a body in JSON may hold: as values they take many times
// the bytes that they are written with. The longest that fits the API's description has half as many.
const MostEntries = 60_000

// Entries returns a body in JSON that ends with ErrTooLarge where it holds more than MostEntries.
func Entries(from io.ReadCloser) io.ReadCloser { return &entries{ReadCloser: from} }

type entries struct {
	io.ReadCloser
	n               int
	inText, escaped bool
}

func (e *entries) Read(p []byte) (int, error) {
	n, err := e.ReadCloser.Read(p)
	for _, c := range p[:n] {
		e.see(c)
	}
	if e.n <= MostEntries {
		return n, err
	}
	if err == nil {
		_, _ = io.CopyN(io.Discard, e.ReadCloser, waste)
	}
	return 0, ErrTooLarge
}

// see follows a body byte by byte: what stands in a text is no entry.
func (e *entries) see(c byte) {
	switch {
	case e.escaped:
		e.escaped = false
	case e.inText:
		e.escaped, e.inText = c == '\\', c != '"'
	case c == '"':
		e.inText = true
	case c == ',' || c == '[' || c == '{':
		e.n++
	}
}

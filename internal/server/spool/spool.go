// Package spool puts down what comes in and goes out of a request, so that whoever sends or reads slowly holds nobody
// up: memory while it is small, a temporary file from there on.
//
// In go bytes; out comes the same, once all of it is there.
package spool

import (
	"bytes"
	"io"
	"os"
)

// inMemory is how much is kept in memory, in bytes: a usual request is never put into a file.
const inMemory = 256 << 10

// Spool is written first and read afterwards. The zero value is empty. It is not safe for concurrent use.
type Spool struct {
	head   bytes.Buffer
	file   *os.File
	inFile int64
	// rest is what follows where no file takes it: on a full disk memory does.
	rest bytes.Buffer
	full bool
}

// Write adds to what was put down; it never fails.
func (s *Spool) Write(p []byte) (int, error) {
	all := len(p)
	if room := inMemory - s.head.Len(); room > 0 {
		n := min(room, len(p))
		s.head.Write(p[:n])
		p = p[n:]
	}
	if len(p) > 0 {
		p = p[s.toFile(p):]
		s.rest.Write(p)
	}
	return all, nil
}

// toFile writes to the file and returns how much of it that took.
func (s *Spool) toFile(p []byte) int {
	if s.full {
		return 0
	}
	if s.file == nil {
		file, err := os.CreateTemp("", "spool-")
		if err != nil {
			s.full = true
			return 0
		}
		s.file = file
	}
	n, err := s.file.Write(p)
	s.inFile += int64(n)
	s.full = err != nil
	return n
}

// Len returns how many bytes were put down.
func (s *Spool) Len() int64 { return int64(s.head.Len()) + s.inFile + int64(s.rest.Len()) }

// Reader returns what was put down, from its start.
func (s *Spool) Reader() io.Reader {
	head, rest := bytes.NewReader(s.head.Bytes()), bytes.NewReader(s.rest.Bytes())
	if s.file == nil {
		return io.MultiReader(head, rest)
	}
	return io.MultiReader(head, io.NewSectionReader(s.file, 0, s.inFile), rest)
}

// Close lets go of it all.
func (s *Spool) Close() error {
	s.head, s.rest = bytes.Buffer{}, bytes.Buffer{}
	if s.file == nil {
		return nil
	}
	name := s.file.Name()
	_ = s.file.Close()
	s.file = nil
	return os.Remove(name)
}

// Body takes the body of a request in whole. What it returns reads as the body did, with the error that it ended with.
func Body(from io.Reader) *Taken {
	t := &Taken{}
	_, err := io.Copy(&t.Spool, from)
	if err == nil {
		err = io.EOF
	}
	t.from = io.MultiReader(t.Reader(), failing{err})
	return t
}

// Taken is a body that was taken in.
type Taken struct {
	Spool
	from io.Reader
}

func (t *Taken) Read(p []byte) (int, error) { return t.from.Read(p) }

type failing struct{ err error }

func (f failing) Read([]byte) (int, error) { return 0, f.err }

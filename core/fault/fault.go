// Package fault is what a person is told of a failure: a code with parameters,
// worded at the rim for the language of a screen.
//
// Whatever fails for a reason that a person can understand or mend returns a
// Fault. All other errors are the program's own and are never shown.
package fault

import (
	"errors"
	"fmt"
	"strings"
)

// Code names a kind of failure; it is the same in Go, in the API and in the
// store.
type Code string

// Fault is a failure that is told to a person. It is never changed: it may be shared.
type Fault struct {
	Code Code
	// Params fill the places of its sentence, by the names that the code has.
	Params map[string]string
	// Inner is another fault that the sentence goes on with, nil for none.
	Inner *Fault
	// cause is for logs only.
	cause error
}

// Because returns the fault with the error behind it, for logs.
func (f *Fault) Because(cause error) *Fault {
	out := *f
	out.cause = cause
	return &out
}

// Around returns the fault with another one in it, which its sentence goes on with.
func (f *Fault) Around(inner *Fault) *Fault {
	out := *f
	out.Inner = inner
	return &out
}

// Error is for logs; people are told the sentence of the code.
func (f *Fault) Error() string {
	var b strings.Builder
	b.WriteString(string(f.Code))
	for _, name := range Params(f.Code) {
		fmt.Fprintf(&b, " %s=%q", name, f.Params[name])
	}
	if f.Inner != nil {
		fmt.Fprintf(&b, " (%v)", f.Inner)
	}
	if f.cause != nil {
		fmt.Fprintf(&b, ": %v", f.cause)
	}
	return b.String()
}

// Unwrap returns the error behind the fault.
func (f *Fault) Unwrap() error { return f.cause }

// Of returns the fault that an error is or wraps.
func Of(err error) (*Fault, bool) {
	var f *Fault
	ok := errors.As(err, &f)
	return f, ok
}

// longest is how many characters of a parameter are kept, so that a quotation
// never fills the screen.
const longest = 60

func short(s string) string {
	s = strings.Join(strings.Fields(s), " ") // a sentence is one line
	if r := []rune(s); len(r) > longest {
		return string(r[:longest]) + "…"
	}
	return s
}

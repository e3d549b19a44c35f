package main

import (
	"fmt"
	"io"
	"unicode"
	"unicode/utf8"
)

// terminal writes what strangers wrote so that no terminal takes it for an order: control
// characters and those that turn the direction are spelled out as JSON spells them, so that
// JSON stays what it is.
type terminal struct {
	to   io.Writer
	rest []byte // the beginning of a character whose end has not come yet
}

// Write writes all of p, or holds back the beginning of a character at its end.
func (t *terminal) Write(p []byte) (int, error) {
	all := append(t.rest, p...)
	t.rest = nil
	out := make([]byte, 0, len(all))
	for len(all) > 0 {
		if !utf8.FullRune(all) {
			t.rest = append([]byte{}, all...)
			break
		}
		r, size := utf8.DecodeRune(all)
		switch {
		case r == utf8.RuneError && size == 1:
			out = utf8.AppendRune(out, utf8.RuneError)
		case r != '\n' && r != '\t' && unicode.IsControl(r), unicode.Is(unicode.Bidi_Control, r):
			out = fmt.Appendf(out, `\u%04x`, r)
		default:
			out = append(out, all[:size]...)
		}
		all = all[size:]
	}
	if _, err := t.to.Write(out); err != nil {
		return 0, err
	}
	return len(p), nil
}

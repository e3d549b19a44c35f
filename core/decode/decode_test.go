package decode

import (
	"strings"
	"testing"
	"unicode/utf8"
)

// Whatever the bytes and whatever is said of them, decoding gives a text that
// is not much longer, and UTF-8 stays as it is.
func FuzzPage(f *testing.F) {
	f.Add([]byte("\xff\xfea\x00b"), "text/html; charset=utf-16")
	f.Add([]byte("<meta charset=shift_jis>\x83\x65\x83\x58\x83\x67"), "")
	f.Add([]byte("\xef\xbb\xbfplain"), "text/html; charset=windows-1252")
	f.Fuzz(func(t *testing.T, body []byte, contentType string) {
		out := Page(body, contentType)
		if len(out) > 4*len(body)+4 {
			t.Fatalf("%d bytes became %d", len(body), len(out))
		}
		if again := Page(out, "text/html; charset=utf-8"); utf8.Valid(out) &&
			string(again) != strings.TrimPrefix(string(out), "\ufeff") {
			t.Fatalf("%q became %q", out, again)
		}
	})
}

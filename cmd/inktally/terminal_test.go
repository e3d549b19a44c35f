//go:build unix

package main

import (
	"bytes"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"unicode"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Whatever is written, in whatever pieces, no control character comes out of it.
func TestTerminal(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var out bytes.Buffer
		w := terminal{to: &out}
		for _, piece := range rapid.SliceOf(rapid.SliceOf(rapid.Byte())).Draw(t, "pieces") {
			n, err := w.Write(piece)
			require.NoError(t, err)
			require.Equal(t, len(piece), n)
		}
		for _, r := range out.String() {
			assert.True(t, r == '\n' || r == '\t' || !unicode.IsControl(r) && !unicode.Is(unicode.Bidi_Control, r),
				"%q", r)
		}
	})
	var out bytes.Buffer
	w := terminal{to: &out}
	for _, b := range []byte("café 漢\n") {
		_, _ = w.Write([]byte{b})
	}
	assert.Equal(t, "café 漢\n", out.String(), "what is none stays as it is")
}

// What a page says cannot order the terminal of who measures it, and its JSON stays JSON.
func TestPageAndTerminal(t *testing.T) {
	page := filepath.Join(t.TempDir(), "page.html")
	require.NoError(t, os.WriteFile(page,
		[]byte("<title>a\x1b]0;owned\x07b \u009b31m \u202egpj.exe</title><h1>\x1b[2Jx\u009by</h1><img "+
			"src='\x1b[31m.jpg'>"), 0o600))
	for _, args := range [][]string{{"measure", page}, {"measure", "--json", page}, {"measure", page + "\x1b[31m"}} {
		cmd := inktally(t, args...)
		var out bytes.Buffer
		cmd.Stdout, cmd.Stderr = &out, &out
		_ = cmd.Run()
		assert.False(t, strings.ContainsFunc(out.String(), func(r rune) bool {
			return r != '\n' && r != '\t' && (unicode.IsControl(r) || unicode.Is(unicode.Bidi_Control, r))
		}), "%q", out.String())
		if args[1] == "--json" {
			var read struct{ Title string }
			require.NoError(t, json.Unmarshal(out.Bytes(), &read))
			assert.Contains(t, read.Title, "\u202e", "nothing is lost")
		}
	}
}

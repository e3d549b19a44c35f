// Package lexicon knows which words are ordinary ones of the language, so that a
// name that is one of them too is told with more care (rules 3.6, 5.4).
//
// In go tokens; out comes whether they are ordinary words of English. Other
// languages have no list: nothing is ordinary in them.
package lexicon

import (
	"bytes"
	"compress/gzip"
	_ "embed"
	"io"
	"strings"
	"sync"
)

//go:embed english.txt.gz
var packed []byte

// english are the commoner words of English with their forms, unpacked when they
// are first asked for.
var english = sync.OnceValue(func() map[string]struct{} {
	unpacked, err := gzip.NewReader(bytes.NewReader(packed))
	if err != nil {
		panic("lexicon: the list that is built in cannot be unpacked: " + err.Error())
	}
	list, err := io.ReadAll(unpacked)
	if err != nil {
		panic("lexicon: the list that is built in cannot be read: " + err.Error())
	}
	lines := strings.Fields(string(list))
	out := make(map[string]struct{}, len(lines))
	for _, word := range lines {
		out[word] = struct{}{}
	}
	return out
})

// English reports whether a token is a common word of English (rule 2.4).
func English(token string) bool {
	_, ok := english()[token]
	return ok
}

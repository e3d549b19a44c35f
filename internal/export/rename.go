package export

import (
	"fmt"
	"strings"
	"unicode"
)

// Rename is a file with the name that it is to get.
type Rename struct{ From, To string }

// RenameScript writes renames as a script for a POSIX shell: each name is quoted, nothing
// is overwritten, and a file that is not there is passed over.
func RenameScript(list []Rename) []byte {
	var b strings.Builder
	b.WriteString(
		"#!/bin/sh\n# Renames images. Run it in the folder that holds them; no file is overwritten.\nset -u\n" +
			"rename() {\n  if [ ! -f \"$1\" ]; then printf '%s\\n' \"not here: $1\"; return; fi\n" +
			"  if [ -e \"$2\" ]; then printf '%s\\n' \"there already: $2\"; return; fi\n  mv -- \"$1\" \"$2\"\n}\n")
	for _, r := range list {
		if !plain(r.From) || !plain(r.To) || r.From == r.To {
			continue // no name of a file in this folder
		}
		fmt.Fprintf(&b, "rename %s %s\n", quote("./"+r.From), quote("./"+r.To))
	}
	return []byte(b.String())
}

// plain reports whether a name is that of a file in the folder at hand.
func plain(name string) bool {
	return name != "" && name != "." && name != ".." && !strings.ContainsRune(name, '/') &&
		!strings.ContainsFunc(name, unicode.IsControl)
}

// quote writes a word for a shell, whatever stands in it.
func quote(word string) string { return "'" + strings.ReplaceAll(word, "'", `'\''`) + "'" }

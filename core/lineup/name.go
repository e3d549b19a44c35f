package lineup

import (
	"strings"

	"inktally/core/text"
)

// NameOf returns the name of a firm out of the title of its result: of the
// parts between bars, dashes and colons the one that its address has words of,
// else the first word of its address's name.
func NameOf(title, address string) string {
	label, _, _ := strings.Cut(Domain(address), ".")
	label = strings.ReplaceAll(label, "-", "")
	parts := strings.FieldsFunc(strings.ReplaceAll(title, " - ", "|"), func(r rune) bool {
		return strings.ContainsRune("|:–—•", r)
	})
	best, held := "", 0
	for _, p := range parts {
		n := 0
		for _, t := range text.Tokens(p) {
			if len(t) > 2 && strings.Contains(label, t) {
				n += len(t)
			}
		}
		if n > held {
			best, held = text.Collapse(p), n
		}
	}
	switch {
	case held > 0:
		return best
	case label != "":
		return label
	}
	return text.Collapse(title)
}

// IsNamed reports whether the firm of a result bears a name: a copied page of results has no
// addresses of the map, and the firm may be found beside it.
func IsNamed(name, title, address string) bool {
	key := func(s string) string { return strings.Join(text.Tokens(s), "") }
	return key(name) != "" && Domain(address) != "" && key(name) == key(NameOf(title, address))
}

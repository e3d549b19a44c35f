package style

import "strings"

// supported reports whether an @supports condition holds. What is not known
// here to be missing in a browser is taken to be there.
func supported(prelude string) bool {
	return len(prelude) <= maxSelector && condition(fields(strings.ToLower(prelude)), supports) == yes
}

func supports(leaf string) truth {
	if inner, ok := strings.CutPrefix(leaf, "selector("); ok {
		_, ok := prepareList(strings.TrimSuffix(inner, ")"), false)
		return of(ok)
	}
	name, value, ok := strings.Cut(leaf, ":")
	if !ok {
		return of(strings.HasPrefix(leaf, "font-"))
	}
	name, value = strings.TrimSpace(name), strings.TrimSpace(value)
	if strings.HasPrefix(name, "--") {
		return yes
	}
	return of(!foreign(name) && !foreign(value) && known(name, value))
}

// foreign reports whether only other browsers have a name.
func foreign(name string) bool {
	for _, prefix := range []string{"-moz-", "-ms-", "-o-", "-khtml-", "-apple-"} {
		if strings.HasPrefix(name, prefix) {
			return true
		}
	}
	switch name {
	case "-webkit-touch-callout", "-webkit-overflow-scrolling", "-webkit-hyphens", "-webkit-sticky", "margin-trim",
		"hanging-punctuation", "leading-trim", "masonry":
		return true
	}
	return false
}

// known reports whether a value is one that a property can have, if it is
// among those that are read here.
func known(name, value string) bool {
	d, reads := declaration{}, false
	if d.property, reads = properties[name]; !reads || d.property == propBackground {
		return true
	}
	_, ok := d.read(value)
	return ok || strings.Contains(value, "var(")
}

package style

import "strings"

// Vars are the custom properties that an element has, with those of its
// parents.
type Vars struct {
	parent *Vars
	values map[string]weighed
}

// maxSubstitutions bounds how often a value is looked into again, maxValue how
// long it may get: none that matters here is.
const (
	maxSubstitutions = 16
	maxValue         = 1000
)

// lookup finds a custom property here or above.
func (v *Vars) lookup(name string) (string, bool) {
	for ; v != nil; v = v.parent {
		if w, ok := v.values[name]; ok && w.value != "inherit" && w.value != "unset" {
			return w.value, w.value != "initial"
		}
	}
	return "", false
}

// substitute puts custom properties in for each var(--name, fallback). It is
// not ok if one has neither value nor fallback.
func (v *Vars) substitute(value string) (string, bool) {
	for range maxSubstitutions {
		if len(value) > maxValue {
			return "", false
		}
		at := strings.Index(value, "var(")
		if at < 0 {
			return strings.TrimSpace(value), true
		}
		end := closing(value, at+len("var"))
		if end < 0 {
			return "", false
		}
		name, fallback, hasFallback := strings.Cut(value[at+len("var("):end], ",")
		put, ok := v.lookup(strings.TrimSpace(name))
		if !ok && !hasFallback {
			return "", false
		}
		if !ok {
			put = strings.TrimSpace(fallback)
		}
		value = value[:at] + put + value[end+1:]
	}
	return "", false
}

// settle puts custom properties into the values that wait for them. A value
// that stays open is as if it had not been set.
func (st *Style) settle(v *Vars) {
	for p := range propCount {
		if !st.set[p] || st.raw[p] == "" {
			continue
		}
		value, ok := v.substitute(st.raw[p])
		if ok {
			var d declaration
			if d, ok = (declaration{property: p}).read(value); ok {
				st.value[p] = d.value
			}
		}
		st.set[p] = ok
	}
}

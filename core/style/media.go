package style

import (
	"strconv"
	"strings"
)

// The screen that pages are read on (rule 1.2).
const (
	screenWidth  = 1280
	screenHeight = 800
)

// MediaMatches reports whether a media query list holds on the screen.
func MediaMatches(list string) bool {
	list = strings.ToLower(strings.TrimSpace(list))
	if list == "" {
		return true
	}
	if len(list) > maxSelector {
		return false
	}
	for _, query := range splitList(list) {
		if queryMatches(fields(query)) {
			return true
		}
	}
	return false
}

// queryMatches evaluates [not | only] type [and condition], or a condition. A
// type may have any name; what is no name makes the query void.
func queryMatches(query []string) bool {
	if len(query) == 0 {
		return false
	}
	if strings.HasPrefix(query[0], "(") || len(query) > 1 && query[0] == "not" && strings.HasPrefix(query[1], "(") {
		return condition(query, feature) == yes
	}
	negated := query[0] == "not"
	if negated || query[0] == "only" {
		query = query[1:]
	}
	if len(query) == 0 || !startsName(query[0]) || strings.Contains(query[0], "(") {
		return false
	}
	matched := of(query[0] == "screen" || query[0] == "all")
	if len(query) > 1 {
		rest := condition(query[2:], feature)
		if query[1] != "and" {
			rest = unknown
		}
		matched = both(matched, rest)
	}
	if negated {
		return matched == no
	}
	return matched == yes
}

func startsName(s string) bool {
	return s != "" && (s[0] >= 'a' && s[0] <= 'z' || s[0] == '-')
}

// discrete are the features of the screen that have one of several values.
var discrete = map[string]string{
	"orientation": "landscape", "update": "fast", "scripting": "enabled", "display-mode": "browser",
	"hover": "hover", "any-hover": "hover", "pointer": "fine", "any-pointer": "fine",
	"prefers-color-scheme": "light", "prefers-reduced-motion": "no-preference", "prefers-contrast": "no-preference",
	"prefers-reduced-transparency": "no-preference", "prefers-reduced-data": "no-preference",
	"forced-colors": "none", "inverted-colors": "none", "color-gamut": "srgb", "dynamic-range": "standard",
	"video-dynamic-range": "standard", "overflow-block": "scroll", "overflow-inline": "scroll",
}

// measures are those that have a size, in pixels, as a number, or in dots a
// pixel.
var measures = map[string]float64{
	"width": screenWidth, "height": screenHeight, "device-width": screenWidth, "device-height": screenHeight,
	"aspect-ratio": screenWidth / float64(screenHeight), "device-aspect-ratio": screenWidth / float64(screenHeight),
	"color": 8, "color-index": 0, "monochrome": 0, "grid": 0, "resolution": 1,
	"-webkit-device-pixel-ratio": 1, "-webkit-transform-3d": 1,
}

// feature evaluates what stands in a pair of brackets of a media query.
func feature(inner string) truth {
	if name, value, ok := strings.Cut(inner, ":"); ok {
		return plainFeature(strings.TrimSpace(name), strings.TrimSpace(value))
	}
	if strings.ContainsAny(inner, "<>=") {
		return rangeFeature(strings.Fields(spaceComparisons(inner)))
	}
	if value, ok := discrete[inner]; ok {
		return of(value != "none" && value != "no-preference")
	}
	if size, ok := measures[inner]; ok {
		return of(size != 0)
	}
	return unknown
}

// plainFeature evaluates name: value, with min- or max- before a size.
func plainFeature(name, value string) truth {
	if has, ok := discrete[name]; ok {
		return of(value == has)
	}
	op := "="
	for prefix, o := range map[string]string{"min-": ">=", "max-": "<=", "-webkit-min-": ">=", "-webkit-max-": "<="} {
		if rest, ok := strings.CutPrefix(name, prefix); ok {
			op, name = o, rest
			if strings.HasPrefix(prefix, "-webkit-") {
				name = "-webkit-" + rest
			}
			break
		}
	}
	return compare(name, op, value)
}

// rangeFeature evaluates (width >= 600px) and (400px <= width <= 700px).
func rangeFeature(parts []string) truth {
	result := of(len(parts) == 3 || len(parts) == 5)
	for i := 0; result == yes && i+2 < len(parts); i += 2 {
		if _, named := measures[parts[i]]; named {
			result = compare(parts[i], parts[i+1], parts[i+2])
		} else {
			result = compare(parts[i+2], mirrored(parts[i+1]), parts[i])
		}
	}
	return result
}

func spaceComparisons(s string) string {
	s = strings.NewReplacer("<=", " ≤ ", ">=", " ≥ ", "<", " < ", ">", " > ", "=", " = ").Replace(s)
	return strings.NewReplacer("≤", "<=", "≥", ">=").Replace(s)
}

func mirrored(op string) string {
	return strings.NewReplacer("<", ">", ">", "<").Replace(op)
}

// compare compares a measure of the screen with a value.
func compare(name, op, value string) truth {
	size, known := measures[name]
	limit, ok := amount(value)
	_, plain := strconv.ParseFloat(value, 64)
	if !known || !ok || plain == nil && limit != 0 &&
		(strings.HasSuffix(name, "width") || strings.HasSuffix(name, "height")) {
		return unknown // a length has a unit
	}
	switch op {
	case ">=":
		return of(size >= limit)
	case "<=":
		return of(size <= limit)
	case ">":
		return of(size > limit)
	case "<":
		return of(size < limit)
	}
	return of(size == limit)
}

// units are what CSS measures in, in pixels or in dots a pixel.
var units = []struct {
	name string
	size float64
}{
	{"dppx", 1}, {"dpcm", 2.54 / 96}, {"dpi", 1.0 / 96},
	{"rem", 16}, {"em", 16}, {"ex", 8}, {"ch", 8}, {"px", 1}, {"pt", 96.0 / 72}, {"pc", 16}, {"in", 96},
	{"cm", 96 / 2.54},
	{"mm", 9.6 / 2.54}, {"q", 2.4 / 2.54}, {"vw", screenWidth / 100.0}, {"vh", screenHeight / 100.0}, {"x", 1},
}

// amount reads a length, a resolution, a ratio or a number.
func amount(value string) (float64, bool) {
	if over, under, ok := strings.Cut(value, "/"); ok {
		a, okA := amount(strings.TrimSpace(over))
		b, okB := amount(strings.TrimSpace(under))
		return a / b, okA && okB && b != 0
	}
	for _, u := range units {
		if figure, ok := strings.CutSuffix(value, u.name); ok {
			n, err := strconv.ParseFloat(figure, 64)
			return n * u.size, err == nil
		}
	}
	n, err := strconv.ParseFloat(value, 64)
	return n, err == nil
}

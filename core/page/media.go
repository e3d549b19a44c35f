package page

import (
	"strconv"
	"strings"
)

// The screen that pages are read on (MEASURES 1.2).
const (
	screenWidth  = 1280
	screenHeight = 800
)

// mediaMatches tells whether a media query list holds on the screen.
func mediaMatches(list string) bool {
	list = strings.ToLower(strings.TrimSpace(list))
	if list == "" {
		return true
	}
	for _, query := range strings.Split(list, ",") {
		if queryMatches(strings.TrimSpace(query)) {
			return true
		}
	}
	return false
}

func queryMatches(query string) bool {
	negated := false
	if rest, ok := strings.CutPrefix(query, "not "); ok {
		negated, query = true, strings.TrimSpace(rest)
	}
	query = strings.TrimSpace(strings.TrimPrefix(query, "only "))
	matched := query != ""
	for _, part := range splitAnd(query) {
		if !partMatches(part) {
			matched = false
			break
		}
	}
	return matched != negated
}

// splitAnd splits a media query at its top level "and"s.
func splitAnd(query string) []string {
	var parts []string
	depth, from := 0, 0
	for i := 0; i < len(query); i++ {
		switch query[i] {
		case '(':
			depth++
		case ')':
			depth--
		}
		if depth == 0 && strings.HasPrefix(query[i:], " and ") {
			parts = append(parts, strings.TrimSpace(query[from:i]))
			from = i + len(" and ")
		}
	}
	return append(parts, strings.TrimSpace(query[from:]))
}

func partMatches(part string) bool {
	if !strings.HasPrefix(part, "(") {
		return part == "screen" || part == "all"
	}
	inner := strings.TrimSpace(strings.TrimSuffix(part[1:], ")"))
	if strings.HasPrefix(inner, "(") || strings.HasPrefix(inner, "not ") {
		for _, alternative := range strings.Split(inner, " or ") {
			if queryMatches(strings.TrimSpace(alternative)) {
				return true
			}
		}
		return false
	}
	if name, value, ok := strings.Cut(inner, ":"); ok {
		return featureMatches(strings.TrimSpace(name), strings.TrimSpace(value))
	}
	if strings.ContainsAny(inner, "<>=") {
		return rangeMatches(inner)
	}
	switch inner {
	case "width", "height", "color", "hover", "pointer", "any-hover", "any-pointer", "orientation", "update":
		return true
	}
	return false
}

func featureMatches(name, value string) bool {
	switch name {
	case "min-width", "min-device-width":
		return compare(screenWidth, ">=", value)
	case "max-width", "max-device-width":
		return compare(screenWidth, "<=", value)
	case "width":
		return compare(screenWidth, "=", value)
	case "min-height", "min-device-height":
		return compare(screenHeight, ">=", value)
	case "max-height", "max-device-height":
		return compare(screenHeight, "<=", value)
	case "height":
		return compare(screenHeight, "=", value)
	case "orientation":
		return value == "landscape"
	case "prefers-color-scheme":
		return value == "light"
	case "prefers-reduced-motion", "prefers-contrast", "prefers-reduced-transparency":
		return value == "no-preference"
	case "hover", "any-hover":
		return value == "hover"
	case "pointer", "any-pointer":
		return value == "fine"
	case "display-mode":
		return value == "browser"
	case "scripting":
		return value == "enabled"
	case "min-color":
		return compare(8, ">=", value)
	case "-webkit-min-device-pixel-ratio", "min-resolution":
		n, ok := length(strings.TrimSuffix(strings.TrimSuffix(value, "dppx"), "dpi"))
		return ok && (n <= 1 || strings.HasSuffix(value, "dpi") && n <= 96)
	}
	return false
}

// rangeMatches reads (width >= 600px) and (400px <= width <= 700px).
func rangeMatches(inner string) bool {
	fields := strings.Fields(spaceComparisons(inner))
	have := func(name string) (float64, bool) {
		switch name {
		case "width":
			return screenWidth, true
		case "height":
			return screenHeight, true
		}
		return 0, false
	}
	ok := len(fields) == 3 || len(fields) == 5
	for i := 0; ok && i+2 < len(fields); i += 2 {
		if size, named := have(fields[i]); named {
			ok = compare(size, fields[i+1], fields[i+2])
		} else if size, named := have(fields[i+2]); named {
			ok = compare(size, mirrored(fields[i+1]), fields[i])
		} else {
			ok = false
		}
	}
	return ok
}

func spaceComparisons(s string) string {
	s = strings.NewReplacer("<=", " ≤ ", ">=", " ≥ ", "<", " < ", ">", " > ", "=", " = ").Replace(s)
	return strings.NewReplacer("≤", "<=", "≥", ">=").Replace(s)
}

func mirrored(op string) string {
	return strings.NewReplacer("<", ">", ">", "<").Replace(op)
}

func compare(size float64, op, value string) bool {
	limit, ok := length(value)
	if !ok {
		return false
	}
	switch op {
	case ">=":
		return size >= limit
	case "<=":
		return size <= limit
	case ">":
		return size > limit
	case "<":
		return size < limit
	}
	return size == limit
}

// length reads a CSS length in pixels; em and rem are 16.
func length(value string) (float64, bool) {
	unit := 1.0
	switch {
	case strings.HasSuffix(value, "px"):
		value = strings.TrimSuffix(value, "px")
	case strings.HasSuffix(value, "rem"):
		value, unit = strings.TrimSuffix(value, "rem"), 16
	case strings.HasSuffix(value, "em"):
		value, unit = strings.TrimSuffix(value, "em"), 16
	}
	n, err := strconv.ParseFloat(strings.TrimSpace(value), 64)
	return n * unit, err == nil
}

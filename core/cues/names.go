package cues

import (
	"strings"

	"inktally/core/style"
)

// IsReview reports whether a class marks a single review: "testimonial",
// "review-card", not "reviews".
func IsReview(class string) bool {
	if !strings.Contains(class, "estimonial") && !strings.Contains(class, "eview") {
		return false
	}
	for class != "" {
		var name string
		name, class = style.NextClass(class)
		for _, word := range strings.FieldsFunc(strings.ToLower(name), func(r rune) bool {
			return r == '-' || r == '_'
		}) {
			if word == "testimonial" || word == "review" {
				return true
			}
		}
	}
	return false
}

// IsAppRoot reports whether an id is one under which programs draw their page.
func IsAppRoot(id string) bool {
	switch id {
	case "root", "app", "__next", "__nuxt", "application":
		return true
	}
	return false
}

// IsSocial reports whether classes or ids mark links to the business's own pages elsewhere.
func IsSocial(names string) bool {
	for _, name := range strings.FieldsFunc(strings.ToLower(names), func(r rune) bool { return r < 'a' || r > 'z' }) {
		if name == "social" || name == "socials" || name == "socialmedia" {
			return true
		}
	}
	return false
}

package text

import "golang.org/x/text/language"

// Base returns the language of a tag such as "en-US" or "pt_BR" by its code of
// two or three letters. It is empty for no tag and for one that names no
// language (BCP 47).
func Base(tag string) string {
	if base := plainBase(tag); base != "" {
		return base
	}
	parsed, err := language.Parse(tag)
	if err != nil {
		return ""
	}
	base, confidence := parsed.Base()
	if confidence == language.No {
		return ""
	}
	return base.String()
}

// plainBase returns the base of a tag that most pages have, such as "en" or "en-US",
// which costs much less than parsing it; empty for all other tags.
func plainBase(tag string) string {
	if len(tag) != 2 && (len(tag) != 5 || tag[2] != '-' || !isUpper(tag[3]) || !isUpper(tag[4])) {
		return ""
	}
	if _, ok := snowball[tag[:2]]; !ok {
		return ""
	}
	return tag[:2]
}

func isUpper(b byte) bool { return 'A' <= b && b <= 'Z' }

// Tag writes a language tag as it is written by rule: "pt-BR" for "PT_br". It is
// empty for one that names no language (BCP 47).
func Tag(tag string) string {
	if Base(tag) == "" {
		return ""
	}
	return language.Make(tag).String()
}

// English reports whether a tag means English or says nothing.
func English(tag string) bool {
	if tag == "" {
		return true
	}
	return Base(tag) == "en"
}

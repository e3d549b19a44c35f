package text

import "strings"

// Collapse trims white space and makes each run of it one space.
func Collapse(s string) string {
	return strings.Join(strings.Fields(s), " ")
}

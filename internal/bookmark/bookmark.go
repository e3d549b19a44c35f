// Package bookmark makes the bookmark that hands the page of a tab over to the
// program.
//
// In goes the key of the installation; out comes a script for the bookmarks bar.
// The page is taken down as the program's own browser does it; it goes to a tab of
// the program alone, which asks before it keeps anything.
package bookmark

import (
	_ "embed"
	"net/url"
	"regexp"
	"strconv"
	"strings"

	"inktally/internal/fetch"
	"inktally/internal/fetch/render"
)

//go:embed handover.js
var handover string

// Origin stands in the address for the origin of the program, which its front end
// knows.
const Origin = "__ORIGIN__"

var (
	remarks = regexp.MustCompile(`(?m)^\s*//.*$`)
	blanks  = regexp.MustCompile(`\n\s*`)
)

// Address returns the bookmark's address: a script with Origin where the program's origin
// belongs. key is what the program knows its own bookmarks by.
func Address(key string) string {
	script := strings.NewReplacer("__KEY__", key, "__MOST__", strconv.Itoa(fetch.MaxBody),
		"__TAKEDOWN__", strings.TrimSpace(remarks.ReplaceAllString(render.Takedown, ""))).Replace(
		remarks.ReplaceAllString(handover, ""))
	script = strings.TrimSpace(blanks.ReplaceAllString(script, "\n"))
	return "javascript:" + strings.ReplaceAll(url.PathEscape(script), "%2F", "/")
}

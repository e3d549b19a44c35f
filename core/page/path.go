package page

import (
	"slices"
	"strings"

	"inktally/core/element"
	"inktally/core/style"

	"golang.org/x/net/html"
)

// longestPath and longestStep bound a path, which stands at every block: a page may nest
// hundreds of elements and give them names without end.
const (
	longestPath = 120
	longestStep = 48
)

// path spells the chain of elements down to n: "body > main > div.intro > p". Of a long one
// the end is told.
func path(n *html.Node) string {
	var steps []string
	size := 0
	for ; n != nil && n.Type == html.ElementNode && n.Data != "html"; n = n.Parent {
		s := step(n)
		if size += len(s) + 3; size > longestPath {
			steps = append(steps, "…")
			break
		}
		steps = append(steps, s)
	}
	slices.Reverse(steps)
	return strings.Join(steps, " > ")
}

func step(n *html.Node) string {
	name := n.Data
	if id := element.Attr(n, "id"); id != "" {
		name += "#" + short(id)
	} else if class, _ := style.NextClass(element.Attr(n, "class")); class != "" {
		name += "." + short(class)
	}
	return short(name)
}

func short(name string) string {
	if len(name) <= longestStep {
		return name
	}
	return strings.ToValidUTF8(name[:longestStep], "") + "…"
}

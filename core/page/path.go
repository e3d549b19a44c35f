package page

import (
	"inktally/core/style"

	"golang.org/x/net/html"
)

// path spells the chain of elements down to n: "body > main > div.intro > p".
func path(n *html.Node) string {
	if n == nil || n.Type != html.ElementNode || n.Data == "html" {
		return ""
	}
	name := n.Data
	if id := attr(n, "id"); id != "" {
		name += "#" + id
	} else if class, _ := style.NextClass(attr(n, "class")); class != "" {
		name += "." + class
	}
	if up := path(n.Parent); up != "" {
		return up + " > " + name
	}
	return name
}

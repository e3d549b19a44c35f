package results

import (
	"strings"

	"inktally/core/element"
	"inktally/core/entry"
	"inktally/core/text"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// phraseLetters is how long what is searched for is at most.
const phraseLetters = 120

// searchedFor returns what the first field of a page holds that takes a text: what was searched for.
func searchedFor(n *html.Node, depth int) string {
	if depth > maxDepth {
		return ""
	}
	if n.DataAtom == atom.Input || n.DataAtom == atom.Textarea {
		value := element.Attr(n, "value")
		if n.DataAtom == atom.Textarea && n.FirstChild != nil {
			value = n.FirstChild.Data
		}
		switch strings.ToLower(element.Attr(n, "type")) {
		case "", "text", "search":
			if value = text.Collapse(value); entry.HasLetter(value) && len(value) <= phraseLetters {
				return value
			}
		}
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if found := searchedFor(c, depth+1); found != "" {
			return found
		}
	}
	return ""
}

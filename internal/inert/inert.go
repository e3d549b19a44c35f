// Package inert makes a page of strangers that lies still: it can be looked at, and does
// nothing by itself.
//
// In go the page's bytes and its content type; out comes UTF-8 HTML without scripts, frames,
// and all that makes a browser ask for something before anybody clicks.
package inert

import (
	"net/url"
	"regexp"
	"slices"
	"strings"

	"golang.org/x/net/html"
)

// dropped are elements that act, load or lead away by themselves.
var dropped = []string{"script", "noscript", "link", "base", "iframe", "frame", "frameset", "object", "embed", "applet",
	"portal", "fencedframe", "template", "audio",
	"video", "source", "track", "use", "image", "feimage", "animate", "set", "animatemotion", "animatetransform",
	"foreignobject", "param", "bgsound", "command", "keygen"}

// kept are the attributes that stay, beside those that are named data- or aria-.
var kept = []string{"id", "class", "style", "title", "lang", "dir", "alt", "href", "colspan", "rowspan", "align",
	"valign", "width", "height", "hidden", "open", "start", "value",
	"type", "name", "for", "summary", "scope", "headers", "charset", "content", "datetime", "role", "viewbox", "d",
	"fill", "stroke", "x", "y", "points", "transform", "xmlns",
	"bgcolor", "color", "border", "cellpadding", "cellspacing", "size", "face", "placeholder", "checked", "disabled",
	"selected", "popover"}

// calm takes from a node what acts, and goes on below it.
func calm(n *html.Node) {
	for c := n.FirstChild; c != nil; {
		next := c.NextSibling
		if acts(c) {
			n.RemoveChild(c)
		} else {
			c.Attr = slices.DeleteFunc(c.Attr, func(a html.Attribute) bool { return !stays(a) })
			for i := range c.Attr {
				if strings.EqualFold(c.Attr[i].Key, "style") {
					c.Attr[i].Val = local(c.Attr[i].Val)
				}
			}
			if c.Type == html.TextNode && n.Data == "style" {
				c.Data = local(c.Data)
			}
			calm(c)
		}
		c = next
	}
}

// loads is what a style sheet loads. What is written in another way is left to the policy
// that the page is shown with.
var loads = regexp.MustCompile(`(?i)@import[^;]*;?|(url|image-set|image|src)\s*\([^)]*\)`)

// local returns a style that loads nothing.
func local(css string) string { return loads.ReplaceAllString(css, "none") }

func acts(n *html.Node) bool {
	if n.Type == html.CommentNode {
		return true // some browsers read orders in them
	}
	if n.Type != html.ElementNode {
		return false
	}
	name := strings.ToLower(n.Data)
	if name != "meta" {
		return slices.Contains(dropped, name)
	}
	return slices.ContainsFunc(n.Attr, func(a html.Attribute) bool {
		return strings.EqualFold(a.Key, "http-equiv") || strings.EqualFold(a.Key, "name") &&
			strings.EqualFold(a.Val, "referrer")
	})
}

func stays(a html.Attribute) bool {
	key := strings.ToLower(a.Key)
	if a.Namespace != "" {
		return false
	}
	if key == "href" { // it is followed by a click alone
		u, err := url.Parse(strings.TrimSpace(a.Val))
		return err == nil && (u.Scheme == "" || u.Scheme == "http" || u.Scheme == "https" || u.Scheme == "tel" ||
			u.Scheme == "mailto")
	}
	return slices.Contains(kept, key) || strings.HasPrefix(key, "aria-") || strings.HasPrefix(key, "data-")
}

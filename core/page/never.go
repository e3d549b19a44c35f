package page

import "golang.org/x/net/html/atom"

// neverText tells the elements whose content is never text (rule 1.2).
func neverText(a atom.Atom) bool {
	switch a {
	case atom.Script, atom.Style, atom.Template, atom.Noscript, atom.Canvas, atom.Head, atom.Iframe,
		atom.Object, atom.Audio, atom.Video, atom.Noembed, atom.Noframes, atom.Textarea, atom.Select,
		atom.Datalist, atom.Progress, atom.Meter, atom.Rp, atom.Title, atom.Colgroup, atom.Area, atom.Base,
		atom.Link, atom.Meta, atom.Param, atom.Input, atom.Source, atom.Track, atom.Embed, atom.Wbr:
		return true
	}
	return false
}

// neverSVG tells the SVG and MathML elements whose content is never text.
func neverSVG(name string) bool {
	switch name {
	case "title", "desc", "metadata", "defs", "symbol", "style", "script", "clipPath", "mask", "pattern",
		"marker", "linearGradient", "radialGradient", "filter", "annotation", "annotation-xml":
		return true
	}
	return false
}

package page

import "golang.org/x/net/html/atom"

// display is what matters of a computed display value.
type display uint8

const (
	inline      display = iota
	inlineBlock         // and inline-table: ends no block
	inlineFlex          // and inline-grid: ends no block, but its children do
	contents
	block // and flow-root, table, table parts, list-item
	flex  // and grid
	none
)

// breaks tells whether a box of this display ends a block (MEASURES 1.3).
func (d display) breaks() bool { return d == block || d == flex }

// blockified is the display of a floated or positioned box, or of a child of
// a flex or grid box.
func (d display) blockified() display {
	switch d {
	case inline, inlineBlock:
		return block
	case inlineFlex:
		return flex
	}
	return d
}

// lays tells whether its children are blockified.
func (d display) lays() bool { return d == flex || d == inlineFlex }

// parseDisplay reads a value of the property display.
func parseDisplay(value string) (display, bool) {
	switch value {
	case "none":
		return none, true
	case "inline", "ruby", "ruby-text", "inline math", "math", "run-in":
		return inline, true
	case "inline-block", "inline-table", "inline flow-root", "inline table", "-webkit-inline-box":
		return inlineBlock, true
	case "inline-flex", "inline-grid", "inline flex", "inline grid", "-webkit-inline-flex":
		return inlineFlex, true
	case "contents":
		return contents, true
	case "flex", "grid", "block flex", "block grid", "-webkit-flex":
		return flex, true
	case "block", "flow-root", "table", "table-row", "table-cell", "table-caption", "list-item", "block math",
		"block flow", "block flow-root", "-webkit-box", "table-row-group", "table-header-group", "table-footer-group":
		return block, true
	case "table-column", "table-column-group":
		return none, true
	case "initial", "unset":
		return inline, true
	}
	return inline, false
}

// defaultDisplay is the browser's own style sheet (MEASURES 1.2).
func defaultDisplay(a atom.Atom) display {
	switch a {
	case atom.Html, atom.Body, atom.Address, atom.Article, atom.Aside, atom.Blockquote, atom.Center,
		atom.Dd, atom.Details, atom.Dialog, atom.Dir, atom.Div, atom.Dl, atom.Dt, atom.Fieldset,
		atom.Figcaption, atom.Figure, atom.Footer, atom.Form, atom.H1, atom.H2, atom.H3, atom.H4, atom.H5,
		atom.H6, atom.Header, atom.Hgroup, atom.Hr, atom.Legend, atom.Li, atom.Listing, atom.Main,
		atom.Menu, atom.Nav, atom.Ol, atom.P, atom.Plaintext, atom.Pre, atom.Search, atom.Section,
		atom.Summary, atom.Ul, atom.Xmp, atom.Table, atom.Tr, atom.Td, atom.Th, atom.Caption,
		atom.Tbody, atom.Thead, atom.Tfoot, atom.Optgroup, atom.Option:
		return block
	case atom.Button, atom.Marquee:
		return inlineBlock
	case atom.Slot:
		return contents
	}
	return inline
}

// neverText tells the elements whose content is never text (MEASURES 1.2).
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

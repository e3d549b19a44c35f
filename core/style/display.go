package style

import "golang.org/x/net/html/atom"

// Display is what matters of a computed display value.
type Display uint8

// The values. Those that are set as others are stand under one name.
const (
	Inline      Display = iota
	InlineBlock         // and inline-table: ends no block
	InlineFlex          // and inline-grid: ends no block, but its children do
	Contents
	Block // and flow-root, table, table parts, list-item
	Flex  // and grid
	None
	byBrowser // as the browser's own sheet has it
	byParent  // as its parent has it
)

// Breaks reports whether a box of this display ends a block (rule 1.3).
func (d Display) Breaks() bool { return d == Block || d == Flex }

// Blockified returns the display of a floated or positioned box, or of a child of
// a flex or grid box.
func (d Display) Blockified() Display {
	switch d {
	case Inline, InlineBlock:
		return Block
	case InlineFlex:
		return Flex
	}
	return d
}

// Lays reports whether its children are blockified.
func (d Display) Lays() bool { return d == Flex || d == InlineFlex }

// parseDisplay reads a value of the property display.
func parseDisplay(value string) (Display, bool) {
	switch value {
	case "none":
		return None, true
	case "inline", "ruby", "ruby-text", "inline math", "math", "run-in":
		return Inline, true
	case "inline-block", "inline-table", "inline flow-root", "inline table", "-webkit-inline-box":
		return InlineBlock, true
	case "inline-flex", "inline-grid", "inline flex", "inline grid", "-webkit-inline-flex":
		return InlineFlex, true
	case "contents":
		return Contents, true
	case "flex", "grid", "block flex", "block grid", "-webkit-flex":
		return Flex, true
	case "block", "flow-root", "table", "table-row", "table-cell", "table-caption", "list-item", "block math",
		"block flow", "block flow-root", "-webkit-box", "table-row-group", "table-header-group", "table-footer-group":
		return Block, true
	case "table-column", "table-column-group":
		return None, true
	case "initial", "unset":
		return Inline, true
	case "revert", "revert-layer":
		return byBrowser, true
	case "inherit":
		return byParent, true
	}
	return Inline, false
}

// Default returns the display by the browser's own style sheet (rule 1.2).
func Default(a atom.Atom) Display {
	switch a {
	case atom.Html, atom.Body, atom.Address, atom.Article, atom.Aside, atom.Blockquote, atom.Center,
		atom.Dd, atom.Details, atom.Dialog, atom.Dir, atom.Div, atom.Dl, atom.Dt, atom.Fieldset,
		atom.Figcaption, atom.Figure, atom.Footer, atom.Form, atom.H1, atom.H2, atom.H3, atom.H4, atom.H5,
		atom.H6, atom.Header, atom.Hgroup, atom.Hr, atom.Legend, atom.Li, atom.Listing, atom.Main,
		atom.Menu, atom.Nav, atom.Ol, atom.P, atom.Plaintext, atom.Pre, atom.Search, atom.Section,
		atom.Summary, atom.Ul, atom.Xmp, atom.Table, atom.Tr, atom.Td, atom.Th, atom.Caption,
		atom.Tbody, atom.Thead, atom.Tfoot, atom.Optgroup, atom.Option:
		return Block
	case atom.Button, atom.Marquee:
		return InlineBlock
	case atom.Slot:
		return Contents
	}
	return Inline
}

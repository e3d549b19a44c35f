package page

import (
	"slices"
	"sync"

	"inktally/core/menu"
	"inktally/core/text"

	"golang.org/x/net/html"
)

// Page is what Read finds in one page. It is not changed afterwards and may be
// shared between goroutines.
type Page struct {
	URL         string
	Title       string
	Description string
	// Lang is the language tag of the html element, else the one detected.
	Lang string
	// Blocks are all blocks of text in document order, hidden ones too.
	Blocks   []Block
	Headings []Heading
	Links    []Link
	Images   []Image
	Warnings []Warning
	Words    Words

	scan      text.Scan // the text and the tokens of all blocks
	structure structure // for Details and Menus

	found   sync.Once // details and menus
	asked   sync.Once // whether it calls to act
	asks    bool
	details Details
	menus   [][]menu.Item
}

// Words are the word counts of a page (rule 2.2).
type Words struct {
	// Seen are those that a visitor gets by select-all and copy, Copy those seen
	// less menus, headers, footers and link lists, Hidden those in the page but
	// not shown.
	Seen, Copy, Hidden int
}

// Frame returns what is seen but is no copy: menus, headers, footers (rule 8.6).
func (w Words) Frame() int { return w.Seen - w.Copy }

// Kind is what a block is in its page.
type Kind uint8

// The kinds of blocks (rule 1.3).
const (
	Paragraph Kind = iota
	HeadingText
	Item
	Cell
	Caption
	Button
	Label
)

var kindNames = [...]string{"paragraph", "heading", "item", "cell", "caption", "button", "label"}

func (k Kind) String() string { return kindNames[k] }

// Region is the part of a page that a block stands in (rule 1.4).
type Region uint8

// The regions of a page.
const (
	Main Region = iota
	Banner
	Nav
	Aside
	Footer
	Dialog
)

var regionNames = [...]string{"main", "banner", "nav", "aside", "footer", "dialog"}

func (r Region) String() string { return regionNames[r] }

// frame reports whether the region is no copy (rule 2.2).
func (r Region) frame() bool { return r == Banner || r == Nav || r == Footer || r == Dialog }

// Block is a run of text between two line breaks (rule 1.3).
type Block struct {
	Kind Kind
	// Level is 1 to 6 for a heading, else 0.
	Level  int
	Region Region
	Hidden bool
	// Words is the number of words (rule 2.1).
	Words int
	// node is the element that the block begins in, nil for a page that was kept;
	// then path is there.
	node *html.Node
	path string

	start, end       int32 // in the text of Page.scan
	tokenLo, tokenHi int32 // in Page.scan
	links            int32 // how many links stand in it
	linkWords        int32 // how many of its words are anchor text
	banner           int32 // which banner it stands in, 0 for none
	inMain           bool
}

// Copy reports whether the block counts as copy (rule 2.2).
func (b *Block) Copy() bool { return !b.Hidden && !b.Region.frame() }

// Path returns the chain of elements that the block stands in.
func (b *Block) Path() string {
	if b.node == nil {
		return b.path
	}
	return path(b.node)
}

// Text returns the text of block i, white space collapsed.
func (p *Page) Text(i int) string { return p.scan.Text[p.Blocks[i].start:p.Blocks[i].end] }

// TextStart returns where the text of block i starts in the text of Scan.
func (p *Page) TextStart(i int) int { return int(p.Blocks[i].start) }

// Scan returns the tokens of all blocks; TokenRange returns which are block i's.
func (p *Page) Scan() *text.Scan { return &p.scan }

// TokenRange returns the range of block i's tokens in Scan.
func (p *Page) TokenRange(i int) (lo, hi int) {
	return int(p.Blocks[i].tokenLo), int(p.Blocks[i].tokenHi)
}

// Heading is a visible h1 to h6 that holds text (rule 1.6).
type Heading struct {
	Level int // 1 to 6
	Text  string
	// Words are the copy words from this heading to the next (rule 2.3).
	Words int
	// Within counts on to the next heading of the same or a higher level.
	Within int
	// Block is the index of the block in which the heading begins.
	Block int
}

// H1 returns the text of the first h1, empty for none.
func (p *Page) H1() string {
	for i := range p.Headings {
		if p.Headings[i].Level == 1 {
			return p.Headings[i].Text
		}
	}
	return ""
}

// Span is a range of bytes in the text of a block.
type Span struct{ Block, Start, End int }

// Link is an anchor with an address.
type Link struct {
	Href string
	// Spans are the pieces of its visible text, one for each block.
	Spans []Span

	region Region
	hidden bool
	label  string     // its aria-label
	node   *html.Node // nil for a page that was kept
}

// Image is one image of a page (rule 4.1).
type Image struct {
	Src string
	// File is the name by rule 4.1: without folder, query, extension and
	// size suffix. Inline data has none.
	File string
	// Ext is the extension with its point, as it stands in the address.
	Ext string
	// Alt is nil if the attribute is absent.
	Alt    *string
	Hidden bool
	// Background reports whether it is the background of an element.
	Background bool
	// Frame reports whether it stands in a menu, header or footer.
	Frame bool
	// Heading is the text of the nearest heading above.
	Heading string
	// Block is the index of the block that it stands in or right before.
	Block int
	// Width and Height are the pixels that the page or the file's name gives it,
	// 0 for none.
	Width, Height int
	// Link is where the link leads that it stands in, empty for none.
	Link string
	// Baked reports whether it is a large image with hardly any text near it: words may be part
	// of the picture.
	Baked bool
}

// Warning is something about a reading that its user should know.
type Warning string

// The warnings that Read gives.
const (
	// DrawnByScript: the text may only be there in a browser (rule 1.5).
	DrawnByScript Warning = "drawn_by_script"
	NoText        Warning = "no_text"
	// TooDeep: the page is nested too deeply to be read.
	TooDeep Warning = "too_deep"
	// TooMuch: the page holds more parts than are kept of one.
	TooMuch Warning = "too_much"
	NotHTML Warning = "not_html"
	// SheetMissing: hidden text may have been counted.
	SheetMissing Warning = "sheet_missing"
)

// Warnings returns all of them.
func Warnings() []Warning {
	return []Warning{DrawnByScript, NoText, TooDeep, TooMuch, NotHTML, SheetMissing}
}

// Warns reports whether a page gave a warning.
func (p *Page) Warns(w Warning) bool { return slices.Contains(p.Warnings, w) }

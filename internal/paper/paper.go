// Package paper writes documents: Markdown, web pages that ask for nothing, and DOCX.
//
// In goes what stands on a document, as blocks from top to bottom; out come its bytes. All formats have the same
// words. Whatever a text holds, it is nothing but text in each of them.
package paper

// Paper is a document.
type Paper struct {
	Title string
	// Under are lines below the title: for whom it is, when it was written.
	Under  []string
	Blocks []Block
	// Lang is the language tag of its words.
	Lang string
	// Small reports whether it is to take little room.
	Small bool
	Letterhead
}

// Letterhead is who a document comes from, and the paper that it is printed on. It is set once for all.
type Letterhead struct {
	// Name is the agency's, Signature the lines below the last block, Footer the line at the foot of each page.
	Name, Signature, Footer string
	// Logo is a PNG or JPEG picture of Wide by High pixels, nil for none.
	Logo       []byte
	Wide, High int
	Size       Size
	Tone       Tone
}

// Size is a size of paper.
type Size string

// The sizes of paper.
const (
	Letter Size = "letter"
	A4     Size = "a4"
)

// Sizes returns all of them.
func Sizes() []Size { return []Size{Letter, A4} }

// Tone is the color of headings.
type Tone string

// The tones.
const (
	Ink      Tone = "ink"
	Pencil   Tone = "pencil"
	Graphite Tone = "graphite"
)

// Tones returns all of them.
func Tones() []Tone { return []Tone{Ink, Pencil, Graphite} }

// Color returns a tone as six hexadecimal digits.
func (t Tone) Color() string {
	switch t {
	case Pencil:
		return pencil
	case Graphite:
		return soft
	}
	return ink
}

// The colors of documents.
const (
	ink    = "16233B"
	soft   = "55617A"
	pencil = "1F6FB2"
	rule   = "BFD2C6"
	band   = "EEF4EF"
)

// Block is a part of a document: one of the types below.
type Block interface{ block() }

// Heading opens a part of a document.
type Heading struct {
	// Level is 1 for a part, 2 for a part of that.
	Level int
	Text  string
	// NewPage reports whether it begins on a page of its own.
	NewPage bool
}

// Text is a paragraph.
type Text []Run

// Quote is a paragraph of what is to be said.
type Quote []Run

// List is a list of items.
type List struct {
	Mark  Mark
	Items []Item
}

// Mark is what stands before each item of a list.
type Mark int

// The marks.
const (
	Bullet Mark = iota
	Box         // to tick off
)

// Item is an item of a list, with lines of its own below it.
type Item struct {
	Says  []Run
	Under [][]Run
	// Inside reports whether it belongs to the item above it.
	Inside bool
}

// Table is a table; its columns from Numbers on hold figures.
type Table struct {
	Head    []string
	Rows    [][]Cell
	Numbers int
}

// Cell is a cell of a table.
type Cell []Run

// Tally shows numbers of words as strokes.
type Tally []TallyRow

// TallyRow is one number of words, and those to be written.
type TallyRow struct {
	Name         string
	Words, Write int
	Rival        bool
}

func (Heading) block() {}
func (Text) block()    {}
func (Quote) block()   {}
func (List) block()    {}
func (Table) block()   {}
func (Tally) block()   {}

// Run is a stretch of text in one style.
type Run struct {
	Text string
	Style
	// Link is an address of the web, empty for none.
	Link string
}

// Style is how a run looks.
type Style int

// The styles.
const (
	Plain  Style = iota
	Strong       // what counts
	Soft         // what explains
	Wanted       // what is to be written
	Struck       // what goes
	Mono         // the name of a file, an address
	Meant        // what a note is about
)

// Says returns a text as runs.
func Says(text string) []Run { return []Run{{Text: text}} }

// As returns a text as runs of a style.
func As(style Style, text string) []Run { return []Run{{Text: text, Style: style}} }

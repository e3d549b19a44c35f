package handoff

import (
	"inktally/core/page"
	"inktally/core/plan"
)

// Pencilled is a page as a proof-reader's copy: its own text, and in pencil all that its brief asks for, where it
// belongs. Marks go by the numbers of the brief's lines.
type Pencilled struct {
	Brief
	// Now is the page as it is, nil for one to make.
	Now *page.Page
	// Top are the lines that are about the page as a whole, Head is what stands above its text.
	Top  []Mark
	Head []HeadText
	// Pieces are the page from top to bottom.
	Pieces []Piece
}

// HeadText is a text above that of a page: its title, its description, its address.
type HeadText struct {
	Kind  plan.PartKind
	Now   string
	Marks []Mark
}

// Piece is a piece of a pencilled page: one of its own blocks, one of its pictures, or what is to be added.
type Piece struct {
	Kind PieceKind
	// Block is that of the page, Image the picture of the page, -1 for one to add.
	Block, Image int
	// Words are those of a menu, a header or a footer, which stay.
	Words int
	Marks []Mark
}

// PieceKind says what a piece is.
type PieceKind string

// The kinds of pieces.
const (
	OwnText     PieceKind = "text"
	OwnFrame    PieceKind = "frame"   // a menu, a header or a footer
	Picture     PieceKind = "picture" // there, or to add
	NewHeading  PieceKind = "heading" // to add
	ToWrite     PieceKind = "write"   // words to write: ruled lines
	NewSentence PieceKind = "phrase"  // a phrase to work in where there is no text yet
)

// Mark is a line of the brief where it belongs in a text.
type Mark struct {
	*Line
	// Start and End are the bytes of the text that it is about: what goes if Goes is set, else what is meant. It is put
	// in where they are equal.
	Start, End int
	Goes       bool
}

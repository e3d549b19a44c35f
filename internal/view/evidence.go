package view

import (
	"slices"
	"time"

	"inktally/core/page"
	"inktally/core/sheet"
)

// Evidence is the document that a figure was counted in.
type Evidence struct {
	Name       string     `json:"name"`
	URL        string     `json:"url"`
	ReadingID  int64      `json:"reading_id"`
	TakenAt    *time.Time `json:"taken_at"`
	Words      Words      `json:"words"`
	Phrase     string     `json:"phrase" doc:"The phrase that is marked, empty for none"`
	Family     string     `json:"family" doc:"The key of the sheet's family that it stands for, empty for none"`
	Placement  Placement  `json:"placement" doc:"What the marks add up to"`
	FindInPage int        `json:"find_in_page" doc:"What a browser's find-in-page counts (rule 3.1)"`
	Across     []Across   `json:"across" doc:"What the phrase comes to on every page of the sheet"`
	Blocks     []Block    `json:"blocks" doc:"The first of them where the page is very long"`
	BlockCount int        `json:"block_count" doc:"How many blocks the page has"`
	Labels     []Marked   `json:"labels" doc:"Title, description, address, links, names and alt texts in which the phrase stands, the first of them where there are very many"`
	LabelCount int        `json:"label_count" doc:"In how many such texts the phrase stands"`
}

// Across is how often a phrase stands on one page of the sheet.
type Across struct {
	EntryID    int64  `json:"entry_id" doc:"0 for the client's page"`
	Name       string `json:"name"`
	Exact      int    `json:"exact"`
	Loose      int    `json:"loose"`
	FindInPage int    `json:"find_in_page"`
}

// Block is a block of the page's text, in document order.
type Block struct {
	Kind   string  `json:"kind"`
	Level  int     `json:"level" doc:"1 to 6 for headings"`
	Region string  `json:"region"`
	Copy   bool    `json:"copy" doc:"Whether it counts as copy"`
	Hidden bool    `json:"hidden"`
	Words  int     `json:"words"`
	Path   string  `json:"path" doc:"The elements that it stands in"`
	Pieces []Piece `json:"pieces"`
}

// Piece is a stretch of text, marked or not.
type Piece struct {
	Text  string     `json:"text"`
	Mark  string     `json:"mark" enum:",exact,loose"`
	Slots []SlotCode `json:"slots,omitempty" doc:"The slots that a mark counts for, the opening beside the body"`
}

// Marked is a short text outside the blocks in which the phrase stands.
type Marked struct {
	Slot   SlotCode `json:"slot"`
	Count  int      `json:"count"`
	Pieces []Piece  `json:"pieces"`
}

// Fill writes the blocks and labels of a page with their marks.
func (e *Evidence) Fill(p *page.Page, marks []sheet.Mark) {
	inBlocks := map[int][]sheet.Mark{}
	opening := map[[2]int]bool{} // block and start of the marks in the opening
	labels := labelsOf(marks)
	for _, m := range marks {
		switch m.Slot {
		case sheet.Opening:
			opening[[2]int{m.At, m.Start}] = true
		case sheet.H1, sheet.Subheads, sheet.Body, sheet.Elsewhere:
			inBlocks[m.At] = append(inBlocks[m.At], m)
		}
	}
	e.BlockCount, e.LabelCount = len(p.Blocks), len(labels)
	for _, l := range firstOf(labels, mostMarked) {
		e.Labels = append(e.Labels, Marked{Slot: SlotCode(l[0].Slot.String()), Count: len(l),
			Pieces: pieces(l[0].Text, l, nil)})
	}
	told := 0
	for i := range firstOf(p.Blocks, mostBlocks) {
		b := &p.Blocks[i]
		if told += len(p.Text(i)); told > mostText && i > 0 {
			break
		}
		e.Blocks = append(e.Blocks, Block{
			Kind: b.Kind.String(), Level: b.Level, Region: b.Region.String(), Copy: b.Copy(), Hidden: b.Hidden,
			Words: b.Words, Path: b.Path(), Pieces: pieces(p.Text(i), inBlocks[i], opening),
		})
	}
}

// labelMarks are the marks in one text outside the blocks.
type labelMarks []sheet.Mark

// labelsOf puts the marks outside the blocks together that stand in the same text. Each occurrence in an
// anchor text stands by itself, since the whole of the text is marked.
func labelsOf(marks []sheet.Mark) (out []labelMarks) {
	type text struct {
		slot sheet.Slot
		at   int
	}
	in := map[text]int{}
	for _, m := range marks {
		switch m.Slot {
		case sheet.Opening, sheet.H1, sheet.Subheads, sheet.Body, sheet.Elsewhere:
			continue
		}
		i, had := in[text{m.Slot, m.At}]
		if had && m.Slot != sheet.Links {
			out[i] = append(out[i], m)
			continue
		}
		in[text{m.Slot, m.At}] = len(out)
		out = append(out, labelMarks{m})
	}
	return out
}

// pieces parts a text at its marks.
func pieces(s string, marks []sheet.Mark, opening map[[2]int]bool) []Piece {
	slices.SortFunc(marks, func(a, b sheet.Mark) int { return a.Start - b.Start })
	out := []Piece{}
	at := 0
	for _, m := range marks {
		if m.Start > at {
			out = append(out, Piece{Text: s[at:m.Start]})
		}
		mark := Piece{Text: s[m.Start:m.End], Mark: "loose", Slots: []SlotCode{SlotCode(m.Slot.String())}}
		if m.Exact {
			mark.Mark = "exact"
		}
		if opening[[2]int{m.At, m.Start}] {
			mark.Slots = append(mark.Slots, SlotCode(sheet.Opening.String()))
		}
		out = append(out, mark)
		at = m.End
	}
	if at < len(s) {
		out = append(out, Piece{Text: s[at:]})
	}
	return out
}

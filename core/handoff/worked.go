package handoff

import (
	"slices"
	"strings"

	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/text"
)

// heading returns the block of the first heading of the page that is so, -1 for none.
func (h *hand) heading(is func(*page.Heading) bool) int {
	if h.out.Now == nil {
		return -1
	}
	for i := range h.out.Now.Headings {
		if g := &h.out.Now.Headings[i]; is(g) && h.out.Now.Blocks[g.Block].Copy() {
			return g.Block
		}
	}
	return -1
}

// paragraphs returns the blocks of copy that are no headings and hold at least so many words.
func (h *hand) paragraphs(words int) (out []int) {
	if h.out.Now == nil {
		return nil
	}
	for i := range h.out.Now.Blocks {
		b := &h.out.Now.Blocks[i]
		prose := b.Kind == page.Paragraph || b.Kind == page.Item || b.Kind == page.Cell
		if b.Copy() && b.Level == 0 && prose && b.Words >= words && !h.goes(i) {
			out = append(out, i)
		}
	}
	return out
}

// goes reports whether a block is struck out as a whole.
func (h *hand) goes(block int) bool {
	return slices.ContainsFunc(h.on[block], func(m Mark) bool {
		return m.Goes && m.Start == 0 && m.End == len(h.out.Now.Text(block))
	})
}

// The words that a paragraph holds in which there is room for a phrase, and the least for want of such a one.
const roomyWords, fewWords = 12, 4

// opening returns the paragraph into which a phrase of the opening goes, -1 for none.
func (h *hand) opening() int {
	for _, words := range []int{roomyWords, fewWords} {
		before := 0
		for _, at := range h.paragraphs(1) {
			if b := h.out.Now.Blocks[at]; b.Words >= words && before < sheet.OpeningWords {
				return at
			}
			before += h.out.Now.Blocks[at].Words
		}
	}
	return -1
}

// phrase works a phrase into a paragraph: where its words stand loosely, else at its end; where there is no paragraph
// it stands by itself.
func (h *hand) phrase(l *Line, block int) {
	if block < 0 {
		h.behind[-1] = append(h.behind[-1], Piece{Kind: NewSentence, Block: -1, Image: -1, Marks: []Mark{{Line: l}}})
		return
	}
	h.used[block] = true
	m := Mark{Line: l, Start: len(h.out.Now.Text(block))}
	m.End = m.Start
	for _, loose := range h.loose(l) {
		if loose.At == block {
			m.Start, m.End = loose.Start, loose.End
			break
		}
	}
	h.on[block] = append(h.on[block], m)
}

// loose returns where the family of a line stands in other forms than as it is typed, in the text of the page.
func (h *hand) loose(l *Line) (out []sheet.Mark) {
	if h.out.Now == nil || h.criteria == nil || l.Part.Family() == "" {
		return nil
	}
	for _, m := range sheet.Marks(h.out.Now, h.criteria, l.Part.Family()) {
		if !m.Exact && (m.Slot == sheet.Body || m.Slot == sheet.Subheads) {
			out = append(out, m)
		}
	}
	return out
}

// holds reports whether the family of a line stands in a block as it is typed.
func (h *hand) holds(l *Line, block int) bool {
	return strings.Contains(strings.ToLower(h.out.Now.Text(block)), strings.ToLower(l.Part.Says()))
}

// inSubhead puts a phrase into the subhead that says most of it already and holds no other phrase; where none does,
// a new one stands above the second paragraph.
func (h *hand) inSubhead(l *Line) {
	if h.out.Now == nil {
		h.waits = append(h.waits, Mark{Line: l})
		return
	}
	best, most := -1, 0
	for i := range h.out.Now.Headings {
		g := &h.out.Now.Headings[i]
		if g.Level == 1 || !h.out.Now.Blocks[g.Block].Copy() || h.used[g.Block] || h.holds(l, g.Block) {
			continue
		}
		if n := h.shared(g.Text, l.Part.Says()); best < 0 || n > most {
			best, most = g.Block, n
		}
	}
	if best >= 0 {
		h.phrase(l, best)
		return
	}
	at := -1
	if list := h.paragraphs(fewWords); len(list) > 0 {
		at = list[0]
	}
	h.behind[at] = append(h.behind[at], Piece{Kind: NewHeading, Block: -1, Image: -1, Marks: []Mark{{Line: l}}})
}

// shared counts the stems that two texts have in common.
func (h *hand) shared(a, b string) (n int) {
	if h.criteria == nil {
		return 0
	}
	language := h.criteria.Language()
	has := map[string]bool{}
	for _, t := range text.Tokens(a) {
		has[language.Stem(t)] = true
	}
	for _, t := range text.Tokens(b) {
		if stem := language.Stem(t); has[stem] {
			has[stem] = false
			n++
		}
	}
	return n
}

// inBody works a phrase into as many paragraphs as it is to stand more often: those that have its words loosely, then
// those all over the page into which nothing was worked yet.
func (h *hand) inBody(l *Line) {
	var list []int
	for _, m := range h.loose(l) {
		if m.Slot == sheet.Body && !h.goes(m.At) && !slices.Contains(list, m.At) {
			list = append(list, m.At)
		}
	}
	free := slices.DeleteFunc(h.paragraphs(roomyWords), func(at int) bool {
		return h.holds(l, at) || slices.Contains(list, at)
	})
	unused := slices.DeleteFunc(slices.Clone(free), func(at int) bool { return h.used[at] })
	for _, at := range slices.Concat(spread(unused, l.Part.Times()-len(list)), free, h.paragraphs(fewWords)) {
		if !slices.Contains(list, at) {
			list = append(list, at)
		}
	}
	for n := range l.Part.Times() {
		at := -1
		if n < len(list) {
			at = list[n]
		}
		h.phrase(l, at)
		if at < 0 {
			return
		}
	}
}

// spread returns n of the blocks, from all over the page.
func spread(blocks []int, n int) []int {
	if n <= 0 || n >= len(blocks) {
		return blocks
	}
	out := make([]int, n)
	for i := range out {
		out[i] = blocks[i*len(blocks)/n]
	}
	return out
}

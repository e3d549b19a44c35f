package handoff

import (
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
)

// write rules lines for words to write: in the section where it stands, else behind the one before it in the outline.
func (h *hand) write(l *Line) {
	piece := Piece{Kind: ToWrite, Block: -1, Image: -1, Marks: []Mark{{Line: l}}}
	if l.Target.Kind != plan.Slice {
		h.writeLead(piece)
		return
	}
	section := l.Target.Section
	at := h.behindSection(section)
	if !section.There && section.Kind != outline.LeadSection && !h.headed[section.Key] {
		h.headed[section.Key] = true
		h.behind[at] = append(h.behind[at], Piece{Kind: NewHeading, Block: -1, Image: -1,
			Marks: append([]Mark{{Line: l}}, h.waits...)})
		h.waits = nil
	}
	h.rule(l.Target, at, piece)
}

// rule adds words to write behind a block.
func (h *hand) rule(t *plan.Target, at int, piece Piece) {
	h.behind[at] = append(h.behind[at], piece)
	h.written[t] = ruled{at, len(h.behind[at]) - 1}
}

// writeLead rules lines for the opening section of a page to make: below its H1, with the phrases that stand by
// themselves so far.
func (h *hand) writeLead(piece Piece) {
	var above, below []Piece
	for _, p := range h.behind[-1] {
		switch {
		case p.Kind == NewSentence:
			piece.Marks = append(piece.Marks, p.Marks...)
		case p.Kind == NewHeading && p.Marks[0].Part.Kind == plan.H1:
			above = append(above, p)
		default:
			below = append(below, p)
		}
	}
	h.behind[-1] = above
	h.rule(piece.Marks[0].Target, -1, piece)
	h.behind[-1] = append(h.behind[-1], below...)
}

// behindSection returns the last block of a section that stands on the page, else of that before it in the outline,
// -1 for above all.
func (h *hand) behindSection(s outline.Section) int {
	if h.out.Now == nil {
		return -1
	}
	at := h.endOfLead()
	for _, of := range h.sections {
		if of.There && of.Kind != outline.LeadSection {
			if begin := h.heading(func(g *page.Heading) bool { return g.Text == of.Heading }); begin >= 0 {
				at = h.endOf(begin)
			}
		}
		if of.Kind == outline.LeadSection && s.Kind == outline.LeadSection {
			return h.endOfLead()
		}
		if of.Key == s.Key {
			break
		}
	}
	return at
}

// endOfLead returns the last block of copy above the first subhead.
func (h *hand) endOfLead() int {
	first := h.heading(func(g *page.Heading) bool { return g.Level > 1 })
	if first < 0 {
		first = len(h.out.Now.Blocks)
	}
	return h.lastCopy(0, first)
}

// endOf returns the last block of copy below a heading, by its block, and above the next.
func (h *hand) endOf(begin int) int {
	end := h.heading(func(g *page.Heading) bool { return g.Block > begin })
	if end < 0 {
		end = len(h.out.Now.Blocks)
	}
	return h.lastCopy(begin, end)
}

func (h *hand) lastCopy(begin, end int) int {
	for i := end - 1; i >= begin; i-- {
		if h.out.Now.Blocks[i].Copy() {
			return i
		}
	}
	return -1
}

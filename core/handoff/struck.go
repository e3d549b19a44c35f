package handoff

import (
	"slices"
	"strings"

	"inktally/core/cues"
	"inktally/core/finding"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/text"
)

// wrongPlace strikes a place that contradicts the page's own, where it stands.
func (h *hand) wrongPlace(l *Line) {
	f := l.Part.Finding
	switch f.Where {
	case finding.InTitle:
		h.strikeInHead(l, plan.Title)
	case finding.InURL:
		h.strikeInHead(l, plan.Address)
	case finding.InImage, finding.InAlt:
		if at := h.pictureOf(f.Text()); at >= 0 {
			h.pictures[at] = append(h.pictures[at], Mark{Line: l})
			return
		}
		h.top(l)
	default:
		heads := f.Where != finding.InBody
		if !h.find(l, f.Place, f.Where != finding.InSubhead && f.Where != finding.InBody, func(b *page.Block) bool {
			return (b.Level > 0) == heads
		}) {
			h.top(l)
		}
	}
}

func (h *hand) strikeInHead(l *Line, kind plan.PartKind) {
	for i := range h.out.Head {
		of := &h.out.Head[i]
		if of.Kind != kind {
			continue
		}
		m := Mark{Line: l, End: len(of.Now)}
		if at := indexFold(of.Now, l.Part.Finding.Place); at >= 0 {
			m.Start, m.End, m.Goes = at, at+len(l.Part.Finding.Place), true
		}
		of.Marks = append(of.Marks, m)
	}
}

// pictureOf returns the picture that has a file name or an alt text, -1 for none.
func (h *hand) pictureOf(says string) int {
	if h.out.Now == nil {
		return -1
	}
	return slices.IndexFunc(h.out.Now.Images, func(i page.Image) bool {
		return i.File != "" && (i.File+i.Ext == says || i.File == says) || i.Alt != nil && text.Collapse(*i.Alt) == says
	})
}

// meant marks a text of the page; where that stands nowhere, the line is about the page as a whole.
func (h *hand) meant(l *Line, says string) {
	if !h.find(l, says, false, func(*page.Block) bool { return true }) {
		h.top(l)
	}
}

// find marks a text in the first visible block that has it and is so.
func (h *hand) find(l *Line, says string, goes bool, is func(*page.Block) bool) bool {
	if h.out.Now == nil || says == "" {
		return false
	}
	for i := range h.out.Now.Blocks {
		b := &h.out.Now.Blocks[i]
		if at := indexFold(h.out.Now.Text(i), says); at >= 0 && !b.Hidden && is(b) {
			h.on[i] = append(h.on[i], Mark{Line: l, Start: at, End: at + len(says), Goes: goes})
			return true
		}
	}
	return false
}

// indexFold returns where a text stands in another, case ignored where that changes no length; -1 for nowhere.
func indexFold(s, part string) int {
	if part == "" {
		return -1
	}
	lower, want := strings.ToLower(s), strings.ToLower(part)
	if len(lower) != len(s) || len(want) != len(part) {
		return strings.Index(s, part)
	}
	return strings.Index(lower, want)
}

// repair marks what a target of one line is about.
func (h *hand) repair(l *Line) {
	switch f := l.Target.Finding; {
	case l.Part.Limit != nil:
		h.less(l)
	case f == nil:
		h.top(l)
	case f.Type == finding.PlaceholderText:
		h.strikeFiller(l)
	case f.Type == finding.PhoneNotLinked:
		h.meant(l, f.Text())
	case f.Type == finding.VagueAreaWords:
		if !h.find(l, f.Text(), true, func(*page.Block) bool { return true }) {
			h.top(l)
		}
	default:
		h.top(l)
	}
}

// strikeFiller strikes the blocks of left-over text.
func (h *hand) strikeFiller(l *Line) {
	struck := false
	if h.out.Now != nil {
		for i := range h.out.Now.Blocks {
			says := h.out.Now.Text(i)
			if !h.out.Now.Blocks[i].Hidden && cues.IsFiller(says) {
				h.on[i] = append(h.on[i], Mark{Line: l, End: len(says), Goes: true})
				struck = true
			}
		}
	}
	if !struck {
		h.top(l)
	}
}

// less strikes a phrase where it is said too often, the last ones first.
func (h *hand) less(l *Line) {
	over := l.Part.Limit.Now - l.Part.Limit.Most
	if h.out.Now != nil && h.criteria != nil {
		list := sheet.Marks(h.out.Now, h.criteria, l.Part.Family())
		for _, m := range slices.Backward(list) {
			if over > 0 && m.Exact && m.Slot == sheet.Body {
				h.on[m.At] = append(h.on[m.At], Mark{Line: l, Start: m.Start, End: m.End, Goes: true})
				over--
			}
		}
	}
	if over == l.Part.Limit.Now-l.Part.Limit.Most {
		h.top(l)
	}
}

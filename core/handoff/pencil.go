package handoff

import (
	"cmp"
	"slices"

	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/sheet"
)

// PencilledOf returns a page of a plan as a proof-reader's copy. Now is the page as it is, nil for one to make;
// criteria are what its phrases are looked for by.
func PencilledOf(p *plan.Plan, key string, now *page.Page, criteria *sheet.Criteria) Pencilled {
	h := &hand{out: Pencilled{Brief: BriefOf(p, key, now), Now: now}, criteria: criteria,
		on: map[int][]Mark{}, pictures: map[int][]Mark{}, behind: map[int][]Piece{}, used: map[int]bool{},
		headed: map[string]bool{}, written: map[*plan.Target]ruled{},
		sections: p.Outlines[key]}
	h.head()
	for i := range h.out.Sections {
		lines := h.out.Sections[i].Lines
		for k := range lines {
			h.line(&lines[k])
		}
	}
	for _, m := range h.waits {
		h.behind[-1] = append(h.behind[-1], Piece{Kind: NewHeading, Block: -1, Image: -1, Marks: []Mark{m}})
	}
	h.assemble()
	return h.out
}

// hand puts the lines of a brief into a page.
type hand struct {
	out      Pencilled
	criteria *sheet.Criteria
	sections []outline.Section
	// on are the marks of blocks, pictures those of images, behind what is added behind a block: -1 for above all.
	on, pictures map[int][]Mark
	behind       map[int][]Piece
	used         map[int]bool    // blocks that a phrase is worked into
	headed       map[string]bool // sections that have a new heading
	added        []ruled         // pictures that are added
	// waits are the phrases for a subhead of a page to make, until there is one.
	waits []Mark
	// written is where the words of a target are ruled: behind which block, and as which piece there.
	written map[*plan.Target]ruled
}

type ruled struct{ behind, piece int }

func (h *hand) head() {
	list := []HeadText{{Kind: plan.Title}, {Kind: plan.Description}, {Kind: plan.Address}}
	if h.out.Now != nil {
		list[0].Now, list[1].Now, list[2].Now = h.out.Now.Title, h.out.Now.Description, h.out.Now.URL
	}
	h.out.Head = list
}

// line puts a line where it belongs: what goes into words that are to be written, to these.
func (h *hand) line(l *Line) {
	if at, ok := h.written[l.Target]; ok && (l.Inside() || h.out.Now == nil && isPhrase(l)) {
		piece := &h.behind[at.behind][at.piece]
		piece.Marks = append(piece.Marks, Mark{Line: l})
		return
	}
	switch l.Part.Kind {
	case plan.Title, plan.Description, plan.Address:
		h.inHead(l, l.Part.Kind)
	case plan.H1:
		h.inH1(l)
	case plan.Opening:
		h.phrase(l, h.opening())
	case plan.Subhead:
		h.inSubhead(l)
	case plan.Body:
		h.inBody(l)
	case plan.Words:
		h.write(l)
	case plan.ImageName, plan.Alt:
		h.image(l)
	case plan.WrongPlace:
		h.wrongPlace(l)
	case plan.DeadLink, plan.AddLink:
		h.meant(l, l.Part.Finding.Label)
	case plan.Repair:
		h.repair(l)
	default:
		h.top(l)
	}
}

// isPhrase reports whether a line asks for a phrase in the text.
func isPhrase(l *Line) bool { return l.Part.Kind == plan.Opening || l.Part.Kind == plan.Body }

func (h *hand) top(l *Line) { h.out.Top = append(h.out.Top, Mark{Line: l}) }

// inHead replaces a text above the page's, or adds to it.
func (h *hand) inHead(l *Line, kind plan.PartKind) {
	for i := range h.out.Head {
		if of := &h.out.Head[i]; of.Kind == kind {
			of.Marks = append(of.Marks, Mark{Line: l, End: len(of.Now), Goes: of.Now != ""})
		}
	}
}

func (h *hand) inH1(l *Line) {
	if at := h.heading(func(g *page.Heading) bool { return g.Level == 1 }); at >= 0 {
		h.on[at] = append(h.on[at], Mark{Line: l, End: len(h.out.Now.Text(at)), Goes: true})
		return
	}
	h.behind[-1] = append([]Piece{{Kind: NewHeading, Block: -1, Image: -1, Marks: []Mark{{Line: l}}}}, h.behind[-1]...)
}

func (h *hand) image(l *Line) {
	if at := l.Part.Image.At; at >= 0 && h.out.Now != nil && at < len(h.out.Now.Images) {
		h.pictures[at] = append(h.pictures[at], Mark{Line: l})
		return
	}
	for _, at := range h.added {
		p := &h.behind[at.behind][at.piece]
		if len(p.Marks) == 1 && p.Marks[0].Part.Kind != l.Part.Kind { // a name and an alt text of one picture
			p.Marks = append(p.Marks, Mark{Line: l})
			return
		}
	}
	picture := Piece{Kind: Picture, Block: -1, Image: -1, Marks: []Mark{{Line: l}}}
	at, pieces := h.pictured(len(h.added))
	h.behind[at] = slices.Insert(h.behind[at], pieces, picture)
	for i := range h.added { // those behind it have moved on
		if a := &h.added[i]; a.behind == at && a.piece >= pieces {
			a.piece++
		}
	}
	h.added = append(h.added, ruled{at, pieces})
}

// pictured returns where the n-th picture that is added stands, from 0: behind the n-th section of the page, else
// behind the n-th words to write.
func (h *hand) pictured(n int) (block, piece int) {
	if h.out.Now == nil {
		return -1, behindWords(h.behind[-1], n)
	}
	var ends []int
	if list := h.paragraphs(fewWords); len(list) > 0 && list[0] <= h.endOfLead() {
		ends = append(ends, h.endOfLead())
	}
	for i := range h.out.Now.Headings {
		if g := &h.out.Now.Headings[i]; g.Level > 1 && h.out.Now.Blocks[g.Block].Copy() {
			if end := h.endOf(g.Block); end > g.Block {
				ends = append(ends, end)
			}
		}
	}
	block = h.endOfLead()
	if len(ends) > 0 {
		block = ends[min(n, len(ends)-1)]
	}
	return block, len(h.behind[block])
}

// behindWords returns where among pieces a picture stands: behind the n-th words that are to be written, from 0, else
// at the end.
func behindWords(pieces []Piece, n int) int {
	for i, p := range pieces {
		if p.Kind != ToWrite {
			continue
		}
		if n == 0 {
			return i + 1
		}
		n--
	}
	return len(pieces)
}

// assemble puts the page together from top to bottom.
func (h *hand) assemble() {
	add := func(p ...Piece) { h.out.Pieces = append(h.out.Pieces, p...) }
	add(h.behind[-1]...)
	if h.out.Now == nil {
		return
	}
	frame := 0
	flush := func() {
		if frame > 0 {
			add(Piece{Kind: OwnFrame, Block: -1, Image: -1, Words: frame})
		}
		frame = 0
	}
	pictured := 0
	for i := range h.out.Now.Blocks {
		for ; pictured < len(h.out.Now.Images) && h.out.Now.Images[pictured].Block <= i; pictured++ {
			h.picture(pictured, flush)
		}
		b := &h.out.Now.Blocks[i]
		switch {
		case b.Hidden && len(h.on[i]) == 0 && len(h.behind[i]) == 0:
			continue
		case b.Copy() || len(h.on[i]) > 0:
			flush()
			slices.SortStableFunc(h.on[i], func(a, b Mark) int { return cmp.Compare(a.Start, b.Start) })
			add(Piece{Kind: OwnText, Block: i, Image: -1, Marks: h.on[i]})
		default:
			frame += b.Words
		}
		if more := h.behind[i]; len(more) > 0 {
			flush()
			add(more...)
		}
	}
	flush()
	for ; pictured < len(h.out.Now.Images); pictured++ {
		h.picture(pictured, flush)
	}
}

// picture adds a picture of the page: those of its text, and those that a line is about.
func (h *hand) picture(i int, flush func()) {
	img := &h.out.Now.Images[i]
	if marks := h.pictures[i]; len(marks) > 0 || !img.Hidden && !img.Frame && img.File != "" {
		flush()
		h.out.Pieces = append(h.out.Pieces, Piece{Kind: Picture, Block: -1, Image: i, Marks: marks})
	}
}

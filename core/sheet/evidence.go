package sheet

import (
	"strings"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/text"
)

// Mark is one occurrence of a family as the evidence shows it.
type Mark struct {
	Slot Slot
	// At is the index of the block, link or image that it stands in.
	At int
	// Start and End are byte offsets in the text of that block, or in Text.
	Start, End int
	Exact      bool
	// Text is the label or anchor text, empty for blocks. The whole of an
	// anchor text is marked.
	Text string
}

// Marks returns the occurrences of one family, all that its placement counts.
func Marks(p *page.Page, r *Criteria, family string) []Mark {
	var out []Mark
	labels := newLabels(p, r)
	visit(p, r, labels, func(slot Slot, at int, _ bool, hits []phrase.Hit) {
		for _, h := range hits {
			if h.Counts && r.Families[h.Family].Key == family {
				out = append(out, markOf(p, labels, slot, at, h))
			}
		}
	})
	return out
}

func markOf(p *page.Page, l *labels, slot Slot, at int, h phrase.Hit) Mark {
	m := Mark{Slot: slot, At: at, Exact: h.Exact()}
	switch slot {
	case H1, Subheads, Opening, Body, Elsewhere:
		scan, start := p.Scan(), p.TextStart(at)
		m.Start, m.End = scan.Start(h.Lo)-start, scan.End(h.Hi-1)-start
	case Links:
		m.Text = p.AnchorText(&p.Links[at])
		m.End = len(m.Text)
	default:
		if d := l.of(slot, at); d != nil {
			m.Text = d.text
			m.Start, m.End = l.scan.Start(h.Lo)-d.start, l.scan.End(h.Hi-1)-d.start
		}
	}
	return m
}

// FindInPage counts what a browser's find-in-page would: the letters as
// typed, case ignored, in all visible text (rule 3.1).
func FindInPage(p *page.Page, typed string) int {
	typed = strings.ToLower(text.Collapse(typed))
	if typed == "" {
		return 0
	}
	n := 0
	for i := range p.Blocks {
		if !p.Blocks[i].Hidden {
			n += strings.Count(strings.ToLower(p.Text(i)), typed)
		}
	}
	return n
}

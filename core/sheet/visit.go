package sheet

import (
	"net/url"
	"sort"
	"strings"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/text"
)

// OpeningWords is how many words of the body are its opening (rule 3.3).
const OpeningWords = 100

// visitor is called with the occurrences of all phrases in one text. at is the
// index of the block, link or image that the text belongs to. copied reports
// that the text is copy. Ranges of hits are token ranges.
type visitor func(slot Slot, at int, copied bool, hits []phrase.Hit)

// visit finds the phrases of criteria in all slots of a page.
func visit(p *page.Page, r *Criteria, labels *labels, see visitor) {
	find := r.matcher.Finder(&labels.scan)
	for _, l := range labels.list {
		if hits := find.Find(l.lo, l.hi); len(hits) > 0 {
			see(l.slot, l.at, false, hits)
		}
	}
	find = r.matcher.Finder(p.Scan())
	visitBlocks(p, find, see)
	visitLinks(p, r, find, see)
}

// visitBlocks goes over the visible text of the page once.
func visitBlocks(p *page.Page, find *phrase.Finder, see visitor) {
	body := 0 // words of the body so far
	for i := range p.Blocks {
		b := &p.Blocks[i]
		if b.Hidden {
			continue
		}
		slot := slotOf(b)
		lo, hi := p.TokenRange(i)
		hits := find.Find(lo, hi)
		if len(hits) > 0 {
			see(slot, i, b.Copy(), hits)
			if slot == Body && body < OpeningWords {
				if in := within(p.Scan(), lo, hits, OpeningWords-body); len(in) > 0 {
					see(Opening, i, false, in)
				}
			}
		}
		if slot == Body {
			body += b.Words
		}
	}
}

// slotOf returns the slot of a block's text.
func slotOf(b *page.Block) Slot {
	switch {
	case b.Level == 1:
		return H1
	case b.Level > 1:
		return Subheads
	case b.Copy():
		return Body
	}
	return Elsewhere
}

// within returns the hits that end within the first words from token lo on.
func within(scan *text.Scan, lo int, hits []phrase.Hit, words int) []phrase.Hit {
	end := lo
	for seen := 0; end < len(scan.Tokens); end++ {
		if scan.Tokens[end].NewWord() {
			if seen == words {
				break
			}
			seen++
		}
	}
	var in []phrase.Hit
	for _, h := range hits {
		if h.Hi <= end {
			in = append(in, h)
		}
	}
	return in
}

// visitLinks goes over the anchor texts, each piece of a block by itself.
func visitLinks(p *page.Page, r *Criteria, find *phrase.Finder, see visitor) {
	scan := p.Scan()
	for i := range p.Links {
		for _, s := range p.Links[i].Spans {
			from, to := p.TextStart(s.Block)+s.Start, p.TextStart(s.Block)+s.End
			lo, hi := p.TokenRange(s.Block)
			lo += sort.Search(hi-lo, func(i int) bool { return scan.End(lo+i) > from })
			hi = lo + sort.Search(hi-lo, func(i int) bool { return scan.Start(lo+i) >= to })
			if lo == hi {
				continue
			}
			if scan.Start(lo) < from || scan.End(hi-1) > to {
				// The link begins or ends inside a word.
				cut, _ := text.ScanText(scan.Text[from:to])
				if hits := r.matcher.Finder(cut).Find(0, len(cut.Tokens)); len(hits) > 0 {
					see(Links, i, false, hits)
				}
				continue
			}
			if hits := find.Find(lo, hi); len(hits) > 0 {
				see(Links, i, false, hits)
			}
		}
	}
}

// labels are the short texts about a page, each one sentence.
type labels struct {
	scan text.Scan
	list []label
	// names are the words of each image's name.
	names [][]string
	by    map[placeOfLabel]int // where they stand in the list, once they are looked for
}

// placeOfLabel is the slot of a label, and the image that it is of.
type placeOfLabel struct {
	slot Slot
	at   int
}

// of returns the label of a place, nil for none.
func (l *labels) of(slot Slot, at int) *label {
	if l.by == nil {
		l.by = make(map[placeOfLabel]int, len(l.list))
		for i := range l.list {
			l.by[placeOfLabel{l.list[i].slot, l.list[i].at}] = i
		}
	}
	i, ok := l.by[placeOfLabel{slot, at}]
	if !ok {
		return nil
	}
	return &l.list[i]
}

type label struct {
	slot   Slot
	at     int
	lo, hi int // tokens
	start  int // where it starts in the text of the scan
	text   string
}

func newLabels(p *page.Page, r *Criteria) *labels {
	l := &labels{names: make([][]string, len(p.Images))}
	add := func(slot Slot, at int, s string) {
		if s != "" {
			l.list = append(l.list, label{slot: slot, at: at, text: s})
		}
	}
	add(Title, 0, p.Title)
	add(Description, 0, p.Description)
	add(Address, 0, pathOf(p.URL))
	for i := range p.Images {
		l.names[i] = r.judge.Words(p.Images[i].File)
		add(ImageNames, i, strings.Join(l.names[i], " "))
		if p.Images[i].Alt != nil {
			add(Alt, i, *p.Images[i].Alt)
		}
	}
	var b strings.Builder
	for i := range l.list {
		l.list[i].start = b.Len()
		b.WriteString(l.list[i].text)
		b.WriteByte('\n')
	}
	l.scan.Text = b.String()
	for i := range l.list {
		d := &l.list[i]
		d.lo = len(l.scan.Tokens)
		l.scan.AppendLabel(d.start, d.start+len(d.text))
		d.hi = len(l.scan.Tokens)
	}
	return l
}

// pathOf returns the path of a web address, percent-decoded; files and what is
// pasted have none.
func pathOf(address string) string {
	u, err := url.Parse(address)
	if err != nil || u.Scheme != "http" && u.Scheme != "https" {
		return ""
	}
	return u.Path
}

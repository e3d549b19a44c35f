package page

import (
	"sort"
	"strings"

	"inktally/core/cues"
	"inktally/core/text"
)

const (
	thinWords   = 60 // words under which a page may be built by script (rule 1.5)
	manyScripts = 3
)

// finish turns what the walk gathered into the facts of the page.
func (w *walker) finish() {
	w.ended = true
	w.flush(&w.visible)
	w.flush(&w.concealed)
	p := w.page
	p.scan.Text = w.body.String()
	p.scanBlocks()
	w.countLinkWords()
	settleRegions(p.Blocks, w.banners)
	p.countWords()
	w.headings()
	w.findBaked()
	if p.Lang == "" {
		p.Lang = cues.Language(&p.scan)
	}
	w.warn()
}

// scanBlocks parts the text of all blocks into words and tokens.
func (p *Page) scanBlocks() {
	p.scan.Tokens = make([]text.Token, 0, len(p.scan.Text)/6+16)
	for i := range p.Blocks {
		b := &p.Blocks[i]
		b.tokenLo = int32(len(p.scan.Tokens))
		b.Words = p.scan.Append(int(b.start), int(b.end))
		b.tokenHi = int32(len(p.scan.Tokens))
	}
}

// countWords adds up the words of the page (rule 2.2).
func (p *Page) countWords() {
	for i := range p.Blocks {
		b := &p.Blocks[i]
		switch {
		case b.Hidden:
			p.Words.Hidden += b.Words
		case b.Copy():
			p.Words.Copy += b.Words
			p.Words.Seen += b.Words
		default:
			p.Words.Seen += b.Words
		}
	}
}

// countLinkWords counts for each block the words that stand in links.
func (w *walker) countLinkWords() {
	p := w.page
	for i := range p.Links {
		for _, s := range p.Links[i].Spans {
			b := &p.Blocks[s.Block]
			lo, hi := p.TokenRange(s.Block)
			from := lo + sort.Search(hi-lo, func(i int) bool { return p.scan.Start(lo+i)-int(b.start) >= s.Start })
			for t := from; t < hi && p.scan.Start(t)-int(b.start) < s.End; t++ {
				if p.scan.Tokens[t].NewWord() {
					b.linkWords++
				}
			}
		}
	}
}

// headings makes the list of headings and counts the words of their sections
// (rules 1.6, 2.3).
func (w *walker) headings() {
	p := w.page
	places := make([]int, len(w.heads)) // index in p.Headings, -1 for none
	for i, h := range w.heads {
		places[i] = -1
		if len(h.spans) == 0 {
			continue
		}
		var pieces []string
		for _, s := range h.spans {
			pieces = append(pieces, p.Text(s.Block)[s.Start:s.End])
		}
		places[i] = len(p.Headings)
		p.Headings = append(p.Headings, Heading{
			Level: h.level, Text: text.Collapse(strings.Join(pieces, " ")), Block: h.spans[0].Block,
		})
	}
	p.countSections()
	for h := 1; h < len(places); h++ { // an empty heading leaves the one before it the nearest
		if places[h] < 0 {
			places[h] = places[h-1]
		}
	}
	for i, heads := range w.imageHeads {
		if heads > 0 && places[heads-1] >= 0 {
			p.Images[i].Heading = p.Headings[places[heads-1]].Text
		}
	}
}

// countSections gives each heading the copy words up to the next one, and up
// to the next of the same or a higher level.
func (p *Page) countSections() {
	at := 0
	for i := range p.Blocks {
		for at < len(p.Headings) && p.Headings[at].Block <= i {
			at++
		}
		if at > 0 && p.Blocks[i].Copy() {
			p.Headings[at-1].Words += p.Blocks[i].Words
		}
	}
	for i := range p.Headings {
		h := &p.Headings[i]
		h.Within = h.Words
		for j := i + 1; j < len(p.Headings) && p.Headings[j].Level > h.Level; j++ {
			h.Within += p.Headings[j].Words
		}
	}
}

// Lead returns the copy words before the first heading (rule 2.3).
func (p *Page) Lead() int {
	words := p.Words.Copy
	for i := range p.Headings {
		words -= p.Headings[i].Words
	}
	return words
}

func (w *walker) warn() {
	p := w.page
	if !w.rendered && p.Words.Seen < thinWords && (w.scripts > manyScripts || w.emptyRoot) {
		p.Warnings = append(p.Warnings, DrawnByScript)
	}
	if w.much {
		p.Warnings = append(p.Warnings, TooMuch)
	}
	if p.Words.Seen == 0 {
		p.Warnings = append(p.Warnings, NoText)
	}
}

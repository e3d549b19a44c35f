package site

import (
	"hash/maphash"
	"strings"

	"inktally/core/contact"
	"inktally/core/finding"
	"inktally/core/page"
)

// Gist is what the tree of a site is made from of one page. A survey holds one for each page, and no page: its size is
// bounded, whatever the page's is, and its texts are its own.
type Gist struct {
	Title, H1 string
	Headings  []page.Heading
	Words     page.Words
	// Forms, Maps, Images and Businesses are how many of them the page holds.
	Forms, Maps, Images, Businesses  int
	UnderConstruction, DrawnByScript bool
	Phones                           []contact.Phone
	// Pictures are those with a name or an alt text, Links those of its own site.
	Pictures []page.Image
	Links    []page.LinkFact
	// Findings are those of the page by itself.
	Findings []finding.Finding

	copies []copyBlock
	tokens []uint64 // of the blocks one after another, hashed
	// named are how often the copy names each place, but for lists of communities (rule 5.2).
	named map[string]int
}

// copyBlock is a block of copy: its text hashed, its words, and where its tokens end.
type copyBlock struct {
	key   uint64
	words int
	until int
}

// The bounds of a gist. What is beyond them counts in the page's words, and is held against no other page.
const (
	gistText     = 1000 // bytes of a heading, a title or an alt text
	gistLabel    = 200  // bytes of a link's text
	gistAddress  = 2048
	gistHeadings = 500
	gistPictures = 1000
	gistLinks    = 1000
	gistBlocks   = 5000
	gistTokens   = 20_000
	gistFindings = 100 // texts of a finding
)

// seed hashes texts and tokens: what is hashed is held against what is hashed by the same program.
var seed = maphash.MakeSeed()

// GistOf returns the gist of a page. Places are those that a binder knows, without what the firm is called.
func GistOf(p *page.Page, b *Binder, firm string) *Gist {
	d := p.Details()
	g := &Gist{Title: own(p.Title, gistText), H1: own(p.H1(), gistText), Words: p.Words, Forms: d.Forms, Maps: d.Maps,
		Images: len(p.Images), Businesses: len(d.Businesses), UnderConstruction: d.UnderConstruction,
		DrawnByScript: p.Warns(page.DrawnByScript), named: map[string]int{}}
	for _, ph := range d.Phones[:min(len(d.Phones), gistFindings)] {
		g.Phones = append(g.Phones, contact.Phone{Number: own(ph.Number, gistLabel), Linked: ph.Linked})
	}
	for _, h := range p.Headings[:min(len(p.Headings), gistHeadings)] {
		h.Text = own(h.Text, gistText)
		g.Headings = append(g.Headings, h)
	}
	for _, img := range p.Images[:min(len(p.Images), gistPictures)] {
		kept := page.Image{File: own(img.File, gistText), Hidden: img.Hidden}
		if img.Alt != nil {
			alt := own(*img.Alt, gistText)
			kept.Alt = &alt
		}
		g.Pictures = append(g.Pictures, kept)
	}
	for _, l := range p.LinkList() {
		if len(g.Links) == gistLinks {
			break
		}
		if !l.Away && !l.Hidden && len(l.Address) <= gistAddress {
			g.Links = append(g.Links, page.LinkFact{Text: own(l.Text, gistLabel), Address: strings.Clone(l.Address)})
		}
	}
	for _, f := range p.Findings() {
		f.URL = strings.Clone(f.URL)
		texts := f.Texts[:min(len(f.Texts), gistFindings)]
		f.Texts = nil
		for _, t := range texts {
			f.Texts = append(f.Texts, own(t, gistText))
		}
		g.Findings = append(g.Findings, f)
	}
	g.read(p, b, firm)
	return g
}

// own returns a text of its own, cut to so many bytes.
func own(s string, most int) string {
	if len(s) > most {
		s = strings.ToValidUTF8(s[:most], "")
	}
	return strings.Clone(s)
}

// read hashes the copy of a page, and counts the places that it names.
func (g *Gist) read(p *page.Page, b *Binder, firm string) {
	for k := range p.Blocks {
		if !p.Blocks[k].Copy() {
			continue
		}
		if b != nil && p.Blocks[k].Kind != page.HeadingText {
			g.name(p.Text(k), b, firm)
		}
		if len(g.copies) == gistBlocks || len(g.tokens) >= gistTokens {
			continue
		}
		lo, hi := p.TokenRange(k)
		for t := lo; t < hi && len(g.tokens) < gistTokens; t++ {
			g.tokens = append(g.tokens, maphash.String(seed, p.Scan().Folded(t)))
		}
		g.copies = append(g.copies, copyBlock{maphash.String(seed, strings.ToLower(p.Text(k))), p.Blocks[k].Words,
			len(g.tokens)})
	}
}

// name counts the places of a block; lists of three communities and more count for none.
func (g *Gist) name(s string, b *Binder, firm string) {
	named := b.Places(without(s, firm))
	if len(named) >= 3 {
		return
	}
	for _, p := range named {
		g.named[p] += b.times(s, p)
	}
}

// gist returns that of a visited page, nil for one that was not read.
func (s Survey) gist(v Visited) *Gist {
	if v.Gist == nil && v.Page != nil {
		return GistOf(v.Page, s.Binder, s.Firm)
	}
	return v.Gist
}

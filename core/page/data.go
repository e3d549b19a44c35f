package page

import "inktally/core/menu"

// Rules is the version of the rules that a page is read by. What was kept by
// another version is read anew; TestRulesVersion fails if a change of the
// rules forgot it.
const Rules = 3

// Data is a page as it can be kept: all that was read of it, without its
// markup.
type Data struct {
	URL, Title, Description, Lang string
	// Text is that of all blocks, one behind the other.
	Text     string
	Blocks   []BlockData
	Headings []Heading
	Links    []LinkData
	Images   []Image
	Warnings []Warning
	Details  Details
	Menus    [][]menu.Item
}

// BlockData is a block as it can be kept.
type BlockData struct {
	Kind   Kind
	Level  int
	Region Region
	Hidden bool
	// End is where its text ends in Data.Text; it starts where that of the block
	// before ends.
	End  int
	Path string
}

// LinkData is a link as it can be kept.
type LinkData struct {
	Href   string
	Spans  []Span
	Region Region
	Hidden bool
	Label  string
}

// Data returns what is to be kept of a page.
func (p *Page) Data() *Data {
	d := &Data{URL: p.URL, Title: p.Title, Description: p.Description, Lang: p.Lang, Text: p.scan.Text,
		Headings: p.Headings,
		Images:   p.Images, Warnings: p.Warnings, Details: p.Details(), Menus: p.Menus(),
		Blocks: make([]BlockData, len(p.Blocks)), Links: make([]LinkData, len(p.Links))}
	for i := range p.Blocks {
		b := &p.Blocks[i]
		d.Blocks[i] = BlockData{Kind: b.Kind, Level: b.Level, Region: b.Region, Hidden: b.Hidden, End: int(b.end),
			Path: b.Path()}
	}
	for i := range p.Links {
		l := &p.Links[i]
		d.Links[i] = LinkData{Href: l.Href, Spans: l.Spans, Region: l.region, Hidden: l.hidden, Label: l.label}
	}
	return d
}

// FromData returns the page that was kept. Its text is parted into words and
// tokens anew, which costs less than keeping them.
func FromData(d *Data) *Page {
	p := &Page{URL: d.URL, Title: d.Title, Description: d.Description, Lang: d.Lang, Headings: d.Headings,
		Images:   d.Images,
		Warnings: d.Warnings, Blocks: make([]Block, len(d.Blocks)), Links: make([]Link, len(d.Links)),
		details: d.Details, menus: d.Menus}
	p.found.Do(func() {})
	p.scan.Text = d.Text
	start := 0
	for i, b := range d.Blocks {
		p.Blocks[i] = Block{Kind: b.Kind, Level: b.Level, Region: b.Region, Hidden: b.Hidden, path: b.Path,
			start: int32(start), end: int32(b.End)}
		start = b.End
	}
	for i, l := range d.Links {
		p.Links[i] = Link{Href: l.Href, Spans: l.Spans, region: l.Region, hidden: l.Hidden, label: l.Label}
	}
	p.scanBlocks()
	p.countWords()
	return p
}

// Size is about how many bytes a page holds in memory, its markup left out.
func (p *Page) Size() int {
	size := 1000 + 3*len(p.scan.Text) + 14*len(p.scan.Tokens) + 160*len(p.Blocks)
	for i := range p.Blocks {
		size += len(p.Blocks[i].path)
	}
	for i := range p.Headings {
		size += 90 + len(p.Headings[i].Text)
	}
	for i := range p.Links {
		size += 140 + len(p.Links[i].Href) + len(p.Links[i].label) + 32*len(p.Links[i].Spans)
	}
	for i := range p.Images {
		size += 600 + len(p.Images[i].Src) + len(p.Images[i].Heading)
	}
	return size
}

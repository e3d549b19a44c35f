// Package packed writes what is kept as bytes: texts and pages, compressed. In go texts and
// page.Data; out come bytes that every later program reads.
package packed

import (
	"fmt"

	"inktally/core/contact"
	"inktally/core/menu"
	"inktally/core/page"
	"inktally/core/structured"

	"github.com/fxamacker/cbor/v2"
	"github.com/klauspost/compress/zstd"
)

// most bounds what is kept may unfold to, in bytes.
const most = 64 << 20

var (
	encoder, _ = zstd.NewWriter(nil, zstd.WithEncoderLevel(zstd.SpeedDefault))
	decoder, _ = zstd.NewReader(nil, zstd.WithDecoderMaxMemory(most))
)

// Text packs a text.
func Text(text []byte) []byte { return encoder.EncodeAll(text, nil) }

// TextOf unpacks a text.
func TextOf(packed []byte) ([]byte, error) { return decoder.DecodeAll(packed, nil) }

// pageRow is a page as it was read, as it is kept: CBOR, its fields by number,
// packed. A field keeps its number for ever; a new one gets the next.
type pageRow struct {
	URL         string         `cbor:"1,keyasint"`
	Title       string         `cbor:"2,keyasint,omitempty"`
	Description string         `cbor:"3,keyasint,omitempty"`
	Lang        string         `cbor:"4,keyasint,omitempty"`
	Text        string         `cbor:"5,keyasint,omitempty"`
	Paths       []string       `cbor:"6,keyasint,omitempty"` // of blocks, each once
	Blocks      []blockRow     `cbor:"7,keyasint,omitempty"`
	Headings    []headingRow   `cbor:"8,keyasint,omitempty"`
	Links       []linkRow      `cbor:"9,keyasint,omitempty"`
	Images      []imageRow     `cbor:"10,keyasint,omitempty"`
	Warnings    []page.Warning `cbor:"11,keyasint,omitempty"`
	Details     detailsRow     `cbor:"12,keyasint"`
	Menus       [][]menuRow    `cbor:"13,keyasint,omitempty"`
}

type blockRow struct {
	_      struct{} `cbor:",toarray"`
	Kind   page.Kind
	Level  int
	Region page.Region
	Hidden bool
	Size   int // of its text
	Path   int // in Paths
}

type headingRow struct {
	_                    struct{} `cbor:",toarray"`
	Level                int
	Text                 string
	Words, Within, Block int
}

type spanRow struct {
	_                 struct{} `cbor:",toarray"`
	Block, Start, End int
}

type linkRow struct {
	_      struct{} `cbor:",toarray"`
	Href   string
	Spans  []spanRow
	Region page.Region
	Hidden bool
	Label  string
}

type imageRow struct {
	Src        string  `cbor:"1,keyasint"`
	File       string  `cbor:"2,keyasint,omitempty"`
	Ext        string  `cbor:"3,keyasint,omitempty"`
	Alt        *string `cbor:"4,keyasint,omitempty"`
	Hidden     bool    `cbor:"5,keyasint,omitempty"`
	Background bool    `cbor:"6,keyasint,omitempty"`
	Frame      bool    `cbor:"7,keyasint,omitempty"`
	Heading    string  `cbor:"8,keyasint,omitempty"`
	Block      int     `cbor:"13,keyasint,omitempty"`
	Width      int     `cbor:"9,keyasint,omitempty"`
	Height     int     `cbor:"10,keyasint,omitempty"`
	Link       string  `cbor:"11,keyasint,omitempty"`
	Baked      bool    `cbor:"12,keyasint,omitempty"`
}

type detailsRow struct {
	Canonical         string        `cbor:"1,keyasint,omitempty"`
	Robots            string        `cbor:"2,keyasint,omitempty"`
	Secure            bool          `cbor:"3,keyasint,omitempty"`
	Phones            []phoneRow    `cbor:"4,keyasint,omitempty"`
	Mails             []string      `cbor:"5,keyasint,omitempty"`
	Profiles          []string      `cbor:"6,keyasint,omitempty"`
	Forms             int           `cbor:"7,keyasint,omitempty"`
	Videos            int           `cbor:"8,keyasint,omitempty"`
	Maps              int           `cbor:"9,keyasint,omitempty"`
	Internal          int           `cbor:"10,keyasint,omitempty"`
	External          int           `cbor:"11,keyasint,omitempty"`
	Businesses        []businessRow `cbor:"12,keyasint,omitempty"`
	Placeholder       passagesRow   `cbor:"13,keyasint"`
	Foreign           passagesRow   `cbor:"14,keyasint"`
	Vague             []string      `cbor:"15,keyasint,omitempty"`
	Baked             []string      `cbor:"16,keyasint,omitempty"`
	Testimonials      int           `cbor:"17,keyasint,omitempty"`
	Years             string        `cbor:"18,keyasint,omitempty"`
	UnderConstruction bool          `cbor:"19,keyasint,omitempty"`
	// 20 and 21 were what is wrong with the page, which is worked out.
}

type phoneRow struct {
	_      struct{} `cbor:",toarray"`
	Number string
	Linked bool
}

type passagesRow struct {
	_     struct{} `cbor:",toarray"`
	Words int
	Texts []string
}

type businessRow struct {
	Type     string   `cbor:"1,keyasint,omitempty"`
	Name     string   `cbor:"2,keyasint,omitempty"`
	Phone    string   `cbor:"3,keyasint,omitempty"`
	Address  string   `cbor:"4,keyasint,omitempty"`
	Hours    []string `cbor:"5,keyasint,omitempty"`
	Areas    []string `cbor:"6,keyasint,omitempty"`
	Profiles []string `cbor:"7,keyasint,omitempty"`
}

type menuRow struct {
	_       struct{} `cbor:",toarray"`
	Text    string
	Address string
	Items   []menuRow
}

// Page writes a page as it is kept.
func Page(d *page.Data) ([]byte, error) {
	raw, err := cbor.Marshal(rowOfPage(d))
	if err != nil {
		return nil, err
	}
	return Text(raw), nil
}

// PageOf reads a page that was kept.
func PageOf(packed []byte) (*page.Data, error) {
	raw, err := TextOf(packed)
	if err != nil {
		return nil, fmt.Errorf("a kept page is damaged: %w", err)
	}
	var row pageRow
	if err := pageDecoding.Unmarshal(raw, &row); err != nil {
		return nil, fmt.Errorf("a kept page is damaged: %w", err)
	}
	return row.page(), nil
}

// pageDecoding allows for as many blocks and menus as a page of the largest size
// can have.
var pageDecoding = func() cbor.DecMode {
	mode, err := cbor.DecOptions{MaxArrayElements: 1 << 27, MaxNestedLevels: 1000}.DecMode()
	if err != nil {
		panic(err)
	}
	return mode
}()

func rowOfPage(d *page.Data) *pageRow {
	r := &pageRow{URL: d.URL, Title: d.Title, Description: d.Description, Lang: d.Lang, Text: d.Text,
		Warnings: d.Warnings,
		Details:  rowOfDetails(d.Details)}
	paths, start := map[string]int{}, 0
	for _, b := range d.Blocks {
		at, ok := paths[b.Path]
		if !ok {
			at = len(r.Paths)
			paths[b.Path] = at
			r.Paths = append(r.Paths, b.Path)
		}
		r.Blocks = append(r.Blocks, blockRow{Kind: b.Kind, Level: b.Level, Region: b.Region, Hidden: b.Hidden,
			Size: b.End - start, Path: at})
		start = b.End
	}
	for _, h := range d.Headings {
		r.Headings = append(r.Headings, headingRow{Level: h.Level, Text: h.Text, Words: h.Words, Within: h.Within,
			Block: h.Block})
	}
	for _, l := range d.Links {
		row := linkRow{Href: l.Href, Region: l.Region, Hidden: l.Hidden, Label: l.Label}
		for _, s := range l.Spans {
			row.Spans = append(row.Spans, spanRow{Block: s.Block, Start: s.Start, End: s.End})
		}
		r.Links = append(r.Links, row)
	}
	for _, i := range d.Images {
		r.Images = append(r.Images, imageRow(i))
	}
	for _, m := range d.Menus {
		r.Menus = append(r.Menus, rowsOfMenu(m))
	}
	return r
}

func (r *pageRow) page() *page.Data {
	d := &page.Data{URL: r.URL, Title: r.Title, Description: r.Description, Lang: r.Lang, Text: r.Text,
		Warnings: r.Warnings,
		Details:  r.Details.details(), Menus: [][]menu.Item{},
		Blocks: make([]page.BlockData, len(r.Blocks)), Links: make([]page.LinkData, len(r.Links))}
	end := 0
	for i, b := range r.Blocks {
		end += b.Size
		d.Blocks[i] = page.BlockData{Kind: b.Kind, Level: b.Level, Region: b.Region, Hidden: b.Hidden, End: end,
			Path: r.Paths[b.Path]}
	}
	for _, h := range r.Headings {
		d.Headings = append(d.Headings, page.Heading{Level: h.Level, Text: h.Text, Words: h.Words, Within: h.Within,
			Block: h.Block})
	}
	for i, l := range r.Links {
		d.Links[i] = page.LinkData{Href: l.Href, Region: l.Region, Hidden: l.Hidden, Label: l.Label}
		for _, s := range l.Spans {
			d.Links[i].Spans = append(d.Links[i].Spans, page.Span{Block: s.Block, Start: s.Start, End: s.End})
		}
	}
	for _, i := range r.Images {
		d.Images = append(d.Images, page.Image(i))
	}
	for _, m := range r.Menus {
		d.Menus = append(d.Menus, menuOf(m))
	}
	return d
}

func rowsOfMenu(items []menu.Item) (rows []menuRow) {
	for _, i := range items {
		rows = append(rows, menuRow{Text: i.Text, Address: i.Address, Items: rowsOfMenu(i.Items)})
	}
	return rows
}

func menuOf(rows []menuRow) []menu.Item {
	items := []menu.Item{}
	for _, r := range rows {
		items = append(items, menu.Item{Text: r.Text, Address: r.Address, Items: menuOf(r.Items)})
	}
	return items
}

func rowOfDetails(d page.Details) detailsRow {
	r := detailsRow{Canonical: d.Canonical, Robots: d.Robots, Secure: d.Secure, Mails: d.Mails, Profiles: d.Profiles,
		Forms: d.Forms, Videos: d.Videos, Maps: d.Maps, Internal: d.Internal, External: d.External,
		Placeholder: passagesRow{Words: d.Placeholder.Words, Texts: d.Placeholder.Texts},
		Foreign:     passagesRow{Words: d.Foreign.Words, Texts: d.Foreign.Texts}, Vague: d.Vague, Baked: d.Baked,
		Testimonials: d.Testimonials, Years: d.Years, UnderConstruction: d.UnderConstruction}
	for _, p := range d.Phones {
		r.Phones = append(r.Phones, phoneRow{Number: p.Number, Linked: p.Linked})
	}
	for _, b := range d.Businesses {
		r.Businesses = append(r.Businesses, businessRow(b))
	}
	return r
}

func (r detailsRow) details() page.Details {
	d := page.Details{Canonical: r.Canonical, Robots: r.Robots, Secure: r.Secure, Mails: some(r.Mails),
		Profiles: some(r.Profiles),
		Forms:    r.Forms, Videos: r.Videos, Maps: r.Maps, Internal: r.Internal, External: r.External,
		Placeholder: page.Passages{Words: r.Placeholder.Words, Texts: some(r.Placeholder.Texts)},
		Foreign:     page.Passages{Words: r.Foreign.Words, Texts: some(r.Foreign.Texts)}, Vague: some(r.Vague),
		Baked:        some(r.Baked),
		Testimonials: r.Testimonials, Years: r.Years, UnderConstruction: r.UnderConstruction,
		Phones: []contact.Phone{}, Businesses: []structured.Business{}}
	for _, p := range r.Phones {
		d.Phones = append(d.Phones, contact.Phone{Number: p.Number, Linked: p.Linked})
	}
	for _, b := range r.Businesses {
		b.Hours, b.Areas, b.Profiles = some(b.Hours), some(b.Areas), some(b.Profiles)
		d.Businesses = append(d.Businesses, structured.Business(b))
	}
	return d
}

// some returns a list that is empty, not nil, as a page that was just read has it.
func some[T any](list []T) []T {
	if list == nil {
		return []T{}
	}
	return list
}

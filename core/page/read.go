package page

import (
	"bytes"
	"strings"
	"unicode"
	"unicode/utf8"

	"inktally/core/decode"
	"inktally/core/style"
	"inktally/core/text"

	"golang.org/x/net/html"
)

// Source is what is known of a page before it is read.
type Source struct {
	// URL is the address of the page, empty when it has none.
	URL string
	// ContentType is the HTTP header, empty when there was none.
	ContentType string
	// Robots is what the answer's head told search engines beside the page, empty for nothing.
	Robots string
	// Base is what relative addresses start from if that is not URL: the
	// path of a saved file.
	Base string
	// Sheets are the texts of the linked style sheets by their address, as
	// Linked and Imports name them. Nil says that none were asked for.
	Sheets map[string]string
	// Rendered reports whether the page was taken down as a browser rendered it, so that no
	// script has more to add.
	Rendered bool
	// Cache keeps parsed sheets between pages; it may be nil.
	Cache *style.Cache
}

// Read reads a page (rule 1).
func Read(body []byte, src Source) *Page {
	p := &Page{URL: src.URL}
	body = decode.Page(body, src.ContentType)
	if looksBinary(body) {
		p.Warnings = append(p.Warnings, NotHTML, NoText)
		return p
	}
	if plainText(src.ContentType) {
		body = asPage(body)
	}
	body, whole := parsed(body)
	doc, err := html.Parse(bytes.NewReader(body))
	if err != nil {
		p.Warnings = append(p.Warnings, TooDeep, NoText)
		return p
	}
	p.structure.robots = src.Robots
	w := walker{page: p, rendered: src.Rendered, most: boundsOf(len(body)), much: !whole}
	w.body.Grow(len(body) * 3 / 4)
	p.Blocks = make([]Block, 0, min(len(body)/bytesPerBlock, w.most.blocks))
	if mayHaveStyles(body) {
		w.styles(doc, &src)
	}
	w.walk(doc, &context{display: style.Block})
	w.finish()
	return p
}

// plainText reports whether text is no HTML, which browsers show as it stands.
func plainText(contentType string) bool {
	kind, _, _ := strings.Cut(contentType, ";")
	return strings.EqualFold(strings.TrimSpace(kind), "text/plain")
}

// asPage makes a page of plain text, in which each line is a block.
func asPage(plain []byte) []byte {
	return []byte("<pre>\n" + html.EscapeString(string(plain)))
}

// bytesPerBlock is a guess that saves the list of blocks from growing often.
const bytesPerBlock = 160

// looksBinary reports whether data can be no web page: NULs among the first
// characters.
func looksBinary(decoded []byte) bool {
	head := decoded[:min(len(decoded), 1024)]
	return bytes.Count(head, []byte{0}) > len(head)/50 || bytes.HasPrefix(head, []byte("%PDF-"))
}

// mayHaveStyles reports whether a page may have a style or link element.
func mayHaveStyles(body []byte) bool {
	for rest := body; ; {
		at := bytes.IndexByte(rest, '<')
		if at < 0 || at+5 >= len(rest) {
			return false
		}
		rest = rest[at+1:]
		if c := rest[0] | 0x20; (c == 's' || c == 'l') &&
			(bytes.EqualFold(rest[:5], []byte("style")) || bytes.EqualFold(rest[:4], []byte("link"))) {
			return true
		}
	}
}

// context is what an element hands down to its children.
type context struct {
	display      style.Display // of the parent box
	region       Region
	kind         Kind
	level        uint8
	banner       int32
	heading      int32 // index + 1 of the open heading
	link         int32 // index + 1 of the open link
	hidden       bool
	invisible    bool // visibility: hidden
	keepLines    bool // white-space: pre and the like
	inMain       bool
	sectioned    bool
	quoted       bool // inside a testimonial
	item         bool // inside an item of structured data
	svg, svgText bool
	ancestors    style.Ancestry // classes and ids, if there are style sheets
	vars         *style.Vars    // the custom properties that hold here
	node         *html.Node     // the innermost element
}

// walker gathers the facts of a page in one walk over its tree.
type walker struct {
	page        *Page
	rendered    bool
	said        bool // the page told search engines something
	sheet       style.Cascade
	body        strings.Builder
	visible     gatherer
	concealed   gatherer
	heads       []headingSpans
	banners     int32
	titled      bool
	described   bool
	scripts     int
	emptyRoot   bool
	most        bounds
	much        bool            // more than is kept
	ended       bool            // all of the page was walked over
	imageHeads  []int           // for each image how many headings had begun
	opened      map[string]bool // names of details that stand open
	sheetImages map[string]bool // backgrounds from style sheets that were listed
}

// headingSpans is a heading while it is being read.
type headingSpans struct {
	level int
	spans []Span
}

// gatherer collects the text of one block.
type gatherer struct {
	buf   []byte
	space bool // white space is waiting to be written
	ctx   context
	spans []openSpan
}

// openSpan is a stretch of a gathered block that belongs to a link or heading.
type openSpan struct {
	link, heading int32
	start, end    int
}

func (w *walker) walk(n *html.Node, ctx *context) {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		w.node(c, ctx)
	}
}

func (w *walker) node(n *html.Node, ctx *context) {
	switch n.Type {
	case html.TextNode:
		if !ctx.svg || ctx.svgText {
			w.text(n.Data, ctx)
		}
	case html.ElementNode:
		if n.Namespace != "" {
			w.foreign(n, ctx)
		} else {
			w.element(n, ctx)
		}
	}
}

// text adds a text node to the open block, white space collapsed.
func (w *walker) text(s string, ctx *context) {
	g := &w.visible
	if ctx.hidden || ctx.invisible {
		g = &w.concealed
	}
	start := -1
	for i := 0; i < len(s); {
		if j := i + text.CollapsedLen(s[i:]); j > i {
			start = g.write(s[i:j], start, ctx)
			i = j
			continue
		}
		r, size := utf8.DecodeRuneInString(s[i:])
		i += size
		switch {
		case r == '\n' && ctx.keepLines:
			g.mark(start, ctx)
			w.flush(g)
			start = -1
		case unicode.IsSpace(r):
			g.space = true
		default:
			start = g.write(s[i-size:i], start, ctx)
		}
	}
	g.mark(start, ctx)
}

// write appends a piece without white space; it returns where the text node
// starts in the buffer.
func (g *gatherer) write(piece string, start int, ctx *context) int {
	if len(g.buf) == 0 {
		g.ctx = *ctx
	} else if g.space {
		g.buf = append(g.buf, ' ')
	}
	g.space = false
	if start < 0 {
		start = len(g.buf)
	}
	g.buf = append(g.buf, piece...)
	return start
}

// mark notes that the text from start on stands in a link or a heading.
func (g *gatherer) mark(start int, ctx *context) {
	if start < 0 || ctx.link == 0 && ctx.heading == 0 {
		return
	}
	if last := len(g.spans) - 1; last >= 0 && g.spans[last].link == ctx.link && g.spans[last].heading == ctx.heading {
		g.spans[last].end = len(g.buf)
		return
	}
	g.spans = append(g.spans, openSpan{link: ctx.link, heading: ctx.heading, start: start, end: len(g.buf)})
}

// breakBlock ends the open block of the kind of text that ctx has.
func (w *walker) breakBlock(ctx *context) {
	if ctx.hidden || ctx.invisible {
		w.flush(&w.concealed)
	} else {
		w.flush(&w.visible)
	}
}

// flush makes a block of what was gathered.
func (w *walker) flush(g *gatherer) {
	g.space = false
	if len(g.buf) == 0 {
		return
	}
	if w.full() {
		g.space, w.much = true, true
		return
	}
	c := &g.ctx
	b := Block{
		Kind: c.kind, Level: int(c.level), Region: c.region, Hidden: g == &w.concealed,
		node: c.node, start: int32(w.body.Len()), end: int32(w.body.Len() + len(g.buf)),
		banner: c.banner, inMain: c.inMain,
	}
	w.body.Write(g.buf)
	if !b.Hidden {
		w.keepSpans(g, len(w.page.Blocks), &b)
	}
	w.page.Blocks = append(w.page.Blocks, b)
	g.buf, g.spans = g.buf[:0], g.spans[:0]
}

// keepSpans hands the stretches of a finished block to their links and
// headings.
func (w *walker) keepSpans(g *gatherer, at int, b *Block) {
	for _, s := range g.spans {
		span := Span{Block: at, Start: s.start, End: s.end}
		if s.link > 0 {
			l := &w.page.Links[s.link-1]
			if last := len(l.Spans) - 1; last >= 0 && l.Spans[last].Block == at {
				l.Spans[last].End = s.end
			} else {
				l.Spans = append(l.Spans, span)
				b.links++
			}
		}
		if s.heading > 0 {
			h := &w.heads[s.heading-1]
			if last := len(h.spans) - 1; last >= 0 && h.spans[last].Block == at {
				h.spans[last].End = s.end
			} else {
				h.spans = append(h.spans, span)
			}
		}
	}
}

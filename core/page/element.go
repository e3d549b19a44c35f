package page

import (
	"cmp"
	"strconv"
	"strings"

	"inktally/core/cues"
	"inktally/core/element"
	"inktally/core/style"
	"inktally/core/text"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// attributes are those of an element that matter to the walk.
type attributes struct {
	id, class, style, role string
	hidden, open, popover  bool
	item                   bool
	untilFound             bool
}

func readAttributes(n *html.Node) (a attributes) {
	for i := range n.Attr {
		v := n.Attr[i].Val
		switch n.Attr[i].Key {
		case "id":
			a.id = v
		case "class":
			a.class = v
		case "style":
			a.style = v
		case "role":
			a.role = v
		case "hidden":
			a.hidden = true
			a.untilFound = strings.EqualFold(v, "until-found")
		case "open":
			a.open = true
		case "popover":
			a.popover = true
		case "itemscope":
			a.item = true
		}
	}
	return a
}

// element handles an HTML element.
func (w *walker) element(n *html.Node, parent *context) {
	a := readAttributes(n)
	if w.void(n, &a, parent) || element.NeverText(n.DataAtom) {
		return
	}
	ctx := *parent
	ctx.svg, ctx.svgText = false, false
	ctx.node = n
	breaks := w.style(n, &a, parent, &ctx)
	w.place(n, &a, &ctx)
	w.mark(n, &a, &ctx)
	if n.DataAtom == atom.Hr {
		w.breakBlock(&ctx)
		return
	}
	w.open(n, &ctx)
	// A part that is switched off is a block of its own among the hidden ones.
	breaks = breaks || ctx.hidden && !parent.hidden
	if breaks {
		w.breakBlock(&ctx)
	}
	if n.DataAtom == atom.Details {
		w.details(n, &ctx, a.open && w.firstOpen(element.Attr(n, "name")))
	} else {
		w.walk(n, &ctx)
	}
	if breaks {
		w.breakBlock(&ctx)
	}
}

// void handles the elements without text of their own, and reports whether n is one.
func (w *walker) void(n *html.Node, a *attributes, parent *context) bool {
	switch n.DataAtom {
	case atom.Br:
		w.lineBreak(n, a, parent)
	case atom.Img:
		w.image(n, parent, a)
	case atom.Script:
		w.scripts++
		w.data(n)
	case atom.Link:
		w.canonical(n)
	case atom.Iframe, atom.Video:
		w.embedded(n)
		w.replaced(n, a, parent)
	case atom.Input, atom.Textarea, atom.Canvas, atom.Audio, atom.Object, atom.Embed, atom.Progress, atom.Meter:
		w.replaced(n, a, parent)
	case atom.Title:
		w.title(n)
	case atom.Meta:
		w.meta(n)
	case atom.Head:
		w.walk(n, &context{hidden: true, svg: true})
	default:
		return false
	}
	return true
}

// mark notes what an element says of its page beside its text.
func (w *walker) mark(n *html.Node, a *attributes, ctx *context) {
	if n.DataAtom == atom.Html {
		w.page.Lang = strings.TrimSpace(cmp.Or(strings.TrimSpace(element.Attr(n, "lang")), element.Attr(n, "xml:lang")))
	}
	if n.FirstChild == nil && cues.IsAppRoot(a.id) {
		w.emptyRoot = true
	}
	if !ctx.hidden {
		w.note(n, a, ctx)
	}
	if a.item && !ctx.item {
		ctx.item = true
		w.page.structure.items = append(w.page.structure.items, n)
	}
}

// open opens a link or a heading for the text below an element.
func (w *walker) open(n *html.Node, ctx *context) {
	switch n.DataAtom {
	case atom.A:
		if href, ok := element.Lookup(n, "href"); ok && w.room(len(w.page.Links), w.most.links) {
			w.page.Links = append(w.page.Links,
				Link{Href: href, node: n, label: text.Collapse(element.Attr(n, "aria-label")), region: ctx.region,
					hidden: ctx.hidden || ctx.invisible})
			ctx.link = int32(len(w.page.Links))
		}
	case atom.H1, atom.H2, atom.H3, atom.H4, atom.H5, atom.H6:
		if w.room(len(w.heads), w.most.headings) {
			ctx.level = n.Data[1] - '0'
			ctx.kind = HeadingText
			w.heads = append(w.heads, headingSpans{level: int(ctx.level)})
			ctx.heading = int32(len(w.heads))
		}
	}
}

// style works the cascade for n into ctx and reports whether n's box ends
// blocks (rules 1.2, 1.3). A paragraph does, whatever its box.
func (w *walker) style(n *html.Node, a *attributes, parent, ctx *context) (breaks bool) {
	own := ownDisplay(n, a)
	ends := n.DataAtom == atom.P || n.DataAtom == atom.Caption || n.DataAtom == atom.Legend
	ctx.keepLines = ctx.keepLines || preformatted(n.DataAtom)
	if w.sheet.Empty() && a.style == "" && own != style.None && !a.untilFound {
		if own != style.Contents {
			if parent.display.Lays() {
				own = own.Blockified()
			}
			ctx.display = own
		}
		return ends || own.Breaks()
	}
	st := w.sheet.Style(style.Element{Node: n, ID: a.id, Class: a.class, Inline: a.style, Up: &parent.ancestors,
		Vars: parent.vars})
	ctx.ancestors.Add(a.id, a.class)
	ctx.vars = st.Vars
	ctx.invisible = st.Invisible(ctx.invisible)
	ctx.keepLines = st.KeepsLines(ctx.keepLines)
	shown := st.Display(own, parent.display)
	if shown == style.None {
		ctx.hidden = true
		shown = style.Default(n.DataAtom)
	}
	if st.SkipsContent(a.untilFound) && shown != style.Inline {
		ctx.hidden = true
	}
	ctx.display = shown
	if shown == style.Contents {
		ctx.display = parent.display
	}
	w.backgrounds(&st, ctx)
	return ends || shown.Breaks()
}

// backgrounds adds the background images of an element. One that a style
// sheet gives to many elements is listed once.
func (w *walker) backgrounds(st *style.Style, ctx *context) {
	addresses, own := st.Backgrounds()
	for _, address := range addresses {
		if !own {
			if w.sheetImages[address] {
				continue
			}
			if w.sheetImages == nil {
				w.sheetImages = map[string]bool{}
			}
			w.sheetImages[address] = true
		}
		w.addImage(Image{Src: address, Background: true}, ctx)
	}
}

func preformatted(a atom.Atom) bool { return a == atom.Pre || a == atom.Listing || a == atom.Xmp }

// ownDisplay returns the display by the browser's own sheet and the attribute
// hidden.
func ownDisplay(n *html.Node, a *attributes) style.Display {
	switch {
	case a.hidden && !a.untilFound,
		a.popover && !(n.DataAtom == atom.Dialog && a.open),
		n.DataAtom == atom.Dialog && !a.open:
		return style.None
	}
	return style.Default(n.DataAtom)
}

// place works what n is in the page into ctx: region, kind (rules 1.3, 1.4).
func (w *walker) place(n *html.Node, a *attributes, ctx *context) {
	w.region(n, a, ctx)
	ctx.kind = kindIn(n.DataAtom, ctx.kind)
	switch n.DataAtom {
	case atom.Article, atom.Section, atom.Main, atom.Aside, atom.Nav:
		ctx.sectioned = true
	}
}

// region enters the region that an element begins, by its tag, its role or its names.
func (w *walker) region(n *html.Node, a *attributes, ctx *context) {
	region, is := landmark(n.DataAtom, a.role, ctx.sectioned)
	if is && region == Main {
		ctx.inMain, ctx.region = true, Main
	} else if !is && !ctx.inMain && (a.id != "" || a.class != "") && n.DataAtom != atom.Body &&
		n.DataAtom != atom.Html {
		if region, is = namedRegion(a.class); !is {
			region, is = namedRegion(a.id)
		}
		is = is && !holdsMain(n)
	}
	if is && (!ctx.region.frame() || region == Nav || region == Dialog) {
		if region == Nav && ctx.region != Nav {
			w.page.structure.menus = append(w.page.structure.menus, n)
		}
		ctx.region = region
		if region == Banner {
			w.banners++
			ctx.banner = w.banners
		}
	}
}

// kindIn returns the kind of the blocks in an element that stands in those of a kind.
func kindIn(a atom.Atom, outer Kind) Kind {
	switch a {
	case atom.Li, atom.Dt, atom.Dd:
		return Item
	case atom.Td, atom.Th:
		return Cell
	case atom.Caption, atom.Figcaption:
		return Caption
	case atom.Button:
		return Button
	case atom.Label, atom.Legend:
		return Label
	case atom.P:
		if outer == Button || outer == Label {
			return Paragraph
		}
	}
	return outer
}

// details puts the first summary first; the rest of a closed one is hidden.
func (w *walker) details(n *html.Node, ctx *context, open bool) {
	var summary *html.Node
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type == html.ElementNode && c.DataAtom == atom.Summary {
			summary = c
			w.node(c, ctx)
			break
		}
	}
	rest := *ctx
	if !open {
		rest.hidden = true
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c != summary {
			w.node(c, &rest)
		}
	}
	w.breakBlock(&rest)
}

// firstOpen reports whether no open details of the same name came before: a
// browser closes the later ones.
func (w *walker) firstOpen(name string) bool {
	if name == "" {
		return true
	}
	if w.opened[name] {
		return false
	}
	if w.opened == nil {
		w.opened = map[string]bool{}
	}
	w.opened[name] = true
	return true
}

// lineBreak ends a block at a br, unless it is hidden: many break lines on
// small screens only.
func (w *walker) lineBreak(n *html.Node, a *attributes, parent *context) {
	ctx := *parent
	if !w.plain(a) {
		w.style(n, a, parent, &ctx)
	}
	if ctx.hidden == parent.hidden && ctx.invisible == parent.invisible {
		w.breakBlock(parent)
	}
}

// plain reports whether nothing says of an element how it is shown.
func (w *walker) plain(a *attributes) bool {
	return w.sheet.Empty() && a.style == "" && !a.hidden
}

// replaced ends a block at a box without text, such as a field, if it is
// made a block.
func (w *walker) replaced(n *html.Node, a *attributes, parent *context) {
	if w.plain(a) || parent.hidden {
		return
	}
	ctx := *parent
	if w.style(n, a, parent, &ctx) && !ctx.hidden {
		w.breakBlock(parent)
	}
}

// canonical notes the address that the page itself gives as its own.
func (w *walker) canonical(n *html.Node) {
	if w.page.structure.canonical == "" && strings.EqualFold(element.Attr(n, "rel"), "canonical") {
		w.page.structure.canonical = strings.TrimSpace(element.Attr(n, "href"))
	}
}

func (w *walker) title(n *html.Node) {
	if !w.titled && n.FirstChild != nil {
		w.titled = true
		w.page.Title = text.Collapse(n.FirstChild.Data)
	}
}

func (w *walker) meta(n *html.Node) {
	if target, ok := refreshed(n); ok && w.page.structure.refresh == "" {
		w.page.structure.refresh = target
	}
	if !w.said && strings.EqualFold(element.Attr(n, "name"), "robots") {
		w.said = true
		w.page.structure.robots = strings.TrimPrefix(
			w.page.structure.robots+", "+text.Collapse(element.Attr(n, "content")), ", ")
	}
	if !w.described && strings.EqualFold(element.Attr(n, "name"), "description") {
		w.described = true
		w.page.Description = text.Collapse(element.Attr(n, "content"))
	}
}

// refreshLater is from how many seconds on a page that leads on by itself is read first.
const refreshLater = 10

// refreshed returns where a page leads on by itself, and soon; it is not ok for another element.
func refreshed(n *html.Node) (target string, ok bool) {
	if !strings.EqualFold(element.Attr(n, "http-equiv"), "refresh") {
		return "", false
	}
	wait, rest, found := strings.Cut(element.Attr(n, "content"), ";")
	if !found {
		wait, rest, found = strings.Cut(element.Attr(n, "content"), ",")
	}
	seconds, err := strconv.Atoi(strings.TrimSpace(wait))
	rest = strings.TrimSpace(rest)
	if len(rest) > 4 && strings.EqualFold(rest[:3], "url") {
		rest = strings.TrimLeft(rest[3:], " =")
	}
	target = strings.Trim(rest, ` '"`)
	return target, found && target != "" && (err != nil || seconds < refreshLater)
}

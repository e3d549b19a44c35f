package page

import (
	"net/url"
	"strconv"
	"strings"

	"golang.org/x/net/html"
)

// smallest is the size under which an image is set aside when both its sides
// are given smaller (rule 4.1).
const smallest = 48

// image adds an img element.
func (w *walker) image(n *html.Node, parent *context, a *attributes) {
	var src, lazy, srcset, width, height string
	var alt *string
	for i := range n.Attr {
		v := n.Attr[i].Val
		switch n.Attr[i].Key {
		case "src":
			src = strings.TrimSpace(v)
		case "data-src":
			lazy = strings.TrimSpace(v)
		case "srcset":
			srcset = v
		case "width":
			width = v
		case "height":
			height = v
		case "alt":
			alt = &n.Attr[i].Val
		}
	}
	ctx := *parent
	if side := attr(n, "align"); w.style(n, a, parent, &ctx) || side == "left" || side == "right" {
		defer w.breakBlock(&ctx)
		w.breakBlock(&ctx)
	}
	if small(width) && small(height) {
		return
	}
	if src == "" || inlineData(src) {
		if lazy != "" {
			src = lazy
		} else if largest := largestOf(srcset); largest != "" {
			src = largest
		}
	}
	w.addImage(Image{Src: src, Alt: alt, Width: pixels(width), Height: pixels(height)}, &ctx)
}

func (w *walker) addImage(img Image, ctx *context) {
	if inlineData(img.Src) {
		if img.Background {
			return
		}
		img.Src, _, _ = strings.Cut(img.Src, ",")
	} else {
		var width, height int
		img.File, img.Ext, width, height = fileName(img.Src)
		if img.Width == 0 && img.Height == 0 {
			img.Width, img.Height = width, height
		}
	}
	img.Hidden = ctx.hidden || ctx.invisible
	img.Frame = ctx.region.frame()
	if ctx.link > 0 {
		img.Link = w.page.Links[ctx.link-1].Href
	}
	w.page.Images = append(w.page.Images, img)
	w.imageHeads = append(w.imageHeads, len(w.heads))
	w.imageBlocks = append(w.imageBlocks, len(w.page.Blocks))
}

func small(size string) bool {
	n, ok := side(size)
	return ok && n < smallest
}

// side reads the attribute width or height.
func side(size string) (float64, bool) {
	if size == "" {
		return 0, false
	}
	n, err := strconv.ParseFloat(strings.TrimSuffix(strings.TrimSpace(size), "px"), 64)
	return n, err == nil
}

// pixels is a side for lists, 0 if it is not known.
func pixels(size string) int {
	if n, ok := side(size); ok && n >= 1 && n < 1<<16 {
		return int(n)
	}
	return 0
}

const (
	bakedWidth, bakedHeight = 600, 200 // of an image that may hold words
	nearWords               = 12       // words near it that say what it shows
	galleryImages           = 3        // images in a row that show work, not words
)

// findBaked marks the large images of the copy with hardly any text near them.
func (w *walker) findBaked() {
	p := w.page
	for i := range p.Images {
		img := &p.Images[i]
		if img.Width < bakedWidth || img.Height < bakedHeight || img.Frame || img.Hidden || img.Background {
			continue
		}
		at, together := w.imageBlocks[i], 0
		for _, other := range w.imageBlocks {
			if other >= at-1 && other <= at+1 {
				together++
			}
		}
		img.Baked = together < galleryImages && p.wordsNear(at) < nearWords
	}
}

// wordsNear counts the copy words beside a place between blocks, as far as the
// next heading on either side.
func (p *Page) wordsNear(at int) (words int) {
	for i := at - 1; i >= max(0, at-2) && p.Blocks[i].Level == 0; i-- {
		words += p.copyWords(i)
	}
	for i := at; i < min(len(p.Blocks), at+2) && p.Blocks[i].Level == 0; i++ {
		words += p.copyWords(i)
	}
	return words
}

func (p *Page) copyWords(block int) int {
	if b := &p.Blocks[block]; b.Copy() {
		return b.Words
	}
	return 0
}

func inlineData(src string) bool {
	return len(src) >= 5 && strings.EqualFold(src[:5], "data:")
}

// largestOf returns the address with the largest descriptor of a srcset.
func largestOf(srcset string) string {
	best, bestSize := "", -1.0
	for _, candidate := range splitSrcset(srcset) {
		fields := strings.Fields(candidate)
		if len(fields) == 0 {
			continue
		}
		size := 1.0
		if len(fields) > 1 {
			last := fields[len(fields)-1]
			if n, err := strconv.ParseFloat(strings.TrimRight(last, "wxh"), 64); err == nil {
				size = n
			}
		}
		if size > bestSize && !inlineData(fields[0]) {
			best, bestSize = fields[0], size
		}
	}
	return best
}

// splitSrcset splits at the commas that end a candidate: an address may hold
// commas itself, but none before white space.
func splitSrcset(srcset string) []string {
	var out []string
	for srcset = strings.TrimLeft(srcset, " \t\n\r\f,"); srcset != ""; srcset = strings.TrimLeft(srcset, " \t\n\r\f,") {
		end := strings.IndexAny(srcset, " \t\n\r\f")
		if end < 0 {
			return append(out, strings.TrimRight(srcset, ","))
		}
		if strings.HasSuffix(srcset[:end], ",") {
			out = append(out, strings.TrimRight(srcset[:end], ","))
			srcset = srcset[end:]
			continue
		}
		if comma := strings.IndexByte(srcset[end:], ','); comma >= 0 {
			out = append(out, srcset[:end+comma])
			srcset = srcset[end+comma:]
			continue
		}
		return append(out, srcset)
	}
	return out
}

// fileName returns the name of an image by its address, the extension that was
// parted from it, and the size that the name gives, 0 for none (rule 4.1).
func fileName(src string) (name, ext string, width, height int) {
	if at := strings.IndexAny(src, "?#"); at >= 0 {
		src = src[:at]
	}
	name = src[strings.LastIndexByte(src, '/')+1:]
	if decoded, err := url.PathUnescape(name); err == nil {
		name = decoded
	}
	if at := strings.LastIndexByte(name, '.'); at >= 0 && len(name)-at-1 <= 5 && extension(name[at+1:]) {
		name, ext = name[:at], name[at:]
	}
	for {
		at := strings.LastIndexAny(name, "-_@")
		if at <= 0 || !sizeSuffix(name[at], strings.ToLower(name[at+1:])) {
			return strings.TrimSpace(name), ext, width, height
		}
		if w, h, ok := strings.Cut(strings.ToLower(name[at+1:]), "x"); ok && width == 0 && name[at] != '@' {
			width, height = pixels(w), pixels(h)
		}
		name = name[:at]
	}
}

func extension(s string) bool {
	for i := range len(s) {
		if c := s[i] | 0x20; (c < 'a' || c > 'z') && (s[i] < '0' || s[i] > '9') {
			return false
		}
	}
	return s != ""
}

// sizeSuffix tells the endings that programs add to the names of resized
// images: -1024x768, @2x, -scaled, _thumb.
func sizeSuffix(sign byte, rest string) bool {
	if sign == '@' {
		return strings.HasSuffix(rest, "x") && number(strings.TrimSuffix(rest, "x"))
	}
	if rest == "scaled" || rest == "thumb" || rest == "thumbnail" {
		return true
	}
	width, height, ok := strings.Cut(rest, "x")
	return ok && len(width) > 1 && number(width) && number(height)
}

func number(s string) bool {
	_, err := strconv.ParseUint(s, 10, 16)
	return err == nil
}

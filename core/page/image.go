package page

import (
	"strings"

	"inktally/core/element"
	"inktally/core/imagesource"

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
	if side := element.Attr(n, "align"); w.style(n, a, parent, &ctx) || side == "left" || side == "right" {
		defer w.breakBlock(&ctx)
		w.breakBlock(&ctx)
	}
	if small(width) && small(height) {
		return
	}
	if src == "" || imagesource.Inline(src) {
		if lazy != "" {
			src = lazy
		} else if largest := imagesource.Largest(srcset); largest != "" {
			src = largest
		}
	}
	w.addImage(Image{Src: src, Alt: alt, Width: imagesource.Pixels(width), Height: imagesource.Pixels(height)}, &ctx)
}

func (w *walker) addImage(img Image, ctx *context) {
	if !w.room(len(w.page.Images), w.most.images) {
		return
	}
	if imagesource.Inline(img.Src) {
		if img.Background {
			return
		}
		img.Src, _, _ = strings.Cut(img.Src, ",")
	} else {
		var width, height int
		img.File, img.Ext, width, height = imagesource.FileName(img.Src)
		if img.Width == 0 && img.Height == 0 {
			img.Width, img.Height = width, height
		}
	}
	img.Hidden = ctx.hidden || ctx.invisible
	img.Frame = ctx.region.frame()
	if ctx.link > 0 {
		img.Link = w.page.Links[ctx.link-1].Href
	}
	img.Block = len(w.page.Blocks)
	w.page.Images = append(w.page.Images, img)
	w.imageHeads = append(w.imageHeads, len(w.heads))
}

func small(size string) bool {
	n, ok := imagesource.Side(size)
	return ok && n < smallest
}

const (
	bakedWidth, bakedHeight = 600, 200 // of an image that may hold words
	nearWords               = 12       // words near it that say what it shows
	galleryImages           = 3        // images in a row that show work, not words
)

// findBaked marks the large images of the copy with hardly any text near them.
func (w *walker) findBaked() {
	p := w.page
	at := map[int]int{} // images, by the block that they stand at
	for i := range p.Images {
		at[p.Images[i].Block]++
	}
	for i := range p.Images {
		img := &p.Images[i]
		if img.Width < bakedWidth || img.Height < bakedHeight || img.Frame || img.Hidden || img.Background {
			continue
		}
		together := at[img.Block-1] + at[img.Block] + at[img.Block+1]
		img.Baked = together < galleryImages && p.wordsNear(img.Block) < nearWords
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

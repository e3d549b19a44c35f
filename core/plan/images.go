package plan

import (
	"slices"
	"strings"

	"inktally/core/imagename"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/sum"
	"inktally/core/text"
)

// NamesOf returns the names of the images of pages.
func NamesOf(pages ...Aim) *imagename.Names {
	var files [][]string
	for i := range pages {
		if !pages[i].there() {
			continue
		}
		images := pages[i].Client.Page.Images
		list := make([]string, len(images))
		for k := range images {
			list[k] = images[k].File + images[k].Ext
		}
		files = append(files, list)
	}
	return imagename.NamesOf(files...)
}

// naming works out what the images of a page should be called (rules 4.3, 10.2).
type naming struct {
	b *builder
	// names and alts are the parts of the images' target, wrong those of names that are
	// contradictions of place: they are fixes.
	names, alts, wrong []Part
	list               []imagename.Image
	// families are the page's by the names that are made of their wishes, others what else
	// names may say; carriers are the rivals with a name that carries a phrase.
	families map[string]int
	others   map[string]string
	carriers int
}

// newNaming begins the names of a page.
func (b *builder) newNaming() *naming {
	n := &naming{b: b, families: map[string]int{}, others: map[string]string{}}
	for i, f := range b.p.Families {
		slug := imagename.Slug(b.wish[f.Key])
		if _, had := n.families[slug]; !had {
			n.families[slug] = i
		}
	}
	for _, w := range b.p.Wishes {
		n.others[imagename.Slug(w)] = w
	}
	for _, r := range b.p.Rivals {
		if r.Carrying() > 0 {
			n.carriers++
		}
	}
	return n
}

// nameImages proposes names and alt texts for the images of the page, and more images
// where it has too few that carry a phrase. taken are the names of the whole site.
func (b *builder) nameImages(taken *imagename.Names) {
	b.taken = taken
	if !b.p.Kind.HasWordTarget() {
		return // names on other pages stay, whatever they are (rule 4.3)
	}
	wishes := b.imageWishes()
	n := b.newNaming()
	images := n.images()
	n.list = images
	var proposed []string
	if b.p.there() {
		proposed = b.p.Criteria.Judge().Propose(images, wishes, b.y.Carrying(b.p.Kind), taken)
	}
	carrying := 0
	for i, name := range proposed {
		switch {
		case name != "":
			n.rename(i, name, images[i].Verdict)
			taken.Rename(images[i].Name + images[i].Ext)
			carrying++
		case images[i].Verdict == imagename.Carries && !images[i].Frame:
			carrying++
		}
	}
	n.more(b.y.Carrying(b.p.Kind)-carrying, wishes, taken)
	n.describe()
	b.wrongNames = n.wrong
	if parts := slices.Concat(n.names, n.alts); len(parts) > 0 {
		b.images = &Target{Key: string(Images), Kind: Images, Parts: parts}
	}
}

// imageWishes returns what the names may say, in order of worth: a family by the member that
// is for an image name, where it is missing.
func (b *builder) imageWishes() []string {
	var out []string
	for i := range b.p.Families {
		f := &b.p.Families[i]
		b.wish[f.Key] = f.Text
		if m, ok := b.memberFor(f, sheet.ImageNames); ok && i == 0 && b.p.family(f.Key).Exact.ImageNames == 0 {
			b.wish[f.Key] = m.Text
		}
		out = append(out, b.wish[f.Key])
	}
	return append(out, b.p.Wishes...)
}

// memberFor returns the member of a family that is for a slot and stands nowhere yet.
func (b *builder) memberFor(f *Stake, slot sheet.Slot) (Member, bool) {
	for i, m := range f.Members[:min(len(f.Members), b.room[f.Key])] {
		if memberSlots[i%len(memberSlots)] == slot && !stands(b.p.placed(m.Text).Exact) {
			return m, true
		}
	}
	return Member{}, false
}

// images returns those of the page as names are proposed for them. The same file once more
// needs no name of its own.
func (n *naming) images() []imagename.Image {
	if !n.b.p.there() {
		return nil
	}
	pg := n.b.p.Client.Page
	out := make([]imagename.Image, len(pg.Images))
	seen := make(map[string]bool, len(pg.Images))
	for i := range pg.Images {
		img := &pg.Images[i]
		out[i] = imagename.Image{Name: img.File, Ext: img.Ext, Heading: img.Heading, Verdict: n.b.p.Client.Verdicts[i],
			Frame: img.Frame}
		if img.Alt != nil {
			out[i].Alt = *img.Alt
		}
		file := img.File + img.Ext
		if seen[file] || n.b.taken.Settled(file) {
			out[i].Verdict = imagename.NoName // it gets one name, wherever it stands
		}
		seen[file] = true
	}
	return out
}

// rename asks for a name. The first name that carries a family has that family's weight.
func (n *naming) rename(i int, name string, verdict imagename.Verdict) {
	img := n.b.p.Client.Page.Images[i]
	p := n.named(strings.TrimSuffix(name, img.Ext))
	file := img.File + img.Ext
	p.Key, p.Image = partKey(ImageName, file), &Picture{At: i, File: file, Wanted: name, Verdict: verdict}
	p.Rivals.Have = n.carriers
	if verdict == imagename.WrongPlace {
		p.Estimate = Estimate{}
		p.takes(effort(sum.RenamePlace, n.b.y.Minutes.Place, "minutes.place"))
		n.wrong = append(n.wrong, p)
		return
	}
	n.names = append(n.names, p)
}

// named returns a name with the gain of the family that it carries.
func (n *naming) named(slug string) Part {
	b, rule := n.b, PartRuleOf(ImageName)
	p := Part{Kind: ImageName, Rivals: HaveIt{Of: len(b.p.Rivals)}}
	p.takes(b.y.each(rule))
	i, ok := n.families[slug]
	if !ok {
		if other, ok := n.others[slug]; ok {
			p.Phrase = &Saying{Text: other}
		}
		return p
	}
	f := &b.p.Families[i]
	p.Phrase, b.named[f.Key] = &Saying{Family: f.Key, Text: b.wish[f.Key]}, true
	if m, ok := b.memberFor(f, sheet.ImageNames); ok && m.Text == p.Says() {
		p.say(m)
	}
	if share := missing(b.p.family(f.Key), sheet.ImageNames); share > 0 {
		p.weigh(b.y, rule, []Stake{*f}, missingIn(share))
	}
	return p
}

// more asks for images that the page does not have yet, named by what no image is called
// after.
func (n *naming) more(count int, wishes []string, taken *imagename.Names) {
	b := n.b
	if !b.p.Kind.HasWordTarget() || len(b.p.Families) == 0 {
		return
	}
	seen := map[string]bool{}
	for _, p := range slices.Concat(n.names, n.wrong) {
		seen[imagename.Slug(p.Says())] = true
	}
	if b.p.there() {
		for i, img := range b.p.Client.Page.Images {
			if b.p.Client.Verdicts[i] == imagename.Carries {
				seen[strings.ToLower(img.File)] = true
			}
		}
	}
	for _, w := range wishes {
		slug := imagename.Slug(w)
		if count <= 0 {
			return
		}
		if slug == "" || seen[slug] || !taken.Free(b.p.Criteria.Judge(), slug, ".jpg") ||
			b.p.Criteria.Judge().Verdict(slug) != imagename.Carries {
			continue
		}
		seen[slug] = true
		taken.Take(b.p.Criteria.Judge(), slug, ".jpg")
		p := n.named(slug)
		p.Key, p.Image = partKey(ImageName, "+ "+slug), &Picture{At: -1, Wanted: slug + ".jpg"}
		n.names = append(n.names, p)
		count--
	}
}

// describe asks for alt texts: of the images that get a name and have none, and for the
// first family, which must stand in one (rule 9.2).
func (n *naming) describe() {
	b := n.b
	need := len(b.p.Families) > 0 && b.p.family(b.first()).Exact.Alt == 0
	for _, name := range slices.Concat(n.names, n.wrong) {
		isFirst := need && name.Family() == b.first()
		if !isFirst && (name.Says() == "" || n.hasAlt(name.Image.At)) {
			continue
		}
		if isFirst {
			n.alts = append(n.alts, n.firstAlt(name.Image))
			need = false
			continue
		}
		n.alts = append(n.alts, n.alt(name))
	}
	if !need {
		return
	}
	if len(n.alts) > 0 { // one that is to be written anyway says it
		n.alts[0] = n.firstAlt(n.alts[0].Image)
		return
	}
	of := Picture{At: -1}
	if b.p.there() {
		of.At = slices.IndexFunc(n.list, func(img imagename.Image) bool {
			return !img.Frame && img.Verdict != imagename.NoName
		})
	}
	if of.At >= 0 {
		img := b.p.Client.Page.Images[of.At]
		of.File = img.File + img.Ext
	}
	n.alts = append(n.alts, n.firstAlt(&of))
}

func (n *naming) hasAlt(image int) bool {
	if image < 0 {
		return false
	}
	return n.b.p.Client.Page.Images[image].Alt != nil // an empty one is that of a decoration, and stays
}

// altText returns the alt text that an image gets for a phrase (rule 4.3): the one that it has with the phrase
// behind it, else a blank for what it shows.
func (n *naming) altText(image int, phrase string) string {
	shows := n.b.y.texts(n.b.p).Picture
	if image >= 0 {
		if alt := n.b.p.Client.Page.Images[image].Alt; alt != nil && strings.TrimSpace(*alt) != "" {
			shows = text.Collapse(*alt)
		}
	}
	return strings.TrimRight(shows, ".,;") + ", " + place.Capitals(phrase, n.b.places(), false)
}

// alt asks for the alt text of an image that is to get a name.
func (n *naming) alt(name Part) Part {
	key := name.Image.File
	if key == "" {
		key = strings.TrimPrefix(name.Key, string(ImageName)+": ")
	}
	p := Part{Key: partKey(Alt, key), Kind: Alt, Phrase: &Saying{Text: name.Says()}, Image: described(name.Image)}
	p.Image.Wanted = n.altText(p.Image.At, p.Says())
	p.takes(n.b.y.each(PartRuleOf(Alt)))
	return p
}

// firstAlt asks for the first family in the alt text of an image.
func (n *naming) firstAlt(of *Picture) Part {
	b := n.b
	f := &b.p.Families[0]
	share := missing(b.p.family(f.Key), sheet.Alt)
	p := b.part(PartRuleOf(Alt), f, missingIn(share))
	p.Image, p.Slot.Loose = described(of), share == half
	if m, ok := b.memberFor(f, sheet.Alt); ok {
		p.say(m)
	}
	p.Image.Wanted = n.altText(of.At, p.Says())
	return p
}

// described returns an image that is to get an alt text, without what is said of its name.
func described(img *Picture) *Picture { return &Picture{At: img.At, File: img.File} }

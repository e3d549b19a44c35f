package imagename

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// longest is how long a proposed name may be (rule 4.3).
const longest = 60

// Image is an image that may need a better name.
type Image struct {
	Name    string
	Ext     string
	Alt     string
	Heading string
	Verdict Verdict
	// Frame reports whether it stands in a menu, header or footer: most likely a
	// logo or a badge that every page has, which is judged no further (4.1).
	Frame bool
}

// wish is what a name may say.
type wish struct {
	name  string
	stems []string // of its service
}

// Propose returns a better name with its extension for each image, empty
// if it has none to give (rule 4.3). wishes are what names may say, in
// order of worth: the leads of the page's families, then services with the
// home town, then on a home page communities; most is how many further names may be made of
// these and what an image shows. taken are the names of the site; those that are proposed are added.
func (j *Judge) Propose(images []Image, wishes []string, most int, taken *Names) []string {
	out := make([]string, len(images))
	free := func(i int) bool {
		v := images[i].Verdict
		return out[i] == "" && v != Carries && v != NoName && v != Plain && !images[i].Frame
	}
	give := func(i int, slug string) {
		out[i] = slug + images[i].Ext
		taken.Take(j, slug, images[i].Ext)
	}
	for i, img := range images { // what a name says of a service stays
		if !free(i) {
			continue
		}
		if slug := j.completed(img.Name); slug != "" && taken.Free(j, slug, img.Ext) {
			give(i, slug)
		}
	}
	list := j.wishes(wishes, images, free)
	for _, p := range j.pairs(images, free, list) {
		if w := list[p.wish]; free(p.image) && taken.Free(j, w.name, images[p.image].Ext) {
			give(p.image, w.name)
		}
	}
	carrying := count(images, out)
	for i, img := range images {
		if carrying >= most {
			break
		}
		if !free(i) {
			continue
		}
		for _, w := range list {
			if slug := j.more(w, img); slug != "" && taken.Free(j, slug, img.Ext) {
				give(i, slug)
				carrying++
				break
			}
		}
	}
	return out
}

// count returns how many images carry a phrase, or will.
func count(images []Image, names []string) (n int) {
	for i, img := range images {
		if names[i] != "" || img.Verdict == Carries && !img.Frame {
			n++
		}
	}
	return n
}

// wishes returns what names may say that none says yet, nothing where no image is free.
func (j *Judge) wishes(phrases []string, images []Image, free func(int) bool) (out []wish) {
	left := false
	for i := range images {
		left = left || free(i)
	}
	if !left {
		return nil
	}
	used, places := j.carried(images), j.placeStems()
	for _, w := range phrases {
		name := Slug(w)
		if name == "" || used[j.key(name)] || j.Verdict(name) != Carries {
			continue
		}
		used[j.key(name)] = true
		out = append(out, wish{name, without(j.stems(j.Words(name)), places)})
	}
	return out
}

// pair is a wish for an image, with how much the image speaks of it.
type pair struct{ score, wish, image int }

// pairs returns which wishes go with which of the free images, the best first.
func (j *Judge) pairs(images []Image, free func(int) bool, wishes []wish) (out []pair) {
	for i, img := range images {
		if !free(i) {
			continue
		}
		about := j.knownStems(append(text.Tokens(img.Heading+" "+img.Alt), j.Words(img.Name)...))
		for w := range wishes {
			score := 0
			for _, stem := range wishes[w].stems {
				if slices.Contains(about, stem) {
					score++
				}
			}
			out = append(out, pair{score, w, i})
		}
	}
	slices.SortStableFunc(out, func(a, b pair) int {
		return cmp.Or(cmp.Compare(b.score, a.score), cmp.Compare(a.wish, b.wish), cmp.Compare(a.image, b.image))
	})
	return out
}

// completed returns a name that holds a service with the page's town in the place of any other, empty for one
// that holds none.
func (j *Judge) completed(name string) string {
	words := j.Words(name)
	towns := append(slices.Clone(j.names), j.own)
	slices.SortStableFunc(towns, func(a, b []string) int { return cmp.Compare(len(b), len(a)) }) // East Dunmere first
	for _, other := range towns {
		if at := place.Index(words, other); at >= 0 {
			words = slices.Concat(words[:at], words[at+len(other):])
		}
	}
	words = slices.DeleteFunc(slices.Clone(words), func(w string) bool { return strings.Trim(w, "0123456789") == "" })
	if !holdsAny(j.stems(words), j.services) || len(j.own) == 0 {
		return ""
	}
	slug := Slug(strings.Join(append(words, j.own...), " "))
	if j.Verdict(slug) != Carries {
		return ""
	}
	return slug
}

// shows is how many words of what an image shows a name adds.
const shows = 3

// more returns a wish with the words of what an image shows, or of the heading that it stands below; empty where
// these add nothing.
func (j *Judge) more(w wish, img Image) string {
	said := j.stems(j.Words(w.name))
	for _, from := range []string{img.Alt, img.Heading} {
		var add []string
		for _, t := range text.Tokens(from) {
			if !j.Language.Small(t) && len(t) > 2 && !slices.Contains(said, j.Language.Stem(t)) && len(add) < shows {
				add = append(add, t)
			}
		}
		if slug := Slug(w.name + " " + strings.Join(add, " ")); len(add) > 0 && j.Verdict(slug) == Carries {
			return slug
		}
	}
	return ""
}

// carried returns the keys of the names that carry a phrase already.
func (j *Judge) carried(images []Image) map[string]bool {
	used := map[string]bool{}
	for _, img := range images {
		if img.Verdict == Carries {
			used[j.key(img.Name)] = true
		}
	}
	return used
}

// key returns the same for names of the same content words.
func (j *Judge) key(name string) string {
	stems := j.stems(j.Words(name))
	slices.Sort(stems)
	return strings.Join(slices.Compact(stems), " ")
}

func (j *Judge) placeStems() map[string]bool {
	out := map[string]bool{}
	for _, p := range j.places {
		for _, s := range p {
			out[s] = true
		}
	}
	return out
}

// Slug writes a phrase as a name: its tokens in ASCII, joined by hyphens, at
// most 60 characters.
func Slug(s string) string {
	var parts []string
	n := -1
	for _, t := range text.Tokens(s) {
		if strings.ContainsFunc(t, func(r rune) bool { return r >= 0x80 }) {
			continue
		}
		if n += 1 + len(t); n > longest {
			break
		}
		parts = append(parts, t)
	}
	return strings.Join(parts, "-")
}

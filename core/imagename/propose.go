package imagename

import (
	"slices"
	"strings"

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

// Propose returns a better name with its extension for each image, empty
// if it has none to give (rule 4.3). wishes are what names may say, in
// order of worth: the leads of the page's families, then services with the
// home town, then on a home page communities. taken are the names that the
// site has.
func (j *Judge) Propose(images []Image, wishes []string, taken map[string]bool) []string {
	out := make([]string, len(images))
	used := j.carried(images)
	type slug struct {
		name  string
		stems []string // of its service
	}
	var slugs []slug
	places := j.placeStems()
	for _, w := range wishes {
		name := Slug(w)
		if name == "" || used[j.key(name)] || j.Verdict(name) != Carries {
			continue
		}
		used[j.key(name)] = true
		slugs = append(slugs, slug{name, without(j.stems(text.Tokens(name)), places)})
	}
	type pair struct{ score, slug, image int }
	var pairs []pair
	for i, img := range images {
		if img.Verdict == Carries || img.Verdict == NoName || img.Frame {
			continue
		}
		about := j.knownStems(append(text.Tokens(img.Heading+" "+img.Alt), j.Words(img.Name)...))
		for s := range slugs {
			score := 0
			for _, stem := range slugs[s].stems {
				if slices.Contains(about, stem) {
					score++
				}
			}
			pairs = append(pairs, pair{score, s, i})
		}
	}
	slices.SortStableFunc(pairs, func(a, b pair) int {
		if a.score != b.score {
			return b.score - a.score
		}
		if a.slug != b.slug {
			return a.slug - b.slug
		}
		return a.image - b.image
	})
	given := map[int]bool{}
	for _, p := range pairs {
		name := slugs[p.slug].name + images[p.image].Ext
		if out[p.image] == "" && !given[p.slug] && !taken[name] {
			out[p.image] = name
			given[p.slug] = true
		}
	}
	return out
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

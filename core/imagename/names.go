package imagename

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/intent"
	"inktally/core/place"
)

// manyPages is from how many pages on a site what stands on half of them is judged no further (rule 4.1).
const manyPages = 4

// Names are those of a site: the files that it has, those that were proposed, and what these say.
type Names struct {
	files   map[string]bool
	said    map[string]bool // what names say, whatever small words stand between
	renamed map[string]bool // files that were given a name
	common  map[string]bool // files that stand on most pages
}

// NamesOf returns those of the images of pages, each a list of files with their extensions.
func NamesOf(pages ...[]string) *Names {
	n := &Names{files: map[string]bool{}, said: map[string]bool{}, renamed: map[string]bool{},
		common: map[string]bool{}}
	on := map[string]int{}
	for _, files := range pages {
		seen := map[string]bool{}
		for _, file := range files {
			if n.files[file] = true; !seen[file] {
				on[file]++
			}
			seen[file] = true
		}
	}
	for file, times := range on {
		n.common[file] = len(pages) >= manyPages && 2*times >= len(pages)
	}
	return n
}

// Take notes a name as one of the site's.
func (n *Names) Take(j *Judge, slug, ext string) { n.files[slug+ext], n.said[j.key(slug)] = true, true }

// Free reports whether a site has no such name, and none that says the same in other small words.
func (n *Names) Free(j *Judge, slug, ext string) bool {
	return !n.files[slug+ext] && !n.said[j.key(slug)]
}

// Rename notes that a file was given a name.
func (n *Names) Rename(file string) { n.renamed[file] = true }

// Settled reports whether a file needs no name of its own: it was given one, or stands on most pages.
func (n *Names) Settled(file string) bool { return n.renamed[file] || n.common[file] }

// Wishes returns what names may say beyond the families of a page (rule 4.3): its service where it is for, the main one
// for want of its own; for a home page the main one in each community that is none of towns, which have pages.
func Wishes(home bool, service, town string, services []intent.Service, places []place.Place, towns []string) (
	out []string,
) {
	in, ok := place.Home(places)
	if !ok || len(services) == 0 {
		return nil
	}
	for i, s := range services {
		if s.Name == service || service == "" && i == 0 {
			out = append(out, s.Name+" "+cmp.Or(town, in.Name))
		}
	}
	for _, p := range places {
		if home && p.Name != in.Name && !slices.Contains(towns, p.Name) {
			out = append(out, services[0].Name+" "+p.Name)
		}
	}
	return out
}

// WithoutTowns returns what names may say without what ends in one of the towns: a town with a page of its own is
// named there (rule 4.3).
func WithoutTowns(wishes, towns []string) (out []string) {
	for _, w := range wishes {
		if !slices.ContainsFunc(towns, func(town string) bool { return strings.HasSuffix(w, " "+town) }) {
			out = append(out, w)
		}
	}
	return out
}

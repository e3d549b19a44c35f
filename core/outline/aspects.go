package outline

import (
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// aspect is what several rivals have a section about on their pages for a service.
type aspect struct {
	stems   []string
	heading string // as one of them words it
	rivals  int
}

// aspectWords is from how many words a rival's section tells an aspect.
const aspectWords = 15

// aspectHeadings is how many sections the aspects of a page have at most.
const aspectHeadings = 8

// likeAspect is from which share of common stems two headings are about one aspect.
const likeAspect = 0.5

func (a aspect) key() string {
	stems := slices.Clone(a.stems)
	slices.Sort(stems)
	return strings.Join(stems, " ")
}

// like tells a heading about the aspect, by its stems.
func (a aspect) like(stems []string) bool {
	both := 0
	for _, s := range stems {
		if slices.Contains(a.stems, s) {
			both++
		}
	}
	all := len(stems) + len(a.stems) - both
	return both > 0 && float64(both) >= likeAspect*float64(all)
}

// shared are the aspects that enough rivals have a section about, those of most rivals
// first. Each is worded as the rival of the lineup's best place words it that names no
// town and no firm.
func (o *outliner) shared() []aspect {
	firms := make([][]string, 0, len(o.p.Topics.Rivals))
	for _, name := range o.p.Topics.Rivals {
		firms = append(firms, text.Tokens(name))
	}
	type told struct {
		aspect
		by []int
	}
	var list []told
	for r, rival := range o.p.Rivals {
		for _, h := range rival.Headings {
			stems := o.subject(o.withoutPlaces(h.Text))
			if h.Level == 1 || h.Words < aspectWords || len(stems) == 0 || o.calls(h.Text) {
				continue
			}
			clean := !slices.ContainsFunc(firms, func(f []string) bool { return holdsRun(text.Tokens(h.Text), f) }) && len(o.withoutPlaces(h.Text)) == len(o.stems(h.Text))
			at := slices.IndexFunc(list, func(t told) bool { return t.like(stems) })
			if at < 0 {
				list = append(list, told{aspect: aspect{stems: stems}})
				at = len(list) - 1
			}
			t := &list[at]
			if t.heading == "" && clean {
				t.heading = h.Text
			}
			if !slices.Contains(t.by, r) {
				t.by = append(t.by, r)
			}
		}
	}
	var out []aspect
	for _, t := range list {
		if t.rivals = len(t.by); t.rivals >= max(1, o.y.SharedBy) && t.heading != "" {
			out = append(out, t.aspect)
		}
	}
	slices.SortStableFunc(out, func(a, b aspect) int { return b.rivals - a.rivals })
	return out[:min(len(out), aspectHeadings)]
}

// withoutPlaces are the stems of a heading without those of known places.
func (o *outliner) withoutPlaces(s string) []string {
	tokens := text.Tokens(s)
	for _, p := range o.language.Places {
		for _, form := range p.Forms() {
			if at := place.Index(tokens, form); at >= 0 {
				tokens = slices.Concat(tokens[:at], tokens[at+len(form):])
			}
		}
	}
	return o.stems(strings.Join(tokens, " "))
}

// calls tells a heading that only asks to get in touch.
func (o *outliner) calls(s string) bool {
	return overlaps(o.stems(s), o.marks("contact call phone book email message appointment"))
}

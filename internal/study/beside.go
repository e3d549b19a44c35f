package study

import (
	"context"
	"slices"

	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/internal/store"
)

// Beside knows which pages of rivals stand beside a client's pages (rule 6.3).
type Beside struct {
	known   *Known
	sites   map[string]*Site
	choices map[int64]map[string]string // by page and domain: the address that a person said
}

// BesidePage is a rival's page beside one of the client's.
type BesidePage struct {
	Entry store.Entry
	// URL is the page's address; empty if the rival has none like the client's, as far
	// as its site is known.
	URL string
	// Reason is why it is the comparable one, empty where the site was not surveyed or
	// a person said so; RunnerUp the next best page, empty for none.
	Reason   site.LikeReason
	RunnerUp string
	// Chosen reports whether a person said which page it is, or that there is none.
	Chosen bool
	// Surveyed reports whether the rival's site is known.
	Surveyed bool
}

// Counts reports whether the page is comparable with one of a kind: what a person or a
// survey said it is, else by its address.
func (b BesidePage) Counts(kind site.Kind) bool {
	return b.Chosen || b.Reason != "" || site.Like(kind, b.URL)
}

// Beside returns which pages of rivals stand beside the client's.
func (k *Known) Beside(ctx context.Context) (*Beside, error) {
	return k.beside.Get(ctx, func(ctx context.Context) (*Beside, error) {
		b := &Beside{known: k, sites: map[string]*Site{}, choices: chosen(k.facts.likes)}
		for _, domain := range k.Surveyed() {
			of, err := k.Tree(ctx, domain)
			if err != nil {
				return nil, err
			}
			b.sites[domain] = of
		}
		return b, nil
	})
}

// chosen returns what a person said that is compared, by page and domain.
func chosen(likes []store.LikeChoice) map[int64]map[string]string {
	out := map[int64]map[string]string{}
	for _, c := range likes {
		if out[c.PageID] == nil {
			out[c.PageID] = map[string]string{}
		}
		out[c.PageID][c.Domain] = c.URL
	}
	return out
}

// Site returns a site that was surveyed, by an address of it.
func (b *Beside) Site(address string) (*Site, bool) {
	s, ok := b.sites[lineup.Domain(address)]
	return s, ok
}

// Of returns the pages of rivals that stand beside a page of the client, in the order
// of the lineup: the pages that were found, as long as a rival's site is not known.
func (b *Beside) Of(p store.Page) []BesidePage {
	rivals := RivalsOf(b.known.EntriesOf(b.known.LineupOf(p.ID).ID), b.known.Yardstick.Lineup)
	out := make([]BesidePage, 0, len(rivals))
	for _, e := range rivals {
		out = append(out, b.one(p, e))
	}
	return out
}

func (b *Beside) one(p store.Page, e store.Entry) BesidePage {
	out := BesidePage{Entry: e, URL: e.URL}
	s, surveyed := b.sites[lineup.Domain(e.URL)]
	out.Surveyed = surveyed
	if spoken, ok := b.choices[p.ID][lineup.Domain(e.URL)]; ok {
		out.URL, out.Chosen = spoken, true
		return out
	}
	if !surveyed || !p.Kind.HasWordTarget() {
		return out
	}
	of := site.Surveyed{Purpose: site.Purpose{Kind: p.Kind, Service: p.Service, Place: p.Place}}
	like, ok := site.LikePage(of, s.Tree.Pages, b.known.Home().Name)
	if like.RunnerUp != nil {
		out.RunnerUp = like.RunnerUp.URL
	}
	if p.Kind == site.Home {
		if ok && !site.SameAddress(like.Page.URL, e.URL) {
			// where its root leads, be it found elsewhere
			out.URL, out.Reason, out.RunnerUp = like.Page.URL, like.Reason, e.URL
		}
		return out
	}
	out.URL, out.Reason = "", ""
	if ok {
		out.URL, out.Reason = like.Page.URL, like.Reason
	}
	return out
}

// Have counts the rivals that have a page like one of the client's, and those whose
// sites are known.
func Have(list []BesidePage) (have, known int) {
	for _, b := range list {
		if b.Surveyed || b.Chosen {
			known++
			if b.URL != "" {
				have++
			}
		}
	}
	return have, known
}

// Find returns the one of a rival's pages by its lineup entry, nil for none.
func Find(list []BesidePage, entry int64) *BesidePage {
	i := slices.IndexFunc(list, func(b BesidePage) bool { return b.Entry.ID == entry })
	if i < 0 {
		return nil
	}
	return &list[i]
}

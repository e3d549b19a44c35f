package study

import (
	"context"
	"errors"
	"maps"
	"reflect"
	"slices"
	"sync"

	"inktally/core/finding"
	"inktally/core/gazetteer"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/internal/store"
)

// Site is a site that was surveyed, with what its pages are for and what is wrong with them.
type Site struct {
	store.Site
	site.Tree
}

// trees are the judged sites of a client, each judged when it is first asked for.
type trees struct {
	mu    sync.Mutex
	sites map[string]judgedSite // by domain
	had   map[string]judgedSite // those of what was known before
}

// judgedSite is a site and all that its pages were judged by: pages that are judged by the
// same are for the same.
type judgedSite struct {
	by   judgedBy
	site *Site
}

// judgedBy is all that the pages of a site are judged by.
type judgedBy struct {
	spoken    spoken
	services  []intent.Service
	acts      []string
	towns     *gazetteer.Gazetteer
	community float64 // km
	low       map[site.Kind]int
	site      store.Site
	readings  map[string]int64 // by address
	own       *ownSite
}

// ownSite is what a client's own site is judged by beside that.
type ownSite struct {
	firm string
	set  map[string]site.Purpose
}

// judged returns the sites that were judged.
func (t *trees) judged() map[string]judgedSite {
	t.mu.Lock()
	defer t.mu.Unlock()
	return maps.Clone(t.sites)
}

// Domain returns that of the client's own site, empty for none.
func (k *Known) Domain() string {
	home, err := HomePage(k.Pages)
	if err != nil {
		return ""
	}
	return lineup.Domain(home.URL)
}

// Surveyed returns the domains of the sites that were surveyed.
func (k *Known) Surveyed() []string { return slices.Sorted(maps.Keys(k.facts.sites)) }

// Tree returns a site that was surveyed, by its domain, as it is judged by now; nil for one that
// was not.
func (k *Known) Tree(ctx context.Context, domain string) (*Site, error) {
	of, ok := k.facts.sites[domain]
	if !ok {
		return nil, nil
	}
	return k.tree(ctx, of)
}

func (k *Known) tree(ctx context.Context, of store.Site) (*Site, error) {
	k.trees.mu.Lock()
	defer k.trees.mu.Unlock()
	if made, ok := k.trees.sites[of.Domain]; ok {
		return made.site, nil
	}
	judged := judgedSite{by: k.judgedBy(of)}
	if had, ok := k.trees.had[of.Domain]; ok && reflect.DeepEqual(had.by, judged.by) {
		judged.site = had.site
	} else {
		asked, err := k.Asked(ctx, of)
		if err != nil {
			return nil, err
		}
		judged.site = &Site{of, asked.Tree()}
		k.from.made.Trees.Add(1)
	}
	if k.trees.sites == nil {
		k.trees.sites = map[string]judgedSite{}
	}
	k.trees.sites[of.Domain] = judged
	return judged.site, nil
}

func (k *Known) judgedBy(of store.Site) judgedBy {
	by := judgedBy{spoken: k.spoken(), services: k.Services, acts: k.Lists.Acts, towns: k.Towns,
		community: k.Yardstick.Book.CommunityKm,
		low:       map[site.Kind]int{}, site: of, readings: map[string]int64{}}
	for _, kind := range site.Kinds() {
		by.low[kind] = k.Yardstick.Target.Words.Guideline(kind).Low
	}
	for _, p := range of.Pages {
		by.readings[p.URL] = k.Latest[p.URL].ID
	}
	if k.owns(of) {
		by.own = &ownSite{k.Client.Name, k.set()}
	}
	return by
}

// owns reports whether a site is the client's own.
func (k *Known) owns(of store.Site) bool { return of.Domain == k.Domain() }

// far is how many times farther than communities a town may be that a page is for.
const far = 8

// Binder returns what binds pages to the client's services and places.
func (k *Known) Binder() *site.Binder { return site.NewBinder(k.Language(), k.Services, k.Lists.Acts) }

// Asked returns what the tree of a site is made from, with the pages as they were read last.
func (k *Known) Asked(ctx context.Context, of store.Site) (site.Survey, error) {
	rules := k.Yardstick.Target
	out := site.Survey{Binder: k.Binder().Knows(k.TownsNear(far)), Places: k.Places, Low: func(kind site.Kind) int {
		return rules.Words.Guideline(kind).Low
	}, Root: of.Root}
	if k.owns(of) {
		out.Plain = of.Plain
		out.Dead, out.Both, out.Firm, out.Set = of.Dead, of.Both, k.Client.Name, k.set()
		for _, service := range k.Services {
			out.Services = append(out.Services, service.Name)
		}
	}
	for _, p := range of.Pages {
		if ctx.Err() != nil { // nobody waits for it any more
			return out, ctx.Err()
		}
		v := site.Visited{URL: p.URL, Labels: p.Labels, InLinks: p.InLinks, Canonical: p.Canonical}
		if r, ok := k.Latest[p.URL]; ok {
			read, err := k.from.Pages.Page(ctx, r)
			if err != nil && !errors.Is(err, store.ErrDamaged) {
				return out, err
			}
			if read != nil {
				v.Gist = site.GistOf(read, out.Binder, out.Firm)
			}
		}
		out.Visited = append(out.Visited, v)
	}
	return out, nil
}

// TownsNear finds the towns that tokens name and that are at most so many times as far
// from the client's home town as its communities are (rule 5.4).
func (k *Known) TownsNear(times float64) site.Towns {
	home := k.Home()
	state, _ := place.StateAbbreviation(home.State)
	town, ok := k.Towns.Find(home.Name, home.Country(), state)
	return func(tokens []string) []string {
		if !ok {
			return nil
		}
		return k.Towns.NamedNear(town, times*k.Yardstick.Book.CommunityKm, tokens)
	}
}

// set returns what the user said of pages.
func (k *Known) set() map[string]site.Purpose {
	out := map[string]site.Purpose{}
	for _, p := range k.facts.ground.Pages {
		if p.ByHand && p.URL != "" {
			out[site.BareAddress(p.URL)] = site.Purpose{Kind: p.Kind, Service: p.Service, Place: p.Place}
		}
	}
	return out
}

// followSite lets the client's pages be for what its surveyed site tells, but for those that
// a person said something of, and its home page.
func (k *Known) followSite(ctx context.Context) error {
	own, err := k.Tree(ctx, k.Domain())
	if err != nil || own == nil {
		return err
	}
	k.surveyed = map[string]site.Surveyed{}
	for _, p := range own.Purposes() {
		k.surveyed[site.BareAddress(p.URL)] = p
	}
	k.Pages = slices.Clone(k.Pages)
	for i := range k.Pages {
		p := &k.Pages[i]
		is, ok := k.surveyed[site.BareAddress(p.URL)]
		if is.Kind == site.Home {
			is.Purpose = site.Purpose{Kind: site.Other}
		}
		if !ok || p.URL == "" || p.ByHand || p.Kind == site.Home {
			continue
		}
		p.Kind, p.Service, p.Place = is.Kind, is.Service, is.Place
	}
	return nil
}

// Alone returns what is wrong with the pages of a client whose site was not surveyed, as far as
// they tell by themselves.
func (k *Known) Alone(ctx context.Context) ([]finding.Finding, error) {
	pages := store.Site{Domain: k.Domain()}
	if pages.Domain == "" {
		return nil, nil
	}
	for _, p := range k.Pages {
		if _, read := k.Latest[p.URL]; read && p.URL != "" {
			pages.Pages = append(pages.Pages, store.SitePage{URL: p.URL, InLinks: 1})
		}
	}
	of, err := k.tree(ctx, pages)
	if err != nil {
		return nil, err
	}
	return slices.DeleteFunc(slices.Clone(of.Findings), func(f finding.Finding) bool {
		return !f.Type.Shows(finding.Unsurveyed)
	}), nil
}

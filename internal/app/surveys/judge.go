package surveys

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"maps"
	"slices"

	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/internal/app/client"
	"inktally/internal/store"
)

// judging is what the pages of a site are judged by.
type judging struct {
	known  *client.Known
	sites  map[string]store.Site
	latest map[string]store.Reading
	own    string // the client's domain, empty for none
}

// Refresh judges the pages of those sites anew whose pages, or the client's
// services and places, have changed since.
func (s *Surveys) Refresh(ctx context.Context, id int64) error {
	var j judging
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if j.sites, err = tx.Sites(id); err != nil || len(j.sites) == 0 {
			return err
		}
		if j.known, err = client.Load(tx, id); err != nil {
			return err
		}
		j.latest, err = tx.LatestReadings(id)
		return err
	})
	if err != nil || len(j.sites) == 0 {
		return err
	}
	j.own = ownDomain(j.known)
	for _, domain := range slices.Sorted(maps.Keys(j.sites)) {
		if err := s.judge(ctx, &j, j.sites[domain]); err != nil {
			return err
		}
	}
	return nil
}

func ownDomain(k *client.Known) string {
	home, err := client.HomePage(k.Pages)
	if err != nil {
		return ""
	}
	return lineup.Domain(home.URL)
}

// Asked is what the tree of a site is made from, with the pages as they were read last.
func (s *Surveys) Asked(ctx context.Context, k *client.Known, of store.Site) (site.Survey, error) {
	j := judging{known: k, own: ownDomain(k)}
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		j.latest, err = tx.LatestReadings(k.Client.ID)
		return err
	})
	if err != nil {
		return site.Survey{}, err
	}
	return s.asked(ctx, &j, of)
}

// Alone are the findings on pages of a client whose site was not surveyed. They are
// remembered as long as nothing that they are judged by has changed.
func (s *Surveys) Alone(ctx context.Context, k *client.Known, pages store.Site) ([]site.Finding, error) {
	j := judging{known: k, own: ownDomain(k)}
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		j.latest, err = tx.LatestReadings(k.Client.ID)
		return err
	})
	if err != nil {
		return nil, err
	}
	by, err := j.by(pages)
	if err != nil {
		return nil, err
	}
	if kept, ok := s.alone.Load(k.Client.ID); ok && kept.(aloneFindings).by == by {
		return kept.(aloneFindings).list, nil
	}
	asked, err := s.asked(ctx, &j, pages)
	if err != nil {
		return nil, err
	}
	list := asked.Tree().Findings
	s.alone.Store(k.Client.ID, aloneFindings{by, list})
	return list, nil
}

type aloneFindings struct {
	by   string
	list []site.Finding
}

func (s *Surveys) judge(ctx context.Context, j *judging, of store.Site) error {
	by, err := j.by(of)
	if err != nil || by == of.Judged {
		return err
	}
	asked, err := s.asked(ctx, j, of)
	if err != nil {
		return err
	}
	tree := asked.Tree()
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		if err := tx.SetTree(of.ID, by, tree); err != nil {
			return err
		}
		if of.Domain != j.own {
			return nil
		}
		pages, err := tx.Pages(of.ClientID) // as they are now: another survey may have added some
		if err != nil {
			return err
		}
		return follow(tx, of.ClientID, pages, tree, of.Fault == nil)
	})
	if errors.Is(err, store.ErrNotFound) {
		return nil // the site was surveyed anew meanwhile
	}
	return err
}

// far is how many times farther than communities a town may be that a page is for.
const far = 8

// asked is what the tree of a site is made from.
func (s *Surveys) asked(ctx context.Context, j *judging, of store.Site) (site.Survey, error) {
	k := j.known
	rules := k.Yardstick.Target
	binder := site.NewBinder(k.Language(), k.Services, k.Lists.Acts)
	binder.Knows(k.TownsNear(far))
	out := site.Survey{Binder: binder, Places: k.Places,
		Low: func(kind site.Kind) int { return rules.Guideline(kind).Low }}
	if of.Domain == j.own {
		out.Dead, out.Both, out.Firm, out.Set = of.Dead, of.Both, k.Client.Name, set(k)
		for _, service := range k.Services {
			out.Services = append(out.Services, service.Name)
		}
	}
	for _, p := range of.Pages {
		v := site.Visited{URL: p.URL, Labels: p.Labels, InLinks: p.InLinks, Canonical: p.Canonical}
		if r, ok := j.latest[p.URL]; ok {
			read, err := s.Readings.Page(ctx, r)
			if err != nil && !errors.Is(err, store.ErrDamaged) {
				return out, err
			}
			v.Page = read
		}
		out.Visited = append(out.Visited, v)
	}
	return out, nil
}

// set is what the user said of pages.
func set(k *client.Known) map[string]site.Purpose {
	out := map[string]site.Purpose{}
	for _, p := range k.Pages {
		if p.ByHand && p.URL != "" {
			out[site.BareAddress(p.URL)] = site.Purpose{Kind: p.Kind, Service: p.Service, Place: p.Place}
		}
	}
	return out
}

// by names all that the pages of a site are judged by.
func (j *judging) by(of store.Site) (string, error) {
	var newest int64
	for _, p := range of.Pages {
		newest = max(newest, j.latest[p.URL].ID)
	}
	low := map[site.Kind]int{}
	for _, kind := range site.Kinds() {
		low[kind] = j.known.Yardstick.Target.Guideline(kind).Low
	}
	raw, err := json.Marshal(struct {
		Rules          int
		Newest         int64
		Own            bool
		Name, Language string
		Services       []intent.Service
		Places         []place.Place
		Words          []store.BookWord
		Set            map[string]site.Purpose
		Low            map[site.Kind]int
	}{page.Rules + site.Rules, newest, of.Domain == j.own, j.known.Client.Name, j.known.Client.Language, j.known.Services, j.known.Places,
		j.known.Words, set(j.known), low})
	sum := sha256.Sum256(raw)
	return hex.EncodeToString(sum[:12]), err
}

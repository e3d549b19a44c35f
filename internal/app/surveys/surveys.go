// Package surveys finds the pages of a client's site and of its rivals', keeps
// what each of them is for, and lets the client's pages follow (rules 5, 11).
//
// What a survey read so far is kept with its run, so that it goes on from there
// after a stop or a restart.
package surveys

import (
	"context"
	"time"

	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/internal/app/readings"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/survey"
)

// Lister brings what a site tells programs of its pages.
type Lister interface {
	// Sitemaps are the addresses of sitemaps that the robots.txt of a site names.
	Sitemaps(ctx context.Context, address string) []string
	// Raw brings what stands at an address, up to so many bytes.
	Raw(ctx context.Context, address string, most int) ([]byte, error)
}

// Surveys surveys sites.
type Surveys struct {
	DB       *store.DB
	Readings *readings.Readings
	Studies  *study.Studies
	Lists    Lister
	Now      func() time.Time
}

// Job is what a survey is a part of.
type Job struct {
	Client, ID int64
	// URL is an address of the site.
	URL string
	// Seen is told how many pages were visited, and how many are known.
	Seen func(visited, known int)
}

// Visit surveys a site and keeps what it finds. One that is stopped returns
// context.Canceled and goes on from there the next time.
func (s *Surveys) Visit(ctx context.Context, job Job) error {
	keep := context.WithoutCancel(ctx)
	web, own, err := s.kept(keep, job)
	if err != nil {
		return err
	}
	found, err := survey.Visit(ctx, web, job.URL, survey.Options{Lightly: !own, Seen: job.Seen})
	if ctx.Err() != nil {
		return context.Canceled
	}
	if err != nil {
		return err
	}
	err = s.DB.Write(keep, func(tx *store.Tx) error {
		if _, err := tx.Client(job.Client); err != nil {
			return err
		}
		if _, err := tx.SetSite(web.siteOf(job, found, s.Now())); err != nil {
			return err
		}
		k, err := s.Studies.In(keep, tx, job.Client)
		if err != nil || found.Domain != k.Domain() {
			return err
		}
		own, err := k.Tree(keep, found.Domain)
		if err != nil {
			return err
		}
		pages, err := tx.Pages(job.Client) // as they are kept
		if err != nil {
			return err
		}
		return follow(tx, job.Client, pages, own)
	})
	return err
}

// kept returns the web of a survey: what was read in its run before, else the real
// one, whose pages are kept as readings. own reports whether it is the client's site.
func (s *Surveys) kept(ctx context.Context, job Job) (web *keptWeb, own bool, err error) {
	web = &keptWeb{Lister: s.Lists, surveys: s, job: job, keys: map[string]string{}}
	k, err := s.Studies.Of(ctx, job.Client)
	if err != nil {
		return web, false, err
	}
	for _, e := range k.SearchRivals() {
		web.keys[site.BareAddress(e.URL)] = e.URL
	}
	for _, p := range k.Pages {
		web.keys[site.BareAddress(p.URL)] = p.URL
		own = own || p.Kind == site.Home && lineup.Domain(p.URL) == lineup.Domain(job.URL)
	}
	err = s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if web.modes, err = tx.ReadModes(job.Client); err != nil {
			return err
		}
		web.answers, err = tx.Answers(job.Client, job.ID)
		return err
	})
	return web, own, err
}

// siteOf returns a survey as it is kept: pages that the client or its lineup has go by
// the addresses that they have there.
func (w *keptWeb) siteOf(job Job, found survey.Site, now time.Time) store.Site {
	out := store.Site{ClientID: job.Client, Domain: found.Domain, SurveyedAt: now, Both: found.Both, Dead: found.Dead,
		Root: found.Root, Plain: found.Plain, Missed: found.Missed,
		Fault: found.Stopped}
	for _, v := range found.Visited {
		p := store.SitePage{Labels: v.Labels, InLinks: v.InLinks, Canonical: v.Canonical}
		p.URL = w.key(v.URL)
		out.Pages = append(out.Pages, p)
	}
	return out
}

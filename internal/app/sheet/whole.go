package sheet

import (
	"context"
	"slices"

	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/core/yardstick"
	"inktally/internal/app/client"
	"inktally/internal/store"
)

// Whole is all pages of a client beside their rivals', those that there are and then those
// to make, with what is wrong with its site.
type Whole struct {
	Known *client.Known
	Pages []*Comparison
	// Site is the client's as it was surveyed, if Surveyed tells so.
	Site     store.Site
	Surveyed bool
	Findings []site.Finding

	loaded *loaded
}

// Whole measures all pages of a client, and reads more in the same transaction.
func (s *Sheet) Whole(ctx context.Context, id int64, more func(*store.Tx) error) (*Whole, error) {
	l, err := s.load(ctx, id, more)
	if err != nil {
		return nil, err
	}
	return s.whole(ctx, id, l, every)
}

// One measures the page of a key alone, with its rivals.
func (s *Sheet) One(ctx context.Context, id int64, key string, more func(*store.Tx) error) (*Whole, error) {
	l, err := s.load(ctx, id, more)
	if err != nil {
		return nil, err
	}
	return s.whole(ctx, id, l, func(p store.Page) bool { return PageKey(p) == key })
}

func every(store.Page) bool { return true }

// As measures the same pages with the figures of another yardstick: nothing is loaded anew.
func (s *Sheet) As(ctx context.Context, w *Whole, y yardstick.Yardstick) (*Whole, error) {
	return s.whole(ctx, w.Known.Client.ID, w.loaded.as(y), every)
}

// Before measures all pages of a client as they were before the client's own were read the
// last time; nil if none of them was read twice. The pages that there are and those of
// rivals are today's.
func (s *Sheet) Before(ctx context.Context, id int64, more func(*store.Tx) error) (*Whole, error) {
	var before map[string]store.Reading
	l, err := s.load(ctx, id, func(tx *store.Tx) (err error) {
		if before, err = tx.ReadingsBefore(id); err != nil {
			return err
		}
		return more(tx)
	})
	if err != nil {
		return nil, err
	}
	found := false
	for _, p := range l.known.Pages {
		if r, ok := before[client.ReadingKey(p)]; ok {
			l.latest[client.ReadingKey(p)] = r
			found = true
		}
	}
	if !found {
		return nil, nil
	}
	return s.whole(ctx, id, l, every)
}

// whole measures the wanted pages.
func (s *Sheet) whole(ctx context.Context, id int64, l *loaded, wanted func(store.Page) bool) (*Whole, error) {
	w := &Whole{Known: l.known, loaded: l}
	if home, err := client.HomePage(l.known.Pages); err == nil {
		w.Site, w.Surveyed = l.beside.Site(home.URL)
	}
	for _, p := range l.known.Pages {
		if !wanted(p) {
			continue
		}
		c, err := s.compare(ctx, l, p, l.known.Shown(l.families, p.ID))
		if err != nil {
			return nil, err
		}
		w.Pages = append(w.Pages, c)
	}
	var err error
	for _, m := range l.known.ToMake(l.families, l.beside) {
		page := m.Page(id)
		if planned(l.known.Pages, page) || !wanted(page) {
			continue
		}
		c, err := s.compare(ctx, l, page, m.Families[:min(len(m.Families), l.known.Yardstick.Book.PageFamilies)])
		if err != nil {
			return nil, err
		}
		c.Have, c.Sites = m.Have, m.Known
		w.Pages = append(w.Pages, c)
	}
	w.Findings, err = s.findings(ctx, w)
	return w, err
}

// Rival is a rival's site as it was surveyed, by an address of it.
func (w *Whole) Rival(address string) (store.Site, bool) { return w.loaded.beside.Site(address) }

// findings are those of the survey; of a site that was not surveyed those that its pages
// tell by themselves.
func (s *Sheet) findings(ctx context.Context, w *Whole) ([]site.Finding, error) {
	if w.Surveyed {
		return w.Site.Findings, nil
	}
	home, err := client.HomePage(w.Known.Pages)
	if err != nil || home.URL == "" {
		return nil, nil
	}
	alone := store.Site{Domain: lineup.Domain(home.URL)}
	for _, p := range w.Known.Pages {
		if _, read := w.loaded.latest[p.URL]; read && p.URL != "" {
			alone.Pages = append(alone.Pages, store.SitePage{Surveyed: site.Surveyed{URL: p.URL}, InLinks: 1})
		}
	}
	list, err := s.Surveys.Alone(ctx, w.Known, alone)
	if err != nil {
		return nil, err
	}
	told := []site.FindingType{site.NoIndex, site.PlaceholderText, site.PlaceWrong, site.VagueAreaWords, site.PhoneNotLinked, site.SecondCopy}
	return slices.DeleteFunc(slices.Clone(list), func(f site.Finding) bool { return !slices.Contains(told, f.Type) }), nil
}

func planned(pages []store.Page, p store.Page) bool {
	return slices.ContainsFunc(pages, func(q store.Page) bool { return q.Kind == p.Kind && q.Service == p.Service && q.Place == p.Place })
}

package study

import (
	"context"
	"slices"

	"inktally/core/book"
	"inktally/core/finding"
	"inktally/internal/store"
)

// Whole is all pages of a client beside their rivals', those that there are and then those
// to make, with what is wrong with its site.
type Whole struct {
	Known *Known
	Pages []*Comparison
	// Site is the client's, nil if it was not surveyed.
	Site     *Site
	Findings []finding.Finding

	beside *Beside
}

// Whole measures all pages of a client.
func (k *Known) Whole(ctx context.Context) (*Whole, error) { return k.whole.Get(ctx, k.makeWhole) }

func (k *Known) makeWhole(ctx context.Context) (w *Whole, err error) {
	w = &Whole{Known: k}
	if w.beside, err = k.Beside(ctx); err != nil {
		return nil, err
	}
	if home, err := HomePage(k.Pages); err == nil {
		w.Site, _ = w.beside.Site(home.URL)
	}
	for _, p := range k.Pages {
		if err := w.add(ctx, p, k.Shown(p.ID)); err != nil {
			return nil, err
		}
	}
	for _, m := range k.ToMake(w.beside) {
		page := m.Page(k.Client.ID)
		if planned(k.Pages, page) {
			continue
		}
		if err := w.add(ctx, page, m.Families[:min(len(m.Families), k.Yardstick.Book.PageFamilies)]); err != nil {
			return nil, err
		}
	}
	w.Findings, err = k.findings(ctx, w.Site)
	w.Findings = append(slices.Clone(w.Findings), k.directories()...)
	return w, err
}

func (w *Whole) add(ctx context.Context, p store.Page, families []book.Family) error {
	c, err := w.Known.compare(ctx, p, families)
	w.Pages = append(w.Pages, c)
	return err
}

// findings returns those of the survey; of a site that was not surveyed those that its pages
// tell by themselves.
func (k *Known) findings(ctx context.Context, own *Site) ([]finding.Finding, error) {
	if own != nil {
		return own.Findings, nil
	}
	return k.Alone(ctx)
}

// PageOf finds a page by its key in the plan, store.ErrNotFound for none.
func (k *Known) PageOf(ctx context.Context, key string) (*Comparison, *Whole, error) {
	w, err := k.Whole(ctx)
	if err != nil {
		return nil, nil, err
	}
	for _, c := range w.Pages {
		if c.Aim.Key == key {
			return c, w, nil
		}
	}
	return nil, nil, store.ErrNotFound
}

// Rival returns a rival's site as it was surveyed, by an address of it.
func (w *Whole) Rival(address string) (*Site, bool) { return w.beside.Site(address) }

func planned(pages []store.Page, p store.Page) bool {
	return slices.ContainsFunc(pages, func(q store.Page) bool {
		return q.Kind == p.Kind && q.Service == p.Service && q.Place == p.Place
	})
}

package ground

import (
	"context"
	"slices"

	"inktally/core/finding"
	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/internal/app/lineups"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Site returns what a survey found of the client's site and of its rivals'.
func (g *Ground) Site(ctx context.Context, id int64) (*view.Site, error) {
	k, err := g.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	known, err := g.known(ctx, k)
	if err != nil {
		return nil, err
	}
	beside, err := k.Beside(ctx)
	if err != nil {
		return nil, err
	}
	out := &view.Site{URL: known.HomePage, Pages: []view.SitePage{}, ToMake: []view.ToMake{},
		Findings: []view.Finding{}, Missed: []view.MissedPage{},
		Services: []view.Offer{}, Places: []view.Offer{}, Rivals: []view.Rival{}}
	own, surveyed := beside.Site(known.HomePage)
	if surveyed {
		out.SurveyedAt, out.Failure = view.When(own.SurveyedAt), view.FailureOf(own.Fault)
		out.Missed = view.MissedOf(slices.DeleteFunc(slices.Clone(own.Missed), func(m site.Missed) bool {
			return readSince(known.Pages, m.URL)
		}))
		if err := g.offers(ctx, k.Known, own, out); err != nil {
			return nil, err
		}
		for _, f := range own.Findings {
			if f.Type != finding.ServiceNoPage { // it stands among the pages to make
				out.Findings = append(out.Findings, view.FindingOf(f))
			}
		}
	}
	for i, p := range k.Pages {
		out.Pages = append(out.Pages, sitePage(known.Pages[i], p, own))
	}
	for _, m := range k.ToMake(beside) {
		out.ToMake = append(out.ToMake, toMake(m))
	}
	for _, e := range k.SearchRivals() {
		out.Rivals = append(out.Rivals, rivalSite(e, beside))
	}
	return out, nil
}

// readSince reports whether a page that a survey could not read was read or pasted afterwards.
func readSince(pages []view.PageInfo, url string) bool {
	return slices.ContainsFunc(pages, func(p view.PageInfo) bool {
		return p.Words != nil && site.SameAddress(p.URL, url)
	})
}

func sitePage(info view.PageInfo, p store.Page, own *study.Site) view.SitePage {
	out := view.SitePage{PageInfo: info, ByHand: p.ByHand}
	if own == nil {
		return out
	}
	i := slices.IndexFunc(own.Tree.Pages, func(s site.Surveyed) bool { return site.SameAddress(s.URL, p.URL) })
	if i < 0 {
		return out
	}
	found := own.Tree.Pages[i]
	out.Found, out.Title, out.Own = true, found.Title, &found.Own
	if found.Kind == p.Kind { // a second copy is for nothing of its own
		out.Reason = wording.Purpose(found.Purpose)
	}
	return out
}

func toMake(m study.ToMake) view.ToMake {
	out := view.ToMake{Kind: view.PageKind(m.Kind), Service: m.Service, Place: m.Place, Gain: m.Gain, Have: m.Have,
		Known: m.Known}
	if len(m.Families) > 0 {
		out.Phrase = m.Families[0].Lead().Text
	}
	return out
}

func rivalSite(e store.Entry, beside *study.Beside) view.Rival {
	out := view.Rival{EntryID: e.ID, Name: e.Name, Domain: lineup.Domain(e.URL), Services: []string{},
		Areas: []string{}, All: []view.RivalPage{}, Missed: []view.MissedPage{}}
	s, ok := beside.Site(e.URL)
	if !ok {
		return out
	}
	out.SurveyedAt, out.Failure, out.Pages = view.When(s.SurveyedAt), view.FailureOf(s.Fault), len(s.Tree.Pages)
	out.Missed = view.MissedOf(s.Missed)
	for _, p := range s.Tree.Pages {
		out.All = append(out.All, view.RivalPageOf(p))
		switch {
		case p.Kind == site.Service && !slices.Contains(out.Services, p.Service):
			out.Services = append(out.Services, p.Service)
		case p.Kind == site.Area && !slices.Contains(out.Areas, p.Place):
			out.Areas = append(out.Areas, p.Place)
		}
	}
	return out
}

// offers proposes services and places that the client's site names.
func (g *Ground) offers(ctx context.Context, k *study.Known, own *study.Site, out *view.Site) error {
	asked, err := k.Asked(ctx, own.Site)
	if err != nil {
		return err
	}
	for _, o := range asked.ServiceOffers(own.Tree) {
		out.Services = append(out.Services, view.Offer{Name: o.Name, From: wording.Offer(o), URL: o.URL})
	}
	for _, o := range asked.PlaceOffers(own.Tree, k.TownsNear(2)) {
		out.Places = append(out.Places, view.Offer{Name: o.Name, From: wording.Offer(o), URL: o.URL})
	}
	return nil
}

// BesidePages returns which pages of the rivals stand beside a page of the client, and
// which others there are to choose from.
func (g *Ground) BesidePages(ctx context.Context, id, page int64) ([]view.Beside, error) {
	k, err := g.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	p, err := k.Page(page)
	if err != nil {
		return nil, err
	}
	beside, err := k.Beside(ctx)
	if err != nil {
		return nil, err
	}
	out := []view.Beside{}
	for _, b := range beside.Of(p) {
		out = append(out, besidePage(b, beside))
	}
	return out, nil
}

func besidePage(b study.BesidePage, beside *study.Beside) view.Beside {
	rival := rivalSite(b.Entry, beside)
	out := view.Beside{EntryID: b.Entry.ID, Name: b.Entry.Name, Domain: rival.Domain, Chosen: b.Chosen,
		Reason:   wording.Like(b.Reason),
		Surveyed: b.Surveyed, Others: rival.All}
	find := func(url string) *view.RivalPage {
		if url == "" {
			return nil
		}
		i := slices.IndexFunc(rival.All, func(p view.RivalPage) bool { return site.SameAddress(p.URL, url) })
		if i < 0 {
			return &view.RivalPage{URL: url, Kind: view.PageKind(site.Other)}
		}
		return &rival.All[i]
	}
	out.Page, out.RunnerUp = find(b.URL), find(b.RunnerUp)
	return out
}

// ChooseBeside keeps which page of a rival's site a page of the client is compared with:
// an address, none for an empty one, and again what the program finds for nil.
func (g *Ground) ChooseBeside(ctx context.Context, id, page, entry int64, url *string) error {
	if url != nil && *url != "" {
		address, err := fetch.Address(*url)
		if err != nil {
			return err
		}
		url = &address
	}
	return g.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Page(id, page); err != nil {
			return err
		}
		e, err := tx.Entry(id, entry)
		if err != nil {
			return err
		}
		domain := lineup.Domain(e.URL)
		if domain == "" {
			return lineups.EntryWithoutSite.New(e.Name)
		}
		return tx.SetLikeChoice(id, page, domain, url)
	})
}

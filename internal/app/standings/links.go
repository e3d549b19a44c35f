package standings

import (
	"context"
	"slices"
	"strings"
	"time"

	"inktally/core/backlink"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	show "inktally/internal/view/stood"
	"inktally/internal/wording/standings"
)

// MostDomains is how many domains are shown at once.
const MostDomains = 200

// own is what the doubtful domains that link to the client are asked for by.
const own = "own"

// Domains returns domains that link to the rivals by their verdict, or the client's own doubtful ones.
func (s *Standing) Domains(ctx context.Context, id int64, verdict string, from int) (*show.LinkDomains, error) {
	k, judged, err := s.of(ctx, id)
	if err != nil {
		return nil, err
	}
	out := &show.LinkDomains{List: []show.LinkDomain{}, Counts: []show.VerdictCount{}}
	if judged.Links == nil {
		return out, nil
	}
	lists := map[string][]backlink.Domain{string(backlink.Get): judged.Links.Ask,
		string(backlink.Listing):  judged.Links.Listings,
		string(backlink.Doubtful): judged.Links.Doubtful, string(backlink.Leave): judged.Links.Left,
		own: judged.Links.OwnDoubtful}
	for _, v := range []string{string(backlink.Get), string(backlink.Listing), string(backlink.Doubtful),
		string(backlink.Leave), own} {
		out.Counts = append(out.Counts, show.VerdictCount{Verdict: v, Count: len(lists[v])})
	}
	list := lists[verdict]
	out.Total = len(list)
	from = min(max(0, from), len(list))
	kind := standing.Link
	if verdict == own {
		kind = standing.Doubt
	}
	for _, d := range list[from:min(len(list), from+MostDomains)] {
		out.List = append(out.List, domainShown(k, judged, d, kind))
	}
	return out, nil
}

// domainShown shows a domain.
func domainShown(k *study.Study, s *stood.Standing, d backlink.Domain, kind standing.Kind) show.LinkDomain {
	out := show.LinkDomain{Name: d.Name, Verdict: show.VerdictCode(d.Verdict), Why: standings.Reason(d.Reason),
		ByHand: d.Reason.Code == backlink.ByHand, Kind: show.AskKind(d.Kind), KindIs: standings.Kind(d.Kind),
		Page:  d.Best.Page,
		Title: d.Best.Title, Anchor: d.Best.Anchor, Rivals: []string{}, Minutes: d.Minutes,
		State: show.PartState(standing.Open)}
	if says := standings.AlsoNames(d); says != "" && d.Verdict == backlink.Get {
		out.Why += "; " + says
	}
	switch d.Anchor {
	case backlink.ByName:
		out.Ask = k.Client.Name
	case backlink.ByAddress:
		out.Ask = strings.TrimSuffix(s.Business.Site, "/")
	case backlink.ByPhrase:
		out.Ask = k.Lead()
	}
	for _, i := range d.Rivals {
		out.Rivals = append(out.Rivals, s.Sites[i].Name)
	}
	if said, ok := k.Standing.Said[standing.Ref{Kind: kind, Key: d.Name}]; ok {
		out.State = show.PartState(said.State)
		out.Seen = seenSince(k, s.Sites[0].Domain, said)
	}
	return out
}

// seenSince says whether an import of the client's own links after a domain was ticked off should have it by now. One
// that links is in no list any more; this one is, and so no list has it.
func seenSince(k *study.Study, own string, said elsewhere.Said) string {
	i := slices.IndexFunc(k.Standing.Lists, func(l elsewhere.List) bool {
		return l.Kind == elsewhere.OfLinks && l.Site == own && l.On.After(said.At)
	})
	if i < 0 || said.State != standing.Done {
		return ""
	}
	return standings.NotSeen(k.Standing.Lists[i].On)
}

// Judge keeps what a user says of domains, for all clients; an empty verdict takes it back.
func (s *Standing) Judge(ctx context.Context, id int64, domains []string, verdict backlink.Verdict) (*show.Standing,
	error) {
	err := s.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(id); err != nil {
			return err
		}
		for _, d := range domains {
			if d = domainOf(d); d == "" {
				return NoLinkSite.New()
			}
			if err := elsewhere.SayOf(tx, d, verdict, s.Now().Truncate(time.Second)); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

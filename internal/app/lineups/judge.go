package lineups

import (
	"context"
	"net/url"
	"time"

	"inktally/core/lineup"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/named"

	"golang.org/x/sync/errgroup"
)

const (
	// looking bounds the time that the pages of a result may take to tell what
	// they are.
	looking    = 10 * time.Second
	sideBySide = 4
)

// judge returns the kinds of a result's entries.
func (l *Lineup) judge(ctx context.Context, k *study.Known, found []source.SearchEntry) ([]lineup.Entry, error) {
	known, err := l.evidence(ctx, k)
	if err != nil {
		return nil, err
	}
	entries := make([]lineup.Entry, len(found))
	looks, cancel := context.WithTimeout(ctx, looking)
	defer cancel()
	var group errgroup.Group
	group.SetLimit(sideBySide)
	for i, f := range found {
		e := entryOf(f)
		group.Go(func() error {
			ev := known.of(e)
			if e.Part == lineup.Organic && e.URL != "" {
				ev.Read = l.Readings.Look(looks, e.URL)
				if root := rootOf(e.URL); root != e.URL && lineup.States(ev.Read) == 0 {
					ev.Root = l.Readings.Look(looks, root)
				}
			}
			e.Kind, e.Reason = lineup.Judge(e, ev)
			entries[i] = e
			return nil
		})
	}
	return entries, group.Wait()
}

// entryOf returns an entry as a search found it, before it is judged.
func entryOf(f source.SearchEntry) lineup.Entry {
	e := lineup.Entry{Part: f.Part, Position: f.Position, Sponsored: f.Sponsored, Name: text.Collapse(f.Name),
		Phone: text.Collapse(f.Phone), Years: f.Years}
	if address, err := fetch.Address(f.URL); err == nil {
		e.URL = address
	}
	return e
}

func rootOf(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return address
	}
	return (&url.URL{Scheme: u.Scheme, Host: u.Host, Path: "/"}).String()
}

// evidence is what is known of sites before their pages are looked at.
type evidence struct {
	domain, phone string
	said          map[string]store.SiteKind
	trades        map[string]map[string]bool // by domain
	trade         string
	names, places func(string) bool
}

func (l *Lineup) evidence(ctx context.Context, k *study.Known) (*evidence, error) {
	ev := &evidence{phone: k.Client.Phone, trade: k.Client.Trade, said: map[string]store.SiteKind{},
		trades: map[string]map[string]bool{}, names: named.Service(k), places: named.Place(k)}
	if home, err := study.HomePage(k.Pages); err == nil {
		ev.domain = lineup.Domain(home.URL)
	}
	err := l.DB.Read(ctx, func(tx *store.Tx) error {
		kinds, err := tx.SiteKinds()
		if err != nil {
			return err
		}
		for _, said := range kinds {
			ev.said[said.Domain] = said
		}
		pairs, err := tx.OrganicTrades()
		for _, pair := range pairs {
			domain := lineup.Domain(pair[0])
			if ev.trades[domain] == nil {
				ev.trades[domain] = map[string]bool{}
			}
			ev.trades[domain][pair[1]] = true
		}
		return err
	})
	return ev, err
}

// of returns what is known of an entry.
func (ev *evidence) of(e lineup.Entry) lineup.Evidence {
	domain := lineup.Domain(e.URL)
	said := ev.said[domain]
	return lineup.Evidence{ClientDomain: ev.domain, ClientPhone: ev.phone, Said: said.Kind, SaidFor: said.SaidFor,
		Trades: len(ev.trades[domain]), NamesService: ev.names, NamesPlace: ev.places}
}

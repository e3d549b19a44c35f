package lineups

import (
	"context"
	"slices"
	"strings"
	"time"

	"inktally/core/lineup"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"
)

// ImportSites keeps a list of sites with what they are, for all clients: a line each, its domain and
// its kind, directory where it says none. Lines that begin with # are no sites. Of lines that cannot
// be read none is kept, and the first is told.
func (l *Lineup) ImportSites(ctx context.Context, list string) ([]view.SiteKind, error) {
	var sites []store.SiteKind
	for number, line := range strings.Split(list, "\n") {
		line = text.Collapse(line)
		if line == "" || strings.HasPrefix(line, "#") {
			continue
		}
		said, ok := siteOfLine(line)
		if !ok {
			return nil, SiteLineUnread.New(number+1, line)
		}
		said.SaidAt = time.Now()
		sites = append(sites, said)
	}
	if len(sites) == 0 {
		return nil, SiteListEmpty.New()
	}
	err := l.DB.Write(ctx, func(tx *store.Tx) error {
		for _, said := range sites {
			if err := tx.SetSiteKind(said); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return l.SiteKinds(ctx)
}

// siteOfLine reads a line of a list: a domain or an address, and what it is.
func siteOfLine(line string) (store.SiteKind, bool) {
	first, rest, _ := strings.Cut(strings.NewReplacer(",", " ", "\t", " ", ";", " ").Replace(line), " ")
	address, err := fetch.Address(first)
	domain := lineup.Domain(address)
	if err != nil || !strings.Contains(domain, ".") {
		return store.SiteKind{}, false
	}
	kind := lineup.Kind(strings.ReplaceAll(strings.ToLower(strings.TrimSpace(rest)), " ", "_"))
	if kind == "" {
		kind = lineup.Directory
	}
	if kind == lineup.Client || !slices.Contains(lineup.Kinds(), kind) {
		return store.SiteKind{}, false
	}
	return store.SiteKind{Domain: domain, Kind: kind, SaidFor: "a list"}, true
}

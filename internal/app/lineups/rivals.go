package lineups

import (
	"context"
	"strings"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Paste adds addresses as rivals, one a line or parted by blanks and commas.
// Those that can be used are; the first that cannot is the error.
func (l *Lineup) Paste(ctx context.Context, client int64, pasted string) (*view.Lineup, error) {
	addresses, bad := Addresses(pasted)
	if len(addresses) == 0 && bad == nil {
		return nil, readings.NothingPasted.New()
	}
	err := l.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		return AddRivals(tx, client, addresses)
	})
	switch {
	case err != nil:
		return nil, err
	case bad != nil && len(addresses) > 0:
		return nil, SomeRivalsAdded.New(len(addresses)).Around(bad)
	case bad != nil:
		return nil, bad
	}
	return l.Get(ctx, client, 0)
}

// Addresses parts what was pasted into addresses, each once. bad is the fault of
// the first that is none, nil if all are.
func Addresses(pasted string) (addresses []string, bad *fault.Fault) {
	seen := map[string]bool{}
	for _, typed := range strings.FieldsFunc(pasted, func(r rune) bool {
		return strings.ContainsRune(" \t\n\r,;", r)
	}) {
		address, err := fetch.Address(typed)
		switch why, known := fault.Of(err); {
		case known && bad == nil:
			bad = why
		case err == nil && !seen[address]:
			seen[address] = true
			addresses = append(addresses, address)
		}
	}
	return addresses, bad
}

// AddRivals makes rivals of addresses: of the entry of that page if it is not paid for or of a search for the
// business's own name, by https or http, else of a typed one.
func AddRivals(tx *store.Tx, client int64, addresses []string) error {
	entries, err := tx.Entries(client)
	if err != nil {
		return err
	}
	ofName, err := nameSearches(tx, client)
	if err != nil {
		return err
	}
	known := map[string]store.Entry{}
	typed := 0
	for _, e := range entries {
		if _, had := known[site.BareAddress(e.URL)]; !had && !e.Paying() && !ofName[e.LineupID] {
			known[site.BareAddress(e.URL)] = e
		}
		if e.Part == lineup.Typed {
			typed = max(typed, e.Position)
		}
	}
	for _, address := range addresses {
		if e, ok := known[site.BareAddress(address)]; ok {
			if err := tx.TakeEntry(client, e.ID, true, lineup.Reason{}); err != nil {
				return err
			}
			continue
		}
		typed++
		e := lineup.Entry{Part: lineup.Typed, Position: typed, Name: lineup.Domain(address), URL: address,
			Kind: lineup.Business, Taken: true}
		if _, err := tx.AddEntry(store.Entry{ClientID: client, Entry: e}); err != nil {
			return err
		}
	}
	return nil
}

// nameSearches returns which recorded searches of a client are for its own name: none of their entries is a rival.
func nameSearches(tx *store.Tx, client int64) (map[int64]bool, error) {
	list, err := tx.Lineups(client)
	out := map[int64]bool{}
	for _, l := range list {
		out[l.ID] = l.OwnName
	}
	return out, err
}

// Take makes a rival of an entry or dismisses it. One that is paid for is never
// a rival itself: taking it makes a typed rival of its site (rule 6.2).
func (l *Lineup) Take(ctx context.Context, client, entry int64, taken bool) (*view.Lineup, error) {
	var of int64
	err := l.DB.Write(ctx, func(tx *store.Tx) error {
		e, err := tx.Entry(client, entry)
		if err != nil {
			return err
		}
		of = e.LineupID
		ofName, err := nameSearches(tx, client)
		if err != nil {
			return err
		}
		switch {
		case taken && e.URL == "":
			return EntryWithoutSite.New(e.Name)
		case taken && (e.Paying() || ofName[of]):
			return AddRivals(tx, client, []string{e.URL})
		case taken:
			return tx.TakeEntry(client, entry, true, lineup.Reason{Code: lineup.TakenByHand})
		case e.Part == lineup.Typed && paidFor(tx, client, e.URL):
			return tx.DeleteEntry(client, entry)
		}
		return tx.TakeEntry(client, entry, false, lineup.Reason{Code: lineup.DismissedByHand})
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, client, of)
}

// paidFor reports whether a typed rival came of an entry that is paid for; without
// it that entry stands as before.
func paidFor(tx *store.Tx, client int64, url string) bool {
	entries, err := tx.Entries(client)
	for _, e := range entries {
		if err == nil && e.Paying() && e.URL == url {
			return true
		}
	}
	return false
}

// Delete deletes an entry from the lineup.
func (l *Lineup) Delete(ctx context.Context, client, entry int64) (*view.Lineup, error) {
	err := l.DB.Write(ctx, func(tx *store.Tx) error { return tx.DeleteEntry(client, entry) })
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, client, 0)
}

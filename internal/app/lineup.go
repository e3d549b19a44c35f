package app

import (
	"context"
	"errors"
	"fmt"
	"strings"
	"time"

	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"

	"golang.org/x/sync/errgroup"
)

// Searcher answers a search with its result.
type Searcher interface {
	Search(ctx context.Context, phrase, from string) (SearchResult, error)
}

// SearchResult is what a search source answers; docs/contracts/search.md.
type SearchResult struct {
	Phrase   string        `json:"phrase"`
	Place    string        `json:"place"`
	Device   string        `json:"device"`
	LookedAt int           `json:"looked_at"`
	Ads      string        `json:"ads"`
	Entries  []SearchEntry `json:"entries"`
}

// SearchEntry is one entry of a search result.
type SearchEntry struct {
	Part      lineup.Part `json:"part"`
	Position  int         `json:"position"`
	Sponsored bool        `json:"sponsored,omitempty"`
	Name      string      `json:"name"`
	URL       string      `json:"url,omitempty"`
	Rating    *float64    `json:"rating,omitempty"`
	Reviews   *int        `json:"reviews,omitempty"`
}

// Lineup is the recorded search of a client (L1, L3, L5).
type Lineup struct {
	// Phrase is empty where no search was recorded.
	Phrase     string     `json:"phrase"`
	Place      string     `json:"place"`
	Device     string     `json:"device"`
	LookedAt   int        `json:"looked_at" doc:"How many organic entries were looked at"`
	Ads        string     `json:"ads"`
	RecordedAt *time.Time `json:"recorded_at"`
	Entries    []Entry    `json:"entries"`
	Searchable bool       `json:"searchable" doc:"Whether a search source is there"`
	Phrases    []string   `json:"phrases" doc:"The client's phrases"`
}

// Entry is one result of a recorded search, or a page that was typed in.
type Entry struct {
	ID        int64       `json:"id"`
	Part      lineup.Part `json:"part" enum:"paid,map,organic,typed"`
	Position  int         `json:"position"`
	Sponsored bool        `json:"sponsored"`
	Name      string      `json:"name"`
	URL       string      `json:"url"`
	Rating    *float64    `json:"rating"`
	Reviews   *int        `json:"reviews"`
	Kind      lineup.Kind `json:"kind"`
	Reason    string      `json:"reason" doc:"The evidence for the kind, or why it is not taken"`
	Taken     bool        `json:"taken"`
	Open      bool        `json:"open" doc:"A high position that no business holds"`
	// Words are the words seen of its last reading, null where it was not read.
	Words *int   `json:"words"`
	Error string `json:"error" doc:"Why its page could not be read"`
}

// Lineup returns the recorded search of a client.
func (a *App) Lineup(ctx context.Context, client int64) (*Lineup, error) {
	out := &Lineup{Entries: []Entry{}, Searchable: a.search != nil}
	err := a.db.Read(ctx, func(tx *store.Tx) error {
		g, err := tx.Ground(client)
		if err != nil {
			return err
		}
		out.Phrases = g.Phrases
		l, err := tx.Lineup(client)
		if err := ignoreNotFound(err); err != nil {
			return err
		}
		out.Phrase, out.Place, out.Device, out.LookedAt, out.Ads = l.Phrase, l.Place, l.Device, l.LookedAt, l.Ads
		out.RecordedAt = when(l.RecordedAt)
		entries, err := tx.Entries(client)
		if err != nil {
			return err
		}
		readings, err := tx.LatestReadings(client)
		if err != nil {
			return err
		}
		job, err := tx.LastJob(client)
		if err := ignoreNotFound(err); err != nil {
			return err
		}
		for _, e := range entries {
			out.Entries = append(out.Entries, entryView(e, readings, job))
		}
		return nil
	})
	return out, err
}

func entryView(e store.Entry, readings map[string]store.Reading, job store.Job) Entry {
	v := Entry{ID: e.ID, Part: lineup.Part(e.Part), Position: e.Position, Sponsored: e.Sponsored, Name: e.Name, URL: e.URL,
		Reviews: e.Reviews, Rating: e.Rating, Kind: lineup.Kind(e.Kind), Reason: e.Reason, Taken: e.Taken}
	v.Open = lineup.Open(lineup.Entry{Part: v.Part, Position: v.Position, Kind: v.Kind})
	if r, ok := readings[e.URL]; ok && e.URL != "" {
		v.Words = seenOf(r)
	}
	for _, i := range job.Items {
		if i.URL == e.URL && i.State == store.ItemFailed {
			v.Error = i.Error
		}
	}
	return v
}

// RecordSearch asks the search source for a phrase and records the result in
// place of the last one. The pages of organic entries are looked at to tell
// directories from businesses.
func (a *App) RecordSearch(ctx context.Context, client int64, phrase string) (*Lineup, error) {
	phrase = text.Collapse(phrase)
	if len(text.Tokens(phrase)) == 0 {
		return nil, Invalid{"a search needs a phrase"}
	}
	if a.search == nil {
		return nil, Invalid{"no search source is set up: paste the addresses of the rivals"}
	}
	var g store.Ground
	var home store.Page
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if g, err = tx.Ground(client); err != nil {
			return err
		}
		home, err = homePage(tx, client)
		return err
	})
	if err != nil {
		return nil, err
	}
	town, _ := place.Home(g.Places)
	from := strings.TrimSuffix(town.Name+", "+town.State, ", ")
	result, err := a.search.Search(ctx, phrase, strings.TrimPrefix(from, ", "))
	if err != nil {
		return nil, invalid(err)
	}
	entries := a.judge(ctx, result.Entries, lineup.Domain(home.URL))
	err = a.db.Write(ctx, func(tx *store.Tx) error {
		if err := tx.ClearEntries(client); err != nil {
			return err
		}
		l := store.Lineup{ClientID: client, Phrase: phrase, Place: result.Place, Device: result.Device, LookedAt: result.LookedAt,
			Ads: result.Ads, RecordedAt: a.now()}
		if err := tx.SetLineup(l); err != nil {
			return err
		}
		for i, e := range entries {
			_, err := tx.AddEntry(store.Entry{ClientID: client, Part: string(e.Part), Position: e.Position, Sponsored: e.Sponsored,
				Name: e.Name, URL: e.URL, Reviews: result.Entries[i].Reviews, Rating: result.Entries[i].Rating,
				Kind: string(e.Kind), Reason: e.Reason, Taken: e.Taken})
			if err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return a.Lineup(ctx, client)
}

// looking bounds the time that the pages of a result may take to tell what
// they are.
const looking = 4 * time.Second

// judge tells the kinds of a result's entries and takes the rivals.
func (a *App) judge(ctx context.Context, found []SearchEntry, own string) []lineup.Entry {
	entries := make([]lineup.Entry, len(found))
	looks, cancel := context.WithTimeout(ctx, looking)
	defer cancel()
	var group errgroup.Group
	group.SetLimit(sideBySide)
	for i, f := range found {
		e := lineup.Entry{Part: f.Part, Position: f.Position, Sponsored: f.Sponsored, Name: text.Collapse(f.Name)}
		if address, err := fetch.Address(f.URL); err == nil {
			e.URL = address
		}
		group.Go(func() error {
			var read *page.Page
			if e.Part == lineup.Organic && e.URL != "" {
				if doc, err := a.pages.Get(looks, fetch.Request{Address: e.URL}); err == nil {
					read = page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType})
				}
			}
			e.Kind, e.Reason = lineup.Judge(e, own, read)
			entries[i] = e
			return nil
		})
	}
	_ = group.Wait()
	lineup.Take(entries)
	return entries
}

// PasteRivals takes addresses, one a line or parted by blanks and commas, as
// rivals. Those that can be taken are; the first that cannot is the error.
func (a *App) PasteRivals(ctx context.Context, client int64, pasted string) (*Lineup, error) {
	addresses, errs := addressesIn(pasted)
	if len(addresses) == 0 && len(errs) == 0 {
		return nil, Invalid{"nothing was pasted"}
	}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		return addRivals(tx, client, addresses)
	})
	if err != nil {
		return nil, err
	}
	if len(errs) > 0 {
		sentence := errs[0].Error()
		if len(addresses) > 0 {
			sentence += fmt.Sprintf("; %d other taken", len(addresses))
		}
		return nil, Invalid{sentence}
	}
	return a.Lineup(ctx, client)
}

func addressesIn(pasted string) (addresses []string, errs []error) {
	seen := map[string]bool{}
	for _, typed := range strings.FieldsFunc(pasted, func(r rune) bool { return strings.ContainsRune(" \t\n\r,;", r) }) {
		address, err := fetch.Address(typed)
		if err != nil {
			errs = append(errs, err)
		} else if !seen[address] {
			seen[address] = true
			addresses = append(addresses, address)
		}
	}
	return addresses, errs
}

// addRivals takes addresses as rivals; one that the lineup has is taken there.
func addRivals(tx *store.Tx, client int64, addresses []string) error {
	entries, err := tx.Entries(client)
	if err != nil {
		return err
	}
	known := map[string]store.Entry{}
	typed := 0
	for _, e := range entries {
		known[e.URL] = e
		if e.Part == string(lineup.Typed) {
			typed++
		}
	}
	for _, address := range addresses {
		if e, ok := known[address]; ok {
			if err := tx.TakeEntry(client, e.ID, true, ""); err != nil {
				return err
			}
			continue
		}
		typed++
		e := store.Entry{ClientID: client, Part: string(lineup.Typed), Position: typed, Name: lineup.Domain(address), URL: address,
			Kind: string(lineup.Business), Taken: true}
		if _, err := tx.AddEntry(e); err != nil {
			return err
		}
	}
	return nil
}

// Take takes an entry as a rival or sets it aside.
func (a *App) Take(ctx context.Context, client, entry int64, taken bool) (*Lineup, error) {
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		e, err := tx.Entry(client, entry)
		if err != nil {
			return err
		}
		if taken && e.URL == "" {
			return Invalid{e.Name + " has no site that could be measured"}
		}
		reason := "set aside by hand"
		if taken {
			reason = ""
		}
		return tx.TakeEntry(client, entry, taken, reason)
	})
	if err != nil {
		return nil, err
	}
	return a.Lineup(ctx, client)
}

// DeleteEntry deletes an entry from the lineup.
func (a *App) DeleteEntry(ctx context.Context, client, entry int64) (*Lineup, error) {
	err := a.db.Write(ctx, func(tx *store.Tx) error { return tx.DeleteEntry(client, entry) })
	if err != nil {
		return nil, err
	}
	return a.Lineup(ctx, client)
}

// Quick is the short way in: an address, a phrase and rivals' addresses make a
// client and start its run.
func (a *App) Quick(ctx context.Context, address, phrase, rivals string) (Ground, error) {
	if len(text.Tokens(phrase)) == 0 {
		return Ground{}, Invalid{"the short way in needs a phrase"}
	}
	addresses, errs := addressesIn(rivals)
	if len(errs) > 0 {
		return Ground{}, invalid(errs[0])
	}
	g, err := a.NewClient(ctx, Business{HomePage: address, Phrases: []string{phrase}})
	if err != nil {
		return Ground{}, err
	}
	err = a.db.Write(ctx, func(tx *store.Tx) error { return addRivals(tx, g.ID, addresses) })
	if err != nil {
		return Ground{}, err
	}
	if _, err := a.Measure(ctx, g.ID); err != nil && !errors.As(err, &Invalid{}) {
		return Ground{}, err
	}
	return g, nil
}

// Package lineup is the stop at which a search is recorded and the rivals are
// chosen.
package lineup

import (
	"context"
	"errors"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/text"
	"inktally/internal/app/client"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/view"

	"golang.org/x/sync/errgroup"
)

// Searcher answers a search with its result; its errors are faults.
type Searcher interface {
	Search(ctx context.Context, phrase, from string) (source.SearchResult, error)
}

// Lineup records searches.
type Lineup struct {
	DB       *store.DB
	Readings *readings.Readings
	// Search is nil if there is no source.
	Search Searcher
	Now    func() time.Time
}

// Get returns the recorded search of a client.
func (l *Lineup) Get(ctx context.Context, id int64) (*view.Lineup, error) {
	out := &view.Lineup{Entries: []view.Entry{}, Phrases: []string{}, Searchable: l.Search != nil}
	err := l.DB.Read(ctx, func(tx *store.Tx) error {
		k, err := client.Load(tx, id)
		if err != nil {
			return err
		}
		for _, t := range k.Typed {
			out.Phrases = append(out.Phrases, t.Text)
		}
		recorded, err := tx.Lineup(id)
		if err != nil && !errors.Is(err, store.ErrNotFound) {
			return err
		}
		out.Phrase, out.Place, out.Device, out.LookedAt, out.Ads = recorded.Phrase, recorded.Place, recorded.Device, recorded.LookedAt, recorded.Ads
		out.RecordedAt, out.Rivals = view.When(recorded.RecordedAt), len(k.RivalEntries())
		readings, err := tx.LatestReadings(id)
		if err != nil {
			return err
		}
		failures, err := tx.Failures(id)
		if err != nil {
			return err
		}
		for _, e := range k.Entries {
			v := view.EntryOf(e.ID, e.Entry, e.Rating, e.Reviews)
			if r, ok := readings[e.URL]; ok && e.URL != "" {
				v.Words = &r.Facts.Words.Seen
			}
			v.Failure = view.FailureOf(failures[e.URL])
			out.Entries = append(out.Entries, v)
		}
		return nil
	})
	return out, err
}

// Record asks the search source for a phrase and records the result in place of
// the last one. The pages of organic entries are looked at to tell directories
// from businesses.
func (l *Lineup) Record(ctx context.Context, id int64, phrase string) (*view.Lineup, error) {
	phrase = text.Collapse(phrase)
	if len(text.Tokens(phrase)) == 0 {
		return nil, fault.New(fault.PhraseNeeded)
	}
	if l.Search == nil {
		return nil, fault.New(fault.NoSearchSource)
	}
	var k *client.Known
	err := l.DB.Read(ctx, func(tx *store.Tx) (err error) {
		k, err = client.Load(tx, id)
		return err
	})
	if err != nil {
		return nil, err
	}
	result, err := l.Search.Search(ctx, phrase, From(k.Home()))
	if err != nil {
		return nil, err
	}
	return l.record(ctx, k, phrase, result)
}

// record judges the entries of a result and keeps it in place of the last one.
func (l *Lineup) record(ctx context.Context, k *client.Known, phrase string, result source.SearchResult) (*view.Lineup, error) {
	id := k.Client.ID
	home, err := client.HomePage(k.Pages)
	if err != nil {
		return nil, err
	}
	entries := l.judge(ctx, result.Entries, lineup.Domain(home.URL))
	k.Yardstick.Lineup.Take(entries)
	err = l.DB.Write(ctx, func(tx *store.Tx) error {
		if err := tx.ClearEntries(id); err != nil {
			return err
		}
		recorded := store.Lineup{ClientID: id, Phrase: phrase, Place: result.Place, Device: result.Device, LookedAt: result.LookedAt,
			Ads: result.Ads, RecordedAt: l.Now()}
		if err := tx.SetLineup(recorded); err != nil {
			return err
		}
		for i, e := range entries {
			_, err := tx.AddEntry(store.Entry{ClientID: id, Entry: e, Reviews: result.Entries[i].Reviews, Rating: result.Entries[i].Rating})
			if err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id)
}

// From is a place as a search is asked from it: Tarn Harbor, ME.
func From(p place.Place) string { return strings.Trim(p.Name+", "+p.State, ", ") }

const (
	// looking bounds the time that the pages of a result may take to tell what
	// they are.
	looking    = 4 * time.Second
	sideBySide = 4
)

// judge tells the kinds of a result's entries.
func (l *Lineup) judge(ctx context.Context, found []source.SearchEntry, own string) []lineup.Entry {
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
				read = l.Readings.Look(looks, e.URL)
			}
			e.Kind, e.Reason = lineup.Judge(e, own, read)
			entries[i] = e
			return nil
		})
	}
	_ = group.Wait()
	return entries
}

// Package lineups is the stop at which searches are recorded and the rivals are
// chosen.
package lineups

import (
	"context"
	"slices"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/text"
	"inktally/internal/app/readings"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
)

// Searcher answers a search with its result; its errors are faults.
type Searcher interface {
	Search(ctx context.Context, phrase, from string) (source.SearchResult, error)
}

// Lineup records searches.
type Lineup struct {
	DB       *store.DB
	Readings *readings.Readings
	Studies  *study.Studies
	// Judged tells what a search for the client's own name shows.
	Judged *stood.Standings
	// Search is nil if there is no source.
	Search Searcher
	Now    func() time.Time
}

// Get returns a recorded search of a client, the main one for 0.
func (l *Lineup) Get(ctx context.Context, id, lineupID int64) (*view.Lineup, error) {
	of, err := l.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	recorded := of.MainLineup()
	if lineupID != 0 {
		if recorded, err = one(of.Known, lineupID); err != nil {
			return nil, err
		}
	}
	if recorded.OwnName {
		return l.shownOfName(ctx, of, recorded)
	}
	return l.shown(of.Known, recorded), nil
}

func one(k *study.Known, id int64) (store.Lineup, error) {
	for _, l := range recordedOf(k) {
		if l.ID == id {
			return l, nil
		}
	}
	return store.Lineup{}, store.ErrNotFound
}

// recordedOf returns all recorded searches, those for the business's own name last.
func recordedOf(k *study.Known) []store.Lineup { return slices.Concat(k.Lineups, k.NameSearches) }

// Record asks the search source for a phrase and keeps the result beside those that
// were recorded before. The pages of entries are looked at to tell what they are.
func (l *Lineup) Record(ctx context.Context, id int64, phrase string) (*view.Lineup, error) {
	phrase = text.Collapse(phrase)
	if len(text.Tokens(phrase)) == 0 {
		return nil, fault.PhraseNeeded.New()
	}
	if l.Search == nil {
		return nil, NoSearchSource.New()
	}
	k, err := l.known(ctx, id)
	if err != nil {
		return nil, err
	}
	result, err := l.Search.Search(ctx, phrase, From(k.Home()))
	if err != nil {
		return nil, err
	}
	return l.record(ctx, k, phrase, result)
}

func (l *Lineup) known(ctx context.Context, id int64) (*study.Known, error) {
	s, err := l.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	return s.Known, nil
}

// record judges the entries of a result and keeps it.
func (l *Lineup) record(ctx context.Context, k *study.Known, phrase string, result source.SearchResult) (*view.Lineup,
	error) {
	id := k.Client.ID
	entries, err := l.judge(ctx, k, result.Entries)
	if err != nil {
		return nil, err
	}
	k.Yardstick.Lineup.Take(entries)
	recorded := store.Lineup{ClientID: id, Phrase: phrase, Place: result.Place, Device: result.Device,
		LookedAt:    result.LookedAt,
		MapLookedAt: result.MapLookedAt, Ads: result.Ads, RecordedAt: l.Now(), OwnName: k.Judge().IsOwnName(phrase)}
	for _, e := range result.Entries {
		if e.Part == lineup.Map && !e.Sponsored {
			recorded.MapLookedAt = max(recorded.MapLookedAt, e.Position)
		}
	}
	err = l.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(id); err != nil {
			return err
		}
		if recorded.ID, err = tx.AddLineup(recorded); err != nil {
			return err
		}
		for i, e := range entries {
			_, err := tx.AddEntry(store.Entry{ClientID: id, LineupID: recorded.ID, Entry: e,
				Reviews: result.Entries[i].Reviews, Rating: result.Entries[i].Rating})
			if err != nil {
				return err
			}
		}
		return settle(tx, k, recorded, entries)
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, recorded.ID)
}

// Forget deletes a recorded search; the one before it counts again.
func (l *Lineup) Forget(ctx context.Context, id, lineupID int64) (*view.Lineup, error) {
	err := l.DB.Write(ctx, func(tx *store.Tx) error { return tx.DeleteLineup(id, lineupID) })
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, 0)
}

// From returns a place as a search is asked from it: Tarn Harbor, ME.
func From(p place.Place) string { return strings.Trim(p.Name+", "+p.State, ", ") }

package lineups

import (
	"context"
	"slices"

	"inktally/core/lineup"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
	"inktally/internal/wording/standings"
)

// conditions returns a search with its conditions and the others that were recorded, before its entries.
func (l *Lineup) conditions(k *study.Known, recorded store.Lineup) *view.Lineup {
	out := &view.Lineup{ID: recorded.ID, Phrase: recorded.Phrase, Place: recorded.Place, Device: recorded.Device,
		LookedAt: recorded.LookedAt, MapLookedAt: recorded.MapLookedAt, Ads: recorded.Ads,
		RecordedAt: view.When(recorded.RecordedAt), Searchable: l.Search != nil, OwnName: recorded.OwnName,
		Entries: []view.Entry{}, Phrases: []string{}, Recorded: []view.Recorded{}, Pages: []int64{}}
	for _, t := range k.Typed {
		out.Phrases = append(out.Phrases, t.Text)
	}
	for _, other := range recordedOf(k) {
		inMap, organic := lineup.Stands(study.Results(k.EntriesOf(other.ID)))
		out.Recorded = append(out.Recorded,
			view.Recorded{ID: other.ID, Phrase: other.Phrase, Place: other.Place, RecordedAt: other.RecordedAt,
				Map: inMap, Organic: organic, LookedAt: other.LookedAt, MapLookedAt: other.MapLookedAt,
				OwnName: other.OwnName})
	}
	return out
}

// shown returns a search as the API shows it, with the others that were recorded.
func (l *Lineup) shown(k *study.Known, recorded store.Lineup) *view.Lineup {
	out, entries := l.conditions(k, recorded), k.EntriesOf(recorded.ID)
	out.Rivals = len(study.RivalsOf(entries, k.Yardstick.Lineup))
	for _, p := range k.Pages {
		if p.Kind.HasWordTarget() && recorded.ID != 0 && k.LineupOf(p.ID).ID == recorded.ID {
			out.Pages = append(out.Pages, p.ID)
		}
	}
	rules, seats := k.Yardstick.Lineup, seatsOf(k, entries)
	for _, e := range entries {
		v := view.EntryOf(e.ID, e.Entry, e.Rating, e.Reviews)
		v.PageRival, v.MapRival, v.Offered = seats.rivals[e.ID], rules.InPack(e.Entry), seats.offered[e.ID]
		if r, ok := k.Latest[e.URL]; ok && e.URL != "" {
			v.Words = &r.Facts.Words.Seen
		}
		v.Failure = view.FailureOf(k.Failures[e.URL])
		out.Entries = append(out.Entries, v)
	}
	if recorded.ID != 0 {
		out.Waits = waits(wouldChange(k, recorded, entries))
	}
	return out
}

// shownOfName returns a search for the client's own name: what each entry is to it. None is a rival, and no place is
// open.
func (l *Lineup) shownOfName(ctx context.Context, of *study.Study, recorded store.Lineup) (*view.Lineup, error) {
	judged, err := l.Judged.Of(ctx, of)
	if err != nil {
		return nil, err
	}
	out := l.conditions(of.Known, recorded)
	i := slices.IndexFunc(judged.Names, func(n stood.NameSearch) bool { return n.ID == recorded.ID })
	if i < 0 {
		return out, nil
	}
	for at, e := range judged.Names[i].Entries {
		v := view.EntryOf(e.ID, e.Entry, e.Rating, e.Reviews)
		hit := judged.Names[i].Hits[at]
		v.Taken, v.Open = false, false
		v.Hit = &view.EntryHit{Code: view.HitCode(hit), Says: standings.Hit(hit)}
		out.Entries = append(out.Entries, v)
	}
	return out, nil
}

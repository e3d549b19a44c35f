package lineups

import (
	"context"
	"math"

	"inktally/core/lineup"
	"inktally/core/site"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// change is what a search would change of the rivals of a page.
type change struct {
	page        int64
	instead     int64 // the search that it is judged against now
	changed, of int
}

// wouldChange returns what a search would change if it were used: of each page that is judged against another
// one, has rivals of its own and would be judged against this one, how many of them would go (rule 6.2). A page
// that has the home page's rivals, for want of a search of its own, has none of its own.
func wouldChange(k *study.Known, recorded store.Lineup, entries []store.Entry) (out []change) {
	used := recorded
	used.Used = math.MaxInt64
	among := []store.Lineup{used}
	for _, other := range k.Lineups {
		if other.ID != recorded.ID {
			among = append(among, other)
		}
	}
	main := k.MainLineup()
	for _, p := range k.Pages {
		now := k.LineupOf(p.ID)
		if !p.Kind.HasWordTarget() || now.ID == recorded.ID || k.LineupAmong(among, p.ID).ID != recorded.ID ||
			p.Kind != site.Home && now.ID == main.ID {
			continue
		}
		changed, of := k.Yardstick.Lineup.Changed(study.Results(k.EntriesOf(now.ID)), study.Results(entries))
		if of > 0 {
			out = append(out, change{p.ID, now.ID, changed, of})
		}
	}
	return out
}

// waits returns the page of which a search would change most, nil where it changes none.
func waits(changes []change) *view.LineupChange {
	var out *view.LineupChange
	for _, c := range changes {
		if out == nil || c.changed > out.Changed {
			out = &view.LineupChange{Page: c.page, Changed: c.changed, Of: c.of, Instead: c.instead}
		}
	}
	return out
}

// settle puts a search to use that was just recorded, unless it would change rivals: then it waits, and what
// was used stays so. One for the business's own name is never used.
func settle(tx *store.Tx, k *study.Known, recorded store.Lineup, entries []lineup.Entry) error {
	if recorded.OwnName {
		return nil
	}
	own := make([]store.Entry, 0, len(entries))
	for _, e := range entries {
		own = append(own, store.Entry{Entry: e})
	}
	own = append(own, k.EntriesOf(0)...) // those that were typed stay
	wait := false
	for _, c := range wouldChange(k, recorded, own) {
		if c.changed == 0 {
			continue
		}
		wait = true
		if now := k.LineupOf(c.page); now.Used == 0 {
			if err := tx.UseLineup(now.ClientID, now.ID); err != nil {
				return err
			}
		}
	}
	if wait {
		return nil
	}
	return tx.UseLineup(recorded.ClientID, recorded.ID)
}

// Use puts a recorded search to use: the rivals of the pages that are judged against it are its own from now on.
func (l *Lineup) Use(ctx context.Context, id, lineupID int64) (*view.Lineup, error) {
	err := l.DB.Write(ctx, func(tx *store.Tx) error { return tx.UseLineup(id, lineupID) })
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, lineupID)
}

// seats are who is a rival of a search, and who may take the seat of one whose page cannot be read.
type seats struct {
	rivals  map[int64]bool
	offered map[int64]int64 // by who may take it, whose it is
}

func seatsOf(k *study.Known, entries []store.Entry) seats {
	s, rules, list := seats{map[int64]bool{}, map[int64]int64{}}, k.Yardstick.Lineup, study.Results(entries)
	for _, i := range rules.Rivals(list) {
		s.rivals[entries[i].ID] = true
	}
	unread := func(e lineup.Entry) bool {
		_, read := k.Latest[e.URL]
		return !read && k.Failures[e.URL] != nil
	}
	for _, o := range rules.Offers(list, unread) {
		s.offered[entries[o.Next].ID] = entries[o.Unread].ID
	}
	return s
}

// Package since tells what moved of a client since a day: its places in the recorded searches, the visits that these
// and its lists of phrases come to, and its figures from elsewhere (rule 15.3).
//
// In goes a study and the day; out comes what moved.
package since

import (
	"context"
	"strings"
	"time"

	"inktally/core/account"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/reach"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/reached"
	"inktally/internal/study/stood"
)

// Of returns what moved.
func Of(ctx context.Context, db *store.DB, s *study.Study, day time.Time) (*account.Moved, error) {
	var found []store.FoundList
	err := db.Read(ctx, func(tx *store.Tx) (err error) {
		found, err = tx.FoundListsAt(s.Client.ID, account.EndOf(day))
		return err
	})
	if err != nil {
		return nil, err
	}
	m := &account.Moved{Ticked: map[standing.Kind]int{},
		Figures: account.Figures(values(s), stood.SitesOf(s)[0].Domain, day)}
	now := reached.Of(s)
	places(m, s, now.Rows, day)
	then := reached.Of(&study.Study{Known: s.Known, Found: found}).Client() // all else is today's
	m.Hire = account.Visits{Then: then.Hire, Now: now.Client().Hire}
	m.FoundFor = [2]int{len(then.Phrases), len(now.Client().Phrases)}
	for ref, said := range s.Standing.Said {
		if said.State == standing.Done && said.At.After(account.EndOf(day)) {
			m.Ticked[ref.Kind]++
		}
	}
	return m, nil
}

// values are all figures with their former ones, those too that are counted of lists.
func values(s *study.Study) (out []standing.Value) {
	for _, n := range s.Standing.Totals() {
		out = append(append(out, n.Value), n.Former...)
	}
	return out
}

// byPhrase puts searches together that are for one phrase from one place, in their order.
func byPhrase(lineups []store.Lineup) (keys []string, by map[string][]store.Lineup) {
	by = map[string][]store.Lineup{}
	for _, l := range lineups {
		key := phrase.Fold(l.Phrase) + "\n" + strings.ToLower(l.Place)
		if by[key] == nil {
			keys = append(keys, key)
		}
		by[key] = append(by[key], l)
	}
	return keys, by
}

// at returns which of some searches was in force on a day; it is not ok where none came since.
func at(list []store.Lineup, day time.Time) (then store.Lineup, ok bool) {
	moments := make([]time.Time, len(list))
	for i, l := range list {
		moments[i] = l.RecordedAt
	}
	i := account.Then(moments, day)
	if i < 0 {
		return then, false
	}
	return list[i], true
}

// places tells where the client stood and stands.
func places(m *account.Moved, s *study.Study, rows []reach.Row, day time.Time) {
	keys, by := byPhrase(s.Lineups)
	for _, key := range keys {
		then, twice := at(by[key], day)
		if !twice {
			continue
		}
		now := by[key][0] // the newest first
		p := account.Place{Phrase: now.Phrase, OrganicOf: now.LookedAt, MapOf: now.MapLookedAt}
		for n, l := range []store.Lineup{then, now} {
			p.Map[n], p.Organic[n] = lineup.Stands(study.Results(s.EntriesOf(l.ID)))
		}
		for _, r := range rows {
			if r.Volume != nil && r.Counts && phrase.Fold(r.Text) == phrase.Fold(now.Phrase) {
				p.Visits = p.VisitsOf(*r.Volume, s.Yardstick.Visits.Rate)
			}
		}
		if p.Moved() {
			m.Places = append(m.Places, p)
		}
	}
}

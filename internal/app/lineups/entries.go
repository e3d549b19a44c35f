package lineups

import (
	"context"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/view"
)

// AddTyped adds a row that a person typed to a search, and to a new one for a phrase if
// none is told. It is judged like any other.
func (l *Lineup) AddTyped(ctx context.Context, id, lineupID int64, phrase string, row view.EntryDraft) (*view.Lineup,
	error) {
	k, err := l.known(ctx, id)
	if err != nil {
		return nil, err
	}
	phrase = text.Collapse(phrase)
	if lineupID == 0 && len(text.Tokens(phrase)) == 0 {
		return nil, fault.PhraseNeeded.New()
	}
	e, err := draftOf(row)
	if err != nil {
		return nil, err
	}
	judged, err := l.judge(ctx, k, []source.SearchEntry{
		{Part: e.Part, Position: e.Position, Sponsored: e.Sponsored, Name: e.Name, URL: e.URL, Phone: e.Phone,
			Years: e.Years}})
	if err != nil {
		return nil, err
	}
	e.Entry = judged[0]
	e.ClientID, e.LineupID = id, lineupID
	err = l.DB.Write(ctx, func(tx *store.Tx) (err error) {
		if lineupID == 0 {
			recorded := store.Lineup{ClientID: id, Phrase: phrase, Place: From(k.Home()), Ads: "not seen",
				RecordedAt: l.Now(), OwnName: k.Judge().IsOwnName(phrase)}
			if e.LineupID, err = tx.AddLineup(recorded); err != nil {
				return err
			}
			recorded.ID = e.LineupID
			if err := settle(tx, k, recorded, []lineup.Entry{e.Entry}); err != nil {
				return err
			}
		} else if _, err := one(k, lineupID); err != nil {
			return err
		}
		if e.ID, err = tx.AddEntry(e); err != nil {
			return err
		}
		if err := arrange(tx, id, e.LineupID, e.ID, lineup.Insert); err != nil {
			return err
		}
		return retake(tx, id, e.LineupID, k.Yardstick.Lineup)
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, e.LineupID)
}

func draftOf(row view.EntryDraft) (e store.Entry, err error) {
	e.Part, e.Position, e.Sponsored = lineup.Part(row.Part), max(row.Position, 1), row.Sponsored
	e.Name, e.Phone, e.Years = text.Collapse(row.Name), text.Collapse(row.Phone), row.Years
	e.Rating, e.Reviews = row.Rating, row.Reviews
	if row.URL != "" {
		if e.URL, err = fetch.Address(row.URL); err != nil {
			return e, err
		}
	}
	if e.Name == "" {
		e.Name = lineup.Domain(e.URL)
	}
	if e.Name == "" {
		return e, EntryNoName.New()
	}
	return e, nil
}

// Move puts an entry to another position of its part; moving it back undoes it.
func (l *Lineup) Move(ctx context.Context, id, entry int64, to int) (*view.Lineup, error) {
	var lineupID int64
	err := l.DB.Write(ctx, func(tx *store.Tx) error {
		e, err := tx.Entry(id, entry)
		if err != nil {
			return err
		}
		lineupID = e.LineupID
		return arrange(tx, id, e.LineupID, e.ID, func(entries []lineup.Entry, i int) {
			lineup.Move(entries, i, max(to, 1))
		})
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, lineupID)
}

// arrange lets a change of positions of one search be kept.
func arrange(tx *store.Tx, id, lineupID, entry int64, change func(entries []lineup.Entry, i int)) error {
	all, err := tx.Entries(id)
	if err != nil {
		return err
	}
	var own []store.Entry
	for _, e := range all {
		if e.LineupID == lineupID {
			own = append(own, e)
		}
	}
	list := make([]lineup.Entry, len(own))
	at := -1
	for i, e := range own {
		list[i] = e.Entry
		if e.ID == entry {
			at = i
		}
	}
	if at < 0 {
		return store.ErrNotFound
	}
	change(list, at)
	for i, e := range own {
		if e.Position != list[i].Position {
			e.Position = list[i].Position
			if err := tx.UpdateEntry(e); err != nil {
				return err
			}
		}
	}
	return nil
}

// retake takes the rivals of a search by themselves, as long as nobody chose any.
func retake(tx *store.Tx, id, lineupID int64, rules lineup.Rules) error {
	all, err := tx.Entries(id)
	if err != nil {
		return err
	}
	var own []store.Entry
	for _, e := range all {
		if e.LineupID == lineupID && e.Part != lineup.Typed {
			own = append(own, e)
		}
	}
	list := make([]lineup.Entry, len(own))
	for i, e := range own {
		if e.Reason.Code == lineup.DismissedByHand || e.Reason.Code == lineup.TakenByHand {
			return nil
		}
		list[i] = e.Entry
		list[i].Taken = false
		if e.Kind == lineup.Business && e.Reason.Code != lineup.SaidByHand {
			list[i].Reason = lineup.Reason{}
		}
	}
	rules.Take(list)
	for i, e := range own {
		if e.Entry != list[i] {
			e.Entry = list[i]
			if err := tx.UpdateEntry(e); err != nil {
				return err
			}
		}
	}
	return nil
}

// SetKind says what the site of an entry is, for all clients from now on. Without a site
// it holds for the entry alone.
func (l *Lineup) SetKind(ctx context.Context, id, entry int64, kind lineup.Kind) (*view.Lineup, error) {
	var lineupID int64
	k, err := l.known(ctx, id)
	if err != nil {
		return nil, err
	}
	err = l.DB.Write(ctx, func(tx *store.Tx) error {
		e, err := tx.Entry(id, entry)
		if err != nil {
			return err
		}
		if e.Kind == lineup.Client || kind == lineup.Client {
			return KindOfClient.New()
		}
		lineupID = e.LineupID
		domain := lineup.Domain(e.URL)
		if domain != "" {
			said := store.SiteKind{Domain: domain, Kind: kind, SaidFor: k.Client.Name, SaidAt: l.Now()}
			if err := tx.SetSiteKind(said); err != nil {
				return err
			}
		}
		all, err := tx.Entries(id)
		if err != nil {
			return err
		}
		touched := map[int64]bool{}
		for _, other := range all {
			if other.ID != entry && (domain == "" || lineup.Domain(other.URL) != domain) {
				continue
			}
			other.Kind, other.Reason = kind, lineup.Reason{Code: lineup.SaidByHand}
			if kind != lineup.Business {
				other.Taken = false
			}
			touched[other.LineupID] = true
			if err := tx.UpdateEntry(other); err != nil {
				return err
			}
		}
		for of := range touched {
			if err := retake(tx, id, of, k.Yardstick.Lineup); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, lineupID)
}

// SiteKinds returns what was said of sites, the newest first.
func (l *Lineup) SiteKinds(ctx context.Context) ([]view.SiteKind, error) {
	out := []view.SiteKind{}
	err := l.DB.Read(ctx, func(tx *store.Tx) error {
		kinds, err := tx.SiteKinds()
		for _, k := range kinds {
			out = append(out, view.SiteKind{Domain: k.Domain, Kind: view.EntryKind(k.Kind), SaidFor: k.SaidFor,
				SaidAt: k.SaidAt})
		}
		return err
	})
	return out, err
}

// ForgetSiteKind takes back what was said of a site; searches that are recorded from now
// on are judged by evidence again, and a client's entries of it are judged anew.
func (l *Lineup) ForgetSiteKind(ctx context.Context, id int64, domain string) (*view.Lineup, error) {
	err := l.DB.Write(ctx, func(tx *store.Tx) error { return tx.SetSiteKind(store.SiteKind{Domain: domain}) })
	if err != nil {
		return nil, err
	}
	k, err := l.known(ctx, id)
	if err != nil {
		return nil, err
	}
	var again []store.Entry
	for _, recorded := range recordedOf(k) {
		for _, e := range k.EntriesOf(recorded.ID) {
			if e.LineupID != 0 && lineup.Domain(e.URL) == domain && e.Reason.Code == lineup.SaidByHand {
				again = append(again, e)
			}
		}
	}
	found := make([]source.SearchEntry, len(again))
	for i, e := range again {
		found[i] = source.SearchEntry{Part: e.Part, Position: e.Position, Sponsored: e.Sponsored, Name: e.Name,
			URL: e.URL, Phone: e.Phone, Years: e.Years}
	}
	judged, err := l.judge(ctx, k, found)
	if err != nil {
		return nil, err
	}
	err = l.DB.Write(ctx, func(tx *store.Tx) error {
		for i, e := range again {
			e.Entry = judged[i]
			if err := tx.UpdateEntry(e); err != nil {
				return err
			}
			if err := retake(tx, id, e.LineupID, k.Yardstick.Lineup); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, id, 0)
}

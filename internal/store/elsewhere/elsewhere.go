// Package elsewhere keeps what comes from elsewhere: figures of sites, lists of links and listings, facts of map
// profiles, and what was said of them (rule 13). Nothing of it replaces an older one; each has its source and day.
//
// It has the tables standing_imports, standing_figures, standing_lists, standing_facts, standing_said and
// link_verdicts.
package elsewhere

import (
	"time"

	"inktally/core/backlink"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/store/kept"
)

// Known is all that was brought of a client and its rivals, but for the rows of lists.
type Known struct {
	Figures []standing.Value
	Lists   []List
	Facts   []Fact
	// Imports are what was brought at once, the newest first.
	Imports []Import
	// Said is what was said of parts of targets.
	Said map[standing.Ref]Said
	// Verdicts are what was said of domains, for any client.
	Verdicts map[string]backlink.Verdict
}

// Said is what was said of a part, and when.
type Said struct {
	State standing.State
	At    time.Time
}

// Fact is a fact of a map profile, as a source had it on a day.
type Fact struct {
	Site   string
	Field  mapprofile.Field
	Value  string
	Source string
	On     time.Time
}

// day is a day as it is kept.
type day time.Time

// Scan reads a day.
func (d *day) Scan(column any) error {
	text, _ := column.(string)
	at, err := time.Parse(time.DateOnly, text)
	*d = day(at)
	return err
}

// Totals returns the figures of all sites with their former ones. Where no source says how many domains link to a site,
// or how many directories list it, its lists do; a list need not have all of them.
func (k Known) Totals() []standing.Now {
	values := make([]standing.Value, 0, len(k.Figures)+len(k.Lists))
	type counted struct {
		site   string
		figure standing.Figure
	}
	told := map[counted]bool{}
	for _, v := range k.Figures {
		told[counted{v.Site, v.Figure}] = true
	}
	for _, l := range k.Lists {
		figure := standing.Domains
		if l.Kind == OfListings {
			figure = standing.Listings
		}
		if told[counted{l.Site, figure}] {
			continue
		}
		values = append(values, standing.Value{Site: l.Site, Figure: figure, Scope: standing.OfSite,
			Amount: float64(l.Counted),
			Source: l.Source, On: l.On})
	}
	return standing.Newest(append(values, k.Figures...))
}

// Of returns all that was brought of a client, in the order of days.
func Of(tx *store.Tx, client int64) (k Known, err error) {
	k.Figures, err = store.All(tx, func(r store.Scanner, v *standing.Value) error {
		return r.Scan(&v.Site, &v.Figure, &v.Scope, &v.Name, &v.Source, (*day)(&v.On), &v.Scale, &v.Amount)
	}, `SELECT site, figure, scope, name, source, taken_on, scale, value FROM standing_figures WHERE client_id = ?
		ORDER BY taken_on, id`, client)
	if err != nil {
		return k, err
	}
	if k.Lists, err = lists(tx, client); err != nil {
		return k, err
	}
	k.Facts, err = store.All(tx, func(r store.Scanner, f *Fact) error {
		return r.Scan(&f.Site, &f.Field, &f.Source, (*day)(&f.On), &f.Value)
	}, `SELECT site, field, source, taken_on, value FROM standing_facts WHERE client_id = ? ORDER BY taken_on, id`,
		client)
	if err != nil {
		return k, err
	}
	k.Imports, err = store.All(tx, func(r store.Scanner, i *Import) error {
		return r.Scan(&i.ID, &i.Name, &i.Source, (*day)(&i.On))
	}, `SELECT id, name, source, taken_on FROM standing_imports WHERE client_id = ? ORDER BY id DESC`, client)
	if err != nil {
		return k, err
	}
	k.Said, k.Verdicts = map[standing.Ref]Said{}, map[string]backlink.Verdict{}
	type said struct {
		ref standing.Ref
		Said
	}
	parts, err := store.All(tx, func(r store.Scanner, s *said) error {
		return r.Scan(&s.ref.Kind, &s.ref.Key, &s.State, (*kept.Time)(&s.At))
	}, `SELECT kind, part, state, said_at FROM standing_said WHERE client_id = ?`, client)
	for _, s := range parts {
		k.Said[s.ref] = s.Said
	}
	if err != nil {
		return k, err
	}
	type verdict struct {
		domain  string
		verdict backlink.Verdict
	}
	verdicts, err := store.All(tx, func(r store.Scanner, v *verdict) error { return r.Scan(&v.domain, &v.verdict) },
		`SELECT domain, verdict FROM link_verdicts`)
	for _, v := range verdicts {
		k.Verdicts[v.domain] = v.verdict
	}
	return k, err
}

// Import is what was brought at once.
type Import struct {
	ID           int64
	Name, Source string
	On           time.Time
}

// Typed is the import of what was typed: none.
const Typed = 0

// AddImport keeps that something was brought, and returns its id.
func AddImport(tx *store.Tx, client int64, i Import) (id int64, err error) {
	err = tx.Put(client, store.FacetStanding, `INSERT INTO standing_imports (client_id, name, source, taken_on)
		VALUES (?, ?, ?, ?)`, client, i.Name, i.Source, i.On.Format(time.DateOnly))
	if err != nil {
		return 0, err
	}
	return id, tx.One(`SELECT MAX(id) FROM standing_imports WHERE client_id = ?`, []any{client}, &id)
}

// ForgetImport takes back what was brought at once, ErrNotFound if it is gone already.
func ForgetImport(tx *store.Tx, client, id int64) error {
	var name string
	if err := tx.One(`SELECT name FROM standing_imports WHERE client_id = ? AND id = ?`, []any{client, id},
		&name); err != nil {
		return err
	}
	return tx.Put(client, store.FacetStanding, `DELETE FROM standing_imports WHERE client_id = ? AND id = ?`, client,
		id)
}

// of returns an import as a column has it: nothing for what was typed.
func of(id int64) any {
	if id == Typed {
		return nil
	}
	return id
}

// PutFigure keeps a figure beside those of other days and sources.
func PutFigure(tx *store.Tx, client, brought int64, v standing.Value) error {
	return tx.Put(client, store.FacetStanding, `INSERT OR REPLACE INTO standing_figures
		(client_id, site, figure, scope, name, source, taken_on, scale, value, import_id)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		client, v.Site, v.Figure, v.Scope, v.Name, v.Source, v.On.Format(time.DateOnly), v.Scale, v.Amount, of(brought))
}

// ForgetFigure forgets a figure of a day and source.
func ForgetFigure(tx *store.Tx, client int64, v standing.Value) error {
	return tx.Put(client, store.FacetStanding,
		`DELETE FROM standing_figures WHERE client_id = ? AND site = ? AND figure = ?
		AND scope = ? AND name = ? AND source = ? AND taken_on = ?`,
		client, v.Site, v.Figure, v.Scope, v.Name, v.Source, v.On.Format(time.DateOnly))
}

// PutFact keeps a fact of a map profile.
func PutFact(tx *store.Tx, client, brought int64, f Fact) error {
	return tx.Put(client, store.FacetStanding, `INSERT OR REPLACE INTO standing_facts
		(client_id, site, field, source, taken_on, value, import_id) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		client, f.Site, f.Field, f.Source, f.On.Format(time.DateOnly), f.Value, of(brought))
}

// ForgetFact forgets a fact of a day and source.
func ForgetFact(tx *store.Tx, client int64, f Fact) error {
	return tx.Put(client, store.FacetStanding,
		`DELETE FROM standing_facts WHERE client_id = ? AND site = ? AND field = ?
		AND source = ? AND taken_on = ?`, client, f.Site, f.Field, f.Source, f.On.Format(time.DateOnly))
}

// Say keeps what was said of a part; open forgets it.
func Say(tx *store.Tx, client int64, ref standing.Ref, s Said) error {
	if s.State == standing.Open {
		return tx.Put(client, store.FacetStanding,
			`DELETE FROM standing_said WHERE client_id = ? AND kind = ? AND part = ?`,
			client, ref.Kind, ref.Key)
	}
	return tx.Put(client, store.FacetStanding, `INSERT OR REPLACE INTO standing_said (client_id, kind, part, state,
 said_at)
		VALUES (?, ?, ?, ?, ?)`, client, ref.Kind, ref.Key, s.State, kept.Time(s.At))
}

// SayOf keeps what was said of a domain, for all clients; an empty verdict forgets it.
func SayOf(tx *store.Tx, domain string, v backlink.Verdict, at time.Time) error {
	if v == "" {
		return tx.Put(store.Everyone, store.FacetStanding, `DELETE FROM link_verdicts WHERE domain = ?`, domain)
	}
	return tx.Put(store.Everyone, store.FacetStanding, `INSERT OR REPLACE INTO link_verdicts (domain, verdict, said_at)
		VALUES (?, ?, ?)`, domain, v, kept.Time(at))
}

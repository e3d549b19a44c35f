package standings

import (
	"cmp"
	"context"
	"slices"
	"strings"
	"time"

	"inktally/core/backlink"
	"inktally/core/brought"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/core/text"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study/stood"
	"inktally/internal/tables"
	show "inktally/internal/view/stood"
	"inktally/internal/wording/standings"
)

const (
	shownRows    = 8  // of a table that are shown before it is kept
	shownLeftOut = 20 // rows that were left out
)

// Read shows how a file is understood before anything of it is kept: as a person says, nil as it is guessed.
func (s *Standing) Read(ctx context.Context, id int64, name string, body []byte,
	said *show.FigureLayout) (*show.FigureFile, error) {
	k, err := s.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	list, err := tables.Read(body)
	if err != nil {
		return nil, err
	}
	known := stood.SitesOf(k)
	out := &show.FigureFile{Tables: []show.FigureTable{}, Sites: sites(known)}
	most := 0
	for i, t := range list {
		l := brought.Guess(t.Rows)
		if said != nil && said.Table == i {
			l = layoutOf(*said, t.Rows)
		}
		r := reader{sites: known, site: likelySite(name, t.Name, known)}
		if said != nil && said.Table == i {
			r.site = said.Site
		}
		r.take(t.Rows, l)
		out.Tables = append(out.Tables, r.shown(t, l))
		if n := r.kept(); n > most && (said == nil || said.Table == i) {
			out.Use, most = i, n
		}
	}
	return out, nil
}

// layoutOf returns how a person says that a table is read.
func layoutOf(said show.FigureLayout, rows [][]string) brought.Layout {
	l := brought.Layout{Kind: brought.Kind(said.Kind), Heading: max(-1, min(said.Heading, len(rows)-1))}
	for _, c := range said.Columns {
		l.Columns = append(l.Columns, brought.Column(c))
	}
	switch {
	case l.Kind == brought.Pairs:
		for _, row := range rows {
			l.Names = append(l.Names, strings.Join(row[:min(len(row), 1)], ""))
		}
	case l.Heading >= 0:
		l.Names = rows[l.Heading]
	}
	return l
}

// likelySite returns the site whose domain the name of a file or table names, empty for none.
func likelySite(file, table string, known []stood.Site) string {
	for _, s := range known {
		if s.Domain != stood.OwnDomain && strings.Contains(strings.ToLower(file+" "+table), s.Domain) {
			return s.Domain
		}
	}
	return ""
}

// reader sorts what was taken of a table by the sites that it is of.
type reader struct {
	sites []stood.Site
	// site is whose the rows are that do not say.
	site string

	taken    brought.Taken
	leftOut  []brought.LeftOut
	totals   []standing.Value
	facts    []elsewhere.Fact
	links    map[string][]backlink.Row
	listings map[string][]listing.Entry
	// nameless reports whether there are rows that say nothing of whose they are.
	nameless bool
	// domains are the linking sites, of any site.
	domains map[string]bool
}

// siteOf returns the site that a row names, or whose the rows are that do not say; empty for none that is known.
func (r *reader) siteOf(spoken string) string {
	if spoken == "" {
		r.nameless = r.nameless || r.site == ""
		return r.site
	}
	return r.known(spoken)
}

// known returns the site that is meant by a domain, an address, a name or the beginning of one name alone; empty for
// none that is known.
func (r *reader) known(spoken string) string {
	domain := ""
	if !strings.Contains(spoken, " ") {
		domain = domainOf(strings.TrimPrefix(strings.TrimPrefix(spoken, "https://"), "http://"))
	}
	begins := ""
	for _, s := range r.sites {
		switch {
		case domain != "" && s.Domain == domain || listing.SameName(s.Name, spoken):
			return s.Domain
		case beginsWith(s.Name, spoken) && begins == "":
			begins = s.Domain
		case beginsWith(s.Name, spoken):
			return "" // it could be either
		}
	}
	return begins
}

// beginsWith reports whether one of two names begins with the other, of at least two words.
func beginsWith(a, b string) bool {
	x, y := text.Tokens(a), text.Tokens(b)
	n := min(len(x), len(y))
	return n >= 2 && slices.Equal(x[:n], y[:n])
}

// take takes a table and sorts its rows; those of other sites are left out.
func (r *reader) take(rows [][]string, l brought.Layout) {
	r.taken = brought.Take(rows, l)
	r.leftOut = r.taken.LeftOut
	r.links, r.listings, r.domains = map[string][]backlink.Row{}, map[string][]listing.Entry{}, map[string]bool{}
	other := map[string]bool{}
	elseOf := func(spoken string) {
		if spoken == "" {
			r.leftOut = append(r.leftOut, brought.LeftOut{Why: brought.NoSite})
		} else if !other[spoken] {
			other[spoken] = true
			r.leftOut = append(r.leftOut, brought.LeftOut{Text: spoken, Why: brought.SiteElse})
		}
	}
	for _, t := range r.taken.Totals {
		if site := r.siteOf(t.Site); site != "" {
			r.totals = append(r.totals, standing.Value{Site: site, Figure: t.Figure, Scope: t.Scope, Name: t.Name,
				Amount: t.Value, Scale: scaleOf(t.Figure, t.Value), On: t.On})
		} else {
			elseOf(t.Site)
		}
	}
	for _, f := range r.taken.Facts {
		if site := r.siteOf(f.Site); site != "" {
			r.facts = append(r.facts, elsewhere.Fact{Site: site, Field: f.Field, Value: f.Value})
		} else {
			elseOf(f.Site)
		}
	}
	for _, link := range r.taken.Links {
		if site := r.siteOf(link.Target); site != "" {
			r.links[site] = append(r.links[site], link.Row)
			r.domains[link.Domain] = true
		} else {
			elseOf(link.Target)
		}
	}
	r.takeListings(elseOf)
}

// takeListings sorts listings by the businesses that they are of. Rows that name none of those that are known are of
// the one business that all others are of; of a list of several they are left out.
func (r *reader) takeListings(elseOf func(string)) {
	of := make([]string, len(r.taken.Listings))
	named := map[string]bool{}
	for i, e := range r.taken.Listings {
		if of[i] = r.businessOf(e); of[i] != "" {
			named[of[i]] = true
		}
	}
	alone := r.site
	if len(named) == 1 && alone == "" {
		for site := range named {
			alone = site
		}
	}
	for i, e := range r.taken.Listings {
		switch {
		case of[i] != "":
		case e.Site != "":
			elseOf(e.Site)
			continue
		case len(named) > 1 && e.Firm != "":
			elseOf(e.Firm)
			continue
		case alone == "":
			r.nameless = true
			elseOf("")
			continue
		default:
			of[i] = alone
		}
		r.listings[of[i]] = append(r.listings[of[i]], e.Entry)
	}
}

// businessOf returns the site of the business that a listing is of: by the heading of its column, its address or its
// name; empty where it does not say, or says one that is nobody's.
func (r *reader) businessOf(e brought.Entry) string {
	if e.Site != "" {
		return r.known(e.Site)
	}
	if e.Entry.Site != "" {
		if site := r.known(e.Entry.Site); site != "" {
			return site
		}
	}
	return r.known(e.Firm)
}

// kept is how much would be kept.
func (r *reader) kept() int { return len(r.totals) + len(r.facts) + count(r.links) + count(r.listings) }

// count returns how many rows there are of all sites.
func count[T any](rows map[string][]T) (n int) {
	for _, list := range rows {
		n += len(list)
	}
	return n
}

// says tells what would be kept.
func (r *reader) says() string { return finds(r, count(r.links), count(r.listings)) }

func finds(r *reader, links, listings int) string {
	return standings.Finds(len(r.totals), len(r.facts), links, len(r.domains), listings)
}

// shown shows a table as it was read.
func (r *reader) shown(t tables.Table, l brought.Layout) show.FigureTable {
	from := max(0, l.Heading)
	out := show.FigureTable{Name: t.Name, Kind: show.TableKind(l.Kind), Rows: t.Rows[from:min(len(t.Rows),
		from+shownRows+1)],
		Total: len(t.Rows) - l.Heading - 1, Heading: l.Heading, Site: r.site, NeedSite: r.nameless, Finds: r.says(),
		LeftOut: leftOut(r.leftOut), LeftN: len(r.leftOut), Columns: []show.ColumnCode{}, Choices: choices()}
	if l.Kind == brought.Pairs {
		out.Rows = t.Rows[:min(len(t.Rows), len(l.Columns))]
	}
	for _, c := range l.Columns {
		out.Columns = append(out.Columns, show.ColumnCode(c))
	}
	return out
}

func leftOut(list []brought.LeftOut) []show.RowLeftOut {
	out := []show.RowLeftOut{}
	for _, row := range list[:min(len(list), shownLeftOut)] {
		out = append(out, show.RowLeftOut{Line: row.Line, Text: row.Text, Why: standings.LeftOut(row.Why)})
	}
	return out
}

// choices are what the columns of each kind of table can have.
func choices() (out []show.ColumnChoices) {
	for _, k := range brought.Kinds() {
		c := show.ColumnChoices{Kind: show.TableKind(k), Name: standings.TableKind(k), Columns: []show.NamedColumn{}}
		for _, column := range brought.Columns(k) {
			c.Columns = append(c.Columns, show.NamedColumn{Code: show.ColumnCode(column),
				Name: standings.Column(column)})
		}
		out = append(out, c)
	}
	return out
}

// Keep keeps a table of a file as a person says it is read.
func (s *Standing) Keep(ctx context.Context, id int64, name string, body []byte,
	said show.FigureLayout) (*show.FiguresKept, error) {
	on, err := s.day(said.TakenOn)
	if err != nil {
		return nil, err
	}
	list, err := tables.Read(body)
	if err != nil {
		return nil, err
	}
	if said.Table < 0 || said.Table >= len(list) {
		return nil, tables.NoTable.New()
	}
	rows := list[said.Table].Rows
	out := &show.FiguresKept{}
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := s.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		r := reader{sites: stood.SitesOf(k), site: said.Site}
		if said.Site != "" && !slices.ContainsFunc(r.sites, func(o stood.Site) bool { return o.Domain == said.Site }) {
			return store.ErrNotFound
		}
		l := layoutOf(said, rows)
		r.take(rows, l)
		switch {
		case r.kept() == 0 && r.nameless:
			return SiteNeeded.New()
		case r.kept() == 0:
			return NothingKept.New()
		}
		out.Says, out.LeftOut, out.LeftN = r.says(), leftOut(r.leftOut), len(r.leftOut)
		i := elsewhere.Import{Name: cmp.Or(text.Collapse(name), "pasted"), Source: cmp.Or(text.Collapse(said.Source),
			text.Collapse(name), "pasted"), On: on}
		if out.Import, err = elsewhere.AddImport(tx, id, i); err != nil {
			return err
		}
		return r.put(tx, id, out.Import, i)
	})
	if err != nil {
		return nil, err
	}
	out.Standing, err = s.Get(ctx, id)
	return out, err
}

// put keeps what was sorted. A row's own day goes before the import's.
func (r *reader) put(tx *store.Tx, id, at int64, i elsewhere.Import) error {
	day := func(own time.Time) time.Time {
		if own.IsZero() {
			return i.On
		}
		return own
	}
	for _, v := range r.totals {
		v.Source, v.On = i.Source, day(v.On)
		if err := elsewhere.PutFigure(tx, id, at, v); err != nil {
			return err
		}
	}
	there := map[string]bool{}
	for _, f := range r.facts {
		f.Source, f.On = i.Source, i.On
		if !there[f.Site] && f.Field != mapprofile.There { // who has facts of it has a profile
			there[f.Site] = true
			known := elsewhere.Fact{Site: f.Site, Field: mapprofile.There, Value: "yes", Source: i.Source, On: i.On}
			if err := elsewhere.PutFact(tx, id, at, known); err != nil {
				return err
			}
		}
		if err := elsewhere.PutFact(tx, id, at, f); err != nil {
			return err
		}
	}
	for site, rows := range r.links {
		l := elsewhere.List{Site: site, Source: i.Source, On: i.On}
		if err := elsewhere.PutLinks(tx, id, at, l, rows); err != nil {
			return err
		}
	}
	var fields []listing.Field
	for _, f := range listing.Fields() {
		if r.taken.Has[f] {
			fields = append(fields, f)
		}
	}
	for site, rows := range r.listings {
		l := elsewhere.List{Site: site, Source: i.Source, On: i.On, Fields: fields}
		if err := elsewhere.PutListings(tx, id, at, l, rows); err != nil {
			return err
		}
	}
	return nil
}

// Forget takes back what was imported at once.
func (s *Standing) Forget(ctx context.Context, id, at int64) (*show.Standing, error) {
	err := s.DB.Write(ctx, func(tx *store.Tx) error { return elsewhere.ForgetImport(tx, id, at) })
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

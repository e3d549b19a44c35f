// Package sheet is the stop at which the client's page stands beside its
// rivals', measured, with the evidence of every figure. Targets and documents
// are made from the same Comparison.
package sheet

import (
	"context"
	"errors"
	"slices"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/place"
	"inktally/core/reading"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/target"
	"inktally/core/yardstick"
	"inktally/internal/app/client"
	"inktally/internal/app/readings"
	"inktally/internal/app/surveys"
	"inktally/internal/store"
	"inktally/internal/wording"
)

// Sheet measures pages.
type Sheet struct {
	DB       *store.DB
	Readings *readings.Readings
	Surveys  *surveys.Surveys

	columns columns
}

// Comparison is one page of a client beside the pages of its rivals.
type Comparison struct {
	*client.Known
	Page store.Page
	// Families are those that the book gives to the page, in order of gain.
	Families []book.Family
	// Members are the further members of their rows, by key.
	Members  map[string][]book.Member
	Criteria *sheet.Criteria
	Client   *Side
	Rivals   []*Side // in the order of the lineup, those not read too
	// Draft is the draft of the page that was kept last, nil for none.
	Draft *Side
	// Aim is what the page's targets are worked out from, Words its word target.
	Aim   target.Page
	Words target.WordTarget
	// Have are the rivals that have a page like it, Sites those whose sites are known.
	Have, Sites int

	told []place.Place // that the page names, before one was entered
}

// Side is a page in a comparison: the client's or a rival's.
type Side struct {
	Entry   store.Entry // of a rival
	Beside  client.BesidePage
	Name    string
	URL     string
	Reading *store.Reading
	Column  *sheet.Column // nil if the page was not read
	Own     *int          // copy words that its site does not repeat, nil if it was not surveyed
	Failed  *fault.Fault  // why the last attempt to read it failed, nil if it did not
	Mode    reading.Mode  // how it is to be read
}

// loaded is what comparisons need of the store.
type loaded struct {
	known    *client.Known
	families []book.Family
	byKey    map[string]*book.Family
	latest   map[string]store.Reading
	failures map[string]*fault.Fault
	modes    map[string]store.ReadMode
	beside   *client.Beside
	said     string // names all that the client's phrases are read with
	topics   topics
}

// Compare loads and measures a page of a client and its rivals.
func (s *Sheet) Compare(ctx context.Context, id, pageID int64) (*Comparison, error) {
	var page store.Page
	l, err := s.load(ctx, id, func(tx *store.Tx) (err error) {
		page, err = tx.Page(id, pageID)
		return err
	})
	if err != nil {
		return nil, err
	}
	c, err := s.compare(ctx, l, page, l.known.Shown(l.families, pageID))
	if err != nil {
		return nil, err
	}
	return c, s.draft(ctx, c, l)
}

// DraftEntry is the entry of the column of a page's draft.
const DraftEntry = -1

// draft measures the draft of the page that was kept last.
func (s *Sheet) draft(ctx context.Context, c *Comparison, l *loaded) error {
	key := store.DraftKey(c.Aim.Key)
	if formerly := store.DraftKey(c.Aim.Formerly); c.Aim.Formerly != "" && l.latest[formerly].ID > l.latest[key].ID {
		key = formerly
	}
	if _, kept := l.latest[key]; !kept {
		return nil
	}
	side, err := s.side(ctx, c, l, key)
	if err != nil {
		return err
	}
	side.URL, side.Name, side.Entry.ID = "", "Draft", DraftEntry
	c.Draft = side
	return nil
}

// load loads what comparisons of a client need, and more in the same transaction.
func (s *Sheet) load(ctx context.Context, id int64, more func(*store.Tx) error) (*loaded, error) {
	if err := s.Surveys.Refresh(ctx, id); err != nil {
		return nil, err
	}
	l := &loaded{}
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if err = more(tx); err != nil {
			return err
		}
		if l.known, err = client.Load(tx, id); err != nil {
			return err
		}
		if l.latest, err = tx.LatestReadings(id); err != nil {
			return err
		}
		if l.failures, err = tx.Failures(id); err != nil {
			return err
		}
		if l.modes, err = tx.ReadModes(id); err != nil {
			return err
		}
		l.beside, err = client.LoadBeside(tx, l.known)
		return err
	})
	if err != nil {
		return nil, err
	}
	l.read()
	return l, nil
}

// read works out the families of the client and what goes by them.
func (l *loaded) read() {
	l.families = l.known.AllFamilies()
	l.byKey = book.ByKey(l.families)
	l.said = l.known.ReadWith()
	l.topics = topicsOf(l.known, l.families)
}

// as is what was loaded with other figures.
func (l *loaded) as(y yardstick.Yardstick) *loaded {
	out := *l
	out.known = l.known.As(y)
	out.beside = l.beside.As(out.known)
	out.read()
	return &out
}

// compare measures a page with its families and its rivals.
func (s *Sheet) compare(ctx context.Context, l *loaded, page store.Page, families []book.Family) (*Comparison, error) {
	c := &Comparison{Known: l.known, Page: page, Families: families, Members: map[string][]book.Member{}}
	for _, f := range c.Families {
		c.Members[f.Key] = l.known.Members(&f, l.byKey)
	}
	c.ask(l, &s.columns)
	var err error
	if c.Client, err = s.side(ctx, c, l, client.ReadingKey(page)); err != nil {
		return nil, err
	}
	c.Client.Name, c.Client.URL = c.Known.Client.Name, page.URL
	for _, b := range l.beside.Of(page) {
		side, err := s.side(ctx, c, l, b.URL)
		if err != nil {
			return nil, err
		}
		side.Entry, side.Name, side.Beside = b.Entry, b.Entry.Name, b
		c.Rivals = append(c.Rivals, side)
	}
	c.Have, c.Sites = client.Have(l.beside.Of(page))
	c.aim(l)
	return c, nil
}

// side measures the page that is kept under an address.
func (s *Sheet) side(ctx context.Context, c *Comparison, l *loaded, key string) (*Side, error) {
	side := &Side{URL: key, Failed: l.failures[key], Mode: l.modes[key].Mode}
	r, ok := l.latest[key]
	if !ok || key == "" {
		return side, nil
	}
	p, err := s.Readings.Page(ctx, r)
	if errors.Is(err, store.ErrDamaged) { // the others can still be compared
		side.Failed = fault.New(fault.KeptPageUnreadable).Because(err)
		return side, nil
	}
	if err != nil {
		return nil, err
	}
	side.Reading, side.Column = &r, s.columns.measure(r.ID, p, c.Criteria)
	if of, surveyed := l.beside.Site(key); surveyed {
		i := slices.IndexFunc(of.Pages, func(p store.SitePage) bool { return site.SameAddress(p.URL, key) })
		if i >= 0 {
			side.Own = &of.Pages[i].Own
		}
	}
	return side, nil
}

// ask makes the criteria that the pages are measured by.
func (c *Comparison) ask(l *loaded, columns *columns) {
	asked := sheet.Asked{Language: c.Language(), Place: c.Home(), PlacesBound: c.Page.Kind.ForOneSubject()}
	for _, p := range c.Places {
		if p.Name == c.Page.Place {
			asked.Place = p
		}
	}
	for _, service := range c.Services {
		asked.Services = append(asked.Services, service.Forms()...)
	}
	for _, f := range c.Families {
		for _, m := range f.Members {
			asked.Phrases = append(asked.Phrases, m.Text)
		}
	}
	for _, f := range c.Families { // behind them, so that the families of the criteria begin with the page's
		for _, m := range c.Members[f.Key] {
			if m.Also {
				asked.Phrases = append(asked.Phrases, m.Text)
			}
		}
	}
	c.Criteria = columns.criteria(l.said, asked)
}

// Counted are the rivals whose pages count: those that were read whole and are
// comparable (rule 6.3), in the order of the word target's indices.
func (c *Comparison) Counted() []*Side {
	var out []*Side
	for _, r := range c.Rivals {
		if r.Column != nil && reading.FactsOf(r.Column.Page).Whole() && c.Like(r) {
			out = append(out, r)
		}
	}
	return out
}

// Like tells whether a rival's page is comparable with the client's: what a person
// or a survey said it is, else by its address.
func (c *Comparison) Like(r *Side) bool { return r.Beside.Counts(c.Page.Kind) }

// Display writes a phrase as it would stand in a text: places with their
// capitals, its first letter large.
func (c *Comparison) Display(phrase string) string {
	return place.Capitals(phrase, c.named(), true)
}

// named are the places that are written with capitals: the client's, and before
// any was entered the one that its page names.
func (c *Comparison) named() []place.Place {
	if len(c.Places) > 0 || c.Client.Column == nil || len(c.Families) == 0 {
		return c.Places
	}
	if c.told == nil {
		town := site.ProfileOf(c.Client.Column.Page, c.Families[0].Lead().Text).Town
		c.told = []place.Place{town}
	}
	return c.told
}

// counted are the names of the rivals that count, with their words.
func (c *Comparison) counted() (names []string, words []int) {
	for _, r := range c.Counted() {
		names = append(names, r.Name)
		words = append(words, r.Column.Page.Words.Seen)
	}
	return names, words
}

// WordCase is what the evidence of the word target speaks of.
func (c *Comparison) WordCase() wording.WordCase {
	w := wording.WordCase{HasPage: c.Client.Column != nil, HasURL: c.Page.URL != ""}
	if w.HasPage {
		w.Seen = c.Client.Column.Page.Words.Seen
	}
	w.Names, w.Words = c.counted()
	return w
}

// entry finds a side by its rival's lineup entry, the client's for 0, its draft by
// DraftEntry.
func (c *Comparison) entry(id int64) (*Side, error) {
	switch {
	case id == 0:
		return c.Client, nil
	case id == DraftEntry && c.Draft != nil:
		return c.Draft, nil
	}
	for _, r := range c.Rivals {
		if r.Entry.ID == id {
			return r, nil
		}
	}
	return nil, store.ErrNotFound
}

// readSide loads the comparison of a page and the one of its sides that is asked
// for, the client's for entry 0. It must have been read.
func (s *Sheet) readSide(ctx context.Context, id, pageID, entry int64) (*Comparison, *Side, error) {
	c, err := s.Compare(ctx, id, pageID)
	if err != nil {
		return nil, nil, err
	}
	side, err := c.entry(entry)
	if err == nil && side.Column == nil {
		err = fault.New(fault.PageNotReadYet)
	}
	return c, side, err
}

package study

import (
	"context"
	"errors"
	"slices"
	"sync"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/place"
	"inktally/core/plan"
	"inktally/core/profile"
	"inktally/core/reading"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/wordtarget"
	"inktally/internal/store"
	"inktally/internal/study/measured"
	"inktally/internal/study/part"
)

// Comparison is one page of a client beside the pages of its rivals. It is shared and never
// changed.
type Comparison struct {
	*Known
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
	Aim   plan.Aim
	Words wordtarget.Target
	// Have are the rivals that have a page like it, Sites those whose sites are known.
	Have, Sites int
	// Named are the places that are written with capitals: the client's, and before any was
	// entered the one that its page names.
	Named []place.Place

	aimed   sync.Once
	targets []plan.Target
}

// Side is a page in a comparison: the client's or a rival's.
type Side struct {
	Entry   store.Entry // of a rival
	Beside  BesidePage
	Name    string
	URL     string
	Reading *store.Reading
	Column  *sheet.Column // nil if the page was not read
	Own     *int          // copy words that its site does not repeat, nil if it was not surveyed
	Failed  *fault.Fault  // why the last attempt to read it failed, nil if it did not
	Mode    reading.Mode  // how it is to be read
}

// DraftEntry is the entry of the column of a page's draft.
const DraftEntry = -1

// Page returns a page of the client, store.ErrNotFound if it has no such page.
func (k *Known) Page(id int64) (store.Page, error) {
	i := slices.IndexFunc(k.Pages, func(p store.Page) bool { return p.ID == id })
	if i < 0 {
		return store.Page{}, store.ErrNotFound
	}
	return k.Pages[i], nil
}

// Compare measures a page of a client and its rivals, store.ErrNotFound if it has no such
// page.
func (k *Known) Compare(ctx context.Context, pageID int64) (*Comparison, error) {
	p, err := k.Page(pageID)
	if err != nil {
		return nil, err
	}
	return k.compare(ctx, p, k.Shown(pageID))
}

// compare measures a page with its families and its rivals, once.
func (k *Known) compare(ctx context.Context, p store.Page, families []book.Family) (*Comparison, error) {
	key := PageKey(p)
	k.mu.Lock()
	made, ok := k.pages[key]
	if !ok {
		made = &part.Of[*Comparison]{}
		k.pages[key] = made
	}
	k.mu.Unlock()
	return made.Get(ctx, func(ctx context.Context) (*Comparison, error) { return k.measure(ctx, key, p, families) })
}

func (k *Known) measure(ctx context.Context, key string, p store.Page, families []book.Family) (*Comparison, error) {
	c := &Comparison{Known: k, Page: p, Families: families, Members: map[string][]book.Member{}}
	for _, f := range c.Families {
		c.Members[f.Key] = k.Members(&f)
	}
	beside, err := k.Beside(ctx)
	if err != nil {
		return nil, err
	}
	by := k.columns.Page(key, c.asked())
	c.Criteria = by.Criteria
	if c.Client, err = k.side(ctx, beside, by, ReadingKey(p)); err != nil {
		return nil, err
	}
	c.Client.Name, c.Client.URL = k.Client.Name, p.URL
	list := beside.Of(p)
	for _, b := range list {
		side, err := k.side(ctx, beside, by, b.URL)
		if err != nil {
			return nil, err
		}
		side.Entry, side.Name, side.Beside = b.Entry, b.Entry.Name, b
		c.Rivals = append(c.Rivals, side)
	}
	c.Have, c.Sites = Have(list)
	c.Named = c.named()
	c.aim()
	return c, c.draft(ctx, beside, by)
}

// draft measures the draft of the page that was kept last, before the page was made too.
func (c *Comparison) draft(ctx context.Context, beside *Beside, by *measured.Columns) error {
	kept := c.OwnDrafts()
	if len(kept) == 0 {
		return nil
	}
	side := &Side{Name: "Draft", Entry: store.Entry{ID: DraftEntry}}
	c.Draft = side
	return c.Known.fill(ctx, beside, by, side, kept[0].Reading)
}

// OwnDrafts returns the drafts of the page, the newest first, those from before it was made too.
func (c *Comparison) OwnDrafts() (out []store.Draft) {
	for _, d := range c.Drafts {
		if d.ToMake == nil && d.PageID == c.Page.ID || d.ToMake != nil && c.Page.Kind.ForOneSubject() &&
			Purpose(*d.ToMake) == Purpose(c.Page) {
			out = append(out, d)
		}
	}
	return out
}

// side measures the page that is kept under an address.
func (k *Known) side(ctx context.Context, beside *Beside, by *measured.Columns, key string) (*Side, error) {
	side := &Side{URL: key, Failed: k.Failures[key], Mode: k.Modes[key].Mode}
	r, ok := k.Latest[key]
	if !ok || key == "" {
		return side, nil
	}
	return side, k.fill(ctx, beside, by, side, r)
}

// fill measures the page of a reading.
func (k *Known) fill(ctx context.Context, beside *Beside, by *measured.Columns, side *Side, r store.Reading) error {
	if err := ctx.Err(); err != nil { // nobody waits for it any more
		return err
	}
	p, err := k.from.Pages.Page(ctx, r)
	if errors.Is(err, store.ErrDamaged) { // the others can still be compared
		side.Failed = fault.KeptPageUnreadable.New().Because(err)
		return nil
	}
	if err != nil {
		return err
	}
	k.hold(r.ID, p.Size())
	side.Reading, side.Column = &r, by.Measure(r.ID, p, func() { k.from.made.Columns.Add(1) })
	if of, surveyed := beside.Site(side.URL); surveyed {
		i := slices.IndexFunc(of.Tree.Pages, func(p site.Surveyed) bool { return site.SameAddress(p.URL, side.URL) })
		if i >= 0 {
			side.Own = &of.Tree.Pages[i].Own
		}
	}
	return nil
}

// asked returns what the page and its rivals' are measured by.
func (c *Comparison) asked() sheet.Asked {
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
	return asked
}

// Counted returns the rivals whose pages count: those that were read whole and are
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

// Like reports whether a rival's page is comparable with the client's: what a person
// or a survey said it is, else by its address.
func (c *Comparison) Like(r *Side) bool { return r.Beside.Counts(c.Page.Kind) }

// Display writes a phrase as it would stand in a text: places with their
// capitals, its first letter large.
func (c *Comparison) Display(phrase string) string { return place.Capitals(phrase, c.Named, true) }

func (c *Comparison) named() []place.Place {
	if len(c.Places) > 0 || c.Client.Column == nil || len(c.Families) == 0 {
		return c.Places
	}
	return []place.Place{profile.Of(c.Client.Column.Page, c.Families[0].Lead().Text).Town}
}

// Entry finds a side by its rival's lineup entry, the client's for 0, its draft by
// DraftEntry.
func (c *Comparison) Entry(id int64) (*Side, error) {
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

// Package measured keeps the criteria by which the pages of a client are measured, with what was
// measured by them. A reading never changes, so that what was measured by the same criteria is
// the same. In go what is asked of a page and pages of readings; out come columns (rule 3).
package measured

import (
	"maps"
	"slices"
	"sync"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"
)

// Pages are the measured pages of a client, those of its rivals beside them. It is safe for
// concurrent use.
type Pages struct {
	mu  sync.Mutex
	of  map[string]*Columns // by the key of the client's page
	had map[string]*Columns
}

// Columns are the criteria of a page of the client with what was measured by them.
type Columns struct {
	Criteria *sheet.Criteria
	asked    sheet.Asked
	compile  sync.Once
	after    *Columns // that it takes over from

	mu      sync.Mutex
	columns map[int64]figures // by reading
	had     map[int64]figures
}

// After returns pages that take over what was measured of others where the same is asked. Both
// must be read with the same language.
func After(had *Pages) *Pages {
	had.mu.Lock()
	defer had.mu.Unlock()
	out := &Pages{had: map[string]*Columns{}}
	maps.Copy(out.had, had.had)
	maps.Copy(out.had, had.of)
	return out
}

// figures are a column without its page.
type figures struct {
	phrases, families []sheet.Placement
	verdicts          []imagename.Verdict
}

// Page returns the criteria of a page of the client by its key, those that it was measured by
// before where the same is asked.
func (c *Pages) Page(key string, asked sheet.Asked) *Columns {
	m := c.page(key, asked)
	m.ready() // for which pages of other keys do not wait
	return m
}

// ready makes the criteria of a page, once.
func (m *Columns) ready() {
	m.compile.Do(func() {
		if m.after == nil {
			m.Criteria = sheet.NewCriteria(m.asked)
			return
		}
		m.after.ready()
		m.Criteria = m.after.Criteria
		m.after.mu.Lock()
		m.had = maps.Clone(m.after.columns)
		m.after.mu.Unlock()
		m.after = nil
	})
}

// page returns the place of a page.
func (c *Pages) page(key string, asked sheet.Asked) *Columns {
	c.mu.Lock()
	defer c.mu.Unlock()
	if m, ok := c.of[key]; ok {
		return m
	}
	m := &Columns{asked: asked, columns: map[int64]figures{}}
	if had := c.had[key]; had != nil && sameAsked(had.asked, asked) {
		m.after = had
	}
	if c.of == nil {
		c.of = map[string]*Columns{}
	}
	c.of[key] = m
	delete(c.had, key)
	return m
}

// sameAsked reports whether the same is asked with the same language.
func sameAsked(a, b sheet.Asked) bool {
	return slices.Equal(a.Phrases, b.Phrases) && slices.Equal(a.Services, b.Services) &&
		a.PlacesBound == b.PlacesBound && samePlace(a, b)
}

func samePlace(a, b sheet.Asked) bool {
	return a.Place.Name == b.Place.Name && a.Place.State == b.Place.State && a.Place.Home == b.Place.Home &&
		slices.Equal(a.Place.Spellings, b.Place.Spellings)
}

// Measure measures the page of a reading, once; made is told of one that was not measured
// before.
func (m *Columns) Measure(reading int64, p *page.Page, made func()) *sheet.Column {
	m.mu.Lock()
	defer m.mu.Unlock()
	kept, ok := m.columns[reading]
	if !ok {
		kept, ok = m.had[reading]
	}
	if !ok {
		c := sheet.Measure(p, m.Criteria)
		kept = figures{c.Phrases, c.Families, c.Verdicts}
		made()
	}
	m.columns[reading] = kept
	return &sheet.Column{Page: p, Criteria: m.Criteria, Phrases: kept.phrases, Families: kept.families,
		Verdicts: kept.verdicts}
}

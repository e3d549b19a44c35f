package sheet

import (
	"crypto/sha256"
	"encoding/json"
	"sync"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"

	"github.com/hashicorp/golang-lru/v2/simplelru"
)

// How many criteria and measured pages are kept at hand.
const (
	maxCriteria = 1 << 10
	maxColumns  = 1 << 11
)

// columns keeps criteria and what was measured by them: a reading never changes, and a
// plan asks for all pages of a client again and again. The pages themselves are not held
// by it: they have a cache of their own, which is bounded in bytes.
type columns struct {
	mu       sync.Mutex
	compiled *simplelru.LRU[[32]byte, *sheet.Criteria]
	measured *simplelru.LRU[columnKey, figures]
}

type columnKey struct {
	reading  int64
	criteria *sheet.Criteria
}

// figures are a column without its page.
type figures struct {
	phrases, families []sheet.Placement
	verdicts          []imagename.Verdict
}

// criteria compiles criteria, once for all that asks the same; said names what phrases
// are read with.
func (c *columns) criteria(said string, asked sheet.Asked) *sheet.Criteria {
	raw, err := json.Marshal([]any{said, asked.Phrases, asked.Services, asked.Place, asked.PlacesBound})
	if err != nil {
		return sheet.NewCriteria(asked)
	}
	key := sha256.Sum256(raw)
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.compiled == nil {
		c.compiled, _ = simplelru.NewLRU[[32]byte, *sheet.Criteria](maxCriteria, nil)
		c.measured, _ = simplelru.NewLRU[columnKey, figures](maxColumns, nil)
	}
	if kept, ok := c.compiled.Get(key); ok {
		return kept
	}
	made := sheet.NewCriteria(asked)
	c.compiled.Add(key, made)
	return made
}

// measure measures the page of a reading by criteria, once.
func (c *columns) measure(reading int64, p *page.Page, by *sheet.Criteria) *sheet.Column {
	key := columnKey{reading, by}
	c.mu.Lock()
	kept, ok := c.measured.Get(key)
	c.mu.Unlock()
	if ok {
		return &sheet.Column{Page: p, Criteria: by, Phrases: kept.phrases, Families: kept.families, Verdicts: kept.verdicts}
	}
	m := sheet.Measure(p, by)
	c.mu.Lock()
	c.measured.Add(key, figures{m.Phrases, m.Families, m.Verdicts})
	c.mu.Unlock()
	return m
}

package page

import "sync"

// cachedSheets bounds the parsed sheets that are kept.
const cachedSheets = 64

// SheetCache keeps parsed style sheets, since the pages of a site share
// theirs. A nil cache keeps none. It is safe for concurrent use.
type SheetCache struct {
	mu     sync.Mutex
	sheets map[string]*sheet // by source
	order  []string
}

// parse returns a sheet by its source.
func (c *SheetCache) parse(source string) *sheet {
	if c == nil {
		return parseSheet(source)
	}
	c.mu.Lock()
	s, ok := c.sheets[source]
	c.mu.Unlock()
	if ok {
		return s
	}
	s = parseSheet(source)
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.sheets == nil {
		c.sheets = map[string]*sheet{}
	}
	if len(c.order) == cachedSheets {
		delete(c.sheets, c.order[0])
		c.order = c.order[1:]
	}
	if _, ok := c.sheets[source]; !ok {
		c.sheets[source] = s
		c.order = append(c.order, source)
	}
	return s
}

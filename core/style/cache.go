package style

import "sync"

// cachedSheets bounds the parsed sheets that are kept.
const cachedSheets = 64

// Cache keeps parsed style sheets, since the pages of a site share
// theirs. A nil cache keeps none. It is safe for concurrent use.
type Cache struct {
	mu     sync.Mutex
	sheets map[string]*Sheet // by source
	order  []string
}

// Parse returns a sheet by its source.
func (c *Cache) Parse(source string) *Sheet {
	if c == nil {
		return Parse(source)
	}
	c.mu.Lock()
	s, ok := c.sheets[source]
	c.mu.Unlock()
	if ok {
		return s
	}
	s = Parse(source)
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.sheets == nil {
		c.sheets = map[string]*Sheet{}
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

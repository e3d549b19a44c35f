package style

import "sync"

// cachedBytes bounds the sources of the parsed sheets that are kept.
const cachedBytes = 8 << 20

// Cache keeps parsed style sheets, since the pages of a site share theirs. A
// nil cache keeps none. It is safe for concurrent use.
type Cache struct {
	mu     sync.Mutex
	sheets map[string]*Sheet // by source
	order  []string          // the oldest first
	bytes  int
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
	if have, ok := c.sheets[source]; ok {
		return have
	}
	c.sheets[source] = s
	c.order = append(c.order, source)
	c.bytes += len(source)
	for c.bytes > cachedBytes {
		c.bytes -= len(c.order[0])
		delete(c.sheets, c.order[0])
		c.order = c.order[1:]
	}
	return s
}

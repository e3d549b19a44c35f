package readings

import (
	"cmp"
	"sync"

	"inktally/core/page"

	"github.com/hashicorp/golang-lru/v2/simplelru"
)

// maxCached bounds the memory of the pages that are kept at hand, in bytes.
const maxCached = 256 << 20

// cache keeps the pages of readings, since a reading never changes. The page
// that was used least recently goes first.
type cache struct {
	mu    sync.Mutex
	pages *simplelru.LRU[int64, *page.Page]
	bytes int
	most  int // bytes; 0 is maxCached
}

func (c *cache) get(id int64) *page.Page {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.pages == nil {
		return nil
	}
	p, _ := c.pages.Get(id)
	return p
}

func (c *cache) put(id int64, p *page.Page) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.pages == nil {
		c.pages, _ = simplelru.NewLRU(1<<20, func(_ int64, gone *page.Page) { c.bytes -= gone.Size() })
	}
	if c.pages.Contains(id) {
		return
	}
	c.pages.Add(id, p)
	for c.bytes += p.Size(); c.bytes > cmp.Or(c.most, maxCached) && c.pages.Len() > 1; {
		c.pages.RemoveOldest()
	}
}

// clear forgets all pages.
func (c *cache) clear() {
	c.mu.Lock()
	defer c.mu.Unlock()
	c.pages, c.bytes = nil, 0
}

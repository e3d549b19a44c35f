package readings

import (
	"strings"
	"testing"

	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

// The cache forgets what was used least recently, and holds no more than its
// bytes.
func TestCacheForgetsTheLeastRecent(t *testing.T) {
	p := page.Read([]byte("<p>"+strings.Repeat("word ", 1000)), page.Source{})
	c := cache{most: 3 * p.Size()}
	for id := int64(1); id <= 3; id++ {
		c.put(id, p)
	}
	assert.NotNil(t, c.get(1), "used again")
	c.put(4, p)
	assert.NotNil(t, c.get(1))
	assert.Nil(t, c.get(2), "the one that nobody used")
	assert.NotNil(t, c.get(3))
	assert.Equal(t, 3*p.Size(), c.bytes)
	c.put(4, p)
	assert.Equal(t, 3*p.Size(), c.bytes, "the same page once")

	large := cache{most: 1}
	large.put(1, p)
	assert.NotNil(t, large.get(1), "one page is always at hand")
	large.put(2, p)
	assert.Nil(t, large.get(1))
	c.clear()
	assert.Nil(t, c.get(1))
	assert.Zero(t, c.bytes)
}

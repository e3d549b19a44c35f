package fetch

import (
	"io"
	"sync/atomic"
)

// Budget bounds what several answers may hold together, unpacked. It is counted while bytes
// come in, over all that come in at the same time.
type Budget struct{ left atomic.Int64 }

// NewBudget returns a budget of so many bytes.
func NewBudget(bytes int64) *Budget {
	b := &Budget{}
	b.left.Store(bytes)
	return b
}

// Spent reports whether there is nothing left.
func (b *Budget) Spent() bool { return b != nil && b.left.Load() < 0 }

// reader reads from the budget; it fails with tooLarge when that is spent.
func (b *Budget) reader(r io.Reader) io.Reader {
	if b == nil {
		return r
	}
	return budgeted{r, b}
}

type budgeted struct {
	r io.Reader
	b *Budget
}

func (r budgeted) Read(p []byte) (int, error) {
	n, err := r.r.Read(p)
	if r.b.left.Add(-int64(n)) < 0 {
		return 0, tooLarge()
	}
	return n, err
}

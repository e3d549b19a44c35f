package part

import (
	"context"
	"errors"
	"sync"
	"sync/atomic"
	"testing"

	"github.com/stretchr/testify/assert"
)

// A part is made once however many ask, again where it could not be made, and to the end where
// who asked gave up.
func TestPart(t *testing.T) {
	var p Of[int]
	var times atomic.Int32
	broken := errors.New("broken")
	_, err := p.Get(context.Background(), func(context.Context) (int, error) { return 0, broken })
	assert.ErrorIs(t, err, broken)
	gaveUp, giveUp := context.WithCancel(context.Background())
	giveUp()
	var all sync.WaitGroup
	for range 16 {
		all.Go(func() {
			n, err := p.Get(gaveUp, func(ctx context.Context) (int, error) {
				times.Add(1)
				return 7, ctx.Err()
			})
			assert.NoError(t, err)
			assert.Equal(t, 7, n)
		})
	}
	all.Wait()
	assert.EqualValues(t, 1, times.Load())
}

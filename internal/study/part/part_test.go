package part

import (
	"context"
	"errors"
	"sync"
	"sync/atomic"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A part is made once however many ask, and again where it could not be made.
func TestPart(t *testing.T) {
	var p Of[int]
	var times atomic.Int32
	broken := errors.New("broken")
	_, err := p.Get(t.Context(), func(context.Context) (int, error) { return 0, broken })
	assert.ErrorIs(t, err, broken)
	assert.Panics(t, func() {
		_, _ = p.Get(t.Context(), func(context.Context) (int, error) { panic("a mistake") })
	}, "whoever asks is told of it")
	var all sync.WaitGroup
	for range 16 {
		all.Go(func() {
			n, err := p.Get(t.Context(), func(ctx context.Context) (int, error) {
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

// Who gives up does not keep a part from the others; where all have left it is not made any further, and made anew for
// who asks next.
func TestWhoLeaves(t *testing.T) {
	var p Of[int]
	begun, goOn := make(chan struct{}, 2), make(chan struct{})
	work := func(ctx context.Context) (int, error) {
		begun <- struct{}{}
		select {
		case <-goOn:
			return 7, nil
		case <-ctx.Done():
			return 0, ctx.Err()
		}
	}
	ask := func(ctx context.Context) chan error {
		out := make(chan error, 1)
		go func() { _, err := p.Get(ctx, work); out <- err }()
		return out
	}
	first, leave := context.WithCancel(t.Context())
	left := ask(first)
	<-begun
	stays := ask(t.Context())
	waiting := func() int { p.mu.Lock(); defer p.mu.Unlock(); return p.under.waiting }
	for waiting() < 2 {
		continue
	}
	leave()
	assert.ErrorIs(t, <-left, context.Canceled)
	goOn <- struct{}{}
	assert.NoError(t, <-stays)

	p = Of[int]{}
	first, leave = context.WithCancel(t.Context())
	left = ask(first)
	<-begun
	abandoned := p.under
	leave()
	assert.ErrorIs(t, <-left, context.Canceled)
	<-abandoned.done
	require.ErrorIs(t, abandoned.err, context.Canceled, "it ends with who asked for it")
	again := ask(t.Context())
	<-begun
	goOn <- struct{}{}
	assert.NoError(t, <-again)
}

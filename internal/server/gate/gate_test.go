package gate

import (
	"context"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// The right token is let in; an address that guesses waits longer each time, others do not, and in the end it is
// forgiven.
func TestGuesses(t *testing.T) {
	clock := time.Date(2026, 11, 1, 9, 0, 0, 0, time.UTC)
	g := New(Sum("secret"))
	g.now = func() time.Time { return clock }
	assert.False(t, g.Open())
	assert.True(t, New(nil).Open())
	ctx := t.Context()
	assert.True(t, g.Fits(ctx, "a", "secret"))
	for range free {
		assert.Zero(t, g.wait("a"))
		assert.False(t, g.Fits(ctx, "a", "guess"))
	}
	assert.Equal(t, first, g.wait("a"))
	assert.False(t, g.Fits(ctx, "a", "guess"))
	assert.Equal(t, 2*first, g.wait("a"))
	assert.Zero(t, g.wait("b"))
	for range 20 {
		g.note("a", false)
	}
	assert.Equal(t, longest, g.wait("a"))
	left, leave := context.WithCancel(ctx)
	leave()
	assert.False(t, g.Fits(left, "a", "secret"), "who left is not let in")
	clock = clock.Add(forgiven + time.Second)
	assert.Zero(t, g.wait("a"))
	assert.True(t, g.Fits(ctx, "a", "secret"))
	assert.False(t, g.Fits(ctx, "c", ""), "no token is no guess")
	assert.Empty(t, g.wrong["c"])
	for i := range 2 * mostKept {
		g.note(string(rune(i)), false)
	}
	assert.LessOrEqual(t, len(g.wrong), mostKept)
}

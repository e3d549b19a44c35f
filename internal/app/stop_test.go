package app_test

import (
	"context"
	"fmt"
	"math/rand/v2"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"inktally/internal/fetch"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// nthAsked is a web that lets somebody know when it is asked for the page of a number.
type nthAsked struct {
	*web
	left  atomic.Int64
	asked chan struct{}
}

func (c *nthAsked) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	if c.left.Add(-1) == 0 {
		c.asked <- struct{}{}
	}
	return c.web.Get(ctx, r)
}

// A run that is stopped, at whatever moment, waits to go on: no page of it failed, for none did.
func TestStoppedRunsNeverFail(t *testing.T) {
	w := &nthAsked{web: &web{pages: map[string]string{"http://brindle.example/": words(5)}},
		asked: make(chan struct{}, 1)}
	var rivals []string
	for i := range 5 {
		address := fmt.Sprintf("http://rival%d.example/", i)
		w.pages[address] = words(i)
		rivals = append(rivals, address)
	}
	a, _ := openOver(t, w)
	client, _ := newClient(t, a, sweep, strings.Join(rivals, " "))
	stopped := 0
	for range 200 {
		w.left.Store(1 + rand.Int64N(4))
		run, err := a.Runs.Measure(ctx, client)
		require.NoError(t, err)
		<-w.asked
		_, err = a.Runs.Stop(ctx, client, run.ID)
		require.NoError(t, err)
		r := ended(t, a, client)
		require.Empty(t, failed(r))
		if r.State == "stopped" {
			stopped++
		}
	}
	assert.Greater(t, stopped, 100, "too few were stopped under way for this to show anything")
}

func failed(r view.Run) (out []view.RunItem) {
	for _, i := range r.Items {
		if i.State == "failed" {
			out = append(out, i)
		}
	}
	return out
}

// What nobody waits for any more is not worked out any further, and is there in whole for who asks next.
func TestNobodyWaits(t *testing.T) {
	const pages = 60
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	for i := range pages {
		p, err := a.Ground.AddPage(ctx, client,
			view.PageDraft{Kind: "about", URL: fmt.Sprintf("http://brindle.example/%d", i)})
		require.NoError(t, err)
		_, err = a.Readings.Paste(ctx, client, p.ID, 0, "<p>"+words(10_000+i))
		require.NoError(t, err)
	}
	made := func() int64 { return a.Studies.Made().Columns.Load() }
	before := made()
	leaving, leave := context.WithCancel(ctx)
	left := make(chan error, 1)
	go func() { _, err := a.Sheet.Overview(leaving, client); left <- err }()
	for made() == before {
		continue
	}
	leave()
	require.ErrorIs(t, <-left, context.Canceled)
	last := int64(-1)
	require.Eventually(t, func() bool {
		had := last
		last = made()
		return last == had
	}, time.Minute, 200*time.Millisecond)
	assert.Less(t, last-before, int64(pages))
	all, err := a.Sheet.Overview(ctx, client)
	require.NoError(t, err)
	assert.GreaterOrEqual(t, len(all.Rows), pages)
	assert.EqualValues(t, pages, made()-before, "each once")
}

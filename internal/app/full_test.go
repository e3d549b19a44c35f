package app_test

import (
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// unpackable is text that takes its room on the disk.
func unpackable(n int) string {
	var b strings.Builder
	for b.Len() < n {
		fmt.Fprintf(&b, "%x ", rand.Uint64())
	}
	return b.String()
}

// A run that fills the disk is broken off and says why, although that cannot be kept; when
// there is room again it is gone on with, and nothing that was kept is lost.
func TestRunOnAFullDisk(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>" + words(400)}}
	a, db := open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, _ := newClient(t, a, b, "one.example two.example three.example")
	measured(t, a, client)
	for _, host := range []string{"brindle", "one", "two", "three"} {
		w.set("http://"+host+".example/", "<p>"+unpackable(200_000))
	}
	require.NoError(t, db.Limit(ctx, 8))
	measured(t, a, client)
	last, err := a.Runs.Last(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, "interrupted", last.State)
	require.NotNil(t, last.Failure)
	assert.EqualValues(t, store.DiskFull.Code, last.Failure.Code)
	_, err = a.Ground.New(ctx, b)
	if err != nil { // a small one may still find its place
		fails(t, err, store.DiskFull.Code)
	}
	require.NoError(t, db.Limit(ctx, 0))
	_, err = a.Runs.Resume(ctx, client, last.ID)
	require.NoError(t, err)
	r := ended(t, a, client)
	assert.Equal(t, "done", r.State)
	assert.Nil(t, r.Failure)
	assert.Equal(t, 4, r.Done)
}

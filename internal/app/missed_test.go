package app_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The shelf says what each client misses, as found for does, also after a list has changed it.
func TestShelfSaysWhatIsMissed(t *testing.T) {
	a, _, client, _ := planned(t)
	same := func() {
		t.Helper()
		all, err := a.Shelf.Missed(ctx)
		require.NoError(t, err)
		require.Len(t, all.Clients, 1)
		assert.False(t, all.Rest)
		found, err := a.Book.Found(ctx, client)
		require.NoError(t, err)
		assert.Equal(t, found.Missed, all.Clients[0].Missed)
	}
	same()
	_, err := a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,2\n"), nil, "rival.example", "")
	require.NoError(t, err)
	same()
}

package app_test

import (
	"testing"

	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What a page was written for stays its first family when a newer list tells otherwise, until the user makes another
// one the first (rule 9.2).
func TestFirstFamilyIsKept(t *testing.T) {
	a, _ := open(t, &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><p>" + words(500)}})
	b := careful
	b.HomePage, b.Phrases = "brindle.example", nil
	client, home := newClient(t, a, b, "")
	imports := func(rows string) {
		t.Helper()
		_, err := a.Book.ImportList(ctx, client, "x.csv", []byte("phrase,searches\n"+rows), nil, "", "")
		require.NoError(t, err)
	}
	families := func() (out []view.Family) {
		t.Helper()
		sheet, err := a.Sheet.Get(ctx, client, home)
		require.NoError(t, err)
		require.GreaterOrEqual(t, len(sheet.Families), 2)
		return sheet.Families
	}
	const sweep, cleaning = "chimney sweep tarn harbor", "chimney cleaning tarn harbor"
	imports(sweep + ",100\n" + cleaning + ",50\n")
	assert.Equal(t, sweep, families()[0].Lead)
	imports(sweep + ",100\n" + cleaning + ",200\n")
	assert.Equal(t, cleaning, families()[0].Lead, "nothing was read so far")

	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	imports(sweep + ",900\n" + cleaning + ",200\n")
	assert.Equal(t, cleaning, families()[0].Lead, "the page was read")

	require.NoError(t, a.Ground.SetFirst(ctx, client, home, families()[1].Key))
	assert.Equal(t, sweep, families()[0].Lead)
	require.NoError(t, a.Ground.SetFirst(ctx, client, home, ""))
	assert.Equal(t, sweep, families()[0].Lead, "by its searches")
	require.ErrorIs(t, a.Ground.SetFirst(ctx, client, home, "no family of the page"), store.ErrNotFound)
}

package spool

import (
	"bytes"
	"errors"
	"io"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// left lists the temporary files.
func left(t *testing.T, dir string) []string {
	list, err := filepath.Glob(filepath.Join(dir, "*"))
	require.NoError(t, err)
	return list
}

// What is put down in any pieces is read as it was, and nothing of it is left.
func TestPutDown(t *testing.T) {
	dir := t.TempDir()
	t.Setenv("TMPDIR", dir)
	rapid.Check(t, func(r *rapid.T) {
		var s Spool
		var want bytes.Buffer
		for i, n := range rapid.SliceOfN(rapid.IntRange(0, inMemory*2/3), 0, 6).Draw(r, "sizes") {
			piece := bytes.Repeat([]byte{byte(i)}, n)
			_, err := s.Write(piece)
			assert.NoError(r, err)
			want.Write(piece)
		}
		assert.EqualValues(r, want.Len(), s.Len())
		for range 2 { // as often as it is read
			got, err := io.ReadAll(s.Reader())
			assert.NoError(r, err)
			assert.True(r, bytes.Equal(want.Bytes(), got))
		}
		assert.Equal(r, want.Len() > inMemory, len(left(t, dir)) == 1)
		assert.NoError(r, s.Close())
		assert.Empty(r, left(t, dir))
	})
}

// Where there is no room for a file, memory takes what follows.
func TestNoRoom(t *testing.T) {
	t.Setenv("TMPDIR", filepath.Join(t.TempDir(), "nothing"))
	var s Spool
	want := strings.Repeat("a line\n", inMemory/2)
	_, err := io.WriteString(&s, want)
	require.NoError(t, err)
	got, err := io.ReadAll(s.Reader())
	require.NoError(t, err)
	assert.Equal(t, want, string(got))

	t.Setenv("TMPDIR", t.TempDir())
	s = Spool{}
	_, _ = s.Write(make([]byte, inMemory+1))
	_ = s.file.Close() // it takes no more
	_, err = s.Write([]byte("the rest"))
	require.NoError(t, err)
	assert.EqualValues(t, inMemory+1+8, s.Len())
	assert.Equal(t, "the rest", s.rest.String())
	assert.NoError(t, os.Remove(s.file.Name()))
}

// A body that was taken in ends as it ended.
func TestTaken(t *testing.T) {
	broken := errors.New("broken off")
	body := Body(io.MultiReader(strings.NewReader("half a body"), failing{broken}))
	got, err := io.ReadAll(body)
	assert.Equal(t, "half a body", string(got))
	assert.ErrorIs(t, err, broken)
	got, err = io.ReadAll(Body(strings.NewReader("a body")))
	assert.Equal(t, "a body", string(got))
	assert.NoError(t, err)
}

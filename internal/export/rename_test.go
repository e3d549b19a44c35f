package export

import (
	"os"
	"os/exec"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The script renames what it says and nothing else, whatever the names are.
func TestRenameScript(t *testing.T) {
	dir := t.TempDir()
	canary := filepath.Join(dir, "canary")
	put := func(name, text string) {
		require.NoError(t, os.WriteFile(filepath.Join(dir, name), []byte(text), 0o644))
	}
	bad := []string{"a b.jpg", "it's.png", "$(touch canary).jpg", "`touch canary`.jpg", "-rf.jpg", "*.jpg",
		"x;touch canary.jpg", "é.webp", "\"q\".gif", "#1.jpg", "~.jpg"}
	var list []Rename
	for i, name := range bad {
		put(name, name)
		list = append(list, Rename{name, "new-" + string(rune('a'+i)) + ".jpg"})
	}
	put("taken.jpg", "stays")
	put("other.jpg", "stays too")
	list = append(list, Rename{"other.jpg", "taken.jpg"}, Rename{"gone.jpg", "x.jpg"}, Rename{"../up.jpg", "y.jpg"},
		Rename{"-n \\c\\t%s.jpg", "u.jpg"},
		Rename{"z.jpg", "a/b.jpg"}, Rename{"line\nbreak.jpg", "w.jpg"}, Rename{"", "v.jpg"})
	script := filepath.Join(t.TempDir(), "rename.sh")
	require.NoError(t, os.WriteFile(script, RenameScript(list), 0o644))
	run := exec.Command("sh", script)
	run.Dir = dir
	output, err := run.CombinedOutput()
	require.NoError(t, err, string(output))
	assert.NoFileExists(t, canary)
	for i, name := range bad {
		raw, err := os.ReadFile(filepath.Join(dir, list[i].To))
		require.NoError(t, err)
		assert.Equal(t, name, string(raw))
		assert.NoFileExists(t, filepath.Join(dir, name))
	}
	raw, err := os.ReadFile(filepath.Join(dir, "taken.jpg"))
	require.NoError(t, err)
	assert.Equal(t, "stays", string(raw))
	assert.Contains(t, string(output), "not here: ./gone.jpg")
	assert.Contains(t, string(output), `not here: ./-n \c\t%s.jpg`, "as it is called")
	assert.Contains(t, string(output), "there already: ./taken.jpg")
}

func FuzzRenameScript(f *testing.F) {
	f.Add("a'b.jpg", "$x.jpg")
	f.Fuzz(func(t *testing.T, from, to string) {
		script := filepath.Join(t.TempDir(), "r.sh")
		if err := os.WriteFile(script, RenameScript([]Rename{{from, to}}), 0o644); err != nil {
			t.Skip()
		}
		if output, err := exec.Command("sh", "-n", script).CombinedOutput(); err != nil {
			t.Fatalf("%q %q: %s", from, to, output)
		}
	})
}

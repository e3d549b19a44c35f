package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A copied page of results is pasted anywhere, looked at and used; a saved one is
// dropped; what is none says so and takes nothing away.
func TestResultsIntoTheLineup(t *testing.T) {
	p := shared(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/lineup", client))
	s.until(`document.querySelector('[data-entry="Old Saltbox Masonry"]')`)
	copied, err := os.ReadFile("../core/results/testdata/copy.txt")
	require.NoError(t, err)
	eval[bool](s, fmt.Sprintf(`(() => { const data = new DataTransfer(); data.setData('text/plain', %q)
		return document.body.dispatchEvent(new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true})) || true })()`, copied))
	s.until(`document.querySelector('[data-read]')?.textContent.startsWith('11 entries read')`)
	s.sees("2 paid")
	assert.Equal(t, 11, eval[int](s, `document.querySelectorAll('.results tr[data-part]').length`))
	assert.False(t, eval[bool](s, `!!document.querySelector('[data-entry^="Chimney Cleaning From"]')`), "nothing is kept yet")

	s.fill("[name=results_phrase]", "chimney sweep ostrey")
	s.press("Use these results")
	s.until(`!document.querySelector('.results') && document.querySelector('[data-entry^="Chimney Cleaning From"]')`)
	assert.Equal(t, "chimney sweep ostrey", s.value("[name=phrase]"))

	none := filepath.Join(t.TempDir(), "none.html")
	require.NoError(t, os.WriteFile(none, []byte("<p>Nothing was found for your words."), 0o600))
	s.drop("main", none)
	s.until(`document.querySelector('.results [role=alert]')`)
	s.press("Close")
	s.until(`!document.querySelector('.results') && document.querySelector('[data-entry^="Chimney Cleaning From"]')`)

	saved, err := filepath.Abs("../core/results/testdata/saved.mhtml")
	require.NoError(t, err)
	s.drop("main", saved)
	s.until(`document.querySelector('[data-read]')`)
	s.press("Use these results")
	s.until(`!document.querySelector('.results') && !document.querySelector('[data-entry^="Chimney Cleaning From"]')`)
}

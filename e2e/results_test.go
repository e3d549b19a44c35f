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
	p := demo(t)
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
	assert.False(t, eval[bool](s, `!!document.querySelector('[data-entry^="Chimney Cleaning From"]')`),
		"nothing is kept yet")

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

// A table whose headings say nothing is told what its columns hold.
func TestColumnsOfResults(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/lineup", client))
	s.until(`document.querySelector('[data-entry="Old Saltbox Masonry"]')`)
	list := filepath.Join(t.TempDir(), "list.csv")
	require.NoError(t, os.WriteFile(list,
		[]byte("Betrieb,Netz,Platz\nKiln Row Sweeps,kilnrow.example,1\nHarbor Flue,harborflue.example,14\n"), 0o600))
	s.drop("main", list)
	s.until(`document.querySelectorAll('[data-columns] select').length === 3`)
	for i, field := range []string{"title", "url", "position"} {
		eval[bool](s,
			fmt.Sprintf(
				`(e => (e.value = %q, e.dispatchEvent(new Event('change', {bubbles: true})), true))(document.querySelectorAll('[data-columns] select')[%d])`, field, i))
		s.until(fmt.Sprintf(`document.querySelectorAll('[data-columns] select')[%d]?.value === %q`, i, field))
	}
	s.until(`[...document.querySelectorAll('.results tr[data-part]')].some(r => r.textContent.includes('14'))`)
	s.fill("[name=results_phrase]", "chimney sweep quillby")
	s.press("Use these results")
	s.until(`document.querySelector('[data-entry="Harbor Flue"] [data-place]')?.textContent === '14'`)
}

package e2e

import (
	"encoding/csv"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// listOfPhrases writes the labelled list without its labels.
func listOfPhrases(t *testing.T) string {
	t.Helper()
	raw, err := os.Open("../core/intent/testdata/chimney.csv")
	require.NoError(t, err)
	defer raw.Close()
	rows, err := csv.NewReader(raw).ReadAll()
	require.NoError(t, err)
	file := filepath.Join(t.TempDir(), "phrases.csv")
	out, err := os.Create(file)
	require.NoError(t, err)
	w := csv.NewWriter(out)
	for _, r := range rows {
		require.NoError(t, w.Write(r[:3]))
	}
	w.Flush()
	require.NoError(t, out.Close())
	return file
}

// From a dropped list of 2,000 phrases to the families worth writing for, with
// their pages: set aside in bulk, tied, judged and undone.
func TestPhraseBook(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.press("Phrase book")
	s.sees("Worth writing for")
	s.drop("main", listOfPhrases(t))
	s.sees("The first row names the columns")
	s.press("Import 2,000 phrases")
	s.until(`document.querySelector('[data-report]')`)
	s.sees("not imported")
	book := get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client))
	require.Greater(t, book.Phrases, 1990)
	kept := 0
	for _, f := range book.Families[:20] {
		assert.True(t, f.Kept)
		waits := f.Intent == "unsure" || f.Misspelled
		assert.Equal(t, waits, f.Carrier == "", f.Key)
		assert.Greater(t, f.Gain, 0.0)
		assert.NotEmpty(t, f.Why.Says)
	}
	for _, f := range book.Families {
		if f.Kept {
			kept++
		}
	}
	s.press("Dismiss")
	s.until(fmt.Sprintf(`[...document.querySelectorAll('[aria-label="Parts of the book"] .here')].some(e => e.innerText.includes(%q))`,
		fmt.Sprint(kept)))
	// Only the rows in sight are drawn.
	assert.Less(t, eval[int](s, `document.querySelectorAll('[data-family]').length`), 80)
	first := eval[string](s, `document.querySelector('[data-family]').dataset.family`)
	assert.Equal(t, book.Families[0].Members[0].Text, first)

	s.press("Dismiss")
	s.until(fmt.Sprintf(`document.querySelector('[data-family]').dataset.family !== %q`, first))
	s.press("Undo")
	s.until(fmt.Sprintf(`document.querySelector('[data-family]').dataset.family === %q`, first))

	// All of one service in bulk, with a reason.
	eval[bool](s,
		`(() => { const e = document.querySelector('select[aria-label=Service]'); e.value = 'dryer vent cleaning'; e.dispatchEvent(new Event('change')); return true })()`)
	s.until(`[...document.querySelectorAll('[data-family]')].every(r => /dryer/.test(r.dataset.family))`)
	s.click(`document.querySelector('[aria-label="Select all that are shown"]')`)
	s.sees("selected")
	s.fill("input[name=reason]", "another firm does these")
	s.press("Dismiss")
	s.sees("No matches")
	after := get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client))
	for _, f := range after.Families {
		if f.Service == "dryer vent cleaning" && f.Intent == "hire" {
			assert.False(t, f.Kept)
			assert.Equal(t, "another firm does these", f.Choice.Reason)
		}
	}
	s.press("Undo")
	s.until(`document.querySelectorAll('[data-family]').length > 3`)

	// A word is judged, and the book follows.
	before := after.Sums["brand"]
	word := eval[string](s, `document.querySelector('[data-unfamiliar] b').textContent`)
	s.keys("w1")
	s.until(fmt.Sprintf(`![...document.querySelectorAll('[data-unfamiliar] b')].some(b => b.textContent === %q)`, word))
	s.sees(fmt.Sprintf("“%s” is a business: ", word))
	assert.Greater(t, get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client)).Sums["brand"], before)

	// What is picked is put on the sheet, and can be taken off again.
	s.open(fmt.Sprintf("/clients/%d/book", client))
	s.until(`document.querySelectorAll('[data-family]').length > 3`)
	had := len(get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Phrases)
	eval[bool](s, `([...document.querySelectorAll('[data-family] input')].slice(0, 3).forEach(e => e.click()), true)`)
	s.press("Use on the home page")
	s.sees("3 families used on the home page")
	assert.Greater(t, len(get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Phrases), had)
	s.press("Undo")
	s.until(`!document.body.innerText.includes('used on the home page')`)
	assert.Eventually(t, func() bool {
		return len(get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Phrases) == had
	}, 60*time.Second, 50*time.Millisecond)

	// From the sheet: what rivals share, into the book; a typed phrase on every page.
	_, home := brindle(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet?show=made&column=0", client, home))
	s.until(`document.querySelectorAll('[data-shared]').length > 5`)
	shared := eval[string](s, `document.querySelector('[data-shared] .text').textContent.trim()`)
	s.press("Add to book")
	s.sees("added to the book")
	held := false
	for _, f := range get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client)).Families {
		for _, m := range f.Members {
			held = held || strings.EqualFold(m.Text, shared)
		}
	}
	assert.True(t, held, shared)
	s.click(`document.querySelector('[data-shared] .text')`)
	s.until(`document.querySelectorAll('[data-across] button').length === 5`)
	s.open(fmt.Sprintf("/clients/%d/book", client))
	s.sees("Worth writing for")
}

package e2e

import (
	"fmt"
	"net/http"
	"path/filepath"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Words are judged by keys from row to row, each verdict says what it changed and can
// be undone; ties are undone and made at once; what is folded is unfolded.
func TestWordsAreJudged(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, home := brindle(t, p)
	s := look(t, p)
	at := fmt.Sprintf("/api/clients/%d/book", client)
	book := func() view.Book { return get[view.Book](t, p, at) }
	before := book()
	require.Len(t, before.Unfamiliar, 5)
	s.open(fmt.Sprintf("/clients/%d/book", client))

	s.until(`document.querySelectorAll('[data-unfamiliar] li').length === 5`)
	words := eval[[]string](s, `[...document.querySelectorAll('[data-unfamiliar] b')].map(b => b.textContent)`)
	for i, w := range before.Unfamiliar {
		assert.Equal(t, w.Word, words[i], "those that decide about the most gain first")
	}
	s.keys("w")
	s.until(`document.activeElement?.matches('[data-unfamiliar] li')`)
	s.keys("1")
	s.sees(fmt.Sprintf("“%s” is a business: 1 family set aside: %s", words[0], before.Unfamiliar[0].Example))
	s.until(fmt.Sprintf(`document.activeElement?.querySelector('b')?.textContent === %q`, words[1]))
	s.keys("5") // the next word has come to the row
	s.sees(fmt.Sprintf("“%s” is ignored: ", words[1]))
	s.sees("sure now")
	s.press("Undo")
	s.until(`document.querySelectorAll('[data-unfamiliar] li').length === 4`)
	assert.Len(t, book().Unfamiliar, 4)

	tied := func(word string) string {
		return fmt.Sprintf(`[...document.querySelectorAll('[data-made] li')].find(l => l.textContent.includes(%q))`,
			word)
	}
	s.click(tied("chimny") + `?.querySelector('button')`)
	s.sees("“chimny” read as it is: ")
	s.until("!" + tied("chimny"))
	s.press("Undo")
	s.until(tied("chimny"))
	n := len(book().Families)
	s.click(`document.querySelector('[data-tie-all]')`)
	s.until(`!document.querySelector('[data-proposed]')`)
	assert.Less(t, len(book().Families), n)

	s.click(`document.querySelector('[data-family="chimney sweep tarn harbor"] .lead .link')`)
	s.until(
		`[...document.querySelectorAll('[data-also]')].some(e => /near me/.test(e.textContent) && /state/.test(e.textContent))`)
	s.sees("exactly once")

	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home))
	s.click(`document.querySelector('tr th .link[aria-expanded]')`)
	s.until(`document.querySelectorAll('[data-member]').length > 3`)
	s.sees("once, exactly")
}

// The communities around the home town are proposed and become places by a click; the
// searches of a list are told where they were counted.
func TestCommunitiesAndAreas(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.press("+ Alder Reach")
	s.sees("Saved: places")
	ground := get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client))
	assert.Equal(t, "Alder Reach", ground.Places[len(ground.Places)-1].Name)
	s.until(`![...document.querySelectorAll('button')].some(b => /Alder Reach/.test(b.textContent))`)
	s.press("Undo")
	s.until(`[...document.querySelectorAll('button')].some(b => /Alder Reach/.test(b.textContent))`)

	s.open(fmt.Sprintf("/clients/%d/book", client))
	s.sees("Worth writing for")
	assert.False(t, eval[bool](s, `!!document.querySelector('[data-area]')`), "the source told the areas")
	send(t, p, http.MethodPost, fmt.Sprintf("/api/clients/%d/book/phrases", client),
		map[string]any{"phrases": []string{"chimney sweep close to me"}})
	list := get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client))
	assert.Zero(t, list.NoArea, "its searches are not known")
}

package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"inktally/internal/view"
	"inktally/internal/view/told"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
)

// row finds the row of a family by its lead.
func row(lead string) string {
	return fmt.Sprintf(`document.querySelector('[data-family=%q]')`, lead)
}

// in finds the button that says a text in an element.
func in(element, says string) string {
	return fmt.Sprintf(
		`[...%s?.querySelectorAll('button') ?? []].find(b => b.textContent.trim() === %q && !b.matches(':disabled'))`,
		element, says)
}

// families returns the members of a client's families, by their lead.
func families(t *testing.T, p *program, client int64) map[string][]string {
	out := map[string][]string{}
	for _, f := range get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client)).Families {
		for _, m := range f.Members {
			out[f.Members[0].Text] = append(out[f.Members[0].Text], m.Text)
		}
	}
	return out
}

// A family is parted and families are merged by hand; services, places and
// word lists are edited beside the book, which follows; a page is planned, and
// a second page for the same families is a conflict. All can be undone.
func TestFamiliesByHand(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	const lead, other = "chimney sweep tarn harbor", "tarn harbor chimney sweep"
	open := func() {
		s.open(fmt.Sprintf("/clients/%d/book", client))
		s.until(row(lead))
	}
	open()
	had := families(t, p, client)
	require.Contains(t, had[lead], other)

	s.click(row(lead) + `?.querySelector('.gain')`)
	s.sees("50% of 220")
	s.sees("4 of 100 visits become customers, one chimney sweep job brings $240")
	part := fmt.Sprintf(`[...%s?.querySelectorAll('.member') ?? []].find(m => m.innerText.includes(%q))`, row(lead),
		other)
	s.click(in(part, "Separate"))
	s.until(row(other))
	assert.Equal(t, []string{other}, families(t, p, client)[other])
	s.press("Undo")
	s.until("!" + row(other))
	assert.Equal(t, had, families(t, p, client))

	for _, f := range []string{lead, "chimney cleaning tarn harbor"} {
		s.click(row(f) + `?.querySelector('input')`)
	}
	s.press("Merge")
	s.until("!" + row("chimney cleaning tarn harbor"))
	assert.Contains(t, families(t, p, client)[lead], "chimney cleaning tarn harbor")
	s.press("Undo")
	s.until(row("chimney cleaning tarn harbor"))
	assert.Equal(t, had, families(t, p, client))

	// A service's other words and a place's spellings: the book follows.
	s.press("Services and places")
	s.fill(`[aria-label="Other spellings of place 2"]`, "Tarn North")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.sees("Saved: places")
	assert.Equal(t, []string{"Tarn North"},
		get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Places[1].Spellings)
	s.press("Undo")
	s.until(`document.querySelector('[aria-label="Other spellings of place 2"]').value === ''`)
	s.fill(`[aria-label="Service 8"]`, "chimney caps")
	s.until(`document.querySelector('[aria-label="Service 9"]')`)
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.sees("Saved: services")
	s.press("Undo")
	s.until(`document.querySelector('[aria-label="Service 8"]').value === ''`)
	s.press("Close")

	// A word list decides, but of what was typed for a page.
	s.press("Word lists")
	s.fill("[name=list_elsewhere]", "Tarn Harbor")
	s.press("Save lists")
	s.until("!" + row("chimney cleaning tarn harbor"))
	s.until(row(lead))
	s.press("Restore defaults")
	s.until(row("chimney cleaning tarn harbor"))
	s.press("Close")

	// A page is planned, another one claims the same families.
	const plan = `document.querySelector('[aria-label="Add page for chimney cap fitting"]')`
	s.click(plan)
	s.until("!" + plan)
	ground := get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client))
	n := len(ground.Pages)
	s.open(fmt.Sprintf("/clients/%d/site", client))
	s.fill("[name=page_addresses]",
		"brindleandash.example/chimney-cap-fitting brindleandash.example/caps/chimney-cap-fitting.html shop")
	s.press("Add")
	s.sees("no dot")
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-page]').length === %d`, n+1))
	assert.Equal(t, "shop", s.value("[name=page_addresses]"), "what was not taken stays")
	pages := get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Pages
	assert.Equal(t, ground.Pages[n-1].ID, pages[n-1].ID, "the first is the page that was planned")
	open()
	s.sees("2 pages")
	s.open(fmt.Sprintf("/clients/%d/site", client))
	off := fmt.Sprintf(`document.querySelector('[data-page="%d"] .off')`, pages[n].ID)
	s.click(off)
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-page]').length === %d`, n))
	s.press("Undo")
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-page]').length === %d`, n+1))
	s.click(off)
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-page]').length === %d`, n))
	open()
	s.until(`document.querySelectorAll('[data-family]').length > 3 && !document.querySelector('aside .stamp')`)

	// The planned page has a sheet of its own families.
	added := get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Pages[n-1]
	sheet := get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, added.ID))
	require.NotEmpty(t, sheet.Families)
	for _, f := range sheet.Families {
		assert.Contains(t, f.Lead, "cap")
	}
	assert.Equal(t, 500, sheet.Target.Words.Target, "home pages make no mark for a service page")
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, added.ID))
	s.sees("has no such page")
}

// What sites are found for: asked of the source, imported as a list, set side by
// side, taken into the book and undone.
func TestFoundFor(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/found", client))
	s.until(`document.querySelectorAll('[data-site]').length === 5`)
	found := func() told.Found { return get[told.Found](t, p, fmt.Sprintf("/api/clients/%d/found", client)) }
	site := func(name string) told.FoundSite {
		f := found()
		at := slices.IndexFunc(f.Sites, func(x told.FoundSite) bool { return x.Site == name })
		require.GreaterOrEqual(t, at, 0)
		return f.Sites[at]
	}
	before := site("harborflue.example").Sums.Phrases

	list := filepath.Join(t.TempDir(), "harborflue.example-found.csv")
	require.NoError(t, os.WriteFile(list,
		[]byte("Phrase;Position;Searches\nchimney sweep quillby;2;40\nchimney flue brushing ostrey;3;70\nhow to "+
			"sweep a flue;9;\n"), 0o600))
	s.drop("main", list)
	s.until(`document.querySelector('[name=site]')?.value === 'harborflue.example'`)
	s.press("Import 3 phrases")
	s.sees("harborflue.example is found for 3 phrases")
	s.press("Dismiss")
	s.until(`document.querySelector('[data-site="harborflue.example"] td').textContent.trim() === '4'`)
	sums := site("harborflue.example").Sums
	assert.Equal(t, 3, sums.First3, "those of the list, and the one of the recorded search")
	assert.InDelta(t, 40*.20+70*.11+380*.33, sums.Hire, 1e-9)

	s.click(`document.querySelector('[name=gap]')`)
	s.fill("[name=words]", "brushing")
	s.until(`document.querySelectorAll('[data-found]').length === 1`)
	s.press("Add to book")
	s.sees("in the book")
	assert.Contains(t, families(t, p, client), "chimney flue brushing ostrey")
	s.press("Undo")
	s.until(`[...document.querySelectorAll('[data-found] button')].some(b => b.textContent.trim() === 'Add to book')`)
	assert.NotContains(t, families(t, p, client), "chimney flue brushing ostrey")

	s.press("Get lists")
	s.until(fmt.Sprintf(`document.querySelector('[data-site="harborflue.example"] td').textContent.trim() === '%d'`,
		before))
}

// What is no list, or none that can be taken, is said in one sentence, and
// what can be taken of a bad one is.
func TestBadListsInTheBrowser(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/book", client))
	s.sees("Worth writing for")
	dir := t.TempDir()
	bring := func(name, body string) {
		file := filepath.Join(dir, name)
		require.NoError(t, os.WriteFile(file, []byte(body), 0o600))
		s.drop("main", file)
	}
	for name, c := range map[string]struct{ body, says string }{
		"bytes.csv":  {"\x00\x01\x02\x03", "This is not a list"},
		"empty.csv":  {" \n,,\n", "The list is empty"},
		"broken.csv": {"PK\x03\x04 broken", "This workbook cannot be read"},
		"large.csv":  {strings.Repeat("chimney sweep tarn harbor,12\n", 50<<20/29), "The list is larger than 20 MB"},
	} {
		bring(name, c.body)
		s.sees(c.says)
		assert.NotContains(t, eval[string](s, `document.querySelector('[aria-label="Import a list"]').innerText`), "\n",
			name)
	}
	// A workbook comes in like a list; its formula is not worked out.
	book := excelize.NewFile()
	for cell, v := range map[string]any{"A1": "Phrase", "B1": "Searches", "A2": "stove glass tarn harbor", "B2": 1300,
		"A3": "hearth tiles ostrey"} {
		require.NoError(t, book.SetCellValue("Sheet1", cell, v))
	}
	require.NoError(t, book.SetCellFormula("Sheet1", "B3", "SUM(B2,B2)"))
	xlsx, err := book.WriteToBuffer()
	require.NoError(t, err)
	bring("book.xlsx", xlsx.String())
	s.press("Import 2 phrases")
	s.until(`document.querySelector('[data-report]')`)
	for _, f := range get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client)).Families {
		switch f.Members[0].Text {
		case "stove glass tarn harbor":
			assert.Equal(t, 1300, *f.Members[0].Volume)
		case "hearth tiles ostrey":
			assert.Nil(t, f.Members[0].Volume)
		}
	}
	assert.Contains(t, families(t, p, client), "hearth tiles ostrey")
	s.press("Undo")
	assert.Eventually(t, func() bool {
		return len(families(t, p, client)["hearth tiles ostrey"]) == 0
	}, 60*time.Second, 50*time.Millisecond)

	bring("numbers.csv", "12,40\n9,1\n")
	s.press("Import 2 phrases")
	s.sees("No column holds phrases")
	s.press("Cancel")

	bring("wide.csv", "chimney tiling ostrey"+strings.Repeat(",x", 10_000)+"\n"+strings.Repeat("word ", 60)+"\n"+
		`=HYPERLINK("http://x.example")`+"\n煙突 掃除\n\n,,7\n")
	s.press("Import 5 phrases")
	s.until(`document.querySelector('[data-report]')`)
	s.sees("more than")
	s.sees("address")
	taken := families(t, p, client)
	assert.Contains(t, taken, "chimney tiling ostrey")
	assert.Contains(t, taken, "煙突 掃除")
	s.press("Undo")
	assert.Eventually(t, func() bool {
		return len(families(t, p, client)["chimney tiling ostrey"]) == 0
	}, 60*time.Second, 50*time.Millisecond)
}

package e2e

import (
	"fmt"
	"net/http"
	"os"
	"path/filepath"
	"testing"

	"inktally/core/reading"
	"inktally/core/text"
	"inktally/e2e/browser"
	"inktally/internal/practice"
	"inktally/internal/view"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const chainPage = "http://hearthway.example/me/tarn-harbor"

// takeChain takes the chain's town page, which a script draws, as a rival.
func takeChain(t *testing.T, p *program) (client, home int64) {
	t.Helper()
	client, home = brindle(t, p)
	for _, e := range get[view.Lineup](t, p, fmt.Sprintf("/api/clients/%d/lineup", client)).Entries {
		if e.URL == chainPage {
			require.Equal(t, http.StatusOK,
				send(t, p, http.MethodPut, fmt.Sprintf("/api/clients/%d/lineup/%d", client, e.ID),
					map[string]bool{"taken": true}))
			return client, home
		}
	}
	t.Fatal("the chain is not in the lineup")
	return 0, 0
}

// A page that a script builds is read right with Chromium, by itself and by choice.
func TestRenderedPage(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer web.Close()
	ctx := browser.Start(t, map[string]any{
		"host-resolver-rules": "MAP *.example:80 " + web.Addr() + ", MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"})
	browser.Read(t, ctx, chainPage)
	seen := text.Words(browser.Settled(t, ctx).Text)
	require.Greater(t, seen, 400)

	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, home := takeChain(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home))
	s.until(`document.querySelectorAll('thead .head').length === 6`)
	column := func() view.Column {
		return get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, home)).Columns[5]
	}
	readPath := fmt.Sprintf("/api/clients/%d/read", client)
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, readPath,
		map[string]string{"url": chainPage, "mode": ""}))
	s.sees("rendered in a browser")
	s.until(fmt.Sprintf(`[...document.querySelectorAll('[data-cell=seen]')].some(c => c.dataset.figure === '%d')`,
		seen))
	assert.Equal(t, seen, column().Words.Seen)
	assert.Equal(t, "Hearthway National in Tarn Harbor, ME", column().Title)
	assert.Equal(t, view.Source(reading.FromBrowser), column().Source)

	idle(t, p, client)
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, readPath,
		map[string]string{"url": chainPage, "mode": "served"}))
	s.until(`[...document.querySelectorAll('.stamp')].some(e => e.textContent === 'built by script')`)
	assert.Zero(t, column().Words.Seen)
	s.press("Read as rendered")
	s.sees("rendered in a browser")
	assert.Equal(t, seen, column().Words.Seen)
	assert.Equal(t, view.ReadMode(reading.Rendered), column().Mode)

	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet?show=page&column=5", client, home))
	s.until(`document.querySelectorAll('[data-menu]').length === 1`)
	s.sees("207-555-0199, click to call")
	s.press("As served")
	s.sees("no text")
	s.press("Automatic")
	s.sees("207-555-0199, click to call")
	s.until(
		`document.querySelector('[data-menu] li')?.innerText.replace(/\s+/g, ' ') === 'Services Sweeping Inspection Gas hearths'`)
}

// Without a browser the page is announced as built by script, and all else
// works on.
func TestNoBrowser(t *testing.T) {
	t.Setenv("PATH", t.TempDir())
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	t.Setenv("PATH", "/usr/bin:/usr/local/bin:/bin")
	client, home := takeChain(t, p)
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, fmt.Sprintf("/api/clients/%d/run", client), nil))
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home))
	s.measured(fmt.Sprintf("%d pages read",
		len(get[struct{ Run view.Run }](t, p, fmt.Sprintf("/api/clients/%d/run", client)).Run.Items)))
	s.sees("built by script")
	s.sees("There is no browser to render pages")
	s.press("Read as rendered")
	s.measured("1 of 1 page not read")
	sheet := get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, home))
	assert.Equal(t, 545, sheet.Columns[0].Words.Seen)
	assert.Equal(t, 2000, sheet.Target.Words.Target)
}

// Saved pages and web archives come in by the file dialog and by dropping them
// on the page strip, and are marked with their source.
func TestFilesAdded(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer web.Close()
	ctx := browser.Start(t, map[string]any{
		"host-resolver-rules": "MAP *.example:80 " + web.Addr() + ", MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"})
	browser.Read(t, ctx, "http://brindleandash.example/")
	archive, err := chromedp.Call(ctx, page.CaptureSnapshot, page.CaptureSnapshotParams{})
	require.NoError(t, err)
	dir := t.TempDir()
	mhtml := filepath.Join(dir, "home.mhtml")
	require.NoError(t, os.WriteFile(mhtml, []byte(archive.Data), 0o600))
	saved := filepath.Join(dir, "page.html")
	require.NoError(t, os.WriteFile(saved,
		[]byte("<!doctype html><title>Draft</title><p>Seven words that stand in a file."), 0o600))
	picture := filepath.Join(dir, "photo.jpg")
	require.NoError(t, os.WriteFile(picture, []byte("\xff\xd8\xff"), 0o600))

	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, home := brindle(t, p)
	ran(t, p, client) // what the demo reads by itself would be newer than the file
	s := look(t, p)
	own := func() view.Column {
		return get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, home)).Columns[0]
	}
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home))
	s.sees("Add a saved page")
	require.NoError(t, chromedp.Do(s.ctx, chromedp.SetUploadFiles(chromedp.CSS("input[name=saved]"), []string{saved})))
	s.sees("page.html is now Home")
	s.sees("from a saved file")
	assert.Equal(t, 7, own().Words.Seen)
	assert.Equal(t, view.Source(reading.FromFile), own().Source)

	s.drop(".strip", mhtml)
	s.sees("home.mhtml is now Home")
	s.sees("from a web archive")
	assert.Equal(t, 545, own().Words.Seen)
	assert.Equal(t, "Home", own().Title)

	s.press("Undo")
	s.sees("from a saved file")
	assert.Equal(t, 7, own().Words.Seen)

	s.drop(".strip", picture)
	s.sees("No page was found among the files")
	assert.Equal(t, 7, own().Words.Seen)
}

// drop drops a file on an element.
func (s *screen) drop(css, file string) {
	s.t.Helper()
	s.drag(css, file, input.DispatchDragEventTypeDragEnter, input.DispatchDragEventTypeDragOver,
		input.DispatchDragEventTypeDrop)
}

// drag carries a file over the middle of an element.
func (s *screen) drag(css, file string, kinds ...input.DispatchDragEventType) {
	s.t.Helper()
	at := eval[[]float64](s,
		fmt.Sprintf(
			`(() => { const b = document.querySelector(%q).getBoundingClientRect(); return [b.x + b.width / 2, b.y + b.height / 2] })()`, css))
	data := &input.DragData{Items: []*input.DragDataItem{}, Files: []string{file}, DragOperationsMask: 1}
	for _, kind := range kinds {
		_, err := chromedp.Call(s.ctx, input.DispatchDragEvent,
			input.DispatchDragEventParams{Type: kind, X: at[0], Y: at[1], Data: data})
		require.NoError(s.t, err)
	}
}

// A file is taken, too, when what lies under the pointer is drawn anew before
// it is let go; one that is carried away again leaves no word behind.
func TestDropWhileDrawn(t *testing.T) {
	p := demo(t)
	client, home := brindle(t, p)
	s := look(t, p)
	list := filepath.Join(t.TempDir(), "list.csv")
	require.NoError(t, os.WriteFile(list, []byte("bellows mending ostrey,40\n"), 0o600))
	carryAway := func(css string) {
		s.drag(css, list, input.DispatchDragEventTypeDragEnter, input.DispatchDragEventTypeDragOver)
		s.until(`document.querySelector('.dropzone')`)
		s.drag("header", list, input.DispatchDragEventTypeDragOver)
		s.until(`!document.querySelector('.dropzone')`)
	}
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home))
	s.sees("Add a saved page")
	carryAway(".strip")
	s.open(fmt.Sprintf("/clients/%d/book", client))
	s.sees("Worth writing for")
	carryAway("main")

	s.drag("main", list, input.DispatchDragEventTypeDragEnter, input.DispatchDragEventTypeDragOver)
	eval[bool](s, `(() => { const b = document.querySelector('main').getBoundingClientRect()
		const e = document.elementFromPoint(b.x + b.width / 2, b.y + b.height / 2)
		e.replaceWith(e.cloneNode(true)); return true })()`)
	s.drag("main", list, input.DispatchDragEventTypeDrop)
	s.sees("Import 1 phrase")
	s.press("Cancel")
}

package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Printed views are whole: nothing is behind an edge that can only be scrolled, no button stands on the paper, heads
// of tables repeat, and a long list has all its rows. A4 and letter.
func TestPrint(t *testing.T) {
	p := demo(t)
	client, home := brindle(t, p)
	families := 0
	for _, f := range get[view.Book](t, p, fmt.Sprintf("/api/clients/%d/book", client)).Families {
		if f.Kept && f.Under == "" {
			families++
		}
	}
	s := look(t, p)
	for path, there := range map[string]string{
		"/": "main tbody tr",
		fmt.Sprintf("/clients/%d/lineup", client):                  "[data-entry]",
		fmt.Sprintf("/clients/%d/standing", client):                "[data-standing-targets]",
		fmt.Sprintf("/clients/%d/pages/%d/sheet", client, home):    "[data-cell=seen]",
		fmt.Sprintf("/clients/%d/sheet", client):                   "[data-row]",
		fmt.Sprintf("/clients/%d/book", client):                    "[data-family]",
		fmt.Sprintf("/clients/%d/targets", client):                 "[data-row]",
		fmt.Sprintf("/clients/%d/pages/%d/hand-off", client, home): "[data-document]",
	} {
		s.open(path)
		s.until(fmt.Sprintf("document.querySelector(%q)", there))
		for _, paper := range []struct{ wide, width, height float64 }{{1047, 8.27, 11.69}, {980, 8.5, 11}} {
			_, err := chromedp.Call(s.ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{Media: "print"})
			require.NoError(t, err)
			require.NoError(t, chromedp.Do(s.ctx, chromedp.EmulateViewport(int64(paper.wide), 720)))
			eval[bool](s, `(dispatchEvent(new Event('beforeprint')), new Promise(r => requestAnimationFrame(() => r(true))))`)
			assert.Empty(t, eval[[]string](s, cut), "%s is cut on paper of %v", path, paper.wide)
			assert.True(t, eval[bool](s, `[...document.querySelectorAll('thead')].every(h =>
				getComputedStyle(h).display === 'table-header-group')`), path)
			assert.Empty(t, eval[[]string](s, `[...document.querySelectorAll('button.press, button.link')]
				.filter(b => b.checkVisibility()).map(b => b.innerText)`), path)
			if there == "[data-family]" {
				assert.Equal(t, families, eval[int](s, `document.querySelectorAll('[data-family]').length`))
			}
			eval[bool](s, `dispatchEvent(new Event('afterprint'))`)
			_, err = chromedp.Call(s.ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{})
			require.NoError(t, err)
			printed, err := chromedp.Call(s.ctx, page.PrintToPDF, page.PrintToPDFParams{PaperWidth: paper.width,
				PaperHeight: paper.height, PreferCSSPageSize: new(true)})
			require.NoError(t, err, path)
			assert.NotEmpty(t, printed.Data)
		}
	}
}

// cut finds what of the view is behind an edge: in boxes that hide or scroll what does not fit, and right of the paper.
const cut = `[...document.querySelectorAll('main *')].filter(e => {
	const style = getComputedStyle(e)
	if (!e.checkVisibility() || e.closest('svg') || e.classList.contains('unseen')) return false
	const hides = style.overflowX !== 'visible' && style.textOverflow !== 'ellipsis' && style.webkitLineClamp === 'none' &&
		(e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 1)
	return hides || e.getBoundingClientRect().right > innerWidth + 1
}).slice(0, 4).map(e => e.tagName + '.' + e.className + ' ' + Math.round(e.getBoundingClientRect().right) + ' ' + innerWidth)`

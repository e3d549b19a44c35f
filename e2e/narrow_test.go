package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// On a phone, and at twice the size on a small screen, no view is wider than the screen: what is wider is scrolled in a
// box of its own.
func TestNoViewScrollsSideways(t *testing.T) {
	for _, width := range []int64{390, 320} {
		t.Run(fmt.Sprint(width), func(t *testing.T) { noneScrollsSideways(t, width) })
	}
}

func noneScrollsSideways(t *testing.T, width int64) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	require.NoError(t, chromedp.Do(s.ctx, chromedp.EmulateViewport(width, 844)))
	for path := range views(client, page) {
		if strings.Contains(path, "?show=") {
			continue // a margin covers the whole screen
		}
		s.open(path)
		s.until(`document.querySelector('main')?.textContent.length > 200`)
		wide := eval[[]string](s, `document.documentElement.scrollWidth <= innerWidth ? [] :
			[...document.querySelectorAll('body *')].filter(e => e.getBoundingClientRect().right > innerWidth + 1 &&
				![...ancestors(e)].some(a => /auto|scroll|hidden/.test(getComputedStyle(a).overflowX))).slice(0, 5)
				.map(e => e.tagName + '.' + e.className + ' ' + Math.round(e.getBoundingClientRect().right));
			function* ancestors(e) { while ((e = e.parentElement) && e !== document.body) yield e }`)
		assert.Empty(t, wide, path)
	}
}

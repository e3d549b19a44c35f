package e2e

import (
	"fmt"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// mouse moves the mouse to the middle of an element, presses it there or lets it go.
func (s *screen) mouse(kind input.DispatchMouseEventType, css string) {
	s.t.Helper()
	at := s.middle(css)
	_, err := chromedp.Call(s.ctx, input.DispatchMouseEvent,
		input.DispatchMouseEventParams{Type: kind, X: at[0], Y: at[1], Button: "left", Buttons: 1, ClickCount: 1})
	require.NoError(s.t, err)
}

func (s *screen) middle(css string) []float64 {
	return eval[[]float64](s, fmt.Sprintf(`(() => { const b = document.querySelector(%q).getBoundingClientRect();
		return [b.x + b.width / 2, b.y + b.height / 2] })()`, css))
}

// A section is carried by the mouse; it stands where it was put while that is saved, and is there afterwards.
func TestSectionIsDragged(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	carried := make(chan *input.DragData, 1)
	require.NoError(t, chromedp.Listen(s.ctx, func(ev any) {
		if e, ok := ev.(*input.EventDragIntercepted); ok {
			carried <- e.Data
		}
	}))
	_, err := chromedp.Call(s.ctx, input.SetInterceptDrags, input.SetInterceptDragsParams{Enabled: true})
	require.NoError(t, err)
	s.open(fmt.Sprintf("/clients/%d/outline?page=p%d", client, page))
	s.until(`document.querySelector('[data-section=towns]')`)
	const towns, lead = `[data-section=towns]`, `[data-section=lead]`
	s.mouse("mousePressed", towns+" .grip")
	s.mouse("mouseMoved", lead)
	var data *input.DragData
	select {
	case data = <-carried:
	case <-time.After(time.Minute):
		require.Fail(t, "nothing is carried")
	}
	s.slow(300 * time.Millisecond)
	to := s.middle(lead)
	for _, kind := range []input.DispatchDragEventType{"dragEnter", "dragOver", "drop"} {
		_, err := chromedp.Call(s.ctx, input.DispatchDragEvent,
			input.DispatchDragEventParams{Type: kind, X: to[0], Y: to[1], Data: data})
		require.NoError(t, err)
	}
	const first = `document.querySelector('[data-section]').dataset.section === 'towns'`
	s.until(first)
	s.until(`document.querySelector('.undo')?.innerText.includes('Moved')`)
	assert.True(t, eval[bool](s, first), "it has not snapped back")
	outline := get[view.Outline](t, p, fmt.Sprintf("/api/clients/%d/plan/outline?page=p%d", client, page))
	assert.Equal(t, "towns", outline.Sections[0].Key)
}

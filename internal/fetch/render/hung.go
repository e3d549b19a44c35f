package render

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/chromedp/chromedp"
)

// began notes when a browser was started, for what is told of one that hangs.
type began struct {
	at    time.Time
	pages int // that were begun since
}

// tellHung tells all that is known of a browser that is about to be ended because it hangs: how long it ran, for how
// many pages, what it was asked for last, and what each of its processes was doing.
func (b *Browser) tellHung(running context.Context, v *visit, why string) {
	if b.options.Log == nil {
		return
	}
	b.visiting.Lock()
	beside, since := len(b.visits)-1, b.began
	b.visiting.Unlock()
	b.options.Log.Warn("a browser that hung was ended", "why", why, "page", v.host(), "asked_for", v.requests.Load(),
		"beside", beside, "ran", time.Since(since.at).Round(time.Second), "pages", since.pages,
		"connected", alive(running), "processes", processes(running))
}

// processes returns what each process of a browser is and does: its type, state and memory.
func processes(running context.Context) (out []string) {
	own := chromedp.FromContext(running).Browser.Process()
	if own == nil {
		return nil // it runs elsewhere
	}
	for _, p := range tree(int32(own.Pid)) {
		kind := "browser"
		line, _ := p.Cmdline()
		if _, after, ok := strings.Cut(line, "--type="); ok {
			kind, _, _ = strings.Cut(after, " ")
		}
		state, _ := p.Status()
		takes, _ := held(p)
		out = append(out, strings.Join([]string{kind, strings.Join(state, "+"), fmt.Sprint(takes>>20, " MB")}, " "))
	}
	return out
}

package render

import (
	"context"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/chromedp"
)

// printTime bounds the printing of one page.
const printTime = 60 * time.Second

// Print prints a page of our own on sheets of paper, as PDF; its own style sheet says how large these are. The errors
// are faults.
func (b *Browser) Print(ctx context.Context, html []byte) ([]byte, error) {
	if !b.Available() {
		return nil, NoBrowser.New()
	}
	ctx, stop := context.WithTimeout(ctx, printTime)
	defer stop()
	select {
	case b.turns <- struct{}{}:
		defer func() { <-b.turns }()
	case <-ctx.Done():
		return nil, BrowserLost.New().Because(ctx.Err())
	}
	running, err := b.ready(ctx)
	if err != nil {
		return nil, err
	}
	tab, end := chromedp.NewContext(running)
	defer end()
	defer context.AfterFunc(ctx, end)()
	pdf, err := printIn(tab, html)
	if err != nil {
		return nil, BrowserLost.New().Because(err)
	}
	return pdf, nil
}

func printIn(tab context.Context, html []byte) ([]byte, error) {
	if err := chromedp.Do(tab, chromedp.Navigate("about:blank")); err != nil {
		return nil, err
	}
	frame := cdp.FrameID(chromedp.FromContext(tab).Target.TargetID)
	if _, err := chromedp.Call(tab, page.SetDocumentContent,
		page.SetDocumentContentParams{FrameID: frame, HTML: string(html)}); err != nil {
		return nil, err
	}
	if _, err := chromedp.Run(tab, chromedp.Evaluate[bool]("document.fonts.ready.then(() => true)",
		chromedp.EvalAwaitPromise)); err != nil {
		return nil, err
	}
	out, err := chromedp.Call(tab, page.PrintToPDF, page.PrintToPDFParams{PrintBackground: new(true),
		PreferCSSPageSize: new(true), GenerateTaggedPDF: new(true), GenerateDocumentOutline: new(true)})
	if err != nil {
		return nil, err
	}
	return out.Data, nil
}

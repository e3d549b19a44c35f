package render

import (
	"context"

	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/cdproto/target"
	"github.com/chromedp/chromedp"
)

// nowhere is a proxy that nobody serves. What a tab asks for is answered before it gets
// there; all that a browser would send by itself - connections made ahead, reports, sockets
// - ends at it, names are not even looked up.
const nowhere = "http://127.0.0.1:1"

// sealed is a browser context whose connections all go to nowhere, those to this machine as
// well. It holds for browsers that were started without any flag of ours.
func sealed(p *target.CreateBrowserContextParams) {
	p.ProxyServer, p.ProxyBypassList = nowhere, "<-loopback>"
}

// unplug takes from every document what sends packets past any proxy. It runs before any
// script of a page, in each of its frames.
const unplug = `for (const name of ['RTCPeerConnection', 'webkitRTCPeerConnection', 'RTCIceTransport', 'RTCDtlsTransport', 'RTCDataChannel',
	'WebTransport', 'TCPSocket', 'UDPSocket', 'Presentation', 'PresentationRequest']) delete globalThis[name]`

// plugged reports whether a browser still has what was taken from it, in its tab or in a frame
// of it.
const plugged = `(() => {
	const frame = document.createElement('iframe')
	document.documentElement.append(frame)
	const has = [window, frame.contentWindow].some(w => 'RTCPeerConnection' in w || 'WebTransport' in w)
	frame.remove()
	return has
})()`

// seal closes the roads of a tab before it goes anywhere. A browser that cannot be closed is
// refused.
func seal(tab context.Context) error {
	now := true
	_, err := chromedp.Call(tab, page.AddScriptToEvaluateOnNewDocument,
		page.AddScriptToEvaluateOnNewDocumentParams{Source: unplug, RunImmediately: &now})
	if err != nil {
		return BrowserNotClosed.New().Because(err)
	}
	open, err := chromedp.Run(tab, chromedp.Evaluate[bool](plugged))
	if err == nil && open {
		err = BrowserNotClosed.New()
	}
	return err
}

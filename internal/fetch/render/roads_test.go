package render

import (
	"context"
	"fmt"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"strings"
	"sync/atomic"
	"testing"

	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// canary counts what comes in on a port of this machine, over TCP and UDP.
type canary struct {
	port     int
	tcp, udp atomic.Int64
}

func newCanary(t *testing.T) *canary {
	c := &canary{}
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { _ = listener.Close() })
	c.port = listener.Addr().(*net.TCPAddr).Port
	go func() {
		for {
			conn, err := listener.Accept()
			if err != nil {
				return
			}
			c.tcp.Add(1)
			_ = conn.Close()
		}
	}()
	packets, err := net.ListenUDP("udp", &net.UDPAddr{IP: net.IPv4(127, 0, 0, 1), Port: c.port})
	require.NoError(t, err)
	t.Cleanup(func() { _ = packets.Close() })
	go func() {
		buffer := make([]byte, 2048)
		for {
			if _, _, err := packets.ReadFrom(buffer); err != nil {
				return
			}
			c.udp.Add(1)
		}
	}()
	return c
}

// roads is a page that tries every way out that a browser has, to a port of this machine.
const roads = `<!doctype html><title>roads</title><h1>Fine</h1>
<link rel=preconnect href="http://127.0.0.1:PORT"><link rel=preconnect href="https://127.0.0.1:PORT" crossorigin>
<link rel=dns-prefetch href="http://127.0.0.1:PORT"><link rel=prefetch href="http://127.0.0.1:PORT/a"><link rel=prerender href="http://127.0.0.1:PORT/b">
<link rel=modulepreload href="http://127.0.0.1:PORT/m.js"><link rel=manifest href="http://127.0.0.1:PORT/m.json"><link rel=icon href="http://127.0.0.1:PORT/i.ico">
<script type=speculationrules>{"prefetch":[{"source":"list","urls":["http://127.0.0.1:PORT/p"],"eagerness":"immediate"}],"prerender":[{"source":"list","urls":["http://127.0.0.1:PORT/q","/again"],"eagerness":"immediate"}]}</script>
<iframe src="http://127.0.0.1:PORT/f"></iframe><object data="http://127.0.0.1:PORT/o"></object><embed src="http://127.0.0.1:PORT/e">
<video src="http://127.0.0.1:PORT/v.mp4" autoplay></video><audio src="http://127.0.0.1:PORT/a.mp3" autoplay></audio><img src="http://127.0.0.1:PORT/x.png">
<iframe id=s srcdoc="<script>parent.go && parent.go(window)</script>"></iframe>
<script>
const at = '127.0.0.1:PORT'
function go(w) {
	for (const kind of ['RTCPeerConnection', 'webkitRTCPeerConnection']) try {
		const c = new w[kind]({iceServers: [{urls: 'stun:' + at}, {urls: 'turn:' + at + '?transport=udp', username: 'a', credential: 'b'},
			{urls: 'turn:' + at + '?transport=tcp', username: 'a', credential: 'b'}], iceCandidatePoolSize: 4})
		c.createDataChannel('x')
		c.createOffer().then(o => c.setLocalDescription(o))
		c.setRemoteDescription && c.addIceCandidate && setTimeout(() => c.addIceCandidate({candidate: 'candidate:1 1 udp 1 127.0.0.1 PORT typ host', sdpMid: '0'}).catch(() => {}), 300)
		;(w.kept ??= []).push(c)
	} catch (e) {}
	try { w.t = new w.WebTransport('https://' + at + '/') } catch (e) {}
	try { w.s = new w.WebSocket('ws://' + at) } catch (e) {}
	try { w.e = new w.EventSource('http://' + at) } catch (e) {}
	try { w.navigator.sendBeacon('http://' + at + '/b', 'x') } catch (e) {}
	try { w.fetch('http://' + at + '/k', {keepalive: true, mode: 'no-cors'}).catch(() => {}) } catch (e) {}
}
go(window)
for (const make of [() => document.createElement('iframe'), () => Object.assign(document.createElement('iframe'), {srcdoc: '<p>x'})]) {
	const f = make()
	document.body.append(f)
	go(f.contentWindow) // at once, before anything was loaded into it
	setTimeout(() => go(f.contentWindow), 100)
}
try { const w = window.open('about:blank'); w && go(w) } catch (e) {}
const work = 'const at = "127.0.0.1:PORT"; try { new WebTransport("https://" + at) } catch (e) {} try { new WebSocket("ws://" + at) } catch (e) {} fetch("http://" + at + "/w", {mode: "no-cors"}).catch(() => {})'
const blob = URL.createObjectURL(new Blob([work]))
new Worker(blob)
try { new SharedWorker(blob) } catch (e) {}
const a = Object.assign(document.createElement('a'), {href: '#x', ping: 'http://' + at + '/ping'})
document.body.append(a); a.click()
const form = Object.assign(document.createElement('form'), {action: 'http://' + at + '/form', method: 'post', target: 'nowhere'})
document.body.append(form); form.submit()
document.head.append(Object.assign(document.createElement('link'), {rel: 'preconnect', href: 'http://127.0.0.1:PORT'}))
</script>`

// wayOut returns the page, and a fetcher that reaches it and nothing else.
func wayOut(t *testing.T, c *canary) (address string, web *fetch.Fetcher) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		h := w.Header()
		h.Set("Content-Type", "text/html")
		h.Add("Link", fmt.Sprintf("<http://127.0.0.1:%d>; rel=preconnect", c.port))
		h.Set("Report-To", fmt.Sprintf(`{"group":"g","max_age":100,"endpoints":[{"url":"http://127.0.0.1:%d/r"}]}`,
			c.port))
		h.Set("Reporting-Endpoints", fmt.Sprintf(`g="http://127.0.0.1:%d/r"`, c.port))
		h.Set("NEL", `{"report_to":"g","max_age":100,"success_fraction":1.0}`)
		h.Set("Content-Security-Policy-Report-Only",
			fmt.Sprintf("default-src 'none'; report-uri http://127.0.0.1:%d/csp; report-to g", c.port))
		h.Set("Speculation-Rules", fmt.Sprintf(`"http://127.0.0.1:%d/rules.json"`, c.port))
		h.Set("Alt-Svc", fmt.Sprintf(`h3=":%d"; ma=3600`, c.port))
		_, _ = w.Write([]byte(strings.ReplaceAll(roads, "PORT", fmt.Sprint(c.port))))
	}))
	t.Cleanup(server.Close)
	own := netip.MustParseAddrPort(strings.TrimPrefix(server.URL, "http://"))
	dialer := &net.Dialer{}
	return server.URL, fetch.New(fetch.Options{
		Dial: func(ctx context.Context, network, address string) (net.Conn, error) {
			if address == own.String() {
				return dialer.DialContext(ctx, network, address)
			}
			return fetch.Dialer(fetch.Public)(ctx, network, address)
		}})
}

// No road leads out of a page that is rendered, neither over TCP nor over UDP.
func TestNoRoadOut(t *testing.T) {
	c := newCanary(t)
	address, web := wayOut(t, c)
	b := New(Options{Web: web})
	require.True(t, b.Available())
	defer b.Close()
	_, p := render(t, b, address)
	assert.Equal(t, "Fine", p.Headings[0].Text)
	_, _ = b.Render(context.Background(), fetch.Request{Address: address + "/again"}) // and time for what comes late
	assert.Zero(t, c.tcp.Load(), "TCP")
	assert.Zero(t, c.udp.Load(), "UDP")
}

// The same holds for a browser that was started elsewhere, without any flags of ours.
func TestNoRoadOutElsewhere(t *testing.T) {
	c := newCanary(t)
	address, web := wayOut(t, c)
	local := browser(t, 0)
	b := New(Options{Web: web, URL: elsewhere(t, local.options.Path)})
	defer b.Close()
	_, p := render(t, b, address)
	assert.Equal(t, "Fine", p.Headings[0].Text)
	_, _ = b.Render(context.Background(), fetch.Request{Address: address + "/again"})
	assert.Zero(t, c.tcp.Load(), "TCP")
	assert.Zero(t, c.udp.Load(), "UDP")
}

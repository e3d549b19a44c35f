package e2e

import (
	"context"
	_ "embed"
	"fmt"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/e2e/agreement"
	"inktally/e2e/browser"
	"inktally/internal/fetch"
	"inktally/internal/fetch/render"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/sync/errgroup"
)

// traps are small pages on which reading goes wrong easily.
var traps = []string{
	`<p>one<wbr>two three&shy;four five&#8203;six</p>`,
	`<ruby>kan<rp>(</rp><rt>ji</rt><rp>)</rp></ruby> word`,
	`a <math><mi>x</mi><mo>=</mo><mn>2</mn></math> b`,
	`<svg><title>no</title><desc>no</desc><text>one <tspan>two</tspan></text><text>three</text></svg>`,
	`<svg width=200 height=50><foreignObject width=200 height=50><p>in html</p></foreignObject></svg>`,
	`<svg><defs><text>no</text></defs><symbol><text>no</text></symbol><g><text>yes</text></g></svg>`,
	`<details><summary>sum</summary>closed <b>text</b></details> after`,
	`<details open>text<summary>sum</summary><summary>second</summary></details>`,
	`<details open><details><summary>inner</summary>x</details><summary>outer</summary>y</details>`,
	`<summary>alone</summary> text`,
	`<dialog>no</dialog><dialog open>yes</dialog>`,
	`<style>dialog{display:block}</style><dialog>shown by css</dialog>`,
	`<div popover>no</div><p>yes</p>`,
	`<div hidden=until-found>no</div>yes`,
	`a<div style="content-visibility:hidden">no</div>b`,
	`a<div style="visibility:hidden">no<span style="visibility:visible">yes</span></div>b`,
	`<table><tr style="visibility:collapse"><td>no</td></tr><tr><td>yes</td></tr></table>`,
	`<span style="display:inline-flex"><i>a</i><i>b</i></span><span style="display:inline-grid"><i>c</i><i>d</i></span>`,
	`<div style="display:flex">loose <b>item</b> text</div>`,
	`<div style="display:grid"><a>one</a><a>two</a></div>`,
	`a<span style="float:left">b</span>c`,
	`a<span style="position:absolute">b</span>c<span style="position:fixed">d</span>e`,
	`a<span style="position:relative">b</span>c`,
	`<ul style="display:contents"><li style="display:contents">a</li><li style="display:contents">b</li></ul>`,
	`<table><caption>cap</caption><colgroup><col></colgroup><thead><tr><th>a<th>b<tbody><tr><td>c<td>d</table>`,
	`<div style="display:table"><div style="display:table-row"><i style="display:table-cell">a</i><i style="display:table-cell">b</i></div></div>`,
	`x<span style="display:inline-table">a</span>y`,
	`<fieldset><legend>leg</legend>field</fieldset>`,
	`<button>Call</button><button>Book</button><label>Name</label><output>out</output>`,
	`<button><p>one</p><p>two</p></button>`,
	`<select><optgroup label=no><option>no</select><textarea>no</textarea><input value=no placeholder=no><datalist><option>no</datalist>yes`,
	`<iframe>no</iframe><object>no</object><audio>no</audio><video>no</video><canvas>no</canvas><noscript>no</noscript><template>no</template><progress>no</progress><meter>no</meter>yes`,
	"<pre>one two\nthree\tfour</pre>five",
	"<div style='white-space:pre-line'>one\ntwo</div><span style='white-space:pre'>three\nfour</span>",
	`<ul><li style="display:inline">a</li><li style="display:inline">b</li></ul>`,
	`<div style="display:inline">a</div><div style="display:inline">b</div>`,
	`<style>span{display:block}</style>a<span>b</span>c`,
	`<style>.x{display:none !important}</style><p class=x style="display:block">no</p>yes`,
	`<style>[hidden]{display:block}</style><p hidden>shown</p>`,
	`<style>@media (min-width:2000px){p{display:none}} @media screen and (max-width:1280px){b{display:none}}</style><p>yes</p><b>no</b>`,
	`<style>@supports (display:grid){i{display:none}} @supports not (display:grid){p{display:none}}</style><i>no</i><p>yes</p>`,
	`<style>p::before{content:"no no"} q{quotes:"x"}</style><p>yes</p><q>quoted</q>`,
	`<style>#a .b > p ~ p{display:none}</style><div id=a><div class=b><p>yes</p><p>no</p></div></div>`,
	`<style media=print>p{display:none}</style><style type=text/plain>p{display:none}</style><p>yes</p>`,
	`<p style="font-size:0">yes</p><p style="opacity:0">yes</p><p aria-hidden=true>yes</p><p style="text-indent:-9999px">yes</p><p style="height:0;overflow:hidden">yes</p>`,
	`<center>a</center><font>b</font><nobr>c</nobr><marquee>d</marquee>`,
	`<h1>Two<br>lines</h1><h2><img src=x.png></h2><h3 hidden>no</h3><h4><span style="display:none">no</span></h4>`,
	`<h2>With <b>bold</b><i> italic</i>&nbsp;space</h2><div style="display:none"><h2>no</h2></div>`,
	`<h1 style="visibility:hidden">no</h1><h2 style="display:inline">in</h2>line`,
	`<p>a&nbsp;b&emsp;c&#12288;d&#8232;e</p>`,
	`<ol><li>one<li>two<ul><li>three</ul></ol><dl><dt>t<dd>d</dl>`,
	`<p>chim<b>ney</b> <i>sweep</i>s</p><a href=#>li</a>nk`,
	`<div>a<!-- no -->b<script>no</script>c</div>`,
	`<xmp>raw <b>text</b></xmp><listing>more</listing>`,
	`<img alt="no"><input type=submit value=no><area alt=no>yes`,
	`<slot>fallback</slot><my-element>custom</my-element>`,
	`<div inert>yes</div><div contenteditable>yes</div>`,
	`<p style="display:-webkit-box;-webkit-line-clamp:1;overflow:hidden">cut <b>text</b> all the same</p>`,
	`<body style="display:flex"><span>a</span><span>b</span>`,
	`<style>p{display:none}p{display:block}</style><p>later wins</p><style>p:not(.k){visibility:hidden}</style>`,
	`<style>a:hover{display:none}li:first-child{display:none}li:nth-child(2n){visibility:hidden}</style><a href=#>link</a><ul><li>no<li>no<li>yes</ul>`,
	`<p>24/7 $1,500 well-kept it's - & | 2² 🔥 東京</p>`,
	`<table><tr><td style="display:block">a</td><td style="display:inline">b</td></tr></table>c`,
	`<span>a</span><span style="display:none"> </span><span>b</span> <span hidden>x</span> c`,
	`text before <hr> after`,
	`<img src="/a/b%20c-300x200.JPG?x=1"><img data-src=lazy.png src="data:,"><img src=i.png width=20 height=20><picture><source srcset=x.webp><img src=p@2x.png></picture>`,
	`<p>chimney sweep tarn. Harbor chimney sweep tarn harbor chimney sweep.</p><p>chimney <b>sweep</b> tarn<p>harbor chimney sweep`,
}

// scripted are small pages that only a browser can read.
var scripted = []string{
	`<p>one<script>document.body.insertAdjacentHTML('beforeend', '<h1>Two</h1><img src=/pics/three.jpg>')</script>`,
	`<p id=a hidden>one</p><p>two</p><script>document.getElementById('a').hidden = false</script>`,
	`<style>.on{display:none}</style><p>one</p><p id=a>two</p><script>a.className = 'on'</script>`,
	`<p>one</p><script>const s = new CSSStyleSheet(); s.replaceSync('p{display:none}'); document.adoptedStyleSheets = [s]</script>two`,
	`<style id=s></style><p>one</p><b>two</b><script>s.sheet.insertRule('b{display:block;visibility:hidden}')</script>`,
	`<dialog id=d>one <b>two</b></dialog><script>d.showModal()</script>three`,
	`<div popover id=d>one</div><script>d.showPopover()</script>two`,
	`<details id=d><summary>one</summary>two</details><script>d.open = true</script>`,
	`<script>customElements.define('x-a', class extends HTMLElement { connectedCallback() { this.textContent = 'one two' } })</script><x-a></x-a>three`,
	`<template id=t><p>one</p></template><script>document.body.append(t.content.cloneNode(true))</script><p>two`,
	`<p>one<script>document.write('<h2>two</h2>')</script>`,
	`<p>one<p id=a>two<script>setTimeout(() => { a.textContent = 'three four' }, 250)</script>`,
	`<p>one</p><img id=i data-real=/pics/roof-sweep.jpg src="data:image/gif;base64,R0lGOD"><script>new IntersectionObserver(() => { i.src = i.dataset.real }).observe(i)</script>`,
	`<div id=a style="display:flex"></div><script>for (const w of ['one', 'two']) { const s = document.createElement('span'); s.textContent = w; a.append(s) }</script>`,
	`<ul id=a style="white-space:pre-line"></ul><script>a.innerHTML = '<li>one\ntwo<li style="white-space:normal">three\nfour'</script>`,
	`<table id=t><tr><td>one</table><script>t.insertRow().insertCell().textContent = 'two'</script>`,
	`<p>one</p><script>document.querySelector('p').attachShadow({mode: 'open'}).innerHTML = 'shadow <slot></slot>'</script>`,
	`<svg id=s></svg><script>s.innerHTML = '<text>one</text><text style="display:none">two</text>'</script>three`,
	`<p>one</p><script>document.title = 'A title'; document.body.append(document.createTextNode('two'), document.createElement('br'), 'three')</script>`,
	`<select><option>no</select><textarea id=a></textarea><script>a.value = 'no no'</script>yes`,
}

// Words, headings, image names and phrase counts of small traps are those that
// the browser shows: as served, and as rendered by the program's own browser.
func TestTraps(t *testing.T) {
	all := append(append([]string{}, traps...), scripted...)
	server := trapServer(t, all)
	pages := render.New(render.Options{Web: fetch.New(fetch.Options{Guard: func(netip.Addr) error { return nil }})})
	defer pages.Close()
	drawings := make([]*page.Page, len(all))
	var group errgroup.Group
	group.SetLimit(2)
	for n := range all {
		group.Go(func() error {
			doc, err := pages.Render(context.Background(),
				fetch.Request{Address: fmt.Sprint(server.URL, "/", n), IgnoreRobots: true})
			drawings[n] = page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType, Rendered: true})
			return err
		})
	}
	require.NoError(t, group.Wait())
	ctx := browser.Start(t, nil)
	for n, trap := range all {
		facts := browser.Read(t, ctx, fmt.Sprint(server.URL, "/", n))
		if n < len(traps) {
			r := agreement.Compare(page.Read(trapPage(trap), page.Source{}), facts, 0)
			assert.Empty(t, r.Cause, "as served: %s\n%s\nbrowser: %q", trap, r.Detail, facts.Text)
		}
		if n >= len(traps) {
			facts = browser.Settled(t, ctx)
		}
		r := agreement.Compare(drawings[n], facts, 0)
		assert.Empty(t, r.Cause, "as rendered: %s\n%s\nbrowser: %q", trap, r.Detail, facts.Text)
	}
}

// trapServer serves each trap under its number.
func trapServer(t *testing.T, traps []string) *httptest.Server {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		var n int
		if _, err := fmt.Sscanf(r.URL.Path, "/%d", &n); err != nil {
			w.WriteHeader(http.StatusNotFound)
			return
		}
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		_, _ = w.Write(trapPage(traps[n]))
	}))
	t.Cleanup(server.Close)
	return server
}

// The traps of style sheets, a page a line: \n is a line end.
//
//go:embed testdata/traps.txt
var sheetTraps string

// What style sheets show and hide is what the browser shows and hides.
func TestSheetTraps(t *testing.T) {
	traps := strings.Split(strings.TrimSpace(sheetTraps), "\n")
	var addresses []string
	for n := range traps {
		traps[n] = strings.ReplaceAll(traps[n], `\n`, "\n")
	}
	server := trapServer(t, traps)
	for n := range traps {
		addresses = append(addresses, fmt.Sprint(server.URL, "/", n))
	}
	shown, err := browser.AskFrames(browser.Start(t, nil), addresses)
	require.NoError(t, err)
	require.Len(t, shown, len(traps))
	for n, trap := range traps {
		r := agreement.Compare(page.Read(trapPage(trap), page.Source{}), shown[n], 0)
		assert.Empty(t, r.Cause, "%s\n%s\nbrowser: %q", trap, r.Detail, shown[n].Text)
	}
}

func trapPage(trap string) []byte {
	return []byte("<!doctype html><html lang=en><meta charset=utf-8>" + trap)
}

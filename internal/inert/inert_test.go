package inert

import (
	"bytes"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/html"
)

const restless = `<!doctype html><html><head><meta charset=utf-8><meta http-equiv=refresh content="0;url=http://evil.example"><base href=http://evil.example>
<title>Sweep</title><link rel=preconnect href=http://evil.example><link rel=dns-prefetch href=//evil.example><link rel=prefetch href=http://evil.example/x>
<script type=speculationrules>{"prerender":[{"source":"list","urls":["http://evil.example"]}]}</script><style>b{color:red}</style></head>
<body onload=alert(1) background=http://evil.example/b.png><h1 class=a id=b onclick=x()>Sweep</h1><!--[if IE]><script></script><![endif]-->
<iframe src=http://evil.example srcdoc="<script></script>"></iframe><object data=x></object><img src=http://evil.example/p.png srcset="a 1x" alt=roof><picture><source srcset=x></picture>
<a href="javascript:alert(1)">a</a><a href="http://shop.example/x" ping=http://evil.example target=_top>b</a><a href=" JaVaScRiPt:x">c</a><form action=http://evil.example><input name=q></form>
<svg><script>x</script><use href=http://evil.example#x /><a xlink:href="javascript:x"><text>t</text></a><animate attributeName=href to=javascript:x /></svg>
<math><maction actiontype="statusline" xlink:href="javascript:x">m</maction></math><video src=x autoplay></video><template><script>x</script></template><noscript><img src=x></noscript></body>`

// Nothing that acts is left, and what is to be seen is.
func TestPage(t *testing.T) {
	out, err := Marked([]byte(restless), "text/html", "")
	require.NoError(t, err)
	says := string(out)
	for _, gone := range []string{"evil.example", "javascript:", "<script", "<link", "<iframe", "<base", "http-equiv",
		"onload", "onclick", "ping", "srcset", "srcdoc", "action=", "<!--[", "xlink", "<video", "<template"} {
		assert.NotContains(t, strings.ToLower(says), gone)
	}
	for _, there := range []string{"<title>Sweep</title>", `<h1 class="a" id="b">Sweep</h1>`, `alt="roof"`,
		`href="http://shop.example/x"`, "b{color:red}"} {
		assert.Contains(t, says, there)
	}
	latin, err := Marked([]byte("<p>caf\xe9"), "text/html; charset=windows-1252", "")
	require.NoError(t, err)
	assert.Contains(t, string(latin), "café")
}

// What is looked for is marked wherever a browser would find it, whatever its case; the first can be gone to.
func TestMarked(t *testing.T) {
	out, err := Marked([]byte(`<title>Chimney sweep</title><p>A CHIMNEY  sweep, a chimney sweep <b>and</b> chimney sweeps.`+
		`<textarea>chimney sweep</textarea>`), "text/html", " Chimney sweep ")
	require.NoError(t, err)
	assert.Equal(t, 2, bytes.Count(out, []byte("<mark")))
	assert.Equal(t, 1, bytes.Count(out, []byte(`id="`+First+`"`)))
	assert.Contains(t, string(out), ">chimney sweep</mark>s.")
	out, err = Marked([]byte("<p>no such words"), "text/html", "chimney sweep")
	require.NoError(t, err)
	assert.NotContains(t, string(out), "<mark")
}

// Whatever comes in, what comes out stays still when it is read once more: a page cannot hide
// in how it is parsed twice.
func FuzzPage(f *testing.F) {
	f.Add([]byte(restless), "")
	f.Add([]byte("<svg><style><img src=x "+
		"onerror=alert(1)></style></svg><math><mtext><table><mglyph><style><!--</style><img title=\"--&gt;&lt;img "+
		"src=1 onerror=alert(1)&gt;\">"), "img")
	f.Add([]byte("<noscript><p title=\"</noscript><img src=x "+
		"onerror=alert(1)>\"></noscript><xmp><script>x</script></xmp><plaintext><script>"), "x")
	f.Fuzz(func(t *testing.T, body []byte, mark string) {
		out, err := Marked(body, "text/html; charset=utf-8", mark)
		if err != nil {
			return
		}
		doc, err := html.Parse(bytes.NewReader(out))
		if err != nil {
			return
		}
		for n := range doc.Descendants() {
			if n.Type != html.ElementNode {
				continue
			}
			assert.False(t, acts(n), "%s in %q", n.Data, out)
			for _, a := range n.Attr {
				assert.True(t, stays(a), "%s of %s in %q", a.Key, n.Data, out)
			}
		}
	})
}

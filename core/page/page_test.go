package page

import (
	"net/url"
	"strings"
	"testing"

	"inktally/core/imagesource"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/japanese"
	"golang.org/x/text/encoding/korean"
	"pgregory.net/rapid"
)

// blocksOf spells the visible blocks of a body, parted by bars; hidden ones
// stand in square brackets.
func blocksOf(body string) string {
	p := Read([]byte(body), Source{})
	var out []string
	for i := range p.Blocks {
		t := p.Text(i)
		if p.Blocks[i].Hidden {
			t = "[" + t + "]"
		}
		out = append(out, t)
	}
	return strings.Join(out, "|")
}

func TestBlocks(t *testing.T) {
	for _, c := range []struct{ name, html, want string }{
		{"paragraphs", "<p>One</p><p>two</p>", "One|two"},
		{"inline joins", "<b>chim</b>ney", "chimney"},
		{"inline-block joins", "<button>Call</button><button>Book</button>", "CallBook"},
		{"space between", "<button>Call</button> <button>Book</button>", "Call Book"},
		{"br", "one<br>two", "one|two"},
		{"white space", "<p> a \n\t b&nbsp;c </p>", "a b c"},
		{"cells", "<table><tr><td>a</td><td>b</td></tr><tr><td>c</td></tr></table>", "a|b|c"},
		{"li made inline", `<ul><li style="display:inline">a</li><li style="display:inline">b</li></ul>`, "ab"},
		{"span made block", `a<span style="display:block">b</span>c`, "a|b|c"},
		{"flex children", `<div style="display:flex"><span>a</span><span>b</span></div>`, "a|b"},
		{"inline-flex children", `<span style="display:inline-flex"><b>a</b><b>b</b></span>`, "a|b"},
		{"float", `a<span style="float:left">b</span>c`, "a|b|c"},
		{"absolute", `a<span style="position:absolute">b</span>c`, "a|b|c"},
		{"hidden ends no block", `chim<span hidden>x</span>ney<div style="display:none">y</div>s`, "[x]|[y]|chimneys"},
		{"two hidden parts", `<b hidden>x</b><b hidden>y</b>z`, "[x]|[y]|z"},
		{"hidden is weak", `<style>p{display:block}</style><p hidden>a</p>`, "a"},
		{"invisible with a visible child", `<div style="visibility:hidden">a<b style="visibility:visible">b</b></div>`,
			"[a]|b"},
		{"closed details", "<details><p>rest</p><summary>sum</summary></details>", "sum|[rest]"},
		{"open details", "<details open><p>rest</p><summary>sum</summary></details>", "sum|rest"},
		{"dialog", "<dialog>a</dialog><dialog open>b</dialog>", "[a]|b"},
		{"popover", "<div popover>a</div>b", "[a]|b"},
		{"never text", "<script>a</script><noscript>b</noscript><select><option>c</select><textarea>d</textarea>" +
			"<iframe>e</iframe><video>f</video><canvas>g</canvas><template>h</template><svg><title>i</title></svg>k",
			"k"},
		{"svg text", "<svg><text>a</text><text>b</text><g>c</g></svg>", "a|b"},
		{"pre", "<pre>a b\nc</pre>", "a b|c"},
		{"style element", "<style>.m, #n {display:none} @media (max-width:600px) {.d{display:none}} " +
			"@media print{.d{display:none}}</style><p class=m>a</p><p id=n>b</p><p class='x d'>c</p>", "[a]|[b]|c"},
		{"importance", "<style>.a{display:none!important}</style><p class=a style='display:block'>x</p>", "[x]"},
		{"specificity", "<style>#a{display:block} p{display:none}</style><p id=a>x</p><p>y</p>", "x|[y]"},
		{"seen all the same",
			`<p style="opacity:0">a</p><p aria-hidden=true>b</p><p style="position:absolute;left:-999px">c</p>`,
			"a|b|c"},
		{"ruby", "<ruby>k<rp>(</rp><rt>t</rt><rp>)</rp></ruby>", "kt"},
	} {
		t.Run(c.name, func(t *testing.T) {
			assert.Equal(t, c.want, blocksOf(c.html), c.name)
		})
	}
}

func TestRegionsAndWords(t *testing.T) {
	body := `<title> Two
	 words </title><meta name=Description content=" a  b "><body class="has-sidebar footer">
	<header><a href=/>Logo here</a><nav><a href=/a>Alpha</a> <a href=/b>Beta</a></nav></header>
	<p>before any heading</p>
	<h1>Main head</h1><p>four words of copy</p>
	<h2>Sub <span hidden>not</span> head</h2><p>three more words</p>
	<ul><li><a href=1>l1</a><li><a href=2>l2</a><li><a href=3>l3</a><li><a href=4>l4</a><li><a href=5>l5</a></ul>
	<div class="site-footer"><h3>Reach us</h3><p>in the footer</p></div>`
	p := Read([]byte(body), Source{})
	assert.Equal(t, "Two words", p.Title)
	assert.Equal(t, "a b", p.Description)
	assert.Equal(t, Words{Seen: 28, Copy: 14, Hidden: 1}, p.Words)
	require.Len(t, p.Headings, 3)
	assert.Equal(t, Heading{Level: 1, Text: "Main head", Words: 6, Within: 11, Block: 3}, p.Headings[0])
	assert.Equal(t, "Sub head", p.Headings[1].Text)
	assert.Equal(t, 5, p.Headings[1].Words)
	assert.Equal(t, 0, p.Headings[2].Words)
	assert.Equal(t, 3, p.Lead())
}

func TestBannerThatHoldsCopy(t *testing.T) {
	p := Read([]byte(`<header><h1>Sweeps of the town</h1><p>Call us</p><nav><a href=/>Home</a></nav></header>`),
		Source{})
	assert.Equal(t, Words{Seen: 7, Copy: 6}, p.Words)
	p = Read([]byte(`<header><p>Call us</p></header><main><header><p>not a banner</p></header></main>`), Source{})
	assert.Equal(t, Words{Seen: 5, Copy: 3}, p.Words)
	p = Read([]byte(`<header><p>one two three four five six seven eight nine ten eleven twelve</p></header>`), Source{})
	assert.Equal(t, Words{Seen: 12, Copy: 12}, p.Words)
}

func TestImages(t *testing.T) {
	body := `<h2>Flues</h2>
	<img src="/a/IMG_2041.JPG?x=1" alt=""><img src="data:image/gif;base64,R0" data-src="b%20c-300x200.png">
	<img srcset="s-1.jpg 1x, big,one.jpg 2x" alt="big"><img src=i.png width=20 height=20><img src=w.png width=20>
	<picture><source srcset=x.webp><img src=p-scaled.webp></picture>
	<div hidden><img src=h@2x.png></div><div style="background:url('bg.jpg'), url(two.png)"></div>
	<noscript><img src=n.png></noscript><template><img src=t.png></template><svg><image href=q.png /></svg>
	<img src="data:image/png;base64,AAAA">`
	p := Read([]byte(body), Source{})
	var got []string
	for _, i := range p.Images {
		name := i.File + i.Ext
		if i.Alt != nil {
			name += "(" + *i.Alt + ")"
		}
		if i.Hidden {
			name += " hidden"
		}
		if i.Background {
			name += " bg"
		}
		got = append(got, name)
	}
	assert.Equal(t, []string{"IMG_2041.JPG()", "b c.png", "big,one.jpg(big)", "w.png", "p.webp", "h.png hidden",
		"bg.jpg bg", "two.png bg", ""}, got)
	assert.Equal(t, "Flues", p.Images[0].Heading)
}

func TestFileName(t *testing.T) {
	for src, want := range map[string]string{
		"https://x.example/a/chimney-sweep.jpg?w=1#z": "chimney-sweep",
		"photo-1024x768@2x.png":                       "photo",
		"hero_thumb.jpeg":                             "hero",
		"a/b/":                                        "",
		"no-extension":                                "no-extension",
		"caf%C3%A9.webp":                              "café",
		"%zz.png":                                     "%zz",
		"logo.final.svg":                              "logo.final",
	} {
		t.Run(src, func(t *testing.T) {
			name, _, _, _ := imagesource.FileName(src)
			assert.Equal(t, want, name, src)
		})
	}
}

// A file's name is the same wherever the file lies, in whatever size and form.
func TestFileNameInOtherAddresses(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		want := rapid.StringMatching(`[a-zA-Z][a-zA-Z éß_&(),!+-]{0,20}[a-zé]`).Draw(t, "name")
		ext := rapid.SampledFrom([]string{".jpg", ".JPEG", ".webp", ".png"}).Draw(t, "extension")
		folder := rapid.SampledFrom([]string{"", "/", "/a b/c.d/", "http://x.example/", "//cdn.example/w_300,h_200/v1/",
			"../../pics/", "./"}).Draw(t, "folder")
		size := rapid.SampledFrom([]string{"", "-1024x768", "@2x", "-scaled", "_thumb", "-300x200@2x"}).Draw(t, "size")
		tail := rapid.SampledFrom([]string{"", "?v=1.2.3", "?url=/other.gif&w=20", "#top", "?#"}).Draw(t, "tail")
		written := strings.ReplaceAll(url.PathEscape(want), "+", "%2B")
		if rapid.Bool().Draw(t, "as it is") {
			written = want
		}
		name, e, _, _ := imagesource.FileName(folder + written + size + ext + tail)
		assert.Equal(t, want, name, folder+written+size+ext+tail)
		assert.Equal(t, ext, e)
	})
}

func TestDecoding(t *testing.T) {
	const want = "café Straße"
	latin := "caf\xe9 Stra\xdfe"
	for name, c := range map[string]struct {
		body string
		src  Source
	}{
		"utf-8":      {"<meta charset=utf-8>" + want, Source{}},
		"undeclared": {"<p>" + want, Source{}},
		"bom":        {"\xef\xbb\xbf<meta charset=windows-1252>" + want, Source{}},
		"header":     {latin, Source{ContentType: "text/html; charset=ISO-8859-1"}},
		"meta":       {"<meta charset=windows-1252>" + latin, Source{}},
		"http-equiv": {`<meta http-equiv=Content-Type content="text/html; charset=windows-1252">` + latin, Source{}},
		"utf-16": {"\xff\xfe<\x00p\x00>\x00c\x00a\x00f\x00\xe9\x00 \x00S\x00t\x00r\x00a\x00\xdf\x00e\x00",
			Source{}},
		"wrong label": {"<meta charset=no-such-thing>" + want, Source{}},
	} {
		t.Run(name, func(t *testing.T) {
			p := Read([]byte(c.body), c.src)
			require.NotEmpty(t, p.Blocks, name)
			assert.Equal(t, want, p.Text(0), name)
		})
	}
}

// Undeclared pages in other scripts are detected by their letters.
func TestDetection(t *testing.T) {
	const ja = "煙突のそうじは、わたしたちにおまかせください。タルン港のえんとつ屋です。"
	const ko = "굴뚝 청소는 저희에게 맡겨 주세요. 항구 마을의 굴뚝 가게입니다."
	encode := func(e encoding.Encoding, s string) string {
		out, err := e.NewEncoder().String(s)
		require.NoError(t, err)
		return out
	}
	for name, c := range map[string]struct{ body, want string }{
		"shift_jis": {encode(japanese.ShiftJIS, ja), ja},
		"euc-jp":    {encode(japanese.EUCJP, ja), ja},
		"euc-kr":    {encode(korean.EUCKR, ko), ko},
		"utf-8":     {ja, ja},
		"windows-1252": {"caf\xe9 na\xefve \x93quoted\x94 \x96 stra\xdfe \xfcber \xe0 la carte",
			"café naïve “quoted” – straße über à la carte"},
	} {
		t.Run(name, func(t *testing.T) {
			p := Read([]byte("<title>x</title><p>"+c.body+"\n"), Source{})
			require.Len(t, p.Blocks, 1, name)
			assert.Equal(t, c.want, p.Text(0), name)
		})
	}
	p := Read([]byte("<meta charset=shift_jis><p>"+encode(japanese.ShiftJIS, ja)), Source{})
	assert.Equal(t, ja, p.Text(0))
}

// The worst pages give an empty reading with a warning (rule 1.1).
func TestWorstPages(t *testing.T) {
	assert.Contains(t, Read(nil, Source{}).Warnings, NoText)
	deep := Read([]byte(strings.Repeat("<div>", 2_000_000)), Source{})
	assert.Contains(t, deep.Warnings, NoText)
	assert.Contains(t, Read([]byte("\x00\x01\x02\x00\x00PNG\x00"), Source{}).Warnings, NotHTML)
	script := `<div id=root></div><script></script>`
	assert.Contains(t, Read([]byte(script), Source{}).Warnings, DrawnByScript)
	assert.Equal(t, "body > p.a", Read([]byte("<p class=a>x"), Source{}).Blocks[0].Path())
}

// Copy is a part of what is seen, and the sections add up to the copy.
func TestReadProperties(t *testing.T) {
	parts := []string{"<p>", "</p>", "word ", "<h2>", "</h2>", "<nav>", "</nav>", "<a href=x>", "</a>", "<div hidden>",
		"</div>", "<span style='display:block'>", "</span>", "<footer>", "</footer>", "<br>", "<li>", "two words ",
		"<header>",
		"</header>", "<h1>", "</h1>", "<main>", "</main>", "<details>", "<summary>", "</summary>", "</details>", "<td>",
		"<table>"}
	rapid.Check(t, func(t *rapid.T) {
		body := strings.Join(rapid.SliceOf(rapid.SampledFrom(parts)).Draw(t, "parts"), "")
		p := Read([]byte(body), Source{})
		assert.LessOrEqual(t, p.Words.Copy, p.Words.Seen)
		sum := p.Lead()
		assert.GreaterOrEqual(t, sum, 0)
		for _, h := range p.Headings {
			sum += h.Words
			assert.NotEmpty(t, h.Text)
		}
		assert.Equal(t, p.Words.Copy, sum)
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("<style>p{display:none}</style><p>a<img src=x.png style='background:url(y)'><h1>b"), "text/html")
	f.Fuzz(func(_ *testing.T, body []byte, contentType string) {
		Read(body, Source{ContentType: contentType})
	})
}

package page

import (
	"strings"
	"testing"

	"inktally/core/linked"
	"inktally/core/style"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// shown spells which of the letters a to z in single paragraphs are visible.
func shown(p *Page) string {
	var out strings.Builder
	for i := range p.Blocks {
		if !p.Blocks[i].Hidden {
			out.WriteString(p.Text(i))
		}
	}
	return out.String()
}

func TestCascade(t *testing.T) {
	for _, c := range []struct{ name, css, html, want string }{
		{"nested rule", ".a{color:red;.b{display:none}}", "<div class=a><p>a<p class=b>b</div><p class=b>c", "ac"},
		{"nested with ampersand", ".a{&.b{display:none}}", "<p class='a b'>a<p class=b>b", "b"},
		{"nested parents", ".a,.c{& > p{display:none}}", "<div class=c><p>a</div><p>b", "b"},
		{"is", ":is(.a,#b) p{display:none}", "<div class=a><p>a</div><div id=b><p>b</div><p>c", "c"},
		{"is takes the heaviest", ":is(.a,#b){display:none}.a.a{display:block}", "<p class=a>a", ""},
		{"where weighs nothing", ":where(#b){display:none}p{display:block}", "<p id=b>a", "a"},
		{"is with tags", "div:is(.a):is(.b){display:none}", "<div class='a b'>a</div><div class=a>b</div>", "b"},
		{"later layer wins", "@layer x,y;@layer y{p{display:block}}@layer x{#a{display:none}}", "<p id=a>a", "a"},
		{"no layer wins", "@layer x{#a{display:none}}p{display:block}", "<p id=a>a", "a"},
		{"important in a layer", "p{display:block!important}@layer x{p{display:none!important}}", "<p>a", ""},
		{"inline important", "p{display:none!important}", "<p style='display:block!important'>a", "a"},
		{"not", "p:not(.k){display:none}", "<p>a<p class=k>b", "b"},
		{"attribute", "[data-x='1,2'] b,p[lang]{display:none}", "<p lang=en>a<div data-x='1,2'><b>b</b></div><p>c",
			"c"},
		{"broken rule goes by", "p{{}} .b{display:none} ..c{display:none} .d{display:none",
			"<p class=b>a<p class=d>b<p>c", "c"},
		{"pseudo elements", ".a::before{display:none}.a:hover{display:none}", "<p class=a>a", "a"},
		{"comments", "/* p{display:none} */ .b{/* x */display:none/* y */}", "<p>a<p class=b>b", "a"},
		{"var", ":root{--d:none}.a{display:var(--d)}.b{display:var(--gone,block)}.c{display:var(--gone)}",
			"<p class=a>a<p class=b>b<p class=c>c", "bc"},
		{"var of a parent", ".x{--d:none}p{display:var(--d,block)}", "<div class=x><p>a</div><p>b", "b"},
		{"var of a var", ":root{--a:var(--b);--b:none}p{display:var(--a)}", "<p>a", ""},
		{"var that turns in a circle", ":root{--a:var(--b);--b:var(--a)}p{display:var(--a)}", "<p>a", "a"},
		{"var set inline", "p{display:var(--d,block)}", "<p style='--d:none'>a<p>b", "b"},
		{"escaped", `.sm\:hidden{display:none}`, "<p class='sm:hidden'>a<p>b", "b"},
		{"at-rule in a rule", ".a{color:red;@media (width>=40rem){display:none}}", "<p class=a>a<p>b", "b"},
		{"at-rule in a nested rule", ".a{&.b{@supports (display:grid){@media screen{display:none}}}}",
			"<p class='a b'>a<p class=a>b", "b"},
		{"at-rule in a rule that does not hold", ".a{@media print{display:none}}", "<p class=a>a", "a"},
		{"nested rule of siblings", ".a{+ .b{display:none}}", "<p class=a>a<p class=b>b<p class=b>c", "ac"},
		{"later declarations win over nested ones", "p{@media screen{display:none}display:block}", "<p>a", "a"},
		{"unknown pseudo voids the list", "i:bogus,.a{display:none}.b,i::-moz-x{display:none}",
			"<p class=a>a<p class=b>b", "ab"},
		{"known pseudo-elements do not", ".a,i::-webkit-x,i::selection{display:none}", "<p class=a>a<p>b", "b"},
		{"is forgives", ":is(.a,:bogus,.b:hover){display:none}", "<p class=a>a<p class=b>b", "b"},
		{"stray brace voids the next rule", "b{color:red}} .a{display:none} .b{display:none}",
			"<p class=a>a<p class=b>b", "a"},
		{"not of what nobody does", ".a:not(:focus-within){display:none}", "<p class=a>a<p>b", "b"},
		{"not of a list in is", "p:not(:is(.a,.b)){display:none}", "<p class=a>a<p class=b>b<p>c", "ab"},
		{"not of a chain", ".x:not(.y *){display:none}", "<div class=y><p class=x>a</div><p class=x>b", "a"},
		{"is of a chain behind a class", ".a:is(.x *){display:none}", "<div class=x><p class=a>a</div><p class=a>b",
			"b"},
		{"has", "div:has(> .x) p{display:none}", "<div><i class=x></i><p>a</div><div><b><i class=x></i></b><p>b</div>",
			"b"},
		{"direction", "p:dir(rtl){display:none}", "<p dir=rtl>a<p>b", "b"},
		{"open", "details:open p{display:none}", "<details open><summary>a</summary><p>b</details>", "a"},
		{"layers in layers", "@layer a{@layer b{p{display:none}}p{display:block}}", "<p>a", "a"},
		{"imported layers", "@import url(data:text/css,p%7Bdisplay:none%7D) layer(x); @layer y{p{display:block}}",
			"<p>a", "a"},
		{"sheet in an address", "@import 'data:text/css;base64,LmF7ZGlzcGxheTpub25lfQ==';", "<p class=a>a<p>b", "b"},
		{"import that does not hold", "@import url(data:text/css,p%7Bdisplay:none%7D) supports(display:bogus);", "<p>a",
			"a"},
		{"scope", "@scope (.x){p{display:none}}", "<div class=x><p>a</div><p>b", "b"},
		{"supports",
			"@supports (-moz-appearance:none){.a{display:none}}@supports not (display:bogus){.b{display:none}}",
			"<p class=a>a<p class=b>b", "a"},
		{"revert", "p{display:none}.a{display:revert}.b{all:revert}", "<p class=a>a<p class=b>b<p>c", "ab"},
		{"inherit", "div{visibility:hidden}.a{visibility:visible}.a b{visibility:hidden}.c b{visibility:inherit}",
			"<div><p class='a c'>a<b>b</b><p>c</div>", "ab"},
		{"initial voids a custom property", ":root{--x:initial}.a{display:var(--x,none)}", "<p class=a>a<p>b", "b"},
		{"escape in a value", `.a{disp\6c ay:no\6e e}.b{display:none\9}`, "<p class=a>a<p class=b>b", "b"},
		{"namespaces", "*|p.a{display:none}svg|p,p{display:none}", "<p class=a>a<p>b", "b"},
		{"hidden details of a name", "",
			"<details name=x open><summary>a</summary>b</details><details name=x open><summary>c</summary>d</details>",
			"abc"},
		{"hidden is no attribute of SVG", "", "<svg hidden><text>a</text></svg><p>b", "ab"},
		{"switch shows its first", "",
			"<svg><switch><text>a</text><text>b</text></switch><text visibility=hidden>c</text></svg>", "a"},
	} {
		t.Run(c.name, func(t *testing.T) {
			p := Read([]byte("<style>"+c.css+"</style><body>"+c.html), Source{})
			assert.Equal(t, c.want, shown(p), c.name)
		})
	}
}

// Boxes end blocks by what style sheets make of them, whatever the tag.
func TestBoxes(t *testing.T) {
	for _, c := range []struct {
		name, css, html string
		want            []string
	}{
		{"line break", "", "a<br>b", []string{"a", "b"}},
		{"hidden line break", "@media (min-width:600px){br{display:none}}", "a<br>b", []string{"ab"}},
		{"line break with the attribute", "", "a<br hidden>b<br style='visibility:hidden'>c", []string{"abc"}},
		{"picture", "", "a<img src=x.png>b", []string{"ab"}},
		{"picture made a block", "img{display:block}", "a<img src=x.png>b", []string{"a", "b"}},
		{"picture at a side", "", "a<img align=left src=x.png>b<img style='float:right'>c", []string{"a", "b", "c"}},
		{"drawing made a block", "svg{display:block}", "a<svg></svg>b", []string{"a", "b"}},
		{"field made a block", "", "a<input>b<input style='display:block'>c<input style='display:none'>d",
			[]string{"ab", "cd"}},
		{"paragraph made inline", "p{display:inline}", "a<p>b</p>c", []string{"a", "b", "c"}},
		{"division made inline", "div{display:inline}", "a<div>b</div>c", []string{"abc"}},
		{"display as around it", "span{display:inherit}", "<div>a<span>b</span>c</div>", []string{"a", "b", "c"}},
		{"hidden box", "i{display:none}", "a<i>b</i>c", []string{"ac"}},
	} {
		t.Run(c.name, func(t *testing.T) {
			p := Read([]byte("<style>"+c.css+"</style><body>"+c.html), Source{})
			var got []string
			for i := range p.Blocks {
				if !p.Blocks[i].Hidden {
					got = append(got, p.Text(i))
				}
			}
			assert.Equal(t, c.want, got, c.name)
		})
	}
}

// Sheets that say the same in other words show the same: within at-rules that
// hold, with a rule that matches nothing, or taken twice.
func TestSheetsInOtherWords(t *testing.T) {
	rules := []string{".a{display:none}", "p{display:block}", ".b:not(.c){visibility:hidden}", "div .c{display:none}",
		"#i{display:block!important}",
		".a.b{display:flex}", ":is(.a,.c){visibility:visible}", ":where(.b) p{display:none}", "div{.a{display:none}}",
		"p+p{visibility:hidden}",
		"@layer x{.a{display:block}}", "@media (max-width:700px){p{display:none}}", "p{--x:none}",
		".c{display:var(--x,block)}", "} .a{display:none}"}
	parts := []string{"<p>a</p>", "<p class=a>b</p>", "<p class='a b'>c</p>", "<div class=c><p class=b>d</p></div>",
		"<div><p class=c id=i>e</p></div>", "<div class=b><p>f</p><p class=a>g</p></div>"}
	rapid.Check(t, func(t *rapid.T) {
		css := strings.Join(rapid.SliceOfN(rapid.SampledFrom(rules), 0, 6).Draw(t, "rules"), "\n")
		body := strings.Join(rapid.SliceOfN(rapid.SampledFrom(parts), 1, 5).Draw(t, "parts"), "")
		of := func(css string) string { return shown(Read([]byte("<style>"+css+"</style><body>"+body), Source{})) }
		want := of(css)
		assert.Equal(t, want, of(css+"\n.nobody p{display:none}"))
		if !strings.Contains(css, "}\n}") && !strings.HasPrefix(css, "}") {
			assert.Equal(t, want, of("@media screen{"+css+"}"))
			assert.Equal(t, want, of("@supports (display:grid){@media (min-width:1px){"+css+"}}"))
			assert.Equal(t, want, of("@import url(x.css);"+css))
		}
		assert.Equal(t, want, of("<!-- "+css+"\n-->"))
		assert.Equal(t, want, of(css+"\n/* "+strings.ReplaceAll(css, "*/", "")))
		linked := Read([]byte("<link rel=stylesheet href=a.css><body>"+body),
			Source{URL: "http://ash.example/", Sheets: map[string]string{"http://ash.example/a.css": css}})
		assert.Equal(t, want, shown(linked))
	})
}

func TestLinkedSheets(t *testing.T) {
	body := []byte(`<base href="/css/"><link rel=stylesheet href=a.css><link rel="alternate stylesheet" href=alt.css>
		<link rel=preload as=style href=pre.css><link rel=stylesheet href=print.css media=print>
		<link rel=stylesheet disabled href=off.css><link REL="icon StyleSheet" href="b.css?v=1#x">
		<style>@import "c.css" screen; @import url(d.css) print;</style><p class=a>a<p class=b>b<p class=c>c<p class=e>e<p>z`)
	src := Source{URL: "http://brindleandash.example/deep/page.html"}
	const at = "http://brindleandash.example/css/"
	assert.Equal(t, []string{at + "a.css", at + "b.css?v=1", at + "c.css"}, Linked(body, src))
	assert.Equal(t, []string{at + "e.css", at + "sub/f.css"},
		linked.Imports(`@import "e.css"; @import url("sub/f.css") layer(x) screen;`, at+"a.css"))
	assert.Equal(t, "abcez", shown(Read(body, src)))
	src.Sheets = map[string]string{
		at + "a.css": "@import 'e.css'; .a{display:none}", at + "b.css?v=1": ".b{display:none}",
		at + "c.css": ".c{display:none}", at + "e.css": "@import 'a.css'; .e{display:none}",
	}
	src.Cache = &style.Cache{}
	for range 2 {
		p := Read(body, src)
		assert.Equal(t, "z", shown(p))
		assert.Empty(t, p.Warnings)
	}
	delete(src.Sheets, at+"a.css")
	p := Read(body, src)
	assert.Equal(t, "aez", shown(p))
	assert.Equal(t, []Warning{SheetMissing}, p.Warnings)
}

func TestSheetBackgrounds(t *testing.T) {
	p := Read([]byte(`<style>.h{background:#fff url("img/chimney.jpg") no-repeat}li{background-image:url(dot.png)}
		.off{background:none}.h::before{background:url(no.png)}</style>
		<div class=h></div><li>a<li>b<li class=off>c<div class=h style="background:url(own.jpg)"></div><div class=h hidden></div>`), Source{})
	var got []string
	for _, i := range p.Images {
		got = append(got, i.File)
	}
	assert.Equal(t, []string{"chimney", "dot", "own"}, got)
}

// The order of sheets decides between rules of the same weight.
func TestSheetOrder(t *testing.T) {
	read := func(first, second string) string {
		p := Read([]byte("<link rel=stylesheet href=a.css><style>"+second+"</style><p>x"),
			Source{URL: "http://ash.example/", Sheets: map[string]string{"http://ash.example/a.css": first}})
		return shown(p)
	}
	assert.Equal(t, "x", read("p{display:none}", "p{display:block}"))
	assert.Equal(t, "", read("p{display:block}", "p{display:none}"))
	assert.Equal(t, "", read("p{display:none}", "b{display:block}"), "the linked one counts")
}

func TestSheetOfManyRules(t *testing.T) {
	var css strings.Builder
	for range 30_000 {
		css.WriteString(".x .y > .z{display:none}\n")
	}
	deep := strings.Repeat("div ", 1000) + "p{display:none}" + strings.Repeat(":is(", 1000) + "p{display:none}"
	p := Read([]byte("<style>"+css.String()+deep+"</style><p>x"), Source{})
	assert.Equal(t, "x", shown(p))
}

func FuzzSheet(f *testing.F) {
	f.Add("@import 'a'; @layer x{.a:is(b,c){&:hover{display:none!important}}} @media (400px<=width<2in){p{float:left}}")
	f.Fuzz(func(t *testing.T, css string) {
		p := Read([]byte("<link rel=stylesheet href=a><p class=a><b id=c>x</b>"),
			Source{URL: "http://ash.example/", Sheets: map[string]string{"http://ash.example/a": css}})
		if len(p.Warnings) > 0 && p.Warnings[0] == SheetMissing {
			t.Fatal("the sheet was not read")
		}
	})
}

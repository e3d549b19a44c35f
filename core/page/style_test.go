package page

import (
	"strings"
	"testing"

	"inktally/core/style"

	"github.com/stretchr/testify/assert"
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
		{"attribute", "[data-x='1,2'] b,p[lang]{display:none}", "<p lang=en>a<div data-x='1,2'><b>b</b></div><p>c", "c"},
		{"broken rule goes by", "p{{}} .b{display:none} ..c{display:none} .d{display:none", "<p class=b>a<p class=d>b<p>c", "c"},
		{"pseudo elements", ".a::before{display:none}.a:hover{display:none}", "<p class=a>a", "a"},
		{"comments", "/* p{display:none} */ .b{/* x */display:none/* y */}", "<p>a<p class=b>b", "a"},
		{"var", ":root{--d:none}.a{display:var(--d)}.b{display:var(--gone,block)}.c{display:var(--gone)}", "<p class=a>a<p class=b>b<p class=c>c", "bc"},
		{"var of a parent", ".x{--d:none}p{display:var(--d,block)}", "<div class=x><p>a</div><p>b", "b"},
		{"var of a var", ":root{--a:var(--b);--b:none}p{display:var(--a)}", "<p>a", ""},
		{"var that turns in a circle", ":root{--a:var(--b);--b:var(--a)}p{display:var(--a)}", "<p>a", "a"},
		{"var set inline", "p{display:var(--d,block)}", "<p style='--d:none'>a<p>b", "b"},
		{"escaped", `.sm\:hidden{display:none}`, "<p class='sm:hidden'>a<p>b", "b"},
	} {
		p := Read([]byte("<style>"+c.css+"</style><body>"+c.html), Source{})
		assert.Equal(t, c.want, shown(p), c.name)
	}
}

func TestLinkedSheets(t *testing.T) {
	body := []byte(`<base href="/css/"><link rel=stylesheet href=a.css><link rel="alternate stylesheet" href=alt.css>
		<link rel=preload as=style href=pre.css><link rel=stylesheet href=print.css media=print>
		<link rel=stylesheet disabled href=off.css><link REL="icon StyleSheet" href="b.css?v=1#x">
		<style>@import "c.css" screen; @import url(d.css) print;</style><p class=a>a<p class=b>b<p class=c>c<p class=e>e<p>z`)
	src := Source{URL: "http://brindleandash.example/deep/page.html"}
	const at = "http://brindleandash.example/css/"
	assert.Equal(t, []string{at + "a.css", at + "b.css?v=1", at + "c.css"}, Linked(body, src))
	assert.Equal(t, []string{at + "e.css", at + "sub/f.css"}, Imports(`@import "e.css"; @import url("sub/f.css") layer(x) screen;`, at+"a.css"))
	assert.Equal(t, "abcez", shown(Read(body, src)))
	src.Sheets = map[string]string{
		at + "a.css": "@import 'e.css'; .a{display:none}", at + "b.css?v=1": ".b{display:none}", at + "c.css": ".c{display:none}",
		at + "e.css": "@import 'a.css'; .e{display:none}",
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

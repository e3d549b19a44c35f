package style

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestMedia(t *testing.T) {
	for query, want := range map[string]bool{
		"": true, "screen": true, "print": false, "all": true, "not print": true, "not screen": false, "tv": false,
		"speech":                             false,
		"only screen and (min-width: 600px)": true, "(max-width:1279px)": false, "(max-width: 80em)": true,
		"print, (min-width:1px)": true, "(width >= 1000px)": true, "(400px <= width < 1280px)": false,
		"(1000px>width)":         false,
		"(orientation:portrait)": false, "(prefers-color-scheme: dark)": false, "(hover:hover)": true, "(hover)": true,
		"not all and (monochrome)": true, "(bogus: 1)": false, "not (bogus: 1)": false, "(bogus: 1) or (color)": true,
		"(min-width:40em) or (max-width:100px)": true, "(min-width:40em)and (not (max-width:100px))": true,
		"((min-width:40em) and (max-width:2000px)) or (grid)": true, "(color) and (hover) or (grid)": false,
		"(min-width:600)": false, "(min-width:0)": true, "(min-width:20cm)": true, "(min-width:14in)": false,
		"(min-width:720pt)":       true,
		"(min-aspect-ratio:16/9)": false, "(min-aspect-ratio:1/1)": true, "(min-resolution:.001dpcm)": true,
		"(min-resolution:2dppx)":             false,
		"(-webkit-min-device-pixel-ratio:2)": false, "screen and (-webkit-transform-3d)": true,
		"(forced-colors:none)": true,
		"(forced-colors)":      false, "screen (color)": false, "screen and": false, "(": false, "not": false,
		"only screen":              true,
		"(-ms-high-contrast:none)": false, "(min-device-width : 768px) and (max-device-width : 1024px)": false,
	} {
		t.Run(query, func(t *testing.T) {
			assert.Equal(t, want, MediaMatches(query), query)
		})
	}
}

func TestSupports(t *testing.T) {
	for condition, want := range map[string]bool{
		"(display:grid)": true, "not (display:grid)": false, "(display:bogus)": false, "not (display:bogus)": true,
		"(-moz-appearance:none)": false, "(-webkit-appearance:none)": true, "(-webkit-touch-callout:none)": false,
		"(display:grid) and (not (display:inline-grid))": false, "((display:bogus) or (display:grid))": true,
		"selector(:has(a))": true, "not selector(:has(a))": false, "selector(:bogus)": false, "(--css:variables)": true,
		"((-webkit-hyphens:none) and (not (margin-trim:inline))) or " +
			"((-moz-orient:inline) and (not (color:rgb(from red r g b))))": false,
		"(position:sticky) or (position:-webkit-sticky)": true, "(DISPLAY:GRID)": true, "font-tech(color-COLRv1)": true,
	} {
		t.Run(condition, func(t *testing.T) {
			assert.Equal(t, want, supported(condition), condition)
		})
	}
}

func TestSelectors(t *testing.T) {
	for list, want := range map[string][]string{
		"a:hover, b":                    {"b"},
		"a:not(:hover)":                 {"a:not(.--never)"},
		"a::before, b:after":            nil,
		"a::-webkit-anything, b":        {"b"},
		"a:is(b, :bogus, :hover) c":     {"a:is(b,.--never) c"},
		"p:not(:is(.a,.b), i)":          {"p:not(.a,.b,i)"},
		"div:has(> .x, b)":              {"div:is(:has(b),:haschild(.x))"},
		`[data-a="1,2]"] b`:             {`[data-a="1,2]"] b`},
		`.sm\:p-1\.5, *|p, p:scope`:     {`.sm\:p-1\.5`, "p", "p:root"},
		"a\n >\tb":                      {"a  > b"},
		"p:nth-child(2n + 1)":           {"p:nth-child(2n + 1)"},
		"& b":                           {":root b"},
		"p:LANG('de', fr)":              {"p:lang(de)"},
		"x-a:not(:defined)":             {"x-a:not(:not(.--never))"},
		"details:open::details-content": nil,
	} {
		t.Run(list, func(t *testing.T) {
			got, ok := prepareList(list, false)
			assert.True(t, ok, list)
			assert.Equal(t, want, got, list)
		})
	}
	for _, list := range []string{"a:bogus, b", "a::-moz-placeholder, b", "a,", "", "} p", "a:not(:bogus)", "a b {",
		"svg|p", "p:not(", "a:-moz-any(b)", ":has(:bogus)"} {
		_, ok := prepareList(list, false)
		assert.False(t, ok, list)
	}
}

func TestCompounds(t *testing.T) {
	assert.Equal(t, []compound{
		{tag: "ul", id: "menu", then: '>'},
		{classes: []string{"a", "sm:w-1/2"}, then: '~'},
		{tag: "li", then: ' '},
		{classes: []string{"2xl"}},
	}, compounds(`UL#menu:not(.x > .y) > .a.sm\:w-1\/2[data-b=".c"] ~ li:nth-child(2 of .z) .\32 xl`))
	assert.Len(t, compounds(`a[`), 1)
	assert.Equal(t, "a\uFFFDb\uFFFDé", unescape(`a\20 b\9\e9`), "no blanks in names")
}

func TestInline(t *testing.T) {
	for style, want := range map[string]int{
		"color:red;width:10px;font-size:1em": 0, "display:none": 1, "COLOR:red;DISPLAY:none": 1, ";;float:left;": 1,
		"all:unset":       1,
		`disp\6c ay:none`: 1, "--x:1": 1, "display": 0, "display:none}": 0, "{display:none}": 0,
		"background:url(a;b.png);display:none": 2,
		"margin-top:-5px":                      0, "": 0,
		"position:absolute;white-space:pre;visibility:hidden;content-visibility:auto": 4,
	} {
		t.Run(style, func(t *testing.T) {
			set := inline(style)
			assert.Equal(t, want, len(set.list)+len(set.customs), style)
		})
	}
}

func TestCache(t *testing.T) {
	cache := &Cache{}
	for i := range 40 {
		cache.Parse(strings.Repeat(" ", cachedBytes/20+i))
	}
	assert.LessOrEqual(t, cache.bytes, cachedBytes)
	assert.Less(t, len(cache.sheets), 21)
	assert.Len(t, cache.order, len(cache.sheets))
	assert.Same(t, cache.Parse("p{}"), cache.Parse("p{}"))
}

// Sheets that were made to take long, or all memory, are read within bounds and
// what stands behind them counts.
func TestHostileSheets(t *testing.T) {
	many := func(s string) string { return strings.Repeat(s, 60_000) }
	for name, hostile := range map[string]string{
		"brackets":        "p" + many(":not(") + strings.Repeat(")", 60_000) + "{}",
		"open brackets":   "@media " + many("(") + strings.Repeat(")", 60_000) + "{}",
		"supports":        "@supports " + many("(not ") + strings.Repeat(")", 60_000) + "{}",
		"nested":          many("a{") + strings.Repeat("}", 60_000),
		"nesting signs":   strings.Repeat("&&&&&&&&&&{", 60) + "display:none" + strings.Repeat("}", 60),
		"nested in :is":   strings.Repeat("a,b,c,d:is(&,&,&,&) &{", 60) + "display:none" + strings.Repeat("}", 60),
		"at-rules":        many("@media screen{") + strings.Repeat("}", 60_000),
		"layers":          many("@layer a{") + strings.Repeat("}", 60_000),
		"many :is":        many(":is(a,b)") + "{display:none}",
		"combinators":     many("a>") + "b{display:none}",
		"declarations":    "a{" + many("b:c") + "{" + many("d:e") + "}}",
		"custom property": "a{--x:" + many("{(") + strings.Repeat(")}", 60_000) + "}",
		"escapes":         many(`\`) + `{display:none}`,
	} {
		t.Run(name, func(t *testing.T) {
			s := Parse(hostile + "\n.last{display:none}")
			assert.Len(t, s.byClass["last"], 1, name)
			assert.LessOrEqual(t, s.count, maxRules, name)
			Parse(hostile[:len(hostile)/2])
		})
	}
	assert.LessOrEqual(t, Parse(many("a,")+"b{display:none}").count, maxRules)
}

// Whatever a sheet holds, it is parsed within bounds, and so is each selector.
func FuzzParse(f *testing.F) {
	f.Add("@import 'a' layer(b.c) supports(display:grid) screen; .a{&:hover{@media " +
		"(400px<=width<2in){p{float:left}}}} } x{y:z")
	f.Add(`@scope (.a){b{display:none}} .\31 a:not(:is(x,y) z)[a="]"],::x{--a:{b};display:var(--a)!important`)
	f.Fuzz(func(t *testing.T, source string) {
		s := Parse(source)
		if s.count > maxRules {
			t.Fatal("too many rules")
		}
		inline(source)
		MediaMatches(source)
		supported(source)
	})
}

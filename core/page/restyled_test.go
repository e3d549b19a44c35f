package page

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// rule is a rule of a style sheet in its parts.
type rule struct{ selectors, declarations []string }

func (r rule) String() string {
	return strings.Join(r.selectors, ",") + "{" + strings.Join(r.declarations, ";") + "}"
}

func sheetOf(rules []rule) string {
	var b strings.Builder
	for _, r := range rules {
		b.WriteString(r.String())
	}
	return b.String()
}

var rules = rapid.SliceOfN(rapid.Custom(func(t *rapid.T) rule {
	selector := rapid.SampledFrom([]string{"p", ".a", ".b", "#one", "div > p", ".a p", "p + p", "span:not(.a)",
		"li:first-child", "[data-x]", "p:nth-child(2n)", "div .b", "*", ".a.b", "section span", "h2 ~ p"})
	declaration := rapid.SampledFrom([]string{"display:none", "display:block", "display:inline", "display:flex",
		"visibility:hidden",
		"visibility:visible", "display:none !important", "display:block!important", "float:left", "float:none",
		"position:absolute",
		"white-space:pre", "color:red", "--x:none", "display:var(--x)", "content-visibility:hidden", "display:revert",
		"all:unset"})
	return rule{rapid.SliceOfN(selector, 1, 3).Draw(t, "selectors"),
		rapid.SliceOfN(declaration, 1, 3).Draw(t, "declarations")}
}), 0, 8)

const styled = `<!doctype html><html lang=en><head>%s</head><body><h2>Head</h2><p class=a>one <span>two</span> three</p><p>four
five</p><div class="a b" id=one>six<p class=b>seven <span class=a>eight</span></p><p data-x>nine</p></div><section class=b>ten
<span data-x>eleven<b>twelve</b></span><ul><li>thirteen<li class=b style="display:block">fourteen</ul></section></body></html>`

func readStyled(head string, sheets map[string]string) string {
	return gist(Read([]byte(fmt.Sprintf(styled, head)), Source{URL: "http://x.example/", Sheets: sheets}))
}

// A style sheet written in another way shows and hides the same.
func TestSheetWrittenAnotherWay(t *testing.T) {
	ways := map[string]func(rules []rule) (head string, sheets map[string]string){
		"comments": func(rules []rule) (string, map[string]string) {
			noted := strings.NewReplacer("{", "/* a } note */{ /**/", ":", " : /* ; */ ", ";", " ; ", "}", " ;; } ",
				"\x01", ":")
			return "<style>" + noted.Replace(withoutColons(rules)) + "</style>", nil
		},
		"capitals": func(rules []rule) (string, map[string]string) {
			return "<STYLE TYPE='TEXT/CSS'>" + strings.NewReplacer("display", "DISPLAY", "none", "None", "visibility",
				"Visibility",
				"important", "IMPORTANT", "var(", "VAR(", "p{", "P{").Replace(sheetOf(rules)) + "</STYLE>", nil
		},
		"a rule a selector": func(rules []rule) (string, map[string]string) {
			var apart []rule
			for _, r := range rules {
				for _, s := range r.selectors {
					apart = append(apart, rule{[]string{s}, r.declarations})
				}
			}
			return "<style>" + sheetOf(apart) + "</style>", nil
		},
		"a rule a declaration": func(rules []rule) (string, map[string]string) {
			var apart []rule
			for _, r := range rules {
				for _, d := range r.declarations {
					apart = append(apart, rule{r.selectors, []string{d}})
				}
			}
			return "<style>" + sheetOf(apart) + "</style>", nil
		},
		"media":     around("@media screen and (min-width: 800px), print {", "}"),
		"supports":  around("@supports (display: grid) and (not (display: nonsense)) {", "}"),
		"one layer": around("@layer base {", "}"),
		"broken before": around(
			`} p { display: none; ] .x { color: red } } @nonsense { p { display: none } } @import "late.css";
			<!-- --> p:unknown, p { display: none } p { display: nonsense; visibility hidden; display } `, ""),
		"broken behind": around("",
			`.nobody, a:hover { display: none } p::before { display: none } p { } { display: none } @media print { * { display: none } } p { display`),
		"linked": func(rules []rule) (string, map[string]string) {
			return "<link rel=stylesheet href=a.css>", map[string]string{"http://x.example/a.css": sheetOf(rules)}
		},
		"imported": func(rules []rule) (string, map[string]string) {
			return "<style>@import url(a.css) screen;</style>",
				map[string]string{"http://x.example/a.css": "@charset \"utf-8\";" + sheetOf(rules)}
		},
		"in pieces": func(rules []rule) (string, map[string]string) {
			half := len(rules) / 2
			return "<style>" + sheetOf(rules[:half]) +
					"</style><style media=print>*{display:none}</style><link rel=stylesheet href=b.css>",
				map[string]string{"http://x.example/b.css": sheetOf(rules[half:])}
		},
		"is": func(rules []rule) (string, map[string]string) {
			var is []rule
			for _, r := range rules {
				for _, s := range r.selectors {
					is = append(is, rule{[]string{":is(" + s + ")"}, r.declarations})
				}
			}
			return "<style>" + sheetOf(is) + "</style>", nil
		},
		"nested": func(rules []rule) (string, map[string]string) {
			// :where adds nothing to what a rule weighs.
			return "<style>:where(html) { " + nested(rules) + " }</style>", nil
		},
	}
	rapid.Check(t, func(t *rapid.T) {
		drawn := rules.Draw(t, "rules")
		want := readStyled("<style>"+sheetOf(drawn)+"</style>", nil)
		for name, way := range ways {
			head, sheets := way(drawn)
			assert.Equal(t, want, readStyled(head, sheets), "%s: %s\n%s", name, head, sheets)
		}
	})
}

func around(before, after string) func([]rule) (string, map[string]string) {
	return func(rules []rule) (string, map[string]string) {
		return "<style>" + before + sheetOf(rules) + after + "</style>", nil
	}
}

// nested writes rules as those within another one, which stand for themselves
// by their &.
func nested(rules []rule) string {
	var b strings.Builder
	for _, r := range rules {
		var selectors []string
		for _, s := range r.selectors {
			selectors = append(selectors, "& "+s)
		}
		b.WriteString(rule{selectors, r.declarations}.String())
	}
	return b.String()
}

// withoutColons writes a sheet with another sign for the colons of its selectors.
func withoutColons(rules []rule) string {
	var plain []rule
	for _, r := range rules {
		p := rule{declarations: r.declarations}
		for _, s := range r.selectors {
			p.selectors = append(p.selectors, strings.ReplaceAll(s, ":", "\x01"))
		}
		plain = append(plain, p)
	}
	return sheetOf(plain)
}

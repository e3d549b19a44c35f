package target

import (
	"fmt"
	"html"
	"slices"
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// draft is a page as somebody writes it.
type draft struct {
	path, title, description string
	h1                       string
	parts                    []string // paragraphs; those that begin with "## " are subheads
	images                   []picture
}

type picture struct{ file, alt string }

func (d draft) html() string {
	var b strings.Builder
	fmt.Fprintf(&b, "<!doctype html><html lang=en><title>%s</title><meta name=description content=\"%s\"><nav><a href=/>Home</a> <a href=/c>Call us</a></nav><main>",
		html.EscapeString(d.title), html.EscapeString(d.description))
	if d.h1 != "" {
		fmt.Fprintf(&b, "<h1>%s</h1>", html.EscapeString(d.h1))
	}
	for _, p := range d.parts {
		tag := "p"
		if after, ok := strings.CutPrefix(p, "## "); ok {
			tag, p = "h2", after
		}
		fmt.Fprintf(&b, "<%s>%s</%s>", tag, html.EscapeString(p), tag)
	}
	for _, i := range d.images {
		fmt.Fprintf(&b, "<img src=\"/media/%s\" alt=\"%s\">", html.EscapeString(i.file), html.EscapeString(i.alt))
	}
	return b.String() + "</main>"
}

func (d draft) measured(q *sheet.Criteria) *sheet.Column {
	return sheet.Measure(page.Read([]byte(d.html()), page.Source{URL: "http://brindleandash.example" + d.path}), q)
}

// follow does what a target says, no more.
func (d *draft) follow(t Target) {
	switch t.Kind {
	case Title:
		d.title = t.Phrase + " " + d.title
	case Description:
		d.description += ". " + t.Phrase
	case Address:
		d.path = "/" + strings.ReplaceAll(t.Phrase, " ", "-") + "/"
	case H1:
		d.h1 += " " + t.Phrase
	case Subhead:
		d.parts = append(d.parts, "## "+t.Phrase)
	case Opening:
		d.parts = slices.Insert(d.parts, 0, t.Phrase+".")
	case Body:
		d.parts = append(d.parts, t.Phrase+".")
	case ImageName:
		d.images[t.Image].file = t.Wanted
	case Alt:
		if len(d.images) == 0 {
			d.images = append(d.images, picture{file: "team-at-work.jpg"})
		}
		d.images[0].alt = t.Phrase
	case Words:
		d.parts = append(d.parts, strings.Repeat("brick and soot on a roof in rain ", 1+t.Words.ToWrite/8))
	}
}

// A writer who does what the targets say has nothing left to do, and what was
// promised is no more than the families can bring.
func TestFollowedTargetsAreDone(t *testing.T) {
	phrases := []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "flue liner tarn harbor", "chimney sweep ostrey"}
	words := rapid.SampledFrom([]string{"chimney", "sweep", "sweeping", "Tarn Harbor", "the", "in", "flue liner", "soot.", "Welcome", "brick", "Ostrey", "we"})
	line := rapid.Custom(func(t *rapid.T) string {
		return strings.Join(rapid.SliceOfN(words, 0, 8).Draw(t, "words"), " ")
	})
	rapid.Check(t, func(t *rapid.T) {
		d := draft{path: "/", title: line.Draw(t, "title"), description: line.Draw(t, "description"), h1: line.Draw(t, "h1"),
			parts: rapid.SliceOfN(rapid.Map(line, func(s string) string { return strings.Repeat(s+" ", 12) }), 0, 6).Draw(t, "parts")}
		for range rapid.IntRange(0, 4).Draw(t, "images") {
			d.images = append(d.images, picture{rapid.SampledFrom([]string{"IMG_2041.jpg", "hero-final2.png", "chimney-sweep.jpg", "a.webp"}).Draw(t, "file"),
				line.Draw(t, "alt")})
		}
		kind := rapid.SampledFrom([]site.Kind{site.Home, site.Service, site.Area}).Draw(t, "kind")
		q := asked(phrases...)
		brings := leads(q, 143.57, 20, 5)
		rival := draft{path: "/", title: "Chimney sweep Tarn Harbor", parts: []string{strings.Repeat("word ", rapid.IntRange(0, 1700).Draw(t, "rival"))}}
		work := func() []Target {
			return StandardRules().Targets(Page{Kind: kind, Client: d.measured(q), Rivals: []*sheet.Column{rival.measured(q)}, Criteria: q, Leads: brings})
		}
		list := work()
		total, promised := 143.57+20+5, 0.0
		keys := map[string]bool{}
		for _, x := range list {
			promised += x.Gain
			assert.Positive(t, x.Minutes, x.Key)
			assert.False(t, keys[x.Key], "two targets %q", x.Key)
			keys[x.Key] = true
		}
		assert.LessOrEqual(t, promised, total*1.0001)
		for range 3 {
			for _, x := range list {
				d.follow(x)
			}
			list = work()
		}
		var left []string
		for _, x := range list {
			left = append(left, x.Key)
		}
		require.Empty(t, left, d.html())
	})
}

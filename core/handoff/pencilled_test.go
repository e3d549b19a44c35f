package handoff

import (
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/wordtarget"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

const swept = `<html><head><title>Home</title></head><body><nav><a href=/>Home</a> <a href=/old>Spring Specials</a></nav>
<main><h1>Welcome</h1><p>Family owned.</p><img src=/i/IMG_2041.jpg>
<p>For thirty years our family has kept the fires of Tarn Harbor burning clean, and the chimney sweeps know it.</p>
<h2>What we do</h2><p>Every autumn we answer the same call from the houses along the harbor: smoke in the room.</p>
<h2>Questions people ask</h2><p>How often should a chimney be swept by somebody who knows how it is done? Each year.</p>
<p>We serve Tarn Harbor and the towns nearby,
	whatever the weather.</p><h3>Lorem ipsum dolor</h3><p>Lorem ipsum dolor sit.</p>
<p>Call 207-555-0134 between eight and five.</p></main><footer><p>All rights reserved here.</p></footer></body></html>`

func criteriaOf(phrases ...string) *sheet.Criteria {
	asked := sheet.Asked{Language: phrase.LanguageOf("en", nil, phrase.Corrections{})}
	return sheet.NewCriteria(asked).For(phrases...)
}

func placing(key, family string, kinds ...plan.PartKind) plan.Target {
	t := plan.Target{Page: "p1", Key: key, Kind: plan.Placing, Phrase: family}
	for _, k := range kinds {
		t.Parts = append(t.Parts, plan.Part{Key: key + string(k), Kind: k, Slot: &plan.Gap{},
			Phrase: &plan.Saying{Family: family, Text: family}})
	}
	return t
}

func fixOf(typ finding.Type, texts ...string) plan.Target {
	f := &finding.Finding{Type: typ, Texts: texts}
	return plan.Target{Page: "p1", Key: string(typ), Kind: plan.Fix, Finding: f,
		Parts: []plan.Part{{Key: string(typ), Kind: plan.Repair}}}
}

// everything is a plan that asks for everything of a page.
func everything() *plan.Plan {
	questions := outline.Section{Key: "questions", Kind: outline.Questions, Heading: "Questions people ask",
		There: true,
		Words: 90}
	caps := outline.Section{Key: "caps", Kind: outline.ServiceText, Subject: "caps", Words: 100}
	slice := func(s outline.Section) plan.Target {
		return plan.Target{Page: "p1", Key: "slice " + s.Key, Kind: plan.Slice, Section: s, Parts: []plan.Part{
			{Key: "words " + s.Key, Kind: plan.Words, Words: s.Words},
			{Key: "in " + s.Key, Kind: plan.Body, Slot: &plan.Gap{}, Phrase: &plan.Saying{Text: "chimney cap"}}}}
	}
	dead := plan.Target{Page: "p1", Key: "dead", Kind: plan.Fix, Finding: &finding.Finding{Type: finding.DeadLink},
		Parts: []plan.Part{{Key: "dead", Kind: plan.DeadLink, Finding: &finding.Finding{Label: "Spring Specials"}}}}
	vague := fixOf(finding.VagueAreaWords, "and the towns nearby")
	vague.Kind = plan.VagueWords
	p := &plan.Plan{Words: map[string]wordtarget.Target{"p1": {Target: 2000}},
		Outlines: map[string][]outline.Section{"p1": {{Key: "lead", Kind: outline.LeadSection, There: true}, caps,
			questions}},
		Targets: []plan.Target{fixOf(finding.HTTPOnly), fixOf(finding.PlaceholderText, "Lorem ipsum dolor"), dead,
			vague,
			fixOf(finding.PhoneNotLinked, "207-555-0134"),
			placing("first", "chimney sweep tarn harbor", plan.Title, plan.Description, plan.Address, plan.H1,
				plan.Opening,
				plan.Subhead, plan.Body),
			slice(caps), slice(questions),
			{Page: "p1", Key: "images", Kind: plan.Images, Parts: []plan.Part{
				{Key: "name", Kind: plan.ImageName, Image: &plan.Picture{At: 0, File: "IMG_2041.jpg",
					Wanted: "cap.jpg"}},
				{Key: "alt", Kind: plan.Alt, Image: &plan.Picture{At: 0, Wanted: "A cap"}},
				{Key: "new", Kind: plan.ImageName, Image: &plan.Picture{At: -1, Wanted: "stove.jpg"}},
				{Key: "new alt", Kind: plan.Alt, Image: &plan.Picture{At: -1, Wanted: "A stove"}}}}}}
	return p
}

// marksOf returns all marks of a pencilled page.
func marksOf(p *Pencilled) []Mark {
	out := slices.Clone(p.Top)
	for _, h := range p.Head {
		out = append(out, h.Marks...)
	}
	for _, piece := range p.Pieces {
		out = append(out, piece.Marks...)
	}
	return out
}

// complete asserts that a pencilled page says all lines of its brief and nothing else, within the bounds of its texts,
// and that all of the page's own text stands in it once and in order.
func complete(t require.TestingT, p *Pencilled) {
	asked, said := map[*plan.Part]bool{}, map[*plan.Part]bool{}
	for _, s := range p.Sections {
		for _, l := range s.Lines {
			asked[l.Part] = true
		}
	}
	for _, m := range marksOf(p) {
		assert.True(t, asked[m.Part], "%s is in no line of the brief", m.Part.Key)
		assert.Positive(t, m.No)
		said[m.Part] = true
	}
	for part := range asked {
		assert.True(t, said[part], "%s is not said", part.Key)
	}
	if p.Now == nil {
		return
	}
	last, shown := -1, map[int]bool{}
	for _, piece := range p.Pieces {
		for _, m := range piece.Marks {
			if piece.Kind == OwnText {
				assert.True(t, 0 <= m.Start && m.Start <= m.End && m.End <= len(p.Now.Text(piece.Block)), m.Part.Key)
			}
		}
		if piece.Kind == OwnText {
			assert.Greater(t, piece.Block, last)
			last = piece.Block
			shown[piece.Block] = true
		}
	}
	for i := range p.Now.Blocks {
		if p.Now.Blocks[i].Copy() {
			assert.True(t, shown[i], "block %d is left out: %s", i, p.Now.Text(i))
		}
	}
}

// Each line stands where it belongs.
func TestPencilledOf(t *testing.T) {
	now := page.Read([]byte(swept), page.Source{URL: "http://brindle.example/"})
	p := PencilledOf(everything(), "p1", now, criteriaOf("chimney sweep tarn harbor"))
	complete(t, &p)
	var read []string
	for _, piece := range p.Pieces {
		says := string(piece.Kind)
		if piece.Kind == OwnText {
			text := now.Text(piece.Block)
			for _, m := range piece.Marks {
				mark := "+"
				if m.Goes {
					mark = "-"
				}
				says += " " + mark + "[" + text[m.Start:m.End] + "]" + m.Part.Key
			}
			says = strings.TrimPrefix(says, "text ")
			if len(piece.Marks) == 0 {
				says, _, _ = strings.Cut(text, " ")
			}
		} else {
			for _, m := range piece.Marks {
				says += " " + m.Part.Key
			}
		}
		read = append(read, says)
	}
	assert.Equal(t, []string{"+[Spring Specials]dead", "-[Welcome]firsth1", "Family", "picture name alt",
		"+[]firstopening", "heading words caps", "write words caps in caps", "picture new new alt",
		"+[]firstsubheads", "+[]firstbody", "Questions", "How",
		"-[and the towns nearby]vague_area_words", "write words questions in questions",
		"-[Lorem ipsum dolor]placeholder_text", "-[Lorem ipsum dolor sit.]placeholder_text",
		"+[207-555-0134]phone_not_linked", "frame"}, read)
	assert.Equal(t, []bool{true, false, true}, []bool{p.Head[0].Marks[0].Goes, p.Head[1].Marks[0].Goes,
		p.Head[2].Marks[0].Goes}, "a description that is not there yet replaces nothing")
	require.Len(t, p.Top, 1, "what is about the site stands above all")
}

// A page to make is pencilled from nothing.
func TestPencilledFromNothing(t *testing.T) {
	asked := everything()
	asked.Targets = asked.Targets[5:]
	p := PencilledOf(asked, "p1", nil, criteriaOf("chimney sweep tarn harbor"))
	complete(t, &p)
	var kinds []string
	for _, piece := range p.Pieces {
		kinds = append(kinds, string(piece.Kind))
	}
	assert.Equal(t, "heading phrase phrase heading write picture write picture", strings.Join(kinds, " "),
		"H1, what is to be said, the sections with their words, a picture beside each")
}

// Whatever a page is, all of its text stands in the copy, and all of the brief.
func TestPencilledStrangers(t *testing.T) {
	files, err := filepath.Glob("../../internal/practice/sites/*/*.html")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, file := range files {
		body, err := os.ReadFile(file)
		require.NoError(t, err)
		p := PencilledOf(everything(), "p1", page.Read(body, page.Source{URL: "http://brindle.example/a/"}),
			criteriaOf("chimney sweep tarn harbor"))
		complete(t, &p)
	}
	pieces := []string{"<h1>", "</h1>", "<h2>", "</h2>", "<p>", "</p>", "<li>", "<nav>", "</nav>", "<footer>",
		"</footer>",
		"<img src=IMG_1.jpg>", "Lorem ipsum dolor ", "and the towns nearby ", "207-555-0134 ", "Spring Specials ",
		"chimney sweep in tarn harbor ", "Questions people ask", "Ünïcödé İstanbul ", "<p hidden>",
		strings.Repeat("word ", 15)}
	rapid.Check(t, func(t *rapid.T) {
		body := strings.Join(rapid.SliceOf(rapid.SampledFrom(pieces)).Draw(t, "pieces"), "")
		p := PencilledOf(everything(), "p1", page.Read([]byte(body), page.Source{}),
			criteriaOf("chimney sweep tarn harbor"))
		complete(t, &p)
	})
}

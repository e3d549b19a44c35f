package handoff

import (
	"testing"

	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/wordtarget"

	"github.com/stretchr/testify/assert"
)

func TestBriefOf(t *testing.T) {
	dropped := plan.Choice{State: plan.Dropped}
	p := plan.Plan{Words: map[string]wordtarget.Target{"p1": {Target: 2000}}, Targets: []plan.Target{
		{Page: "p1", Key: "placing", Parts: []plan.Part{{Key: "body", Kind: plan.Body},
			{Key: "title", Kind: plan.Title},
			{Key: "h1", Kind: plan.H1, Choice: dropped}}},
		{Page: "p2", Key: "placing", Parts: []plan.Part{{Key: "title", Kind: plan.Title}}},
		{Page: "p1", Key: "images", Choice: dropped, Parts: []plan.Part{{Key: "alt", Kind: plan.Alt}}},
		{Page: "p1", Key: "slice", Parts: []plan.Part{{Key: "words", Kind: plan.Words}}},
	}}
	p.Outlines = map[string][]outline.Section{"p1": {
		{Key: "kept: our vans", Heading: "Our vans", There: true, Holds: 80},
		{Key: "towns", Heading: "Where we work", There: true, Holds: 20, Words: 100}, {Key: "about", Words: 90}}}
	now := page.Read([]byte(`<title>Sweeps</title><h1>Sweeps since 1990</h1>`), page.Source{})
	b := BriefOf(&p, "p1", now)
	assert.Equal(t, 2000, b.Words.Target)
	read := map[plan.Where][]string{}
	for _, s := range b.Sections {
		for _, l := range s.Lines {
			read[s.Where] = append(read[s.Where], l.Target.Key+" "+l.Part.Key)
		}
	}
	assert.Equal(t, map[plan.Where][]string{plan.Head: {"placing title"}, plan.Text: {"placing body", "slice words"}},
		read, "what is dropped and what is another page's stands in no section")
	assert.Equal(t, plan.Head, b.Sections[0].Where, "in the order of a brief")
	assert.Equal(t, []Stay{{Kind: plan.H1, Text: "Sweeps since 1990"},
		{Kind: plan.Subhead, Text: "Our vans", Words: 80}}, b.Stays,
		"what a line asks to change does not stay, nor does a section in which there is something to write")
}

// A section that is written is followed by what goes into it.
func TestLinesOfASection(t *testing.T) {
	slice := &plan.Target{Kind: plan.Slice}
	words, phrase := Line{Target: slice, Part: &plan.Part{Kind: plan.Words}},
		Line{Target: slice, Part: &plan.Part{Kind: plan.Body}}
	assert.Equal(t, []bool{true, false}, []bool{words.Heads(), words.Inside()})
	assert.Equal(t, []bool{false, true}, []bool{phrase.Heads(), phrase.Inside()})
	placing := Line{Target: &plan.Target{Kind: plan.Placing}, Part: &plan.Part{Kind: plan.Body}}
	assert.Equal(t, []bool{false, false}, []bool{placing.Heads(), placing.Inside()})
}

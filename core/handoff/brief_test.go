package handoff

import (
	"testing"

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
	b := BriefOf(&p, "p1")
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
}

package ladder

import (
	"testing"

	"inktally/core/plan"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func made(page, key string, kind plan.Kind, minutes float64, needs []plan.Ref, parts ...plan.Part) plan.Target {
	t := plan.Target{Page: page, Key: key, Kind: kind, Minutes: minutes, Needs: needs, Parts: parts,
		Choice: plan.Choice{State: plan.Open}}
	if kind == plan.Placing {
		t.Family = "f"
	}
	return t
}

func words(n int) plan.Part { return plan.Part{Kind: plan.Words, Words: n} }

var ofF = &plan.Saying{Family: "f"}

var client = []plan.Target{
	made("p1", "placing", plan.Placing, 20, nil, plan.Part{Kind: plan.Title, Phrase: ofF},
		plan.Part{Kind: plan.H1, Phrase: ofF},
		plan.Part{Kind: plan.Body, Phrase: &plan.Saying{Family: "f", Member: true}}),
	made("p1", "slice a", plan.Slice, 40, []plan.Ref{{Page: "p1", Key: "placing"}}, words(200)),
	made("p1", "slice b", plan.Slice, 90, []plan.Ref{{Page: "p1", Key: "placing"}, {Page: "p1", Key: "slice a"}},
		words(300)),
	made("p1", "images", plan.Images, 8, []plan.Ref{{Page: "p1", Key: "placing"}}, plan.Part{Kind: plan.ImageName},
		plan.Part{Kind: plan.ImageName, Phrase: ofF}),
	made("s", "new_page", plan.NewPage, 60, nil, words(100)),
	made("p2", "slice", plan.Slice, 5, nil, words(5000)),
}

func TestLadder(t *testing.T) {
	own := Figures{Words: 545, Slots: 2, Images: 1, Pages: 1, Reviews: 12, Listings: 4}
	r := Of("Old Saltbox", own, Figures{Words: 381, Slots: 4, Images: 0, Pages: 1, Reviews: 140, Links: 30,
		Listings: 4}, "p1", 8, client)
	leaders := map[Front]Leader{}
	for _, s := range r.Steps {
		leaders[s.Front] = s.Leader
	}
	assert.Equal(t, map[Front]Leader{Words: Client, Slots: Rival, Images: Client, Pages: Even, FoundFor: Unknown,
		Links: Unknown, Listings: Even, Reviews: Rival}, leaders)
	assert.Equal(t, []plan.Ref{{Page: "p1", Key: "placing"}, {Page: "p1", Key: "images"}, {Page: "s", Key: "new_page"}},
		r.Targets, "two slots of the placing and one of the images pass four; a page more")
	assert.InDelta(t, 88, r.Minutes, 1e-9)
	assert.Equal(t, []Front{Reviews}, r.Left, "no page can change that")
	assert.Empty(t, r.Short)
	far := Of("Harbor Flue", own, Figures{Words: 1700}, "p1", 8, client)
	assert.Equal(t, []Front{Words}, far.Short, "545 and 500 do not pass 1,700, and those of other pages do not count")
	near := Of("Lantern", own, Figures{Words: 700}, "p1", 8, client)
	assert.Equal(t, []plan.Ref{{Page: "p1", Key: "placing"}, {Page: "p1", Key: "slice a"}}, near.Targets,
		"the cheapest, with what it needs")
	full := Of("Full", Figures{Slots: 5}, Figures{Slots: 8}, "p1", 8, client)
	assert.Empty(t, full.Short, "all slots are enough")
	behind := Of("None", own, Figures{Words: 1}, "p1", 8, client)
	assert.Empty(t, behind.Targets)
}

// What a rung asks for does lead: with its targets done the client leads on every front of
// content that is not short; and it never asks for what was dropped.
func TestRungsLead(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		figures := func(name string) Figures {
			out := Figures{}
			for _, f := range Fronts() {
				if rapid.IntRange(0, 4).Draw(t, "known") > 0 {
					out[f] = float64(rapid.IntRange(0, map[Front]int{Words: 1500}[f]+6).Draw(t, name))
				}
			}
			return out
		}
		own, theirs := figures("own"), figures("theirs")
		list := append([]plan.Target{}, client...)
		if gone := rapid.IntRange(0, len(list)).Draw(t, "dropped"); gone < len(list) {
			list[gone].Choice.State = plan.Dropped
		}
		r := Of("x", own, theirs, "p1", 8, list)
		c := climb{list: list, page: "p1", taken: map[plan.Ref]bool{}}
		for _, id := range r.Targets {
			c.taken[id] = true
		}
		for _, s := range r.Steps {
			if !s.Front.Content() || s.Leader == Unknown {
				continue
			}
			after := s.Own
			for i := range list {
				if c.taken[list[i].Ref()] {
					assert.NotEqual(t, plan.Dropped, list[i].Choice.State)
					after += c.brings(&list[i], s.Front)
				}
			}
			short := false
			for _, f := range r.Short {
				short = short || f == s.Front
			}
			enough := after > s.Theirs || s.Front == Slots && after >= 8
			assert.Equal(t, short, !enough, "%s: %v against %v", s.Front, after, s.Theirs)
		}
	})
}

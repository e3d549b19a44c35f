package handoff

import (
	"testing"

	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/sheet"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// full is a walk-through in which every step has something to tell.
func full() *Walk {
	firm := Firm{Name: "Harbor Flue", Entry: 7, Figure: 1726}
	return &Walk{Client: "Brindle & Ash",
		Advantages: []Advantage{{Front: ladder.Reviews, Own: 90, Best: 40}},
		Words: &WordsTold{Own: 545, Target: 2000, ToWrite: 1455, Enough: 1500, Best: &firm,
			There: true},
		Phrase: &PhraseTold{Phrase: "chimney sweep tarn harbor", There: true, Own: Stands{Found: 1},
			Missing: []sheet.Slot{sheet.Title}},
		Images: &ImagesTold{Names: []Renamed{{"IMG_2041.jpg", "chimney-sweep.jpg"}}},
		Search: &SearchTold{Phrase: "chimney sweep tarn harbor", Own: ladder.Places{Organic: 14},
			Organic: []Result{{Position: 1, Name: "Harbor Flue", Kind: lineup.Business}}},
		Rival: &RivalTold{Firm: firm, Reason: ladder.Reason{Leads: []ladder.Step{{Front: ladder.Words, Own: 545,
			Theirs: 1726}}}},
		Pages:   &PagesTold{Own: 1, Best: &Firm{Figure: 10}, Make: []string{"Chimney inspection"}},
		Reviews: &Compared{Own: 3, Best: Firm{Figure: 88}}, Links: &Compared{Own: 4, Best: Firm{Figure: 60}},
		Visits: &VisitsTold{Now: 4, Aimed: 600}, Worth: &WorthTold{Customers: 24, Least: 900, Most: 1800},
		Recap: []Imperative{{Says: "Write 1,455 words"}}, Next: NextTold{Hours: 4, Fit: 3, Open: 9}}
}

// What has nothing to tell is left out, and so is what the client leads in with nothing to be done (rule 16.1).
func TestSteps(t *testing.T) {
	kinds := StepKinds()
	assert.Equal(t, kinds, full().Steps(), "all of them, in the order of telling")
	assert.Equal(t, []StepKind{NextStep}, (&Walk{}).Steps(), "of a client of whom nothing is known")
	for name, c := range map[string]struct {
		change func(*Walk)
		gone   StepKind
	}{
		"no advantage":         {func(w *Walk) { w.Advantages = nil }, Advantages},
		"enough words":         {func(w *Walk) { w.Words.Hold, w.Words.ToWrite = true, 0 }, WordsStep},
		"the phrase is there":  {func(w *Walk) { w.Phrase.Missing = nil }, PhraseStep},
		"names that say it":    {func(w *Walk) { w.Images.Names = nil }, ImagesStep},
		"no search":            {func(w *Walk) { w.Search = nil }, SearchStep},
		"nobody above":         {func(w *Walk) { w.Rival = nil }, RivalStep},
		"no page to make":      {func(w *Walk) { w.Pages.Make = nil }, PagesStep},
		"most reviews":         {func(w *Walk) { w.Reviews.Own = 88 }, Listed},
		"most links":           {func(w *Walk) { w.Links.Own = 70 }, LinksStep},
		"nothing to be gained": {func(w *Walk) { w.Visits.Now = 600 }, VisitsStep},
		"worth not known":      {func(w *Walk) { w.Worth = nil }, WorthStep},
		"nothing to do":        {func(w *Walk) { w.Recap = nil }, RecapStep},
	} {
		t.Run(name, func(t *testing.T) {
			w := full()
			c.change(w)
			assert.NotContains(t, w.Steps(), c.gone)
			assert.Len(t, w.Steps(), len(kinds)-1)
		})
	}
}

// A step holds at most three figures (rule 16.3), and each has its proof.
func TestFigures(t *testing.T) {
	w := full()
	for _, kind := range w.Steps() {
		figures := w.Figures(kind)
		assert.LessOrEqual(t, len(figures), 3, kind)
		for _, f := range figures {
			assert.Contains(t, Proofs(), f.Proof, kind)
		}
	}
	words := w.Figures(WordsStep)
	assert.Equal(t, []float64{545, 1726, 2000}, []float64{words[0].Value, words[1].Value, words[2].Value})
	assert.Equal(t, int64(7), words[1].Entry, "that of the rival is proved in its column")
	assert.True(t, words[2].Pencil, "what is wanted is not there yet")
}

// The rival that is told whole is the one above the client that gets most, else the highest.
func TestWhole(t *testing.T) {
	at := func(organic int) ladder.Places { return ladder.Places{Organic: organic} }
	assert.Equal(t, 1, Whole([]Standing{{at(1), true, 90}, {at(3), true, 400}, {at(9), false, 900}}))
	assert.Equal(t, 2, Whole([]Standing{{at(5), true, 0}, {ladder.Places{Map: 1}, true, 0}, {at(2), true, 0}}))
	assert.Equal(t, 0, Whole([]Standing{{ladder.Places{Map: 1}, true, 0}}))
	assert.Equal(t, -1, Whole(nil))
}

// An advantage is one over every rival of which the figure is known; two are told, the greatest first.
func TestAdvantages(t *testing.T) {
	steps := func(theirs ladder.Figures) []ladder.Step {
		return ladder.Of("x", ladder.Figures{ladder.Words: 2140, ladder.Images: 3, ladder.Reviews: 50, ladder.Pages: 4},
			theirs, "p1", 9, nil).Steps
	}
	list := Leading([][]ladder.Step{
		steps(ladder.Figures{ladder.Words: 1700, ladder.Images: 0, ladder.Reviews: 90, ladder.Pages: 2}),
		steps(ladder.Figures{ladder.Words: 900, ladder.Images: 0})})
	assert.Equal(t, []Advantage{{Front: ladder.Words, Own: 2140, Best: 1700}, {Front: ladder.Images, Own: 3},
		{Front: ladder.Pages, Own: 4, Best: 2}}, list, "of reviews one rival has more")
	told := Best(append(list, Advantage{Detail: HasForm}))
	assert.Equal(t, []ladder.Front{ladder.Images, ladder.Pages}, []ladder.Front{told[0].Front, told[1].Front})
	assert.Empty(t, Leading(nil))
}

// Whatever is known, every step that is told has a place in the order of telling, once.
func TestStepsKeepTheirOrder(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := full()
		for i, gone := range []func(){func() { w.Words = nil }, func() { w.Phrase = nil }, func() { w.Images = nil },
			func() { w.Search = nil }, func() { w.Rival = nil }, func() { w.Pages = nil }, func() { w.Visits = nil },
			func() { w.Reviews, w.Listings = w.Listings, w.Reviews }} {
			if rapid.Bool().Draw(t, string(rune('a'+i))) {
				gone()
			}
		}
		at := -1
		for _, kind := range w.Steps() {
			next := 0
			for i, k := range StepKinds() {
				if k == kind {
					next = i
				}
			}
			assert.Greater(t, next, at)
			at = next
			w.Figures(kind) // asks for nothing that is not there
		}
	})
}

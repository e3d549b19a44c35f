package telling

import (
	"regexp"
	"strings"
	"testing"

	"inktally/core/handoff"
	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/mapprofile"
	"inktally/core/plan"
	"inktally/core/sheet"

	"github.com/stretchr/testify/assert"
)

func n380() *int { n := 380; return &n }

// brindle is the walk-through of a firm that has everything to do.
func brindle() *handoff.Walk {
	harbor := handoff.Firm{Name: "Harbor Flue & Hearth", Entry: 7, Figure: 1726, Places: ladder.Places{Organic: 1,
		Map: 1}}
	pages := harbor
	pages.Figure = 10
	return &handoff.Walk{Client: "Brindle & Ash Chimney",
		Advantages: []handoff.Advantage{{Front: ladder.Links, Own: 31, Best: 17}, {Detail: handoff.YearsInIt}},
		Words: &handoff.WordsTold{Own: 545, Target: 2000, ToWrite: 1455, Enough: 1500, Best: &harbor,
			There: true},
		Phrase: &handoff.PhraseTold{Phrase: "chimney sweep tarn harbor", Searches: n380(), There: true,
			Own: handoff.Stands{Found: 0}, Rival: &handoff.Stands{Name: "Harbor Flue & Hearth", Found: 3,
				Slots: []sheet.Slot{sheet.H1, sheet.Title}}, Missing: []sheet.Slot{sheet.Title, sheet.H1}},
		Images: &handoff.ImagesTold{Names: []handoff.Renamed{{Now: "IMG_2041.jpg",
			Better: "chimney-sweep-tarn-harbor.jpg"}, {Now: "hero-final2.png", Better: "chimney-cap.png"}}},
		Search: &handoff.SearchTold{Phrase: "chimney sweep tarn harbor", Place: "Tarn Harbor, ME", Ads: 2, Looked: 20,
			Own: ladder.Places{Organic: 14}, Free: []int{2, 4}, Map: []handoff.Result{{Position: 1,
				Name: "Old Saltbox"}},
			Organic: []handoff.Result{{Position: 1, Name: "Harbor Flue & Hearth", Kind: lineup.Business},
				{Position: 2, Name: "Townledger", Kind: lineup.Directory}}},
		Rival: &handoff.RivalTold{Firm: harbor, Places: 8, Reason: ladder.Reason{Leads: []ladder.Step{
			{Front: ladder.Slots, Own: 0, Theirs: 8}, {Front: ladder.Words, Own: 545, Theirs: 1726}}}},
		Pages:   &handoff.PagesTold{Own: 1, Best: &pages, Make: []string{"Chimney inspection", "Ostrey"}},
		Reviews: &handoff.Compared{Own: 13, Best: handoff.Firm{Name: "Old Saltbox", Figure: 212}},
		Visits:  &handoff.VisitsTold{Now: 4.4, Aimed: 635, Best: &harbor, BestVisits: 418, Soon: 3, Late: 12.4},
		Worth:   &handoff.WorthTold{Customers: 25.2, Least: 6900, Most: 13800, Money: "$"},
		Recap: []handoff.Imperative{{Says: "Make 2 pages", Front: plan.PagesFront},
			{Says: "Write the home page", Front: plan.WordsFront}},
		Next: handoff.NextTold{Hours: 6, Fit: 11, Open: 78, First: "Home: Use “Chimney sweep” in five places"}}
}

func all(w *handoff.Walk) (out []Says) {
	for _, kind := range w.Steps() {
		out = append(out, Teller{Walk: w}.Step(kind))
	}
	return out
}

// jargon are words of the trade that an owner would have to ask about.
var jargon = regexp.MustCompile(`(?i)\b(H1|H2|alt text|meta|slug|SEO|SERP|CTR|URL|SGML|HTML|keyword|organic|backlink|citation|` +
	`canonical|schema|structured data|referring|anchor|landing page|map pack|intent|family|slot|rank|density)\b`)

// No owner has to ask about a word, no sentence is empty or twice, and each ends as a sentence does.
func TestPlainEnglish(t *testing.T) {
	had := map[string]bool{}
	for _, s := range all(brindle()) {
		for _, text := range append(s.Points, s.Head) {
			assert.NotRegexp(t, jargon, text)
			assert.NotContains(t, text, "  ")
			assert.NotRegexp(t, `%!|<nil>|\.\.$`, text)
			assert.Regexp(t, `[.:]$`, text)
			assert.Regexp(t, `^[A-Z0-9“$]`, text)
			assert.False(t, had[text], text)
			had[text] = true
		}
	}
}

// No figure is told twice but in the recap, which is one: each step has its own.
func TestNoFigureTwice(t *testing.T) {
	w := brindle()
	had := map[string]string{}
	figure := regexp.MustCompile(`\$?\d[\d,]*\d|\$?\d{2,}`)
	for _, kind := range w.Steps() {
		if kind == handoff.RecapStep {
			continue
		}
		s := Teller{Walk: w}.Step(kind)
		said := strings.Join(append([]string{s.Head}, s.Points...), " ")
		said = strings.NewReplacer("IMG_2041.jpg", "", "hero-final2.png", "").Replace(said)
		for _, f := range figure.FindAllString(said, -1) {
			assert.Empty(t, had[f], "%s is told of %s, and of %s", f, kind, had[f])
			had[f] = string(kind)
		}
	}
}

// A walk-through of a client with everything to do takes five to ten minutes (rule 16.3).
func TestMinutes(t *testing.T) {
	minutes := 0.0
	for _, s := range all(brindle()) {
		minutes += Minutes(append(s.Points, s.Head)...)
	}
	assert.Greater(t, minutes, 5.0)
	assert.Less(t, minutes, 10.0)
	assert.InDelta(t, 1, Minutes(strings.Repeat("word ", 130)), 1e-9)
}

// Sentences for clients of whom little is known are true, and not broken.
func TestSmallCases(t *testing.T) {
	step := func(kind handoff.StepKind, w handoff.Walk) Says { return Teller{Walk: &w}.Step(kind) }
	s := step(handoff.WordsStep, handoff.Walk{Words: &handoff.WordsTold{Target: 1500, ToWrite: 1500, Enough: 1500}})
	assert.Equal(t, "Your home page is still to be written.", s.Head)
	assert.NotContains(t, strings.Join(s.Points, " "), "copy it", "there is nothing to be copied")
	s = step(handoff.WordsStep, handoff.Walk{Words: &handoff.WordsTold{Target: 1500, ToWrite: 1500, Enough: 1500,
		Best: &handoff.Firm{Name: "Needle & Tack", Figure: 205}}})
	assert.Equal(t, "Your home page is still to be written.\nThat of Needle & Tack has 205 words.", s.Head)
	s = step(handoff.SearchStep, handoff.Walk{Search: &handoff.SearchTold{Phrase: "x", Looked: 20}})
	assert.Equal(t, "In this search you are not among the first 20.", s.Head)
	s = step(handoff.SearchStep, handoff.Walk{Search: &handoff.SearchTold{Phrase: "x",
		Own: ladder.Places{Organic: 2, Map: 21}}})
	assert.Equal(t, "In this search you come up second, and 21st on the map.", s.Head)
	s = step(handoff.RivalStep, handoff.Walk{Rival: &handoff.RivalTold{Firm: handoff.Firm{Name: "Deep Pile"},
		Reason: ladder.Reason{Fewer: true}}})
	assert.Equal(t, []string{"It is not the words: its page has fewer than yours.",
		"Nothing that I measured explains it. That happens: some sites are simply older, or better known."}, s.Points)
	s = step(handoff.VisitsStep, handoff.Walk{Visits: &handoff.VisitsTold{Aimed: 12, Soon: 3, Late: 3}})
	assert.Equal(t, "Searches bring you no visits a month.\nThey could bring 12.", s.Head)
	assert.Contains(t, s.Points, "It takes about 3 months.")
	s = step(handoff.WorthStep, handoff.Walk{Worth: &handoff.WorthTold{Customers: .3}})
	assert.Equal(t, "That comes to about a customer more every few months.", s.Head)
	s = step(handoff.NextStep, handoff.Walk{})
	assert.Contains(t, s.Points[0], "First I look at who is found")
	s = step(handoff.Listed, handoff.Walk{Listings: &handoff.Compared{Own: 0, Best: handoff.Firm{Name: "A",
		Figure: 9}}})
	assert.Equal(t, "You are in no directory.\nA is in 9.", s.Head)
}

// Every figure and front has a name that an owner knows.
func TestFigures(t *testing.T) {
	w := brindle()
	for _, kind := range w.Steps() {
		for _, f := range w.Figures(kind) {
			assert.NotEmpty(t, Figure(f), f.Of)
			assert.NotRegexp(t, jargon, Figure(f))
		}
	}
	for _, f := range ladder.Fronts() {
		assert.NotEmpty(t, Front(f))
	}
}

// A message has at most 150 words, the recap with a figure of proof each, and promises no place.
func TestMessage(t *testing.T) {
	w := brindle()
	m := Teller{Walk: w}.Message()
	assert.LessOrEqual(t, len(strings.Fields(m)), MostWords)
	for _, says := range []string{"you come up 14th. First is Harbor Flue & Hearth.",
		"1. Make 2 pages. Harbor Flue & Hearth has 10 pages, you have 1.",
		"2. Write the home page. Your home page has 545 words, that of Harbor Flue & Hearth 1,726.", "no promise",
		"In 6 hours we get 11 jobs done."} {
		assert.Contains(t, m, says)
	}
	assert.NotRegexp(t, jargon, m)
	for i := range w.Recap {
		w.Recap[i].Says = strings.TrimSpace(strings.Repeat("write and ", 20))
	}
	long := Teller{Walk: w}.Message()
	assert.LessOrEqual(t, len(strings.Fields(long)), MostWords)
	assert.NotContains(t, long, "545", "proofs go first")
	assert.Contains(t, Teller{Walk: &handoff.Walk{}}.Message(), "First I look at who is found")
}

// Every fact of a map profile that may be asked for has words for an owner.
func TestFactsHaveWords(t *testing.T) {
	for _, f := range append(mapprofile.Filling(), mapprofile.PhotoNames) {
		if f != mapprofile.There && f != mapprofile.Claimed { // these are told by themselves
			assert.NotEmpty(t, facts[f], f)
		}
	}
}

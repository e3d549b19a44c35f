package wording

import (
	"fmt"
	"inktally/internal/wording/yardsticks"
	"slices"
	"strings"
	"testing"

	"inktally/core/book"
	"inktally/core/copy"
	"inktally/core/fault"
	"inktally/core/finding"
	"inktally/core/imagename"
	"inktally/core/intent"
	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/sum"
	"inktally/core/table"
	"inktally/core/visits"
	"inktally/core/wordtarget"
	"inktally/core/yardstick"

	"github.com/stretchr/testify/assert"
)

// Every code of every list has words of its own.
func TestEveryCodeIsWorded(t *testing.T) {
	worded := map[string]map[string]string{"reasons": {}, "entries": {}, "refusals": {}, "warnings": {}, "flaws": {},
		"verdicts": {}, "kinds": {}, "parts": {}, "findings": {}, "purposes": {},
		"ladder": {}, "partkinds": {}, "fronts": {}, "sections": {}}
	for _, c := range intent.ReasonCodes() {
		worded["reasons"][string(c)] = Intent(intent.Reason{Code: c, Words: []string{"ohio", string(c)}})
	}
	for _, c := range lineup.ReasonCodes() {
		worded["entries"][string(c)] = Entry(lineup.Reason{Code: c, Quote: "best 10", Number: 3})
	}
	for _, c := range table.Refusals() {
		worded["refusals"][string(c)] = Refusal(c)
	}
	for _, c := range page.Warnings() {
		worded["warnings"][string(c)] = Warning(c)
	}
	for _, c := range finding.TypesShown(finding.OnPage) {
		worded["flaws"][string(c)] = Flaw(finding.Finding{Type: c})
	}
	for _, c := range imagename.Verdicts() {
		worded["verdicts"][string(c)] = Verdict(c, "logo")
	}
	for _, k := range plan.Kinds() {
		worded["kinds"][string(k)] = Kind(k)
	}
	for _, f := range finding.Types() {
		worded["findings"][string(f)] = Finding(
			finding.Finding{Type: f, Other: "http://a.example/", Label: "Specials", Status: 404,
				Services: []string{"sweep", "line"},
				Words:    80, Least: 250, Place: "Ostrey", Where: finding.InH1, Texts: []string{string(f)}})
	}
	for _, r := range site.OfferReasons() {
		assert.NotEmpty(t, Offer(site.Offer{By: r, From: "x"}), r)
	}
	for _, r := range site.LikeReasons() {
		assert.NotEmpty(t, Like(r), r)
	}
	for _, r := range site.KindReasons() {
		worded["purposes"][string(r)] = Purpose(site.Purpose{Reason: r, Words: []string{"ostrey"}})
	}
	for _, p := range plan.Wheres() {
		worded["parts"][string(p)] = Where(p)
	}
	for _, p := range plan.PartKinds() {
		worded["partkinds"][string(p.Kind)] = PartName(p.Kind)
	}
	for _, f := range ladder.Fronts() {
		worded["ladder"][string(f)] = LadderFront(f)
	}
	for _, f := range plan.Fronts() {
		worded["fronts"][string(f)] = Front(f)
	}
	for _, k := range outline.SectionKinds() {
		worded["sections"][string(k)] = Teller{Firm: "Brindle & Ash", Copy: copy.Of("en"),
			Page:    PageCase{Town: "Ostrey"},
			Display: strings.ToUpper}.Section(
			outline.Section{Kind: k, Subject: "liners",
				Heading: map[outline.SectionKind]string{outline.AspectText: "What it costs",
					outline.StandingText: "What is done",
					outline.KeptText:     "Our vans"}[k]})
	}
	for list, codes := range worded {
		seen := map[string]string{}
		for code, says := range codes {
			assert.NotEmpty(t, says, "%s of %s", code, list)
			assert.Empty(t, seen[says], "%s of %s reads like another", code, list)
			seen[says] = code
		}
	}
}

// The tables of kinds are gone through: each is instructed and proved, and so is each
// part.
func TestEveryKindIsInstructed(t *testing.T) {
	words := wordtarget.Target{Target: 2000, ToWrite: 1455, Mark: 1720, Rule: wordtarget.ByRivals,
		Guideline: wordtarget.StandardRules().Home,
		Figures:   wordtarget.StandardRules().Figures}
	w := Teller{Display: Capital, Firm: "Brindle & Ash", Rivals: []string{"Harbor Flue"},
		Towns: []string{"Ostrey", "Quillby"},
		Page:  PageCase{Name: "Home", Kind: "home", Words: 545, There: true, HasURL: true, RivalWords: []int{1720}}}
	for _, k := range plan.Kinds() {
		t.Run(string(k), func(t *testing.T) {
			x := plan.Target{Kind: k, Words: &words, Phrase: "chimney sweep", Text: "Call the owner",
				Finding: &finding.Finding{Type: finding.PlaceholderText, Texts: []string{"lorem ipsum"},
					Place: "Ostrey", Where: finding.InTitle},
				Section: outline.Section{Kind: outline.AboutFirm}}
			for _, rule := range plan.PartKinds() {
				p := plan.Part{Key: string(rule.Kind), Kind: rule.Kind, Phrase: &plan.Saying{Text: "chimney sweep"},
					Words: 1,
					Slot:  &plan.Gap{Now: "Home"},
					Image: &plan.Picture{File: "IMG_2041.jpg", Wanted: "chimney-sweep.jpg",
						Verdict: imagename.Camera},
					Rivals: plan.HaveIt{Have: 3, Of: 4}, Finding: x.Finding,
					Estimate: plan.Estimate{Gain: 5, Sum: sum.Sum{{Code: sum.OfPhrase, Value: 5, Rule: "12.2"}}},
					Effort:   sum.Sum{{Code: sum.Each, Value: 3, Unit: sum.Minutes, Rule: "12.3"}}}
				if k == plan.CutBack {
					p.Limit = &plan.Limit{Now: 9, Most: 4}
				}
				x.Parts = append(x.Parts, p)
			}
			says := w.Instruct(&x)
			assert.NotEmpty(t, says.Before)
			assert.NotContains(t, says.Before+says.Pencil+says.After+w.Evidence(&x), "%!")
			assert.NotEmpty(t, w.Evidence(&x))
			for i := range x.Parts {
				p := &x.Parts[i]
				part := w.Part(&x, p)
				assert.NotEmpty(t, part.Before+part.Pencil, p.Kind)
				lines := w.WhyPart(&x, p)
				assert.True(t, slices.ContainsFunc(lines, func(l WhyLine) bool { return l.Sum }))
				for _, l := range lines {
					assert.NotEmpty(t, l.Says)
					assert.NotEmpty(t, l.Value)
					assert.Regexp(t, `^\d+\.\d+$`, l.Rule)
				}
				p.Choice = plan.Choice{State: plan.Changed, Value: "something else"}
				assert.Equal(t, Instruction{Pencil: "something else"}, w.Part(&x, p).Instruction)
			}
		})
	}
}

// Every step of a sum has its words.
func TestEveryStepIsWorded(t *testing.T) {
	names := stepNames{phrase: "“chimney sweep”", part: "Title", kind: "Fix first"}
	for _, code := range sum.Codes() {
		lines := steps(sum.Sum{{Code: code, Value: 2.5, Count: 3, Of: 8, Part: .5, Rule: "12.2"}}, names)
		assert.NotEmpty(t, lines[0].Says, code)
		assert.NotContains(t, lines[0].Says, "%!", code)
	}
	assert.Len(t, stepSays, len(sum.Codes()))
}

// A worked example of rule 7.4, as it is read aloud.
func TestWhyGain(t *testing.T) {
	six, volume, other, at := 6, 380, 220, 14
	rules := visits.Standard()
	f := book.Family{Key: "chimney harbor sweep tarn", Members: []book.Phrase{
		{Text: "chimney sweep tarn harbor", Volume: &volume, Difficulty: &six, Position: &at, Area: visits.Town},
		{Text: "tarn harbor chimney sweep", Volume: &other, Area: visits.Town}}, Difficulty: &six, Position: &at,
		Estimate: rules.Family([]visits.Member{{Volume: &volume, Position: at}, {Volume: &other}}, &six)}
	f.RowGain = f.Gain + 10
	lines := (Teller{Display: Capital}).WhyGain(&f, f.Sum(rules, .5))
	read := []string{}
	for _, l := range lines {
		read = append(read, l.Says+": "+l.Value)
	}
	assert.Equal(t, []string{
		"“Chimney sweep tarn harbor”: 380 searches/mo, and half of those in other words: 490",
		"Aimed position, difficulty 6: 1", "Clicks at position 1: × 33%",
		"Visits now, at position 14: − 3.43", "Also searched: half of their gain: + 10",
		"Gain of “Chimney sweep tarn harbor”: 168.27",
	}, read)
}

func TestWordEvidence(t *testing.T) {
	y := wordtarget.StandardRules()
	names, words := []string{"Harbor Flue", "Old Saltbox", "Wide River"}, []int{1720, 380, 6000}
	for want, c := range map[string]struct {
		w    wordtarget.Target
		seen int
	}{
		"545 → 2,000 words · Harbor Flue has 1,720 words; 15% more is 1,978, rounded up: 2,000": {
			y.Of("home", 545, 0, words[:2]), 545},
		"545 → 1,500 words · guideline starts at 1,500; Old Saltbox has 380 words": {
			y.Of("home", 545, 0, []int{0, 380}), 545},
		"there is no page yet · guideline starts at 1,500": {
			y.Of("home", 0, 0, nil), 0},
		"545 → 2,500 words · Harbor Flue has 2,450 words; the ceiling is 2,500": {
			y.Of("home", 545, 0, []int{2450}), 545},
		"545 → 2,500 words · Harbor Flue has 3,000 words; the ceiling of 2,500 does not beat it": {
			y.Of("home", 545, 0, []int{3000}), 545},
		"545 → 2,000 words · Harbor Flue has 1,720 words; 15% more is 1,978, rounded up: 2,000 · " +
			"Wide River with 6,000 does not count: too far above the others": {
			y.Of("home", 545, 0, words), 545},
	} {
		t.Run(want, func(t *testing.T) {
			assert.Equal(t, want, WordEvidence(c.w,
				WordCase{Seen: c.seen, HasPage: c.seen > 0, Names: names, Words: words}))
		})
	}
	assert.Equal(t, "as many as the mark", Beat(wordtarget.Figures{}))
	assert.Equal(t, "1 word more than the mark", Beat(wordtarget.Figures{BeatWords: 1}))
	assert.Equal(t, "25% more than the mark", Beat(wordtarget.Figures{BeatPercent: 25}))
}

func TestNumbers(t *testing.T) {
	assert.Equal(t, "1 rival", Count(1, "rival", ""))
	assert.Equal(t, "0 rivals", Count(0, "rival", ""))
	assert.Equal(t, "1,500 businesses", Count(1500, "business", "businesses"))
	assert.Equal(t, []string{"36 min", "1 h", "3 h 17 min"}, []string{Duration(36), Duration(60), Duration(197)})
	assert.Equal(t, "about 9.9 visits a month", Gain(Visits, 9.9))
	assert.Equal(t, "about 1 visit a month", Gain(Visits, 1))
	assert.Equal(t, "15% of the gain", Gain(Share, 15))
	for have, want := range map[int]string{0: "no rival has", 1: "the one rival measured has"} {
		assert.Equal(t, want, shareOf(have, 1))
	}
	for added, want := range map[int]string{1: "1 other rival was added.", 3: "3 other rivals were added."} {
		t.Run(fmt.Sprint(added), func(t *testing.T) {
			bad := (&fault.Fault{Code: "some_rivals_added",
				Params: map[string]string{"added": fmt.Sprint(added)}}).Around(table.ListEmpty.New())
			assert.Equal(t, Fault(table.ListEmpty.New())+" "+want, Fault(bad))
		})
	}
}

// Every figure of the yardstick says what it means and where it stands.
func TestEveryFigureIsWorded(t *testing.T) {
	seen := map[string]string{}
	for _, f := range yardstick.Standard().Figures() {
		says := yardsticks.Group(f) + ": " + yardsticks.Says(f.Key)
		assert.NotEmpty(t, yardsticks.Says(f.Key), f.Key)
		assert.NotEmpty(t, yardsticks.Group(f), f.Key)
		assert.Empty(t, seen[says], "%s reads like %s", f.Key, seen[says])
		seen[says] = f.Key
	}
	for p := range yardstick.Presets() {
		assert.NotEmpty(t, yardsticks.PresetSays(p))
	}
}

// changed returns the fault of what somebody else changed too.
func changed(thing fault.Thing, theirs, yours string) *fault.Fault {
	return &fault.Fault{Code: "changed_elsewhere",
		Params: map[string]string{"thing": string(thing), "theirs": theirs, "yours": yours}}
}

// Whatever two can change at once has a name, figures of the yardstick too; nothing is said to be
// nothing.
func TestThingsAreNamed(t *testing.T) {
	for _, c := range fault.Things() {
		assert.NotEmpty(t, things[c], c)
	}
	assert.Len(t, things, len(fault.Things()))
	assert.Equal(t, "The trade changed elsewhere to “sweeping”; you entered nothing. Save again to keep yours.",
		Fault(changed(fault.Trade, "sweeping", "")))
	assert.Contains(t, Fault(changed("words.home.low", "1200", "1300")),
		"The figure “"+yardsticks.Says("words.home.low")+"” changed elsewhere")
}

// Only a wrong town is called one: whatever else is fixed is said by its own name.
func TestFixesSayWhatTheyFix(t *testing.T) {
	for _, f := range finding.Types() {
		switch finding.RuleOf(f).Asks {
		case finding.Fix, finding.FixLink, finding.AddLink, finding.BeListed:
		default:
			continue
		}
		says := Teller{}.Instruct(&plan.Target{Kind: plan.Fix, Finding: &finding.Finding{Type: f},
			Parts: []plan.Part{{}, {}}}).Before
		assert.NotContains(t, says, "wrong town", f)
		assert.NotEmpty(t, says, f)
	}
}

// A name that begins with a letter of several bytes keeps it.
func TestCapital(t *testing.T) {
	assert.Equal(t, []string{"Écoulement", "Home", ""}, []string{Capital("écoulement"), Capital("home"), Capital("")})
	assert.Equal(t, "Brief: Pell Crossing page of Ash Co", BriefTitle("Pell Crossing", "Ash Co"))
}

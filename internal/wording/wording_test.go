package wording

import (
	"fmt"
	"regexp"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/imagename"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/site"
	"inktally/core/table"
	"inktally/core/target"

	"github.com/stretchr/testify/assert"
)

// Every code has its sentence: at most two, with all its parameters in place and
// no other, ending as sentences do.
func TestEveryFaultIsWorded(t *testing.T) {
	for _, code := range fault.Codes() {
		t.Run(string(code), func(t *testing.T) {
			var values []any
			for range fault.Params(code) {
				values = append(values, "wert")
			}
			f := fault.New(code, values...)
			if strings.Contains(faults[code], "{inner}") {
				f.Around(fault.New(fault.ListEmpty))
			}
			sentence := Fault(f)
			assert.NotEmpty(t, sentence)
			assert.NotRegexp(t, `[{}\n]`, sentence)
			assert.Equal(t, len(values), strings.Count(sentence, "wert"), sentence)
			assert.Regexp(t, `[.?]$`, sentence)
			ends := regexp.MustCompile(`[.?] [A-Z“]|[.?]$`).FindAllString(sentence, -1)
			assert.LessOrEqual(t, len(ends), 3, sentence)
		})
	}
	for code := range faults {
		assert.Contains(t, fault.Codes(), code)
	}
}

// Every code of every list has words of its own.
func TestEveryCodeIsWorded(t *testing.T) {
	worded := map[string]map[string]string{"reasons": {}, "entries": {}, "refusals": {}, "warnings": {}, "flaws": {}, "verdicts": {}, "kinds": {}, "parts": {}, "findings": {}, "purposes": {}}
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
	for _, c := range page.Flaws() {
		worded["flaws"][string(c)] = Flaw(c, nil)
	}
	for _, c := range imagename.Verdicts() {
		worded["verdicts"][string(c)] = Verdict(c)
	}
	for _, k := range target.Kinds() {
		worded["kinds"][string(k.Kind)] = Kind(k.Kind)
	}
	for _, f := range site.FindingTypes() {
		worded["findings"][string(f)] = Finding(site.Finding{Type: f, Words: []string{string(f), "a label", "404"}})
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
	for _, p := range target.Parts() {
		worded["parts"][string(p)] = Part(p)
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

// The table of kinds is gone through: each is instructed and proved.
func TestEveryKindIsInstructed(t *testing.T) {
	words := target.WordTarget{Target: 2000, ToWrite: 1455, Mark: 1720, Rule: target.ByRivals, Guideline: target.StandardRules().Home,
		Figures: target.StandardRules().WordFigures}
	for _, k := range target.Kinds() {
		t.Run(string(k.Kind), func(t *testing.T) {
			x := target.Target{Kind: k.Kind, Words: &words, Now: "IMG_2041.jpg", Wanted: "chimney-sweep.jpg", Verdict: imagename.Camera, Rivals: 4, RivalsHave: 3}
			says := Instruct(x, "Chimney sweep Tarn Harbor")
			assert.NotEmpty(t, says.Before)
			assert.Equal(t, k.Places, says.Pencil == "Chimney sweep Tarn Harbor")
			assert.NotEmpty(t, Evidence(x, WordCase{Names: []string{"Harbor Flue"}, Words: []int{1720}}))
			x.Choice = target.Choice{State: target.Changed, Value: "something else"}
			assert.Equal(t, Kind(k.Kind)+": something else", strings.TrimSpace(Instruct(x, "").Before+" "+Instruct(x, "").Pencil))
		})
	}
}

func TestWordEvidence(t *testing.T) {
	y := target.StandardRules()
	names, words := []string{"Harbor Flue", "Old Saltbox", "Wide River"}, []int{1720, 380, 6000}
	for want, c := range map[string]struct {
		w    target.WordTarget
		seen int
	}{
		"545 → 2,000 words · Harbor Flue has 1,720: beat it by 15% (at least 100 words)":   {y.WordTarget("home", 545, 0, words[:2]), 545},
		"545 → 1,500 words · guideline starts at 1,500; Old Saltbox has 380":               {y.WordTarget("home", 545, 0, []int{0, 380}), 545},
		"there is no page yet · guideline starts at 1,500":                                 {y.WordTarget("home", 0, 0, nil), 0},
		"545 → 2,500 words · Harbor Flue has 2,450; the ceiling is 2,500":                  {y.WordTarget("home", 545, 0, []int{2450}), 545},
		"545 → 2,500 words · Harbor Flue has 3,000; the ceiling of 2,500 does not beat it": {y.WordTarget("home", 545, 0, []int{3000}), 545},
		"545 → 2,000 words · Harbor Flue has 1,720: beat it by 15% (at least 100 words) · Wide River with 6,000 does not count: too far above the others": {
			y.WordTarget("home", 545, 0, words), 545},
	} {
		t.Run(want, func(t *testing.T) {
			assert.Equal(t, want, WordEvidence(c.w, WordCase{Seen: c.seen, HasPage: c.seen > 0, Names: names, Words: words}))
		})
	}
	assert.Equal(t, "match it", Beat(target.WordFigures{}))
	assert.Equal(t, "beat it by 1 word", Beat(target.WordFigures{BeatWords: 1}))
	assert.Equal(t, "beat it by 25%", Beat(target.WordFigures{BeatPercent: 25}))
}

func TestNumbers(t *testing.T) {
	assert.Equal(t, "1 rival", Count(1, "rival", ""))
	assert.Equal(t, "0 rivals", Count(0, "rival", ""))
	assert.Equal(t, "1,500 businesses", Count(1500, "business", "businesses"))
	assert.Equal(t, []string{"36 min", "1 h", "3 h 17 min"}, []string{Duration(36), Duration(60), Duration(197)})
	assert.Equal(t, "about 9.9 visits a month", Gain(Visits, 9.9))
	assert.Equal(t, "about 1 visit a month", Gain(Visits, 1))
	assert.Equal(t, "15% of the gain", Gain(Share, 15))
	for have, want := range map[int]string{0: "0 of 1 rival has", 1: "1 of 1 rival has"} {
		assert.Contains(t, Evidence(target.Target{Kind: target.Body, Rivals: 1, RivalsHave: have}, WordCase{}), want)
	}
	for added, want := range map[int]string{1: "1 other rival was added.", 3: "3 other rivals were added."} {
		t.Run(fmt.Sprint(added), func(t *testing.T) {
			bad := fault.New(fault.SomeRivalsAdded, added).Around(fault.New(fault.ListEmpty))
			assert.Equal(t, Fault(fault.New(fault.ListEmpty))+" "+want, Fault(bad))
		})
	}
}

package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var topics = outline.Topics{Services: []outline.Topic{{Name: "chimney sweep", Forms: []string{"chimney cleaning"}},
	{Name: "flue liner installation", Forms: []string{"chimney liner"}}},
	Towns: []string{"Ostrey", "Quillby", "Pell Crossing"}, Questions: []string{"how often should a chimney be swept"},
	Firm: "Brindle & Ash"}

func words(n int) string { return strings.Repeat("word ", n) }

// client returns a client of several pages, drawn or to be made.
func client(t *rapid.T) Study {
	q := asked("chimney sweep tarn harbor", "flue liner tarn harbor", "chimney sweep ostrey", "chimney sweep quillby")
	s := Study{Choices: map[Ref]Choice{}}
	rivals := drawRivals(t, q)
	pages := rapid.IntRange(1, 5).Draw(t, "pages")
	for i := range pages {
		p := Aim{Key: fmt.Sprintf("p%d", i), Criteria: q, Topics: topics,
			Frame: rapid.IntRange(0, 60).Draw(t, "frame"), Rivals: rivals,
			Kind: []site.Kind{site.Home, site.Service, site.Area, site.Service, site.About}[i]}
		if rapid.Bool().Draw(t, "there") {
			p.URL = fmt.Sprintf("http://brindleandash.example/%d", i)
			p.Client = sheet.Measure(
				read("<nav><a href=/>Home</a></nav><h1>Welcome</h1><p>Chimney sweeping in Tarn Harbor. "+
					words(rapid.IntRange(0, 1700).Draw(t, "words"))+
					"</p><img src=IMG_1.jpg>"), q)
		}
		all := families(q, 100, 40, 20, 7)
		p.Families = all[i%3 : min(len(all), i%3+rapid.IntRange(0, 2).Draw(t, "families"))]
		for k := range p.Families {
			p.Families[k].Known = rapid.IntRange(0, 3).Draw(t, "known") > 0
		}
		s.Pages = append(s.Pages, p)
	}
	return s
}

func drawRivals(t *rapid.T, q *sheet.Criteria) (out []*sheet.Column) {
	for range rapid.IntRange(0, 4).Draw(t, "rivals") {
		out = append(out, sheet.Measure(
			read("<title>Chimney sweep Tarn Harbor</title><p>Chimney sweep Tarn Harbor. "+
				words(rapid.IntRange(0, 1600).Draw(t, "rival"))), q))
	}
	return out
}

// Words are not left behind: while a page below its guideline has a free slice, slices hold
// 40% of the minutes ordered since the fixes, less one target (rule 12.4).
func TestWordsAreNotLeftBehind(t *testing.T) {
	y := StandardRules()
	rapid.Check(t, func(t *rapid.T) {
		s := client(t)
		plan := y.Plan(s)
		minutes, sliced, written, done := 0.0, 0.0, map[string]int{}, map[Ref]bool{}
		for i, x := range plan.Targets {
			if x.First {
				continue
			}
			if x.Rank == 0 { // fixes take their time too
				done[x.Ref()] = true
				minutes += x.Minutes
				continue
			}
			starved := false
			for _, later := range plan.Targets[i:] {
				page := plan.pages[later.Page]
				seen := 0
				if page.there() {
					seen = page.seen()
				}
				free := !slices.ContainsFunc(later.Needs, func(id Ref) bool { return !done[id] })
				starved = starved || later.Kind == Slice && later.Rank > 0 && free &&
					later.Section.Kind != outline.AboutFirm && later.Section.Kind != outline.Towns &&
					seen+written[later.Page] < y.Words.Guideline(page.Kind).Low && later.PerHour() >= x.PerHour()/10
			}
			if starved && x.Kind != Slice {
				assert.GreaterOrEqual(t, sliced, minutes*.4-1e-6, "%s goes first", x.Ref())
			}
			done[x.Ref()] = true
			minutes += x.Minutes
			if x.Kind == Slice {
				sliced += x.Minutes
				written[x.Page] += x.ToWrite()
			}
		}
	})
}

// The order is the same in whatever order the pages come, and each target comes behind what
// it needs.
func TestOrderIsStable(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := client(t)
		one := StandardRules().Plan(s)
		two := StandardRules().Plan(Study{Pages: rapid.Permutation(s.Pages).Draw(t, "pages"), Choices: s.Choices})
		require.Equal(t, ids(one.Targets), ids(two.Targets))
		at := map[Ref]int{}
		for i, x := range one.Targets {
			at[x.Ref()] = i
		}
		for i, x := range one.Targets {
			for _, need := range x.Needs {
				if k, there := at[need]; there {
					assert.Less(t, k, i, "%s needs %s", x.Ref(), need)
				}
			}
		}
	})
}

func ids(list []Target) []Ref {
	out := make([]Ref, len(list))
	for i := range list {
		out[i] = list[i].Ref()
	}
	return out
}

// What was dropped, whole or in part, never comes back by itself, whatever happens to the
// pages; what it would have brought is not promised.
func TestDroppedStaysDropped(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := client(t)
		before := StandardRules().Plan(s)
		before.Targets = slices.DeleteFunc(before.Targets, func(x Target) bool { return len(x.Parts) == 0 })
		if len(before.Targets) == 0 {
			return
		}
		gone := rapid.SampledFrom(before.Targets).Draw(t, "target")
		part := rapid.SampledFrom(gone.Parts).Draw(t, "part")
		whole := rapid.Bool().Draw(t, "whole")
		key := part.Key
		if whole {
			key = gone.Key
		}
		s.Choices[Ref{gone.Page, key}] = Choice{State: Dropped, Reason: "no"}
		for i := range s.Pages { // the pages are measured again, and are others
			p := &s.Pages[i]
			if p.there() {
				p.Client = sheet.Measure(read("<h1>Start</h1><p>"+words(rapid.IntRange(0, 900).Draw(t, "now"))),
					p.Criteria)
			}
		}
		after := StandardRules().Plan(s)
		promised, all := 0.0, 0.0
		for _, x := range after.Targets {
			if x.Ref() == gone.Ref() && whole {
				assert.Equal(t, Dropped, x.Choice.State)
			}
			for _, p := range x.Parts {
				if x.Page == gone.Page && p.Key == key {
					assert.Equal(t, Dropped, p.Choice.State)
				}
			}
			if x.Choice.State != Dropped {
				promised += x.Gain
			}
		}
		for _, p := range s.Pages {
			for _, f := range p.Families {
				all += f.Gain
			}
		}
		if !after.Shares {
			assert.LessOrEqual(t, promised, all+1e-6, "no page promises more than its families")
		}
	})
}

// Who drops a rival of one page changes what that page's targets cite, and other pages'
// targets in rank only.
func TestDroppingARival(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := client(t)
		if len(s.Pages) < 2 || len(s.Pages[0].Rivals) == 0 {
			return
		}
		one := StandardRules().Plan(s)
		at := rapid.IntRange(0, len(s.Pages)-1).Draw(t, "page")
		fewer := Study{Pages: slices.Clone(s.Pages)}
		fewer.Pages[at].Rivals = slices.Delete(slices.Clone(fewer.Pages[at].Rivals), 0, 1)
		two := StandardRules().Plan(fewer)
		others := func(list []Target) map[Ref]Target {
			out := map[Ref]Target{}
			for _, x := range list {
				if x.Page != fewer.Pages[at].Key {
					x.Needs = nil
					out[x.Ref()] = x
				}
			}
			return out
		}
		assert.Equal(t, others(one.Targets), others(two.Targets))
		assert.Equal(t, uncited(one.Targets, fewer.Pages[at].Key), uncited(two.Targets, fewer.Pages[at].Key),
			"on its own page")
	})
}

// uncited returns the parts of a page's targets that cite no rival: what is to stand in its
// head, its opening and on its images. How many words and mentions there are to be comes
// from rivals.
func uncited(list []Target, page string) map[string]Part {
	out := map[string]Part{}
	for _, x := range list {
		for _, p := range x.Parts {
			if x.Page != page || !slices.Contains([]PartKind{Title, Description, Address, H1, Opening, ImageName, Alt},
				p.Kind) {
				continue
			}
			p.Rivals = HaveIt{}
			out[p.Key] = p
		}
	}
	return out
}

// Families that claim one slot get it once: no part of a page is asked for twice, and no two
// images are to have one name.
func TestOneSlotIsAskedForOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := client(t)
		if i := slices.IndexFunc(s.Pages, func(p Aim) bool { return len(p.Families) > 1 }); i >= 0 &&
			rapid.Bool().Draw(t, "same words") {
			s.Pages[i].Families = slices.Clone(s.Pages[i].Families)
			s.Pages[i].Families[1].Text = s.Pages[i].Families[0].Text
		}
		keys, names := map[Ref]bool{}, map[string]bool{}
		for _, x := range StandardRules().Plan(s).Targets {
			for _, p := range x.Parts {
				key := Ref{x.Page, p.Key}
				assert.False(t, keys[key], key)
				keys[key] = true
				if p.Kind == ImageName {
					assert.False(t, names[p.Image.Wanted], p.Image.Wanted)
					names[p.Image.Wanted] = true
				}
			}
		}
	})
}

// A family of unknown volume shows no gain and is ordered as the smallest known one; without
// any volumes gains are shares.
func TestUnknownVolumes(t *testing.T) {
	q := asked("chimney sweep tarn harbor", "flue liner tarn harbor", "chimney sweep ostrey")
	all := families(q, 100, 7, 99)
	all[2].Known = false
	known := StandardRules().Plan(
		Study{Pages: []Aim{{Key: "a", Kind: site.Home, Criteria: q, Families: all[:2]},
			{Key: "b", Kind: site.Service, Criteria: q, Families: all[2:]}}})
	made := known.Targets[slices.IndexFunc(known.Targets, func(x Target) bool {
		return x.Page == "b" && x.Kind == NewPage
	})]
	assert.Zero(t, made.Gain)
	assert.Positive(t, made.Rank)
	assert.Less(t, made.Rank, 7.0)
	for i := range all {
		all[i].Known = false
	}
	plan := StandardRules().Plan(Study{Pages: []Aim{{Key: "a", Kind: site.Home, Criteria: q, Families: all}}})
	assert.True(t, plan.Shares)
	sum := 0.0
	for _, x := range plan.Targets {
		sum += x.Gain
	}
	assert.Greater(t, sum, 50.0)
	assert.LessOrEqual(t, sum, 100.0)
}

// What hides a page comes first, other short fixes right behind the first placing of their page, longer ones behind
// the last of all, and what is to be cut back right before the placing (rule 12.4).
func TestFixesFollowThePlacing(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	on := func(key, url, body string) Aim {
		return Aim{Key: key, URL: "http://brindleandash.example" + url, Kind: site.Home, Criteria: q, Topics: topics,
			Client: sheet.Measure(read("<p>"+body+"</p>"), q), Families: families(q, 100)}
	}
	home := on("p1", "/", strings.Repeat("Chimney sweep Tarn Harbor is what we do all day long here. ", 40))
	other := on("p2", "/two/", words(300))
	other.Kind, other.Service, other.Families = site.Service, "flue liner installation", families(q, 10)
	s := Study{Pages: []Aim{home, other}, Findings: []finding.Finding{
		{Type: finding.PhoneNotLinked, URL: home.URL, Texts: []string{"207-555-0134"}},
		{Type: finding.PlaceholderText, URL: other.URL, Texts: []string{"lorem ipsum"}},
		{Type: finding.DeadLink, URL: "http://brindleandash.example/a", Other: home.URL, Label: "A", Status: 404},
		{Type: finding.DeadLink, URL: "http://brindleandash.example/b", Other: home.URL, Label: "B", Status: 404},
	}}
	var order []string
	for _, x := range StandardRules().Plan(s).Targets {
		if x.Kind == Fix || x.Kind == Placing || x.Kind == CutBack {
			order = append(order, x.Page+" "+x.Key)
		}
	}
	assert.Equal(t, []string{"p2 fix: placeholder_text", "p1 cut_back", "p1 placing: chimney harbor sweep tarn",
		"p1 fix: phone_not_linked", "p2 placing: chimney harbor sweep tarn", "p1 fix: dead_link"}, order)
}

// What the user said of a page before it was made holds when it is there.
func TestChoicesOfAPageToMake(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	p := Aim{Key: "p7", Formerly: "service: sweep", Kind: site.Service, Criteria: q, Families: families(q, 10)}
	plan := StandardRules().Plan(Study{Pages: []Aim{p},
		Choices: map[Ref]Choice{Ref{"service: sweep", "images"}: {State: Dropped},
			Ref{"service: sweep", "title: " + sweepKey}: {State: Changed, Value: "Sweeps"}}})
	assert.Equal(t, Dropped, find(plan.Targets, "images").Choice.State)
	assert.Equal(t, "Sweeps", findPart(plan.Targets, "title: "+sweepKey).Choice.Value)
}

// A target of the user's own stands where its gain per hour puts it, and can be dropped.
func TestOwnTargets(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	s := Study{Pages: []Aim{{Key: "p1", Kind: site.Home, Criteria: q, Families: families(q, 10),
		Client: sheet.Measure(read("<p>"+words(1600)), q)}},
		Own: []Own{{ID: 3, Page: "p1", Text: "Ask for a photo", Minutes: 1, Gain: 50},
			{ID: 4, Page: "p1", Text: "Ring the printer", Minutes: 5}}}
	plan := StandardRules().Plan(s)
	assert.Equal(t, "by_hand: 3", plan.Targets[0].Key)
	assert.Equal(t, "by_hand: 4", plan.Targets[len(plan.Targets)-1].Key)
	assert.True(t, math.Abs(plan.Targets[0].Gain-50) < 1e-9)
}

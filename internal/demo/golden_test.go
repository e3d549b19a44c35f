package demo

import (
	"cmp"
	"context"
	"encoding/json"
	"math"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"inktally/core/cutline"
	"inktally/core/finding"
	"inktally/core/phrase"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/app/targets"
	"inktally/internal/store"
	"inktally/internal/study"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const goldens = "../../docs/golden"

// The plans of the demo's clients are those that a script of its own has worked out from
// figures of their sheets (docs/decisions/018). Nothing here writes them: what the program
// comes to is no truth of its own.
func TestGoldenPlans(t *testing.T) {
	ctx, a := context.Background(), seeded(t)
	shelf, err := a.Shelf.List(ctx)
	require.NoError(t, err)
	for _, row := range shelf {
		measured(t, a, row.ID)
		name := map[string]string{"Brindle & Ash Chimney": "main", "Lowtide Upholstery": "no-site",
			"Fenwick Well & Pump": "enough-words"}[row.Name]
		t.Run(name, func(t *testing.T) {
			w, err := a.Plan.Work(ctx, row.ID)
			require.NoError(t, err)
			figures, err := json.MarshalIndent(figuresOf(w), "", " ")
			require.NoError(t, err)
			file := filepath.Join(goldens, name+".figures.json")
			kept, err := os.ReadFile(file)
			require.NoError(t, err)
			assert.JSONEq(t, string(kept), string(figures), "the figures of the sheets are others now")
			want, err := os.ReadFile(filepath.Join(goldens, name+".plan.json"))
			require.NoError(t, err)
			var lines []goldenLine
			require.NoError(t, json.Unmarshal(want, &lines))
			got := linesOf(w)
			for i := range min(len(got), len(lines)) {
				require.InDelta(t, lines[i].Gain, got[i].Gain, .002, "line %d", i+1)
				lines[i].Gain = got[i].Gain // sums of fractions in another order
				require.Equal(t, lines[i], got[i], "line %d", i+1)
			}
			assert.Len(t, got, len(lines))
			stories[name](t, w)
		})
	}
}

// stories are what the plans must tell at so many hours.
var stories = map[string]func(*testing.T, *targets.Worked){
	"main": func(t *testing.T, w *targets.Worked) {
		three, eight := fitting(w, 3), fitting(w, 8)
		assert.Len(t, ofKind(three, plan.Placing), 1)
		assert.Len(t, ofKind(three, plan.Images), 1)
		words := 0
		for _, x := range ofKind(three, plan.Slice) {
			for _, p := range x.Parts {
				words += p.Words
			}
		}
		assert.GreaterOrEqual(t, words, 250)
		services := 0
		for _, x := range ofKind(eight, plan.NewPage) {
			if w.Pages[x.Page].Page.Kind == site.Service {
				services++
			}
		}
		assert.GreaterOrEqual(t, services, 2)
	},
	"no-site": func(t *testing.T, w *targets.Worked) {
		first := w.Targets[0]
		assert.Equal(t, plan.NewPage, first.Kind)
		assert.Equal(t, site.Home, w.Pages[first.Page].Page.Kind)
		assert.NotEmpty(t, fitting(w, 3))
	},
	"enough-words": func(t *testing.T, w *targets.Worked) {
		assert.Empty(t, ofKind(w.Targets, plan.Slice), "it needs placement, not words")
		assert.Empty(t, ofKind(w.Targets, plan.NewPage))
		assert.NotEmpty(t, ofKind(w.Targets, plan.Placing))
	},
}

// fitting returns the targets above the cut line of so many hours.
func fitting(w *targets.Worked, hours float64) (out []plan.Target) {
	for i, in := range cutline.Of(w.Targets, hours*60).Fits {
		if in {
			out = append(out, w.Targets[i])
		}
	}
	return out
}

func ofKind(list []plan.Target, kind plan.Kind) (out []plan.Target) {
	for _, t := range list {
		if t.Kind == kind {
			out = append(out, t)
		}
	}
	return out
}

type goldenLine struct {
	Page    string  `json:"page"`
	Key     string  `json:"key"`
	Gain    float64 `json:"gain"`
	Minutes float64 `json:"minutes"`
	Fits    []int   `json:"fits"`
}

func linesOf(w *targets.Worked) (out []goldenLine) {
	hours := []int{1, 3, 8, 20}
	for i, t := range w.Targets {
		line := goldenLine{Page: t.Page, Key: t.Key, Gain: thousandths(t.Gain), Minutes: thousandths(t.Minutes),
			Fits: []int{}}
		for _, h := range hours {
			if cutline.Of(w.Targets, float64(h)*60).Fits[i] {
				line.Fits = append(line.Fits, h)
			}
		}
		out = append(out, line)
	}
	return out
}

func thousandths(x float64) float64 { return math.Round(x*1000) / 1000 }

// wordsOf returns the words of a finding, as the script knows them.
func wordsOf(f finding.Finding) []string {
	switch f.Type {
	case finding.DeadLink:
		return []string{f.Other, f.Label, strconv.Itoa(f.Status)}
	case finding.PlaceWrong:
		if f.Times > 0 {
			return []string{f.Place, string(f.Where), strconv.Itoa(f.Times)}
		}
		return append([]string{f.Place, string(f.Where)}, f.Texts...)
	case finding.ThinPage:
		return []string{strconv.Itoa(f.Words), strconv.Itoa(f.Least)}
	case finding.SecondCopy, finding.OnlyPlacesDiffer, finding.SameService:
		return []string{f.Other}
	case finding.AllServices, finding.ServiceNoPage:
		return f.Services
	case finding.PlaceholderText:
		return f.Texts[:1]
	}
	return f.Texts
}

// figuresOf returns the figures of a client's sheets that its plan is worked out from.
func figuresOf(w *targets.Worked) map[string]any {
	pages := []any{}
	towns := 0
	for _, p := range w.From.Pages {
		towns = max(towns, len(p.Topics.Towns))
		pages = append(pages, pageFigures(w, p))
	}
	directories := []string{}
	for _, f := range w.From.Findings {
		if f.Type == finding.DirectoryAhead {
			directories = append(directories, f.URL)
		}
	}
	out := bookFigures(w)
	out["towns"], out["pages"], out["directories"] = towns, pages, directories
	words := map[string]string{}
	stems(w.Whole.Known.Language(), out, words)
	out["stems"] = words
	return out
}

func pageFigures(w *targets.Worked, p plan.Aim) map[string]any {
	out := map[string]any{"key": p.Key, "kind": p.Kind, "service": p.Service, "place": p.Place, "url": p.URL,
		"there": p.Client != nil,
		"seen":  0, "copy": 0, "frame": p.Frame}
	if p.Client != nil {
		words := p.Client.Page.Words
		out["seen"], out["copy"], out["frame"] = words.Seen, words.Copy, words.Frame()
	}
	rivals := []any{}
	for _, r := range p.Rivals {
		rivals = append(rivals, map[string]any{"seen": r.Page.Words.Seen, "copy": r.Page.Words.Copy})
	}
	out["rivals"] = rivals
	families := []any{}
	for _, f := range p.Families {
		families = append(families, familyFigures(p, f))
	}
	slices.SortFunc(families, func(a, b any) int { // the rules put them in order
		return strings.Compare(a.(map[string]any)["key"].(string), b.(map[string]any)["key"].(string))
	})
	out["families"] = families
	sections := []any{}
	if in := w.Whole.Known.Yardstick.Target.OutlineFrom(&p); p.Kind.HasWordTarget() {
		for _, s := range w.Whole.Known.Yardstick.Target.Outline.Before(in) {
			sections = append(sections, map[string]any{"key": s.Key, "kind": s.Kind, "subject": s.Subject,
				"holds": s.Holds, "there": s.There})
		}
	}
	out["sections"], out["pictures"], out["questions"] = sections, pictureFigures(p), len(p.Topics.Questions)
	findings := []any{}
	for _, f := range w.From.Findings {
		on := f.URL
		if f.Type == finding.DeadLink {
			on = f.Other
		}
		if p.URL != "" && site.SameAddress(on, p.URL) {
			findings = append(findings, map[string]any{"type": f.Type, "words": wordsOf(f)})
		}
	}
	out["findings"] = findings
	says := func(c *sheet.Column) map[string]any {
		return map[string]any{"testimonials": c.Page.Details().Testimonials,
			"calls": c.Page.CallsToAct()}
	}
	if p.Client != nil {
		out["title"], out["h1"], out["says"] = p.Client.Page.Title, p.Client.Page.H1(), says(p.Client)
	}
	rivalsSay := []any{}
	for _, r := range p.Rivals {
		rivalsSay = append(rivalsSay, says(r))
	}
	out["rivals_say"] = rivalsSay
	return out
}

func familyFigures(p plan.Aim, f plan.Stake) map[string]any {
	var placed, lead sheet.Placement
	at := -1
	if p.Client != nil {
		placed, lead, at = p.Client.Family(f.Key), p.Client.Phrase(f.Text), p.Client.TitlePosition(f.Key)
	}
	slots := func(s sheet.Slots) map[string]int {
		out := map[string]int{}
		for _, slot := range sheet.AllSlots() {
			out[slot.String()] = s.In(slot)
		}
		return out
	}
	rivals := []int{}
	for _, r := range p.Rivals {
		rivals = append(rivals, r.Family(f.Key).InCopy)
	}
	members := []any{}
	for _, m := range f.Members {
		there := false
		if p.Client != nil {
			s := p.Client.Phrase(m.Text).Exact
			there = s.Title+s.Description+s.Address+s.Total+s.ImageNames+s.Alt > 0
		}
		members = append(members, map[string]any{"text": m.Text, "share": m.Share, "there": there})
	}
	return map[string]any{"key": f.Key, "text": f.Text, "position": f.Position, "service": f.Service, "place": f.Place,
		"tokens": len(text.Tokens(f.Text)), "gain": f.Gain, "known": f.Known,
		"exact": slots(placed.Exact),
		"loose": slots(placed.Loose), "in_copy": placed.InCopy, "title_at": at, "rivals": rivals, "members": members,
		"lead_in_body": lead.Exact.Body > 0, "lead_missing_in_head": placed.Exact.Title > 0 &&
			lead.Exact.Title+lead.Exact.H1 == 0}
}

// bookFigures returns the families of a client's book that are worth writing for, and what the pages for them are
// chosen by.
func bookFigures(w *targets.Worked) map[string]any {
	known := w.Whole.Known
	keys := map[int64]string{}
	for _, p := range known.Pages {
		keys[p.ID] = study.PageKey(p)
	}
	families := []any{}
	for _, f := range known.Families() {
		if !f.Kept || f.Waits() {
			continue
		}
		typed := ""
		for _, m := range f.Members {
			typed = cmp.Or(typed, keys[m.Page])
		}
		families = append(families, map[string]any{"key": f.Key, "text": f.Lead().Text, "service": f.Service,
			"place": f.Place, "near": f.Near, "under": f.Under, "gain": f.Gain, "row_gain": f.RowGain,
			"volume": f.RowVolume, "own_volume": f.Volume, "uncounted": f.Uncounted, "typed": typed,
			"urges": known.Judge().Urges(f.Lead().Text)})
	}
	slices.SortFunc(families, func(a, b any) int { // not in the order of the program
		return strings.Compare(a.(map[string]any)["key"].(string), b.(map[string]any)["key"].(string))
	})
	services, places, rivals := []any{}, []string{}, []string{}
	beside, _ := known.Beside(context.Background())
	for _, s := range known.Services {
		services = append(services, map[string]any{"name": s.Name, "forms": s.Words})
	}
	for _, p := range known.Places {
		if p.Home {
			continue
		}
		places = append(places, p.Name)
		if have, _ := study.Have(beside.Of(store.Page{Kind: site.Area, Place: p.Name})); have > 0 {
			rivals = append(rivals, p.Name)
		}
	}
	return map[string]any{"book": families, "services": services, "home": known.Home().Name, "places": places,
		"towns_of_rivals": rivals}
}

// pictureFigures returns the images of a page as they are judged.
func pictureFigures(p plan.Aim) []any {
	out := []any{}
	if p.Client == nil {
		return out
	}
	judge := p.Criteria.Judge()
	for i, img := range p.Client.Page.Images {
		out = append(out, map[string]any{"file": img.File, "ext": img.Ext, "words": judge.Words(img.File),
			"alt": img.Alt, "heading": img.Heading, "frame": img.Frame, "verdict": p.Client.Verdicts[i]})
	}
	return out
}

// stems notes the stems of all words of a value.
func stems(lang phrase.Language, of any, into map[string]string) {
	switch v := of.(type) {
	case string:
		for _, token := range text.Tokens(v) {
			into[token] = lang.Stem(token)
		}
	case map[string]any:
		for _, x := range v {
			stems(lang, x, into)
		}
	case []any:
		for _, x := range v {
			stems(lang, x, into)
		}
	case []string:
		for _, x := range v {
			stems(lang, x, into)
		}
	case *string:
		if v != nil {
			stems(lang, *v, into)
		}
	}
}

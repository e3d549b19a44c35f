package app_test

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/outline"
	"inktally/core/target"
	"inktally/internal/app"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// planned is a client with a short home page, measured, and what its pages are served from.
func planned(t *testing.T) (a *app.App, w *web, client, home int64) {
	t.Helper()
	w = &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><h1>Welcome</h1><p>" + words(400) + "</p><img src=/i/IMG_1.jpg>"}}
	a, _ = open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, home = newClient(t, a, b, "")
	measured(t, a, client)
	_, err := a.Book.ImportList(ctx, client, "x.csv", []byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\n"), nil, "", "")
	require.NoError(t, err)
	return a, w, client, home
}

// After measuring again what was done is told, with what it was promised to bring.
func TestDone(t *testing.T) {
	a, w, client, home := planned(t)
	plan, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, plan.Done, "it was measured once")
	_, err = a.Plan.Choose(ctx, client, said(home, "alt: chimney harbor sweep tarn", target.Choice{State: target.Dropped}))
	require.NoError(t, err)
	w.set("http://brindle.example/", "<title>Chimney sweep Tarn Harbor</title><h1>Welcome</h1><p>"+words(700)+"</p><img src=/i/IMG_1.jpg alt='Chimney sweep Tarn Harbor'>")
	measured(t, a, client)
	plan, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	var keys []string
	for _, d := range plan.Done {
		keys = append(keys, d.Key)
	}
	assert.Equal(t, []string{"title: chimney harbor sweep tarn", "words"}, keys, "not what was dropped")
	assert.Positive(t, plan.Done[0].Gain)
	assert.Contains(t, plan.Done[0].Note, "“Home”")
	assert.Contains(t, plan.Done[1].Says, "300 of 1,0")
	assert.Empty(t, partsOf(plan, target.Title))
}

// A change of figures is seen before it is kept, and is nothing until then.
func TestPreview(t *testing.T) {
	a, _, client, _ := planned(t)
	before, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	seen, err := a.Plan.Preview(ctx, client, map[string]string{"words.home.low": "1000", "words.home.high": "1200"}, false)
	require.NoError(t, err)
	assert.NotEmpty(t, seen.Targets)
	assert.Negative(t, seen.Minutes)
	after, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, before, after)
	for changes, want := range map[[2]string]fault.Code{{"words.home.low", "9000"}: fault.GuidelineBackward, {"weight.title", "90"}: fault.WeightsNotHundred,
		{"words.nowhere", "1"}: fault.NoSuchFigure} {
		_, err = a.Plan.Preview(ctx, client, map[string]string{changes[0]: changes[1]}, true)
		fails(t, err, want)
	}
	_, err = a.Yardstick.Change(ctx, client, map[string]string{"words.home.low": "1000", "words.home.high": "1200"})
	require.NoError(t, err)
	kept, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.InDelta(t, before.Minutes+seen.Minutes, kept.Minutes, 1e-6, "what was seen is what follows")
	again, err := a.Plan.Preview(ctx, client, map[string]string{"words.home.low": "", "words.home.high": ""}, false)
	require.NoError(t, err)
	assert.InDelta(t, -seen.Minutes, again.Minutes, 1e-6)
}

func TestOutlineSurvivesMeasuringAgain(t *testing.T) {
	a, w, client, home := planned(t)
	page, fifty := fmt.Sprintf("p%d", home), 50
	shown, err := a.Plan.SetOutline(ctx, client, page, outline.Edits{Order: []string{"about", "lead"}, Sections: map[string]outline.SectionEdit{
		"about": {Heading: "Who we are", Words: &fifty}, "added: 1": {Added: true, Heading: "Prices"}}})
	require.NoError(t, err)
	first := shown.Sections[0]
	assert.Equal(t, []any{"Who we are", 50, true}, []any{first.Heading, first.Words, first.Fixed})
	w.set("http://brindle.example/", "<h1>Start</h1><p>"+words(300))
	measured(t, a, client)
	shown, err = a.Plan.Outline(ctx, client, page)
	require.NoError(t, err)
	assert.Equal(t, "Who we are", shown.Sections[0].Heading)
	assert.Equal(t, 50, shown.Sections[0].Words)
	plan, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	written := 0
	for _, x := range plan.Targets {
		written += x.Words
	}
	sum := 0
	for _, s := range shown.Sections {
		sum += s.Words
	}
	assert.Equal(t, sum, written, "the targets follow the outline")
	_, err = a.Plan.SetOutline(ctx, client, "p999", outline.Edits{})
	assert.Error(t, err)
}

func TestImageNames(t *testing.T) {
	a, _, client, home := planned(t)
	list, err := a.Plan.Images(ctx, client)
	require.NoError(t, err)
	row := list.Rows[0]
	assert.Equal(t, []string{"IMG_1.jpg", "chimney-sweep-tarn-harbor.jpg"}, []string{row.Now, row.Wanted})
	_, err = a.Plan.Choose(ctx, client, said(home, row.NameKey, target.Choice{State: target.Changed, Value: "our van; rm -rf.jpg"}))
	fails(t, err, fault.ImageNameBad)
	added := list.Rows[1].Wanted
	_, err = a.Plan.Choose(ctx, client, said(home, row.NameKey, target.Choice{State: target.Changed, Value: added}))
	require.NoError(t, err)
	list, err = a.Plan.Images(ctx, client)
	require.NoError(t, err)
	assert.True(t, list.Rows[0].Twice, "another image is to have that name")
	renames, err := a.Plan.Renames(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, renames)
	_, err = a.Plan.Choose(ctx, client, said(home, row.NameKey, target.Choice{State: target.Open}))
	require.NoError(t, err)
	renames, err = a.Plan.Renames(ctx, client)
	require.NoError(t, err)
	assert.Len(t, renames, 1)
}

func TestProofOfADraft(t *testing.T) {
	a, _, client, home := planned(t)
	page := fmt.Sprintf("p%d", home)
	short, err := a.Plan.Proof(ctx, client, page, "", []byte("# Welcome\n\nWe sweep.\n"))
	require.NoError(t, err)
	assert.True(t, short.Short)
	assert.Equal(t, 1500-3, short.Left)
	assert.Contains(t, short.Missing[0].Says, "Chimney sweep Tarn Harbor")
	long, err := a.Plan.Proof(ctx, client, page, "a.md", []byte("# Chimney sweep Tarn Harbor\n\nChimney sweep Tarn Harbor. "+words(1500)+"\n\n## Chimney sweep Tarn Harbor\n\n"+
		strings.Repeat("Chimney sweep Tarn Harbor. Then more.\n\n", 6)))
	require.NoError(t, err)
	assert.Zero(t, long.Left)
	assert.Empty(t, long.Missing)
	german, err := a.Plan.Proof(ctx, client, page, "", []byte(strings.Repeat("Wir fegen den Schornstein und prüfen die Leitungen im ganzen Haus. ", 8)))
	require.NoError(t, err)
	assert.Equal(t, "de", german.Language)
	for raw, want := range map[string]fault.Code{"": fault.DraftEmpty, "PK\x03\x04": fault.DraftUnreadable} {
		_, err = a.Plan.Proof(ctx, client, page, "", []byte(raw))
		fails(t, err, want)
	}
	for _, called := range []string{"home", "HOME", "http://brindle.example/", page, "brindle.example"} {
		key, err := a.Plan.FindPage(ctx, client, called)
		require.NoError(t, err)
		assert.Equal(t, page, key)
	}
	_, err = a.Plan.FindPage(ctx, client, "nowhere")
	fails(t, err, fault.DraftNoPage)
}

func TestOwnTargetsAndWhy(t *testing.T) {
	a, _, client, home := planned(t)
	_, err := a.Plan.Add(ctx, client, target.Own{Text: "  ", Minutes: 5})
	fails(t, err, fault.TargetNeedsText)
	id, err := a.Plan.Add(ctx, client, target.Own{Text: "Ask for a photo", Minutes: 1, Gain: 90})
	require.NoError(t, err)
	plan, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	own := plan.Targets[0]
	assert.Equal(t, []any{"Ask for a photo", id, fmt.Sprintf("p%d", home)}, []any{own.Before, own.OwnID, own.Page})
	require.NoError(t, a.Plan.Remove(ctx, client, id))
	assert.Error(t, a.Plan.Remove(ctx, client, id))

	// The sum of a part is its gain, to the last line.
	for _, x := range plan.Targets {
		if x.Kind != view.TargetKind(target.Placing) {
			continue
		}
		for _, p := range x.Parts {
			why, err := a.Plan.Why(ctx, client, x.ID, p.Key)
			require.NoError(t, err)
			last := why[len(why)-1]
			assert.Contains(t, fmt.Sprint(last.Lines), fmt.Sprintf("{Gain %s", strings.TrimRight(strings.TrimRight(fmt.Sprintf("%.2f", p.Gain), "0"), ".")))
		}
	}
	_, err = a.Plan.Why(ctx, client, "no such", "")
	assert.Error(t, err)
	rungs, err := a.Plan.Ladder(ctx, client, "")
	require.NoError(t, err)
	assert.Empty(t, rungs, "there are no rivals")
}

// The yardstick comes in and goes out as YAML; what it does not say stays.
func TestYardstickFile(t *testing.T) {
	a, _, client, _ := planned(t)
	_, err := a.Yardstick.Read(ctx, client, []byte("words.home.low: 1200\nvisits.ctr.1: 0.33\n"))
	require.NoError(t, err)
	figures, err := a.Yardstick.Figures(ctx, client)
	require.NoError(t, err)
	changed := []string{}
	for _, f := range figures {
		if f.Value != f.Default {
			changed = append(changed, f.Key+"="+f.Value)
		}
	}
	assert.Equal(t, []string{"words.home.low=1200"}, changed, "what is as it would be anyway is no change")
	for raw, want := range map[string]fault.Code{"words.nowhere: 1": fault.NoSuchFigure, "words.home.low: 5000": fault.GuidelineBackward, "[": fault.YardstickNotYAML} {
		_, err = a.Yardstick.Read(ctx, client, []byte(raw))
		fails(t, err, want)
	}
}

package app_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/core/yardstick"
	"inktally/internal/app"
	"inktally/internal/app/targets"
	"inktally/internal/draft"
	"inktally/internal/export"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// planned returns a client with a short home page, measured, and what its pages are served from.
func planned(t *testing.T) (a *app.App, w *web, client, home int64) {
	t.Helper()
	w = &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><h1>Welcome</h1><p>" + words(400) +
		"</p><img src=/i/IMG_1.jpg>"}}
	a, _ = open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, home = newClient(t, a, b, "")
	measured(t, a, client)
	_, err := a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\n"), nil, "", "")
	require.NoError(t, err)
	return a, w, client, home
}

// After measuring again what was done is told, with what it was promised to bring.
func TestDone(t *testing.T) {
	a, w, client, home := planned(t)
	shown, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, shown.Done, "it was measured once")
	_, err = a.Plan.Choose(ctx, client, said(home, "alt: chimney harbor sweep tarn", plan.Choice{State: plan.Dropped}))
	require.NoError(t, err)
	w.set("http://brindle.example/", "<title>Chimney sweep Tarn Harbor</title><h1>Welcome</h1><p>"+words(700)+
		"</p><img src=/i/IMG_1.jpg alt='Chimney sweep Tarn Harbor'>")
	measured(t, a, client)
	shown, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	var keys []string
	for _, d := range shown.Done {
		keys = append(keys, d.Key)
	}
	assert.Equal(t, []string{"title: chimney harbor sweep tarn", "words"}, keys, "not what was dropped")
	assert.Positive(t, shown.Done[0].Gain)
	assert.Contains(t, shown.Done[0].Note, "“Home”")
	assert.Contains(t, shown.Done[1].Says, "300 of 1,0")
	assert.Empty(t, partsOf(shown, plan.Title))
}

// A change of figures is seen before it is kept, and is nothing until then.
func TestPreview(t *testing.T) {
	a, _, client, _ := planned(t)
	before, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	seen, err := a.Plan.Preview(ctx, client, map[string]string{"words.home.low": "1000", "words.home.high": "1200"},
		false)
	require.NoError(t, err)
	assert.NotEmpty(t, seen.Targets)
	assert.Negative(t, seen.Minutes)
	after, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, before, after)
	for changes, want := range map[[2]string]fault.Code{{"words.home.low", "9000"}: yardstick.GuidelineBackward.Code,
		{"weight.title", "90"}: yardstick.WeightsNotHundred.Code,
		{"words.nowhere", "1"}: yardstick.NoSuchFigure.Code} {
		_, err = a.Plan.Preview(ctx, client, map[string]string{changes[0]: changes[1]}, true)
		fails(t, err, want)
	}
	_, err = a.Yardstick.Change(ctx, client, map[string]string{"words.home.low": "1000", "words.home.high": "1200"},
		nil)
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
	shown, err := a.Plan.SetOutline(ctx, client, page,
		outline.Edits{Order: []string{"about", "lead"}, Sections: map[string]outline.SectionEdit{
			"about": {Heading: "Who we are", Words: &fifty}, "added: 1": {Added: true, Heading: "Prices"}}}, nil)
	require.NoError(t, err)
	first := shown.Sections[0]
	assert.Equal(t, []any{"Who we are", 50, true}, []any{first.Heading, first.Words, first.Fixed})
	w.set("http://brindle.example/", "<h1>Start</h1><p>"+words(300))
	measured(t, a, client)
	shown, err = a.Plan.Outline(ctx, client, page)
	require.NoError(t, err)
	assert.Equal(t, "Who we are", shown.Sections[0].Heading)
	assert.Equal(t, 50, shown.Sections[0].Words)
	got, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	written := 0
	for _, x := range got.Targets {
		if x.Page == page {
			written += x.Words
		}
	}
	sum := 0
	for _, s := range shown.Sections {
		sum += s.Words
	}
	assert.Equal(t, sum, written, "the targets follow the outline")
	_, err = a.Plan.SetOutline(ctx, client, "p999", outline.Edits{}, nil)
	assert.Error(t, err)
}

func TestImageNames(t *testing.T) {
	a, _, client, home := planned(t)
	list, err := a.Plan.Images(ctx, client)
	require.NoError(t, err)
	row := list.Rows[0]
	assert.Equal(t, []string{"IMG_1.jpg", "chimney-sweep-tarn-harbor.jpg"}, []string{row.Now, row.Wanted})
	_, err = a.Plan.Choose(ctx, client,
		said(home, row.NameKey, plan.Choice{State: plan.Changed, Value: "our van; rm -rf.jpg"}))
	fails(t, err, targets.ImageNameBad.Code)
	added := list.Rows[1].Wanted
	_, err = a.Plan.Choose(ctx, client, said(home, row.NameKey, plan.Choice{State: plan.Changed, Value: added}))
	require.NoError(t, err)
	list, err = a.Plan.Images(ctx, client)
	require.NoError(t, err)
	assert.True(t, list.Rows[0].Twice, "another image is to have that name")
	renames, err := a.Plan.Renames(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, renames)
	_, err = a.Plan.Choose(ctx, client, said(home, row.NameKey, plan.Choice{State: plan.Open}))
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
	long, err := a.Plan.Proof(ctx, client, page, "a.md",
		[]byte("# Chimney sweep Tarn Harbor\n\nChimney sweep Tarn Harbor. "+words(1500)+
			"\n\n## Chimney sweep Tarn Harbor\n\n"+
			strings.Repeat("Chimney sweep Tarn Harbor. Then more.\n\n", 6)))
	require.NoError(t, err)
	assert.Zero(t, long.Left)
	assert.Empty(t, long.Missing)
	german, err := a.Plan.Proof(ctx, client, page, "",
		[]byte(strings.Repeat("Wir fegen den Schornstein und prüfen die Leitungen im ganzen Haus. ", 8)))
	require.NoError(t, err)
	assert.Equal(t, "de", german.Language)
	for raw, want := range map[string]fault.Code{"": draft.DraftEmpty.Code, "PK\x03\x04": draft.DraftUnreadable.Code} {
		_, err = a.Plan.Proof(ctx, client, page, "", []byte(raw))
		fails(t, err, want)
	}
	for _, called := range []string{"home", "HOME", "http://brindle.example/", page, "brindle.example"} {
		key, err := a.Plan.FindPage(ctx, client, called)
		require.NoError(t, err)
		assert.Equal(t, page, key)
	}
	_, err = a.Plan.FindPage(ctx, client, "nowhere")
	fails(t, err, targets.DraftNoPage.Code)
}

func TestOwnTargetsAndWhy(t *testing.T) {
	a, _, client, home := planned(t)
	_, err := a.Plan.Add(ctx, client, plan.Own{Text: "  ", Minutes: 5})
	fails(t, err, targets.TargetNeedsText.Code)
	id, err := a.Plan.Add(ctx, client, plan.Own{Text: "Ask for a photo", Minutes: 1, Gain: 90})
	require.NoError(t, err)
	twin, err := a.Plan.Add(ctx, client, plan.Own{ID: id, Text: "Ask for another", Minutes: 1})
	require.NoError(t, err, "one with an id that is taken is another one")
	assert.NotEqual(t, id, twin)
	require.NoError(t, a.Plan.Remove(ctx, client, twin))
	shown, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	own := shown.Targets[0]
	assert.Equal(t, []any{"Ask for a photo", id, fmt.Sprintf("p%d", home)}, []any{own.Before, own.OwnID, own.Page})
	require.NoError(t, a.Plan.Remove(ctx, client, id))
	assert.Error(t, a.Plan.Remove(ctx, client, id))

	// The sum of a part is its gain, to the last line.
	for _, x := range shown.Targets {
		if x.Kind != view.TargetKind(plan.Placing) {
			continue
		}
		for _, p := range x.Parts {
			why, err := a.Plan.Why(ctx, client, x.ID, p.Key)
			require.NoError(t, err)
			last := why[len(why)-1]
			assert.Contains(t, fmt.Sprint(last.Lines),
				fmt.Sprintf("{Gain %s", strings.TrimRight(strings.TrimRight(fmt.Sprintf("%.2f", p.Gain), "0"), ".")))
		}
	}
	_, err = a.Plan.Why(ctx, client, "no such", "")
	assert.Error(t, err)
	l, err := a.Plan.Ladder(ctx, client, "")
	require.NoError(t, err)
	assert.Empty(t, l.Rungs, "there are no rivals")
	assert.Empty(t, l.Enough)
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
	for raw, want := range map[string]fault.Code{"words.nowhere: 1": yardstick.NoSuchFigure.Code,
		"words.home.low: 5000": yardstick.GuidelineBackward.Code, "[": export.YardstickNotYAML.Code} {
		_, err = a.Yardstick.Read(ctx, client, []byte(raw))
		fails(t, err, want)
	}
}

// A draft that was kept is a version of its page: it stands on the sheet, the newest, until
// it is removed.
func TestKeptDrafts(t *testing.T) {
	a, _, client, home := planned(t)
	page := fmt.Sprintf("p%d", home)
	const typed = "# Chimney sweep Tarn Harbor\n\nWe sweep **well**.\n"
	first, err := a.Plan.KeepDraft(ctx, client, page, "", []byte(typed))
	require.NoError(t, err)
	assert.Equal(t, []any{typed, 7, "markdown"}, []any{first.Text, first.Words, first.Format})
	second, err := a.Plan.KeepDraft(ctx, client, page, "home.html", []byte("<h1>Chimney sweep</h1><p>"+words(40)))
	require.NoError(t, err)

	column := func() (view.Column, bool) {
		t.Helper()
		s, err := a.Sheet.Get(ctx, client, home)
		require.NoError(t, err)
		if len(s.Columns) < 2 || s.Columns[1].Role != "draft" {
			return view.Column{}, false
		}
		return s.Columns[1], true
	}
	c, ok := column()
	require.True(t, ok)
	assert.Equal(t, []any{second.ID, 42, 1}, []any{c.ReadingID, c.Words.Seen, len(c.Headings)})
	e, err := a.Sheet.Evidence(ctx, client, home, c.EntryID, "chimney sweep tarn harbor")
	require.NoError(t, err)
	assert.Len(t, e.Across, 2, "the page and its draft")
	before, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.NotEmpty(t, partsOf(before, plan.H1), "a draft that is not live does no target")

	require.NoError(t, a.Plan.RemoveDraft(ctx, client, second.ID))
	c, _ = column()
	assert.Equal(t, first.ID, c.ReadingID, "the one before it stands again")
	require.NoError(t, a.Plan.RestoreDraft(ctx, client, second.ID))
	list, err := a.Plan.Drafts(ctx, client, page)
	require.NoError(t, err)
	assert.Equal(t, []int64{second.ID, first.ID}, []int64{list[0].ID, list[1].ID})
	for _, id := range []int64{first.ID, second.ID} {
		require.NoError(t, a.Plan.RemoveDraft(ctx, client, id))
	}
	_, ok = column()
	assert.False(t, ok)
	assert.Error(t, a.Plan.RemoveDraft(ctx, client, second.ID), "it is removed")
	_, err = a.Plan.KeepDraft(ctx, client, "p999", "", []byte("words"))
	assert.ErrorIs(t, err, store.ErrNotFound)
	_, err = a.Plan.KeepDraft(ctx, client, page, "", nil)
	fails(t, err, draft.DraftEmpty.Code)
	menu, err := a.Plan.Proof(ctx, client, page, "", []byte("<nav><a href=/>Home</a> <a href=/a>About us</a></nav>"))
	require.NoError(t, err)
	assert.True(t, menu.Menu)
	assert.Equal(t, menu.Wanted, menu.Left)
}

// What was said of a page that is gone harms nothing, and holds again when it is back.
func TestChoicesOnAPageThatIsGone(t *testing.T) {
	a, _, client, _ := planned(t)
	added, err := a.Ground.AddPage(ctx, client,
		view.PageDraft{URL: "http://brindle.example/liners", Kind: "service", Service: "dryer vent cleaning"})
	require.NoError(t, err)
	measured(t, a, client)
	page := fmt.Sprintf("p%d", added.ID)
	_, err = a.Plan.Add(ctx, client, plan.Own{Page: page, Text: "Ask for a photo", Minutes: 5})
	require.NoError(t, err)
	shown, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	at := slices.IndexFunc(shown.Targets, func(x view.Target) bool { return x.Page == page && x.OwnID == 0 })
	require.GreaterOrEqual(t, at, 0)
	dropped := shown.Targets[at]
	_, err = a.Plan.Choose(ctx, client,
		said(added.ID, dropped.Key, plan.Choice{State: plan.Dropped, Reason: "not now"}))
	require.NoError(t, err)
	_, err = a.Plan.SetOutline(ctx, client, page, outline.Edits{Order: []string{"about"}}, nil)
	require.NoError(t, err)

	require.NoError(t, a.Ground.RemovePage(ctx, client, added.ID))
	shown, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	for _, x := range shown.Targets {
		assert.True(t, x.Page != page || x.OwnID != 0, "what was added by hand stays: %s", x.ID)
	}
	_, err = a.Plan.Outline(ctx, client, page)
	assert.ErrorIs(t, err, store.ErrNotFound)

	require.NoError(t, a.Ground.RestorePage(ctx, client, added.ID))
	shown, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	kept := 0
	for _, x := range shown.Targets {
		if x.Page == page && (x.OwnID != 0 || x.ID == dropped.ID && x.Choice.State == "dropped" &&
			x.Choice.Reason == "not now") {
			kept++
		}
	}
	assert.Equal(t, 2, kept)
}

// A rival that is set aside since it was read again is announced, with what the target was.
func TestSetAsideIsAnnounced(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<h1>Welcome</h1><p>" + words(300)}}
	a, _ := open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, home := newClient(t, a, b, "")
	for i, n := range []int{2400, 800, 700} {
		w.set(fmt.Sprintf("http://rival%d.example/", i), "<p>"+words(n))
	}
	_, err := a.Lineup.Paste(ctx, client, "rival0.example rival1.example rival2.example")
	require.NoError(t, err)
	measured(t, a, client)
	shown, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, shown.Notices)
	w.set("http://rival0.example/", "<p>"+words(5000))
	measured(t, a, client)
	shown, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	require.Len(t, shown.Notices, 1)
	assert.Equal(t, fmt.Sprintf("p%d", home), shown.Notices[0].Page)
	assert.Contains(t, shown.Notices[0].Says,
		"no longer counts: 5,000 words is too far above the others; the target was 2,500 and is now 1,500")
	measured(t, a, client)
	shown, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, shown.Notices, "it was so the last time too")
}

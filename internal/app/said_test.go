package app_test

import (
	"fmt"
	"testing"

	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/app/targets"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Renaming a service keeps what was said of the page that is to be made for it.
func TestRenamedServiceKeepsItsPageToMake(t *testing.T) {
	a, client := surveyedClient(t)
	const was, is = "service: masonry repair", "service: brick repair"
	p, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	_, err = a.Plan.Choose(ctx, client,
		[]targets.Said{{Page: was, Key: partOf(t, p, was).Key, Choice: plan.Choice{State: plan.Dropped, Reason: "no"}},
			{Page: was, Key: firstTarget(t, p, was), Choice: plan.Choice{State: plan.Kept}}})
	require.NoError(t, err)
	_, err = a.Plan.Add(ctx, client, plan.Own{Page: was, Text: "Ask for a photo", Minutes: 5})
	require.NoError(t, err)
	words := 120
	outlined, err := a.Plan.Outline(ctx, client, was)
	require.NoError(t, err)
	section := outlined.Sections[1].Key
	_, err = a.Plan.SetOutline(ctx, client, was, edits(section, words), nil)
	require.NoError(t, err)
	draft, err := a.Plan.KeepDraft(ctx, client, was, "", []byte("# Masonry\n\nWe mend it."))
	require.NoError(t, err)

	b := chimney
	b.Services = append([]view.Service{}, chimney.Services...)
	b.Services[3] = view.Service{Name: "brick repair", Words: []string{"masonry repair", "chimney repair"}}
	_, err = a.Ground.Save(ctx, client, b, nil)
	require.NoError(t, err)
	p, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	kept, own := 0, 0
	for _, x := range p.Targets {
		if x.Page == is && x.Choice.State == view.TargetState(plan.Kept) {
			kept++
		}
		if x.Page == is && x.Kind == view.TargetKind(plan.ByHand) {
			own++
		}
	}
	assert.Equal(t, 1, kept)
	assert.Equal(t, 1, own)
	outlined, err = a.Plan.Outline(ctx, client, is)
	require.NoError(t, err)
	assert.Equal(t, words, *outlined.Edits.Sections[section].Words)
	drafts, err := a.Plan.Drafts(ctx, client, is)
	require.NoError(t, err)
	require.Len(t, drafts, 1)
	assert.Equal(t, draft.ID, drafts[0].ID)
	_, err = a.Plan.Outline(ctx, client, was)
	assert.ErrorIs(t, err, store.ErrNotFound)

	_, err = a.Ground.AddPage(ctx, client,
		view.PageDraft{URL: "brindleandash.example/bricks", Kind: "service", Service: "brick repair"})
	require.NoError(t, err)
	g, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	made := fmt.Sprintf("p%d", g.Pages[len(g.Pages)-1].ID)
	drafts, err = a.Plan.Drafts(ctx, client, made)
	require.NoError(t, err)
	assert.Len(t, drafts, 1, "what was said of it before it was made still holds")
	outlined, err = a.Plan.Outline(ctx, client, made)
	require.NoError(t, err)
	assert.Equal(t, words, *outlined.Edits.Sections[section].Words)
}

// edits returns those of one section's words.
func edits(section string, words int) outline.Edits {
	return outline.Edits{Sections: map[string]outline.SectionEdit{section: {Words: &words}}}
}

// firstTarget returns the key of the first target of a page.
func firstTarget(t *testing.T, p *view.Plan, page string) string {
	for _, x := range p.Targets {
		if x.Page == page {
			return x.Key
		}
	}
	require.FailNow(t, "no target", page)
	return ""
}

// Keys of pages, targets and parts that do not exist are refused.
func TestUnknownKeysAreRefused(t *testing.T) {
	a, client := surveyedClient(t)
	p, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	dropped := plan.Choice{State: plan.Dropped}
	for _, s := range []targets.Said{{Page: "p999", Key: "h1: x", Choice: dropped},
		{Page: "service: no such", Key: "h1: x", Choice: dropped},
		{Page: p.Pages[0].Key, Key: "h1: no such", Choice: dropped}, {Page: "", Key: "h1: x", Choice: dropped}} {
		_, err := a.Plan.Choose(ctx, client, []targets.Said{s})
		assert.ErrorIs(t, err, store.ErrNotFound, "%+v", s)
	}
	_, err = a.Plan.Add(ctx, client, plan.Own{Page: "service: no such", Text: "x", Minutes: 1})
	assert.ErrorIs(t, err, store.ErrNotFound)
	_, err = a.Plan.SetOutline(ctx, client, "p999", edits("about", 100), nil)
	assert.ErrorIs(t, err, store.ErrNotFound)
	_, err = a.Plan.KeepDraft(ctx, client, "service: no such", "", []byte("# x"))
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// What was said of lines that are no more is listed, once, and kept: it holds again when they
// come back.
func TestIdleChoices(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title>" + words(5)}}
	a, _ := open(t, w)
	client, home := newClient(t, a, sweep, "")
	measured(t, a, client)
	p, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, p.Idle)
	key := partOf(t, p, p.Pages[0].Key).Key
	_, err = a.Plan.Choose(ctx, client, said(home, key, plan.Choice{State: plan.Dropped, Reason: "the owner likes it"}))
	require.NoError(t, err)
	w.set("http://brindle.example/", "<title>Chimney sweep Tarn Harbor</title>"+words(5))
	measured(t, a, client)
	p, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	require.Len(t, p.Idle, 1)
	assert.Equal(t, view.Idle{Page: p.Pages[0].Key, Key: key,
		Says: "Title “Chimney sweep Tarn Harbor”: dropped, “the owner likes it”"}, p.Idle[0])
	w.set("http://brindle.example/", "<title>Home</title>"+words(5))
	measured(t, a, client)
	p, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, p.Idle)
	assert.EqualValues(t, plan.Dropped, partOf(t, p, p.Pages[0].Key).Choice.State)
}

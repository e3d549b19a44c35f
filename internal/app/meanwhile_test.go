package app_test

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/app"
	"inktally/internal/app/merge"
	"inktally/internal/app/targets"
	"inktally/internal/view"
	"inktally/internal/view/stood"
	"inktally/internal/wording"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// edit is something that two can change at once: to is saved over was, both written as text.
type edit struct {
	name             string
	was, first, then string
	save             func(to, old string) error
	now              func() string
}

// Whatever two change at once: the later one is told both values, that of the first stands, and
// who has seen it may change it.
func TestTwoChangeOneThing(t *testing.T) {
	a, _, client, home := planned(t)
	other := newPage(t, a, client)
	edits := append(outlineEdits(a, client, home), pageEdits(a, client, other)...)
	edits = append(edits, targetEdits(t, a, client, home)...)
	edits = append(edits, figureEdits(a, client)...)
	for _, e := range edits {
		t.Run(e.name, func(t *testing.T) {
			require.Equal(t, e.was, e.now())
			require.NoError(t, e.save(e.first, e.was))
			err := e.save(e.then, e.was)
			fails(t, err, merge.ChangedElsewhere.Code)
			f, _ := fault.Of(err)
			assert.Contains(t, wording.Fault(f), e.first)
			assert.Contains(t, wording.Fault(f), e.then)
			assert.Equal(t, e.first, e.now(), "nothing of the first is lost")
			require.NoError(t, e.save(e.first, e.was), "both want the same")
			require.NoError(t, e.save(e.then, e.first))
			assert.Equal(t, e.then, e.now())
		})
	}
}

func newPage(t *testing.T, a *app.App, client int64) view.PageInfo {
	p, err := a.Ground.AddPage(ctx, client, view.PageDraft{URL: "brindle.example/masonry"})
	require.NoError(t, err)
	return p
}

func outlineEdits(a *app.App, client, home int64) []edit {
	page := fmt.Sprintf("p%d", home)
	edits := func(change func(e *outline.Edits, s *outline.SectionEdit, v string), v string) outline.Edits {
		e, s := outline.Edits{Sections: map[string]outline.SectionEdit{}}, outline.SectionEdit{}
		change(&e, &s, v)
		e.Sections["about"] = s
		return e
	}
	of := func(name, old, first, then string, change func(e *outline.Edits, s *outline.SectionEdit, v string),
		now func(o *view.Outline) string) edit {
		return edit{name, old, first, then,
			func(to, old string) error {
				before := edits(change, old)
				_, err := a.Plan.SetOutline(ctx, client, page, edits(change, to), &before)
				return err
			}, func() string {
				o, err := a.Plan.Outline(ctx, client, page)
				if err != nil {
					return err.Error()
				}
				return now(o)
			}}
	}
	return []edit{
		of("a section's heading", "", "Who we are", "About Brindle",
			func(_ *outline.Edits, s *outline.SectionEdit, v string) { s.Heading = v },
			func(o *view.Outline) string { return o.Edits.Sections["about"].Heading }),
		of("a section's words", "", "50", "70", func(_ *outline.Edits, s *outline.SectionEdit, v string) {
			var n int
			if _, err := fmt.Sscan(v, &n); err == nil {
				s.Words = &n
			}
		}, func(o *view.Outline) string {
			if w := o.Edits.Sections["about"].Words; w != nil {
				return fmt.Sprint(*w)
			}
			return ""
		}),
	}
}

func pageEdits(a *app.App, client int64, p view.PageInfo) []edit {
	of := func(name, old, first, then string, field func(d *view.PageDraft) *string) edit {
		return edit{name, old, first, then,
			func(to, old string) error {
				before := pageNow(a, client, p.ID)
				d := before
				*field(&before), *field(&d) = old, to
				_, err := a.Ground.UpdatePage(ctx, client, p.ID, d, &before)
				return err
			}, func() string {
				d := pageNow(a, client, p.ID)
				return *field(&d)
			}}
	}
	return []edit{
		of("a page's address", p.URL, "http://brindle.example/stone", "http://brindle.example/brick",
			func(d *view.PageDraft) *string { return &d.URL }),
		of("a page's kind", string(p.Kind), "gallery", "article", func(d *view.PageDraft) *string {
			return (*string)(&d.Kind)
		}),
	}
}

func pageNow(a *app.App, client, page int64) view.PageDraft {
	g, err := a.Ground.Get(ctx, client)
	if err != nil {
		return view.PageDraft{}
	}
	for _, p := range g.Pages {
		if p.ID == page {
			return view.PageDraft{URL: p.URL, Kind: view.OptionalKind(p.Kind), Service: p.Service, Place: p.Place}
		}
	}
	return view.PageDraft{}
}

func targetEdits(t *testing.T, a *app.App, client, home int64) []edit {
	p, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	page, key := fmt.Sprintf("p%d", home), ""
	for _, x := range p.Targets {
		for _, part := range x.Parts {
			if x.Page == page && part.Kind == "title" {
				key = part.Key
			}
		}
	}
	require.NotEmpty(t, key)
	choice := func(v string) plan.Choice {
		if v == "" {
			return plan.Choice{State: plan.Open}
		}
		return plan.Choice{State: plan.Changed, Value: v}
	}
	return []edit{{"what a part says", "", "Chimneys of Tarn Harbor", "Sweeps of Tarn Harbor",
		func(to, old string) error {
			before := choice(old)
			_, err := a.Plan.Choose(ctx, client,
				[]targets.Said{{Page: page, Key: key, Choice: choice(to), Was: &before}})
			return err
		}, func() string {
			p, err := a.Plan.Get(ctx, client)
			if err != nil {
				return err.Error()
			}
			for _, x := range p.Targets {
				for _, part := range x.Parts {
					if x.Page == page && part.Key == key {
						return part.Choice.Value
					}
				}
			}
			return "gone"
		}}}
}

func figureEdits(a *app.App, client int64) []edit {
	figure := func(id int64) func() string {
		return func() string {
			figures, err := a.Yardstick.Figures(ctx, id)
			if err != nil {
				return err.Error()
			}
			for _, f := range figures {
				if f.Key == "words.home.low" {
					return f.Value
				}
			}
			return ""
		}
	}
	set := func(id int64) func(to, before string) error {
		return func(to, before string) error {
			_, err := a.Yardstick.Change(ctx, id, map[string]string{"words.home.low": to},
				map[string]string{"words.home.low": before})
			return err
		}
	}
	number := func(v string) *float64 {
		var n float64
		if _, err := fmt.Sscan(v, &n); err != nil {
			return nil
		}
		return &n
	}
	return []edit{
		{"a figure of the workspace", "1500", "1400", "1300", set(0), figure(0)},
		{"a figure of a client", "1300", "1200", "1100", set(client), figure(client)},
		{"the hours", "4", "3", "8", func(to, before string) error {
			return a.Ground.SetHours(ctx, client, *number(to), number(before))
		},
			func() string {
				p, err := a.Plan.Get(ctx, client)
				if err != nil {
					return err.Error()
				}
				return fmt.Sprint(p.Hours)
			}},
		{"a figure of a site", "", "88", "90", func(to, before string) error {
			_, err := a.Standing.Type(ctx, client, "brindle.example", stood.FigureTyped{
				FigureOf: stood.FigureOf{Figure: "referring_domains", Scope: "site"}, Value: number(to)},
				&view.FigureWas{Value: number(before)})
			return err
		}, func() string {
			s, err := a.Standing.Get(ctx, client)
			if err != nil || s.Groups[2].Rows[0].Cells[0].Value == nil {
				return ""
			}
			return fmt.Sprint(*s.Groups[2].Rows[0].Cells[0].Value)
		}},
	}
}

// A value that goes back to the default is an edit like any other.
func TestBackToADefault(t *testing.T) {
	a, _, client, _ := planned(t)
	change := func(to, before string) error {
		_, err := a.Yardstick.Change(ctx, client, map[string]string{"words.home.low": to},
			map[string]string{"words.home.low": before})
		return err
	}
	require.NoError(t, change("1200", "1500"))
	fails(t, change("", "1300"), merge.ChangedElsewhere.Code)
	require.NoError(t, change("", "1200"))
	require.NoError(t, change("", "1200"), "it is there already")
}

// Different things of one outline, and different words of one list, are changed at once without
// a word: all of them stand.
func TestTwoChangeDifferentThings(t *testing.T) {
	a, _, client, home := planned(t)
	page, none := fmt.Sprintf("p%d", home), outline.Edits{}
	section := func(key, heading string) outline.Edits {
		return outline.Edits{Sections: map[string]outline.SectionEdit{key: {Heading: heading}}}
	}
	_, err := a.Plan.SetOutline(ctx, client, page, section("about", "Who we are"), &none)
	require.NoError(t, err)
	_, err = a.Plan.SetOutline(ctx, client, page, section("lead", "Clean chimneys"), &none)
	require.NoError(t, err)
	o, err := a.Plan.SetOutline(ctx, client, page, outline.Edits{Alone: true}, &none)
	require.NoError(t, err)
	assert.Equal(t, "Who we are", o.Edits.Sections["about"].Heading)
	assert.Equal(t, "Clean chimneys", o.Edits.Sections["lead"].Heading)
	assert.True(t, o.Alone)
	_, err = a.Plan.SetOutline(ctx, client, page, outline.Edits{Order: []string{"about", "lead"}}, &none)
	require.NoError(t, err)
	_, err = a.Plan.SetOutline(ctx, client, page, outline.Edits{Order: []string{"questions", "about"}}, &none)
	fails(t, err, merge.ChangedElsewhere.Code)
	f, _ := fault.Of(err)
	assert.Contains(t, f.Params["theirs"], "Who we are; Clean chimneys", "an order is told by its headings")

	was, err := a.Book.Lists(ctx, client)
	require.NoError(t, err)
	first, second := was.Lists, was.Lists
	first.Hire = append([]string{"pronto"}, first.Hire...)
	second.Hire = append([]string{"at once"}, second.Hire[1:]...)
	_, err = a.Book.SaveLists(ctx, client, &first, &was.Lists)
	require.NoError(t, err)
	now, err := a.Book.SaveLists(ctx, client, &second, &was.Lists)
	require.NoError(t, err)
	assert.Contains(t, now.Hire, "pronto")
	assert.Contains(t, now.Hire, "at once")
	assert.NotContains(t, now.Hire, was.Hire[0])
	assert.Equal(t, len(was.Hire)+1, len(strings.Split(strings.Join(now.Hire, "\n"), "\n")))
}

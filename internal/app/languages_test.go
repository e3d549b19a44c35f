package app_test

import (
	"strings"
	"testing"

	"inktally/core/site"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// A page of another language than the client's stands in the same rows, and so
// do its targets: families are grouped once, in the client's language.
func TestRowsOfMixedLanguages(t *testing.T) {
	const title = "Ramonage à Ostrey"
	w := &web{pages: map[string]string{
		"http://brindle.example/": `<html lang=en><title>Home</title><p>A page`,
		"http://one.example/":     `<html lang=de><title>` + title + `</title><p>Ramonages Ostrey`,
		"http://two.example/":     `<html lang=fr><title>Dépannage</title><p>Dépannages Ostrey`,
	}}
	a, _ := open(t, w)
	client, home := newClient(t, a, view.Business{HomePage: "brindle.example", Language: "fr",
		Phrases: []string{"ramonage ostrey", "ramonages ostrey", "dépannage ostrey", "ostrey dépannages"}},
		"one.example two.example")
	measured(t, a, client)
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	require.Len(t, s.Families, 2)
	for _, c := range s.Columns {
		require.Len(t, c.Families, 2)
		for i, f := range c.Families {
			assert.Equal(t, s.Families[i].Key, f.Family)
		}
	}
	lead := map[string]string{}
	for _, f := range s.Families {
		lead[f.Key] = f.Lead
	}
	assert.Equal(t, "ramonage ostrey", lead[s.Columns[1].Families[0].Family])
	assert.Equal(t, 1, s.Columns[1].Families[0].Exact.Body, "ramonages ostrey")
	assert.Zero(t, s.Columns[1].Families[1].Exact.Total)
	list, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	for _, x := range list.Targets {
		if x.Family != "" {
			assert.Contains(t, lead, x.Family)
		}
	}
	_, err = a.Shelf.List(ctx)
	require.NoError(t, err)
}

// Pages in any mix of languages never change which row a family's figures
// stand in: a family that only one page holds stands in that family's row
// whatever the pages' languages are.
func TestRowsStand(t *testing.T) {
	phrases := []string{"chimney sweep ostrey", "kamine ostrey", "ramonage ostrey", "камин ostrey", "煙突 ostrey"}
	w := &web{pages: map[string]string{}}
	a, _ := open(t, w)
	rapid.Check(t, func(t *rapid.T) {
		langs := rapid.SampledFrom([]string{"", "en", "de", "fr", "ru", "ja", "xx-none", "!!", "pt_BR"})
		w.set("http://brindle.example/", inLanguage(langs.Draw(t, "own"), "nothing of it"))
		var rivals []string
		for i, phrase := range phrases {
			address := "http://" + string(rune('a'+i)) + ".example/"
			w.set(address, inLanguage(langs.Draw(t, "rival"), phrase))
			rivals = append(rivals, address)
		}
		g, err := a.Ground.New(ctx, view.Business{HomePage: "brindle.example", Phrases: phrases,
			Language: rapid.SampledFrom([]string{"", "en", "de", "fr", "ru", "ja"}).Draw(t, "client")})
		require.NoError(t, err)
		defer func() { require.NoError(t, a.Delete(ctx, g.ID)) }()
		_, err = a.Lineup.Paste(ctx, g.ID, strings.Join(rivals, "\n"))
		require.NoError(t, err)
		measured(t, a, g.ID)
		s, err := a.Sheet.Get(ctx, g.ID, g.Pages[0].ID)
		require.NoError(t, err)
		require.Len(t, s.Families, len(phrases))
		at := map[string]int{}
		for i, phrase := range phrases {
			at[phrase] = i + 1
		}
		for row, f := range s.Families {
			for c, column := range s.Columns {
				assert.Equal(t, f.Key, column.Families[row].Family)
				assert.Equal(t, c == at[f.Lead], column.Families[row].Exact.Total > 0, "%s in column %d", f.Lead, c)
			}
		}
		_, err = a.Plan.Get(ctx, g.ID)
		require.NoError(t, err)
	})
}

func inLanguage(lang, text string) string {
	return `<html lang="` + lang + `"><meta charset=utf-8><body><p>` + text
}

// The short way in makes a book of one: its family stands in the book and on
// the sheet, with the page that carries it.
func TestShortWayMakesABook(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title>" + words(20),
		"http://one.example/": words(900)}}
	a, _ := open(t, w)
	g, err := a.Quick(ctx, "brindle.example", "Chimney sweep Tarn Harbor", "one.example")
	require.NoError(t, err)
	ended(t, a, g.ID)
	b, err := a.Book.Get(ctx, g.ID)
	require.NoError(t, err)
	require.Len(t, b.Families, 1)
	assert.True(t, b.Families[0].Kept)
	assert.True(t, b.Families[0].Members[0].Typed)
	assert.Equal(t, g.Pages[0].ID, b.Families[0].PageID)
	require.Len(t, b.Pages, 1)
	assert.Equal(t, view.PageKind(site.Home), b.Pages[0].Kind)
	s, err := a.Sheet.Get(ctx, g.ID, g.Pages[0].ID)
	require.NoError(t, err)
	require.Len(t, s.Families, 1)
	assert.Equal(t, b.Families[0].Key, s.Families[0].Key)
	_, err = a.Quick(ctx, "brindle.example", "--", "")
	assertTold(t, err)
}

//go:build sense

package sense

import (
	"context"
	"encoding/json"
	"io/fs"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
	"time"

	"inktally/internal/app"
	"inktally/internal/app/documents"
	"inktally/internal/app/runs"
	"inktally/internal/demo"
	"inktally/internal/practice"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/tools/txtar"
)

// client is a client with all that it is told.
type client struct {
	name     string // of the case
	ground   view.Ground
	site     *view.Site
	plan     *view.Plan
	outlines map[string]*view.Outline // by the page's key
	images   []view.ImageRow
	briefs   map[string]string // Markdown, by the page's address
	// strange are words that nothing is known of and slips, phrases all members of its families.
	strange map[string]bool
	phrases []string
	// recap are the imperatives over the plan, folded the lines that stand folded under their page.
	recap  []string
	folded map[string]bool
}

// made is what a case's client.json says of it.
type made struct {
	Business view.Business
	// Survey reports whether its site is surveyed, or only its home page read.
	Survey bool
	// Search are the phrases that were searched.
	Search []string
}

// program starts the program over a web.
func program(t *testing.T, web *practice.Web) *app.App {
	t.Helper()
	db, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "d.db"))
	require.NoError(t, err)
	a, err := app.New(context.Background(), app.Options{DB: db, Web: web.Fetcher(),
		Search: source.Search{URL: web.SearchURL()}, Demand: source.Demand{URL: web.DemandURL()},
		Figures: web.Figures()})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
		assert.NoError(t, web.Close())
	})
	return a
}

// clients makes all of them.
func clients(t *testing.T) (out []*client) {
	t.Helper()
	web, err := practice.Start()
	require.NoError(t, err)
	a := program(t, web)
	require.NoError(t, demo.Seed(context.Background(), a))
	shelf, err := a.Shelf.List(context.Background())
	require.NoError(t, err)
	for _, row := range shelf {
		out = append(out, told(t, a, row.Name, row.ID))
	}
	cases, err := filepath.Glob("testdata/*.txtar")
	require.NoError(t, err)
	for _, file := range cases {
		out = append(out, makeClient(t, file))
	}
	return out
}

// makeClient makes the client of a file: its search recorded, its list of phrases brought, its pages read.
func makeClient(t *testing.T, file string) *client {
	t.Helper()
	ctx := context.Background()
	archive, err := txtar.ParseFile(file)
	require.NoError(t, err)
	folder, err := txtar.FS(archive)
	require.NoError(t, err)
	raw, err := fs.ReadFile(folder, "client.json")
	require.NoError(t, err)
	var m made
	require.NoError(t, json.Unmarshal(raw, &m))
	web, err := practice.Over(folder)
	require.NoError(t, err)
	a := program(t, web)
	g, err := a.Ground.New(ctx, m.Business)
	require.NoError(t, err)
	for _, phrase := range m.Search {
		_, err := a.Lineup.Record(ctx, g.ID, phrase)
		require.NoError(t, err)
	}
	if list, err := fs.ReadFile(folder, "phrases.csv"); err == nil {
		_, err := a.Book.ImportList(ctx, g.ID, "phrases.csv", list, nil, "", "")
		require.NoError(t, err)
	}
	_, err = a.Runs.Start(ctx, g.ID, runs.What{Pages: true, Sites: m.Survey})
	require.NoError(t, err)
	return told(t, a, strings.TrimSuffix(filepath.Base(file), ".txtar"), g.ID)
}

// told waits until a client's pages are read, and asks for all that it is told.
func told(t *testing.T, a *app.App, name string, id int64) *client {
	t.Helper()
	ctx := context.Background()
	require.Eventually(t, func() bool {
		run, err := a.Runs.Last(ctx, id)
		return err == nil && run.State != "running"
	}, 2*time.Minute, 20*time.Millisecond)
	c := &client{name: name, outlines: map[string]*view.Outline{}, briefs: map[string]string{}}
	g, err := a.Ground.Get(ctx, id)
	require.NoError(t, err)
	c.ground = g
	c.site, err = a.Ground.Site(ctx, id)
	require.NoError(t, err)
	c.plan, err = a.Plan.Get(ctx, id)
	require.NoError(t, err)
	names, err := a.Plan.Images(ctx, id)
	require.NoError(t, err)
	c.images = names.Rows
	b, err := a.Book.Get(ctx, id)
	require.NoError(t, err)
	c.learn(b)
	for _, r := range c.plan.Recap {
		c.recap = append(c.recap, r.Says+" ("+r.Evidence+")")
	}
	for _, f := range c.plan.Folded {
		for _, id := range f.Targets {
			c.folded[id] = true
		}
	}
	for _, p := range c.plan.Pages {
		o, err := a.Plan.Outline(ctx, id, p.Key)
		require.NoError(t, err, p.Key)
		c.outlines[p.Key] = o
	}
	for _, p := range c.ground.Pages {
		made, err := a.Handoff.File(ctx, documents.Ask{Client: id, Kind: documents.OneBrief,
			Page: study.PageKey(store.Page{ID: p.ID}), Format: documents.Markdown})
		require.NoError(t, err, p.URL)
		c.briefs[p.URL] = lineNumber.ReplaceAllString(string(made.Body), "$1")
	}
	return c
}

// lineNumber is the number of a line of a brief, which is no figure.
var lineNumber = regexp.MustCompile(`(?m)^(\s*- \[ \] )\*\*\d+\*\* `)

// learn notes what is known of the words of a book.
func (c *client) learn(b *view.Book) {
	c.strange, c.folded = map[string]bool{}, map[string]bool{}
	for _, u := range b.Unfamiliar {
		c.strange[u.Word] = true
	}
	for _, tie := range b.Likely {
		if tie.Kind == "slip" {
			c.strange[tie.Word] = true
		}
	}
	for _, f := range b.Families {
		for _, m := range f.Members {
			c.phrases = append(c.phrases, m.Text)
		}
	}
}

// explains reports whether a word of a file name is one of the client's services, places or trade.
func (c *client) explains(name string) bool {
	known := plain(c.ground.Trade)
	for _, s := range c.ground.Services {
		known = append(known, plain(s.Name+" "+strings.Join(s.Words, " "))...)
	}
	for _, p := range c.ground.Places {
		known = append(known, plain(p.Name)...)
	}
	for _, w := range plain(stem(name)) {
		for _, k := range known {
			if root(w) == root(k) {
				return true
			}
		}
	}
	return false
}

package server

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/httptest"
	"net/url"
	"os"
	"slices"
	"strings"
	"testing"
	"time"

	"inktally/internal/app"
	"inktally/internal/demo"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// demoClient is the demo's main client, demoHome its home page.
const demoClient, demoHome = 2, 2

// serveDemo serves the demo, whose sites were surveyed.
func serveDemo(t *testing.T) (*httptest.Server, *app.App) {
	ctx := context.Background()
	server, a := start(t)
	require.NoError(t, demo.Seed(ctx, a))
	for _, client := range []int64{1, demoClient, 3} {
		require.Eventually(t, func() bool {
			last, err := a.Runs.Last(ctx, client)
			return err == nil && last != nil && last.State != store.JobRunning
		}, time.Minute, 5*time.Millisecond)
	}
	return server, a
}

// queries are what the front end asks for, by the names that it has for them.
var queries = map[string]string{
	"shelf": "/api/clients", "missed": "/api/missed", "names": "/api/names", "yardstick": "/api/yardstick",
	"clientYardstick": "/api/clients/2/yardstick", "siteKinds": "/api/site-kinds", "ground": "/api/clients/2",
	"proposal":    "/api/clients/2/proposal",
	"communities": "/api/clients/2/communities", "book": "/api/clients/2/book",
	"candidates": "/api/clients/2/book/candidates", "lists": "/api/clients/2/book/lists",
	"found": "/api/clients/2/found", "site": "/api/clients/2/site", "overview": "/api/clients/2/overview",
	"beside": "/api/clients/2/pages/2/beside",
	"lineup": "/api/clients/2/lineup", "standing": "/api/clients/2/standing",
	"linkDomains": "/api/clients/2/standing/domains",
	"listings":    "/api/clients/2/standing/listings", "mapProfile": "/api/clients/2/standing/profile",
	"sheet":     "/api/clients/2/pages/2/sheet",
	"evidence":  "/api/clients/2/pages/2/evidence?phrase=chimney+sweep+tarn+harbor",
	"pageFacts": "/api/clients/2/pages/2/facts", "madeOf": "/api/clients/2/pages/2/made-of",
	"drafts": "/api/clients/2/plan/drafts?page=p2", "plan": "/api/clients/2/plan",
	"outline": "/api/clients/2/plan/outline?page=p2", "imageNames": "/api/clients/2/plan/images",
	"why": "/api/clients/2/plan/why?target=", "documentFile": "/api/clients/2/documents/plan",
	"letterhead": "/api/letterhead", "walk": "/api/clients/2/walk",
	"ladder": "/api/clients/2/plan/ladder",
}

// asked returns the answers to all queries.
func asked(t *testing.T, server *httptest.Server, target string) map[string]string {
	out := map[string]string{}
	for name, path := range queries {
		if name == "why" {
			path += url.QueryEscape(target)
		}
		resp, err := http.Get(server.URL + path)
		require.NoError(t, err)
		raw, err := io.ReadAll(resp.Body)
		require.NoError(t, err)
		require.NoError(t, resp.Body.Close())
		require.True(t, resp.StatusCode == http.StatusOK || name == "why", "%s: %s", path, raw) // a target may be gone
		out[name] = string(raw)
	}
	return out
}

// lastTarget returns the key of the last target of a page.
func lastTarget(list []view.Target, page string) (key string) {
	for _, t := range list {
		if t.Page == page {
			key = t.Key
		}
	}
	return key
}

// What a change says that it changed is enough: no query that the front end makes from other
// facets answers otherwise afterwards. The front end has the table of what is made from what.
func TestChangesTellWhatFollows(t *testing.T) {
	server, a := serveDemo(t)
	raw, err := os.ReadFile("../../web/src/api/madeof.json")
	require.NoError(t, err)
	madeOf := map[string][]string{}
	require.NoError(t, json.Unmarshal(raw, &madeOf))
	for name, facets := range madeOf {
		assert.Contains(t, queries, name)
		for _, f := range facets {
			assert.Contains(t, store.Facets(), store.Facet(f))
		}
	}
	plan, err := a.Plan.Get(context.Background(), demoClient)
	require.NoError(t, err)
	target := plan.Targets[1]
	var book map[string]any
	_, book = ask(t, server, "GET", "/api/clients/2/book", "")
	family := book["families"].([]any)[0].(map[string]any)["key"].(string)
	var lineup map[string]any
	_, lineup = ask(t, server, "GET", "/api/clients/2/lineup", "")
	entry := ""
	for _, e := range lineup["entries"].([]any) {
		if e := e.(map[string]any); e["taken"] == true {
			entry = fmt.Sprint(e["id"])
		}
	}
	text := func(v any) string {
		raw, err := json.Marshal(v)
		require.NoError(t, err)
		return string(raw)
	}
	_, business := ask(t, server, "GET", "/api/clients/2", "")
	business["trade"] = "chimneys and stoves"
	delete(business, "id")
	delete(business, "pages")
	const of = "/api/clients/2"
	before := asked(t, server, target.ID)
	for _, c := range []struct{ method, path, body, changes string }{
		{"PUT", of + "/hours", `{"hours": 2}`, "plan"},
		{"PUT", of + "/plan/choices",
			text(map[string]any{"said": []any{
				map[string]any{"page": target.Page, "key": target.Parts[0].Key, "state": "dropped", "value": "",
					"reason": "no"}}}), "plan"},
		{"PUT", of + "/plan/choices",
			text(map[string]any{"said": []any{
				map[string]any{"page": plan.Pages[len(plan.Pages)-1].Key,
					"key": lastTarget(plan.Targets, plan.Pages[len(plan.Pages)-1].Key), "state": "kept", "value": "",
					"reason": ""}}}), "plan"},
		{"POST", of + "/plan/own", `{"text": "Ask for a photo", "minutes": 5}`, "plan"},
		{"PUT", of + "/walk/steps/recap", `{"dropped": true, "head": "", "points": []}`, "walk"},
		{"PUT", of + "/plan/outline?page=p2", `{"order": [], "alone": false, "sections": {"` + "towns" +
			`": {"heading": "", "words": 90, "dropped": false, "added": false}}}`, ""},
		{"PUT", of + "/standing/figures/brindleandash.example",
			`{"figure": "referring_domains", "scope": "site", "name": "", "value": 12, "source": "typed",
 "taken_on": ""}`,
			"standing"},
		{"PUT", of + "/standing/facts/brindleandash.example", `{"field": "category", "value": "Stove shop"}`,
			"mapProfile"},
		{"PUT", of + "/standing/domains", `{"domains": ["sweepguild.example"], "verdict": "leave"}`, "linkDomains"},
		{"PUT", of + "/standing/said", `{"said": [{"kind": "list", "key": "neighborlist", "state": "done"}]}`,
			"listings"},
		{"PUT", of + "/book/words", `{"word": "oakum", "verdict": "firm"}`, "book"},
		{"PUT", of + "/book/families",
			text(map[string]any{"keys": []string{family}, "state": "aside", "reason": "no", "lead": ""}), "sheet"},
		{"POST", of + "/book/phrases", `{"phrases": ["chimney rebuild tarn harbor"]}`, "book"},
		{"PUT", of + "/lineup/" + entry, `{"taken": false}`, "sheet"},
		{"POST", of + "/lineup/rivals", `{"addresses": "http://newrival.example/"}`, "lineup"},
		{"PUT", of + "/yardstick", `{"changes": {"words.beat_percent": "25"}}`, "clientYardstick"},
		{"POST", of + "/pages", `{"kind": "service", "url": "", "service": "chimney inspection", "place": ""}`,
			"ground"},
		{"POST", of + "/pages/2/paste", `{"entry": 0, "html": "<title>New</title><h1>New</h1><p>Short now</p>"}`,
			"sheet"},
		{"POST", of + "/plan/drafts?page=p2", `{"text": "# A draft\n\nOf some words."}`, "drafts"},
		{"PUT", of, text(business), "ground"},
		{"PUT", "/api/yardstick", `{"changes": {"words.beat_percent": "40", "lineup.most": "2"}}`, "yardstick"},
	} {
		var header http.Header
		req, err := http.NewRequest(c.method, server.URL+c.path, strings.NewReader(c.body))
		require.NoError(t, err)
		req.Header.Set("Content-Type", "application/json")
		resp, err := http.DefaultClient.Do(req)
		require.NoError(t, err)
		raw, err := io.ReadAll(resp.Body)
		require.NoError(t, err)
		require.NoError(t, resp.Body.Close())
		require.Less(t, resp.StatusCode, 300, "%s: %s", c.path, raw)
		header = resp.Header
		says := strings.Fields(header.Get("Changed"))
		assert.NotEmpty(t, says, "%s %s", c.path, c.body)
		after := asked(t, server, target.ID)
		for name := range queries {
			follows := slices.ContainsFunc(madeOf[name], func(f string) bool { return slices.Contains(says, f) })
			if !follows {
				assert.True(t, before[name] == after[name], "%s after %s %s, which says that it changed %v", name,
					c.method, c.path, says)
			}
		}
		if c.changes != "" {
			assert.NotEqual(t, before[c.changes], after[c.changes], "%s after %s %s", c.changes, c.method, c.path)
		}
		before = after
	}
}

// No GET writes.
func TestGetsWriteNothing(t *testing.T) {
	server, a := serveDemo(t)
	plan, err := a.Plan.Get(context.Background(), demoClient)
	require.NoError(t, err)
	filled := strings.NewReplacer("{client}", "2", "{page}", "2", "{draft}", "1", "{reading}", "1")
	_, described := ask(t, server, "GET", "/api/openapi.json", "")
	writes := a.Store().Writes()
	n := 0
	for path, methods := range described["paths"].(map[string]any) {
		if methods.(map[string]any)["get"] == nil || strings.HasSuffix(path, "/progress") { // which is open for ever
			continue
		}
		n++
		resp, err := http.Get(server.URL + filled.Replace(path) + "?page=p2&phrase=chimney&target=" +
			url.QueryEscape(plan.Targets[0].ID))
		require.NoError(t, err)
		_, _ = io.Copy(io.Discard, resp.Body)
		require.NoError(t, resp.Body.Close())
		assert.Less(t, resp.StatusCode, 500, path)
		assert.Equal(t, writes, a.Store().Writes(), path)
	}
	assert.Greater(t, n, 35)
}

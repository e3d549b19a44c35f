package server

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/practice"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// serve starts the program over the practice web.
func serve(t *testing.T) *httptest.Server {
	server, _ := start(t)
	return server
}

func start(t *testing.T) (*httptest.Server, *app.App) {
	web, err := practice.Start()
	require.NoError(t, err)
	db, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "s.db"))
	require.NoError(t, err)
	log := slog.New(slog.NewTextHandler(io.Discard, nil))
	a, err := app.New(context.Background(),
		app.Options{DB: db, Web: web.Fetcher(), Search: source.Search{URL: web.SearchURL()},
			Demand:  source.Demand{URL: web.DemandURL()},
			Figures: web.Figures(), Log: log})
	require.NoError(t, err)
	server := httptest.NewServer(New(a, log, Options{}))
	t.Cleanup(func() {
		server.Close()
		a.Close()
		_ = db.Close()
		_ = web.Close()
	})
	return server, a
}

// ask sends a request and returns the status and the decoded answer.
func ask(t *testing.T, server *httptest.Server, method, path, body string, change ...func(*http.Request)) (int,
	map[string]any) {
	t.Helper()
	req, err := http.NewRequest(method, server.URL+path, strings.NewReader(body))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/json")
	for _, c := range change {
		c(req)
	}
	resp, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	defer resp.Body.Close()
	var answer map[string]any
	raw, err := io.ReadAll(resp.Body)
	require.NoError(t, err)
	_ = json.Unmarshal(raw, &answer)
	if resp.StatusCode >= 400 {
		assert.Equal(t, "application/problem+json", resp.Header.Get("Content-Type"), path)
		assert.NotEmpty(t, answer["detail"], path)
		assert.Contains(t, fault.Codes(), fault.Code(fmt.Sprint(answer["code"])), path)
	}
	return resp.StatusCode, answer
}

func TestProblems(t *testing.T) {
	server := serve(t)
	for _, c := range []struct {
		method, path, body string
		status             int
		code               fault.Code
	}{
		{"GET", "/api/clients/9", "", 404, NoSuchClient.Code},
		{"GET", "/api/clients/x", "", 422, BadEntry.Code},
		{"POST", "/api/quick", `{"address":"file:///x","phrase":"a","rivals":""}`, 422, fetch.AddressScheme.Code},
		{"POST", "/api/quick", `{"address":"a.example","phrase":"  ","rivals":""}`, 422, fault.PhraseNeeded.Code},
		{"POST", "/api/quick", `{"address":`, 400, BadEntry.Code},
		{"POST", "/api/quick", `{"address":"a.example","phrase":"a","rivals":"","more":1}`, 422, BadEntry.Code},
		{"POST", "/api/clients", `{"name":"` + strings.Repeat("x", 201) +
			`","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`, 422, EntryTooLong.Code},
		{"POST", "/api/clients",
			`{"name":"x","customers":101,"trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`,
			422, NumberTooLarge.Code},
		{"POST", "/api/clients",
			`{"name":"x","customers":-1,"trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`,
			422, NumberTooSmall.Code},
		{"PUT", "/api/clients/9/book/families", `{"keys":["a"],"choice":{"state":"lost","reason":"","lead":""}}`, 422,
			BadEntry.Code},
		{"DELETE", "/api/clients/9", "", 404, NotThere.Code},
		{"GET", "/api/clients/9/pages/1/sheet", "", 404, NoSuchClient.Code},
		{"GET", "/api/clients/9/documents/brief?page=p1", "", 404, NoSuchClient.Code},
		{"GET", "/api/clients/9/readings/1/page", "", 404, NotThere.Code},
		{"GET", "/api/nowhere", "", 404, NoAddress.Code},
		{"PATCH", "/api/clients", "", 405, NoMethod.Code},
		{"GET", "/assets/gone.js", "", 404, NoAddress.Code},
	} {
		t.Run(c.method+" "+c.path+" "+string(c.code), func(t *testing.T) {
			status, answer := ask(t, server, c.method, c.path, c.body)
			assert.Equal(t, c.status, status)
			assert.Equal(t, string(c.code), answer["code"], answer["detail"])
		})
	}
}

// Neither other sites nor other names reach the program.
func TestGuard(t *testing.T) {
	server := serve(t)
	status, _ := ask(t, server, "GET", "/api/clients", "", func(r *http.Request) { r.Host = "evil.example" })
	assert.Equal(t, http.StatusForbidden, status)
	status, _ = ask(t, server, "POST", "/api/quick", "{}", func(r *http.Request) {
		r.Header.Set("Sec-Fetch-Site", "cross-site")
	})
	assert.Equal(t, http.StatusForbidden, status)
	resp, err := http.Get(server.URL + "/api/clients")
	require.NoError(t, err)
	resp.Body.Close()
	assert.Contains(t, resp.Header.Get("Content-Security-Policy"), "default-src 'self'")
}

// The demo's data over the API: a run reports its progress, and the kept page
// is given out without anything alive in it.
func TestRunOverTheAPI(t *testing.T) {
	server := serve(t)
	status, g := ask(t, server, "POST", "/api/clients",
		`{"name":"B","trade":"","phone":"","home_page":"brindleandash.example",
		"services":[{"name":"chimney sweep"}],"places":[{"name":"Tarn Harbor","state":"ME","home":true}],
"phrases":["chimney sweep tarn harbor"]}`)
	require.Equal(t, http.StatusOK, status)
	assert.InDelta(t, 1, g["id"], 0)
	status, l := ask(t, server, "POST", "/api/clients/1/lineup/search", `{"phrase":"Harbor Tarn chimney SWEEP"}`)
	require.Equal(t, http.StatusOK, status)
	assert.Len(t, l["entries"], 16)
	status, l = ask(t, server, "POST", "/api/clients/1/lineup/search", `{"phrase":"unknown"}`)
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Equal(t, string(source.SearchUnknown.Code), l["code"])

	events, err := http.Get(server.URL + "/api/clients/1/progress")
	require.NoError(t, err)
	defer events.Body.Close()
	assert.Equal(t, "text/event-stream", events.Header.Get("Content-Type"))
	status, _ = ask(t, server, "POST", "/api/clients/1/run", "")
	require.Equal(t, http.StatusOK, status)
	lines := bufio.NewScanner(events.Body)
	lines.Buffer(nil, 1<<20)
	for lines.Scan() {
		data, ok := strings.CutPrefix(lines.Text(), "data: ")
		if !ok {
			continue
		}
		var state struct{ Run *view.Run }
		require.NoError(t, json.Unmarshal([]byte(data), &state))
		if run := state.Run; run != nil && run.State == "done" {
			assert.Equal(t, 5, run.Done, "the site that fails the first time was looked at by the search")
			break
		}
	}
	_, sheet := ask(t, server, "GET", "/api/clients/1/pages/1/sheet", "")
	assert.Len(t, sheet["columns"], 5)
	resp, err := http.Get(server.URL + "/api/clients/1/readings/1/page")
	require.NoError(t, err)
	defer resp.Body.Close()
	kept, err := io.ReadAll(resp.Body)
	require.NoError(t, err)
	assert.Contains(t, strings.ToLower(string(kept)), "<html")
	assert.Contains(t, resp.Header.Get("Content-Security-Policy"), "sandbox; default-src 'none'")
}

// The description of the API is written the same each time.
// Hours that cannot be spent are refused in a sentence, and those of before stay.
func TestHours(t *testing.T) {
	server := serve(t)
	status, made := ask(t, server, "POST", "/api/clients",
		`{"name":"Brindle & Ash","trade":"chimney care","phone":"","home_page":"","services":[],"places":[],
"phrases":["chimney sweep"]}`)
	require.Equal(t, http.StatusOK, status)
	path := fmt.Sprintf("/api/clients/%v", made["id"])
	status, _ = ask(t, server, "PUT", path+"/hours", `{"hours":3.5}`)
	require.Less(t, status, 300)
	for _, hours := range []string{"10000", "-1", `"text"`, `""`, "1e999", "null", "NaN"} {
		status, problem := ask(t, server, "PUT", path+"/hours", `{"hours":`+hours+`}`)
		assert.GreaterOrEqual(t, status, 400, hours)
		assert.Less(t, status, 500, hours)
		assert.NotEmpty(t, problem["detail"], hours)
		_, plan := ask(t, server, "GET", path+"/plan", "")
		assert.InDelta(t, 3.5, plan["hours"], 0, hours)
	}
	status, _ = ask(t, server, "PUT", path+"/hours", `{"hours":0}`)
	require.Less(t, status, 300)
	_, plan := ask(t, server, "GET", path+"/plan", "")
	assert.Zero(t, plan["fit"])
}

func TestOpenAPI(t *testing.T) {
	a, err := OpenAPI()
	require.NoError(t, err)
	b, err := OpenAPI()
	require.NoError(t, err)
	assert.Equal(t, string(a), string(b))
	assert.Contains(t, string(a), `"/api/clients/{client}/pages/{page}/evidence"`)
}

// The phrase book is given out as a file.
func TestBookFile(t *testing.T) {
	server := serve(t)
	status, _ := ask(t, server, "POST", "/api/clients",
		`{"name":"Brindle & Ash","trade":"","phone":"","home_page":"","services":[],"places":[],
"phrases":["chimney sweep"]}`)
	require.Equal(t, http.StatusOK, status)
	resp, err := http.Get(server.URL + "/api/clients/1/book.csv")
	require.NoError(t, err)
	defer resp.Body.Close()
	body, err := io.ReadAll(resp.Body)
	require.NoError(t, err)
	assert.Equal(t, "text/csv; charset=utf-8", resp.Header.Get("Content-Type"))
	assert.Equal(t, `attachment; filename="phrase-book-brindle-and-ash.csv"`, resp.Header.Get("Content-Disposition"))
	assert.Contains(t, string(body), "chimney sweep,chimney sweep,,,,,broad")
	status, _ = ask(t, server, "GET", "/api/clients/9/book.csv", "")
	assert.Equal(t, http.StatusNotFound, status)
}

// A deleted client is not there for anybody, and all of it is when it is brought back.
func TestDeletedClient(t *testing.T) {
	server := serve(t)
	status, _ := ask(t, server, "POST", "/api/clients",
		`{"name":"Ash","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":["chimney sweep"]}`)
	require.Equal(t, http.StatusOK, status)
	const client = "/api/clients/1"
	for _, step := range []struct {
		method, path string
		want         int
	}{
		{"POST", client + "/restore", 404}, {"DELETE", client, 204}, {"GET", client, 404},
		{"GET", client + "/book", 404},
		{"GET", client + "/book.csv", 404}, {"POST", client + "/run", 404}, {"DELETE", client, 404},
		{"POST", client + "/restore", 204}, {"GET", client, 200}, {"GET", client + "/book", 200},
	} {
		status, answer := ask(t, server, step.method, step.path, "")
		assert.Equal(t, step.want, status, "%s %s", step.method, step.path)
		if status == http.StatusNotFound {
			assert.Equal(t, string(NoSuchClient.Code), answer["code"], "%s %s", step.method, step.path)
		}
	}
}

// A failure of the program itself is in its log; what is told of it holds no
// word of the inside.
func TestOwnMistake(t *testing.T) {
	var log strings.Builder
	r := api{log: slog.New(slog.NewTextHandler(&log, nil))}
	err := r.problem(context.Background(), "sheet", errors.New("sql: no such column: secret"))
	answer, ok := err.(*Problem)
	require.True(t, ok)
	assert.Equal(t, http.StatusInternalServerError, answer.Status)
	assert.Equal(t, view.FaultCode(fault.OwnMistake.Code), answer.Code)
	assert.NotContains(t, answer.Detail, "secret")
	assert.Contains(t, log.String(), "secret")
}

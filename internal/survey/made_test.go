package survey

import (
	"context"
	"encoding/json"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"net/url"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"inktally/core/finding"
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// made is a small site with what a person says of its pages and what is wrong with them. It was written
// before the rules that read it.
type made struct {
	Host, Scheme string
	Client       struct {
		Firm     string
		Services [][]string
		Places   [][]string
	}
	Answers map[string]madeAnswer
	Missing *madeAnswer // to what is not there, nil for 404
	Pages   []struct {
		Path, Kind     string
		Service, Place string
		KindOK         []string `json:"kind_ok"`
	}
	Findings []struct{ Type, Path string }
}

type madeAnswer struct {
	Status  int
	Headers map[string]string
	Body    string
}

// serve answers as the site does, by http alone.
func (m made) serve(t *testing.T) *fetch.Fetcher {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		key := r.URL.Path
		if r.URL.RawQuery != "" {
			key += "?" + r.URL.RawQuery
		}
		answer, ok := m.Answers[key]
		if !ok {
			answer = madeAnswer{Status: http.StatusNotFound, Body: "<h1>Not found</h1>"}
			if m.Missing != nil {
				answer = *m.Missing
			}
		}
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		for name, value := range answer.Headers {
			w.Header().Set(name, value)
		}
		w.WriteHeader(answer.Status)
		_, _ = w.Write([]byte(answer.Body))
	}))
	t.Cleanup(server.Close)
	dial := func(ctx context.Context, _, address string) (net.Conn, error) {
		if _, port, _ := net.SplitHostPort(address); port != "80" {
			return nil, &net.OpError{Op: "dial", Err: os.ErrNotExist}
		}
		return (&net.Dialer{}).DialContext(ctx, "tcp", server.Listener.Addr().String())
	}
	return fetch.New(fetch.Options{Dial: dial, Guard: func(netip.Addr) error { return nil },
		Wait: func(context.Context, int, time.Duration) error { return nil }})
}

// Four small sites in makes of their own: each page has its kind, service and place, each planted fault is
// found, and no other of its type.
func TestMadeSites(t *testing.T) {
	files, err := filepath.Glob("testdata/made/*.json")
	require.NoError(t, err)
	require.Len(t, files, 4)
	for _, file := range files {
		t.Run(strings.TrimSuffix(filepath.Base(file), ".example.json"), func(t *testing.T) {
			raw, err := os.ReadFile(file)
			require.NoError(t, err)
			var m made
			require.NoError(t, json.Unmarshal(raw, &m))
			tree := m.tree(t)
			for _, want := range m.Pages {
				at := slices.IndexFunc(tree.Pages, func(p site.Surveyed) bool { return pathOf(t, p.URL) == want.Path })
				if !assert.GreaterOrEqual(t, at, 0, "%s was not found", want.Path) {
					continue
				}
				got := tree.Pages[at]
				assert.Contains(t, append(want.KindOK, want.Kind), string(got.Kind), want.Path)
				if len(want.KindOK) == 0 {
					assert.Equal(t, want.Service, got.Service, want.Path)
				}
				if want.Kind == "area" && want.Place != "" {
					assert.Equal(t, want.Place, got.Place, want.Path)
				}
			}
			m.faults(t, tree)
		})
	}
}

// planted are the types of faults that the sites have, or might be thought to have.
var planted = []finding.Type{finding.NoIndex, finding.PlaceholderText, finding.HTTPOnly, finding.PlaceWrong,
	finding.DeadLink,
	finding.SoftNotFound, finding.DrawnByScript, finding.AllServices, finding.SameService, finding.Orphan}

func (m made) faults(t *testing.T, tree site.Tree) {
	for _, want := range m.Findings {
		if want.Type == "duplicate" {
			continue
		}
		assert.True(t, slices.ContainsFunc(tree.Findings, func(f finding.Finding) bool {
			return string(f.Type) == want.Type && (pathOf(t, f.URL) == want.Path || want.Type == "http_only")
		}), "%s of %s was not found", want.Type, want.Path)
	}
	for _, f := range tree.Findings {
		if !slices.Contains(planted, f.Type) || f.Type == finding.HTTPOnly {
			continue
		}
		assert.True(t, slices.ContainsFunc(m.Findings, func(want struct{ Type, Path string }) bool {
			return want.Type == string(f.Type) && want.Path == pathOf(t, f.URL)
		}), "%s of %s is none: %+v", f.Type, f.URL, f)
	}
}

func (m made) tree(t *testing.T) site.Tree {
	var services []intent.Service
	var names []string
	for _, s := range m.Client.Services {
		services = append(services, intent.Service{Name: s[0], Words: s[1:]})
		names = append(names, s[0])
	}
	var places []place.Place
	for i, p := range m.Client.Places {
		one := place.Place{Name: p[0], Home: i == 0}
		if len(p) > 1 {
			one.State = p[1]
		}
		places = append(places, one)
	}
	binder := site.NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}), services,
		intent.EnglishLists().Acts)
	found, err := Visit(context.Background(), Plain{m.serve(t)}, m.Scheme+"://"+m.Host+"/",
		Options{Gist: gists(binder, m.Client.Firm)})
	require.NoError(t, err)
	return site.Survey{Visited: found.Visited, Dead: found.Dead, Root: found.Root, Both: found.Both, Plain: found.Plain,
		Firm: m.Client.Firm, Places: places, Services: names, Binder: binder,
		Low: func(site.Kind) int { return 500 }}.Tree()
}

func pathOf(t *testing.T, address string) string {
	u, err := url.Parse(address)
	require.NoError(t, err)
	if u.RawQuery != "" {
		return u.Path + "?" + u.RawQuery
	}
	return u.Path
}

// What a survey knows of and could not read is told with the reason; what is not there is none of it.
func TestMissed(t *testing.T) {
	m := made{Host: "half.example", Scheme: "http", Answers: map[string]madeAnswer{
		"/robots.txt": {Status: 200, Body: "User-agent: *\nDisallow: /private"},
		"/": {Status: 200, Body: `<h1>Half</h1><p>` + strings.Repeat("word ", 80) +
			`</p><a href="/a">A</a><a href="/b">B</a><a href="/private/c">C</a><a href="/gone">D</a>` +
			`<a href="/broken">E</a>`},
		"/a":      {Status: 200, Body: "<h1>A</h1><p>One page.</p>"},
		"/b":      {Status: 200, Body: "<h1>B</h1><p>Two pages.</p>"},
		"/broken": {Status: 500, Body: "no"},
	}}
	web := Plain{m.serve(t)}
	found, err := Visit(context.Background(), web, "http://half.example/", Options{})
	require.NoError(t, err)
	assert.Len(t, found.Visited, 3)
	assert.Equal(t, []site.Missed{{URL: "http://half.example/broken", Reason: site.Failed, Status: 500},
		{URL: "http://half.example/private/c", Reason: site.Refused}}, found.Missed)
	found, err = Visit(context.Background(), web, "http://half.example/", Options{Most: 2, Lightly: true})
	require.NoError(t, err)
	left := 0
	for _, missed := range found.Missed {
		if missed.Reason == site.LeftOut {
			left++
		}
	}
	assert.Positive(t, left, "%v", found.Missed)
}

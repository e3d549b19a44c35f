package practice

import (
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every page of the practice web is there; what is not says so.
func TestPages(t *testing.T) {
	web, err := Start()
	require.NoError(t, err)
	defer web.Close()
	get := func(host, path string) (int, string) {
		req, err := http.NewRequest(http.MethodGet, "http://"+web.Addr()+path, nil)
		require.NoError(t, err)
		req.Host = host
		resp, err := http.DefaultClient.Do(req)
		require.NoError(t, err)
		defer resp.Body.Close()
		body, err := io.ReadAll(resp.Body)
		require.NoError(t, err)
		return resp.StatusCode, string(body)
	}
	for host, paths := range Sites() {
		for _, path := range paths {
			status, body := get(host, path)
			if status == http.StatusInternalServerError { // the one that fails the first time
				status, body = get(host, path)
			}
			assert.Equal(t, http.StatusOK, status, host+path)
			assert.Contains(t, strings.ToLower(body), "<html", host+path)
		}
	}
	status, _ := get("brindleandash.example", "/nowhere.html")
	assert.Equal(t, http.StatusNotFound, status)
	status, _ = get("no-such-site.example", "/")
	assert.NotEqual(t, http.StatusOK, status)
}

// Every phrase that a site is found for is one that the demand knows, and none
// stands twice.
func TestDemandFile(t *testing.T) {
	d, err := demandOf(files)
	require.NoError(t, err)
	seen := map[string]bool{}
	for _, p := range d.Phrases {
		assert.False(t, seen[p.Phrase], p.Phrase)
		seen[p.Phrase] = true
		assert.NotNil(t, p.Volume, p.Phrase)
		assert.NotNil(t, p.Difficulty, p.Phrase)
	}
	assert.Greater(t, len(d.Phrases), 115)
	for site, list := range d.Sites {
		for _, p := range list {
			assert.True(t, seen[p.Phrase], "%s of %s", p.Phrase, site)
			assert.Positive(t, *p.Position, p.Phrase)
		}
	}
}

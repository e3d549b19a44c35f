package source

import (
	"context"
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"testing"

	"inktally/internal/practice"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Anybody can serve the contract: a second small source does.
func TestDemandContract(t *testing.T) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch r.URL.Path + r.URL.RawQuery {
		case "/phrases":
			var asked struct {
				Place   string
				Phrases []string
			}
			assert.NoError(t, json.NewDecoder(r.Body).Decode(&asked))
			assert.Equal(t, "Ostrey, ME", asked.Place)
			_, _ = w.Write([]byte(`{"phrases":[{"phrase":"` + asked.Phrases[0] + `","volume":70}]}`))
		case "/foundsite=ash.example":
			_, _ = w.Write([]byte(`{"phrases":[{"phrase":"flue liner","position":12,"difficulty":9}]}`))
		case "/foundsite=broken.example":
			_, _ = w.Write([]byte(`{"phrases":`))
		case "/foundsite=down.example":
			w.WriteHeader(http.StatusBadGateway)
		default:
			http.NotFound(w, r)
		}
	}))
	defer server.Close()
	d := Demand{URL: server.URL}
	known, err := d.Phrases(context.Background(), []string{"flue liner ostrey"}, "Ostrey, ME")
	require.NoError(t, err)
	assert.Equal(t, 70, *known[0].Volume)
	assert.Nil(t, known[0].Difficulty)
	found, err := d.Found(context.Background(), "ash.example")
	require.NoError(t, err)
	assert.Equal(t, 12, *found[0].Position)
	found, err = d.Found(context.Background(), "nobody.example")
	assert.NoError(t, err)
	assert.Empty(t, found)
	for site, says := range map[string]string{"broken.example": "cannot be read", "down.example": "answered 502"} {
		_, err := d.Found(context.Background(), site)
		assert.ErrorContains(t, err, says)
	}
	server.Close()
	_, err = d.Found(context.Background(), "x")
	assert.ErrorContains(t, err, "did not answer")
}

// The practice demand keeps it as well.
func TestPracticeDemand(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer web.Close()
	d := Demand{URL: web.DemandURL()}
	known, err := d.Phrases(context.Background(), []string{"Chimney sweep Tarn Harbor", "no such phrase"}, "")
	require.NoError(t, err)
	require.Len(t, known, 1)
	assert.Equal(t, 380, *known[0].Volume)
	assert.Equal(t, 6, *known[0].Difficulty)
	found, err := d.Found(context.Background(), "brindleandash.example")
	require.NoError(t, err)
	assert.Equal(t, 14, *found[0].Position)
}

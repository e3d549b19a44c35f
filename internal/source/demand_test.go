package source

import (
	"context"
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"testing"

	"inktally/core/fault"

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
	for site, want := range map[string]fault.Code{"broken.example": SourceUnreadable.Code,
		"down.example": SourceAnswered.Code} {
		t.Run(site, func(t *testing.T) {
			_, err := d.Found(context.Background(), site)
			assert.True(t, fault.Is(err, want), "%v", err)
		})
	}
	server.Close()
	_, err = d.Found(context.Background(), "x")
	assert.True(t, SourceSilent.Is(err), "%v", err)
}

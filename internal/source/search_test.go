package source

import (
	"context"
	"net/http"
	"net/http/httptest"
	"testing"

	"inktally/core/fault"
	"inktally/core/lineup"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Anybody can serve the contract: a second small source does.
func TestContract(t *testing.T) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch r.URL.Query().Get("q") {
		case "flue liner ostrey":
			assert.Equal(t, "Ostrey, ME", r.URL.Query().Get("from"))
			_,
				_ = w.Write(
				[]byte(
					`{"phrase":"flue liner ostrey","place":"Ostrey, ME","device":"phone","looked_at":10,"ads":"none seen",
				"entries":[{"part":"map","position":1,"name":"Ostrey Flues","url":"http://ostreyflues.example/","rating":4.5,"reviews":12}]}`))
		case "broken":
			_, _ = w.Write([]byte(`{"entries":`))
		case "down":
			w.WriteHeader(http.StatusBadGateway)
		default:
			http.NotFound(w, r)
		}
	}))
	defer server.Close()
	s := Search{URL: server.URL}
	result, err := s.Search(context.Background(), "flue liner ostrey", "Ostrey, ME")
	require.NoError(t, err)
	require.Len(t, result.Entries, 1)
	assert.Equal(t, lineup.Map, result.Entries[0].Part)
	assert.Equal(t, 12, *result.Entries[0].Reviews)
	for phrase, want := range map[string]fault.Code{"broken": SourceUnreadable.Code, "down": SourceAnswered.Code,
		"other": SearchUnknown.Code} {
		t.Run(phrase, func(t *testing.T) {
			_, err := s.Search(context.Background(), phrase, "")
			assert.True(t, fault.Is(err, want), "%v", err)
		})
	}
	server.Close()
	_, err = s.Search(context.Background(), "x", "")
	assert.True(t, SourceSilent.Is(err), "%v", err)
}

package e2e

import (
	"encoding/json"
	"fmt"
	"net/http"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What was changed elsewhere meanwhile is told beside what was typed here; nothing of either
// is lost, and who saw both decides.
func TestChangedElsewhere(t *testing.T) {
	p := shared(t)
	made := view.Business{Name: "Two at once", Services: []view.Service{}, Places: []view.Place{}, Phrases: []string{"chimney sweep"}}
	raw, err := json.Marshal(made)
	require.NoError(t, err)
	var body map[string]any
	require.NoError(t, json.Unmarshal(raw, &body))
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, "/api/clients", body))
	client := int64(0)
	for _, n := range get[[]view.ClientName](t, p, "/api/names") {
		if n.Name == "Two at once" {
			client = n.ID
		}
	}
	require.NotZero(t, client)
	path := fmt.Sprintf("/api/clients/%d", client)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.until(`document.querySelector('[name=trade]')`)
	body["trade"] = "sweeping"
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPut, path, body))
	s.fill("[name=trade]", "hearths")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.sees("changed elsewhere to “sweeping”; you typed “hearths”")
	assert.Equal(t, "hearths", eval[string](s, `document.querySelector('[name=trade]').value`))
	assert.Equal(t, "sweeping", get[view.Ground](t, p, path).Trade)
	eval[bool](s, `(document.querySelector('[name=trade]').focus(), document.activeElement.blur(), true)`)
	s.sees("Saved: trade")
	assert.Equal(t, "hearths", get[view.Ground](t, p, path).Trade)
}

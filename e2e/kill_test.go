package e2e

import (
	"fmt"
	"net/http"
	"path/filepath"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A run that was under way when the program died is shown as broken off and
// can be gone on with; nothing that was read or entered is lost.
func TestKilledInTheMiddle(t *testing.T) {
	data := filepath.Join(t.TempDir(), "demo.db")
	p := start(t, data)
	client, page := brindle(t, p)
	path := fmt.Sprintf("/api/clients/%d", client)
	before := get[view.Sheet](t, p, fmt.Sprintf("%s/pages/%d/sheet", path, page))
	// A rival whose page never comes keeps the run going.
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, path+"/lineup/rivals",
		map[string]string{"addresses": "townledger.example/practice/never"}))
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, path+"/run", nil))
	n := len(get[struct{ Run view.Run }](t, p, path+"/run").Run.Items)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.sees(fmt.Sprintf("%d of %d pages read", n-1, n))
	s.until(`document.querySelector('[data-run=running]')`)
	run := get[struct{ Run view.Run }](t, p, path+"/run").Run
	p.kill(t)

	p = start(t, data)
	defer p.kill(t)
	after := get[struct{ Run view.Run }](t, p, path+"/run").Run
	assert.Equal(t, run.ID, after.ID)
	assert.Equal(t, "interrupted", after.State)
	assert.Equal(t, n-1, after.Done)
	for _, item := range after.Items {
		assert.NotEqual(t, "reading", item.State)
	}
	sheet := get[view.Sheet](t, p, fmt.Sprintf("%s/pages/%d/sheet", path, page))
	require.Len(t, sheet.Columns, len(before.Columns)+1)
	for i := range before.Columns {
		assert.Equal(t, before.Columns[i].Words, sheet.Columns[i].Words)
		assert.Greater(t, sheet.Columns[i].ReadingID, before.Columns[i].ReadingID, "the new reading was kept")
	}
	s = look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.sees(fmt.Sprintf("Interrupted after %d of %d pages", n-1, n))
	s.press("Continue")
	s.until(`document.querySelector('[data-run=running]')`)
	s.press("Stop")
	s.sees(fmt.Sprintf("Stopped after %d of %d pages", n-1, n))
}

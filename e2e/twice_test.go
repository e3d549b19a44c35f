package e2e

import (
	"encoding/json"
	"fmt"
	"net/http"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What was changed elsewhere meanwhile is told beside what was typed here; nothing of either
// is lost, and who saw both decides.
func TestChangedElsewhere(t *testing.T) {
	p := demo(t)
	made := view.Business{Name: "Two at once", Services: []view.Service{}, Places: []view.Place{},
		Phrases: []string{"chimney sweep"}}
	raw, err := json.Marshal(made)
	require.NoError(t, err)
	var body map[string]any
	require.NoError(t, json.Unmarshal(raw, &body))
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost, "/api/clients", body))
	client := int64(0)
	for _, n := range get[[]view.ClientName](t, p, "/api/names") {
		if n.Name == "Two at once" {
			client = max(client, n.ID)
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
	s.sees("The trade changed elsewhere to “sweeping”; you entered “hearths”.")
	assert.Equal(t, "hearths", eval[string](s, `document.querySelector('[name=trade]').value`))
	assert.Equal(t, "sweeping", get[view.Ground](t, p, path).Trade)
	eval[bool](s, `(document.querySelector('[name=trade]').focus(), document.activeElement.blur(), true)`)
	assert.Equal(t, "sweeping", get[view.Ground](t, p, path).Trade, "leaving the field once more is not enough")
	s.press("Save again")
	s.sees("Saved: trade")
	assert.Equal(t, "hearths", get[view.Ground](t, p, path).Trade)
	s.press("Undo")
	s.until(`document.querySelector('[name=trade]').value === 'sweeping'`)
}

// twice is something on a screen that is changed elsewhere while somebody types over it.
type twice struct {
	name, open, field, typed string
	// begin opens the field; elsewhere changes the same thing; enter saves what was typed.
	begin     func(s *screen)
	elsewhere func() int
	enter     func(s *screen)
	message   string
	now       func() string
	kept      string
}

// Wherever something is typed over what was changed elsewhere meanwhile, both are told, what was
// typed stays at hand, and one click saves it.
func TestTypedOverAChange(t *testing.T) {
	p := demo(t)
	client, home := int64(0), int64(0)
	for _, r := range get[[]view.ShelfRow](t, p, "/api/clients") {
		if r.Name == "Fenwick Well & Pump" {
			client, home = r.ID, r.PageID
		}
	}
	require.NotZero(t, client)
	api, page := fmt.Sprintf("/api/clients/%d", client), fmt.Sprintf("p%d", home)
	put := func(path string, body map[string]any) func() int {
		return func() int { return send(t, p, http.MethodPut, path, body) }
	}
	leave := func(s *screen) { eval[bool](s, `(document.activeElement.blur(), true)`) }
	outline := api + "/plan/outline?page=" + page
	for _, c := range []twice{
		{name: "the hours", open: "/targets", field: "[name=hours]", typed: "12", kept: "12",
			elsewhere: put(api+"/hours", map[string]any{"hours": 7}), enter: leave,
			message: "The hours changed elsewhere to “7”; you entered “12”.",
			now:     func() string { return fmt.Sprint(get[view.Plan](t, p, api+"/plan").Hours) }},
		{name: "a figure of the yardstick", open: "/yardstick", field: `[name="visits.others"]`, typed: "0.25",
			kept:      "0.25",
			begin:     func(s *screen) { s.click(`document.querySelector('[data-figure="visits.others"] button')`) },
			elsewhere: put(api+"/yardstick", map[string]any{"changes": map[string]string{"visits.others": "0.75"}}),
			enter:     func(s *screen) { s.press("Keep") }, message: "changed elsewhere to “0.75”; you entered “0.25”.",
			now: func() string { return figure(t, p, client, "visits.others") }},
		{name: "words of a section", open: "/outline?page=" + page, field: "[data-section=about] [name=words]",
			typed: "130", kept: "130",
			elsewhere: put(outline, map[string]any{
				"order": []string{}, "sections": map[string]any{"about": map[string]any{"words": 90}}}),
			enter: leave, message: "The section's words to write changed elsewhere to “90”; you entered “130”.",
			now: func() string {
				words := get[view.Outline](t, p, outline).Edits.Sections["about"].Words
				if words == nil {
					return ""
				}
				return fmt.Sprint(*words)
			}},
		{name: "a section's heading", open: "/outline?page=" + page, field: "[name=heading]", typed: "Wells that last",
			kept:  "Wells that last",
			begin: func(s *screen) { s.click(`document.querySelector('[data-section=about] .heading')`) },
			elsewhere: put(outline, map[string]any{
				"order": []string{}, "sections": map[string]any{"about": map[string]any{"heading": "Our crew"}}}),
			enter:   leave,
			message: "The section's heading changed elsewhere to “Our crew”; you entered “Wells that last”.",
			now:     func() string { return get[view.Outline](t, p, outline).Edits.Sections["about"].Heading }},
	} {
		t.Run(c.name, func(t *testing.T) {
			s := look(t, p)
			s.open(fmt.Sprintf("/clients/%d%s", client, c.open))
			if c.begin != nil {
				c.begin(s)
			}
			s.fill(c.field, c.typed)
			require.Less(t, c.elsewhere(), 300)
			theirs := c.now()
			require.NotEqual(t, c.kept, theirs)
			c.enter(s)
			s.sees(c.message)
			assert.Equal(t, theirs, c.now())
			if c.field != "[name=heading]" { // which the sentence holds, for its field closes
				assert.Equal(t, c.typed, s.value(c.field), "what was typed stays")
			}
			s.press("Save again")
			require.Eventually(t, func() bool { return c.now() == c.kept }, time.Minute, 30*time.Millisecond)
			s.press("Undo")
			require.Eventually(t, func() bool { return c.now() == theirs }, time.Minute, 30*time.Millisecond)
			assert.False(t, eval[bool](s, `!!document.querySelector('[name=save-again]')`))
		})
	}
	assert.Equal(t, http.StatusOK, put(outline, map[string]any{"order": []string{}, "sections": map[string]any{}})())
	assert.Equal(t, http.StatusOK, put(api+"/yardstick",
		map[string]any{"changes": map[string]string{"visits.others": ""}})())
	assert.Equal(t, http.StatusNoContent, put(api+"/hours", map[string]any{"hours": 4})())
}

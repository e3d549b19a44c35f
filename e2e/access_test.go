package e2e

import (
	"fmt"
	"os"
	"testing"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type violation struct {
	ID     string   `json:"id"`
	Impact string   `json:"impact"`
	Help   string   `json:"help"`
	Nodes  []string `json:"nodes"`
}

// views are the addresses of all views of the demo's main client, with what is seen on each when it is filled.
func views(client, page int64) map[string]string {
	sheet := fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page)
	return map[string]string{
		"/":    "Brindle & Ash Chimney",
		"/new": "Save and find rivals",
		fmt.Sprintf("/clients/%d/ground", client):                              "Services",
		fmt.Sprintf("/clients/%d/book", client):                                "Words to judge",
		fmt.Sprintf("/clients/%d/found", client):                               "in the first 20",
		fmt.Sprintf("/clients/%d/lineup", client):                              "Lantern Street Sweeps",
		fmt.Sprintf("/clients/%d/standing", client):                            "Get listed in",
		sheet + "?show=made&column=0":                                          "Rivals share",
		sheet:                                                                  "1,455 to write",
		sheet + "?show=phrase&column=1&phrase=chimney%20sweep%20tarn%20harbor": "Skip to the text",
		sheet + "?show=headings&column=0":                                      "with the copy words under each",
		sheet + "?show=images&column=0":                                        "camera name",
		sheet + "?show=page&column=0":                                          "Years in trade",
		sheet + "?show=rule&column=0":                                          "The guideline for a home page",
		fmt.Sprintf("/clients/%d/targets", client):                             "Remove the placeholder text",
		fmt.Sprintf("/clients/%d/targets?why=placing", client):                 "What the phrase brings",
		fmt.Sprintf("/clients/%d/targets?ladder=1", client):                    "to lead on everything",
		fmt.Sprintf("/clients/%d/outline?page=p%d", client, page):              "words to write, in",
		fmt.Sprintf("/clients/%d/images?page=p%d", client, page):               "files to rename",
		fmt.Sprintf("/clients/%d/draft?page=p%d", client, page):                "What is wanted here",
		fmt.Sprintf("/clients/%d/sheet", client):                               "the strongest comparable page",
		fmt.Sprintf("/clients/%d/site", client):                                "what it is for",
		"/clients/1/site":                                                      "No site yet",
		fmt.Sprintf("/clients/%d/yardstick", client):                           "Click-through rate at position 1",
		fmt.Sprintf("/clients/%d/pages/%d/hand-off", client, page):             "Home page of Brindle",
		fmt.Sprintf("/clients/%d/hand-off?document=plan", client):              "Where you stand today",
		fmt.Sprintf("/clients/%d/walk?step=search", client):                    "In this search you come up 14th.",
		fmt.Sprintf("/clients/%d/walk?step=phrase", client):                    "Your page says it once.",
		fmt.Sprintf("/clients/%d/walk?step=rival", client):                     "Here is why.",
		fmt.Sprintf("/clients/%d/walk/points", client):                         "to say",
		fmt.Sprintf("/clients/%d/found", client):                               "missed: a rival gets them",
	}
}

// axe-core finds nothing on any view filled with data, light or dark, nor on what opens over one.
func TestAccessible(t *testing.T) {
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err, "run make build first")
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	for _, scheme := range []string{"light", "dark"} {
		_, err := chromedp.Call(s.ctx, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{
			Features: []*emulation.MediaFeature{{Name: "prefers-color-scheme", Value: scheme}}})
		require.NoError(t, err)
		for path, shown := range views(client, page) {
			s.open(path)
			s.sees(shown)
			eval[any](s, string(axe)+";0")
			found := eval[[]violation](s, wrong)
			assert.Empty(t, found, "%s, %s", path, scheme)
		}
		for open, there := range map[string]string{".find": "[name=find]", "[aria-label^=Keyboard]": "[data-keys]",
			"button.client": ".v-overlay-container li a"} {
			s.open(fmt.Sprintf("/clients/%d/ground", client))
			s.click(fmt.Sprintf("document.querySelector(%q)", open))
			s.until(fmt.Sprintf("document.querySelector(%q)?.checkVisibility()", there))
			eval[bool](s, fadedIn)
			eval[any](s, string(axe)+";0")
			assert.Empty(t, eval[[]violation](s, wrong), "%s, %s", open, scheme)
		}
	}
}

// fadedIn waits until what opens has begun to fade in and has done so.
const fadedIn = `(async () => {
	const frame = () => new Promise(requestAnimationFrame)
	for (let still = 0; still < 3; await frame())
		still = document.getAnimations().some(a => a.playState === 'running') ? 0 : still + 1
	return true
})()`

// wrong finds what is wrong on the page.
const wrong = `axe.run(document, {rules: {"target-size": {enabled: true}}}).then(r => r.violations
	.map(v => ({id: v.id, impact: v.impact, help: v.help, nodes: v.nodes.slice(0, 4).map(n => n.html + ' ' +
		(n.any[0]?.message ?? ''))})))`

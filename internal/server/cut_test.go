package server

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What is told of a page that holds very much of everything is cut, and says how much there is.
func TestAnswersAreCut(t *testing.T) {
	server := serve(t)
	_, made := ask(t, server, "POST", "/api/clients", `{"name":"Long","trade":"","phone":"","home_page":"","places":[],
		"services":[{"name":"chimney sweeping"}],"phrases":["chimney sweep"]}`)
	client := fmt.Sprintf("/api/clients/%v", made["id"])
	_, ground := ask(t, server, "GET", client, "")
	page := fmt.Sprintf("%s/pages/%v", client, ground["pages"].([]any)[0].(map[string]any)["id"])
	var html strings.Builder
	for i := range 6_000 {
		fmt.Fprintf(&html, `<p>Soot %d</p>`, i)
		if i < 2_500 {
			fmt.Fprintf(&html, `<h2>Flue %d</h2><img src="/chimney-sweep-%d.jpg" alt="chimney sweep"><a href="/%d">more</a>`, i, i, i)
		}
	}
	status, _ := ask(t, server, "POST", page+"/paste", fmt.Sprintf(`{"entry":0,"html":%q}`, html.String()))
	require.Equal(t, 200, status)
	told := func(path string, lists map[string]string, of func(map[string]any) map[string]any) {
		status, answer := ask(t, server, "GET", path, "")
		require.Equal(t, 200, status, path)
		answer = of(answer)
		for list, count := range lists {
			shown, all := len(answer[list].([]any)), answer[count].(float64)
			assert.Positive(t, shown, list)
			assert.Less(t, float64(shown), all, "%s of %s", list, path)
			assert.GreaterOrEqual(t, all, 2_500.0, list)
		}
	}
	whole := func(answer map[string]any) map[string]any { return answer }
	told(page+"/sheet", map[string]string{"headings": "heading_count", "images": "image_count"},
		func(answer map[string]any) map[string]any { return answer["columns"].([]any)[0].(map[string]any) })
	told(page+"/evidence?phrase=chimney+sweep",
		map[string]string{"blocks": "block_count", "labels": "label_count"}, whole)
	told(page+"/facts", map[string]string{"links": "link_count"}, whole)
	told(client+"/plan/images", map[string]string{"rows": "staying"}, whole)
}

package server

import (
	"encoding/json"
	"fmt"
	"math"
	"net/http"
	"net/http/httptest"
	"slices"
	"strings"
	"testing"

	"inktally/internal/server/described"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// request is one that the API takes: every operation with a body that is right
// by its description.
type request struct {
	method, path string
	body         map[string]any // nil without one
	schema       described.Schema
}

// sample makes a value that fits a schema.
func sample(d described.API, s described.Schema) any {
	s = d.Resolve(s)
	if len(s.Enum) > 0 {
		return s.Enum[0]
	}
	switch s.Kinds()[0] {
	case "object":
		out := map[string]any{}
		for _, name := range s.Required {
			out[name] = sample(d, s.Properties[name])
		}
		return out
	case "array":
		out := []any{}
		for range s.MinItems {
			out = append(out, sample(d, *s.Items))
		}
		return out
	case "integer", "number":
		return 1
	case "boolean":
		return true
	}
	return "chimney sweep"
}

// requests lists what the API takes, but for the stream of progress, which does
// not end.
func requests(t *testing.T) (list []request, d described.API) {
	raw, err := OpenAPI()
	require.NoError(t, err)
	d, err = described.Read(raw)
	require.NoError(t, err)
	for _, o := range d.Operations() {
		r := request{method: o.Method, path: o.Path}
		if content, ok := o.RequestBody.Content["application/json"]; ok {
			r.schema = d.Resolve(content.Schema)
			r.body = sample(d, r.schema).(map[string]any)
		}
		list = append(list, r)
	}
	require.Greater(t, len(list), 40)
	return list, d
}

// fill puts numbers in the places of a path.
func fill(path string, client int64, other string) string {
	path = strings.ReplaceAll(path, "{client}", fmt.Sprint(client))
	for {
		before, after, found := strings.Cut(path, "{")
		if !found {
			return path
		}
		_, after, _ = strings.Cut(after, "}")
		path = before + other + after
	}
}

// send sends a request with a body that may be anything.
func (r request) send(t *testing.T, server *httptest.Server, path string, body any) int {
	raw, ok := body.(string)
	if !ok && r.body != nil {
		b, err := json.Marshal(body)
		require.NoError(t, err)
		raw = string(b)
	}
	status, answer := ask(t, server, r.method, path, raw)
	assert.Less(t, status, 500, "%s %s %.200s: %v", r.method, path, raw, answer)
	detail, _ := answer["detail"].(string)
	if status >= 400 {
		assert.NotContains(t, detail, "sql", "%s %s", r.method, path)
		assert.NotContains(t, detail, "\n", "%s %s", r.method, path)
	}
	return status
}

// What is not there is said to be so, whatever is asked of it.
func TestNothingThere(t *testing.T) {
	server := serve(t)
	list, _ := requests(t)
	made, _ := ask(t, server, "POST", "/api/clients",
		`{"name":"Lowtide Upholstery","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`)
	require.Equal(t, http.StatusOK, made)
	for _, r := range list {
		if !strings.Contains(r.path, "{client}") {
			continue
		}
		for _, id := range []int64{2, 0, -1, math.MaxInt64} {
			status := r.send(t, server, fill(r.path, id, "1"), r.body)
			assert.Contains(t, []int{http.StatusNotFound, http.StatusUnprocessableEntity}, status, "%s %s of client %d",
				r.method, r.path, id)
		}
		if strings.Count(r.path, "{") > 1 {
			for _, id := range []string{"77", "0", "-1", "9223372036854775807"} {
				status := r.send(t, server, fill(r.path, 1, id), r.body)
				assert.GreaterOrEqual(t, status, 400, "%s %s of %s", r.method, r.path, id)
			}
		}
		for _, id := range []string{"x", "1.5", "99999999999999999999", "%00", "1;2"} {
			path := strings.ReplaceAll(r.path, "{client}", id)
			status := r.send(t, server, fill(path, 1, "1"), r.body)
			assert.GreaterOrEqual(t, status, 400, "%s %s", r.method, path)
		}
	}
	status, _ := ask(t, server, "GET", "/api/clients/1", "")
	assert.Equal(t, http.StatusOK, status, "the client that is there")
}

// A body that does not fit is refused in a sentence, and nothing changes by it;
// one that fits but holds odd things fails nothing.
func TestOddBodies(t *testing.T) {
	server := serve(t)
	list, d := requests(t)
	made, _ := ask(t, server, "POST", "/api/clients",
		`{"name":"Brindle & Ash","trade":"chimney care","phone":"","home_page":"","services":[],"places":[],"phrases":["chimney sweep"]}`)
	require.Equal(t, http.StatusOK, made)
	state := func() string {
		var all []string
		for _, path := range []string{"/api/clients", "/api/clients/1", "/api/clients/1/book", "/api/clients/1/lineup",
			"/api/clients/1/book/lists"} {
			_, answer := ask(t, server, "GET", path, "")
			b, err := json.Marshal(answer)
			require.NoError(t, err)
			all = append(all, string(b))
		}
		return strings.Join(all, "\n")
	}
	odd := []any{"\x00", "\u202e\ufffd\U0010ffff", strings.Repeat("é", 100_000), "<script>", "'; drop table client; --",
		"\r\n\r\n", -1, math.MaxInt64, 1e300, 0.5}
	for _, r := range list {
		if r.body == nil {
			continue
		}
		path, before := fill(r.path, 1, "1"), state()
		for _, raw := range []string{"", "{", "[]", "null", `"text"`, "7", strings.Repeat("[", 20_000), `{"nothing":1}`,
			"\xff\xfe"} {
			if status := r.send(t, server, path, raw); raw != "null" {
				assert.GreaterOrEqual(t, status, 400, "%s %s %.40s", r.method, path, raw)
			}
		}
		for name := range r.schema.Properties {
			for _, value := range []any{nil, true, 7, "text", []any{}, map[string]any{}, []any{[]any{}}} {
				optional := value == nil && !slices.Contains(r.schema.Required, name)
				if optional || fits(d, r.schema.Properties[name], value) {
					continue
				}
				status := r.send(t, server, path, with(r.body, name, value))
				assert.GreaterOrEqual(t, status, 400, "%s %s with %s: %v", r.method, path, name, value)
			}
		}
		assert.Equal(t, before, state(), "%s %s changed something", r.method, path)
		for name := range r.schema.Properties {
			for _, value := range odd {
				if fits(d, r.schema.Properties[name], value) {
					r.send(t, server, path, with(r.body, name, value))
				}
			}
		}
	}
}

func with(body map[string]any, name string, value any) map[string]any {
	out := map[string]any{name: value}
	for k, v := range body {
		if k != name {
			out[k] = v
		}
	}
	return out
}

// fits reports whether a value is of a schema's type.
func fits(d described.API, s described.Schema, value any) bool {
	s = d.Resolve(s)
	kinds := s.Kinds()
	kind := "null"
	switch v := value.(type) {
	case string:
		kind = "string"
	case bool:
		kind = "boolean"
	case int:
		kind = "number"
		if slices.Contains(kinds, any("integer")) {
			kind = "integer"
		}
	case float64:
		kind = "number"
	case map[string]any:
		return slices.Contains(kinds, any("object"))
	case []any:
		return slices.Contains(kinds, any("array")) && (len(v) == 0) == (s.MinItems == 0)
	}
	return slices.Contains(kinds, any(kind)) && (len(s.Enum) == 0 || slices.Contains(s.Enum, value))
}

package main

import (
	"bytes"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const kept = "../../core/results/testdata/"

func printed(t *testing.T, in string, args ...string) (out string, err error) {
	t.Helper()
	cmd := resultsCommand()
	var buf bytes.Buffer
	cmd.SetOut(&buf)
	cmd.SetIn(strings.NewReader(in))
	cmd.SetArgs(args)
	cmd.SilenceUsage, cmd.SilenceErrors = true, true
	err = cmd.Execute()
	return buf.String(), err
}

// A saved archive, standard input and a table give the entries in exactly this shape.
func TestResults(t *testing.T) {
	for _, name := range []string{"saved.mhtml", "soup.html", "copy.txt", "list.csv"} {
		t.Run(name, func(t *testing.T) {
			out, err := printed(t, "", "--json", kept+name)
			require.NoError(t, err)
			var got, want map[string]any
			require.NoError(t, json.Unmarshal([]byte(out), &got))
			raw, err := os.ReadFile(kept + strings.TrimSuffix(name, filepath.Ext(name)) + ".json")
			require.NoError(t, err)
			require.NoError(t, json.Unmarshal(raw, &want))
			assert.Equal(t, []any{}, got["unread"])
			entries := got["entries"].([]any)
			require.Len(t, entries, len(want["entries"].([]any)))
			for i, e := range want["entries"].([]any) {
				want, got := e.(map[string]any), entries[i].(map[string]any)
				assert.Len(t, got, len(want))
				for _, field := range []string{"part", "position", "rating", "title", "reviews", "url"} {
					assert.Equal(t, want[field], got[field], "%v: %s", want["title"], field)
				}
			}
		})
	}
	body, err := os.ReadFile(kept + "plain.html")
	require.NoError(t, err)
	out, err := printed(t, string(body), "-")
	require.NoError(t, err)
	assert.Contains(t, out, "organic")
}

func TestResultsOfNothing(t *testing.T) {
	out, err := printed(t, "nothing here", "--json", "-")
	require.NoError(t, err)
	assert.JSONEq(t, `{"language": "", "phrase": "", "entries": [], "unread": []}`, out)
	for in, want := range map[string]string{"nothing here": "No entries of a search",
		"<html><p>hello": "No entries of a search", "": "is empty"} {
		_, err := printed(t, in, "-")
		require.Error(t, err)
		assert.Contains(t, sentence(err), want)
	}
	_, err = printed(t, "", "nowhere.html")
	require.Error(t, err)
}

// An archive that shows its results in a frame is read there.
func TestResultsInFrame(t *testing.T) {
	out, err := printed(t, "", "--json", kept+"made/m09-idraulico.mhtml")
	require.NoError(t, err)
	var read view.Results
	require.NoError(t, json.Unmarshal([]byte(out), &read))
	require.Len(t, read.Entries, 7)
	assert.Equal(t, "Idraulica Bertocchi", read.Entries[1].Title)
	assert.Equal(t, "https://costocasa.example/idraulico?ref=cl", *read.Entries[6].URL)
}

package main

import (
	"bytes"
	"encoding/json"
	"slices"
	"testing"

	"inktally/internal/practice"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A survey through a proxy, in exactly this shape.
func TestSurvey(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer func() { _ = web.Close() }()
	cmd := surveyCommand()
	var out, warned bytes.Buffer
	cmd.SetOut(&out)
	cmd.SetErr(&warned)
	cmd.SetArgs([]string{"--json", "--proxy", "http://" + web.Addr(), "--service", "chimney sweeping, chimney sweep",
		"--service", "masonry repair, chimney repair",
		"--firm", "Brindle & Ash Chimney", "--place", "Tarn Harbor, ME", "--place", "Pell Crossing", "--place",
		"Ostrey", "--rival", "oldsaltbox.example",
		"brindleandash.example"})
	require.NoError(t, cmd.Execute())
	assert.Contains(t, warned.String(), "fetched through http://"+web.Addr())
	var got struct {
		Pages    []map[string]any
		Findings []map[string]any
		Missed   []map[string]string
		Rivals   map[string]map[string][]map[string]any
		Like     map[string]map[string]*string
	}
	decoder := json.NewDecoder(&out)
	decoder.DisallowUnknownFields()
	require.NoError(t, decoder.Decode(&got))
	require.Len(t, got.Pages, 6, "a second address is no page")
	for _, field := range []string{"url", "kind", "service", "place", "title", "words", "reason"} {
		assert.Contains(t, got.Pages[0], field)
	}
	assert.Nil(t, got.Pages[0]["service"])
	assert.True(t, slices.ContainsFunc(got.Findings, func(f map[string]any) bool {
		return f["type"] == "second_copy" && f["detail"] != ""
	}))
	assert.NotEmpty(t, got.Rivals["oldsaltbox.example"]["pages"])
	like := got.Like["http://brindleandash.example/"]["oldsaltbox.example"]
	require.NotNil(t, like)
	assert.Equal(t, "http://oldsaltbox.example/", *like)
	assert.Contains(t, got.Like["http://brindleandash.example/pell-crossing.html"], "oldsaltbox.example")
	assert.Nil(t, got.Like["http://brindleandash.example/pell-crossing.html"]["oldsaltbox.example"])
	assert.NotContains(t, got.Like, "http://brindleandash.example/about.html")

	cmd = surveyCommand()
	out.Reset()
	warned.Reset()
	cmd.SetOut(&out)
	cmd.SetErr(&warned)
	cmd.SetArgs([]string{"--json", "--proxy", "http://" + web.Addr(), "--phone", "+1 (207) 555-0134", "--rival",
		"oldsaltbox.example", "--rival", "www.brindleandash.example", "brindleandash.example"})
	require.NoError(t, cmd.Execute())
	assert.Contains(t, warned.String(), "brindleandash.example has the phone of the business")
	got.Rivals = nil
	require.NoError(t, json.Unmarshal(out.Bytes(), &got))
	assert.Len(t, got.Rivals, 1)
	assert.Contains(t, got.Rivals, "oldsaltbox.example", "another number")

	cmd = surveyCommand()
	cmd.SilenceErrors, cmd.SilenceUsage = true, true
	cmd.SetArgs([]string{"--proxy", "nowhere", "brindleandash.example"})
	assert.Error(t, cmd.Execute())
}

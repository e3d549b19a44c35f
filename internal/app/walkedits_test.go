package app_test

import (
	"bytes"
	"encoding/base64"
	"image"
	"image/png"
	"strings"
	"testing"

	"inktally/internal/app/documents"
	"inktally/internal/view/told"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Steps are reordered, left out, brought back, said in other words and added, and all of it is in the files; what the
// figures make stays as it is for the others.
func TestWalkIsChanged(t *testing.T) {
	a, _, client, _ := planned(t)
	made, err := a.Handoff.Walk(ctx, client)
	require.NoError(t, err)
	first := made.Steps[0].Key
	w, err := a.Handoff.ChangeStep(ctx, client, first, told.StepSaid{Head: new("Look at this\x07"),
		Points: []string{"One sentence.", "  "}})
	require.NoError(t, err)
	assert.Equal(t, "Look at this\uFFFD", w.Steps[0].Head)
	assert.Equal(t, []string{"One sentence."}, w.Steps[0].Points)
	assert.True(t, w.Steps[0].Edited)
	assert.Less(t, w.Minutes, made.Minutes)
	vans := told.StepSaid{Head: new("Our vans"), Points: []string{"We have three."}}
	w, err = a.Handoff.AddStep(ctx, client, vans, first)
	require.NoError(t, err)
	own := w.Steps[1].Key
	assert.Equal(t, "Our vans", w.Steps[1].Head)
	markdown := fileOf(t, a, documents.Ask{Client: client, Kind: documents.WalkThrough, Format: documents.Markdown})
	assert.Contains(t, markdown, "## 2\\. Our vans\n\n> We have three.")
	w, err = a.Handoff.ChangeStep(ctx, client, "next", told.StepSaid{Dropped: true})
	require.NoError(t, err)
	assert.NotContains(t, kindsOf(w), "next")
	assert.Equal(t, "next", w.Left[0].Key)
	w, err = a.Handoff.ChangeStep(ctx, client, own, told.StepSaid{Dropped: true})
	require.NoError(t, err)
	assert.Equal(t, []told.LeftStep{{Key: own, Head: "Our vans"}, {Key: "next", Head: "What happens next."}}, w.Left)
	w, err = a.Handoff.ChangeStep(ctx, client, own, told.StepSaid{})
	require.NoError(t, err)
	assert.Equal(t, []string{"We have three."}, w.Steps[1].Points, "its words stay while it is left out")
	w, err = a.Handoff.OrderSteps(ctx, client, []string{own, "nobody", first})
	require.NoError(t, err)
	assert.Equal(t, []string{own, first}, []string{w.Steps[0].Key, w.Steps[1].Key})

	var picture bytes.Buffer
	require.NoError(t, png.Encode(&picture, image.NewGray(image.Rect(0, 0, 30, 20))))
	w, err = a.Handoff.SetPicture(ctx, client, own, base64.StdEncoding.EncodeToString(picture.Bytes()))
	require.NoError(t, err)
	assert.Contains(t, w.Steps[0].Picture, "/walk/steps/own-1/picture")
	_, media, err := a.Handoff.Picture(ctx, client, own)
	require.NoError(t, err)
	assert.Equal(t, "image/png", media)
	for _, bad := range []string{"?", "aGVsbG8="} {
		_, err = a.Handoff.SetPicture(ctx, client, own, bad)
		fails(t, err, documents.PictureBad.Code)
	}
	_, err = a.Handoff.SetPicture(ctx, client, own, base64.StdEncoding.EncodeToString(make([]byte, 3<<20)))
	fails(t, err, documents.PictureLarge.Code)

	for _, key := range []string{own, first, "next"} {
		w, err = a.Handoff.ResetStep(ctx, client, key)
		require.NoError(t, err)
	}
	assert.ElementsMatch(t, kindsOf(made), kindsOf(w), "as it was made")
	assert.InDelta(t, made.Minutes, w.Minutes, 1e-9)
	_, err = a.Handoff.ChangeStep(ctx, client, "own-7", told.StepSaid{Head: new("x")})
	assert.Error(t, err, "a step that nobody added")
	_, err = a.Handoff.ChangeStep(ctx, client+99, first, told.StepSaid{Head: new(strings.Repeat("long ", 900))})
	assert.Error(t, err)
}

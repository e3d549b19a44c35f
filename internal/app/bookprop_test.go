package app_test

import (
	"encoding/json"
	"flag"
	"fmt"
	"strings"
	"testing"

	"inktally/core/book"
	appbook "inktally/internal/app/phrasebook"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Each check writes to the store many times, which the race detector makes slow.
func init() { _ = flag.Set("rapid.checks", "25") }

// lists draws lists as they are imported: phrases that meet others again in
// other spellings, with figures and without.
var lists = rapid.Custom(func(t *rapid.T) string {
	pool := []string{"chimney sweep tarn harbor", "Tarn Harbor chimney sweep", "chimney sweep, Tarn Harbor!",
		"dryer vent cleaning ostrey",
		"chimney sweep cost", "best chimney cleaning near me", "chimney sweep's brush", "flue", "soot",
		"chimney sweep texas"}
	figure := rapid.OneOf(rapid.Just(""), rapid.Map(rapid.IntRange(0, 2000), func(n int) string {
		return fmt.Sprint(n)
	}))
	var b strings.Builder
	b.WriteString("Phrase;Searches;Difficulty;Position\n")
	for range rapid.IntRange(1, 8).Draw(t, "rows") {
		fmt.Fprintf(&b, "%s;%s;%s;%s\n", rapid.SampledFrom(pool).Draw(t, "phrase"), figure.Draw(t, "searches"),
			rapid.SampledFrom([]string{"", "6", "40"}).Draw(t, "difficulty"),
			rapid.SampledFrom([]string{"", "2", "14"}).Draw(t, "position"))
	}
	return b.String()
})

func asJSON(t require.TestingT, v any) string {
	b, err := json.MarshalIndent(v, "", " ")
	require.NoError(t, err)
	return string(b)
}

// Lists that are taken back one after another leave the book as it was before
// each, to the last figure and choice.
func TestImportsAreUndone(t *testing.T) {
	a, _ := open(t, &web{})
	rapid.Check(t, func(t *rapid.T) {
		g, err := a.Ground.New(ctx, careful)
		require.NoError(t, err)
		defer func() { require.NoError(t, a.Delete(ctx, g.ID)) }()
		_, err = a.Book.PlacePhrases(ctx, g.ID, []string{"chimney sweep tarn harbor"}, "soot")
		require.NoError(t, err)
		var before []string
		var taken []int64
		for range rapid.IntRange(1, 4).Draw(t, "lists") {
			earlier, err := a.Book.Get(ctx, g.ID)
			require.NoError(t, err)
			report, err := a.Book.ImportList(ctx, g.ID, "list.csv", []byte(lists.Draw(t, "list")), nil,
				rapid.SampledFrom([]string{"", "", "ostrey.example"}).Draw(t, "site"), "")
			require.NoError(t, err)
			before, taken = append(before, asJSON(t, earlier)), append(taken, report.ImportID)
		}
		for i := len(taken) - 1; i >= 0; i-- {
			require.NoError(t, a.Book.UndoImport(ctx, g.ID, taken[i]))
			earlier, err := a.Book.Get(ctx, g.ID)
			require.NoError(t, err)
			assert.Equal(t, before[i], asJSON(t, earlier), "list %d", i)
		}
	})
}

// A book that is saved as a file and imported for another client holds the same
// phrases in the same families with the same figures.
func TestBookFileComesBack(t *testing.T) {
	a, _ := open(t, &web{})
	families := func(t *rapid.T, client int64) string {
		before, err := a.Book.Get(ctx, client)
		require.NoError(t, err)
		var rows []any
		for _, f := range before.Families {
			for i := range f.Members {
				f.Members[i].ID = 0
			}
			rows = append(rows, []any{f.Members, f.Intent, f.Why, f.Kept, f.Carrier, f.Estimate})
		}
		return asJSON(t, rows)
	}
	rapid.Check(t, func(t *rapid.T) {
		one, err := a.Ground.New(ctx, careful)
		require.NoError(t, err)
		two, err := a.Ground.New(ctx, careful)
		require.NoError(t, err)
		defer func() {
			require.NoError(t, a.Delete(ctx, one.ID))
			require.NoError(t, a.Delete(ctx, two.ID))
		}()
		_, err = a.Book.ImportList(ctx, one.ID, "list.csv", []byte(lists.Draw(t, "list")), nil, "", "")
		require.NoError(t, err)
		file, _, err := a.Book.File(ctx, one.ID)
		require.NoError(t, err)
		_, err = a.Book.ImportList(ctx, two.ID, "book.csv", file, nil, "", "")
		require.NoError(t, err)
		assert.Equal(t, families(t, one.ID), families(t, two.ID), string(file))
	})
}

// What is said of a family, a phrase or a word and taken back again leaves the
// book as it was.
func TestChoicesAreUndone(t *testing.T) {
	a, _ := open(t, &web{})
	rapid.Check(t, func(t *rapid.T) {
		g, err := a.Ground.New(ctx, careful)
		require.NoError(t, err)
		defer func() { require.NoError(t, a.Delete(ctx, g.ID)) }()
		_, err = a.Book.ImportList(ctx, g.ID, "list.csv", []byte(lists.Draw(t, "list")), nil, "", "")
		require.NoError(t, err)
		earlier, err := a.Book.Get(ctx, g.ID)
		require.NoError(t, err)
		before := asJSON(t, earlier)
		family := rapid.SampledFrom(earlier.Families).Draw(t, "family")
		member := rapid.SampledFrom(family.Members).Draw(t, "member").Text
		var changed, back *view.Book
		switch rapid.SampledFrom([]string{"aside", "kept", "apart", "with", "brand", "tie"}).Draw(t, "change") {
		case "aside", "kept":
			changed, err = a.Book.ChooseFamily(ctx, g.ID, []string{family.Key},
				book.Choice{State: book.Aside, Reason: "far away"})
			require.NoError(t, err)
			back, err = a.Book.ChooseFamily(ctx, g.ID, []string{family.Key}, family.Choice.Core())
		case "apart":
			changed, err = a.Book.PlacePhrases(ctx, g.ID, []string{member}, member)
			require.NoError(t, err)
			back, err = a.Book.PlacePhrases(ctx, g.ID, []string{member}, "")
		case "with":
			changed, err = a.Book.PlacePhrases(ctx, g.ID, []string{member}, "chimney sweep tarn harbor")
			require.NoError(t, err)
			back, err = a.Book.PlacePhrases(ctx, g.ID, []string{member}, "")
		case "brand":
			changed, err = a.Book.JudgeWord(ctx, g.ID, "soot", "firm")
			require.NoError(t, err)
			back, err = a.Book.JudgeWord(ctx, g.ID, "soot", "")
		case "tie":
			changed, err = a.Book.TieWords(ctx, g.ID, []appbook.Tied{{Word: "soot", Means: "flue"}})
			require.NoError(t, err)
			back, err = a.Book.TieWords(ctx, g.ID, []appbook.Tied{{Word: "soot"}})
		}
		require.NoError(t, err)
		back.Changed = nil
		assert.Equal(t, before, asJSON(t, back))
		assert.Equal(t, earlier.Phrases, changed.Phrases, "no phrase is lost by a choice")
		n := 0
		for _, f := range changed.Families {
			n += len(f.Members)
		}
		assert.Equal(t, earlier.Phrases, n, "each phrase stands in one family")
	})
}

package kept

import (
	"database/sql"
	"database/sql/driver"
	"testing"
	"time"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/outline"
	"inktally/core/site"
	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// through writes a value and reads what was written.
func through(t require.TestingT, from driver.Valuer, into sql.Scanner) any {
	column, err := from.Value()
	require.NoError(t, err)
	require.NoError(t, into.Scan(column))
	return column
}

func TestLists(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := rapid.SliceOf(rapid.String()).Draw(t, "texts")
		var out List[string]
		through(t, List[string](in), &out)
		if len(in) == 0 {
			assert.Nil(t, out)
			return
		}
		assert.Equal(t, List[string](in), out)
	})
	assert.Equal(t, "[]", through(t, List[int64](nil), &List[int64]{7}))
}

func TestTimes(t *testing.T) {
	at := time.Date(2026, 3, 14, 9, 26, 53, 0, time.UTC)
	var out Time
	assert.Equal(t, "2026-03-14T09:26:53Z", through(t, Time(at), &out))
	assert.True(t, at.Equal(time.Time(out)))
	assert.Equal(t, "", through(t, Time{}, &out))
	assert.True(t, time.Time(out).IsZero())
}

func TestRows(t *testing.T) {
	volume := 380
	phrases, found := Phrases{{ID: 3, Text: "chimney sweep", Volume: &volume, With: "tarn", Area: "state"}},
		Found{{Text: "flue", Position: 14}}
	dead, edits := Dead{{URL: "http://a.example/x", From: "http://a.example/", Label: "X", Status: 404, Menu: true}},
		Edits{Order: []string{"lead"}, Sections: map[string]outline.SectionEdit{"lead": {Heading: "Who we are"}}}
	var (
		gotPhrases Phrases
		gotFound   Found
		gotDead    Dead
		gotEdits   Edits
	)
	through(t, phrases, &gotPhrases)
	through(t, found, &gotFound)
	through(t, dead, &gotDead)
	through(t, edits, &gotEdits)
	assert.Equal(t, []any{phrases, found, dead, edits}, []any{gotPhrases, gotFound, gotDead, gotEdits})
	assert.Equal(t, "[]", through(t, Phrases(nil), &Phrases{book.Phrase{}}))
	missed, gotMissed := Missed{{URL: "http://a.example/y", Reason: site.Failed, Status: 500}}, Missed{}
	through(t, missed, &gotMissed)
	assert.Equal(t, missed, gotMissed)
	assert.Equal(t, "[]", through(t, Dead(nil), &Dead{site.Dead{}}))
}

func TestFaults(t *testing.T) {
	in := fetch.NotRead.New("tarn.example").Around(fetch.NoConnection.New("tarn.example"))
	var out *fault.Fault
	through(t, FaultOf(in), Fault{To: &out})
	assert.Equal(t, in, out)
	assert.Equal(t, "", through(t, FaultOf(nil), Fault{To: &out}))
	assert.Nil(t, out)
}

func TestDamagedColumns(t *testing.T) {
	for _, column := range []any{`["a"`, 7, `{"x":1}`} {
		assert.Error(t, (&List[string]{}).Scan(column), column)
	}
}

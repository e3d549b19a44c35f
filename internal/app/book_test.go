package app_test

import (
	"bytes"
	encodingcsv "encoding/csv"
	"fmt"
	"strings"
	"testing"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/table"
	"inktally/internal/app"
	appbook "inktally/internal/app/phrasebook"
	"inktally/internal/store"
	"inktally/internal/tables"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
)

var careful = view.Business{Name: "Brindle", Trade: "chimney care", Phrases: []string{"chimney sweep tarn harbor"},
	Services: []view.Service{{Name: "chimney sweep, chimney cleaning"}, {Name: "dryer vent cleaning"}},
	Places:   []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}}}

func bookOf(t *testing.T, a *app.App, client int64) map[string]view.BookRow {
	t.Helper()
	b, err := a.Book.Get(ctx, client)
	require.NoError(t, err)
	out := map[string]view.BookRow{}
	for _, f := range b.Families {
		out[f.Members[0].Text] = f
	}
	return out
}

// A list is taken, joined, refused in part with its reasons, and undone as one.
func TestImport(t *testing.T) {
	a, _ := open(t, &web{})
	client, home := newClient(t, a, careful, "")
	list := []byte("Keyword,Volume,KD,Position\nTarn Harbor chimney sweep,\"1,300\",6,14\nChimney sweep Tarn " +
		"Harbor,380,,\ndryer vent cleaning ostrey,30,40,\n" +
		"chimney sweep cost,900,,\n,7,,\n=cmd|x,5,,\nchimney sweep tarn harbor,400,9,\n")
	p, err := a.Book.PreviewList(ctx, client, "list.csv", list)
	require.NoError(t, err)
	assert.Equal(t, []view.ColumnRole{view.ColumnRole(table.Phrase), view.ColumnRole(table.Volume),
		view.ColumnRole(table.Difficulty), view.ColumnRole(table.Position)}, p.Layout.Roles)
	report, err := a.Book.ImportList(ctx, client, "list.csv", list, nil, "", "")
	require.NoError(t, err)
	assert.Equal(t, 4, report.Added, "the phrase of the ground was there already")
	assert.Equal(t, 2, report.Joined)
	assert.Equal(t, 1, report.RefusedN)
	rows := bookOf(t, a, client)
	lead := rows["tarn harbor chimney sweep"]
	require.Len(t, lead.Members, 2)
	assert.Equal(t, 400, *lead.Members[1].Volume, "the later figure stands")
	assert.Equal(t, "home", lead.Carrier)
	assert.Equal(t, home, lead.PageID)
	assert.Equal(t, 14, *lead.Position)
	assert.True(t, lead.NearMiss)
	assert.Equal(t, "dryer vent cleaning", rows["dryer vent cleaning ostrey"].Carrier)
	assert.False(t, rows["chimney sweep cost"].Kept)
	assert.Empty(t, rows["chimney sweep cost"].Carrier)
	require.NoError(t, a.Book.UndoImport(ctx, client, report.ImportID))
	rows = bookOf(t, a, client)
	require.Len(t, rows, 1)
	assert.Nil(t, rows["chimney sweep tarn harbor"].Members[0].Volume)
	assert.ErrorIs(t, a.Book.UndoImport(ctx, client, report.ImportID), store.ErrNotFound)
}

// A workbook is read like a list; its formulas are not worked out.
func TestWorkbook(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	f := excelize.NewFile()
	for y, row := range [][]any{{"Keyword", "Search volume"}, {"chimney sweep ostrey", 1300},
		{"flue liner", "10-100"}} {
		for x, v := range row {
			cell, err := excelize.CoordinatesToCellName(x+1, y+1)
			require.NoError(t, err)
			require.NoError(t, f.SetCellValue("Sheet1", cell, v))
		}
	}
	require.NoError(t, f.SetCellFormula("Sheet1", "A4", `HYPERLINK("http://x.example")`))
	var body bytes.Buffer
	require.NoError(t, f.Write(&body))
	report, err := a.Book.ImportList(ctx, client, "book.xlsx", body.Bytes(), nil, "", "")
	require.NoError(t, err)
	assert.Equal(t, 2, report.Added)
	assert.Equal(t, 1300, *bookOf(t, a, client)["chimney sweep ostrey"].Members[0].Volume)
	for code, bad := range map[fault.Code][]byte{
		tables.WorkbookUnreadable.Code: body.Bytes()[:200], table.ListEmpty.Code: nil,
		table.ListNotText.Code:   []byte("\x00\x01\x02\x03"),
		tables.ListTooLarge.Code: make([]byte, appbook.MaxList+1), table.NoPhraseColumn.Code: []byte("1,2\n3,4\n"),
	} {
		t.Run(fmt.Sprint(code), func(t *testing.T) {
			_, err := a.Book.ImportList(ctx, client, "bad", bad, nil, "", "")
			fails(t, err, code)
		})
	}
	_, err = a.Book.ImportList(ctx, 99, "x", []byte("flue liner\n"), nil, "", "")
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// What is said of families and words stands, and can be taken back.
func TestBookChoices(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	_, err := a.Book.AddPhrases(ctx, client,
		[]string{"chimney sweep cost", "zebra chimney sweep tarn harbor", "chimny sweep tarn harbor",
			"chimney sweeper tarn harbor"})
	require.NoError(t, err)
	rows := bookOf(t, a, client)
	key := rows["chimney sweep cost"].Key
	_, err = a.Book.ChooseFamily(ctx, client, []string{key}, book.Choice{State: book.Kept, Reason: "a good question"})
	require.NoError(t, err)
	assert.True(t, bookOf(t, a, client)["chimney sweep cost"].Kept)
	b, err := a.Book.Get(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, []view.Tie{{Kind: "slip", Word: "chimny", Means: "chimney", Searches: 1, Phrases: 1},
		{Kind: "doer", Word: "sweeper", Means: "sweep", Searches: 1, Phrases: 1}}, b.Likely)
	assert.Equal(t, []view.UnknownWord{{Word: "zebra", Families: 1, Example: "zebra chimney sweep tarn harbor"}},
		b.Unfamiliar)
	b, err = a.Book.JudgeWord(ctx, client, "zebra", "firm")
	require.NoError(t, err)
	assert.Equal(t, &view.BookChange{Aside: []string{"zebra chimney sweep tarn harbor"}, Kept: []string{}}, b.Changed)
	assert.Equal(t, view.IntentCode(intent.Brand), bookOf(t, a, client)["zebra chimney sweep tarn harbor"].Intent)
	b, err = a.Book.TieWords(ctx, client,
		[]appbook.Tied{{Word: "chimny", Means: "chimney"}, {Word: "sweeper", Means: "sweep"}})
	require.NoError(t, err)
	assert.Equal(t, 2, b.Changed.Joined)
	assert.Len(t, bookOf(t, a, client)["chimney sweep tarn harbor"].Members, 3, "a slip never leads")
	_, err = a.Book.TieWords(ctx, client, []appbook.Tied{{Word: "chimny", Means: "chimny"}})
	require.NoError(t, err)
	assert.Len(t, bookOf(t, a, client)["chimny sweep tarn harbor"].Members, 1)
	b, err = a.Book.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, b.Likely, "what is to be read as it is is not proposed again")
	for _, bad := range [][2]string{{"two words", "x"}, {"", "x"}, {"word", "!!"}} {
		_, err = a.Book.TieWords(ctx, client, []appbook.Tied{{Word: bad[0], Means: bad[1]}})
		fails(t, err, appbook.NotOneWord.Code)
	}
	_, err = a.Book.JudgeWord(ctx, client, "two words", "firm")
	fails(t, err, appbook.NotOneWord.Code)
}

// A phrase is parted from its family, families are put together, and the rule
// decides again; the home page's sheet follows.
func TestPlacePhrases(t *testing.T) {
	a, _ := open(t, &web{})
	b := careful
	b.Phrases = []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "chimney cleaning tarn harbor"}
	client, home := newClient(t, a, b, "")
	families := func() (out []string) {
		s, err := a.Sheet.Get(ctx, client, home)
		require.NoError(t, err)
		for _, f := range s.Families {
			var texts []string
			for _, m := range f.Members {
				texts = append(texts, m.Text)
			}
			out = append(out, strings.Join(texts, ", "))
		}
		return out
	}
	ruled := []string{"chimney sweep tarn harbor, tarn harbor chimney sweep", "chimney cleaning tarn harbor"}
	assert.Equal(t, ruled, families())
	_, err := a.Book.PlacePhrases(ctx, client, []string{"Tarn Harbor chimney sweep"}, "tarn harbor chimney sweep")
	require.NoError(t, err)
	assert.Equal(t, []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "chimney cleaning tarn harbor"},
		families())
	rows, err := a.Book.PlacePhrases(ctx, client, []string{"tarn harbor chimney sweep", "chimney cleaning tarn harbor"},
		"chimney sweep tarn harbor")
	require.NoError(t, err)
	assert.Len(t, rows.Families, 1)
	assert.Equal(t, []string{"chimney sweep tarn harbor, tarn harbor chimney sweep, chimney cleaning tarn harbor"},
		families())
	_, err = a.Book.PlacePhrases(ctx, client, []string{"tarn harbor chimney sweep", "chimney cleaning tarn harbor"}, "")
	require.NoError(t, err)
	assert.Equal(t, ruled, families())
	_, err = a.Book.PlacePhrases(ctx, client, []string{"not in the book"}, "")
	require.ErrorIs(t, err, store.ErrNotFound)
	_, err = a.Book.PlacePhrases(ctx, client, []string{"chimney cleaning tarn harbor"}, "!!")
	fails(t, err, fault.PhraseNoWord.Code)
	_, err = a.Book.TieWords(ctx, client, []appbook.Tied{{Word: "cleaning", Means: "sweep"}})
	require.NoError(t, err)
	assert.Len(t, families(), 1, "tied words count on the sheet too")
}

// What sites are found for: the client's goes into its book too, a rival's is
// set beside it, and each list is undone as one.
func TestFound(t *testing.T) {
	a, _ := open(t, &web{})
	b := careful
	b.HomePage = "brindle.example"
	client, _ := newClient(t, a, b, "")
	_, err := a.Lineup.Paste(ctx, client, "harborflue.example")
	require.NoError(t, err)
	own := []byte("Keyword,Position,Volume,URL\nchimney sweep tarn harbor,14,380,http://brindle.example/\nchimney " +
		"sweep tarn harbor,30,380,http://brindle.example/two\nchimney sweep cost,3,900,http://brindle.example/\n")
	p, err := a.Book.PreviewList(ctx, client, "own.csv", own)
	require.NoError(t, err)
	assert.Equal(t, "brindle.example", p.Site, "by its addresses")
	mine, err := a.Book.ImportList(ctx, client, "own.csv", own, nil, p.Site, "")
	require.NoError(t, err)
	assert.Equal(t, 2, mine.Found)
	assert.Equal(t, 14, *bookOf(t, a, client)["chimney sweep tarn harbor"].Position)

	theirs := []byte("query,rank,searches\nchimney sweep tarn harbor,1,380\ndryer vent cleaning ostrey,9,50\nflue " +
		"liner ohio,2,\n")
	p, err = a.Book.PreviewList(ctx, client, "harborflue.example-list.csv", theirs)
	require.NoError(t, err)
	assert.Equal(t, "harborflue.example", p.Site, "by its name")
	rival, err := a.Book.ImportList(ctx, client, "list.csv", theirs, nil, p.Site, "")
	require.NoError(t, err)
	assert.Zero(t, rival.Added, "a rival's phrases are not the client's")

	found, err := a.Book.Found(ctx, client)
	require.NoError(t, err)
	require.Len(t, found.Sites, 2)
	sums := found.Sites[0].Sums
	assert.Equal(t, "client", found.Sites[0].Role)
	assert.Equal(t, []int{2, 1, 1, 2, 1, 1},
		[]int{sums.Phrases, sums.First3, sums.First10, sums.First20, sums.Intents["hire"], sums.Intents["question"]})
	assert.InDelta(t, 380*.007, sums.Hire, 1e-9)
	assert.Equal(t, []int{1, 900}, []int{sums.Uncounted, sums.Searched}, "where the question was searched is not known")
	assert.InDelta(t, 380*(.33-.007)+50*.025, *found.Missed, 1e-9)
	sums = found.Sites[1].Sums
	assert.Equal(t, []int{3, 2, 3, 1, 1},
		[]int{sums.Phrases, sums.First3, sums.First10, sums.Unknown, sums.Intents["elsewhere"]})
	assert.Equal(t, 4, found.Total)
	assert.Equal(t, "chimney sweep cost", found.Rows[0].Text)
	assert.Equal(t, []int{3, 0}, found.Rows[0].Positions)
	assert.True(t, found.Rows[0].InBook)
	assert.Equal(t, []int{14, 1}, found.Rows[1].Positions)
	assert.False(t, found.Rows[2].InBook)

	l, err := a.Lineup.Get(ctx, client, 0)
	require.NoError(t, err)
	for _, taken := range []bool{false, true} {
		_, err = a.Lineup.Take(ctx, client, l.Entries[0].ID, taken)
		require.NoError(t, err)
		again, err := a.Book.Found(ctx, client)
		require.NoError(t, err)
		assert.Equal(t, map[bool]string{false: "other", true: "rival"}[taken], again.Sites[1].Role,
			"the list of a rival that is set aside stays")
		assert.Equal(t, 3, again.Sites[1].Sums.Phrases)
	}
	added, err := a.Book.AddPhrases(ctx, client, []string{"Dryer vent cleaning Ostrey"})
	require.NoError(t, err)
	vents := bookOf(t, a, client)["dryer vent cleaning ostrey"]
	assert.Equal(t, 50, *vents.Members[0].Volume, "what a list has of it comes along")
	assert.Nil(t, vents.Position, "but not where a rival stands")
	require.NoError(t, a.Book.UndoImport(ctx, client, added.ImportID))
	require.NoError(t, a.Book.UndoImport(ctx, client, rival.ImportID))
	require.NoError(t, a.Book.UndoImport(ctx, client, mine.ImportID))
	found, err = a.Book.Found(ctx, client)
	require.NoError(t, err)
	assert.Zero(t, found.Total)
	assert.Nil(t, found.Sites[0].Sums)
	assert.Nil(t, bookOf(t, a, client)["chimney sweep tarn harbor"].Position)
}

// The book goes out as CSV that gives the same figures when it is imported
// again; only the last list can be taken back.
func TestBookFile(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	first, err := a.Book.ImportList(ctx, client, "one.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\nchimney sweep "+
			"cost,900,,\nchimney sweep ohio,7,,3\nbest chimney sweep tarn harbor,90,6,\n"), nil, "", "")
	require.NoError(t, err)
	_, err = a.Book.ChooseFamily(ctx, client, []string{bookOf(t, a, client)["chimney sweep ohio"].Key},
		book.Choice{State: book.Aside, Reason: "=HYPERLINK(\"x\")"})
	require.NoError(t, err)
	csv, name, err := a.Book.File(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, "Brindle", name)
	assert.Contains(t, string(csv), "'=HYPERLINK")
	lines, err := encodingcsv.NewReader(bytes.NewReader(csv)).ReadAll()
	require.NoError(t, err)
	b, err := a.Book.Get(ctx, client)
	require.NoError(t, err)
	gains, folded := map[string]string{}, 0
	for _, row := range lines[1:] {
		gains[row[0]] = row[12]
	}
	for _, f := range b.Families {
		want := ""
		if f.Under != "" {
			folded++
		} else if f.RowGain > 0 {
			want = fmt.Sprintf("%.1f", f.RowGain)
		}
		assert.Equal(t, want, gains[f.Members[0].Text], "the gain of a row as the screen shows it")
	}
	assert.Equal(t, 1, folded)
	second, _ := newClient(t, a, careful, "")
	report, err := a.Book.ImportList(ctx, second, "book.csv", csv, nil, "", "")
	require.NoError(t, err)
	assert.Empty(t, report.Refused)
	before, is := bookOf(t, a, client), bookOf(t, a, second)
	for lead, f := range before {
		assert.Equal(t, f.Estimate, is[lead].Estimate, lead)
		assert.Equal(t, f.Difficulty, is[lead].Difficulty, lead)
	}

	later, err := a.Book.AddPhrases(ctx, client, []string{"chimney sweep cost", "flue liner ostrey"})
	require.NoError(t, err)
	fails(t, a.Book.UndoImport(ctx, client, first.ImportID), appbook.ImportNotLast.Code)
	b, err = a.Book.Get(ctx, client)
	require.NoError(t, err)
	require.Len(t, b.Imports, 2)
	assert.Equal(t, later.ImportID, b.Imports[0].ID)
	assert.Equal(t, []int{1, 1}, []int{b.Imports[0].Added, b.Imports[0].Joined})
	require.NoError(t, a.Book.UndoImport(ctx, client, later.ImportID))
	require.NoError(t, a.Book.UndoImport(ctx, client, first.ImportID))
	assert.Len(t, bookOf(t, a, client), 1)
}

// The lists of words are the client's own, and can be restored.
func TestListsOfWords(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	_, err := a.Book.AddPhrases(ctx, client, []string{"chimney sweep pronto", "chimney sweep ferry point"})
	require.NoError(t, err)
	lists, err := a.Book.Lists(ctx, client)
	require.NoError(t, err)
	assert.True(t, lists.Standard)
	assert.Equal(t, view.IntentCode(intent.Broad), bookOf(t, a, client)["chimney sweep pronto"].Intent)
	lists.Hire = append(lists.Hire, " pronto ", "--")
	lists.Elsewhere = []string{"Ferry Point"}
	lists, err = a.Book.SaveLists(ctx, client, &lists.Lists, nil)
	require.NoError(t, err)
	assert.False(t, lists.Standard)
	assert.Equal(t, view.IntentCode(intent.Hire), bookOf(t, a, client)["chimney sweep pronto"].Intent)
	assert.Equal(t, view.IntentCode(intent.Elsewhere), bookOf(t, a, client)["chimney sweep ferry point"].Intent)
	lists, err = a.Book.SaveLists(ctx, client, nil, nil)
	require.NoError(t, err)
	assert.True(t, lists.Standard)
	assert.Equal(t, view.IntentCode(intent.Broad), bookOf(t, a, client)["chimney sweep pronto"].Intent)

	other := careful
	other.Name, other.Language = "Autre", "FR"
	second, _ := newClient(t, a, other, "")
	lists, err = a.Book.Lists(ctx, second)
	require.NoError(t, err)
	assert.Equal(t, "fr", lists.Language)
	assert.Contains(t, lists.Hire, "soumission")
	other.Name, other.Language = "Altro", "it"
	third, _ := newClient(t, a, other, "")
	lists, err = a.Book.Lists(ctx, third)
	require.NoError(t, err)
	assert.Empty(t, lists.Hire, "a language without lists")
}

func TestCandidatesOfAClient(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	list, err := a.Book.Candidates(ctx, client)
	require.NoError(t, err)
	assert.Contains(t, list, "dryer vent cleaning ostrey")
	assert.Contains(t, list, "chimney cleaning tarn harbor maine")
	assert.NotContains(t, list, "chimney sweep tarn harbor", "which the book has")
	report, err := a.Book.AddPhrases(ctx, client, append(list, strings.Repeat("word ", 60)))
	require.NoError(t, err)
	assert.Equal(t, len(list), report.Added)
	assert.Equal(t, 1, report.RefusedN)
	list, err = a.Book.Candidates(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, list)
}

package tables

import (
	"archive/zip"
	"bytes"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
)

var want = [][]string{{"Domain", "Ref. domains"}, {"a.example", "64"}, {"b.example", "1,212"}}

func TestRead(t *testing.T) {
	book := excelize.NewFile()
	_, err := book.NewSheet("Links")
	require.NoError(t, err)
	for i, row := range want {
		cell, _ := excelize.CoordinatesToCellName(1, i+3)
		require.NoError(t, book.SetSheetRow("Links", cell, &row))
	}
	var xlsx bytes.Buffer
	require.NoError(t, book.Write(&xlsx))
	for name, body := range map[string]string{
		"csv":  "Domain,Ref. domains\na.example,64\nb.example,\"1,212\"\n",
		"xlsx": xlsx.String(),
		"json": `{"meta": {"rows": 2, "tags": ["x"]}, "data": [{"Domain": "a.example", "Ref._domains": 64},
 {"Ref._domains": "1,212", "Domain": "b.example"}]}`,
		"html": `<!doctype html><title>x</title><nav>9 things</nav><table><tr><td><table><caption>Figures</caption>
			<thead><tr><th>Domain<th>Ref. domains</thead><tr><td>a.example<td> 64 <tr><td>b.example<td>
			<b>1</b>,212</table></table>`,
	} {
		t.Run(name, func(t *testing.T) {
			list, err := Read([]byte(body))
			require.NoError(t, err)
			assert.Equal(t, want, list[0].Rows)
		})
	}
	pairs, err := Read([]byte(`{"site": "a.example", "referring domains": 64, "strength": {"of page": 20}}`))
	require.NoError(t, err)
	assert.Equal(t, [][]string{{"site", "a.example"}, {"referring domains", "64"}, {"strength of page", "20"}},
		pairs[0].Rows)
	tab, err := Page([]byte(`<div><p>Backlinks</p><p>1,212</p></div><div><p>Referring domains</p><p>64</p></div>
		<script>var x = 5</script>`))
	require.NoError(t, err)
	assert.Equal(t, [][]string{{"Backlinks", "1,212"}, {"Referring domains", "64"}}, tab[0].Rows)
}

// What is no table is told in one sentence.
func TestBadFiles(t *testing.T) {
	var bomb bytes.Buffer
	z := zip.NewWriter(&bomb)
	for _, name := range []string{"[Content_Types].xml", "xl/workbook.xml", "xl/worksheets/sheet1.xml"} {
		w, err := z.Create(name)
		require.NoError(t, err)
		for range 60 {
			_, err = w.Write(bytes.Repeat([]byte(" "), 1<<20))
			require.NoError(t, err)
		}
	}
	require.NoError(t, z.Close())
	require.Less(t, bomb.Len(), 1<<20)
	for name, body := range map[string][]byte{
		"a bomb": bomb.Bytes(), "no workbook": []byte("PK\x03\x04nothing"), "broken JSON": []byte(`{"data": [{"a": `),
		"JSON without records": []byte(`{"data": [1, 2, [3]]}`), "nothing": {}, "deep": []byte(strings.Repeat("[",
			100_000)),
		"a page without tables": []byte("<p>Hello, this is a page."),
		"a picture":             []byte("\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR"),
		"deep records":          []byte(strings.Repeat(`{"a":`, 100_000)), "too large": make([]byte, MaxFile+1),
		"deep page": []byte(strings.Repeat("<div>", 100_000)),
	} {
		t.Run(name, func(t *testing.T) {
			_, err := Read(body)
			_, known := fault.Of(err)
			assert.True(t, known, "%v", err)
		})
	}
	wide, err := Read([]byte("Domain," + strings.Repeat("x,", 2000) + "\na.example,1\n"))
	require.NoError(t, err)
	assert.LessOrEqual(t, len(wide[0].Rows[0]), 200)
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(`[{"a":1},{"b":"x"}]`))
	f.Add([]byte("<table><tr><td>a<td>1<tr><td>b<td>2</table>"))
	f.Fuzz(func(t *testing.T, body []byte) {
		list, err := Read(body)
		if err == nil && len(list) == 0 {
			t.Fatal("neither a table nor a fault")
		}
		_, _ = Page(body)
	})
}

// Sheets whose elements stand in one another without end are told before they are read; those of a usual workbook are
// not, whatever signs stand in their values.
func TestNestedSheets(t *testing.T) {
	part := func(s string) []byte {
		var b bytes.Buffer
		z := zip.NewWriter(&b)
		w, err := z.Create("xl/worksheets/sheet1.xml")
		require.NoError(t, err)
		_, err = w.Write([]byte(s))
		require.NoError(t, err)
		require.NoError(t, z.Close())
		return b.Bytes()
	}
	deep := part("<worksheet>" + strings.Repeat("<row>", 1_000_000))
	assert.Less(t, len(deep), 100_000)
	start := time.Now()
	_, err := Read(deep)
	assert.True(t, fault.Is(err, WorkbookUnreadable.Code), "%v", err)
	assert.Less(t, time.Since(start), time.Minute, "by the square two minutes on the fastest machine")
	for _, s := range []string{strings.Repeat(`<c v="a > b"/>`, 200), strings.Repeat(`<c v='<"/>'/>`, 200),
		strings.Repeat("<!-- it's <a> -->", 200), strings.Repeat("<a><b/></a>", 200), "<?xml a='>'?>" +
			strings.Repeat("<a x='1' />", 200)} {
		assert.False(t, nested(part(s)), s[:20])
	}
	assert.True(t, nested(part(strings.Repeat(`<c v="/">`, 200))))
	assert.False(t, nested([]byte("PK\x03\x04no zip")))
}

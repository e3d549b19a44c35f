package practice

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"io/fs"
	"net/http"
	"path"
	"slices"
	"strings"
	"time"

	"inktally/core/listing"
	"inktally/internal/source"
)

// sourceOf is a stand-in for a source of figures: its files, each with the column that tells whose a row is.
type sourceOf struct {
	called string
	files  []string
}

// The sources of figures, of two different makes: one goes by the domain of a site, the other by the name of a
// business.
var figureSources = map[string]sourceOf{
	"links":    {"Practice links", []string{"totals", "links"}},
	"listings": {"Practice listings", []string{"listings", "profiles"}},
}

// ago is how long ago posts were written, by how the files say it.
var ago = map[string]int{"week": 3, "month": 33, "months": 120}

// serveFigures answers what a source of figures knows of a site; docs/contracts/standing.md. Each file has the state of
// a month ago and that of today.
func (w *Web) serveFigures(out http.ResponseWriter, r *http.Request) {
	of, ok := figureSources[path.Base(path.Dir(r.URL.Path))]
	if !ok {
		http.NotFound(out, r)
		return
	}
	today := time.Now()
	answer := source.FigureTables{}
	for _, name := range of.files {
		raw, err := fs.ReadFile(w.files, "standing/"+name+".csv")
		if err != nil {
			continue
		}
		rows, err := csv.NewReader(bytes.NewReader(raw)).ReadAll()
		if err != nil {
			http.Error(out, err.Error(), http.StatusInternalServerError)
			return
		}
		for _, month := range []string{"before", "now"} {
			t := source.FigureTable{Name: name, Source: of.called, On: today.Format(time.DateOnly)}
			if month == "before" {
				t.On = today.AddDate(0, -1, 0).Format(time.DateOnly)
			}
			if t.Rows = rowsFor(rows, name, month, r.URL.Query().Get("site"), r.URL.Query().Get("name"),
				today); len(t.Rows) > 1 {
				answer.Tables = append(answer.Tables, t)
			}
		}
	}
	if len(answer.Tables) == 0 {
		http.NotFound(out, r)
		return
	}
	out.Header().Set("Content-Type", "application/json")
	_ = json.NewEncoder(out).Encode(answer)
}

// rowsFor returns the rows of a file about a site in a month, without the columns that tell these. Of links and
// listings those of the month before are there now too.
func rowsFor(rows [][]string, file, month, site, name string, today time.Time) [][]string {
	heading := rows[0]
	keep := func(row []string) []string {
		return slices.Concat(map[bool][]string{true: nil, false: row[:1]}[file == "links"], row[2:])
	}
	out := [][]string{keep(heading)}
	for _, row := range rows[1:] {
		of := row[0]
		if site == "" || of != site {
			if !listing.SameName(of, name) {
				continue
			}
		}
		if row[1] != month && !(month == "now" && (file == "links" || file == "listings")) {
			continue
		}
		kept := slices.Clone(keep(row))
		for i, cell := range kept {
			if days, ok := ago[cell]; ok && strings.Contains(out[0][i], "post") {
				kept[i] = today.AddDate(0, 0, -days).Format(time.DateOnly)
			}
		}
		out = append(out, kept)
	}
	return out
}

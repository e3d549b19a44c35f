package lineups

import (
	"context"
	"path/filepath"
	"strings"

	"inktally/core/entry"
	"inktally/core/fault"
	"inktally/core/grid"
	"inktally/core/lineup"
	"inktally/core/results"
	"inktally/core/text"
	"inktally/internal/fetch/saved"
	"inktally/internal/source"
	"inktally/internal/view"
)

// ReadResults reads a page of results out of what was copied, dropped or saved: HTML, an
// archive, text or a table. The errors are faults.
func ReadResults(name string, body []byte, columns []grid.Field) (results.Results, error) {
	src := results.Source{Columns: columns, Table: isTable(name)}
	file := saved.File{Name: filepath.Base(name), Body: body}
	if saved.IsArchive(file) {
		pages, problems := saved.Read([]saved.File{file})
		switch {
		case len(pages) > 0:
			body, src.URL, src.ContentType = pages[0].Document.Body, pages[0].Document.URL,
				pages[0].Document.ContentType
		case len(problems) > 0:
			return results.Results{}, problems[0].Err
		default:
			return results.Results{}, saved.NoPageInFiles.New()
		}
	}
	if len(body) > results.MaxBytes {
		return results.Results{}, ResultsTooLarge.New(results.MaxBytes >> 20)
	}
	return results.Read(body, src), nil
}

// isTable reports whether a file is a table, by its name.
func isTable(name string) bool {
	switch strings.ToLower(filepath.Ext(name)) {
	case ".csv", ".tsv":
		return true
	}
	return false
}

// PreviewResults shows what would be kept of a page of results; nothing of it is yet.
func (l *Lineup) PreviewResults(name string, body []byte, columns []grid.Field) (*view.ResultsPreview, error) {
	read, err := ReadResults(name, body, columns)
	if err != nil {
		return nil, err
	}
	if len(read.Entries) == 0 && read.Columns == nil { // a table can be told what its columns hold
		return nil, NoResults.New()
	}
	read.Entries = read.WithSites()
	return view.ResultsPreviewOf(read), nil
}

// KeepResults records a page of results as the search for a phrase.
func (l *Lineup) KeepResults(ctx context.Context, id int64, phrase, name string, body []byte, columns []grid.Field) (
	*view.Lineup, error) {
	phrase = text.Collapse(phrase)
	if len(text.Tokens(phrase)) == 0 {
		return nil, fault.PhraseNeeded.New()
	}
	read, err := ReadResults(name, body, columns)
	if err != nil {
		return nil, err
	}
	if len(read.Entries) == 0 {
		return nil, NoResults.New()
	}
	k, err := l.known(ctx, id)
	if err != nil {
		return nil, err
	}
	return l.record(ctx, k, phrase, searchOf(read))
}

// searchOf returns a page of results as a search source would have answered it. What it does
// not say, such as from where was searched, is left empty.
func searchOf(read results.Results) source.SearchResult {
	out := source.SearchResult{Ads: "not seen"}
	paid := 0
	for _, e := range read.WithSites() {
		s := source.SearchEntry{Position: e.Position, Name: e.Title, URL: e.URL, Reviews: e.Reviews, Rating: e.Rating,
			Phone: e.Phone}
		if e.Years != nil {
			s.Years = *e.Years
		}
		switch e.Part {
		case entry.Organic:
			s.Part = lineup.Organic
			out.LookedAt = max(out.LookedAt, e.Position)
		case entry.Map:
			s.Part = lineup.Map
		case entry.MapSponsored:
			s.Part, s.Sponsored, out.Ads = lineup.Map, true, "seen"
		case entry.Paid:
			paid++
			s.Part, s.Position, out.Ads = lineup.Paid, paid, "seen"
		}
		out.Entries = append(out.Entries, s)
	}
	return out
}

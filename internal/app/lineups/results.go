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
	"inktally/internal/store"
	"inktally/internal/study"
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

// PreviewResults shows what would be kept of a page of results, beside a search that it may continue, 0 for none;
// nothing of it is kept yet.
func (l *Lineup) PreviewResults(ctx context.Context, id, beside int64, name string, body []byte, columns []grid.Field) (
	*view.ResultsPreview, error) {
	read, err := ReadResults(name, body, columns)
	if err != nil {
		return nil, err
	}
	if len(read.Entries) == 0 && read.Columns == nil { // a table can be told what its columns hold
		return nil, NoResults.New()
	}
	result := searchOf(read)
	read.Entries = read.WithSites()
	out := view.ResultsPreviewOf(read)
	if beside != 0 {
		k, err := l.known(ctx, id)
		if err != nil {
			return nil, err
		}
		var more []lineup.Entry
		for _, f := range result.Entries {
			more = append(more, entryOf(f))
		}
		out.Continues = lineup.Continues(study.Results(k.EntriesOf(beside)), more)
	}
	return out, nil
}

// KeepResults records a page of results as the search for a phrase, or lets it join the search that it
// continues, 0 for a new one.
func (l *Lineup) KeepResults(ctx context.Context, id, continues int64, phrase, name string, body []byte,
	columns []grid.Field) (*view.Lineup, error) {
	phrase = text.Collapse(phrase)
	if continues == 0 && len(text.Tokens(phrase)) == 0 {
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
	if continues != 0 {
		return l.join(ctx, k, continues, searchOf(read))
	}
	return l.record(ctx, k, phrase, searchOf(read))
}

// join adds to a search what a later page of it, or a longer list of the map, has more (rule 6.5).
func (l *Lineup) join(ctx context.Context, k *study.Known, lineupID int64, result source.SearchResult) (*view.Lineup,
	error) {
	recorded, err := one(k, lineupID)
	if err != nil {
		return nil, err
	}
	more, err := l.judge(ctx, k, result.Entries)
	if err != nil {
		return nil, err
	}
	all := study.Results(k.EntriesOf(lineupID))
	had := len(all)
	joining := lineup.Join(all, more,
		map[lineup.Part]int{lineup.Organic: recorded.LookedAt, lineup.Map: recorded.MapLookedAt})
	if len(joining) == 0 {
		return nil, NothingJoins.New()
	}
	for _, i := range joining {
		all = append(all, more[i])
	}
	k.Yardstick.Lineup.TakeMore(all, had)
	organic, inMap := recorded.LookedAt, recorded.MapLookedAt
	for _, e := range all {
		switch {
		case e.Part == lineup.Organic:
			organic = max(organic, e.Position)
		case e.Part == lineup.Map && !e.Sponsored:
			inMap = max(inMap, e.Position)
		}
	}
	err = l.DB.Write(ctx, func(tx *store.Tx) error {
		for n, i := range joining {
			_, err := tx.AddEntry(store.Entry{ClientID: k.Client.ID, LineupID: lineupID, Entry: all[had+n],
				Reviews: result.Entries[i].Reviews, Rating: result.Entries[i].Rating})
			if err != nil {
				return err
			}
		}
		return tx.LookedAt(k.Client.ID, lineupID, organic, inMap)
	})
	if err != nil {
		return nil, err
	}
	return l.Get(ctx, k.Client.ID, lineupID)
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

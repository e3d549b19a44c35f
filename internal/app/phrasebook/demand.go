package phrasebook

import (
	"context"

	"inktally/core/table"
	"inktally/internal/app/lineups"
	"inktally/internal/source"
	"inktally/internal/study"
	"inktally/internal/study/reached"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Demander answers how often phrases are searched for, by
// docs/contracts/demand.md. Its errors are
// faults.
type Demander interface {
	Phrases(ctx context.Context, phrases []string, place string) ([]source.Demanded, error)
	Found(ctx context.Context, site string) ([]source.Demanded, error)
}

// askedAtOnce is how many phrases a source is asked for at once.
const askedAtOnce = 1000

// AskDemand asks the source for the searches of all phrases of a client's book,
// and for what its site and its rivals' are found for. It is taken like a list,
// and undone as one.
func (b *Book) AskDemand(ctx context.Context, id int64) (*view.Report, error) {
	if b.Demand == nil {
		return nil, NoDemandSource.New()
	}
	k, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	known, err := b.askPhrases(ctx, k.Known)
	if err != nil {
		return nil, err
	}
	lists := []listOfSite{{rows: known}}
	for _, s := range reached.List(k) {
		if s.Role == reached.Other {
			continue
		}
		found, err := b.Demand.Found(ctx, s.Domain)
		if err != nil {
			return nil, err
		}
		lists = append(lists, listOfSite{site: s.Domain, rows: rowsOf(found)})
	}
	report := &view.Report{Refused: []view.Refused{}}
	return report, b.put(ctx, id, wording.DemandImport, lists, report)
}

// askPhrases asks for the searches of the phrases of a book.
func (b *Book) askPhrases(ctx context.Context, k *study.Known) (rows []table.Row, err error) {
	from := lineups.From(k.Home())
	for at := 0; at < len(k.Phrases); at += askedAtOnce {
		var phrases []string
		for _, e := range k.Phrases[at:min(at+askedAtOnce, len(k.Phrases))] {
			phrases = append(phrases, e.Text)
		}
		known, err := b.Demand.Phrases(ctx, phrases, from)
		if err != nil {
			return nil, err
		}
		rows = append(rows, rowsOf(known)...)
	}
	return rows, nil
}

func rowsOf(known []source.Demanded) (rows []table.Row) {
	for _, d := range known {
		if d.Phrase != "" {
			rows = append(rows, table.Row{Phrase: d.Phrase, Volume: d.Volume, Difficulty: d.Difficulty,
				Position: d.Position, Address: d.Address, Area: d.Area, Visits: d.Visits})
		}
	}
	return rows
}

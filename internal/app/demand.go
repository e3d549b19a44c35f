package app

import (
	"context"

	"inktally/core/place"
	"inktally/core/table"
	"inktally/internal/store"
)

// Demanded is what a source knows of a phrase; what it does not know is nil.
type Demanded struct {
	Phrase     string `json:"phrase"`
	Volume     *int   `json:"volume"`
	Difficulty *int   `json:"difficulty"`
	Position   *int   `json:"position"`
	Address    string `json:"address,omitempty"`
}

// Demander answers how often phrases are searched for, by
// docs/contracts/demand.md. Its errors are sentences.
type Demander interface {
	Phrases(ctx context.Context, phrases []string, place string) ([]Demanded, error)
	Found(ctx context.Context, site string) ([]Demanded, error)
}

// askedAtOnce is how many phrases a source is asked for at once.
const askedAtOnce = 1000

// AskDemand asks the source for the searches of all phrases of a client's book,
// and for what its site and its rivals' are found for. It is taken like a list,
// and undone as one.
func (a *App) AskDemand(ctx context.Context, client int64) (*Report, error) {
	if a.demand == nil {
		return nil, Invalid{"no source of search volumes is set up: give one with --demand-url, or bring a list"}
	}
	var l loaded
	var sites []FoundSite
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if l, err = loadBook(tx, client); err != nil {
			return err
		}
		sites, err = l.sites(tx)
		return err
	})
	if err != nil {
		return nil, err
	}
	known, err := a.askPhrases(ctx, &l)
	if err != nil {
		return nil, err
	}
	lists := []listOfSite{{rows: known}}
	for _, s := range sites {
		found, err := a.demand.Found(ctx, s.Site)
		if err != nil {
			return nil, invalid(err)
		}
		lists = append(lists, listOfSite{s.Site, rowsOf(found)})
	}
	report := &Report{Refused: []table.Refused{}}
	return report, a.put(ctx, client, "demand", lists, report)
}

// askPhrases asks for the searches of the phrases of a book.
func (a *App) askPhrases(ctx context.Context, l *loaded) (rows []table.Row, err error) {
	home, _ := place.Home(l.Places)
	from := home.Name
	if home.State != "" {
		from += ", " + home.State
	}
	for at := 0; at < len(l.entries); at += askedAtOnce {
		var phrases []string
		for _, e := range l.entries[at:min(at+askedAtOnce, len(l.entries))] {
			phrases = append(phrases, e.Text)
		}
		known, err := a.demand.Phrases(ctx, phrases, from)
		if err != nil {
			return nil, invalid(err)
		}
		rows = append(rows, rowsOf(known)...)
	}
	return rows, nil
}

func rowsOf(known []Demanded) (rows []table.Row) {
	for _, d := range known {
		if d.Phrase != "" {
			rows = append(rows, table.Row{Phrase: d.Phrase, Volume: d.Volume, Difficulty: d.Difficulty, Position: d.Position, Address: d.Address})
		}
	}
	return rows
}

package source

import (
	"context"
	"net/http"
	"net/url"
	"time"
)

// FigureTable is a table of figures as a source has it of a site, with the source's own headings.
type FigureTable struct {
	Name string `json:"name"`
	// Source is who says so, On is the day, as 2026-11-30.
	Source string `json:"source"`
	On     string `json:"on"`
	// Rows are the cells, the headings first.
	Rows [][]string `json:"rows"`
}

// FigureTables is the answer of a source of figures.
type FigureTables struct {
	Tables []FigureTable `json:"tables"`
}

// Figures asks a source of links, listings and map profiles; docs/contracts/standing.md.
type Figures struct {
	// URL is the address of the source; the question is below it.
	URL string
}

// figuresTime bounds how long a source may take.
const figuresTime = 60 * time.Second

// Tables returns what the source knows of a site, by its host, empty for none, and the name of the business; nothing if
// it does not know either.
func (f Figures) Tables(ctx context.Context, site, name string) ([]FigureTable, error) {
	ctx, cancel := context.WithTimeout(ctx, figuresTime)
	defer cancel()
	query := url.Values{"site": {site}, "name": {name}}
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, f.URL+"/tables?"+query.Encode(), nil)
	if err != nil {
		return nil, SourceBadAddress.New("figure").Because(err)
	}
	var answer FigureTables
	_, err = answered(req, "figure", &answer)
	return answer.Tables, err
}

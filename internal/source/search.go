// Package source asks outside sources by the small HTTP contracts that are
// written down in docs/contracts. A stand-in ships with the program; a bridge
// to a real source serves the same contract.
package source

import (
	"context"
	"net/http"
	"net/url"
	"time"

	"inktally/core/lineup"
)

// maxAnswer bounds what a source may answer.
const maxAnswer = 4 << 20

// SearchResult is what a search source answers; docs/contracts/search.md.
type SearchResult struct {
	Phrase   string `json:"phrase"`
	Place    string `json:"place"`
	Device   string `json:"device"`
	LookedAt int    `json:"looked_at"`
	// MapLookedAt is how many entries of the map were looked at, 0 if that is not told.
	MapLookedAt int           `json:"map_looked_at,omitempty"`
	Ads         string        `json:"ads"`
	Entries     []SearchEntry `json:"entries"`
}

// SearchEntry is one entry of a search result.
type SearchEntry struct {
	Part      lineup.Part `json:"part"`
	Position  int         `json:"position"`
	Sponsored bool        `json:"sponsored,omitempty"`
	Name      string      `json:"name"`
	URL       string      `json:"url,omitempty"`
	Rating    *float64    `json:"rating,omitempty"`
	Reviews   *int        `json:"reviews,omitempty"`
	Phone     string      `json:"phone,omitempty"`
	// Years is for how long the business says that it is in trade, 0 for nothing.
	Years int `json:"years,omitempty"`
}

// Search asks a search source; docs/contracts/search.md.
type Search struct {
	// URL is the address of the source; q and from are added to it.
	URL string
}

// Search returns what is found for a phrase by somebody searching from a
// place. The errors are faults.
func (s Search) Search(ctx context.Context, phrase, from string) (SearchResult, error) {
	var result SearchResult
	ctx, cancel := context.WithTimeout(ctx, 20*time.Second)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, http.MethodGet,
		s.URL+"?"+url.Values{"q": {phrase}, "from": {from}}.Encode(), nil)
	if err != nil {
		return result, SourceBadAddress.New("search").Because(err)
	}
	found, err := answered(req, "search", &result)
	if err == nil && !found {
		err = SearchUnknown.New(phrase)
	}
	return result, err
}

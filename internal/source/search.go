// Package source asks outside sources by the small HTTP contracts that are
// written down in docs/contracts. A stand-in ships with the program; a bridge
// to a real source serves the same contract.
package source

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"net/url"
	"time"

	"inktally/internal/app"
)

// maxAnswer bounds what a source may answer.
const maxAnswer = 4 << 20

// Search asks a search source; docs/contracts/search.md.
type Search struct {
	// URL is the address of the source; q and from are added to it.
	URL string
}

// Search returns what is found for a phrase by somebody searching from a
// place. The errors are sentences for the user.
func (s Search) Search(ctx context.Context, phrase, from string) (app.SearchResult, error) {
	var result app.SearchResult
	ctx, cancel := context.WithTimeout(ctx, 20*time.Second)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, s.URL+"?"+url.Values{"q": {phrase}, "from": {from}}.Encode(), nil)
	if err != nil {
		return result, errors.New("the address of the search source is not usable")
	}
	found, err := answered(req, "search", &result)
	if err == nil && !found {
		err = fmt.Errorf("the search source knows no result for “%s”; paste the rivals' addresses instead", phrase)
	}
	return result, err
}

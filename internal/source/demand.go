package source

import (
	"bytes"
	"context"
	"encoding/json"
	"net/http"
	"net/url"
	"time"
)

// Demanded is what a source knows of a phrase; what it does not know is nil.
type Demanded struct {
	Phrase     string `json:"phrase"`
	Volume     *int   `json:"volume"`
	Difficulty *int   `json:"difficulty"`
	Position   *int   `json:"position"`
	Address    string `json:"address,omitempty"`
	// Visits are those that the source itself says the phrase brings the site a month.
	Visits *float64 `json:"visits,omitempty"`
	// Area is where the volume was counted: town, state or country, or its name.
	Area string `json:"area,omitempty"`
}

// Demand asks a source of search volumes; docs/contracts/demand.md.
type Demand struct {
	// URL is the address of the source; the two questions are below it.
	URL string
}

type demandAnswer struct {
	Phrases []Demanded `json:"phrases"`
}

// Phrases returns what is known of how often phrases are searched for.
func (d Demand) Phrases(ctx context.Context, phrases []string, place string) ([]Demanded, error) {
	body, err := json.Marshal(map[string]any{"place": place, "phrases": phrases})
	if err != nil {
		return nil, err
	}
	return d.ask(ctx, http.MethodPost, "/phrases", body)
}

// Found returns what a site is found for; nothing if the source does not
// know the site.
func (d Demand) Found(ctx context.Context, site string) ([]Demanded, error) {
	return d.ask(ctx, http.MethodGet, "/found?"+url.Values{"site": {site}}.Encode(), nil)
}

func (d Demand) ask(ctx context.Context, method, path string, body []byte) ([]Demanded, error) {
	ctx, cancel := context.WithTimeout(ctx, 20*time.Second)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, method, d.URL+path, bytes.NewReader(body))
	if err != nil {
		return nil, SourceBadAddress.New("search volume").Because(err)
	}
	req.Header.Set("Content-Type", "application/json")
	var answer demandAnswer
	_, err = answered(req, "search volume", &answer)
	return answer.Phrases, err
}

package view

import "time"

// SiteFigures are the figures of a site that come from elsewhere.
type SiteFigures struct {
	Domain     string       `json:"domain"`
	Name       string       `json:"name"`
	Own        bool         `json:"own" doc:"The client's site"`
	Chain      bool         `json:"chain" doc:"A chain's: its figures are those of the whole country"`
	MapRating  *float64     `json:"map_rating" doc:"As the recorded search shows it, null if it does not"`
	MapReviews *int         `json:"map_reviews"`
	Figures    []SiteFigure `json:"figures"`
}

// SiteFigure is a figure with its source and day.
type SiteFigure struct {
	Figure  FigureCode `json:"figure"`
	Value   float64    `json:"value"`
	Scale   string     `json:"scale" doc:"What a source's own figure is measured in, such as 0 to 100"`
	Source  string     `json:"source"`
	TakenOn time.Time  `json:"taken_on"`
}

// FigureDraft is a figure as a person types it.
type FigureDraft struct {
	Figure  FigureCode `json:"figure"`
	Value   *float64   `json:"value" minimum:"0" maximum:"1000000000000" doc:"Null forgets it"`
	Scale   string     `json:"scale" required:"false" maxLength:"60"`
	Source  string     `json:"source" required:"false" maxLength:"200"`
	TakenOn string     `json:"taken_on" required:"false" maxLength:"10" doc:"A day, such as 2026-11-26; empty is today"`
}

// FigureWas is the value that a figure of a site had.
type FigureWas struct {
	Value *float64 `json:"value" doc:"Null where it had none"`
}

// FiguresPasted is what became of a pasted table.
type FiguresPasted struct {
	Kept    int           `json:"kept" doc:"How many figures were kept"`
	Unknown []string      `json:"unknown" doc:"Rows of sites that are neither the client's nor a rival's"`
	Sites   []SiteFigures `json:"sites"`
}

package view

// Rung is one rival of the ladder: who leads on which front, and what passes it.
type Rung struct {
	Name    string       `json:"name"`
	Steps   []RungStep   `json:"steps" doc:"Front by front, those of content first"`
	Targets []RungTarget `json:"targets" doc:"The cheapest after which the client's page leads on every front of content"`
	Minutes float64      `json:"minutes" doc:"Of these targets"`
	Short   []string     `json:"short" doc:"Fronts of content on which all targets together do not lead"`
	Left    []string     `json:"left" doc:"Fronts on which the rival leads and that no page can change"`
}

// RungStep is one front.
type RungStep struct {
	Front   LadderFront  `json:"front"`
	Name    string       `json:"name"`
	Own     *float64     `json:"own" doc:"Null if it is not known"`
	Theirs  *float64     `json:"theirs" doc:"Null if it is not known"`
	Leader  LadderLeader `json:"leader"`
	Content bool         `json:"content" doc:"Work on pages can lead on it"`
}

// RungTarget is a target of a rung.
type RungTarget struct {
	ID      string  `json:"id"`
	Page    string  `json:"page"`
	Says    string  `json:"says"`
	Minutes float64 `json:"minutes"`
}

package told

import "inktally/internal/view"

// Ladder is rival by rival who leads, why, and what passes it (rules 12.6, 14.3).
type Ladder struct {
	Page  string `json:"page" doc:"The key of the client's page that stands beside the rivals'"`
	Rungs []Rung `json:"rungs" doc:"In the order of the lineup"`
	// Enough is empty where some rival has the words of the guideline.
	Enough string `json:"enough" doc:"That no rival's page has the words of the guideline, in a sentence; empty where one has"`
}

// Rung is one rival of the ladder: who leads on which front, and what passes it.
type Rung struct {
	Name    string       `json:"name"`
	Entry   int64        `json:"entry" doc:"Its entry in the lineup"`
	Steps   []RungStep   `json:"steps" doc:"Front by front, those of content first"`
	Targets []RungTarget `json:"targets" doc:"The cheapest after which the client's page leads on every front of content"`
	Minutes float64      `json:"minutes" doc:"Of these targets"`
	Short   []string     `json:"short" doc:"Fronts of content on which all targets together do not lead"`
	Left    []string     `json:"left" doc:"Fronts on which the rival leads and that no page can change"`
	Reason  *Reason      `json:"reason" doc:"Why it leads; null where it does not stand above the client"`
}

// Reason is why a rival leads, as far as what was measured tells (rule 14.3).
type Reason struct {
	Says    string             `json:"says" doc:"In a sentence or two"`
	Fronts  []view.LadderFront `json:"fronts" doc:"Those that explain it, the one in which it is furthest ahead first"`
	Fewer   bool               `json:"fewer" doc:"Whether its page has fewer words than the client's"`
	Unknown []string           `json:"unknown" doc:"Fronts of which a figure is not known"`
	Narrow  []RungTarget       `json:"narrow" doc:"Up to three targets of the first of the fronts, those of least time first"`
}

// RungStep is one front.
type RungStep struct {
	Front   view.LadderFront  `json:"front"`
	Name    string            `json:"name"`
	Own     *float64          `json:"own" doc:"Null if it is not known"`
	Theirs  *float64          `json:"theirs" doc:"Null if it is not known"`
	Leader  view.LadderLeader `json:"leader"`
	Content bool              `json:"content" doc:"Work on pages can lead on it"`
}

// RungTarget is a target of a rung.
type RungTarget struct {
	ID      string  `json:"id"`
	Page    string  `json:"page"`
	Name    string  `json:"name" doc:"What the page is called"`
	Says    string  `json:"says"`
	Minutes float64 `json:"minutes"`
}

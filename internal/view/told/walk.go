package told

import (
	"inktally/core/handoff"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

// StepKind names a step of the walk-through.
type StepKind handoff.StepKind

// Schema lists all of them.
func (StepKind) Schema(huma.Registry) *huma.Schema {
	return view.Enum(append(handoff.StepKinds(), handoff.OwnStep))
}

// ProofCode is the view in which a figure is proved.
type ProofCode handoff.Proof

// Schema lists all of them.
func (ProofCode) Schema(huma.Registry) *huma.Schema { return view.Enum(handoff.Proofs()) }

// Walk is the walk-through of a client: what an owner is told, step by step (rules 16.1 to 16.3).
type Walk struct {
	Client  string  `json:"client"`
	Page    int64   `json:"page" doc:"The client's page that it is about, 0 for none"`
	Minutes float64 `json:"minutes" doc:"That it takes to say, at 130 words a minute"`
	Message string  `json:"message" doc:"A message to the owner, of at most 150 words"`
	Steps   []Step  `json:"steps" doc:"In the order of telling; those that have nothing to tell are left out"`
	// Left are those that its user leaves out.
	Left  []LeftStep `json:"left" doc:"Steps that are left out, to be brought back"`
	Order []string   `json:"order" doc:"The keys of all steps in the order of telling, of those left out too"`
}

// LeftStep is a step that is left out.
type LeftStep struct {
	Key  string `json:"key"`
	Head string `json:"head"`
}

// StepSaid is what is said to a step instead of what is made.
type StepSaid struct {
	Dropped bool     `json:"dropped" doc:"It is left out"`
	Head    *string  `json:"head,omitempty" maxLength:"2000" doc:"Empty as it is made; left out it stays"`
	Points  []string `json:"points,omitempty" maxItems:"100" doc:"Empty as they are made; left out they stay"`
}

// Step is a step of the walk-through.
type Step struct {
	Key     string       `json:"key" doc:"Its kind, or what names one that was added"`
	Kind    StepKind     `json:"kind"`
	Edited  bool         `json:"edited" doc:"Its words were changed by hand"`
	Picture string       `json:"picture" doc:"The address of the picture of one that was added, empty for none"`
	Head    string       `json:"head" doc:"What stands on the screen in large type"`
	Points  []string     `json:"points" doc:"What is said to it, sentence by sentence"`
	Minutes float64      `json:"minutes" doc:"That it takes to say"`
	Figures []StepFigure `json:"figures" doc:"Three at most"`
	// What is shown: one of these, by the kind.
	Rows   []StepRow     `json:"rows" doc:"Firms beside one another, the client first"`
	Stills []Still       `json:"stills" doc:"Kept pages: the client's, and a rival's"`
	Names  []Renamed     `json:"names" doc:"File names and the better ones"`
	Lines  []string      `json:"lines" doc:"What is to be done or made, in order"`
	Map    []SearchEntry `json:"map" doc:"The map of a search, from the top"`
	List   []SearchEntry `json:"list" doc:"The results of a search, from the top"`
	Phrase string        `json:"phrase" doc:"What was searched for, empty for none"`
}

// StepFigure is a figure of a step, with the view that proves it.
type StepFigure struct {
	Of     string    `json:"of" doc:"Its name"`
	Says   string    `json:"says" doc:"What it is of, as an owner would call it"`
	Value  float64   `json:"value"`
	Pencil bool      `json:"pencil" doc:"It is wanted, and not there yet"`
	Proof  ProofCode `json:"proof"`
	Column int       `json:"column" doc:"Its column on the sheet: 0 for the client, then the rivals"`
}

// StepRow is a firm with figures.
type StepRow struct {
	Name   string  `json:"name"`
	Note   string  `json:"note" doc:"Which of its pages, or where it stands"`
	Role   string  `json:"role" enum:"client,rival,target"`
	Value  float64 `json:"value"`
	Write  float64 `json:"write" doc:"What of it is still to be written"`
	Entry  int64   `json:"entry" doc:"Of the lineup, 0 for the client"`
	Theirs string  `json:"theirs" doc:"The rival's figure beside the client's, in words; empty for one figure"`
	Own    string  `json:"own" doc:"The client's beside it"`
}

// Still is a kept page as it is shown.
type Still struct {
	Name    string   `json:"name"`
	Reading int64    `json:"reading"`
	URL     string   `json:"url"`
	Found   int      `json:"found" doc:"How often find-in-page finds the phrase"`
	Slots   []string `json:"slots" doc:"Where the phrase stands, as an owner would call it"`
}

// Renamed is a file name and the better one.
type Renamed struct {
	Now    string `json:"now"`
	Better string `json:"better"`
}

// SearchEntry is an entry of a recorded search.
type SearchEntry struct {
	Position int            `json:"position"`
	Name     string         `json:"name"`
	Own      bool           `json:"own"`
	Kind     view.EntryKind `json:"kind"`
	Rival    bool           `json:"rival" doc:"Whether it is measured"`
}

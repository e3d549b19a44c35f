package view

import (
	"time"

	"inktally/core/lineup"
	"inktally/internal/wording"
)

// Lineup is the recorded search of a client.
type Lineup struct {
	Phrase     string     `json:"phrase" doc:"Empty if no search was recorded"`
	Place      string     `json:"place"`
	Device     string     `json:"device"`
	LookedAt   int        `json:"looked_at" doc:"How many organic entries were looked at"`
	Ads        string     `json:"ads"`
	RecordedAt *time.Time `json:"recorded_at"`
	Entries    []Entry    `json:"entries"`
	Searchable bool       `json:"searchable" doc:"Whether a search source is there"`
	Phrases    []string   `json:"phrases" doc:"The client's phrases, to search for"`
	Rivals     int        `json:"rivals" doc:"How many entries are rivals, each page once"`
}

// Entry is one result of a recorded search, or a page that was added by hand.
type Entry struct {
	ID        int64     `json:"id"`
	Part      EntryPart `json:"part"`
	Position  int       `json:"position"`
	Sponsored bool      `json:"sponsored"`
	Name      string    `json:"name"`
	URL       string    `json:"url"`
	Rating    *float64  `json:"rating"`
	Reviews   *int      `json:"reviews"`
	Kind      EntryKind `json:"kind"`
	Reason    EntryWhy  `json:"reason" doc:"The evidence for the kind, or why it is no rival"`
	Taken     bool      `json:"taken" doc:"Whether it is a rival"`
	Open      bool      `json:"open" doc:"A high position that no business holds"`
	Words     *int      `json:"words" doc:"Words seen of its last reading, null if it was not read"`
	Failure   *Failure  `json:"failure" doc:"Why its page could not be read, null if it was"`
}

// EntryWhy is a reason of an entry; its code is empty for none.
type EntryWhy struct {
	Code EntryReason `json:"code"`
	Says string      `json:"says"`
}

// EntryOf shows an entry.
func EntryOf(id int64, e lineup.Entry, rating *float64, reviews *int) Entry {
	return Entry{ID: id, Part: EntryPart(e.Part), Position: e.Position, Sponsored: e.Sponsored, URL: e.URL, Name: e.Name, Rating: rating,
		Reviews: reviews, Kind: EntryKind(e.Kind), Reason: EntryWhy{EntryReason(e.Reason.Code), wording.Entry(e.Reason)}, Taken: e.Taken,
		Open: lineup.Open(e)}
}

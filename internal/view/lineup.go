package view

import (
	"time"

	"inktally/core/lineup"
	"inktally/core/results"
	"inktally/internal/wording"
)

// Lineup is a recorded search of a client, with the others that were recorded.
type Lineup struct {
	ID          int64      `json:"id" doc:"0 if no search was recorded"`
	Phrase      string     `json:"phrase" doc:"Empty if no search was recorded"`
	Place       string     `json:"place"`
	Device      string     `json:"device"`
	LookedAt    int        `json:"looked_at" doc:"How many organic entries were looked at"`
	MapLookedAt int        `json:"map_looked_at" doc:"How many entries of the map were looked at"`
	Ads         string     `json:"ads"`
	RecordedAt  *time.Time `json:"recorded_at"`
	Entries     []Entry    `json:"entries"`
	Searchable  bool       `json:"searchable" doc:"Whether a search source is there"`
	Phrases     []string   `json:"phrases" doc:"The client's phrases, to search for"`
	Rivals      int        `json:"rivals" doc:"How many entries are rivals, each page once"`
	Recorded    []Recorded `json:"recorded" doc:"All recorded searches, the newest first"`
	Pages       []int64    `json:"pages" doc:"The client's pages that are judged against this search"`
	OwnName     bool       `json:"own_name" doc:"Whether the client's own name was searched for: entries are told by hit, and none is a rival"`
	// Waits is null for a search that is in use, or would change no page's rivals.
	Waits *LineupChange `json:"waits" doc:"What this search would change if it were used"`
}

// LineupChange is what a search would change of the rivals of a page.
type LineupChange struct {
	Page    int64 `json:"page"`
	Changed int   `json:"changed" doc:"How many of its rivals would go; 0 if the others stay the same"`
	Of      int   `json:"of"`
	Instead int64 `json:"instead" doc:"The search that the page is judged against now"`
}

// Recorded is a recorded search, and where the client stood in it.
type Recorded struct {
	ID          int64     `json:"id"`
	Phrase      string    `json:"phrase"`
	Place       string    `json:"place"`
	RecordedAt  time.Time `json:"recorded_at"`
	Map         int       `json:"map" doc:"0 if the client was not found in the map"`
	Organic     int       `json:"organic" doc:"0 if the client was not found"`
	LookedAt    int       `json:"looked_at"`
	MapLookedAt int       `json:"map_looked_at"`
	OwnName     bool      `json:"own_name" doc:"Whether the client's own name was searched for"`
}

// EntryDraft is an entry as a person types it.
type EntryDraft struct {
	Part      TypedPart `json:"part"`
	Position  int       `json:"position" minimum:"1" maximum:"1000"`
	Sponsored bool      `json:"sponsored" required:"false"`
	Name      string    `json:"name" required:"false" maxLength:"300" doc:"Empty takes the site's name"`
	URL       string    `json:"url" required:"false" maxLength:"2000"`
	Phone     string    `json:"phone" required:"false" maxLength:"60"`
	Years     int       `json:"years" required:"false" minimum:"0" maximum:"500"`
	Rating    *float64  `json:"rating" required:"false" minimum:"0" maximum:"5"`
	Reviews   *int      `json:"reviews" required:"false" minimum:"0"`
}

// SiteKind is what a person said that a site is, for all clients.
type SiteKind struct {
	Domain  string    `json:"domain"`
	Kind    EntryKind `json:"kind"`
	SaidFor string    `json:"said_for" doc:"The client for whom it was said"`
	SaidAt  time.Time `json:"said_at"`
}

// Entry is one result of a recorded search, or a page that was added by hand.
type Entry struct {
	ID        int64     `json:"id"`
	Part      EntryPart `json:"part"`
	Position  int       `json:"position"`
	Sponsored bool      `json:"sponsored"`
	Name      string    `json:"name"`
	URL       string    `json:"url"`
	Phone     string    `json:"phone"`
	Years     int       `json:"years" doc:"For how long it says that it is in trade, 0 for nothing"`
	Rating    *float64  `json:"rating"`
	Reviews   *int      `json:"reviews"`
	Kind      EntryKind `json:"kind"`
	Reason    EntryWhy  `json:"reason" doc:"The evidence for the kind, or why it is no rival"`
	Taken     bool      `json:"taken" doc:"Whether it is a rival"`
	PageRival bool      `json:"page_rival" doc:"Whether it stands beside the client: its words, phrases and images are compared"`
	MapRival  bool      `json:"map_rival" doc:"Whether its reviews, listings and profile are compared: a firm of the pack"`
	Offered   int64     `json:"offered" doc:"The rival whose page cannot be read and whose seat this one may take, 0 for none"`
	Open      bool      `json:"open" doc:"A high position that no business holds"`
	Words     *int      `json:"words" doc:"Words seen of its last reading, null if it was not read"`
	Hit       *EntryHit `json:"hit" doc:"What it is in a search for the client's own name, else null"`
	Failure   *Failure  `json:"failure" doc:"Why its page could not be read, null if it was"`
}

// EntryHit is what an entry of a search for the client's own name is (rule 13.3).
type EntryHit struct {
	Code HitCode `json:"code"`
	Says string  `json:"says"`
}

// EntryWhy is a reason of an entry; its code is empty for none.
type EntryWhy struct {
	Code EntryReason `json:"code"`
	Says string      `json:"says"`
}

// EntryOf shows an entry.
func EntryOf(id int64, e lineup.Entry, rating *float64, reviews *int) Entry {
	return Entry{ID: id, Part: EntryPart(e.Part), Position: e.Position, Sponsored: e.Sponsored, URL: e.URL,
		Name: e.Name, Phone: e.Phone, Years: e.Years, Rating: rating,
		Reviews: reviews, Kind: EntryKind(e.Kind),
		Reason: EntryWhy{EntryReason(e.Reason.Code), wording.Entry(e.Reason)}, Taken: e.Taken,
		Open: lineup.Open(e)}
}

// Results are what was read of a page of search results.
type Results struct {
	Language string        `json:"language" doc:"Its tag, empty if it is not clear"`
	Phrase   string        `json:"phrase" doc:"What was searched for, as the page's field has it; empty if it does not say"`
	Entries  []ResultEntry `json:"entries"`
	Unread   []string      `json:"unread" doc:"What looked like an entry and could not be read"`
}

// ResultEntry is an entry of a page of results. What the page does not say is null.
type ResultEntry struct {
	Part     ResultPart `json:"part"`
	Position *int       `json:"position" doc:"Inside its part, from 1; null for what is paid or sponsored"`
	Title    string     `json:"title"`
	URL      *string    `json:"url" doc:"The real target"`
	Domain   *string    `json:"domain"`
	Rating   *float64   `json:"rating"`
	Reviews  *int       `json:"reviews"`
	Phone    *string    `json:"phone"`
	Years    *int       `json:"years" doc:"For how long it says that it is in trade"`
}

// ResultsPreview is what was read of a page of search results, before it is kept.
type ResultsPreview struct {
	Results
	Heading []string      `json:"heading" doc:"The first row of a table; empty for what is none"`
	Columns []ResultField `json:"columns" doc:"What each column of a table was read as"`
	// Continues is about a search for the same phrase.
	Continues bool `json:"continues" doc:"Whether it looks like a later page of the search it was shown beside, or a longer list of its map"`
}

// ResultsPreviewOf shows a page of results with the columns of its table.
func ResultsPreviewOf(p results.Results) *ResultsPreview {
	out := &ResultsPreview{Results: *ResultsOf(p), Heading: append([]string{}, p.Heading...), Columns: []ResultField{}}
	for _, c := range p.Columns {
		out.Columns = append(out.Columns, ResultField(c))
	}
	return out
}

// ResultsOf shows a page of results; its lists are never null.
func ResultsOf(p results.Results) *Results {
	out := &Results{Language: p.Language, Phrase: p.Phrase, Entries: []ResultEntry{},
		Unread: append([]string{}, p.Unread...)}
	for _, e := range p.Entries {
		out.Entries = append(out.Entries, ResultEntry{ResultPart(e.Part), OrNull(e.Position), e.Title, OrNull(e.URL),
			OrNull(e.Domain), e.Rating, e.Reviews, OrNull(e.Phone), e.Years})
	}
	return out
}

// OrNull is nil for what is not there.
func OrNull[T comparable](v T) *T {
	var none T
	if v == none {
		return nil
	}
	return &v
}

package view

// Overview is all pages of a client at a glance.
type Overview struct {
	Surveyed bool          `json:"surveyed" doc:"The client's site was surveyed"`
	Rows     []OverviewRow `json:"rows" doc:"Pages that there are, then those to make"`
	Rivals   []SiteSize    `json:"rivals" doc:"Sites of rivals that were surveyed, in the order of the lineup"`
}

// OverviewRow is one page; one to make has no id, unless it was planned.
type OverviewRow struct {
	PageInfo
	Title     string         `json:"title"`
	Target    *int           `json:"target" doc:"Words seen that it should have, null if no number is asked of it"`
	Gain      float64        `json:"gain" doc:"Estimated visits a month of its phrases"`
	Phrase    string         `json:"phrase" doc:"Its first phrase, empty for none"`
	Placement *Placement     `json:"placement" doc:"Where the family of its first phrase stands, null if it was not read"`
	Wanted    []SlotCode     `json:"wanted" doc:"Where it should stand exactly"`
	Images    int            `json:"images"`
	Carrying  int            `json:"carrying" doc:"Images whose names hold a phrase"`
	Strongest *StrongestPage `json:"strongest" doc:"The comparable page with the most words, null for none"`
	Have      int            `json:"have" doc:"Rivals that have a page like it"`
	Known     int            `json:"known" doc:"Rivals whose sites were surveyed"`
	Findings  []Finding      `json:"findings"`
}

// StrongestPage is the comparable page with the most words.
type StrongestPage struct {
	EntryID int64  `json:"entry_id"`
	Name    string `json:"name"`
	URL     string `json:"url"`
	Words   int    `json:"words"`
}

// SiteSize is how large the site of a rival is.
type SiteSize struct {
	Name     string `json:"name"`
	Pages    int    `json:"pages"`
	Services int    `json:"services" doc:"Pages for services of the client"`
	Areas    int    `json:"areas" doc:"Pages for places of the client"`
}

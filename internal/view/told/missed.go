package told

// MissedOfAll is what clients miss, as far as it is worked out.
type MissedOfAll struct {
	Clients []MissedOf `json:"clients"`
	Rest    bool       `json:"rest" doc:"There are more: ask again"`
}

// MissedOf is what a client misses.
type MissedOf struct {
	Client int64    `json:"client"`
	Missed *float64 `json:"missed" doc:"Visits ready to hire a month that the best rivals get and the client does not: an estimate (rule 14.1). Null if it is not known"`
}

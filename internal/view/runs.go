package view

import "time"

// Run is a measuring run and how far it is.
type Run struct {
	ID       int64     `json:"id"`
	ClientID int64     `json:"client_id"`
	State    string    `json:"state" enum:"running,done,stopped,interrupted"`
	Started  time.Time `json:"started"`
	Done     int       `json:"done" doc:"Pages read"`
	Failed   int       `json:"failed"`
	Items    []RunItem `json:"items"`
	Failure  *Failure  `json:"failure" doc:"Why it broke off, null if that is not known"`
}

// RunItem is one page of a run, or one site that it surveys.
type RunItem struct {
	Kind    string   `json:"kind" enum:"page,site"`
	Name    string   `json:"name"`
	URL     string   `json:"url"`
	State   string   `json:"state" enum:"waiting,reading,done,failed"`
	Failure *Failure `json:"failure" doc:"Why it could not be read, null if it was"`
	Visited int      `json:"visited" doc:"Pages of a site that were read"`
	Known   int      `json:"known" doc:"Pages of a site that are known"`
}

// Filed is what became of a page that was found in the files of a user.
type Filed struct {
	File      string   `json:"file"`
	URL       string   `json:"url" doc:"The address that the file tells, empty for none"`
	Name      string   `json:"name" doc:"Whose page it became, empty for nobody's"`
	PageID    int64    `json:"page_id" doc:"The client's page that it became, 0 for a rival's or nobody's"`
	ReadingID int64    `json:"reading_id" doc:"The reading that it became, by which it can be removed"`
	Failure   *Failure `json:"failure" doc:"Why it became nobody's, null if it did not"`
}

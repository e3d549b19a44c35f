package view

// Backups are the copies of the data file that were made by themselves.
type Backups struct {
	File string   `json:"file" doc:"Where the data file is"`
	Days []Backup `json:"days" doc:"The newest first"`
}

// Backup is one of them.
type Backup struct {
	Day  string `json:"day" doc:"Such as 2026-11-26"`
	Size int64  `json:"size" doc:"Bytes"`
	File string `json:"file" doc:"Where it is"`
}

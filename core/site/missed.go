package site

// MissedReason names why a page of a site was not read.
type MissedReason string

// The reasons.
const (
	// Refused is a page that its site asks programs not to read.
	Refused MissedReason = "refused"
	// Failed is one that did not answer, or with a fault.
	Failed MissedReason = "failed"
	// LeftOut is one that is known and was not visited: the survey ended, or has its bound.
	LeftOut MissedReason = "left_out"
)

// MissedReasons returns all of them.
func MissedReasons() []MissedReason { return []MissedReason{Refused, Failed, LeftOut} }

// Missed is a page of a site that a survey knows of and could not read.
type Missed struct {
	URL    string
	Reason MissedReason
	// Status is what the site answered, 0 for nothing.
	Status int
}

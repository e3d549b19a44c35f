package view

import (
	"inktally/core/book"
	"inktally/core/entry"
	"inktally/core/fault"
	"inktally/core/finding"
	"inktally/core/grid"
	"inktally/core/imagename"
	"inktally/core/intent"
	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/listing"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/reading"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/standing"
	"inktally/core/table"
	"inktally/core/tie"
	"inktally/core/visits"
	"inktally/core/wordtarget"
	"inktally/core/yardstick"
	"inktally/internal/wording"

	"github.com/danielgtaylor/huma/v2"
)

// Codes are strings of a list that core holds: the API's description has the
// list, and so have the types of the front end.

// Enum describes a code by all that it can be.
func Enum[T ~string](list []T) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, c := range list {
		s.Enum = append(s.Enum, string(c))
	}
	s.PrecomputeMessages()
	return s
}

// with puts more values before a list: none, for what is not said.
func with[T ~string](list []T, more ...T) []T { return append(more, list...) }

type (
	// FaultCode names a failure.
	FaultCode fault.Code
	// PageKind is what a page is for; an empty one is to be told by the program.
	PageKind site.Kind
	// MissedReason names why a page of a site was not read.
	MissedReason site.MissedReason
	// OptionalKind is a page kind, empty if the address is to tell it.
	OptionalKind site.Kind
	// Source is where a reading came from, empty for a page that was not read.
	Source reading.Source
	// ReadMode is how a page of the web is read; empty is automatic.
	ReadMode reading.Mode
	// WarningCode names what is to be known of a reading.
	WarningCode page.Warning
	// FlawCode names what the owner of a page should hear.
	FlawCode finding.Type
	// VerdictCode is what an image file name is worth.
	VerdictCode imagename.Verdict
	// IntentCode is what somebody who types a phrase wants.
	IntentCode intent.Intent
	// IntentReason names why a phrase has its intent.
	IntentReason intent.ReasonCode
	// SearchArea is where the searches of a phrase were counted, empty if it is not known.
	SearchArea visits.Area
	// TieKind is why two words may mean the same.
	TieKind tie.Kind
	// ResultPart is a part of a page of results.
	ResultPart entry.Part
	// ResultField is what a column of a table of results holds, empty for nothing.
	ResultField grid.Field
	// EntryPart is a part of a search result.
	EntryPart lineup.Part
	// FigureCode is a figure of a site that comes from elsewhere.
	FigureCode standing.Figure
	// TypedPart is a part of a search result that a person may type an entry for.
	TypedPart lineup.Part
	// EntryKind is what a lineup entry is.
	EntryKind lineup.Kind
	// FindingType names what is wrong with a page or a site.
	FindingType finding.Type
	// HitCode names what an entry of a search for the client's own name is.
	HitCode listing.Hit
	// EntryReason names why an entry is what it is or no rival, empty for none.
	EntryReason lineup.ReasonCode
	// RefusalCode names why a row of a list was not imported.
	RefusalCode table.Refusal
	// ColumnRole is what a column of a list holds; empty is nothing.
	ColumnRole table.Role
	// FamilyState is what the user decided of a family; empty leaves it to the
	// rules.
	FamilyState book.State
	// TargetKind is what a target is about.
	TargetKind plan.Kind
	// PartKind is what a part of a target is about.
	PartKind plan.PartKind
	// LadderFront is what two firms are held against each other by.
	LadderFront ladder.Front
	// LadderLeader is who leads on a front.
	LadderLeader ladder.Leader
	// FrontCode is what targets are told by to an owner.
	FrontCode plan.Front
	// SectionKind is what a section of an outline is for.
	SectionKind outline.SectionKind
	// TargetState is where a target stands with its user.
	TargetState plan.State
	// WordRule is what decided a word target.
	WordRule wordtarget.Rule
	// GainUnit is what gains are in: visits a month, or shares of the page's gain
	// in percent if no searches are known.
	GainUnit wording.Unit
	// SlotCode is a place where a phrase can stand.
	SlotCode string
	// WordVerdict is what the user said of a word, empty for nothing.
	WordVerdict intent.Verdict
	// FigureUnit is what a figure of the yardstick is in.
	FigureUnit yardstick.Unit
)

func (FaultCode) Schema(huma.Registry) *huma.Schema    { return Enum(fault.Codes()) }
func (PageKind) Schema(huma.Registry) *huma.Schema     { return Enum(site.Kinds()) }
func (MissedReason) Schema(huma.Registry) *huma.Schema { return Enum(site.MissedReasons()) }
func (OptionalKind) Schema(huma.Registry) *huma.Schema { return Enum(with(site.Kinds(), "")) }
func (Source) Schema(huma.Registry) *huma.Schema       { return Enum(with(reading.Sources(), "")) }
func (ReadMode) Schema(huma.Registry) *huma.Schema     { return Enum(reading.Modes()) }
func (WarningCode) Schema(huma.Registry) *huma.Schema  { return Enum(page.Warnings()) }
func (FlawCode) Schema(huma.Registry) *huma.Schema     { return Enum(finding.TypesShown(finding.OnPage)) }
func (VerdictCode) Schema(huma.Registry) *huma.Schema  { return Enum(imagename.Verdicts()) }
func (IntentCode) Schema(huma.Registry) *huma.Schema   { return Enum(intent.Intents()) }
func (IntentReason) Schema(huma.Registry) *huma.Schema { return Enum(intent.ReasonCodes()) }
func (EntryPart) Schema(huma.Registry) *huma.Schema    { return Enum(lineup.Parts()) }
func (TypedPart) Schema(huma.Registry) *huma.Schema {
	return Enum([]lineup.Part{lineup.Paid, lineup.Map, lineup.Organic})
}
func (FigureCode) Schema(huma.Registry) *huma.Schema { return Enum(standing.Figures()) }
func (EntryKind) Schema(huma.Registry) *huma.Schema  { return Enum(lineup.Kinds()) }
func (HitCode) Schema(huma.Registry) *huma.Schema    { return Enum(listing.Hits()) }

// Schema lists all of them.
func (EntryReason) Schema(huma.Registry) *huma.Schema { return Enum(with(lineup.ReasonCodes(), "")) }
func (RefusalCode) Schema(huma.Registry) *huma.Schema { return Enum(table.Refusals()) }
func (ColumnRole) Schema(huma.Registry) *huma.Schema  { return Enum(table.Roles()) }
func (FamilyState) Schema(huma.Registry) *huma.Schema {
	return Enum([]book.State{"", book.Kept, book.Aside})
}
func (TargetKind) Schema(huma.Registry) *huma.Schema { return Enum(plan.Kinds()) }
func (PartKind) Schema(huma.Registry) *huma.Schema {
	var kinds []plan.PartKind
	for _, k := range plan.PartKinds() {
		kinds = append(kinds, k.Kind)
	}
	return Enum(kinds)
}
func (LadderFront) Schema(huma.Registry) *huma.Schema  { return Enum(ladder.Fronts()) }
func (LadderLeader) Schema(huma.Registry) *huma.Schema { return Enum(ladder.Leaders()) }
func (FrontCode) Schema(huma.Registry) *huma.Schema    { return Enum(plan.Fronts()) }
func (SectionKind) Schema(huma.Registry) *huma.Schema  { return Enum(outline.SectionKinds()) }
func (TargetState) Schema(huma.Registry) *huma.Schema  { return Enum(plan.States()) }
func (WordRule) Schema(huma.Registry) *huma.Schema     { return Enum(wordtarget.Deciding()) }
func (GainUnit) Schema(huma.Registry) *huma.Schema {
	return Enum([]wording.Unit{wording.Visits, wording.Share})
}
func (SlotCode) Schema(huma.Registry) *huma.Schema {
	var slots []string
	for _, s := range sheet.AllSlots() {
		slots = append(slots, s.String())
	}
	return Enum(slots)
}
func (WordVerdict) Schema(huma.Registry) *huma.Schema {
	return Enum(with(intent.Verdicts(), ""))
}
func (FigureUnit) Schema(huma.Registry) *huma.Schema  { return Enum(yardstick.Units()) }
func (ResultField) Schema(huma.Registry) *huma.Schema { return Enum(grid.Fields()) }
func (ResultPart) Schema(huma.Registry) *huma.Schema  { return Enum(entry.Parts()) }
func (FindingType) Schema(huma.Registry) *huma.Schema {
	return Enum(finding.TypesShown(finding.OnSite))
}
func (SearchArea) Schema(huma.Registry) *huma.Schema { return Enum(with(visits.Areas(), "")) }
func (TieKind) Schema(huma.Registry) *huma.Schema    { return Enum(tie.Kinds()) }

// Core returns the area as the rules have it.
func (a SearchArea) Core() visits.Area { return visits.Area(a) }

// Failure is why something failed.
type Failure struct {
	Code FaultCode `json:"code"`
	Says string    `json:"says" doc:"One or two sentences: what happened, and what to do"`
}

// FailureOf shows a fault, nil for none.
func FailureOf(f *fault.Fault) *Failure {
	if f == nil {
		return nil
	}
	return &Failure{FaultCode(f.Code), wording.Fault(f)}
}

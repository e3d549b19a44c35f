// Package stood has what the API shows of the standing: what comes from elsewhere, beside the rivals' (rule 13).
package stood

import (
	"time"

	"inktally/core/backlink"
	"inktally/core/brought"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/view"

	"github.com/danielgtaylor/huma/v2"
)

// Codes of core as the API has them.
type (
	// ScopeCode is what a figure is of.
	ScopeCode standing.Scope
	// StandingKind is a kind of target of the standing.
	StandingKind standing.Kind
	// PartState is what was said of a part of a target.
	PartState standing.State
	// VerdictCode is what is done about a domain.
	VerdictCode backlink.Verdict
	// SaidVerdict is what a user says of a domain; empty takes it back.
	SaidVerdict backlink.Verdict
	// AskKind is what a domain to ask is.
	AskKind backlink.Kind
	// AnchorCode is what a link is to be made of.
	AnchorCode backlink.Anchor
	// ListingField is a field of a listing.
	ListingField listing.Field
	// FieldVerdict is what a field of a listing is.
	FieldVerdict listing.Verdict
	// ProfileField is a fact of a map profile.
	ProfileField mapprofile.Field
	// ItemState is what a fact of a map profile is.
	ItemState mapprofile.State
	// TableKind is what a table has.
	TableKind brought.Kind
	// ColumnCode is what a column has.
	ColumnCode brought.Column
	// ColumnChoice is what a column has, empty for nothing that is read.
	ColumnChoice brought.Column
)

// Schema lists both.
func (ScopeCode) Schema(huma.Registry) *huma.Schema { return view.Enum(standing.Scopes()) }

// Schema lists all of them.
func (StandingKind) Schema(huma.Registry) *huma.Schema { return view.Enum(standing.Kinds()) }

// Schema lists all of them.
func (PartState) Schema(huma.Registry) *huma.Schema { return view.Enum(standing.States()) }

// Schema lists all of them.
func (VerdictCode) Schema(huma.Registry) *huma.Schema { return view.Enum(backlink.Verdicts()) }

// Schema lists all of them, and none.
func (SaidVerdict) Schema(huma.Registry) *huma.Schema { return view.Enum(append(backlink.Said(), "")) }

// Schema lists all of them.
func (AskKind) Schema(huma.Registry) *huma.Schema { return view.Enum(backlink.Kinds()) }

// Schema lists all of them, and none.
func (AnchorCode) Schema(huma.Registry) *huma.Schema {
	return view.Enum(append(backlink.Anchors(), ""))
}

// Schema lists all of them.
func (ListingField) Schema(huma.Registry) *huma.Schema { return view.Enum(listing.Fields()) }

// Schema lists all of them.
func (FieldVerdict) Schema(huma.Registry) *huma.Schema { return view.Enum(listing.Verdicts()) }

// Schema lists all of them.
func (ProfileField) Schema(huma.Registry) *huma.Schema { return view.Enum(mapprofile.Fields()) }

// Schema lists all of them.
func (ItemState) Schema(huma.Registry) *huma.Schema { return view.Enum(mapprofile.States()) }

// Schema lists all of them.
func (TableKind) Schema(huma.Registry) *huma.Schema { return view.Enum(brought.Kinds()) }

// Schema lists all of them.
func (ColumnCode) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	seen := map[brought.Column]bool{}
	for _, k := range brought.Kinds() {
		for _, c := range brought.Columns(k) {
			if !seen[c] {
				seen[c] = true
				s.Enum = append(s.Enum, string(c))
			}
		}
	}
	s.PrecomputeMessages()
	return s
}

// Standing is what comes from elsewhere of a client and its rivals.
type Standing struct {
	Sites []StandingSite `json:"sites" doc:"The client's first, then the rivals', chains last"`
	// Groups are listings, map profile and links, in this order.
	Groups []StandingGroup `json:"groups"`
	// Known reports whether anything was brought.
	Known bool `json:"known" doc:"Whether anything is known of any of them"`
	Asks  bool `json:"asks" doc:"Whether there is a source to ask for figures"`
	// Notes are what the totals come to in words.
	Notes   []string         `json:"notes" doc:"What the totals tell: carried by its whole site, reviews are not what is missing"`
	Targets []StandingTarget `json:"targets" doc:"A list of its own, in its order"`
	Hours   float64          `json:"hours" doc:"The standing's share of the hours that are given; 0 for no limit"`
	Minutes float64          `json:"minutes" doc:"What all open parts take"`
	Gain    float64          `json:"gain" doc:"Estimated visits a month from the map pack, beside those of the content and never added to them"`
	// Searches is how many recorded searches the gain is estimated by.
	Searches int `json:"searches" doc:"How many recorded searches with a map pack the gain is estimated by"`
	// NameSearch is the newest of them.
	NameSearch int64             `json:"name_search" doc:"The newest recorded search for the client's own name, 0 for none"`
	Sources    []ImportedFigures `json:"sources" doc:"What was imported, the newest first"`
}

// StandingSite is a site in a column.
type StandingSite struct {
	Domain  string `json:"domain" doc:"What figures are brought for; own for a client without a site"`
	Name    string `json:"name"`
	Own     bool   `json:"own"`
	Chain   bool   `json:"chain" doc:"Its figures are those of the whole country and count in no target"`
	Organic int    `json:"organic" doc:"Place in the main search, 0 for none"`
	Map     int    `json:"map" doc:"Place in the map pack, 0 for none"`
}

// StandingGroup is one of listings, map profile, links.
type StandingGroup struct {
	Key  string        `json:"key" enum:"listings,profile,links"`
	Name string        `json:"name"`
	Says string        `json:"says" doc:"What is to do, in a line; empty for nothing"`
	Rows []StandingRow `json:"rows"`
	// Opens reports whether there are rows below it.
	Opens bool `json:"opens" doc:"Whether there is more of it to open"`
}

// StandingRow is a figure of all sites.
type StandingRow struct {
	Key    string         `json:"key"`
	Name   string         `json:"name"`
	Target string         `json:"target" doc:"What is wanted, in a few words; empty for nothing"`
	Cells  []StandingCell `json:"cells" doc:"By site"`
	// Figure is set where a person can type it.
	Figure *FigureOf `json:"figure" doc:"The figure that the row is of, null where it is no single one"`
}

// FigureOf names a figure.
type FigureOf struct {
	Figure view.FigureCode `json:"figure"`
	Scope  ScopeCode       `json:"scope"`
	Name   string          `json:"name" maxLength:"80" doc:"A strength's own name by its source, else empty"`
}

// StandingCell is what a site has of a row.
type StandingCell struct {
	Text string `json:"text" doc:"Empty where it is not known"`
	// Value is the figure itself.
	Value  *float64       `json:"value" doc:"Null where it is not known or no single figure"`
	Source string         `json:"source" doc:"Who says so and when"`
	Former []FormerFigure `json:"former" doc:"What it was before, the newest first"`
}

// FormerFigure is what a figure was.
type FormerFigure struct {
	Value  float64   `json:"value"`
	Source string    `json:"source"`
	On     time.Time `json:"on"`
}

// StandingTarget is work of one kind.
type StandingTarget struct {
	Kind    StandingKind   `json:"kind"`
	Says    string         `json:"says" doc:"What it asks for"`
	More    string         `json:"more" doc:"How many are wanted beyond those that are known; empty for none"`
	Gain    float64        `json:"gain"`
	Minutes float64        `json:"minutes"`
	Fits    int            `json:"fits" doc:"How many of its parts fit the hours"`
	Parts   []StandingPart `json:"parts"`
	Total   int            `json:"total" doc:"How many parts there are; the first of them are shown"`
}

// StandingPart is one piece of a target.
type StandingPart struct {
	Key     string    `json:"key"`
	Says    string    `json:"says"`
	State   PartState `json:"state"`
	Gain    float64   `json:"gain"`
	Minutes float64   `json:"minutes"`
	Fits    bool      `json:"fits"`
}

// PartSaid is what is said of a part.
type PartSaid struct {
	Kind  StandingKind `json:"kind"`
	Key   string       `json:"key" maxLength:"300"`
	State PartState    `json:"state"`
}

// ImportedFigures is what was brought at once.
type ImportedFigures struct {
	ID     int64     `json:"id"`
	Name   string    `json:"name" doc:"The file's, or what else it was"`
	Source string    `json:"source"`
	On     time.Time `json:"on"`
}

// LinkDomains are domains that link, one verdict of them.
type LinkDomains struct {
	Total int          `json:"total"`
	List  []LinkDomain `json:"list" doc:"From where it was asked on"`
	// Counts are how many there are of each verdict.
	Counts []VerdictCount `json:"counts"`
}

// VerdictCount is how many domains have a verdict.
type VerdictCount struct {
	Verdict string `json:"verdict" enum:"get,listing,doubtful,leave,own"`
	Count   int    `json:"count"`
}

// LinkDomain is a domain that links to a rival or to the client.
type LinkDomain struct {
	Name    string      `json:"name"`
	Verdict VerdictCode `json:"verdict"`
	Why     string      `json:"why"`
	ByHand  bool        `json:"by_hand" doc:"The user said so, for all clients"`
	Kind    AskKind     `json:"kind"`
	KindIs  string      `json:"kind_is" doc:"The kind in words"`
	Page    string      `json:"page" doc:"The page that links, empty if the list has none"`
	Title   string      `json:"title"`
	Anchor  string      `json:"anchor" doc:"The text of the link"`
	Ask     string      `json:"ask" doc:"The text of the link that is wanted; empty for what is not asked"`
	Rivals  []string    `json:"rivals" doc:"The rivals that it links to"`
	Minutes float64     `json:"minutes"`
	State   PartState   `json:"state"`
	Seen    string      `json:"seen" doc:"What an import after it was done says of it; empty for nothing"`
}

// StandingListings are directories by business.
type StandingListings struct {
	Business ListedBusiness `json:"business"`
	Listed   []ListingEntry `json:"listed" doc:"Directories that list the client"`
	Missing  []ListingEntry `json:"missing" doc:"Those that list a rival and not the client, in the order to ask"`
}

// ListedBusiness is a business as it should stand in every listing.
type ListedBusiness struct {
	Name    string   `json:"name"`
	Address string   `json:"address" doc:"Empty if it is not known"`
	Hidden  bool     `json:"hidden" doc:"The address is not shown by choice"`
	Phones  []string `json:"phones"`
	Hours   string   `json:"hours"`
	Site    string   `json:"site"`
}

// ListingEntry is a directory.
type ListingEntry struct {
	Key      string         `json:"key"`
	Name     string         `json:"name"`
	Page     string         `json:"page" doc:"The client's listing, empty if it is not known"`
	Twice    bool           `json:"twice" doc:"The client stands there more than once"`
	Found    bool           `json:"found" doc:"A search for the client's own name shows it, no list has it: nothing is known of its fields"`
	Checks   []ListingCheck `json:"checks"`
	Rivals   []string       `json:"rivals" doc:"The local rivals that it lists"`
	Position int            `json:"position" doc:"The organic place from 1 to 5 that it holds, 0 for none"`
	Minutes  float64        `json:"minutes"`
	Gain     float64        `json:"gain"`
	State    PartState      `json:"state"`
}

// ListingCheck is a field of a listing.
type ListingCheck struct {
	Field   ListingField `json:"field"`
	Name    string       `json:"name"`
	Verdict FieldVerdict `json:"verdict"`
	Note    string       `json:"note" doc:"What is told of one that agrees; empty for nothing"`
	Own     string       `json:"own" doc:"What should stand there"`
	Theirs  string       `json:"theirs" doc:"What stands there"`
}

// MapProfile is the client's map profile.
type MapProfile struct {
	Items  []ProfileItem `json:"items"`
	Filled int           `json:"filled"`
	Known  int           `json:"known"`
}

// ProfileItem is a fact of a map profile.
type ProfileItem struct {
	Field  ProfileField `json:"field"`
	Name   string       `json:"name"`
	State  ItemState    `json:"state"`
	Theirs string       `json:"theirs" doc:"What stands there"`
	Wants  string       `json:"wants" doc:"What to do; empty for nothing"`
}

// Core returns the verdict as the rules have it.
func (v SaidVerdict) Core() backlink.Verdict { return backlink.Verdict(v) }

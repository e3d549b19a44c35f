package view

import (
	"time"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/table"
	"inktally/core/visits"
	"inktally/internal/wording"
)

// Book is a client's phrase book.
type Book struct {
	Families   []BookRow      `json:"families" doc:"Those worth writing for first, by gain"`
	Phrases    int            `json:"phrases" doc:"How many there are"`
	Sums       map[string]int `json:"sums" doc:"Families by intent"`
	Pages      []CarrierPage  `json:"pages" doc:"The pages that carry the families, in order of gain"`
	Firms      []WordCount    `json:"firms" doc:"Words of firms, by which families were set aside"`
	Imports    []ImportInfo   `json:"imports" doc:"The lists that were imported, the last first: that one can be undone"`
	Unfamiliar []UnknownWord  `json:"unfamiliar" doc:"Words that nothing is known of and that make families unsure, those that decide about the most gain first"`
	Likely     []Tie          `json:"likely" doc:"Words that may mean the same: ties that were made by themselves, and those that are proposed"`
	OtherShare float64        `json:"other_share" doc:"With this share of their volume the members beside the lead count"`
	AlsoShare  float64        `json:"also_share" doc:"With this share of their gain the families count that are folded under a row"`
	Ties       [][]string     `json:"ties" doc:"Words that are taken as one, each group's first word first"`
	Verdicts   []WordJudged   `json:"verdicts" doc:"What was said of words"`
	NoArea     int            `json:"no_area" doc:"Phrases with searches, of which it is not known where they were counted, and that name no place"`
	Changed    *BookChange    `json:"changed,omitempty" doc:"What the last verdict or tie changed"`
}

// UnknownWord is a word that waits for a verdict.
type UnknownWord struct {
	Word     string  `json:"word"`
	Families int     `json:"families" doc:"How many it makes unsure"`
	Gain     float64 `json:"gain" doc:"Visits a month that they would bring together, an estimate"`
	Searches float64 `json:"searches" doc:"Their searches a month"`
	Example  string  `json:"example" doc:"The lead of the one that brings most"`
}

// WordJudged is a word with what was said of it.
type WordJudged struct {
	Word    string      `json:"word"`
	Verdict WordVerdict `json:"verdict"`
}

// Tie is a word that is read, or may be read, as others.
type Tie struct {
	Kind     TieKind `json:"kind"`
	Word     string  `json:"word"`
	Means    string  `json:"means" doc:"The word that is meant, or the parts of a compound"`
	Made     bool    `json:"made" doc:"Whether it was made by itself; else it is proposed"`
	Searches int     `json:"searches" doc:"Of the phrases that hold the word"`
	Phrases  int     `json:"phrases" doc:"How many hold it"`
}

// BookChange is what a verdict or a tie changed.
type BookChange struct {
	Aside  []string `json:"aside" doc:"The leads of families that were set aside by it"`
	Kept   []string `json:"kept" doc:"The leads of families that came back by it"`
	Sure   int      `json:"sure" doc:"Families that are sure now"`
	Joined int      `json:"joined" doc:"Families that became one with another"`
}

// BookRow is a family with the page that carries it.
type BookRow struct {
	Key        string       `json:"key" doc:"The same from run to run"`
	Members    []BookPhrase `json:"members" doc:"The phrases, the lead first"`
	Intent     IntentCode   `json:"intent"`
	Why        IntentWhy    `json:"why" doc:"Why it has its intent"`
	Unfamiliar []string     `json:"unfamiliar" doc:"Words that stand in no list"`
	Service    string       `json:"service" doc:"The client's that it names, empty for none"`
	Place      string       `json:"place" doc:"The client's that it names, empty for none"`
	Near       bool         `json:"near" doc:"It asks for what is close to the searcher"`
	Estimate
	Difficulty *int         `json:"difficulty" doc:"0 to 100, null if it is not known"`
	Position   *int         `json:"position" doc:"The best of its members, null if it is not known"`
	NearMiss   bool         `json:"near_miss" doc:"Well within reach, and its page lacks the exact lead"`
	Choice     FamilyChoice `json:"choice"`
	Kept       bool         `json:"kept" doc:"Worth writing for: by rule, because it was typed, or as the user says"`
	Carrier    string       `json:"carrier" doc:"The page that carries it: home, a service or a place; empty if it is set aside"`
	PageID     int64        `json:"page_id" doc:"The client's page, 0 if it is to be made"`
	Misspelled bool         `json:"misspelled" doc:"Nothing but slips of spelling: no page carries it until a word is tied or it is put on one"`
	Conflict   []int64      `json:"conflict" doc:"Other pages that claim it too"`
	RowGain    float64      `json:"row_gain" doc:"Its gain with a share of those of the families folded under it"`
	Also       []string     `json:"also" doc:"The families that are folded under it, for they ask for the same with other words of hiring"`
	Under      string       `json:"under" doc:"The family that it is folded under, empty for none"`
	Uncounted  int          `json:"uncounted" doc:"Searches that count for nothing, for they are not those of the client's town"`
	Wanted     []string     `json:"wanted" doc:"The further phrases that must stand exactly on the page"`
}

// BookPhrase is a phrase of a book with what is known of its search.
type BookPhrase struct {
	ID         int64      `json:"id"`
	Text       string     `json:"text"`
	Volume     *int       `json:"volume" doc:"Searches a month"`
	Difficulty *int       `json:"difficulty" doc:"0 to 100"`
	Position   *int       `json:"position" doc:"Where the client stands"`
	With       string     `json:"with" doc:"The phrase with whose family the user put it, itself if it stands alone"`
	Typed      bool       `json:"typed" doc:"It was typed for a page"`
	Area       SearchArea `json:"area" doc:"Where its searches were counted, empty if it is not known"`
	Counts     bool       `json:"counts" doc:"Whether its searches count: it names a place, or they were counted in the town"`
}

// IntentWhy is the reason of an intent.
type IntentWhy struct {
	Code IntentReason `json:"code"`
	Says string       `json:"says"`
}

// Estimate is what a family brings; all of it is an estimate.
type Estimate struct {
	Volume  float64    `json:"volume" doc:"Searches a month: the lead's and a share of the others'"`
	Unknown bool       `json:"unknown" doc:"Whether the volume of some member is not known"`
	Now     float64    `json:"now" doc:"Visits a month now"`
	Aimed   int        `json:"aimed" doc:"The position to aim at"`
	Then    float64    `json:"then" doc:"Visits a month at that position"`
	Gain    float64    `json:"gain" doc:"Visits a month more; never less than 0"`
	Months  float64    `json:"months" doc:"How long it takes to get there"`
	Map     [3]float64 `json:"map" doc:"Visits a month of each place in the map pack; never added to the gain"`
	Worth   float64    `json:"worth" doc:"The gain in money a month, 0 if that is not known"`
}

// FamilyChoice is what the user said of a family.
type FamilyChoice struct {
	State  FamilyState `json:"state"`
	Reason string      `json:"reason" maxLength:"200" doc:"In the user's words"`
	Lead   string      `json:"lead" maxLength:"400" doc:"The member that is to lead, empty for the rule's"`
}

// Core returns the choice as the rules have it.
func (c FamilyChoice) Core() book.Choice {
	return book.Choice{State: book.State(c.State), Reason: c.Reason, Lead: c.Lead}
}

// BookChangeOf shows a change; its lists are never null.
func BookChangeOf(c book.Change) *BookChange {
	return &BookChange{Aside: append([]string{}, c.Aside...), Kept: append([]string{}, c.Kept...), Sure: c.Sure,
		Joined: c.Joined}
}

// BookRowOf shows a family of the book.
func BookRowOf(f *book.Family) BookRow {
	r := BookRow{Key: f.Key, Members: []BookPhrase{}, Intent: IntentCode(f.Intent),
		Why:        IntentWhy{IntentReason(f.Reason.Code), wording.Intent(f.Reason)},
		Unfamiliar: f.Unfamiliar, Service: f.Service, Place: f.Place, Near: f.Near, Estimate: EstimateOf(f.Estimate),
		Difficulty: f.Difficulty, Position: f.Position, NearMiss: f.NearMiss, Kept: f.Kept, Conflict: []int64{},
		RowGain: f.RowGain, Misspelled: f.Misspelled && f.Waits(), Also: append([]string{}, f.Also...),
		Under: f.Under, Uncounted: f.Uncounted,
		Wanted: []string{},
		Choice: FamilyChoice{FamilyState(f.Choice.State), f.Choice.Reason, f.Choice.Lead}}
	for _, m := range f.Members {
		r.Members = append(r.Members, BookPhrase{m.ID, m.Text, m.Volume, m.Difficulty, m.Position, m.With, m.Typed > 0,
			SearchArea(m.Area), m.Area.Counts(f.Place != "")})
	}
	if f.Kept {
		r.Carrier, r.PageID = CarrierName(f.Carrier), f.Carrier.Page()
		if len(f.Carrier.Pages) > 1 {
			r.Conflict = append(r.Conflict, f.Carrier.Pages[1:]...)
		}
	}
	return r
}

// CarrierName names a page by what it is for.
func CarrierName(c book.Carrier) string {
	if c.Name == "" {
		return string(c.Kind)
	}
	return c.Name
}

// EstimateOf shows an estimate.
func EstimateOf(e visits.Estimate) Estimate { return Estimate(e) }

// CarrierPage is a page with the families that it carries.
type CarrierPage struct {
	Kind     PageKind `json:"kind"`
	Carrier  string   `json:"carrier" doc:"home, a service or a place"`
	PageID   int64    `json:"page_id" doc:"0 if the page is to be made"`
	Families int      `json:"families" doc:"How many it carries"`
	Gain     float64  `json:"gain" doc:"Visits a month more, an estimate"`
	Conflict []int64  `json:"conflict" doc:"Other pages that claim the same families"`
}

// ImportInfo is a list that was imported.
type ImportInfo struct {
	ID      int64     `json:"id"`
	Name    string    `json:"name" doc:"The file, or where it came from"`
	TakenAt time.Time `json:"taken_at"`
	Added   int       `json:"added" doc:"Phrases that it added"`
	Joined  int       `json:"joined" doc:"Phrases whose figures it changed"`
	Sites   int       `json:"sites" doc:"Sites whose found-for lists it had"`
}

// WordCount is a word with how many phrases hold it.
type WordCount struct {
	Word    string `json:"word"`
	Phrases int    `json:"phrases" doc:"How many phrases hold it"`
}

// Layout is what the columns of a list hold.
type Layout struct {
	Heading bool         `json:"heading" doc:"The first row names the columns"`
	Roles   []ColumnRole `json:"roles"`
}

// LayoutOf shows a layout.
func LayoutOf(l table.Layout) Layout {
	out := Layout{Heading: l.Heading, Roles: []ColumnRole{}}
	for _, r := range l.Roles {
		out.Roles = append(out.Roles, ColumnRole(r))
	}
	return out
}

// Core returns the layout as the rules have it.
func (l Layout) Core() table.Layout {
	out := table.Layout{Heading: l.Heading}
	for _, r := range l.Roles {
		out.Roles = append(out.Roles, table.Role(r))
	}
	return out
}

// Preview is a list before it is imported: how it was understood.
type Preview struct {
	Rows   [][]string `json:"rows" doc:"The first rows"`
	Total  int        `json:"total" doc:"How many rows there are, the heading too"`
	Layout Layout     `json:"layout"`
	Sites  []string   `json:"sites" doc:"The domains of the sites that the list may be of"`
	Site   string     `json:"site" doc:"The site whose found-for list it seems to be, empty for a list for the book"`
}

// Report is what became of a list.
type Report struct {
	ImportID int64     `json:"import_id" doc:"By it the import is undone; 0 if nothing was imported"`
	Added    int       `json:"added"`
	Found    int       `json:"found" doc:"Phrases that sites are found for"`
	Joined   int       `json:"joined" doc:"Phrases that were there already and took the figures"`
	Refused  []Refused `json:"refused" doc:"The first that were not imported, with the reason"`
	RefusedN int       `json:"refused_total"`
}

// Refused is a row of a list that was not imported.
type Refused struct {
	Line int         `json:"line" doc:"The row in the list, from 1"`
	Text string      `json:"text"`
	Code RefusalCode `json:"code"`
	Says string      `json:"says" doc:"Why it was not imported"`
}

// RefusedOf shows refused rows, at most so many.
func RefusedOf(list []table.Refused, most int) []Refused {
	out := []Refused{}
	for _, r := range list[:min(len(list), most)] {
		out = append(out, Refused{r.Line, r.Text, RefusalCode(r.Reason), wording.Refusal(r.Reason)})
	}
	return out
}

// Lists are the words that intents are judged by. Entries may be of several
// words.
type Lists struct {
	Question  []string `json:"question" maxItems:"2000" doc:"Words that begin a question"`
	Research  []string `json:"research" maxItems:"2000" doc:"Words of somebody who wants to know, not to hire"`
	Trouble   []string `json:"trouble" maxItems:"2000" doc:"Words for what is wrong with a thing"`
	Hire      []string `json:"hire" maxItems:"2000" doc:"Words of somebody who is ready to hire"`
	Doers     []string `json:"doers" maxItems:"2000" doc:"Words for who does the work, and for work of any kind"`
	Near      []string `json:"near" maxItems:"2000" doc:"Words for what is close to the searcher"`
	Acts      []string `json:"acts" maxItems:"2000" doc:"What can be done with a thing, the words of one act parted by commas"`
	Goods     []string `json:"goods" maxItems:"2000" doc:"Words of goods, jobs, permits and courses"`
	Generic   []string `json:"generic" maxItems:"2000" doc:"Words that say nothing of what is offered"`
	Small     []string `json:"small" maxItems:"2000" doc:"Small words beside those of the language"`
	Elsewhere []string `json:"elsewhere" maxItems:"2000" doc:"Places that the client does not serve"`
	Endings   []string `json:"endings" maxItems:"2000" doc:"Endings of the names of firms"`
	Ordinary  []string `json:"ordinary" maxItems:"2000" doc:"Words that stand in names of firms and make no brand"`
}

// ListsOf shows lists; none of them is null.
func ListsOf(l intent.Lists) Lists {
	return Lists(l.Each(func(entries []string) []string { return append([]string{}, entries...) }))
}

// Core returns the lists as the rules have them.
func (l Lists) Core() intent.Lists { return intent.Lists(l) }

// ListsOfWords are a client's lists by which intents are judged.
type ListsOfWords struct {
	Lists
	Language string `json:"language"`
	Standard bool   `json:"standard" doc:"Whether they are those that the program comes with"`
}

// Figure is a figure of the yardstick.
type Figure struct {
	Key     string     `json:"key"`
	Says    string     `json:"says" doc:"What it means"`
	Group   string     `json:"group" doc:"The part of the yardstick that it stands in"`
	Unit    FigureUnit `json:"unit"`
	Rule    string     `json:"rule" doc:"The number of the rule that it is of (docs/rules.md)"`
	Least   float64    `json:"least"`
	Most    float64    `json:"most"`
	Choices []string   `json:"choices" doc:"Those of a figure that is no number"`
	// Language and Blanks are those of a text.
	Language string   `json:"language" doc:"The tag of the language that a text is in, empty for all that is none"`
	Blanks   []string `json:"blanks" doc:"What a text may have filled in, such as {phrase}: that it must have, where it may"`
	Value    string   `json:"value"`
	Default  string   `json:"default" doc:"What an empty change brings back: of a client the workspace's"`
}

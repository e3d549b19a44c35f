package view

import (
	"time"

	"inktally/core/outline"
)

// Outline is the sections that a page should have.
type Outline struct {
	Page      string           `json:"page" doc:"The key of the page"`
	Words     WordTarget       `json:"words"`
	First     string           `json:"first" doc:"The page's first phrase, empty for none"`
	Sections  []OutlineSection `json:"sections" doc:"In their order; none without a word target"`
	Questions []string         `json:"questions" doc:"What people ask about the page's subject"`
	Frames    []string         `json:"frames" doc:"Sentences that carry a phrase word for word, with {phrase} in its place"`
	Alone     bool             `json:"alone" doc:"Other sections do not make up for words that were set"`
	Edits     OutlineEdits     `json:"edits" doc:"What the user changed of it"`
}

// OutlineSection is one section of an outline.
type OutlineSection struct {
	Key      string          `json:"key" doc:"The same when the page is measured again"`
	Kind     SectionKind     `json:"kind"`
	Heading  string          `json:"heading"`
	There    bool            `json:"there" doc:"The heading is on the page"`
	Renamed  bool            `json:"renamed" doc:"The user worded the heading"`
	Holds    int             `json:"holds" doc:"Copy words that the page has of it"`
	Words    int             `json:"words" doc:"To write"`
	Fixed    bool            `json:"fixed" doc:"The user set the words"`
	Dropped  bool            `json:"dropped"`
	Added    bool            `json:"added" doc:"The user added it"`
	Families []SectionFamily `json:"families" doc:"That it carries, without the page's first"`
	Have     int             `json:"have" doc:"Rivals that have such a section; for topics of a service page"`
	Rivals   int             `json:"rivals"`
}

// SectionFamily is a family that a section carries.
type SectionFamily struct {
	Key       string     `json:"key"`
	Phrase    string     `json:"phrase"`
	Gain      float64    `json:"gain" doc:"An estimate"`
	Placement *Placement `json:"placement" doc:"Null if there is no page yet"`
	Slots     []SlotCode `json:"slots" doc:"Where it is wanted and missing"`
}

// OutlineEdits are what the user changed of an outline.
type OutlineEdits struct {
	Order    []string               `json:"order" maxItems:"200" doc:"The keys of sections, empty for the order of the rules"`
	Sections map[string]SectionEdit `json:"sections" doc:"By the keys of sections"`
	Alone    bool                   `json:"alone,omitempty" doc:"Other sections do not make up for words that were set"`
}

// SectionEdit is what the user changed of a section.
type SectionEdit struct {
	Heading string `json:"heading,omitempty" maxLength:"300" doc:"Empty for the rule's"`
	Words   *int   `json:"words,omitempty" minimum:"0" maximum:"20000" doc:"To write, null for the rule's"`
	Dropped bool   `json:"dropped,omitempty"`
	Added   bool   `json:"added,omitempty" doc:"A section of the user's own"`
}

// Core returns the edits as the rules have them.
func (e OutlineEdits) Core() outline.Edits {
	out := outline.Edits{Order: e.Order, Alone: e.Alone, Sections: map[string]outline.SectionEdit{}}
	for key, s := range e.Sections {
		out.Sections[key] = outline.SectionEdit(s)
	}
	return out
}

// OutlineEditsOf shows edits.
func OutlineEditsOf(e outline.Edits) OutlineEdits {
	out := OutlineEdits{Order: append([]string{}, e.Order...), Alone: e.Alone, Sections: map[string]SectionEdit{}}
	for key, s := range e.Sections {
		out.Sections[key] = SectionEdit(s)
	}
	return out
}

// ImageNames are the images of all pages with the names that they should have.
type ImageNames struct {
	Rows    []ImageRow `json:"rows" doc:"All of which something is asked; of the others the first where there are very many"`
	Staying int        `json:"staying" doc:"How many images there are of which nothing is asked"`
}

// Cut leaves out of what an answer tells the images beyond the first of which nothing is asked.
func (n ImageNames) Cut() ImageNames {
	out := ImageNames{Rows: []ImageRow{}}
	for _, r := range n.Rows {
		if r.NameKey == "" && r.AltKey == "" {
			if out.Staying++; out.Staying > mostStaying {
				continue
			}
		}
		out.Rows = append(out.Rows, r)
	}
	return out
}

// ImageRow is one image of a page.
type ImageRow struct {
	Page        string      `json:"page" doc:"The key of the page"`
	PageURL     string      `json:"page_url" doc:"Its address, or what it is for"`
	Now         string      `json:"now" doc:"Its file name, empty for an image that is to be added"`
	Wanted      string      `json:"wanted" doc:"The name that it should have, empty if it is well named"`
	Proposed    string      `json:"proposed" doc:"The name that is proposed, also where the user wrote another"`
	NameKey     string      `json:"name_key" doc:"The key of the part that asks for the name, empty for none"`
	Changed     bool        `json:"changed" doc:"The user wrote the name"`
	Dropped     bool        `json:"dropped" doc:"It keeps its name, as the user says"`
	Twice       bool        `json:"twice" doc:"Another file of the site would have the same name"`
	Verdict     VerdictCode `json:"verdict,omitempty"`
	VerdictSays string      `json:"verdict_says"`
	AltNow      string      `json:"alt_now"`
	AltWanted   string      `json:"alt_wanted" doc:"The alt text that it should have, empty for none"`
	AltKey      string      `json:"alt_key" doc:"The key of the part that asks for it, empty for none"`
	AltChanged  bool        `json:"alt_changed" doc:"The user wrote it"`
	Hidden      bool        `json:"hidden" doc:"It stands in a hidden part of the page"`
}

// Proof is a draft measured against the targets of its page.
type Proof struct {
	Page     string         `json:"page" doc:"The key of the page"`
	Format   string         `json:"format" enum:"text,markdown,html,docx" doc:"What the draft came as"`
	Copy     int            `json:"copy" doc:"Words of the draft, without menus and footers"`
	Wanted   int            `json:"wanted" doc:"Words of copy that the page needs"`
	Left     int            `json:"left" doc:"Words that are missing"`
	Hold     bool           `json:"hold" doc:"It has enough words"`
	Short    bool           `json:"short" doc:"Something is left to do"`
	Sections []ProofSection `json:"sections" doc:"Those of the outline"`
	Missing  []ProofLine    `json:"missing" doc:"What the draft does not say yet"`
	Met      []ProofLine    `json:"met" doc:"What it says"`
	Over     []ProofLine    `json:"over" doc:"What it says too often"`
	Wrong    []string       `json:"wrong" doc:"Wrong places, vague area words, left-over text"`
	Menu     bool           `json:"menu" doc:"It holds menus and links only"`
	Language string         `json:"language" doc:"The language of a draft that is not in the client's, empty if it is"`
}

// ProofSection is a section of the outline as a draft has it.
type ProofSection struct {
	Key     string `json:"key"`
	Heading string `json:"heading"`
	Words   int    `json:"words" doc:"In the draft"`
	Left    int    `json:"left" doc:"Still to write"`
}

// ProofLine is one thing that a draft says or does not say.
type ProofLine struct {
	Key    string `json:"key"`
	Name   string `json:"name" doc:"Where"`
	Says   string `json:"says" doc:"What is asked"`
	Phrase string `json:"phrase,omitempty"`
	Note   string `json:"note"`
}

// Draft is a draft that was kept as a version of its page.
type Draft struct {
	ID      int64     `json:"id" doc:"That of the reading that it was measured as"`
	Page    string    `json:"page" doc:"The key of the page"`
	Name    string    `json:"name" doc:"That of its file, empty for text"`
	Format  string    `json:"format" enum:"text,markdown,html,docx" doc:"What it came as"`
	Words   int       `json:"words" doc:"Words of the draft, without menus and footers"`
	TakenAt time.Time `json:"taken_at"`
	Text    string    `json:"text,omitempty" doc:"What was typed, where one draft is asked for; of a Word document its text as HTML"`
}

// DraftOf shows a draft.
func DraftOf(id int64, page, name, format string, words int, taken time.Time) Draft {
	return Draft{ID: id, Page: page, Name: name, Format: format, Words: words, TakenAt: taken}
}

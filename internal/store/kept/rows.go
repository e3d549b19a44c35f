package kept

import (
	"database/sql/driver"
	"encoding/json"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/outline"
	"inktally/core/reach"
	"inktally/core/site"
	"inktally/core/visits"
)

// phraseRow is a phrase of a book as an import keeps it.
type phraseRow struct {
	ID         int64  `json:"id"`
	Text       string `json:"text"`
	Volume     *int   `json:"volume"`
	Difficulty *int   `json:"difficulty"`
	Position   *int   `json:"position"`
	With       string `json:"with"`
	Area       string `json:"area,omitempty"`
}

// Phrases are the phrases of a book as an import keeps them.
type Phrases []book.Phrase

// Value returns the phrases as JSON.
func (p Phrases) Value() (driver.Value, error) {
	rows := make([]phraseRow, len(p))
	for i, x := range p {
		rows[i] = phraseRow{x.ID, x.Text, x.Volume, x.Difficulty, x.Position, x.With, string(x.Area)}
	}
	return write(rows)
}

// Scan reads phrases.
func (p *Phrases) Scan(column any) error {
	var rows []phraseRow
	err := read(column, &rows)
	*p = nil
	for _, r := range rows {
		*p = append(*p, book.Phrase{ID: r.ID, Text: r.Text, Volume: r.Volume, Difficulty: r.Difficulty,
			Position: r.Position, With: r.With,
			Area: visits.Area(r.Area)})
	}
	return err
}

// foundRow is a phrase that a site is found for.
type foundRow struct {
	Text       string   `json:"text"`
	Volume     *int     `json:"volume"`
	Difficulty *int     `json:"difficulty"`
	Position   int      `json:"position"`
	Map        int      `json:"map,omitempty"`
	Address    string   `json:"address,omitempty"`
	Visits     *float64 `json:"visits,omitempty"`
	Area       string   `json:"area,omitempty"`
}

// Found are the phrases that a site is found for.
type Found []reach.Phrase

// Value returns the phrases as JSON.
func (f Found) Value() (driver.Value, error) {
	rows := make([]foundRow, len(f))
	for i, x := range f {
		rows[i] = foundRow{x.Text, x.Volume, x.Difficulty, x.Position, x.Map, x.Address, x.Visits, string(x.Area)}
	}
	return write(rows)
}

// Scan reads phrases.
func (f *Found) Scan(column any) error {
	var rows []foundRow
	err := read(column, &rows)
	*f = nil
	for _, r := range rows {
		*f = append(*f, reach.Phrase{Text: r.Text, Volume: r.Volume, Difficulty: r.Difficulty, Position: r.Position,
			Map: r.Map, Address: r.Address, Visits: r.Visits, Area: visits.Area(r.Area)})
	}
	return err
}

// deadRow is a dead link of a site.
type deadRow struct {
	URL    string `json:"url"`
	From   string `json:"from"`
	Label  string `json:"label"`
	Status int    `json:"status"`
	Menu   bool   `json:"menu"`
	Soft   bool   `json:"soft,omitempty"`
}

// Dead are the dead links of a site.
type Dead []site.Dead

// Value returns the links as JSON.
func (d Dead) Value() (driver.Value, error) {
	rows := make([]deadRow, len(d))
	for i, x := range d {
		rows[i] = deadRow(x)
	}
	return write(rows)
}

// Scan reads links.
func (d *Dead) Scan(column any) error {
	var rows []deadRow
	err := read(column, &rows)
	*d = nil
	for _, r := range rows {
		*d = append(*d, site.Dead(r))
	}
	return err
}

// missedRow is a page of a site that was not read.
type missedRow struct {
	URL    string            `json:"url"`
	Reason site.MissedReason `json:"reason"`
	Status int               `json:"status,omitempty"`
}

// Missed are the pages of a site that were not read.
type Missed []site.Missed

// Value returns the pages as JSON.
func (m Missed) Value() (driver.Value, error) {
	rows := make([]missedRow, len(m))
	for i, x := range m {
		rows[i] = missedRow(x)
	}
	return write(rows)
}

// Scan reads pages.
func (m *Missed) Scan(column any) error {
	var rows []missedRow
	err := read(column, &rows)
	*m = nil
	for _, r := range rows {
		*m = append(*m, site.Missed(r))
	}
	return err
}

// faultRow is a fault.
type faultRow struct {
	Code   string            `json:"code"`
	Params map[string]string `json:"params,omitempty"`
	Inner  *faultRow         `json:"inner,omitempty"`
}

func faultRowOf(f *fault.Fault) *faultRow {
	if f == nil {
		return nil
	}
	return &faultRow{string(f.Code), f.Params, faultRowOf(f.Inner)}
}

func (r *faultRow) fault() *fault.Fault {
	if r == nil {
		return nil
	}
	return &fault.Fault{Code: fault.Code(r.Code), Params: r.Params, Inner: r.Inner.fault()}
}

// Fault is a fault in To, nil for none.
type Fault struct{ To **fault.Fault }

// FaultOf returns a fault to be kept.
func FaultOf(f *fault.Fault) Fault { return Fault{&f} }

// Value returns the fault as JSON, empty for none.
func (f Fault) Value() (driver.Value, error) {
	if *f.To == nil {
		return "", nil
	}
	return write(faultRowOf(*f.To))
}

// Scan reads a fault; nothing kept is none.
func (f Fault) Scan(column any) error {
	var row *faultRow
	err := read(column, &row)
	*f.To = row.fault()
	return err
}

// listsRow are a client's lists of words.
type listsRow struct {
	Question  []string `json:"question"`
	Research  []string `json:"research"`
	Trouble   []string `json:"trouble"`
	Hire      []string `json:"hire"`
	Doers     []string `json:"doers"`
	Near      []string `json:"near"`
	Acts      []string `json:"acts"`
	Goods     []string `json:"goods"`
	Generic   []string `json:"generic"`
	Small     []string `json:"small"`
	Elsewhere []string `json:"elsewhere"`
	Endings   []string `json:"endings"`
	Ordinary  []string `json:"ordinary"`
}

// Lists are a client's lists of words, nil for the standard ones.
type Lists struct{ *intent.Lists }

// Value returns the lists as JSON, empty for the standard ones.
func (l Lists) Value() (driver.Value, error) {
	if l.Lists == nil {
		return "", nil
	}
	return write(listsRow(*l.Lists))
}

// ReadLists reads the lists of a language. Those that a program kept before there were acts
// are those of the language where they are new.
func ReadLists(kept, lang string) (*intent.Lists, error) {
	if kept == "" {
		return nil, nil
	}
	var row listsRow
	if err := json.Unmarshal([]byte(kept), &row); err != nil {
		return nil, err
	}
	if row.Acts == nil {
		ships := intent.ListsFor(lang)
		row.Acts, row.Doers, row.Trouble = ships.Acts, ships.Doers, ships.Trouble
		row.Endings, row.Generic = ships.Endings, ships.Generic
	}
	lists := intent.Lists(row)
	return &lists, nil
}

// editsRow is outline.Edits as it is kept.
type editsRow struct {
	Order    []string              `json:"order,omitempty"`
	Sections map[string]sectionRow `json:"sections,omitempty"`
	Alone    bool                  `json:"alone,omitempty"`
}

type sectionRow struct {
	Heading string `json:"heading,omitempty"`
	Words   *int   `json:"words,omitempty"`
	Dropped bool   `json:"dropped,omitempty"`
	Added   bool   `json:"added,omitempty"`
}

// Edits are what the user changed of an outline.
type Edits outline.Edits

// Value returns the changes as JSON.
func (e Edits) Value() (driver.Value, error) {
	row := editsRow{Order: e.Order, Alone: e.Alone, Sections: map[string]sectionRow{}}
	for key, s := range e.Sections {
		row.Sections[key] = sectionRow(s)
	}
	return write(row)
}

// Scan reads changes.
func (e *Edits) Scan(column any) error {
	var row editsRow
	err := read(column, &row)
	*e = Edits{Order: row.Order, Alone: row.Alone, Sections: map[string]outline.SectionEdit{}}
	for key, s := range row.Sections {
		e.Sections[key] = outline.SectionEdit(s)
	}
	return err
}

package store

import (
	"encoding/json"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/visits"
)

// What is kept as JSON has row types of its own: their names stay as they are in
// files, whatever becomes of names elsewhere.

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

func phraseRows(phrases []book.Phrase) []phraseRow {
	rows := make([]phraseRow, len(phrases))
	for i, p := range phrases {
		rows[i] = phraseRow{p.ID, p.Text, p.Volume, p.Difficulty, p.Position, p.With, string(p.Area)}
	}
	return rows
}

func phrasesOf(rows []phraseRow) (phrases []book.Phrase) {
	for _, r := range rows {
		phrases = append(phrases, book.Phrase{ID: r.ID, Text: r.Text, Volume: r.Volume, Difficulty: r.Difficulty, Position: r.Position, With: r.With,
			Area: visits.Area(r.Area)})
	}
	return phrases
}

// foundRow is a phrase that a site is found for.
type foundRow struct {
	Text       string `json:"text"`
	Volume     *int   `json:"volume"`
	Difficulty *int   `json:"difficulty"`
	Position   int    `json:"position"`
	Address    string `json:"address,omitempty"`
}

func foundRows(found []book.FoundPhrase) []foundRow {
	rows := make([]foundRow, len(found))
	for i, f := range found {
		rows[i] = foundRow(f)
	}
	return rows
}

func foundOf(rows []foundRow) (found []book.FoundPhrase) {
	for _, r := range rows {
		found = append(found, book.FoundPhrase(r))
	}
	return found
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

// parseLists reads lists; nothing kept are the standard ones, nil. Lists that a
// program kept before there were acts are those of the language where they are new.
func parseLists(kept, lang string) (*intent.Lists, error) {
	if kept == "" {
		return nil, nil
	}
	var row listsRow
	if err := json.Unmarshal([]byte(kept), &row); err != nil {
		return nil, err
	}
	if row.Acts == nil {
		ships := intent.ListsFor(lang)
		row.Acts, row.Doers, row.Trouble, row.Endings, row.Generic = ships.Acts, ships.Doers, ships.Trouble, ships.Endings, ships.Generic
	}
	lists := intent.Lists(row)
	return &lists, nil
}

func writeLists(lists *intent.Lists) (string, error) {
	if lists == nil {
		return "", nil
	}
	return asJSON(listsRow(*lists))
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

// parseFault reads a fault; nothing kept is none, nil.
func parseFault(kept string) (*fault.Fault, error) {
	if kept == "" {
		return nil, nil
	}
	var row faultRow
	err := json.Unmarshal([]byte(kept), &row)
	return row.fault(), err
}

func writeFault(f *fault.Fault) (string, error) {
	if f == nil {
		return "", nil
	}
	return asJSON(faultRowOf(f))
}

func asJSON(v any) (string, error) {
	raw, err := json.Marshal(v)
	return string(raw), err
}

// deadRow is a dead link of a site.
type deadRow struct {
	URL    string `json:"url"`
	From   string `json:"from"`
	Label  string `json:"label"`
	Status int    `json:"status"`
	Menu   bool   `json:"menu"`
}

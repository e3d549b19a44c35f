package store

import (
	"time"

	"inktally/core/book"
	"inktally/core/visits"
	"inktally/internal/store/kept"
)

// Import is a list that was taken into a phrase book.
type Import struct {
	ID      int64
	Name    string
	TakenAt time.Time
	// Added are the ids of phrases that it added, Changed the phrases that it
	// changed, as they were before.
	Added   []int64
	Changed []book.Phrase
	// Found are the ids of the lists of what sites are found for.
	Found []int64
}

const entryFields = `id, text, volume, difficulty, position, stands_with, area`

func scanPhrase(r Scanner, e *book.Phrase) error {
	return r.Scan(&e.ID, &e.Text, &e.Volume, &e.Difficulty, &e.Position, &e.With, &e.Area)
}

// BookPhrases returns the phrases of a client's book in the order in which they
// came.
func (t *Tx) BookPhrases(client int64) ([]book.Phrase, error) {
	return All(t, scanPhrase, `SELECT `+entryFields+` FROM book_phrases WHERE client_id = ? ORDER BY id`, client)
}

// PutPhrase adds a phrase to a client's book or joins its figures to those of
// the same phrase. folded is what makes two phrases the same.
func (t *Tx) PutPhrase(client int64, folded string, e book.Phrase) (id int64, before *book.Phrase, err error) {
	had, err := All(t, scanPhrase, `SELECT `+entryFields+` FROM book_phrases WHERE client_id = ? AND folded = ?`,
		client, folded)
	if err != nil {
		return 0, nil, err
	}
	if len(had) == 0 {
		id, err = t.insert(of(client, FacetBook),
			`INSERT INTO book_phrases (client_id, text, folded, volume, difficulty, position, area)
				VALUES (?, ?, ?, ?, ?, ?, ?)`,
			client, e.Text, folded, e.Volume, e.Difficulty, e.Position, e.Area)
		return id, nil, err
	}
	before = &had[0]
	_, err = t.exec(of(client, FacetBook),
		`UPDATE book_phrases SET volume = COALESCE(?1, volume), difficulty = COALESCE(?2, difficulty),
			position = COALESCE(?3, position),
		area = CASE WHEN ?1 IS NULL OR ?4 = '' AND volume = ?1 THEN area ELSE ?4 END WHERE id = ?5`,
		e.Volume, e.Difficulty, e.Position, e.Area, before.ID)
	return before.ID, before, err
}

// RestorePhrase gives a phrase the figures that it had.
func (t *Tx) RestorePhrase(client int64, e book.Phrase) error {
	_, err := t.exec(of(client, FacetBook),
		`UPDATE book_phrases SET volume = ?, difficulty = ?, position = ?, area = ? WHERE client_id = ? AND id = ?`,
		e.Volume, e.Difficulty, e.Position, e.Area, client, e.ID)
	return err
}

// SetPhraseArea says where the searches of a phrase were counted.
func (t *Tx) SetPhraseArea(client, id int64, area visits.Area) error {
	return t.change(of(client, FacetBook), `UPDATE book_phrases SET area = ? WHERE client_id = ? AND id = ?`, area,
		client, id)
}

// SetPhraseWith puts a phrase in the family of another one, by the folded forms
// of both; an empty with leaves it to the rule.
func (t *Tx) SetPhraseWith(client int64, folded, with string) error {
	return t.change(of(client, FacetBook), `UPDATE book_phrases SET stands_with = ? WHERE client_id = ? AND folded = ?`,
		with, client, folded)
}

// DeletePhrase takes a phrase out of a client's book.
func (t *Tx) DeletePhrase(client, id int64) error {
	_, err := t.exec(of(client, FacetBook), `DELETE FROM book_phrases WHERE client_id = ? AND id = ?`, client, id)
	return err
}

// AddImport keeps what an import did and returns its id.
func (t *Tx) AddImport(client int64, i Import) (int64, error) {
	return t.insert(of(client, FacetFound),
		`INSERT INTO book_imports (client_id, name, taken_at, added, changed, found) VALUES (?, ?, ?, ?, ?, ?)`,
		client, i.Name, kept.Time(i.TakenAt), kept.List[int64](i.Added), kept.Phrases(i.Changed),
		kept.List[int64](i.Found))
}

const importFields = `id, name, taken_at, added, changed, found`

func scanImport(scan func(...any) error, i *Import) error {
	return scan(&i.ID, &i.Name, (*kept.Time)(&i.TakenAt), (*kept.List[int64])(&i.Added), (*kept.Phrases)(&i.Changed),
		(*kept.List[int64])(&i.Found))
}

// Import returns an import of a client.
func (t *Tx) Import(client, id int64) (i Import, err error) {
	err = scanImport(func(into ...any) error {
		return t.one(`SELECT `+importFields+` FROM book_imports WHERE client_id = ? AND id = ?`, []any{client, id},
			into...)
	}, &i)
	return i, err
}

// Imports returns the last imports of a client, the newest first.
func (t *Tx) Imports(client int64, most int) ([]Import, error) {
	return All(t, func(r Scanner, i *Import) error { return scanImport(r.Scan, i) },
		`SELECT `+importFields+` FROM book_imports WHERE client_id = ? ORDER BY id DESC LIMIT ?`, client, most)
}

// DeleteImport forgets an import.
func (t *Tx) DeleteImport(client, id int64) error {
	return t.change(of(client, FacetFound), `DELETE FROM book_imports WHERE client_id = ? AND id = ?`, client, id)
}

// BookChoices returns what the user said of families, by their key.
func (t *Tx) BookChoices(client int64) (map[string]book.Choice, error) {
	type row struct {
		key    string
		choice book.Choice
	}
	rows, err := All(t, func(r Scanner, v *row) error {
		return r.Scan(&v.key, &v.choice.State, &v.choice.Reason, &v.choice.Lead)
	},
		`SELECT family, state, reason, lead FROM book_choices WHERE client_id = ?`, client)
	out := make(map[string]book.Choice, len(rows))
	for _, r := range rows {
		out[r.key] = r.choice
	}
	return out, err
}

// SetBookChoice keeps what the user said of a family; nothing said is forgotten.
func (t *Tx) SetBookChoice(client int64, key string, c book.Choice) error {
	if c == (book.Choice{}) {
		_, err := t.exec(of(client, FacetBook), `DELETE FROM book_choices WHERE client_id = ? AND family = ?`, client,
			key)
		return err
	}
	_, err := t.exec(of(client, FacetBook),
		`INSERT OR REPLACE INTO book_choices (client_id, family, state, reason, lead) VALUES (?, ?, ?, ?, ?)`,
		client, key, c.State, c.Reason, c.Lead)
	return err
}

// BookWord is what the user said of a word.
type BookWord struct{ Word, Verdict, TiedTo string }

// BookWords returns what the user said of words.
func (t *Tx) BookWords(client int64) ([]BookWord, error) {
	return All(t, func(r Scanner, w *BookWord) error { return r.Scan(&w.Word, &w.Verdict, &w.TiedTo) },
		`SELECT word, verdict, tied_to FROM book_words WHERE client_id = ? ORDER BY word`, client)
}

// SetBookWord keeps what the user said of a word; nothing said is forgotten.
func (t *Tx) SetBookWord(client int64, w BookWord) error {
	if w.Verdict == "" && w.TiedTo == "" {
		_, err := t.exec(of(client, FacetBook), `DELETE FROM book_words WHERE client_id = ? AND word = ?`, client,
			w.Word)
		return err
	}
	_, err := t.exec(of(client, FacetBook),
		`INSERT OR REPLACE INTO book_words (client_id, word, verdict, tied_to) VALUES (?, ?, ?, ?)`, client, w.Word,
		w.Verdict, w.TiedTo)
	return err
}

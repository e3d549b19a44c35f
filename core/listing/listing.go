// Package listing holds what directories have of a business against what should stand there, and tells the directories
// that list rivals and not the client (rule 13.3).
//
// In go the business as it should stand and rows of directory by business; out come Checks and a Grid.
package listing

// Business is a business as it should stand everywhere.
type Business struct {
	Name string
	// Phones are its numbers, the one to show first.
	Phones []string
	// Address is its street address with town, state and postcode; Hidden reports whether it is not shown by choice.
	Address string
	Hidden  bool
	// Hours and Site are as they are written.
	Hours, Site string
	// Country is where it is, as two capitals, empty if that is not known.
	Country string
}

// Field is a field of a listing.
type Field string

// The fields, in the order in which they are shown.
const (
	Name    Field = "name"
	Address Field = "address"
	Phone   Field = "phone"
	Hours   Field = "hours"
	Site    Field = "site"
)

// Fields returns all of them.
func Fields() []Field { return []Field{Name, Address, Phone, Hours, Site} }

// Verdict is what a field of a listing is beside what should stand there.
type Verdict string

// The verdicts. NotAsked is that of a field of which it is not known what should stand there.
const (
	Agrees   Verdict = "agrees"
	Differs  Verdict = "differs"
	NotThere Verdict = "not_there"
	NotAsked Verdict = "not_asked"
)

// Verdicts returns all of them.
func Verdicts() []Verdict { return []Verdict{Agrees, Differs, NotThere, NotAsked} }

// Note is what is told of a field that agrees.
type Note string

// The notes.
const (
	NoNote      Note = ""
	UnitMissing Note = "unit_missing" // one of the two has no suite or unit
	LongZIP     Note = "long_zip"     // one of the two has four more digits
	Extension   Note = "extension"
	InnerPage   Note = "inner_page"
)

// Notes returns all of them.
func Notes() []Note { return []Note{NoNote, UnitMissing, LongZIP, Extension, InnerPage} }

// Check is a field of a listing held against what should stand there.
type Check struct {
	Field   Field
	Verdict Verdict
	Note    Note
	// Own is what should stand there, Theirs what does, both as they are written.
	Own, Theirs string
}

// Listed is whether a directory lists a business.
type Listed string

// The states of an entry.
const (
	IsListed Listed = "listed"
	IsNot    Listed = "not_listed"
)

// Entry is a row of a directory and a business.
type Entry struct {
	// Directory is the domain of the directory, or its name where that is not known.
	Directory string
	// Firm is the business as the row names it, empty for the one that the list is about.
	Firm   string
	Listed Listed
	// Page is the address of the listing.
	Page                        string
	Address, Phone, Hours, Site string
	// Found reports whether no list but a search for the business's own name has it: nothing is known of its fields.
	Found bool
}

// Checks holds an entry against the business, field by field. Fields that the list has no column for are no
// differences: has tells which it has, nil all. Of one that was found by a search no field is known.
func Checks(b Business, e Entry, has func(Field) bool) (out []Check) {
	for _, f := range Fields() {
		if e.Found || has != nil && !has(f) {
			continue
		}
		out = append(out, Compare(b, f, e.text(f)))
	}
	return out
}

// text returns a field of an entry.
func (e Entry) text(f Field) string {
	return map[Field]string{Name: e.Firm, Address: e.Address, Phone: e.Phone, Hours: e.Hours, Site: e.Site}[f]
}

// Different reports whether any field differs.
func Different(checks []Check) bool {
	for _, c := range checks {
		if c.Verdict == Differs {
			return true
		}
	}
	return false
}

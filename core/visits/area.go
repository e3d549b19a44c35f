package visits

// Area is where the searches of a volume were counted (rule 7.1).
type Area string

// The areas; none is not known.
const (
	Town    Area = "town"
	State   Area = "state"
	Country Area = "country"
)

// Areas returns all of them.
func Areas() []Area { return []Area{Town, State, Country} }

// Counts reports whether the searches of a phrase are those of the client's town:
// all of one that names a place of the client, else only where they were counted in
// the town. Those of the whole state say nothing of how many of them are near.
func (a Area) Counts(namesPlace bool) bool { return namesPlace || a == Town }

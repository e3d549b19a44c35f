package site

// Kind is what a page of a site is for.
type Kind string

// The page kinds.
const (
	Home    Kind = "home"
	Service Kind = "service"
	Area    Kind = "area"
	About   Kind = "about"
	Contact Kind = "contact"
	Gallery Kind = "gallery"
	Article Kind = "article"
	Other   Kind = "other"
)

// Kinds returns all of them.
func Kinds() []Kind { return []Kind{Home, Service, Area, About, Contact, Gallery, Article, Other} }

// ForOneSubject reports whether a page is for one service or one place: others are
// contradictions on it (rule 5.2).
func (k Kind) ForOneSubject() bool { return k == Service || k == Area }

// HasWordTarget reports whether a number of words is asked of a kind of pages (rule 8.1).
func (k Kind) HasWordTarget() bool { return k == Home || k.ForOneSubject() }

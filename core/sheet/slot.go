package sheet

// Slot is a place where a phrase can stand (rule 3.3).
type Slot uint8

// The slots; screens show all but the last.
const (
	Title Slot = iota
	Description
	Address
	H1
	Subheads
	Opening
	Body
	Links
	ImageNames
	Alt
	Elsewhere
	slotCount
)

var slotNames = [slotCount]string{"title", "description", "address", "h1", "subheads", "opening", "body", "links",
	"image_names", "alt", "elsewhere"}

// AllSlots returns all of them, Elsewhere last.
func AllSlots() []Slot {
	out := make([]Slot, slotCount)
	for s := range out {
		out[s] = Slot(s)
	}
	return out
}

func (s Slot) String() string { return slotNames[s] }

// Slots are the occurrences of a phrase in each slot (rule 3.3).
type Slots struct {
	// Address are words of the address's path, Subheads h2 to h6; Opening is the
	// first 100 words of the body and part of it, Body the copy blocks that are
	// no headings; Links are anchor texts, which stand in other slots too;
	// Elsewhere are visible blocks outside the copy that are no headings.
	Title, Description, Address, H1, Subheads, Opening, Body, Links, ImageNames, Alt, Elsewhere int
	// Total is h1 + subheads + body + elsewhere: all visible text once.
	Total int
}

// at returns the counter of a slot.
func (s *Slots) at(slot Slot) *int {
	return [...]*int{&s.Title, &s.Description, &s.Address, &s.H1, &s.Subheads, &s.Opening, &s.Body, &s.Links,
		&s.ImageNames, &s.Alt, &s.Elsewhere}[slot]
}

// In returns the occurrences in a slot.
func (s Slots) In(slot Slot) int { return *s.at(slot) }

func (s *Slots) add(slot Slot, n int) {
	*s.at(slot) += n
	switch slot {
	case H1, Subheads, Body, Elsewhere:
		s.Total += n
	}
}

// FirstSlots returns the slots in which the first family of a page must stand exactly, the address too on a page for
// one service or town (rule 9.2).
func FirstSlots(forOneSubject bool) []Slot {
	slots := []Slot{Title, H1, Subheads, Opening, ImageNames, Alt, Description}
	if forOneSubject {
		slots = append(slots, Address)
	}
	return slots
}

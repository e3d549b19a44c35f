package sheet

// Slot is a place where a phrase can stand (MEASURES 3.3).
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

func (s Slot) String() string { return slotNames[s] }

// Slots are the occurrences of a phrase in each slot.
type Slots struct {
	Title       int `json:"title"`
	Description int `json:"description"`
	Address     int `json:"address" doc:"Words of the address's path"`
	H1          int `json:"h1"`
	Subheads    int `json:"subheads" doc:"h2 to h6"`
	Opening     int `json:"opening" doc:"The first 100 words of the body; part of it"`
	Body        int `json:"body" doc:"Copy blocks that are no headings"`
	Links       int `json:"links" doc:"Anchor texts; they stand in other slots too"`
	ImageNames  int `json:"image_names"`
	Alt         int `json:"alt"`
	Elsewhere   int `json:"elsewhere" doc:"Visible blocks outside the copy that are no headings"`
	Total       int `json:"total" doc:"h1 + subheads + body + elsewhere: all visible text once (MEASURES 3.3)"`
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

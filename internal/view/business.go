package view

import (
	"time"

	"inktally/core/intent"
	"inktally/core/place"
)

// Service is what a client sells.
type Service struct {
	Name  string   `json:"name"`
	Words []string `json:"words,omitempty" doc:"Other words for it: chimney cleaning, for a chimney sweep"`
	Worth float64  `json:"worth,omitempty" doc:"What one job brings, 0 if it is not known"`
}

// Place is a town or a community that a client serves.
type Place struct {
	Name      string   `json:"name" doc:"The town or community: Tarn Harbor"`
	Spellings []string `json:"spellings,omitempty" maxItems:"20" doc:"Other ways to write it"`
	State     string   `json:"state,omitempty" doc:"The state's name or abbreviation: ME or Maine"`
	Home      bool     `json:"home,omitempty" doc:"The client's home town"`
}

// Business is what a person tells of a client.
type Business struct {
	Name     string `json:"name" maxLength:"200" doc:"The business; empty takes the site's name"`
	Trade    string `json:"trade" maxLength:"200"`
	Phone    string `json:"phone" maxLength:"100"`
	Postcode string `json:"postcode" required:"false" maxLength:"20" doc:"Postcode or ZIP code of the business; tells phrases of other areas"`
	// Address and what follows are the business as it should stand in every listing.
	Address      string `json:"street_address" required:"false" maxLength:"300" doc:"Street, town, state and postcode as they should stand in every listing"`
	Hidden       bool   `json:"address_hidden" required:"false" doc:"The address is not shown, by choice"`
	OpeningHours string `json:"opening_hours" required:"false" maxLength:"300" doc:"As people write them: Mon-Fri 8am-5pm"`
	MorePhones   string `json:"more_phones" required:"false" maxLength:"300" doc:"Other numbers of the business, parted by semicolons"`

	HomePage string    `json:"home_page" maxLength:"2000" doc:"Address of the home page; empty if there is none yet"`
	Services []Service `json:"services" maxItems:"200" doc:"What the client sells; the first is its main service"`
	Places   []Place   `json:"places" maxItems:"200"`
	Phrases  []string  `json:"phrases" maxItems:"1000" doc:"The phrases that were typed for the home page; they stand in the book, tied to it"`
	Language string    `json:"language" required:"false" maxLength:"35" doc:"Of the phrases, as a tag: en, pt-BR; empty is English"`
	// Customers are those who come of a hundred visits.
	Customers float64 `json:"customers" required:"false" minimum:"0" maximum:"100" doc:"Customers that come of a hundred visits, 0 if that is not known"`
	Money     string  `json:"money" required:"false" maxLength:"8" doc:"The sign of what a job brings"`
}

// Ground is what is known of a client.
type Ground struct {
	ID int64 `json:"id"`
	Business
	Pages []PageInfo `json:"pages"`
}

// PageInfo is one of the client's pages.
type PageInfo struct {
	ID      int64    `json:"id"`
	Kind    PageKind `json:"kind"`
	URL     string   `json:"url" doc:"Empty if there is no page yet"`
	Service string   `json:"service" doc:"What it is for; empty for none of its own"`
	Place   string   `json:"place" doc:"Empty for the home town"`
	Words   *int     `json:"words" doc:"Words seen of its last reading, null if it was not read"`
	ToWrite *int     `json:"to_write" doc:"What its word target asks for, null if it has none"`
	// Seems is what its title and h1 name if nothing else tells what it is for.
	Seems *PageDraft `json:"seems" doc:"What its title and h1 say that it is for, null if something else tells it"`
}

// PageDraft is what is told of one of a client's pages.
type PageDraft struct {
	URL     string       `json:"url" required:"false" maxLength:"2000" doc:"Empty for a page that is to be made"`
	Kind    OptionalKind `json:"kind" required:"false" doc:"Empty if the address is to tell it, with the service and place"`
	Service string       `json:"service" required:"false" maxLength:"200"`
	Place   string       `json:"place" required:"false" maxLength:"200"`
}

// Proposal is what a client's home page says of the business, if nothing was
// entered yet. Fields that it says nothing of are empty.
type Proposal struct {
	Name     string `json:"name"`
	Trade    string `json:"trade"`
	Phone    string `json:"phone"`
	Place    string `json:"place" doc:"The home town: Tarn Harbor, ME"`
	Language string `json:"language" doc:"That of the page, if phrases are in another one so far"`
	Service  string `json:"service" doc:"What the phrase names beside the place"`

	Address      string `json:"street_address" doc:"As the site's structured data has it"`
	OpeningHours string `json:"opening_hours" doc:"As the site's structured data has them"`
}

// ShelfRow is one client as the shelf shows it.
type ShelfRow struct {
	ID              int64      `json:"id"`
	Name            string     `json:"name"`
	Trade           string     `json:"trade"`
	Place           string     `json:"place" doc:"The home town, empty if it is not known"`
	Lead            string     `json:"lead" doc:"The lead phrase"`
	Words           *int       `json:"words" doc:"Of the home page, null if it was not read"`
	ToWrite         *int       `json:"to_write" doc:"Of the home page, null if it was not read"`
	MapPosition     int        `json:"map_position" doc:"0 if the client was not found"`
	OrganicPosition int        `json:"organic_position" doc:"0 if the client was not found"`
	Searched        bool       `json:"searched" doc:"Whether a search was recorded"`
	MeasuredAt      *time.Time `json:"measured_at"`
	Next            string     `json:"next" enum:"ground,lineup,sheet,targets" doc:"The stop that has the next thing to do"`
	PageID          int64      `json:"page_id" doc:"The home page"`
}

// ClientName is a client by its name, for lists to choose from.
type ClientName struct {
	ID     int64  `json:"id"`
	Name   string `json:"name"`
	PageID int64  `json:"page_id" doc:"The home page"`
}

// Services shows services.
func Services(list []intent.Service) []Service {
	out := []Service{}
	for _, s := range list {
		out = append(out, Service{s.Name, s.Words, s.Worth})
	}
	return out
}

// Core returns the services as the rules have them.
func (b Business) Core() (services []intent.Service, places []place.Place) {
	for _, s := range b.Services {
		services = append(services, intent.Service{Name: s.Name, Words: s.Words, Worth: s.Worth})
	}
	for _, p := range b.Places {
		places = append(places, place.Place{Name: p.Name, Spellings: p.Spellings, State: p.State, Home: p.Home})
	}
	return services, places
}

// Places shows places.
func Places(list []place.Place) []Place {
	out := []Place{}
	for _, p := range list {
		out = append(out, Place{p.Name, p.Spellings, p.State, p.Home})
	}
	return out
}

// When returns a time for lists, nil if it is not known.
func When(t time.Time) *time.Time {
	if t.IsZero() {
		return nil
	}
	return &t
}

// Around are the communities around a client's home town.
type Around struct {
	Home        string      `json:"home" doc:"The town that they are around; empty if no gazetteer knows it"`
	Km          float64     `json:"km" doc:"How far away they are at most"`
	Communities []Community `json:"communities" doc:"Large and near ones first"`
}

// Community is a town near another one.
type Community struct {
	Name  string  `json:"name"`
	State string  `json:"state" doc:"Abbreviation of its state, empty if it is not known"`
	Km    float64 `json:"km" doc:"As the crow flies"`
	Size  int     `json:"size" doc:"How many live there, to two figures; 0 if it is not known"`
}

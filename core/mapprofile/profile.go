// Package mapprofile holds a business's profile on a map against what should stand there and against the pack
// (rule 13.4).
//
// In go what is known of profiles and the business as it should stand; out come Items, each filled or not, and what is
// wanted of reviews, photos and posts.
package mapprofile

import (
	"slices"
	"strings"

	"inktally/core/listing"
	"inktally/core/text"
)

// Field is a fact of a profile.
type Field string

// The facts. The first fourteen are those that a profile is filled in by, in the order in which they are shown.
const (
	There       Field = "there"
	Claimed     Field = "claimed"
	Name        Field = "name"
	Category    Field = "category" // the main one
	Description Field = "description"
	Hours       Field = "hours"
	Phone       Field = "phone"
	Site        Field = "site"
	Address     Field = "address" // shown, or hidden by choice
	Areas       Field = "areas"
	Services    Field = "services"
	Founded     Field = "founded"
	Attributes  Field = "attributes"
	Photos      Field = "photos" // how many
	PhotoNames  Field = "photo_names"
	LastPost    Field = "last_post" // the day
	Rating      Field = "rating"
	Reviews     Field = "reviews"
	Recent      Field = "reviews_90" // of the last 90 days
	Answered    Field = "answered"   // the share of reviews, in percent
)

// Filling returns those that a profile is filled in by.
func Filling() []Field {
	return []Field{There, Claimed, Name, Category, Description, Hours, Phone, Site, Address, Areas, Services, Founded,
		Attributes, Photos}
}

// Fields returns all of them.
func Fields() []Field {
	return append(Filling(), PhotoNames, LastPost, Rating, Reviews, Recent, Answered)
}

// Facts are what is known of a profile. A fact that is not there is not known; one that is empty is known to be
// missing.
type Facts map[Field]string

// State is what an item of a profile is.
type State string

// The states.
const (
	Filled  State = "filled"
	Blank   State = "blank"
	Wrong   State = "wrong" // it stands, but not as it should
	Unknown State = "unknown"
)

// States returns all of them.
func States() []State { return []State{Filled, Blank, Wrong, Unknown} }

// Item is one of the first fourteen facts, or the photos' file names where these are known.
type Item struct {
	Field Field
	State State
	// Own is what should stand there where that is known, Theirs is what does.
	Own, Theirs string
	// Photos are those that should be called otherwise, of the photos' file names.
	Photos []Photo
}

// Photo is a photo that should be called otherwise.
type Photo struct{ File, Better string }

// Ground is what is known of the client when its profile is looked at.
type Ground struct {
	Business listing.Business
	// Services are the forms of the client's services, Towns the names of its places.
	Services, Towns []string
	// Language is the client's.
	Language string
	// Renamed returns what photos should be called instead, by their file names, empty for one whose name is as it
	// should be; nil if that is not known (rule 4.2).
	Renamed func(files []string) []string
}

// Check holds a profile against what should stand there, fact by fact. Where there is none, or it is not known whether
// there is, no other fact counts.
func Check(g Ground, facts Facts) []Item {
	var out []Item
	for _, f := range Filling() {
		out = append(out, g.item(f, facts))
		if f == There && out[0].State == Blank {
			return out
		}
	}
	if item, ok := g.photoNames(facts[PhotoNames]); ok {
		out = append(out, item)
	}
	return out
}

// photoNames judges the file names of photos as those of a page's images are (rule 4.2); ok is false where none is
// known.
func (g Ground) photoNames(value string) (item Item, ok bool) {
	files := FilesOf(value)
	if len(files) == 0 || g.Renamed == nil {
		return item, false
	}
	item = Item{Field: PhotoNames, State: Filled, Theirs: value}
	for i, better := range g.Renamed(files) {
		if better != "" {
			item.State = Wrong
			item.Photos = append(item.Photos, Photo{files[i], better})
		}
	}
	return item, true
}

// FilesOf returns the file names in a list of them, parted by commas, semicolons or ends of lines.
func FilesOf(list string) (out []string) {
	for _, f := range strings.FieldsFunc(list, func(r rune) bool { return strings.ContainsRune(",;|\n\r\t", r) }) {
		if f = text.Collapse(f); f != "" && !none(f) {
			out = append(out, f)
		}
	}
	return out
}

// Count returns how many of the fourteen items that are known are filled.
func Count(items []Item) (filled, known int) {
	for _, i := range items {
		if i.Field == PhotoNames {
			continue
		}
		if i.State != Unknown {
			known++
		}
		if i.State == Filled {
			filled++
		}
	}
	return filled, known
}

func (g Ground) item(f Field, facts Facts) Item {
	value, known := facts[f]
	item := Item{Field: f, Theirs: value, State: Filled}
	switch {
	case !known:
		item.State = Unknown
	case value == "" || none(value):
		item.State = Blank
	case f == Name || f == Hours || f == Phone || f == Site:
		c := listing.Compare(g.Business, asListed[f], value)
		item.Own = c.Own
		switch c.Verdict {
		case listing.Differs:
			item.State = Wrong
		case listing.NotThere:
			item.State = Blank
		}
	case f == Description && !g.tells(value):
		item.State = Wrong
	}
	return item
}

// none reports whether a value says that there is nothing.
func none(value string) bool {
	return slices.Contains([]string{"-", "–", "—", "no", "none", "0", "false", "n/a"}, strings.ToLower(value))
}

// asListed are the facts that are held against the business as those of a listing are.
var asListed = map[Field]listing.Field{Name: listing.Name, Hours: listing.Hours, Phone: listing.Phone,
	Site: listing.Site}

// tells reports whether a description names a service and a town of the client.
func (g Ground) tells(description string) bool {
	stem := text.StemmerFor(g.Language)
	stems := func(s string) []string {
		out := text.Tokens(s)
		for i := range out {
			out[i] = stem(out[i])
		}
		return out
	}
	words := stems(description)
	holds := func(form string) bool {
		part := stems(form)
		for i := 0; len(part) > 0 && i+len(part) <= len(words); i++ {
			if slices.Equal(words[i:i+len(part)], part) {
				return true
			}
		}
		return false
	}
	return slices.ContainsFunc(g.Services, holds) && slices.ContainsFunc(g.Towns, holds)
}

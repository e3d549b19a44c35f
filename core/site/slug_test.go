package site

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

// A page is told by its address alone, and by its title and h1 where they were read.
func TestPurposeBeforeASurvey(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Pell Crossing"}, {Name: "Ostrey"}}
	binder := NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}),
		[]intent.Service{{Name: "chimney sweeping", Words: []string{"chimney cleaning"}},
			{Name: "flue liner installation", Words: []string{"chimney liner"}}}, intent.EnglishLists().Acts)
	for _, c := range []struct {
		address, title, h1 string
		kind               Kind
		service, place     string
	}{
		{"http://brindle.example/", "", "", Home, "", ""},
		{"http://brindle.example/index.html", "", "", Home, "", ""},
		{"http://brindle.example/services/flue-liner-installation/", "", "", Service, "flue liner installation", ""},
		{"http://brindle.example/chimney-sweeping-tarn-harbor.html", "", "", Service, "chimney sweeping", ""},
		{"http://brindle.example/areas/pell-crossing", "", "", Area, "", "Pell Crossing"},
		{"http://brindle.example/chimney-cleaning-ostrey.php", "", "", Area, "chimney sweeping", "Ostrey"},
		{"http://brindle.example/about-us", "", "", About, "", ""},
		{"http://brindle.example/contact", "Chimney sweeping in Ostrey", "", Contact, "", ""},
		{"http://brindle.example/p/17", "Chimney liners in Ostrey", "Chimney liners", Area, "flue liner installation",
			"Ostrey"},
		{"http://brindle.example/p/18", "Chimney sweeping in Ostrey", "Flue liners in Pell Crossing", Area,
			"flue liner installation", "Pell Crossing"}, // the h1 says more than the title
		{"http://brindle.example/flue-dampers", "", "", Other, "", ""},
		{"http://brindle.example/%zz", "", "", Home, "", ""},
	} {
		t.Run(c.address+" "+c.title, func(t *testing.T) {
			p := PurposeOf(Clues{URL: c.address, Title: c.title, H1: c.h1}, binder)
			assert.Equal(t, Purpose{Kind: c.kind, Service: c.service, Place: c.place},
				Purpose{Kind: p.Kind, Service: p.Service, Place: p.Place})
		})
	}
}

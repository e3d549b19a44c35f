package site

import (
	"testing"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/target"

	"github.com/stretchr/testify/assert"
)

func TestGuess(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Pell Crossing"}, {Name: "Ostrey"}}
	s := phrase.NewSorter(phrase.Ground{
		Language: phrase.LanguageOf("en", places, phrase.Said{}), Lists: phrase.EnglishLists(),
		Services: []phrase.Service{{Name: "chimney sweeping", Words: []string{"chimney cleaning"}}, {Name: "flue liner installation", Words: []string{"chimney liner"}}},
	})
	for _, c := range []struct {
		address, title, h1 string
		kind               target.Kind
		service, place     string
	}{
		{"http://brindle.example/", "", "", target.Home, "", ""},
		{"http://brindle.example/index.html", "", "", target.Home, "", ""},
		{"http://brindle.example/services/flue-liner-installation/", "", "", target.Service, "flue liner installation", ""},
		{"http://brindle.example/chimney-sweeping-tarn-harbor.html", "", "", target.Service, "chimney sweeping", ""},
		{"http://brindle.example/areas/pell-crossing", "", "", target.Area, "", "Pell Crossing"},
		{"http://brindle.example/chimney-cleaning-ostrey.php", "", "", target.Area, "chimney sweeping", "Ostrey"},
		{"http://brindle.example/about-us", "", "", target.About, "", ""},
		{"http://brindle.example/contact", "Chimney sweeping in Ostrey", "", target.Contact, "", ""},
		{"http://brindle.example/p/17", "Chimney liners in Ostrey", "Chimney liners", target.Area, "flue liner installation", "Ostrey"},
		{"http://brindle.example/p/18", "Chimney sweeping in Ostrey", "Flue liners in Pell Crossing", target.Other, "", ""},
		{"http://brindle.example/%zz", "", "", target.Home, "", ""},
	} {
		kind, service, at := Guess(c.address, c.title, c.h1, "Tarn Harbor", s)
		assert.Equal(t, c.kind, kind, c.address+c.title)
		assert.Equal(t, c.service, service, c.address+c.title)
		assert.Equal(t, c.place, at, c.address+c.title)
	}
}

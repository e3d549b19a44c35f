package site

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

func TestGuess(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Pell Crossing"}, {Name: "Ostrey"}}
	s := intent.NewJudge(intent.Ground{
		Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Lists: intent.EnglishLists(),
		Services: []intent.Service{{Name: "chimney sweeping", Words: []string{"chimney cleaning"}},
			{Name: "flue liner installation", Words: []string{"chimney liner"}}},
	})
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
		{"http://brindle.example/p/18", "Chimney sweeping in Ostrey", "Flue liners in Pell Crossing", Other, "", ""},
		{"http://brindle.example/%zz", "", "", Home, "", ""},
	} {
		t.Run(c.address+" "+c.title, func(t *testing.T) {
			kind, service, at := Guess(c.address, c.title, c.h1, "Tarn Harbor", s)
			assert.Equal(t, c.kind, kind)
			assert.Equal(t, c.service, service)
			assert.Equal(t, c.place, at)
		})
	}
}

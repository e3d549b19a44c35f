package intent

import (
	"testing"

	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
)

func brindle() Ground {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "North Tarn"},
		{Name: "Pell Crossing"}, {Name: "Ostrey"},
		{Name: "Quillby"}, {Name: "Hazard Mills"}, {Name: "Wick Island"}}
	return Ground{
		Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Trade: "chimney care", Lists: EnglishLists(),
		Names: []string{"Brindle & Ash Chimney", "Harbor Flue & Hearth", "Old Saltbox Masonry",
			"Tarn Harbor Chimney Sweep", "Lantern Street Sweeps",
			"Hearthway National", "Kettle Cove Fireplaces", "Sweepfast", "Rook Chimneys Ltd"},
		Services: []Service{
			{Name: "chimney sweep", Words: []string{"chimney cleaning", "chimney cleaner", "flue cleaning",
				"fireplace cleaning"}},
			{Name: "chimney inspection", Words: []string{"chimney inspector"}},
			{Name: "flue liner installation", Words: []string{"chimney liner", "chimney relining"}},
			{Name: "masonry repair", Words: []string{"chimney repair", "brick repair", "fireplace repair"}},
			{Name: "dryer vent cleaning", Words: []string{"dryer duct cleaning"}},
			{Name: "wood stove installation", Words: []string{"stove installer"}},
			{Name: "chimney cap fitting", Words: []string{"chimney cap installation", "chimney cap replacement"}},
		},
	}
}

func TestIntent(t *testing.T) {
	s := NewJudge(brindle())
	for typed, want := range map[string]Intent{
		"chimney sweep tarn harbor": Hire, "chimney sweep near me": Hire, "chimney company tarn harbor": Hire,
		"best chimney sweep":            Hire,
		"low cost chimney sweep ostrey": Hire, "chimney sweep cost": Question, "how to clean a flue": Question,
		"is a flue liner worth it":   Question,
		"chimney sweep tarn harbor?": Question, "lantern street sweeps reviews": Brand, "brindle and ash": Brand,
		"chimney sweep ohio":          Elsewhere,
		"chimney sweep old quarry oh": Elsewhere, "chimney sweep in quillby": Hire, "chimney sweep": Broad,
		"tarn harbor weather":         NotOffered,
		"gutter cleaning tarn harbor": Broad, "chimney sweep jobs near me": NotOffered,
		"chimny swep tarn harbor": Broad, "zebra chimney sweep tarn harbor": Unsure,
		"chimney painting tarn harbor": NotOffered, "leaking chimney": Question,
		"leaking chimney repair tarn harbor": Hire, "chimney permit ostrey": NotOffered,
		"chimney sweep training": NotOffered, "coffee flue liner": Broad, "old chimney repair ostrey": Hire,
		"old saltbox repair": Brand, "smith and sons chimney sweep": Brand,
		"chimney cleaning nr34": Broad, "used chimney cap ostrey": NotOffered, "chimney sweep county cork": Elsewhere,
		"chimney sweep hamilton county": Elsewhere,
		"chimney sweep portland":        Broad, "chimney sweep me": Broad,
		"free chimney sweep ostrey": NotOffered, "free chimney inspection ostrey": Hire,
		"free estimate chimney repair ostrey": Hire, "ostrey chimney sweep llc": Brand,
		"tarn harbor chimney sweep co": Brand, "no call out fee chimney sweep ostrey": Hire,
		"upfront pricing chimney sweep ostrey": Hire, "flat rate chimney repair ostrey": Hire,
		"rook chimneys": Brand, "rook in chimney ostrey": Unsure,
		"certified chimney sweep near me": Hire, "chimney repair law ostrey": Question,
		"kestrane repair ostrey": Unsure, "lamp repair ostrey": Broad,
		"chimney sweep tarn harbor me": Hire, "": Broad, "煙突 掃除": Broad,
	} {
		t.Run(typed, func(t *testing.T) {
			assert.Equal(t, want, s.Of(typed).Intent, typed)
		})
	}
	assert.Equal(t, []string{"zebra"}, s.Of("zebra chimney sweep tarn harbor").Unfamiliar)
	for typed, want := range map[string]string{"chimney cap fitting ostrey": "chimney cap fitting",
		"chimney cleaner": "chimney sweep",
		"chimney repair":  "masonry repair", "dryer vent": "dryer vent cleaning", "chimney company": "chimney sweep",
		"roof repair": ""} {
		assert.Equal(t, want, s.Of(typed).Service, typed)
	}
	assert.Equal(t, Judgement{Intent: Hire, Reason: Reason{ServiceIn, []string{"Tarn Harbor", "chimney sweep"}},
		Unfamiliar: []string{}, Service: "chimney sweep", Place: "Tarn Harbor"},
		s.Of("chimney sweep tarn harbor"))
}

func TestOwnName(t *testing.T) {
	names := func(own string) *Judge {
		g := brindle()
		g.Names[0] = own
		return NewJudge(g)
	}
	for _, c := range []struct {
		own, typed string
		want       bool
	}{
		{"Brindle & Ash Chimney", "brindle & ash chimney", true},
		{"Brindle & Ash Chimney", "Brindle and Ash, Tarn Harbor ME", true},
		{"Brindle & Ash Chimney", "brindle ash chimney llc", true},
		{"Brindle & Ash Chimney", "brindle and ash chimney reviews", false}, // asks for something else
		{"Brindle & Ash Chimney", "brindle chimney tarn harbor", false},     // may be another Brindle
		{"Brindle & Ash Chimney", "chimney tarn harbor", false},
		{"Brindle & Ash Chimney", "old saltbox masonry", false},
		{"Tarn Harbor Chimney Sweep", "tarn harbor chimney sweep", false}, // a search for the service
		{"Best Chimney Sweep", "best chimney sweep", false},
		{"", "brindle", false},
	} {
		assert.Equal(t, c.want, names(c.own).IsOwnName(c.typed), "%s: %s", c.own, c.typed)
	}
}

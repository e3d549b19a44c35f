package place

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestParse(t *testing.T) {
	for s, want := range map[string]Place{
		"Tarn Harbor, ME":     {Name: "Tarn Harbor", State: "ME"},
		" Tarn  Harbor,Maine": {Name: "Tarn Harbor", State: "Maine"},
		"Tarn Harbor ME":      {Name: "Tarn Harbor", State: "ME"},
		"Tarn Harbor":         {Name: "Tarn Harbor"},
		"North ZZ":            {Name: "North ZZ"},
		"":                    {},
	} {
		t.Run(s, func(t *testing.T) {
			assert.Equal(t, want, Parse(s), s)
		})
	}
}

func TestOneForm(t *testing.T) {
	places := []Place{{Name: "Ostrey"},
		{Name: "Tarn Harbor", State: "Maine", Spellings: []string{"Tarn Harbour", "Tarnharbor", "Harbor", "&"}}}
	for s, want := range map[string]string{
		"chimney sweep tarn harbor me":    "chimney sweep tarn harbor",
		"chimney sweep tarn harbor maine": "chimney sweep tarn harbor",
		"tarn harbor me chimney sweep":    "tarn harbor chimney sweep",
		"chimney sweep near me":           "chimney sweep near me",
		"chimney sweep ostrey me":         "chimney sweep ostrey me",
		"me tarn harbor":                  "me tarn harbor",
		"chimney sweep tarn harbour me":   "chimney sweep tarn harbor",
		"tarnharbor maine chimney":        "tarn harbor chimney",
		"harbor chimneys":                 "tarn harbor chimneys",
		"ostrey tarn harbour":             "ostrey tarn harbor",
		"":                                "",
	} {
		t.Run(s, func(t *testing.T) {
			assert.Equal(t, want, strings.Join(OneForm(strings.Fields(s), places), " "), s)
		})
	}
}

func TestHome(t *testing.T) {
	_, ok := Home(nil)
	assert.False(t, ok)
	home, _ := Home([]Place{{Name: "Ostrey"}, {Name: "Tarn Harbor", Home: true}})
	assert.Equal(t, "Tarn Harbor", home.Name)
}

func TestCapitals(t *testing.T) {
	places := []Place{{Name: "Tarn Harbor", State: "ME", Spellings: []string{"Tarn Harbour"}}, {Name: "Saint-Émile"}}
	for words, want := range map[string]string{
		"chimney sweep tarn harbor":    "Chimney sweep Tarn Harbor",
		"tarn harbor me chimney sweep": "Tarn Harbor ME chimney sweep",
		"sweep tarn harbor maine":      "Sweep Tarn Harbor Maine",
		"sweep tarn harbour":           "Sweep Tarn Harbour",
		"tarn harborside":              "Tarn harborside",
		"ramonage saint-émile":         "Ramonage Saint-Émile",
		"":                             "",
	} {
		t.Run(words, func(t *testing.T) { assert.Equal(t, want, Capitals(words, places, true)) })
	}
	for words, want := range map[string]string{
		"chimney sweep in tarn": "chimney sweep in Tarn",
		"harbor chimney sweep":  "Harbor chimney sweep",
		"in tarn harbor we":     "in Tarn Harbor we",
		"tarn":                  "Tarn",
		"sweep of tarns":        "sweep of tarns",
	} {
		t.Run("part "+words, func(t *testing.T) { assert.Equal(t, want, CapitalsOfPart(words, places)) })
	}
}

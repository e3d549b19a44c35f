package place

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestRegions(t *testing.T) {
	for form, want := range map[string]string{
		"ME": "Maine", "maine": "Maine", "NB": "New Brunswick", "Nova Scotia": "Nova Scotia",
		"nouvelle-écosse": "Nouvelle Écosse", "pei": "Prince Edward Island",
		"Herts": "Hertfordshire", "Norfolk": "Norfolk", "co down": "County Down", "County Mayo": "County Mayo",
		"mayo":          "County Mayo",
		"Isle of Wight": "Isle of Wight", "tyne and wear": "Tyne and Wear", "Salop": "Shropshire",
		"NSW": "New South Wales", "WA": "Washington", "": "", "Ostrey": "",
	} {
		name, ok := StateName(form)
		assert.Equal(t, want, name, form)
		assert.Equal(t, want != "", ok, form)
	}
	assert.Len(t, Regions("WA"), 2, "a state of two countries")
	short, ok := StateAbbreviation("hertfordshire")
	assert.Equal(t, "Herts", short)
	assert.True(t, ok)
	_, ok = StateAbbreviation("Norfolk")
	assert.False(t, ok, "most counties have none")
	for _, r := range Regions("Maine") {
		assert.Equal(t, Region{"Maine", []string{"ME"}, "US"}, r)
	}
	for state, country := range map[string]string{"ME": "US", "Quebec": "CA", "Norfolk": "GB", "Co. Clare": "IE",
		"Tas": "AU", "England": "GB", "": "", "Nowhere": ""} {
		assert.Equal(t, country, Place{State: state}.Country(), state)
	}
}

// The forms of six more countries count for their own alone; a year is no code.
func TestPostcodesElsewhere(t *testing.T) {
	for _, c := range []struct {
		country, typed, area string
	}{{"AU", "4690", "46"}, {"AU", "2025", ""}, {"NZ", "6011", "60"}, {"FR", "75011", "75"}, {"DE", "04155", "04"},
		{"ES", "28013", "28"}, {"IE", "a65f4e2", "a6"}, {"IE", "a65 f4e2", "a6"}, {"GB", "4690", ""}, {"", "4690", ""},
		{"CA", "75011", ""}} {
		code, ok := PostcodeAt(strings.Fields(c.typed), c.country)
		assert.Equal(t, c.area != "", ok, "%s in %s", c.typed, c.country)
		assert.Equal(t, c.area, code.Area, "%s in %s", c.typed, c.country)
	}
}

func TestPostcodeAt(t *testing.T) {
	for typed, want := range map[string]Postcode{
		"nr34 9qx": {"GB", "nr", 2}, "nr349qx": {"GB", "nr", 1}, "se15": {"GB", "se", 1}, "w1a boiler": {"GB", "w", 1},
		"b1":    {"GB", "b", 1},
		"90210": {"US", "90", 1}, "e4p 2k7": {"CA", "e4", 2}, "e4p2k7": {"CA", "e4", 1}, "e4p": {"GB", "e", 1},
	} {
		got, ok := PostcodeAt(strings.Fields(typed), want.Country)
		require.True(t, ok, typed)
		assert.Equal(t, want, got, typed)
	}
	for _, typed := range []string{"", "f28", "cp12", "e119", "2024", "123456", "a1a", "zz9", "24 7", "chimney"} {
		_, ok := PostcodeAt(strings.Fields(typed), "GB")
		assert.False(t, ok, typed)
	}
	_, ok := PostcodeAt([]string{"90210"}, "GB")
	assert.False(t, ok)
	_, ok = PostcodeAt([]string{"d6w"}, "CA")
	assert.False(t, ok)
}

package cues

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestYearsIn(t *testing.T) {
	for text, want := range map[string]string{
		"Sweeping chimneys since 1987, all year":         "since 1987",
		"Over 20 years in business":                      "Over 20 years",
		"We bring thirty years of experience to a flue":  "thirty years",
		"The liner has a guarantee of 25 years.":         "",
		"Est. 1994 in Tarn Harbor":                       "Est. 1994",
		"The house was built in 1987 and has two flues.": "",
	} {
		assert.Equal(t, want, YearsIn(text), text)
	}
}

func TestVagueIn(t *testing.T) {
	assert.Equal(t, []string{"the surrounding communities", "and beyond"},
		VagueIn("Tarn Harbor, the surrounding communities and beyond."))
	assert.Empty(t, VagueIn("Tarn Harbor, Ostrey and Quillby"))
}

func TestClassNames(t *testing.T) {
	for class, want := range map[string]bool{"testimonial": true, "review-card": true, "reviews": false,
		"preview": false, "card big_review": true, "": false} {
		assert.Equal(t, want, IsReview(class), class)
	}
	assert.True(t, IsSocial("footer-social x"))
	assert.False(t, IsSocial("antisocial"))
	assert.True(t, IsAppRoot("__next"))
	assert.False(t, IsAppRoot("rooter"))
}

func TestFillerAndBuilding(t *testing.T) {
	assert.True(t, IsFiller("Lorem Ipsum dolor"))
	assert.False(t, IsFiller("Insert a damper here"))
	assert.True(t, IsBuilding("Our new site is COMING SOON"))
	assert.False(t, IsBuilding("We come soon after you call"))
}

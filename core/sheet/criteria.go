package sheet

import (
	"inktally/core/imagename"
	"inktally/core/phrase"
	"inktally/core/place"
)

// Criteria are what pages are measured for: the phrases of the client's page in
// their families, its services and places. They are compiled once, in the
// client's language, and serve pages of whatever language; they may be shared
// between goroutines.
type Criteria struct {
	// Phrases are those of the client's page, in the order of their families.
	Phrases  []string
	Families []phrase.Family

	asked   Asked
	matcher *phrase.Matcher
	judge   *imagename.Judge
	family  map[string]int // by key
	typed   map[string]int // phrases by their folded forms
}

// Asked is what criteria are made of.
type Asked struct {
	Phrases  []string
	Language phrase.Language
	// Services are words for what the client sells.
	Services []string
	// Place is the page's own place (rule 5.1); PlacesBound reports whether other
	// places are contradictions on this page.
	Place       place.Place
	PlacesBound bool
}

// NewCriteria compiles criteria. Without a language it is English without
// places.
func NewCriteria(a Asked) *Criteria {
	if a.Language.Stem == nil {
		a.Language = phrase.LanguageOf("", nil, phrase.Corrections{})
	}
	list := make([]phrase.Phrase, len(a.Phrases))
	for i, p := range a.Phrases {
		list[i] = phrase.New(p, a.Language)
	}
	c := &Criteria{Phrases: a.Phrases, asked: a, matcher: phrase.Compile(list, a.Language), family: map[string]int{},
		typed: map[string]int{}}
	c.Families = c.matcher.Families
	for i, f := range c.Families {
		c.family[f.Key] = i
	}
	for i, p := range a.Phrases {
		if _, twice := c.typed[phrase.Fold(p)]; !twice {
			c.typed[phrase.Fold(p)] = i
		}
	}
	c.judge = imagename.NewJudge(imagename.Judge{
		Matcher: c.matcher, Language: a.Language, Services: a.Services, Place: a.Place, PlacesBound: a.PlacesBound,
	})
	return c
}

// For returns the criteria for another list of phrases, all else the same.
func (c *Criteria) For(phrases ...string) *Criteria {
	asked := c.asked
	asked.Phrases = phrases
	return NewCriteria(asked)
}

// Language returns what the criteria's phrases are read with.
func (c *Criteria) Language() phrase.Language { return c.asked.Language }

// Judge returns the judge of image names.
func (c *Criteria) Judge() *imagename.Judge { return c.judge }

// FamilyOf returns the key of the family that a phrase belongs to; it is not ok
// for a phrase that is none of the criteria's.
func (c *Criteria) FamilyOf(typed string) (key string, ok bool) {
	i, ok := c.typed[phrase.Fold(typed)]
	if !ok {
		return "", false
	}
	return c.Families[c.matcher.FamilyOf(i)].Key, true
}

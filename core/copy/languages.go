package copy

import "inktally/core/text"

// Languages are the texts of each language that has some (Y).
type Languages struct{ English, French, German, Spanish Texts }

// Standard returns those that everybody starts with.
func Standard() Languages { return Languages{english, french, german, spanish} }

// Tags returns the tags of the languages that have texts.
func Tags() []string { return []string{"en", "fr", "de", "es"} }

// In returns the texts of the language of a tag to be changed, nil for a language that has none.
func (l *Languages) In(tag string) *Texts {
	switch text.Base(tag) {
	case "", "en":
		return &l.English
	case "fr":
		return &l.French
	case "de":
		return &l.German
	case "es":
		return &l.Spanish
	}
	return nil
}

// Of returns the texts of a language by its tag; those of one that has none say the bare phrase, under
// headings in English.
func (l Languages) Of(tag string) Texts {
	if t := l.In(tag); t != nil {
		return *t
	}
	e := l.English
	return Texts{Standing: e.Standing, Services: e.Services, Questions: e.Questions, Towns: e.Towns, About: e.About,
		Titles: e.Titles, Descriptions: []string{Phrase + ". " + Firm + ", " + Phone + "."},
		Picture: e.Picture, And: ","}
}

// Of returns the standard texts of a language by its tag.
func Of(tag string) Texts { return Standard().Of(tag) }

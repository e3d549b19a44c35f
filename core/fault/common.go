package fault

// The failures that several packages meet.
var (
	PhraseNoWord       = Define1("phrase_no_word", "text")
	ServiceNoWord      = Define1("service_no_word", "text")
	PlaceNoWord        = Define1("place_no_word", "text")
	PhraseNeeded       = Define0("phrase_needed")
	LanguageUnknown    = Define1("language_unknown", "language")
	DayBad             = Define1("day_bad", "typed")
	GivenUp            = Define0("given_up")
	OwnMistake         = Define0("own_mistake")
	KeptPageUnreadable = Define0("kept_page_unreadable")
)

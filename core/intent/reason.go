package intent

// Reason is why a phrase has its intent: a code, and the words that decided.
type Reason struct {
	Code ReasonCode
	// Words are as the phrase or the client has them; how many there are depends
	// on the code.
	Words []string
}

// ReasonCode names a reason.
type ReasonCode string

// The reasons, and what their words are.
const (
	NamesFirm     ReasonCode = "names_firm"        // the word of the name
	FirmEnding    ReasonCode = "firm_ending"       // the ending
	MakerAlone    ReasonCode = "maker_alone"       // the maker
	OtherState    ReasonCode = "other_state"       // the state or county
	OtherTown     ReasonCode = "other_town"        // the town of the gazetteer
	OtherPostcode ReasonCode = "other_postcode"    // the code
	OtherPlace    ReasonCode = "other_place"       // the place that the user put aside
	AsksQuestion  ReasonCode = "asks_question"     // the word that asks
	Compares      ReasonCode = "compares"          // none
	WantsToKnow   ReasonCode = "wants_to_know"     // the word of the list
	NamesTrouble  ReasonCode = "names_trouble"     // the word of the list
	Goods         ReasonCode = "goods"             // the word of the list
	OtherAct      ReasonCode = "act_not_offered"   // the act, the service
	OtherThing    ReasonCode = "thing_not_offered" // the thing
	UnknownWord   ReasonCode = "unknown_word"      // the word, the service
	ServiceIn     ReasonCode = "service_in_place"  // the place, the service
	ServiceNear   ReasonCode = "service_near"      // the words for near, the service
	ServiceToHire ReasonCode = "service_with_hire" // the hire word, the service
	NoService     ReasonCode = "no_service"        // none
	ServiceAlone  ReasonCode = "service_alone"     // the service
	PartOfService ReasonCode = "part_of_service"   // the place or the words for near, the part
	UnknownAlone  ReasonCode = "unknown_alone"     // the word
)

// ReasonCodes returns all of them.
func ReasonCodes() []ReasonCode {
	return []ReasonCode{NamesFirm, FirmEnding, MakerAlone, OtherState, OtherTown, OtherPostcode, OtherPlace,
		AsksQuestion, Compares, WantsToKnow,
		NamesTrouble, Goods, OtherAct, OtherThing, UnknownWord, ServiceIn, ServiceNear, ServiceToHire, NoService,
		ServiceAlone, PartOfService, UnknownAlone}
}

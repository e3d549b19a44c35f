package phrase_test

import (
	"fmt"

	"inktally/core/phrase"
	"inktally/core/place"
)

// Phrases that mean the same search are one family, known by its key.
func Example() {
	language := phrase.LanguageOf("en", []place.Place{{Name: "Tarn Harbor", State: "ME"}}, phrase.Corrections{})
	for _, typed := range []string{"chimney sweep tarn harbor", "Tarn Harbor ME chimney sweeping",
		"best chimney sweep tarn harbor"} {
		fmt.Println(phrase.New(typed, language).Family())
	}
	// Output:
	// chimney harbor sweep tarn
	// chimney harbor sweep tarn
	// best chimney harbor sweep tarn
}

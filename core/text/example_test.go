package text_test

import (
	"fmt"

	"inktally/core/text"
)

// Words are counted as people count them; tokens are what phrases are compared by.
func Example() {
	const s = "Sweep's price: $1,500 & up — 24/7."
	fmt.Println(text.Words(s), "words")
	fmt.Printf("%q\n", text.Tokens(s))
	stem := text.StemmerFor("en")
	fmt.Println(stem("sweeping"), stem("chimneys"))
	// Output:
	// 5 words
	// ["sweep" "price" "1" "500" "and" "up" "24" "7"]
	// sweep chimney
}

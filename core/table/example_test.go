package table_test

import (
	"fmt"

	"inktally/core/table"
)

// A list of phrases is taken as its columns are guessed, or told.
func ExampleTake() {
	rows, err := table.Parse([]byte("Keyword;Volume;KD\nchimney sweep tarn harbor;1.3K;6\n;20;3\n"))
	if err != nil {
		fmt.Println(err)
		return
	}
	layout := table.Guess(rows)
	taken, refused, err := table.Take(rows, layout)
	fmt.Println(layout.Roles, err)
	for _, r := range taken {
		fmt.Println(r.Phrase, *r.Volume, *r.Difficulty)
	}
	for _, r := range refused {
		fmt.Println("line", r.Line, r.Reason)
	}
	// Output:
	// [phrase volume difficulty] <nil>
	// chimney sweep tarn harbor 1300 6
	// line 3 no_phrase
}

package wordtarget_test

import (
	"fmt"

	"inktally/core/site"
	"inktally/core/wordtarget"
)

// How many words a page needs follows from its kind and its rivals.
func ExampleRules_Of() {
	rules := wordtarget.StandardRules()
	t := rules.Of(site.Home, 545, 57, []int{1720, 380, 1140, 1010})
	fmt.Println("target", t.Target, "to write", t.ToWrite, "writer", t.Writer)
	// Output:
	// target 2000 to write 1455 writer 1943
}

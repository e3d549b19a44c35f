package target_test

import (
	"fmt"

	"inktally/core/site"
	"inktally/core/target"
)

// How many words a page needs follows from its kind and its rivals.
func ExampleRules_WordTarget() {
	rules := target.StandardRules()
	t := rules.WordTarget(site.Home, 545, 57, []int{1720, 380, 1140, 1010})
	fmt.Println("target", t.Target, "to write", t.ToWrite, "writer", t.Writer)
	// Output:
	// target 2000 to write 1455 writer 1943
}

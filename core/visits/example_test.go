package visits_test

import (
	"fmt"

	"inktally/core/visits"
)

// What a family may bring, and the steps that come to it.
func ExampleRules_Family() {
	rules := visits.Standard()
	lead, other, difficulty := 380, 220, 6
	e := rules.Family([]visits.Member{{Volume: &lead, Position: 14}, {Volume: &other}}, &difficulty)
	fmt.Printf("now %.2f, at position %d %.2f, gain %.2f\n", e.Now, e.Aimed, e.Then, e.Gain)
	for _, s := range rules.Sum(e, lead, &difficulty, 14) {
		fmt.Println(s.Code, s.Rule, s.Figure)
	}
	// Output:
	// now 3.43, at position 1 161.70, gain 158.27
	// volume 7.3 visits.others
	// aim_by_difficulty 7.2 visits.aim.1.position
	// clicks 7.1 visits.ctr.1
	// visits_now 7.3
}

package book

// Change is what became of the families of a book when something was said of it.
type Change struct {
	// Aside and Kept are the leads of families that were set aside, and of those that
	// came back.
	Aside, Kept []string
	// Sure is how many families are not unsure any more and still kept, Joined how
	// many became one with another.
	Sure, Joined int
}

// Compare returns what changed between two books of the same phrases.
func Compare(earlier, now []Family) Change {
	var c Change
	at := map[string]*Family{} // by member
	for i := range now {
		for _, m := range now[i].Members {
			at[m.Text] = &now[i]
		}
	}
	for i := range earlier {
		before := &earlier[i]
		after := at[before.Lead().Text]
		switch {
		case after == nil:
		case before.Kept && !after.Kept:
			c.Aside = append(c.Aside, before.Lead().Text)
		case !before.Kept && after.Kept:
			c.Kept = append(c.Kept, before.Lead().Text)
		case before.unsure() && after.Kept && !after.unsure():
			c.Sure++
		}
	}
	c.Joined = max(0, len(earlier)-len(now))
	return c
}

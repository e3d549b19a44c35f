package standing

// packPlaces are the places of the map pack that bring visits (rule 7.1).
const packPlaces = 3

// Search is a recorded search with a map pack.
type Search struct {
	// Volume is how often it is searched for a month where that counts, Place is the client's on the map, 0 for none.
	Volume float64
	Place  int
}

// PackGain returns what the map pack would bring at place 3, from there on one place better, less what it brings now,
// in visits a month (rule 13.5). rate is the share that a place of the pack is pressed by.
func PackGain(searches []Search, rate func(place int) float64) (gain float64) {
	for _, s := range searches {
		now, aimed := 0.0, packPlaces
		if s.Place > 0 && s.Place <= packPlaces {
			now, aimed = rate(s.Place), max(1, s.Place-1)
		}
		gain += s.Volume * max(0, rate(aimed)-now)
	}
	return gain
}

// ListingsWanted returns how many listings are wanted, as a Wanted; known is false where it is not known how many there
// are.
func ListingsWanted(own int, known bool, rivals []int, target int) Wanted {
	w := Wanted{Own: own, Known: known, Target: target}
	if known {
		w.Missing = max(0, target-own)
	}
	for _, n := range rivals {
		w.Best = max(w.Best, n)
	}
	w.Leads = known && own > w.Best
	return w
}

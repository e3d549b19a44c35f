package tie

// farSlip finds the client's word that a word is two letters away from, both of six letters or more.
func (f *finder) farSlip(w string) (Tie, bool) {
	if len(w) < minTwo || f.Town(w) {
		return Tie{}, false
	}
	best, found := "", false
	for n := max(minTwo, len(w)-2); n <= len(w)+2; n++ {
		for _, c := range f.meant[n] {
			if f.isOwn(c) && c[0] == w[0] && f.uses[c].searches >= f.uses[w].searches && edits(w, c) <= 2 &&
				(!found || f.better(c, best)) {
				best, found = c, true
			}
		}
	}
	return Tie{Kind: Slip, Means: []string{best}}, found
}

// edits counts the letters that are left out, put in, changed or swapped between two words.
func edits(a, b string) int {
	before, last, row := make([]int, len(b)+1), make([]int, len(b)+1), make([]int, len(b)+1)
	for k := range last {
		last[k] = k
	}
	for i := 1; i <= len(a); i++ {
		row[0] = i
		for k := 1; k <= len(b); k++ {
			cost := 1
			if a[i-1] == b[k-1] {
				cost = 0
			}
			row[k] = min(last[k]+1, row[k-1]+1, last[k-1]+cost)
			if i > 1 && k > 1 && a[i-1] == b[k-2] && a[i-2] == b[k-1] {
				row[k] = min(row[k], before[k-2]+1)
			}
		}
		before, last, row = last, row, before
	}
	return last[len(b)]
}

// IsSlip reports whether a word is one slip away from another.
func IsSlip(word, meant string) bool { return len(word) >= minSlip && oneSlip(word, meant) }

// oneSlip reports whether two words differ by one letter left out, put in,
// changed, or by two that changed places.
func oneSlip(a, b string) bool {
	if len(a) > len(b) {
		a, b = b, a
	}
	if len(b)-len(a) > 1 {
		return false
	}
	i := 0
	for i < len(a) && a[i] == b[i] {
		i++
	}
	if len(a) < len(b) {
		return a[i:] == b[i+1:]
	}
	if i == len(a) {
		return false // the same word
	}
	return a[i+1:] == b[i+1:] || i+1 < len(a) && a[i] == b[i+1] && a[i+1] == b[i] && a[i+2:] == b[i+2:]
}

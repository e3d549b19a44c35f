package wording

import (
	"fmt"
	"math"
	"strings"

	"inktally/core/wordtarget"
)

// WordCase is what the evidence of a word target speaks of.
type WordCase struct {
	// Seen are the client's words; HasPage and HasURL tell whether its page was
	// read, and whether it has an address.
	Seen            int
	HasPage, HasURL bool
	// Names and Words are those of the rivals that count, in the order of the
	// target's indices.
	Names []string
	Words []int
}

// WordEvidence words which rule decided a word target (rule 8.4).
func WordEvidence(w wordtarget.Target, c WordCase) string {
	now := ""
	switch {
	case c.HasPage && w.Rule == wordtarget.NoTarget:
		now = Count(c.Seen, "word", "")
	case c.HasPage:
		now = fmt.Sprintf("%s → %s words", Number(c.Seen), Number(w.Target))
	case c.HasURL:
		now = "the page at its address has not been read"
	default:
		now = "there is no page yet"
	}
	return strings.Join(append([]string{now}, wordReasons(w, c)...), " · ")
}

// WordReason words why a page needs so many words, empty for one that has no target.
func WordReason(w wordtarget.Target, c WordCase) string {
	return Capital(strings.Join(wordReasons(w, c), " · "))
}

func wordReasons(w wordtarget.Target, c WordCase) (parts []string) {
	if w.Rule == wordtarget.NoTarget {
		return nil
	}
	mark := "the mark"
	if w.MarkOf >= 0 {
		mark = c.Names[w.MarkOf]
	}
	mark = fmt.Sprintf("%s has %s words", mark, Number(int(w.Mark)))
	switch {
	case w.Rule == wordtarget.ByRivals:
		parts = append(parts, mark+"; "+beaten(w))
	case w.Rule == wordtarget.ByCeiling && w.BeatsMark:
		parts = append(parts, fmt.Sprintf("%s; the ceiling is %s", mark, Number(w.Guideline.Ceiling)))
	case w.Rule == wordtarget.ByCeiling:
		parts = append(parts, fmt.Sprintf("%s; the ceiling of %s does not beat it", mark, Number(w.Guideline.Ceiling)))
	case w.Mark > 0:
		parts = append(parts, fmt.Sprintf("guideline starts at %s; %s", Number(w.Guideline.Low), mark))
	default:
		parts = append(parts, fmt.Sprintf("guideline starts at %s", Number(w.Guideline.Low)))
	}
	for _, i := range w.SetAside {
		parts = append(parts, fmt.Sprintf("%s with %s does not count: too far above the others", c.Names[i],
			Number(c.Words[i])))
	}
	return parts
}

// CountedAgain words that a rival counts for a word target that did not, or does not any
// more (rule 8.2), with what the target was and is.
func CountedAgain(rival string, words int, aside bool, before, is int) string {
	says := fmt.Sprintf("%s counts again with %s", rival, Count(words, "word", ""))
	if aside {
		says = fmt.Sprintf("%s no longer counts: %s is too far above the others", rival, Count(words, "word", ""))
	}
	if before == is {
		return says + "; the target stays " + Number(is)
	}
	return fmt.Sprintf("%s; the target was %s and is now %s", says, Number(before), Number(is))
}

// Beat words by how much the mark is to be beaten.
func Beat(f wordtarget.Figures) string {
	switch {
	case f.BeatPercent == 0 && f.BeatWords == 0:
		return "as many as the mark"
	case f.BeatPercent == 0:
		return Count(int(f.BeatWords), "word", "") + " more than the mark"
	case f.BeatWords == 0:
		return fmt.Sprintf("%v%% more than the mark", f.BeatPercent)
	}
	return fmt.Sprintf("%v%% more than the mark, %s or more", f.BeatPercent, Count(int(f.BeatWords), "word", ""))
}

// beaten words how a mark leads to the target: 15% more is 1,985, rounded up: 2,000.
func beaten(w wordtarget.Target) string {
	f, more := w.Figures, w.Beat-w.Mark
	by := Number(int(more)) + " more"
	if percent := w.Mark * f.BeatPercent / 100; percent >= f.BeatWords && percent > 0 {
		by = fmt.Sprintf("%v%% more", f.BeatPercent)
	}
	beat := int(math.Round(w.Beat))
	switch {
	case more == 0:
		return "as many are enough"
	case beat == w.Target:
		return by + " is " + Number(beat)
	}
	return fmt.Sprintf("%s is %s, rounded up: %s", by, Number(beat), Number(w.Target))
}

package wording

import (
	"fmt"
	"strings"

	"inktally/core/sheet"
	"inktally/core/target"
)

// Instruction is what to do, in three pieces: Pencil is what is to be written on
// the page, Before and After what stands around it.
type Instruction struct{ Before, Pencil, After string }

// kindWords are what is said of a kind of target.
type kindWords struct {
	name          string // as a label
	before, after string
}

var kinds = map[target.Kind]kindWords{
	target.NewPage:     {name: "New page"},
	target.Title:       {"Title", "Title: start with", ""},
	target.Description: {"Meta description", "Meta description: use", ""},
	target.Address:     {"URL", "URL: include", ""},
	target.H1:          {"H1", "H1: use", ""},
	target.Words:       {name: "Words"},
	target.Opening:     {"Opening", "Add", fmt.Sprintf("to the first %d words", sheet.OpeningWords)},
	target.Subhead:     {"Subhead", "Add", "to a subhead"},
	target.Body:        {"Text", "Add", "to the text once, word for word"},
	target.ImageName:   {name: "Image file name"},
	target.Alt:         {"Alt text", "Add", "to an alt text"},
}

// Kind words a kind of target as a label.
func Kind(k target.Kind) string { return kinds[k].name }

// Part words a part of a brief as a heading.
func Part(p target.Part) string {
	return map[target.Part]string{target.WholePage: "The page", target.Head: "Title, H1 and URL", target.Text: "The text",
		target.Images: "The images"}[p]
}

// Instruct words what a target asks for. phrase is its phrase as it would stand
// in a text.
func Instruct(t target.Target, phrase string) Instruction {
	w := kinds[t.Kind]
	switch {
	case t.Choice.State == target.Changed:
		return Instruction{Before: w.name + ":", Pencil: t.Choice.Value}
	case t.Kind == target.Words:
		return Instruction{Before: "Write " + Count(t.Words.ToWrite, "more word", "")}
	case t.Kind == target.NewPage && t.Words.Rule == target.NoTarget:
		return Instruction{Before: "Create this page"}
	case t.Kind == target.NewPage:
		return Instruction{Before: "Create this page: " + Count(t.Words.Target, "word", "")}
	case t.Kind == target.ImageName:
		return Instruction{Before: "Rename " + t.Now + " to", Pencil: t.Wanted}
	}
	return Instruction{w.before, phrase, w.after}
}

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

// Evidence words why a target is there.
func Evidence(t target.Target, c WordCase) string {
	var parts []string
	switch {
	case t.Kind == target.Words, t.Kind == target.NewPage:
		return WordEvidence(*t.Words, c)
	case t.Kind == target.ImageName:
		parts = append(parts, Verdict(t.Verdict))
		if t.RivalsHave > 0 {
			parts = append(parts, shareOfRivals(t)+" names with a phrase")
		}
		return strings.Join(parts, " · ")
	case t.Late:
		parts = append(parts, fmt.Sprintf("it is there, but after the first %d characters", t.Within))
	case t.Now != "":
		parts = append(parts, "now "+quoted(t.Now))
	case t.Loose && t.Lead:
		parts = append(parts, "only in another form so far")
	case t.Loose:
	case target.RuleOf(t.Kind).OneText:
		parts = append(parts, "there is none now")
	default:
		parts = append(parts, "missing now")
	}
	if t.Loose && !t.Lead {
		parts = append(parts, "the words are there, but not as one phrase")
	}
	if t.Rivals > 0 {
		parts = append(parts, shareOfRivals(t)+" it")
	}
	return strings.Join(parts, " · ")
}

// WordEvidence words which rule decided a word target (rule 8.4).
func WordEvidence(w target.WordTarget, c WordCase) string {
	var parts []string
	switch {
	case c.HasPage && w.Rule == target.NoTarget:
		parts = append(parts, Count(c.Seen, "word", ""))
	case c.HasPage:
		parts = append(parts, fmt.Sprintf("%s → %s words", Number(c.Seen), Number(w.Target)))
	case c.HasURL:
		parts = append(parts, "the page at its address has not been read")
	default:
		parts = append(parts, "there is no page yet")
	}
	if w.Rule == target.NoTarget {
		return parts[0]
	}
	mark := "the mark"
	if w.MarkOf >= 0 {
		mark = c.Names[w.MarkOf]
	}
	mark = fmt.Sprintf("%s has %s", mark, Number(int(w.Mark)))
	switch {
	case w.Rule == target.ByRivals:
		parts = append(parts, mark+": "+Beat(w.Figures))
	case w.Rule == target.ByCeiling && w.BeatsMark:
		parts = append(parts, fmt.Sprintf("%s; the ceiling is %s", mark, Number(w.Guideline.Ceiling)))
	case w.Rule == target.ByCeiling:
		parts = append(parts, fmt.Sprintf("%s; the ceiling of %s does not beat it", mark, Number(w.Guideline.Ceiling)))
	case w.Mark > 0:
		parts = append(parts, fmt.Sprintf("guideline starts at %s; %s", Number(w.Guideline.Low), mark))
	default:
		parts = append(parts, fmt.Sprintf("guideline starts at %s", Number(w.Guideline.Low)))
	}
	for _, i := range w.SetAside {
		parts = append(parts, fmt.Sprintf("%s with %s does not count: too far above the others", c.Names[i], Number(c.Words[i])))
	}
	return strings.Join(parts, " · ")
}

// Beat words by how much the mark is to be beaten.
func Beat(f target.WordFigures) string {
	switch {
	case f.BeatPercent == 0 && f.BeatWords == 0:
		return "match it"
	case f.BeatPercent == 0:
		return "beat it by " + Count(int(f.BeatWords), "word", "")
	case f.BeatWords == 0:
		return fmt.Sprintf("beat it by %v%%", f.BeatPercent)
	}
	return fmt.Sprintf("beat it by %v%% (at least %s)", f.BeatPercent, Count(int(f.BeatWords), "word", ""))
}

// shareOfRivals begins what some of the rivals have: "1 of 4 rivals has".
func shareOfRivals(t target.Target) string {
	have := "have"
	if t.RivalsHave == 1 || t.Rivals == 1 {
		have = "has"
	}
	return fmt.Sprintf("%d of %s %s", t.RivalsHave, Count(t.Rivals, "rival", ""), have)
}

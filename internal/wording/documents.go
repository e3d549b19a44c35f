package wording

import (
	"fmt"
	"strings"

	"inktally/core/handoff"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/wordtarget"
)

// BriefTitle returns the title of the brief of a page.
func BriefTitle(kind site.Kind, client string) string {
	return fmt.Sprintf("Brief: %s page of %s", kind, client)
}

// BriefWords words the figure at the head of a brief, of a page of so many words now.
func BriefWords(t wordtarget.Target, now int) Instruction {
	words := Count(now, "word", "")
	if t.Hold {
		return Instruction{Before: words + ": the page has enough. The work is where the phrases stand."}
	}
	return Instruction{Before: fmt.Sprintf("%s now, %s wanted:", words, Number(t.Target)),
		Pencil: Count(t.ToWrite, "word", ""),
		After: fmt.Sprintf("to write. Hand in %s of copy; the rest are menus and footers.",
			Count(t.Writer, "word", ""))}
}

// BriefLine words a line of a brief: there a part stands without its target, so that it says
// itself what the target said.
func (w Teller) BriefLine(l handoff.Line) PartSays {
	says := w.Part(l.Target, l.Part)
	switch {
	case l.Part.Kind == plan.Words && l.Target.Kind == plan.Slice:
		whole := w.writeSection(l.Target)
		says.Before, says.Pencil = strings.TrimPrefix(whole.Before, "Write "), whole.Pencil
		says.After = strings.TrimSpace(whole.After + " " + says.After)
		says.Note = w.sliceEvidence(l.Target)
	case l.Part.Kind == plan.Repair:
		says.Note = w.Evidence(l.Target)
	}
	return says
}

// Done words what was written of the words that were missing, and what is left of them.
func Done(written, wanted, left int) (says, note string) {
	note = "enough now"
	if left > 0 {
		note = Count(left, "word", "") + " left"
	}
	return fmt.Sprintf("%s of %s", Number(written), Count(wanted, "word", "")), note
}

// The titles of what explains figures.
const (
	WhyPhraseTitle = "What the phrase brings"
	WhyWholeTitle  = "The whole"
)

// NotLive is the standing of a draft among pages.
const NotLive = "not live"

// DemandImport is what an import of search volumes from the source is called.
const DemandImport = "search volumes"

// ImageColumns returns the headings of a list of image names as a table.
func ImageColumns() []string {
	return []string{"page", "old name", "new name", "alt text now", "alt text"}
}

// BookColumns returns the headings of a phrase book as a table.
func BookColumns() []string {
	return []string{"phrase", "family", "searches", "area", "difficulty", "position", "intent", "why", "service",
		"place", "page", "kept", "gain of the family, an estimate", "worth of it, an estimate"}
}

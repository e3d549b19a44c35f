package wording

import (
	"fmt"
	"strings"

	"inktally/core/handoff"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/core/wordtarget"
)

// BriefTitle returns the title of the brief of a page.
func BriefTitle(page, client string) string {
	return fmt.Sprintf("Brief: %s page of %s", page, client)
}

// BriefWords words the figure at the head of a brief, of a page of so many words now.
func BriefWords(t wordtarget.Target, now int) Instruction {
	words := Count(now, "word", "")
	switch {
	case t.Rule == wordtarget.NoTarget:
		return Instruction{Before: words + ": nothing is to be written here."}
	case t.Hold:
		return Instruction{Before: words + ": the page has enough. The work is where the phrases stand."}
	}
	says := Instruction{Before: fmt.Sprintf("%s now, %s wanted:", words, Number(t.Target)),
		Pencil: Count(t.ToWrite, "word", ""), After: "to write."}
	if t.Writer < t.Target {
		says.After += fmt.Sprintf(" Hand in %s of copy; the rest are menus and footers.", Count(t.Writer, "word", ""))
	}
	return says
}

// BriefLine words a line of a brief: there a part stands without its target, so that it says
// itself what the target said.
func (w Teller) BriefLine(l handoff.Line) PartSays {
	says := w.Part(l.Target, l.Part)
	switch {
	case l.Heads():
		whole := w.writeSection(l.Target)
		says.Before, says.Pencil, says.After = whole.Before, whole.Pencil, whole.After
		if w.Page.Phrase != "" && l.Target.Mentions > 0 {
			says.After = strings.TrimSpace(fmt.Sprintf("%s · use %s %s", says.After, quoted(w.Page.Phrase),
				often(l.Target.Mentions)))
		}
		says.Note = w.sectionNote(l.Target)
	case l.Inside() && l.Part.Kind == plan.Body:
		says.Before, says.After, says.Note = "use", often(l.Part.Times())+" here", ""
	case l.Inside() && l.Part.Kind == plan.Subhead:
		says.Before, says.Note = "use", ""
	case l.Part.Kind == plan.Repair:
		says.Note = w.Evidence(l.Target)
	}
	return says
}

// sectionNote words what a writer needs of a section: all of its questions, each service of its list.
func (w Teller) sectionNote(t *plan.Target) string {
	if t.Section.Kind != outline.Questions || len(t.Asks) == 0 {
		return w.sliceEvidence(t)
	}
	var out []string
	for _, q := range t.Asks {
		out = append(out, question(q))
	}
	return "answer " + strings.Join(out, ", ")
}

// StaysTitle heads what of a page stays as it is.
const StaysTitle = "What stays"

// Stays words a text of a page that stays.
func Stays(s handoff.Stay) string {
	if s.Kind != plan.Subhead {
		return PartName(s.Kind) + ": " + quoted(s.Text)
	}
	return quoted(s.Text) + " with its " + Count(s.Words, "word", "")
}

// LineName words what a line of a brief is about.
func LineName(l handoff.Line) string {
	if l.Heads() {
		return "Section"
	}
	return PartName(l.Part.Kind)
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
		"place", "page", "kept", "gain in visits/mo, estimated", "worth, estimated", "gain counted under"}
}

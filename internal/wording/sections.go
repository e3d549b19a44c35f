package wording

import (
	"fmt"
	"strings"

	"inktally/core/copy"
	"inktally/core/outline"
	"inktally/core/plan"
)

// opening is what the first section of a page is called, which has no heading but the h1.
const opening = "opening section"

// Section words the heading of a section, in the client's language; that of the opening is a name of ours.
func (w Teller) Section(s outline.Section) string {
	if s.Heading != "" {
		return s.Heading
	}
	fill := func(pattern, name, value string) string {
		filled, _ := copy.Fill(pattern, copy.One(name, value))
		return filled
	}
	switch s.Kind {
	case outline.LeadSection:
		return opening
	case outline.ServiceText:
		return w.Display(s.Subject)
	case outline.ServiceList:
		return fill(w.Copy.Services, copy.Town, w.Page.Town)
	case outline.Questions:
		return w.Copy.Questions
	case outline.Towns:
		return w.Copy.Towns
	case outline.AboutFirm:
		return fill(w.Copy.About, copy.Firm, w.Firm)
	}
	return "New section"
}

// writeSection words the writing of a slice.
func (w Teller) writeSection(t *plan.Target) Instruction {
	says := Instruction{Before: "Write " + Count(t.ToWrite(), "word", "") + ":"}
	if t.Slices > 1 {
		says.After = fmt.Sprintf("(%d of %d)", t.Slice, t.Slices)
	}
	if t.Section.Kind == outline.LeadSection && t.Section.Heading == "" {
		says.Before += " " + opening // nothing to write on the page
		return says
	}
	says.Pencil = w.Section(t.Section)
	return says
}

// sliceEvidence words what is particular to a section: what holds it now, what rivals have of it, what it is to say.
func (w Teller) sliceEvidence(t *plan.Target) string {
	s := t.Section
	var parts []string
	if s.Holds > 0 {
		parts = append(parts, Count(s.Holds, "word", "")+" there now")
	}
	switch s.Kind {
	case outline.Questions:
		parts = append(parts, asked(t.Asks))
	case outline.Towns:
		parts = append(parts, list(w.Towns))
	case outline.ServiceList:
		each := t.ToWrite() / max(1, len(t.Lists))
		parts = append(parts, fmt.Sprintf("about %s and a link for each: %s", Count(each, "word", ""), list(t.Lists)))
	case outline.StandingText:
		parts = append(parts, standing[s.Subject])
	case outline.AboutFirm:
		parts = append(parts, "who does the work, and since when")
	}
	if theirs := w.theirs(s); theirs != "" {
		parts = append(parts, theirs)
	}
	if len(parts) == 0 {
		return "no rival has a section about " + quoted(w.Section(s))
	}
	return strings.Join(parts, " · ")
}

// standing is what the standing sections are to say.
var standing = map[string]string{
	"done":  "what you do on the day, and with what",
	"when":  "the signs that it is time",
	"visit": "from the call to the bill",
	"price": "what makes it cost more or less",
}

// theirs words what rivals have of a section.
func (w Teller) theirs(s outline.Section) string {
	if len(s.Theirs) == 0 {
		return ""
	}
	least, most := s.Theirs[len(s.Theirs)-1], s.Theirs[0]
	count := Count(most, "word", "")
	if least != most {
		count = fmt.Sprintf("%s to %s", Number(least), count)
	}
	if s.Kind == outline.LeadSection {
		return "rivals open with " + count
	}
	return fmt.Sprintf("%s a section about it, of %s", shareOf(s.Have, s.Rivals), count)
}

// question writes what people ask: what begins like a question with its mark, else as it is typed.
func question(q string) string {
	first, _, _ := strings.Cut(q, " ")
	if strings.HasSuffix(q, "?") || askWords[strings.ToLower(first)] {
		return quoted(Capital(strings.TrimSuffix(q, "?")) + "?")
	}
	return quoted(Capital(q))
}

// askWords are those that a question begins with, in the languages that texts are proposed in.
var askWords = map[string]bool{"how": true, "what": true, "why": true, "when": true, "where": true, "who": true,
	"which": true, "should": true, "can": true, "do": true, "does": true, "is": true, "are": true,
	"comment": true, "pourquoi": true, "quand": true, "combien": true, "quel": true, "quelle": true, "faut-il": true,
	"wie": true, "warum": true, "wann": true, "was": true, "welche": true,
	"cómo": true, "qué": true, "cuándo": true, "cuánto": true, "cuál": true}

// asked words questions that are to be answered.
func asked(questions []string) string {
	const shown = 2
	var out []string
	for _, q := range questions[:min(len(questions), shown)] {
		out = append(out, question(q))
	}
	says := strings.Join(out, ", ")
	if more := len(questions) - shown; more > 0 {
		says += fmt.Sprintf(" and %d more", more)
	}
	return says
}

package wording

import (
	"cmp"
	"fmt"
	"strings"

	"inktally/core/sheet"
	"inktally/core/target"
)

// PartSays is a part of a target in words: an instruction, and what there is now.
type PartSays struct {
	Instruction
	Note string
}

// partWords are what is said of a kind of part.
type partWords struct {
	name          string // as a label
	before, after string
}

var partKinds = map[target.PartKind]partWords{
	target.Title:       {"Title", "use", ""},
	target.Description: {"Meta description", "use", ""},
	target.Address:     {"URL", "include", ""},
	target.H1:          {"H1", "use", ""},
	target.Words:       {name: "Words"},
	target.Opening:     {"Opening", "add", fmt.Sprintf("to the first %d words", sheet.OpeningWords)},
	target.Subhead:     {"Subhead", "add", ""},
	target.Body:        {"Text", "add", ""},
	target.ImageName:   {"Image name", "", ""},
	target.Alt:         {"Alt text", "write", ""},
	target.MenuEntry:   {"Menu", "add this page to the menu", ""},
	target.HomeLink:    {"Link", "link to it from the home page", ""},
	target.Repair:      {name: "This"},
	target.WrongPlace:  {name: "Wrong town"},
	target.DeadLink:    {name: "Dead link"},
}

// PartName words a kind of part as a label.
func PartName(k target.PartKind) string { return partKinds[k].name }

// Part words what a part asks for, and what there is now.
func (w Teller) Part(t *target.Target, p *target.Part) PartSays {
	says := PartSays{Instruction: Instruction{Before: partKinds[p.Kind].before, After: partKinds[p.Kind].after}, Note: w.partEvidence(p)}
	switch p.Kind {
	case target.Words:
		says.Before = Count(p.Words, "word", "")
		if t.Mentions > 0 {
			says.After = fmt.Sprintf("with the page's first phrase %s", Count(t.Mentions, "time", ""))
		}
	case target.ImageName:
		says.Before, says.Pencil = "rename "+p.Image.File+" to", p.Image.Wanted
		if p.Adds() {
			says.Before = "add an image named"
		}
	case target.Alt:
		says.Pencil = w.Display(p.Says())
		if p.Image.File != "" {
			says.After = "for " + p.Image.File
		}
	case target.WrongPlace:
		says.Before = fmt.Sprintf("take %s out of the %s", p.Finding.Place, whereSays(p.Finding.Where))
	case target.DeadLink:
		says.Before = "link " + quoted(p.Finding.Label) + " to a page that is there, or remove it"
	case target.Repair:
		says.Before = w.Instruct(t).Before
		if p.Limit != nil {
			says.Before, says.Pencil = "use", w.Display(p.Says())
			says.After = fmt.Sprintf("%s at most", Count(p.Limit.Most, "time", ""))
		}
	default:
		if p.Slot == nil {
			break
		}
		says.Pencil = cmp.Or(p.Slot.Wanted, w.Display(p.Says()))
		if p.Kind == target.Body && p.Slot.Times > 1 {
			says.After = fmt.Sprintf("%d times", p.Slot.Times)
		}
	}
	if p.Choice.State == target.Changed {
		says.Instruction = Instruction{Pencil: p.Choice.Value}
	}
	return says
}

// partEvidence words what stands there now.
func (w Teller) partEvidence(p *target.Part) string {
	switch {
	case p.Kind == target.ImageName && !p.Adds():
		return Verdict(p.Image.Verdict)
	case p.Kind == target.ImageName, p.Kind == target.MenuEntry, p.Kind == target.HomeLink, p.Kind == target.Words:
		return ""
	case p.Kind == target.DeadLink:
		return p.Finding.URL + " is not there"
	case p.Kind == target.WrongPlace:
		return Finding(*p.Finding)
	case p.Limit != nil:
		return fmt.Sprintf("there %s now", Count(p.Limit.Now, "time", ""))
	case p.Kind == target.Repair, p.Kind == target.Alt:
		return ""
	case p.Slot.Late:
		return fmt.Sprintf("it is there, but after the first %d characters", p.Slot.Within)
	case p.Phrase.Member:
		return searches(p.Phrase.Searches) + " in this order"
	}
	return strings.Join(slotNow(p.Kind, p.Slot), " · ")
}

func slotNow(k target.PartKind, s *target.Slot) (parts []string) {
	switch {
	case s.Now != "":
		parts = append(parts, "now "+quoted(s.Now))
	case s.Loose && s.Lead:
		parts = append(parts, "only in another form so far")
	case s.Loose:
	case target.PartRuleOf(k).OneText:
		parts = append(parts, "there is none now")
	default:
		parts = append(parts, "missing now")
	}
	if s.Loose && !s.Lead {
		parts = append(parts, "the words are there, but not as one phrase")
	}
	return parts
}

func searches(n int) string { return Number(n) + " searches/mo" }

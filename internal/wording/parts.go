package wording

import (
	"cmp"
	"fmt"
	"strings"

	"inktally/core/finding"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"
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

var partKinds = map[plan.PartKind]partWords{
	plan.Title: {"Title", "use", ""}, plan.Description: {"Meta description", "use", ""},
	plan.Address: {"URL", "use", ""}, plan.H1: {"H1", "use", ""},
	plan.Words:   {name: "Words"},
	plan.Opening: {"Opening", "add", fmt.Sprintf("to the first %d words", sheet.OpeningWords)},
	plan.Subhead: {"Subhead", "add", ""}, plan.Body: {"Text", "add", ""},
	plan.ImageName: {"Image name", "", ""}, plan.Alt: {"Alt text", "write", ""},
	plan.MenuEntry: {"Menu", "add this page to the menu", ""},
	plan.HomeLink:  {"Link", "link to it from the home page", ""},
	plan.Repair:    {name: "Fix"}, plan.WrongPlace: {name: "Wrong town"},
	plan.DeadLink: {name: "Dead link"}, plan.AddLink: {name: "Internal link"}, plan.Listing: {name: "Directory"},
}

// PartName words a kind of part as a label.
func PartName(k plan.PartKind) string { return partKinds[k].name }

// Part words what a part asks for, and what there is now.
func (w Teller) Part(t *plan.Target, p *plan.Part) PartSays {
	says := PartSays{Instruction: Instruction{Before: partKinds[p.Kind].before, After: partKinds[p.Kind].after},
		Note: w.partEvidence(p)}
	switch p.Kind {
	case plan.Words:
		says.Before = Count(p.Words, "word", "")
		if t.Mentions > 0 {
			says.After = "in which the page's first phrase stands " + often(t.Mentions)
		}
	case plan.ImageName:
		says.Before, says.Pencil = "rename "+p.Image.File+" to", p.Image.Wanted
		if p.Adds() {
			says.Before = "add an image named"
		}
	case plan.Alt:
		says.Pencil = p.Image.Wanted
		if p.Image.File != "" {
			says.After = "for " + p.Image.File
		}
	case plan.WrongPlace:
		says.Before = w.wrongPlace(p)
	case plan.DeadLink:
		says.Before = "point " + quoted(p.Finding.Label) + " to a page that exists, or remove the link"
	case plan.AddLink:
		says.Before, says.Pencil = "link to "+site.PathOf(p.Finding.URL)+" with the words", w.Display(p.Finding.Label)
	case plan.Listing:
		says.Before = "get listed in " + p.Finding.Label
	case plan.Repair:
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
		if p.Kind == plan.Body && p.Slot.Times > 1 {
			says.After = often(p.Slot.Times)
		}
	}
	if p.Choice.State == plan.Changed {
		says.Instruction = Instruction{Pencil: p.Choice.Value}
	}
	return says
}

// wrongPlace words how a wrong town is mended: the page's own takes its stead, but in a subhead and a text it is told
// alone (rule 5.2).
func (w Teller) wrongPlace(p *plan.Part) string {
	switch where := whereSays(p.Finding.Where); p.Finding.Where {
	case finding.InTitle, finding.InH1, finding.InURL, finding.InAlt:
		return fmt.Sprintf("write %s instead of %s in the %s", w.Page.Town, p.Finding.Place, where)
	default:
		return fmt.Sprintf("check %s in the %s: this page is for %s", p.Finding.Place, where, w.Page.Town)
	}
}

// often words how many times.
func often(n int) string {
	switch n {
	case 1:
		return "once"
	case 2:
		return "twice"
	}
	return fmt.Sprintf("%d times", n)
}

// partEvidence words what stands there now.
func (w Teller) partEvidence(p *plan.Part) string {
	switch {
	case p.Kind == plan.ImageName && !p.Adds():
		return Verdict(p.Image.Verdict, p.Image.File)
	case p.Kind == plan.ImageName, p.Kind == plan.MenuEntry, p.Kind == plan.HomeLink, p.Kind == plan.Words:
		return ""
	case p.Kind == plan.DeadLink:
		return p.Finding.URL + " is not there"
	case p.Kind == plan.WrongPlace, p.Kind == plan.AddLink, p.Kind == plan.Listing:
		return Finding(*p.Finding)
	case p.Limit != nil:
		return fmt.Sprintf("there %s now", Count(p.Limit.Now, "time", ""))
	case p.Kind == plan.Repair, p.Kind == plan.Alt:
		return ""
	case p.Slot.Late:
		return fmt.Sprintf("it is there, but after the first %d characters", p.Slot.Within)
	case p.Phrase.Member:
		return searches(p.Phrase.Searches) + " in this order"
	case !w.Page.There: // nobody asks what a page says that is to be made
		return ""
	}
	if p.Kind == plan.Address && p.Slot.Now != "" {
		return "now " + p.Slot.Now + " · redirect the old address to the new one"
	}
	return strings.Join(slotNow(p.Kind, p.Slot), " · ")
}

func slotNow(k plan.PartKind, s *plan.Gap) (parts []string) {
	switch {
	case s.Now != "":
		parts = append(parts, "now "+quoted(s.Now))
	case s.Loose && s.Lead:
		parts = append(parts, "only in another form so far")
	case s.Loose:
	case plan.PartRuleOf(k).OneText:
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

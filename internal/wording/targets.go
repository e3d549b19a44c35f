package wording

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"inktally/core/copy"
	"inktally/core/finding"
	"inktally/core/ladder"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/wordtarget"
)

// Instruction is what to do, in three pieces: Pencil is what is to be written on
// the page, Before and After what stands around it.
type Instruction struct{ Before, Pencil, After string }

// String returns an instruction as one text.
func (i Instruction) String() string {
	return strings.Join(slices.DeleteFunc([]string{i.Before, i.Pencil, i.After},
		func(s string) bool { return s == "" }), " ")
}

// Teller words the targets of a client.
type Teller struct {
	// Display writes a phrase as it would stand in a text.
	Display func(phrase string) string
	// Firm is the name of the business; Page the page that a target is about, and Rivals
	// the names of the firms whose pages stand beside it, in the order of its indices.
	Firm   string
	Page   PageCase
	Rivals []string
	// Towns are the communities that the client works in, Copy the texts of its language.
	Towns []string
	Copy  copy.Texts
}

// PageCase is the page that a target is about.
type PageCase struct {
	// Name is what it is called: Home, Masonry repair.
	Name string
	// Kind, Words and There are what it is now, Town is where it is for; HasURL reports whether it has an
	// address.
	Kind site.Kind
	Town string
	// Phrase is its first phrase as it would stand in a text, empty for none.
	Phrase        string
	Words         int
	There, HasURL bool
	// Have counts the rivals that have such a page, of Sites whose sites are known.
	Have, Sites int
	// RivalWords are the words of the rivals' pages.
	RivalWords []int
}

var kindNames = map[plan.Kind]string{
	plan.Fix: "Fix first", plan.Placing: "Phrases", plan.Images: "Images", plan.Slice: "Words",
	plan.NewPage: "New page", plan.Split: "Split", plan.Redirect: "Redirect", plan.Rewrite: "Rewrite",
	plan.Merge: "Merge", plan.VagueWords: "Towns", plan.CutBack: "Overuse", plan.ByHand: "Added",
}

// Kind words a kind of target as a label.
func Kind(k plan.Kind) string { return kindNames[k] }

// Idle words what was said of a target or part of a kind that is no longer in the plan.
func Idle(kind, about string, c plan.Choice) string {
	name := PartName(plan.PartKind(kind))
	if name == "" {
		name = Kind(plan.Kind(kind))
	}
	if about != "" {
		name = strings.TrimPrefix(name+" "+quoted(about), " ")
	}
	says := name + ": " + string(c.State)
	if c.State == plan.Changed {
		says += " to " + quoted(c.Value)
	}
	if c.Reason != "" {
		says += ", " + quoted(c.Reason)
	}
	return says
}

// Front words a front as a heading.
func Front(f plan.Front) string {
	return map[plan.Front]string{plan.WordsFront: "Words", plan.PhrasesFront: "Phrases and headings",
		plan.ImagesFront: "Images", plan.PagesFront: "Pages"}[f]
}

// LadderFront words what two firms are held against each other by.
func LadderFront(f ladder.Front) string {
	return map[ladder.Front]string{ladder.Words: "Words", ladder.Slots: "Places of the first phrase",
		ladder.Images: "Images named for it",
		ladder.Pages:  "Pages for services and towns", ladder.FoundFor: "Phrases found for",
		ladder.Links: "Referring domains", ladder.Listings: "Citations", ladder.Reviews: "Reviews"}[f]
}

// Where words a part of a brief as a heading.
func Where(p plan.Where) string {
	return map[plan.Where]string{plan.WholePage: "The page", plan.Head: "Title, H1 and URL", plan.Text: "The text",
		plan.Pictures: "The images"}[p]
}

// Instruct words what a target asks for.
func (w Teller) Instruct(t *plan.Target) Instruction {
	switch t.Kind {
	case plan.Fix:
		return w.fix(t)
	case plan.Placing:
		return Instruction{"Use", w.Display(t.Phrase), "in " + Count(Placings(t), "place", "")}
	case plan.Images:
		return Instruction{Before: images(t)}
	case plan.Slice:
		return w.writeSection(t)
	case plan.NewPage:
		return Instruction{Before: w.newPage(t)}
	case plan.Split:
		return Instruction{Before: "Move each service on this page to a page of its own"}
	case plan.Redirect:
		return Instruction{Before: "Redirect " + site.PathOf(t.Finding.URL) + " to " + pageAt(t.Finding.Other)}
	case plan.Merge:
		return Instruction{Before: "Move what only this page says to " + site.PathOf(t.Finding.Other) +
			", then redirect it there"}
	case plan.Rewrite:
		return Instruction{Before: "Rewrite this page for its own town"}
	case plan.VagueWords:
		return Instruction{Before: "Name the towns instead of " + quoted(t.Finding.Text())}
	case plan.CutBack:
		return Instruction{Before: "Use " + Count(len(t.Parts), "phrase", "") + " less often"}
	}
	return Instruction{Before: t.Text}
}

// pageAt words the page at an address of the client's site.
func pageAt(address string) string {
	if path := site.PathOf(address); path != "/" {
		return path
	}
	return "the home page"
}

// plainFixes are the fixes that are said in the same words of every page.
var plainFixes = map[finding.Type]string{
	finding.PlaceholderText: "Remove the placeholder text",
	finding.NoIndex:         "Let search engines list this page: remove its noindex",
	finding.HTTPBesideHTTPS: "Redirect every http address to https",
	finding.HTTPOnly:        "Move the site to https",
	finding.PhoneNotLinked:  "Make the phone number click to call",
	finding.NoBusinessData:  "Add the business as structured data",
	finding.NoTestimonial:   "Add a testimonial to this page",
	finding.NoCallToAct:     "Add a call to action to this page",
}

func (w Teller) fix(t *plan.Target) Instruction {
	says, ok := plainFixes[t.Finding.Type]
	if ok {
		return Instruction{Before: says}
	}
	switch t.Finding.Type {
	case finding.DeadLink, finding.SoftNotFound:
		says = "Repair " + Count(len(t.Parts), "dead link", "")
	case finding.NoHomeLink, finding.Orphan:
		says = "Link to " + Count(len(t.Parts), "page", "") + " from this one"
	case finding.DirectoryAhead:
		says = "Get listed in " + Count(len(t.Parts), "directory", "directories")
		if len(t.Parts) == 1 {
			says = "Get listed in " + t.Parts[0].Finding.Label
		}
	default:
		says = "Fix the wrong town in " + Count(len(t.Parts), "place", "")
	}
	return Instruction{Before: says}
}

// newPage words what making a page holds: its first words. Its head is told beside it.
func (w Teller) newPage(t *plan.Target) string {
	first := t.ToWrite()
	switch {
	case t.Words.Rule == wordtarget.NoTarget:
		return "Create this page"
	case first == 0 || first >= t.Words.ToWrite:
		return "Create this page with its " + Count(t.Words.ToWrite, "word", "")
	}
	return fmt.Sprintf("Create this page with %s of its %s", Number(first), Count(t.Words.ToWrite, "word", ""))
}

// open returns the parts that are not dropped.
func open(t *plan.Target, kinds ...plan.PartKind) (out []plan.Part) {
	for _, p := range t.Parts {
		if p.Choice.State != plan.Dropped && (len(kinds) == 0 || slices.Contains(kinds, p.Kind)) {
			out = append(out, p)
		}
	}
	return out
}

// Placings are in how many places a phrase is to be put.
func Placings(t *plan.Target) int {
	n := 0
	for _, p := range open(t) {
		n += p.Times()
	}
	return n
}

func images(t *plan.Target) string {
	renames, adds := 0, 0
	for _, p := range open(t, plan.ImageName) {
		if p.Adds() {
			adds++
		} else {
			renames++
		}
	}
	alts := len(open(t, plan.Alt))
	var parts []string
	if renames > 0 {
		parts = append(parts, "rename "+Count(renames, "image", ""))
	}
	if adds > 0 {
		parts = append(parts, "add "+Count(adds, "image", ""))
	}
	if alts > 0 {
		parts = append(parts, "write "+Count(alts, "alt text", ""))
	}
	return Capital(strings.Join(parts, ", "))
}

// Capital writes a text with a capital at its beginning.
func Capital(s string) string {
	first, size := utf8.DecodeRuneInString(s)
	if size == 0 {
		return s
	}
	return string(unicode.ToUpper(first)) + s[size:]
}

// Evidence words why a target is there, in one line.
func (w Teller) Evidence(t *plan.Target) string {
	switch t.Kind {
	case plan.Fix:
		return w.fixEvidence(t)
	case plan.Placing:
		return w.placingEvidence(t)
	case plan.Images:
		return w.imagesEvidence(t)
	case plan.Slice:
		return w.sliceEvidence(t)
	case plan.NewPage:
		return w.newPageEvidence(t)
	case plan.Merge:
		return "both pages are for " + cmp.Or(strings.Join(t.Finding.Services, ", "), t.Finding.Place)
	case plan.Split, plan.Redirect, plan.Rewrite:
		return Finding(*t.Finding)
	case plan.VagueWords:
		return list(w.Towns)
	case plan.CutBack:
		p := t.Parts[0]
		return fmt.Sprintf("%s is there %s, %d is enough", quoted(w.Display(p.Says())), Count(p.Limit.Now, "time", ""),
			p.Limit.Most)
	}
	return "added by hand"
}

func (w Teller) fixEvidence(t *plan.Target) string {
	if t.Finding.Text() != "" || t.Parts[0].Finding == nil && t.Parts[0].Image == nil {
		return Finding(*t.Finding)
	}
	var parts []string
	for i := range t.Parts {
		switch p, note := &t.Parts[i], w.Part(t, &t.Parts[i]).Note; p.Kind {
		case plan.AddLink:
			parts = append(parts, w.Display(p.Finding.Label))
		case plan.ImageName:
			parts = append(parts, p.Image.File+" "+note)
		default:
			parts = append(parts, note)
		}
	}
	return strings.Join(parts, " · ")
}

// placingEvidence returns in which slots the rivals have the phrase.
func (w Teller) placingEvidence(t *plan.Target) string {
	var have, none []string
	of := 0
	for _, p := range open(t) {
		switch name := slotNames[p.Kind]; {
		case p.Rivals.Of == 0 || p.IsMember():
		case p.Rivals.Have == 0:
			of, none = p.Rivals.Of, append(none, name)
		case len(have) == 0:
			have = append(have, fmt.Sprintf("%s it in the %s", shareOf(p.Rivals.Have, p.Rivals.Of), name))
		case len(have) < shownSlots:
			have = append(have, fmt.Sprintf("%d in the %s", p.Rivals.Have, name))
		}
	}
	switch {
	case len(have) > 0:
		return strings.Join(have, ", ")
	case len(none) > 0:
		where := either(none[:min(len(none), shownSlots)])
		if of == 1 {
			return "the one rival measured does not have it in the " + where
		}
		return fmt.Sprintf("none of %s has it in the %s", Count(of, "rival", ""), where)
	}
	return "missing now, or there in other words"
}

// either writes names one after another, one of which is meant: title, meta description or H1.
func either(names []string) string {
	last := len(names) - 1
	if last < 1 {
		return list(names)
	}
	return list(names[:last]) + " or " + names[last]
}

// shownSlots is for how many places the evidence tells what rivals have.
const shownSlots = 3

// slotNames are the places of a page in a sentence.
var slotNames = map[plan.PartKind]string{plan.Title: "title", plan.Description: "meta description", plan.Address: "URL",
	plan.H1: "H1", plan.Opening: "opening", plan.Subhead: "subheads", plan.Body: "text", plan.Alt: "alt texts"}

func (w Teller) imagesEvidence(t *plan.Target) string {
	names := open(t, plan.ImageName)
	if len(names) == 0 {
		return w.partEvidence(&t.Parts[0])
	}
	says := names[0].Image.Wanted
	if !names[0].Adds() {
		says = names[0].Image.File + " → " + says
	}
	if len(names) > 1 {
		says += fmt.Sprintf(" and %d more", len(names)-1)
	}
	return says
}

func (w Teller) newPageEvidence(t *plan.Target) string {
	says := "title, H1 and opening"
	if w.Page.Kind != site.Home {
		says = "title, URL, H1 and opening"
	}
	switch {
	case w.Page.HasURL:
		says += " · the page at its address has not been read"
	case w.Page.Sites > 0:
		says += " · " + shareOf(w.Page.Have, w.Page.Sites) + " one"
	}
	if t.Words.Rule == wordtarget.ByRivals || t.Words.Rule == wordtarget.ByCeiling {
		mark := "the mark"
		if m := t.Words.MarkOf; m >= 0 && m < len(w.Rivals) {
			mark = w.Rivals[m]
		}
		says += fmt.Sprintf(" · %s has %s words", mark, Number(int(t.Words.Mark)))
	}
	return says
}

// shareOf begins what some of the rivals have: "1 of 4 rivals has".
func shareOf(have, all int) string {
	verb := "have"
	switch {
	case have == 0:
		return "no rival has"
	case have == 1 && all == 1:
		return "the one rival measured has"
	case have == 1 || all == 1:
		verb = "has"
	}
	return fmt.Sprintf("%d of %s %s", have, Count(all, "rival", ""), verb)
}

// list writes names one after another.
func list(names []string) string { return strings.Join(names, ", ") }

package telling

import (
	"fmt"

	"inktally/core/finding"
	"inktally/core/handoff"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/internal/wording"
)

// Page words a page as an owner would call it; name is what it is called.
func Page(p wording.PageCase, name string) string {
	if p.Kind == site.Home {
		return "your home page"
	}
	if !p.There {
		return "the new page “" + name + "”"
	}
	return "the page “" + name + "”"
}

// Job words a target as an owner would say it.
func Job(t *plan.Target, w wording.Teller, name string) string {
	on := Page(w.Page, name)
	switch t.Kind {
	case plan.Fix:
		return fix(t, on)
	case plan.NewPage:
		return newPage(t, w, name)
	case plan.Slice:
		return slice(t, w, on)
	case plan.Placing:
		return fmt.Sprintf("Put “%s” into %s of %s", w.Display(t.Phrase), wording.Count(wording.Placings(t),
			"place", ""), on)
	case plan.Images:
		return images(t, on)
	case plan.Split:
		return "Give each service on " + on + " a page of its own"
	case plan.Redirect:
		return fmt.Sprintf("Two addresses show the same page: send visitors of %s to %s", site.PathOf(t.Finding.URL),
			at(t.Finding.Other))
	case plan.Merge:
		return "Two pages are for the same: move what only " + on + " says to the other, and let it lead there"
	case plan.Rewrite:
		return "Rewrite " + on + " for its own town"
	case plan.VagueWords:
		return fmt.Sprintf("Name the towns you work in on %s, instead of “%s”", on, t.Finding.Text())
	case plan.CutBack:
		return fmt.Sprintf("Say %s less often on %s", wording.Count(len(t.Parts), "phrase", ""), on)
	}
	return t.Text
}

// at words the page at an address of the firm's site.
func at(address string) string {
	if path := site.PathOf(address); path != "/" {
		return path
	}
	return "your home page"
}

// slice words the writing of a section, or of one of several sittings of it.
func slice(t *plan.Target, w wording.Teller, on string) string {
	about := fmt.Sprintf("“%s”", w.Section(t.Section))
	if t.Section.Kind == outline.LeadSection && t.Section.Heading == "" {
		about = "how it begins"
	}
	if t.Slices > 1 {
		about += fmt.Sprintf(", part %d of %d", t.Slice, t.Slices)
	}
	return fmt.Sprintf("Write %s for %s: %s", wording.Count(t.ToWrite(), "word", ""), on, about)
}

// plainFixes are the fixes of a page or site that need no figure.
var plainFixes = map[finding.Type]string{
	finding.PlaceholderText: "Take out the filler text that was left on %s",
	finding.NoIndex:         "Let search engines show %s: a setting keeps them out",
	finding.PhoneNotLinked:  "Let people call by tapping the phone number on %s",
	finding.NoTestimonial:   "Add the words of a customer to %s",
	finding.NoCallToAct:     "Ask visitors on %s to call you",
}

// siteFixes are those that are about the whole site.
var siteFixes = map[finding.Type]string{
	finding.HTTPBesideHTTPS: "Send every visitor to the safe address of your site, the one with the padlock",
	finding.HTTPOnly:        "Make your site safe to visit, so that browsers show the padlock",
	finding.NoBusinessData:  "Add your name, address, phone and hours to the site in the form that search engines read",
}

func fix(t *plan.Target, on string) string {
	if says := plainFixes[t.Finding.Type]; says != "" {
		return fmt.Sprintf(says, on)
	}
	if says := siteFixes[t.Finding.Type]; says != "" {
		return says
	}
	switch t.Finding.Type {
	case finding.DeadLink, finding.SoftNotFound:
		if len(t.Parts) == 1 {
			return "Repair the one link on " + on + " that leads nowhere"
		}
		return fmt.Sprintf("Repair %s on %s that lead nowhere", wording.Count(len(t.Parts), "link", ""), on)
	case finding.NoHomeLink, finding.Orphan:
		return fmt.Sprintf("Link %s to %s that can hardly be found from it", on,
			wording.Count(len(t.Parts), "page", ""))
	case finding.DirectoryAhead:
		if len(t.Parts) == 1 {
			return "Get listed in " + t.Parts[0].Finding.Label + ", a directory that comes up before you"
		}
		return fmt.Sprintf("Get listed in %s that come up before you", wording.Count(len(t.Parts), "directory",
			"directories"))
	}
	return fmt.Sprintf("Correct the wrong town on %s, in %s", on, wording.Count(len(t.Parts), "place", ""))
}

func newPage(t *plan.Target, w wording.Teller, name string) string {
	if w.Page.Kind == site.Home {
		return "Make your home page"
	}
	says := "Make a page for “" + name + "”"
	if n := t.ToWrite(); n > 0 {
		says += ", with its first " + wording.Count(n, "word", "")
	}
	return says
}

func images(t *plan.Target, on string) string {
	names, alts, adds := 0, 0, 0
	for i := range t.Parts {
		p := &t.Parts[i]
		switch {
		case p.Choice.State == plan.Dropped:
		case p.Kind == plan.Alt:
			alts++
		case p.Adds():
			adds++
		default:
			names++
		}
	}
	var does []string
	if names > 0 {
		does = append(does, "give "+wording.Count(names, "picture", "")+" a name that says what it shows")
		if names > 1 {
			does[0] = "give " + wording.Count(names, "picture", "") + " names that say what they show"
		}
	}
	if adds > 0 {
		does = append(does, "add "+wording.Count(adds, "picture", ""))
	}
	if len(does) == 0 {
		does = append(does, "describe "+wording.Count(alts, "picture", "")+" in a few words")
	}
	return wording.Capital(And(does)) + ", on " + on
}

// Task words a task as a heading.
func Task(t handoff.Task) string {
	return map[handoff.Task]string{handoff.Make: "Pages to make", handoff.Write: "Words to write",
		handoff.Place: "The words that people search for", handoff.Name: "Pictures",
		handoff.PutRight: "What to put right first", handoff.Besides: "What else we agreed on"}[t]
}

// Work words a job; name is what its page is called.
func Work(task handoff.Task, j handoff.Job, w wording.Teller, name string) string {
	if len(j.Targets) == 1 && (task != handoff.Write || j.Words == 0) {
		return Job(j.Targets[0], w, name)
	}
	switch {
	case task == handoff.Write:
		return fmt.Sprintf("Write %s for %s", wording.Count(j.Words, "word", ""), Page(w.Page, name))
	case task == handoff.Make && w.Page.Kind == site.Home:
		return "Make your home page: " + held(j)
	case task == handoff.Make:
		return "Make a page for “" + name + "”: " + held(j)
	}
	return fmt.Sprintf("Give %s on %s a name that says what it shows", wording.Count(j.Pictures, "picture", ""),
		Page(w.Page, name))
}

// held words what a page to make holds.
func held(j handoff.Job) string {
	var says []string
	if j.Words > 0 {
		says = append(says, wording.Count(j.Words, "word", ""))
	}
	if j.Pictures > 0 {
		says = append(says, wording.Count(j.Pictures, "picture", ""))
	}
	if len(says) == 0 {
		return wording.Count(len(j.Targets), "job", "")
	}
	return And(says)
}

package wording

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/plan"
	"inktally/core/recap"
	"inktally/core/site"
	"inktally/core/wordtarget"
)

// RecapCase is what an imperative speaks of.
type RecapCase struct {
	// Names are what its pages are called, the one of most gain first; Made the pages that are to be made.
	Names []string
	Made  []PageCase
	// Phrase is the first phrase that it places, Words the word target of its first page with what decided it.
	Phrase string
	Words  wordtarget.Target
	Case   WordCase
	Teller Teller
}

// RecapSays is an imperative in words, with one line of proof.
type RecapSays struct{ Says, Evidence string }

// Recap words a front of the whole plan (rule 16.2).
func Recap(m recap.Imperative, c RecapCase) RecapSays {
	switch m.Fronts[0] {
	case plan.WordsFront:
		evidence := WordEvidence(c.Words, c.Case)
		if len(c.Names) > 1 {
			evidence = c.Names[0] + ": " + evidence
		}
		return RecapSays{"Write " + Count(m.Words, "word", "") + " on " + onPages(c.Names), evidence}
	case plan.PagesFront:
		return recapPages(m, c)
	case plan.ImagesFront:
		return RecapSays{"Name " + Count(m.Images, "image", ""), recapImages(m)}
	}
	says := fmt.Sprintf("Use the phrases of %s in %s", onPages(c.Names), Count(m.Places, "place", ""))
	if c.Phrase != "" && len(c.Names) == 1 {
		says = fmt.Sprintf("Use “%s” in %s", c.Phrase, Count(m.Places, "place", ""))
	}
	if len(m.Fronts) > 1 && m.Images > 0 {
		says += ", name " + Count(m.Images, "image", "")
	}
	return RecapSays{says, recapPlacing(m, c)}
}

// recapPages words the pages to make, and those that lead on.
func recapPages(m recap.Imperative, c RecapCase) RecapSays {
	counts, order := map[site.Kind]int{}, []site.Kind{}
	for _, p := range c.Made {
		if counts[p.Kind]++; counts[p.Kind] == 1 {
			order = append(order, p.Kind)
		}
	}
	var parts []string
	for _, k := range order {
		if k == site.Home {
			parts = append(parts, "the home page")
			continue
		}
		parts = append(parts, Count(counts[k], string(k)+" page", ""))
	}
	if len(parts) == 0 {
		return RecapSays{joining(m) + " " + onPages(c.Names), c.Teller.Evidence(m.Targets[0])}
	}
	most, known := 0, c.Made[0].Sites
	for _, p := range c.Made {
		most = max(most, p.Have)
	}
	evidence := some(c.Names[:min(len(c.Names), len(c.Made))])
	if known > 0 && len(c.Made) == 1 {
		evidence += fmt.Sprintf(" · %s one", shareOf(c.Made[0].Have, known))
	} else if most > 0 {
		evidence += fmt.Sprintf(" · up to %d of %s have one", most, Count(known, "rival", ""))
	}
	return RecapSays{"Make " + strings.Join(parts, " and "), evidence}
}

// joining words what is done with pages that are there: Redirect, merge.
func joining(m recap.Imperative) string {
	var verbs []string
	for _, of := range []struct {
		kind plan.Kind
		verb string
	}{{plan.Merge, "merge"}, {plan.Redirect, "redirect"}, {plan.Split, "split"}, {plan.Rewrite, "rewrite"}} {
		if slices.ContainsFunc(m.Targets, func(t *plan.Target) bool { return t.Kind == of.kind }) {
			verbs = append(verbs, of.verb)
		}
	}
	return Capital(either(verbs))
}

// recapPlacing words what rivals have of the first placing.
func recapPlacing(m recap.Imperative, c RecapCase) string {
	t := m.Targets[0]
	if at := slices.IndexFunc(m.Targets, func(t *plan.Target) bool {
		return t.Kind == plan.Placing && len(m.Pages) > 0 && t.Page == m.Pages[0]
	}); at >= 0 {
		t = m.Targets[at]
	}
	if says := c.Teller.Evidence(t); len(c.Names) == 1 || t.Phrase == "" {
		return says
	}
	return quoted(c.Teller.Display(t.Phrase)) + ": " + c.Teller.Evidence(t)
}

// recapImages words the first name.
func recapImages(m recap.Imperative) string {
	for _, t := range m.Targets {
		for i := range t.Parts {
			if p := &t.Parts[i]; p.Kind == plan.ImageName && !p.Adds() {
				return p.Image.File + " → " + p.Image.Wanted
			}
		}
	}
	return ""
}

// onPages words on which pages something is done.
func onPages(names []string) string {
	switch {
	case len(names) == 1 && names[0] == homeName:
		return "the home page"
	case len(names) == 1:
		return quoted(names[0])
	}
	return Count(len(names), "page", "")
}

// some writes the first names of a list, and how many more there are.
func some(names []string) string {
	const shown = 3
	if len(names) <= shown {
		return list(names)
	}
	return fmt.Sprintf("%s and %d more", list(names[:shown]), len(names)-shown)
}

// Fold words the small lines of a page.
func Fold(page string, lines int) string { return page + ": " + Count(lines, "small line", "") }

// homeName is what the home page is called.
const homeName = "Home"

// PageName words what a page is called: by what it is for, else by the last part of its address.
func PageName(kind site.Kind, service, place, url string) string {
	if kind == site.Home {
		return homeName
	}
	subject := strings.Join(strings.Fields(strings.Join([]string{service, place}, " ")), " ")
	if service != "" && place != "" {
		subject = service + ", " + place
	}
	if subject == "" {
		subject = site.LastOf(url)
	}
	if subject == "" && url != "" {
		return site.PathOf(url)
	}
	if subject == "" {
		subject = string(kind)
	}
	return Capital(subject)
}

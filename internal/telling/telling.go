// Package telling words what is told to an owner: the steps of a walk-through as somebody would say them, in plain
// English, with no word of the trade that an owner would have to ask about (rules 16.1, 16.3).
//
// In goes what core/handoff has put together; out come headlines and talking points.
package telling

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"inktally/core/handoff"
	"inktally/core/ladder"
	"inktally/core/sheet"
	"inktally/internal/wording"
)

// Says is a step in words: what stands on the screen in large type, in one line or two, and what is said to it.
type Says struct {
	Head   string
	Points []string
}

// perMinute is how many words are spoken in a minute (rule 16.3).
const perMinute = 130

// Minutes returns how long it takes to say texts.
func Minutes(texts ...string) float64 {
	return float64(len(strings.Fields(strings.Join(texts, " ")))) / perMinute
}

// Teller words the steps of a walk-through.
type Teller struct {
	*handoff.Walk
}

// Step words a step of the walk-through.
func (t Teller) Step(kind handoff.StepKind) Says {
	return map[handoff.StepKind]func() Says{
		handoff.Advantages: t.advantages, handoff.WordsStep: t.words, handoff.PhraseStep: t.phrase,
		handoff.ImagesStep: t.images, handoff.SearchStep: t.search, handoff.RivalStep: t.rival,
		handoff.PagesStep: t.pages, handoff.Listed: t.listed, handoff.LinksStep: t.links,
		handoff.VisitsStep: t.visits, handoff.WorthStep: t.worth, handoff.RecapStep: t.recap,
		handoff.NextStep: t.next,
	}[kind]()
}

// tells reports whether a step is told.
func (t Teller) tells(kind handoff.StepKind) bool { return slices.Contains(t.Steps(), kind) }

func (t Teller) advantages() Says {
	s := Says{Head: "First, what you already do better than the others."}
	for _, a := range t.Advantages {
		s.Points = append(s.Points, Advantage(a))
	}
	s.Points = append(s.Points, "That stays as it is. What follows builds on it.")
	return s
}

// Advantage words a front in which the client leads, or a detail that no rival has.
func Advantage(a handoff.Advantage) string {
	own, best := n(a.Own), none(int(a.Best))
	switch a.Front {
	case ladder.Words:
		return fmt.Sprintf("Your page has %s words. The longest of the other firms’ pages has %s.", own, best)
	case ladder.Slots:
		return fmt.Sprintf("Your page has the words that people search for in %s of the places that count, the best "+
			"of the others in %s.", own, best)
	case ladder.Images:
		return fmt.Sprintf("%s of your pictures are named for what they show. The best of the others has %s.", own,
			best)
	case ladder.Pages:
		return fmt.Sprintf("You have %s pages for your services and towns. The best of the others has %s.", own, best)
	case ladder.Links:
		return fmt.Sprintf("%s other websites lead to yours. The best of the others has %s.", own, best)
	case ladder.Listings:
		return fmt.Sprintf("You are in %s directories. The best of the others is in %s.", own, best)
	case ladder.Reviews:
		return fmt.Sprintf("Customers have written %s reviews about you. The best of the others has %s.", own, best)
	}
	return Detail(a.Detail)
}

// Detail words something of a page that an owner can see, and no rival has.
func Detail(d handoff.Detail) string {
	return map[handoff.Detail]string{
		handoff.Testimonial: "Your page lets customers speak. None of the other firms’ pages does.",
		handoff.YearsInIt:   "Your page says how long you have been doing this. None of the others does.",
		handoff.Calls:       "On a phone, one tap on your number starts the call. None of the others has that.",
		handoff.HasForm:     "People can write to you from your page. None of the others has a form.",
		handoff.HasVideo:    "Your page has a video. None of the others has one.",
		handoff.HasMap:      "Your page has a map that shows where you are. None of the others has one.",
	}[d]
}

func (t Teller) words() Says {
	w := t.Words
	s := Says{Head: fmt.Sprintf("Your home page has %s words.", wording.Number(w.Own))}
	if !w.There {
		s.Head = "Your home page is still to be written."
		if w.Best != nil {
			s.Head += fmt.Sprintf("\nThat of %s has %s words.", w.Best.Name, wording.Number(w.Best.Figure))
		}
	} else if w.Best != nil {
		s.Head += fmt.Sprintf("\n%s has %s.", w.Best.Name, wording.Number(w.Best.Figure))
	}
	if w.There {
		s.Points = append(s.Points, "That is everything a visitor can read on the page, menus included.",
			"You can check it yourself: select the whole page, copy it, and paste it into any word counter.")
	}
	s.Points = append(s.Points, "Words are what a search engine goes by. A short page tells it little about what you "+
		"do and where you do it, so it shows somebody else.")
	switch {
	case w.Best != nil && w.Target > w.Best.Figure && w.Best.Figure >= w.Enough:
		s.Points = append(s.Points, fmt.Sprintf("We want %s, so that yours is the page with more to say.",
			wording.Number(w.Target)))
	case w.Best != nil && w.Best.Figure < w.Enough:
		s.Points = append(s.Points, fmt.Sprintf("None of them has what a home page should have, which is %s. That "+
			"many are enough to lead.", wording.Number(w.Enough)))
	default:
		s.Points = append(s.Points, fmt.Sprintf("A page like this needs about %s.", wording.Number(w.Target)))
	}
	if w.There {
		s.Points = append(s.Points, fmt.Sprintf("So there are %s words to write. They do not have to be clever. They "+
			"have to answer what people ask before they call.", wording.Number(w.ToWrite)))
	}
	return s
}

func (t Teller) phrase() Says {
	p := t.Phrase
	s := Says{Head: fmt.Sprintf("People search for “%s”.", p.Phrase)}
	switch {
	case !p.There:
	case p.Own.Found == 0:
		s.Head += "\nYour page never says it."
	case p.Own.Found == 1:
		s.Head += "\nYour page says it once."
	default:
		s.Head += fmt.Sprintf("\nYour page says it %s times.", wording.Number(p.Own.Found))
	}
	if p.Searches != nil {
		s.Points = append(s.Points, fmt.Sprintf("Around here, that is typed in about %s times a month.",
			wording.Number(*p.Searches)))
	}
	if p.There {
		s.Points = append(s.Points, "Open your page, press Control and F, and type it in: your browser counts for you.")
	}
	if r := p.Rival; r != nil && len(r.Slots) > len(p.Own.Slots) {
		s.Points = append(s.Points, fmt.Sprintf("On the page of %s it stands in %s.", r.Name, some(Places(r.Slots))))
	}
	s.Points = append(s.Points, "These places weigh more than the rest of the page: a search engine reads them first "+
		"to find out what the page is about.",
		fmt.Sprintf("We will put it into %s.", some(Places(p.Missing))))
	return s
}

// mostPlaces bounds the places that are named in one breath.
const mostPlaces = 4

// some joins the first of many things as they are spoken.
func some(list []string) string {
	if more := len(list) - mostPlaces; more > 1 {
		return And(append(slices.Clone(list[:mostPlaces]), wording.Number(more)+" more places"))
	}
	return And(list)
}

// Places are the places of a page as an owner would call them, in the order of a page.
func Places(slots []sheet.Slot) (out []string) {
	names := map[sheet.Slot]string{sheet.Title: "the title of the page",
		sheet.Description: "the two lines below the title in the results",
		sheet.Address:     "the address of the page", sheet.H1: "the large heading",
		sheet.Subheads: "a smaller heading",
		sheet.Opening:  "the first lines", sheet.Body: "the text", sheet.Links: "a link",
		sheet.ImageNames: "the name of a picture",
		sheet.Alt:        "the description of a picture"}
	for _, s := range sheet.AllSlots() {
		if name := names[s]; name != "" && slices.Contains(slots, s) {
			out = append(out, name)
		}
	}
	return out
}

func (t Teller) images() Says {
	i := t.Images
	var names []string
	for _, r := range i.Names[:min(len(i.Names), 2)] {
		names = append(names, "“"+r.Now+"”")
	}
	s := Says{Head: "Your pictures have names like " + And(names) + "."}
	if len(i.Names) == 1 {
		s.Head = "One of your pictures is called " + names[0] + "."
	}
	s.Points = []string{"When you save the picture from the page, that is the name your computer suggests.",
		"A search engine reads it as well. A name like that tells it nothing about the work you do, or the town you " +
			"do it in."}
	if i.Rival != nil && i.Example != "" {
		s.Points = append(s.Points, fmt.Sprintf("%s has a picture called “%s”.", i.Rival.Name, i.Example))
	}
	s.Points = append(s.Points, fmt.Sprintf("Ours will be called “%s”. The picture stays the same, only its name is "+
		"new.",
		i.Names[0].Better))
	if len(i.Names) > 1 {
		s.Points = append(s.Points, fmt.Sprintf("We rename %s that way. It is a matter of minutes.",
			wording.Count(len(i.Names), "picture", "")))
	}
	return s
}

// And joins things as they are told: a, b and c.
func And(list []string) string {
	if len(list) < 2 {
		return strings.Join(list, "")
	}
	return strings.Join(list[:len(list)-1], ", ") + " and " + list[len(list)-1]
}

func n(f float64) string { return wording.Number(int(math.Round(f))) }

func none(i int) string {
	if i == 0 {
		return "none"
	}
	return wording.Number(i)
}

// Few writes a figure as it is told: whole, with a decimal under ten.
func Few(f float64) string {
	if f >= 9.95 {
		return n(f)
	}
	return strings.TrimSuffix(fmt.Sprintf("%.1f", f), ".0")
}

package app

import (
	"fmt"
	"strings"

	"inktally/core/target"

	"golang.org/x/text/language"
	"golang.org/x/text/message"
)

var numbers = message.NewPrinter(language.English)

// count writes a number with its thousands parted.
func count(n int) string { return numbers.Sprintf("%d", n) }

// display writes a phrase as it would stand in a text: places with their
// capitals, its first letter large.
func (s *study) display(phrase string) string {
	for _, p := range s.ground.Places {
		if at := strings.Index(strings.ToLower(phrase), strings.ToLower(p.Name)); at >= 0 && len(strings.ToLower(phrase)) == len(phrase) {
			phrase = phrase[:at] + p.Name + phrase[at+len(p.Name):]
		}
	}
	first := []rune(phrase)
	if len(first) > 0 {
		return strings.ToUpper(string(first[0])) + string(first[1:])
	}
	return phrase
}

// instruction words a target: what to do, and what of it is to be written.
func (s *study) instruction(t target.Target) (before, pencil string) {
	if t.Choice.State == target.Changed {
		return subjectNames[t.Subject] + ":", t.Choice.Value
	}
	phrase := s.display(t.Phrase)
	switch t.Subject {
	case target.AboutWords:
		return fmt.Sprintf("Write %s more words", count(t.Words.ToWrite)), ""
	case target.AboutNewPage:
		return fmt.Sprintf("Make this page: %s words", count(t.Words.Target)), ""
	case target.AboutTitle:
		return "Title: begin with", phrase
	case target.AboutDescription:
		return "Description: say", phrase
	case target.AboutAddress:
		return "Address: hold", phrase
	case target.AboutH1:
		return "h1: say", phrase
	case target.AboutSubhead:
		return "A subhead: say", phrase
	case target.AboutOpening:
		return "First 100 words: say", phrase
	case target.AboutBody:
		return "Text: say once, word for word,", phrase
	case target.AboutAlt:
		return "One alt text: say", phrase
	case target.AboutImageName:
		return fmt.Sprintf("Rename %s to", t.Now), t.Wanted
	}
	return string(t.Subject), phrase
}

var subjectNames = map[target.Subject]string{
	target.AboutWords: "Words", target.AboutNewPage: "New page", target.AboutTitle: "Title", target.AboutDescription: "Description",
	target.AboutAddress: "Address", target.AboutH1: "h1", target.AboutSubhead: "A subhead", target.AboutOpening: "First 100 words",
	target.AboutBody: "Text", target.AboutAlt: "One alt text", target.AboutImageName: "Image name",
}

// evidence words why a target is there.
func (s *study) evidence(t target.Target) string {
	var parts []string
	switch {
	case t.Subject == target.AboutWords, t.Subject == target.AboutNewPage:
		return s.wordEvidence(t)
	case t.Subject == target.AboutImageName:
		parts = append(parts, fmt.Sprintf("the name is %s", verdictWord(string(s.client.column.Verdicts[t.Image]))))
		if t.RivalsHave > 0 {
			parts = append(parts, fmt.Sprintf("%d of %d rivals have names that carry a phrase", t.RivalsHave, t.Rivals))
		}
		return strings.Join(parts, " · ")
	case t.Late:
		parts = append(parts, "it stands there, but behind the first 60 characters")
	case t.Now != "":
		parts = append(parts, fmt.Sprintf("now “%s”", t.Now))
	case t.Loose && t.Lead:
		parts = append(parts, "only in another form so far")
	case t.Loose:
	case hasOneText(t.Subject):
		parts = append(parts, "there is none now")
	default:
		parts = append(parts, "missing now")
	}
	if t.Loose && !t.Lead {
		parts = append(parts, "the words stand there loosely")
	}
	if t.Rivals > 0 {
		parts = append(parts, fmt.Sprintf("%d of %d rivals have it", t.RivalsHave, t.Rivals))
	}
	return strings.Join(parts, " · ")
}

func hasOneText(s target.Subject) bool {
	return s == target.AboutTitle || s == target.AboutDescription || s == target.AboutH1
}

// verdictWord puts a verdict into a sentence.
func verdictWord(verdict string) string {
	switch verdict {
	case "camera":
		return "the camera's"
	case "machine":
		return "a machine's"
	case "counter":
		return "a counter"
	case "near":
		return "near: it holds the service or the place, not both"
	case "wrong place":
		return "that of another place"
	}
	return verdict
}

// wordEvidence words which rule decided a word target (MEASURES 8.4).
func (s *study) wordEvidence(t target.Target) string {
	w := t.Words
	var parts []string
	if t.Subject == target.AboutNewPage {
		parts = append(parts, s.noPage())
	} else {
		parts = append(parts, fmt.Sprintf("%s → %s words seen", count(s.client.column.Page.Words.Seen), count(w.Target)))
	}
	switch w.Rule {
	case target.ByRivals:
		parts = append(parts, fmt.Sprintf("%s has %s; beat it by 15 %%, at least 100", s.markName(w), count(int(w.Mark))))
	case target.ByCeiling:
		why := fmt.Sprintf("%s has %s; the guideline's ceiling is %s", s.markName(w), count(int(w.Mark)), count(w.Guideline.Ceiling))
		if !w.BeatsMark {
			why += ", which does not pass it"
		}
		parts = append(parts, why)
	default:
		why := fmt.Sprintf("the guideline's least is %s", count(w.Guideline.Low))
		if w.Mark > 0 {
			why += fmt.Sprintf("; %s has %s", s.markName(w), count(int(w.Mark)))
		}
		parts = append(parts, why)
	}
	for _, i := range w.SetAside {
		r := s.read()[i]
		parts = append(parts, fmt.Sprintf("%s with %s is set aside as too far off", r.name, count(r.column.Page.Words.Seen)))
	}
	return strings.Join(parts, " · ")
}

// noPage says why a page is to be made as if there were none.
func (s *study) noPage() string {
	if s.page.URL == "" {
		return "there is no page yet"
	}
	return "the page at its address was not read"
}

func (s *study) markName(w *target.WordTarget) string {
	if w.MarkOf < 0 {
		return "the mark"
	}
	return s.read()[w.MarkOf].name
}

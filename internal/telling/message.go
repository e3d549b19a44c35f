package telling

import (
	"fmt"
	"strings"

	"inktally/core/handoff"
	"inktally/core/plan"
	"inktally/internal/wording"
)

// MostWords bounds a message to the owner (rule 16.3).
const MostWords = 150

// Message words a message to the owner: where the firm stands, the recap with a figure of proof each, what it may
// bring.
// It promises no place, and has at most 150 words: what is too much goes, proofs first.
func (t Teller) Message() string {
	proofs := make([]string, len(t.Recap))
	for i, m := range t.Recap {
		proofs[i] = t.proof(m.Front)
	}
	for {
		text := t.message(proofs)
		last := len(proofs) - 1
		if len(strings.Fields(text)) <= MostWords || last < 0 {
			return text
		}
		proofs = proofs[:last]
	}
}

func (t Teller) message(proofs []string) string {
	lines := []string{"Hello,", ""}
	if r := t.Search; r != nil {
		says := fmt.Sprintf("I searched for “%s”: %s.", r.Phrase, strings.TrimSuffix(strings.TrimPrefix(stand(r),
			"In this search "), "."))
		if t.Rival != nil && t.Rival.Organic == 1 {
			says += " First is " + t.Rival.Name + "."
		}
		lines = append(lines, says, "")
	}
	if len(t.Recap) > 0 {
		lines = append(lines, "This is what I would do, in this order:", "")
	}
	for i, m := range t.Recap {
		says := fmt.Sprintf("%d. %s.", i+1, m.Says)
		if i < len(proofs) && proofs[i] != "" {
			says += " " + proofs[i]
		}
		lines = append(lines, says)
	}
	if v := t.Visits; v != nil && v.Aimed > v.Now {
		lines = append(lines, "", fmt.Sprintf("Searches bring you %s a month from people who are ready to hire. "+
			"About %s are possible: an estimate, and no promise.", visits(v.Now), n(v.Aimed)))
	}
	if t.Next.Fit > 0 {
		lines = append(lines, "", fmt.Sprintf("In %s we get %s done. Shall I begin?", Hours(t.Next.Hours),
			wording.Count(t.Next.Fit, "job", "")))
	} else if len(t.Recap) == 0 {
		lines = append(lines, t.next().Points...)
	}
	return strings.Join(lines, "\n")
}

// proof words one figure that proves what is to be done on a front.
func (t Teller) proof(front plan.Front) string {
	switch {
	case front == plan.WordsFront && t.Words != nil && t.Words.Best != nil && t.Words.There:
		return fmt.Sprintf("Your home page has %s words, that of %s %s.", wording.Number(t.Words.Own),
			t.Words.Best.Name,
			wording.Number(t.Words.Best.Figure))
	case front == plan.PagesFront && t.Pages != nil && t.Pages.Best != nil && t.Pages.Best.Figure > t.Pages.Own:
		return fmt.Sprintf("%s has %s, you have %s.", t.Pages.Best.Name, wording.Count(t.Pages.Best.Figure, "page", ""),
			none(t.Pages.Own))
	case front == plan.PhrasesFront && t.Phrase != nil && t.Phrase.There && len(t.Phrase.Missing) > 0:
		return fmt.Sprintf("“%s” is missing from %s of your home page.", t.Phrase.Phrase,
			wording.Count(len(t.Phrase.Missing), "place", ""))
	case front == plan.ImagesFront && t.tells(handoff.ImagesStep):
		return fmt.Sprintf("One is called “%s”.", t.Images.Names[0].Now)
	}
	return ""
}

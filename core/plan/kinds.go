package plan

import (
	"slices"

	"inktally/core/finding"
)

// KindRule is all that the rules know of a kind of target.
type KindRule struct {
	Kind Kind
	// Front is what it is told by to an owner (rule 12.4).
	Front Front
	// Asks is the remedy that it is, Nothing for a kind that no finding asks for.
	Asks finding.Remedy
	// Effort is the key of the figure that the minutes of its one line come from; empty for a
	// kind whose minutes are those of its parts.
	Effort string
	// Credit is the key of the percent of its page's first family's gain that it brings, empty
	// for none; Yields is of that of the page that takes its place. Where that has none it is of the home page's.
	Credit Weight
	Yields bool
	// Waits reports that it depends on what opens its page (rule 12.4).
	Waits bool

	minutes func(Minutes) float64 // nil for a kind whose words are written anew
	percent func(Rules) float64
}

// kinds is the table of all kinds of targets, in the order of a brief. A new kind is a row
// here, the rule that makes it, and its words in wording.
var kinds = []KindRule{
	{Kind: Fix, Front: PagesFront, Asks: finding.Fix, Effort: "minutes.fix", Waits: true,
		minutes: func(m Minutes) float64 { return m.Fix }},
	{Kind: NewPage, Front: PagesFront, Waits: true},
	{Kind: Placing, Front: PhrasesFront, Waits: true},
	{Kind: Slice, Front: WordsFront, Waits: true},
	{Kind: Images, Front: ImagesFront, Waits: true},
	{Kind: VagueWords, Front: PhrasesFront, Asks: finding.NameTowns, Effort: "minutes.fix", Credit: "gain.vague_words",
		Waits:   true,
		minutes: func(m Minutes) float64 { return m.Fix }, percent: func(y Rules) float64 { return y.VaguePercent }},
	{Kind: CutBack, Front: PhrasesFront, Waits: true},
	{Kind: Split, Front: PagesFront, Asks: finding.Split, Effort: "minutes.redirect", Credit: "gain.redirect",
		Waits:   true,
		minutes: func(m Minutes) float64 { return m.Redirect }, percent: ofRedirect},
	{Kind: Redirect, Front: PagesFront, Asks: finding.Redirect, Effort: "minutes.redirect", Credit: "gain.redirect",
		Yields: true, Waits: true,
		minutes: func(m Minutes) float64 { return m.Redirect }, percent: ofRedirect},
	{Kind: Merge, Front: PagesFront, Asks: finding.Merge, Effort: "minutes.merge", Credit: "gain.redirect",
		Yields: true, Waits: true,
		minutes: func(m Minutes) float64 { return m.Merge }, percent: ofRedirect},
	{Kind: Rewrite, Front: PagesFront, Asks: finding.Rewrite, Effort: "minutes.hundred_words", Credit: "gain.redirect",
		Waits: true, percent: ofRedirect},
	{Kind: ByHand, Front: PagesFront},
}

// ofRedirect returns what a redirect brings, and what else leaves one page of two.
func ofRedirect(y Rules) float64 { return y.RedirectPercent }

// Kinds returns all kinds, in the order of a brief.
func Kinds() []Kind {
	out := make([]Kind, len(kinds))
	for i, r := range kinds {
		out[i] = r.Kind
	}
	return out
}

// KindRuleOf returns the row of a kind, a zero one for a kind that there is not.
func KindRuleOf(k Kind) KindRule {
	i := slices.IndexFunc(kinds, func(r KindRule) bool { return r.Kind == k })
	if i < 0 {
		return KindRule{}
	}
	return kinds[i]
}

// Front returns that of a kind of target.
func (k Kind) Front() Front { return KindRuleOf(k).Front }

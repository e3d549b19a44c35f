package wording

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"inktally/core/book"
	"inktally/core/plan"
	"inktally/core/visits"
	"inktally/core/yardstick"
)

// WhyLine is one line of the sum that made a figure.
type WhyLine struct {
	Says, Value string
	// Rule is the number of the rule; Figure the key of the figure of the yardstick that
	// the line comes from, empty for none.
	Rule, Figure string
	// Sum tells a line that is the result of those before it.
	Sum bool
}

// Figure writes a figure with two decimals at most.
func Figure(x float64) string {
	s := strconv.FormatFloat(math.Round(x*100)/100, 'f', -1, 64)
	whole, rest, found := strings.Cut(s, ".")
	n, err := strconv.Atoi(whole)
	if err != nil {
		return s
	}
	out := Number(n)
	if found {
		out += "." + rest
	}
	return out
}

func percent(x float64) string { return Figure(x) + "%" }

// WhyFamily is the sum of a family's gain (rules 7.1 to 7.4, 3.10).
func (w Teller) WhyFamily(f *book.Family, y yardstick.Yardstick) []WhyLine {
	name := quoted(w.Display(f.Lead().Text))
	if f.Volume == 0 {
		if f.Uncounted > 0 {
			return []WhyLine{{Says: fmt.Sprintf("%s: %s are not those of the town", name, searches(f.Uncounted)),
				Value: "0", Rule: "7.1"},
				{Says: "Gain of " + name, Value: Figure(f.RowGain), Rule: "7.4", Sum: true}}
		}
		return []WhyLine{{Says: name + ": searches unknown", Value: "0", Rule: "7.3"}}
	}
	lead := 0
	if v := f.Lead().Volume; v != nil {
		lead = *v
	}
	counted := fmt.Sprintf("%s: %s", name, searches(lead))
	if more := f.Volume - float64(lead); more > 0 {
		counted += fmt.Sprintf(", and %s of those in other words", share(y.Visits.Others))
	}
	aim, key := aimedAt(f.Difficulty, f.Aimed, y.Visits)
	lines := []WhyLine{
		{Says: counted, Value: Figure(f.Volume), Rule: "7.3", Figure: "visits.others"},
		{Says: aim, Value: strconv.Itoa(f.Aimed), Rule: "7.2", Figure: key},
		{Says: fmt.Sprintf("Clicks at position %d", f.Aimed), Value: percent(y.Visits.Rate(f.Aimed) * 100), Rule: "7.1",
			Figure: ctrKey(f.Aimed)},
		{Says: fmt.Sprintf("Visits then: %s × %s", Figure(f.Volume), percent(y.Visits.Rate(f.Aimed)*100)),
			Value: Figure(f.Then), Rule: "7.1"},
	}
	now := "Visits now: no position"
	if f.Position != nil {
		now = fmt.Sprintf("Visits now, at position %d", *f.Position)
	}
	lines = append(lines, WhyLine{Says: now, Value: "− " + Figure(f.Now), Rule: "7.3"})
	if f.RowGain != f.Gain {
		lines = append(lines, WhyLine{Says: fmt.Sprintf("Also searched: %s of their gain", share(y.Book.AlsoShare)),
			Value: "+ " + Figure(f.RowGain-f.Gain), Rule: "3.10", Figure: "book.also_share"})
	}
	return append(lines, WhyLine{Says: "Gain of " + name, Value: Figure(f.RowGain), Rule: "7.4", Sum: true})
}

func share(x float64) string {
	if x == .5 {
		return "half"
	}
	return percent(x * 100)
}

// aimedAt words why a position is aimed at, with the key of the figure that says so.
func aimedAt(difficulty *int, position int, v visits.Rules) (says, key string) {
	if difficulty == nil {
		if position == v.Unknown {
			return "Aimed position, difficulty unknown", "visits.aim.unknown"
		}
		return "Aimed position: today's is better than the rule's", ""
	}
	says, key, ruled := fmt.Sprintf("Aimed position, difficulty %d", *difficulty), "visits.aim.else", v.Else
	for i, a := range v.Aims {
		if *difficulty <= a.Difficulty {
			key, ruled = fmt.Sprintf("visits.aim.%d.position", i+1), a.Position
			break
		}
	}
	if position != ruled {
		return "Aimed position: today's is better than the rule's", ""
	}
	return says, key
}

func ctrKey(position int) string {
	switch {
	case position <= 10:
		return fmt.Sprintf("visits.ctr.%d", position)
	case position <= 20:
		return "visits.ctr.11_20"
	}
	return "visits.ctr.21_30"
}

// WhyPart is the sum of a part's gain and time (rules 12.1 to 12.3). Of is what its
// families bring together.
func (w Teller) WhyPart(t *plan.Target, p *plan.Part, y yardstick.Yardstick) []WhyLine {
	var lines []WhyLine
	if p.Weight != "" {
		lines = append(lines, WhyLine{Says: weightSays(p), Value: "× " + percent(p.Percent), Rule: "12.1",
			Figure: string(p.Weight)})
		lines = append(lines, WhyLine{Says: shareSays(t, p), Value: "× " + percent(p.Share*100), Rule: "12.2"})
		if of := p.Of * p.Percent / 100 * p.Share; of-p.Gain > .005 {
			lines = append(lines, WhyLine{Says: "No page brings more than its phrases", Value: Figure(p.Gain - of),
				Rule: "12.2"})
		}
	}
	lines = append(lines, WhyLine{Says: "Gain", Value: Figure(p.Gain), Rule: "12.2", Sum: true})
	key, says := minutesOf(t, p)
	lines = append(lines, WhyLine{Says: says, Value: Figure(p.Minutes) + " min", Rule: "12.3", Figure: key})
	return lines
}

func weightSays(p *plan.Part) string {
	switch {
	case p.Kind == plan.Repair:
		return "Share of the first phrase's gain"
	case p.Kind == plan.Words:
		return "Words count for"
	}
	return PartName(p.Kind) + " counts for"
}

func shareSays(t *plan.Target, p *plan.Part) string {
	switch {
	case p.Kind == plan.Words:
		return fmt.Sprintf("%s of %s words", Number(p.Words), Number(t.Words.Target))
	case p.IsMember() && p.Share < 1:
		return "its part of the phrase's searches"
	case p.Share == .5:
		return "half is missing: it is there in other words"
	case p.Share < 1:
		return "what is missing of it"
	}
	return "all of it is missing"
}

// minutesOf tells which figure a part's time comes from.
func minutesOf(t *plan.Target, p *plan.Part) (key, says string) {
	if t.Kind == plan.NewPage && p.Kind != plan.Words && p.Minutes == 0 {
		return "minutes.new_page", "Part of making the page"
	}
	if key = plan.PartRuleOf(p.Kind).Effort; key != "" {
		if p.Kind == plan.Words {
			return key, fmt.Sprintf("%s at so many minutes for 100", Count(p.Words, "word", ""))
		}
		return key, PartName(p.Kind)
	}
	switch t.Kind {
	case plan.Rewrite:
		says = "The words of the page"
	case plan.ByHand:
		says = "As you set it"
	default:
		says = Kind(t.Kind)
	}
	if key = plan.KindRuleOf(t.Kind).Effort; key == "" && t.Kind != plan.ByHand {
		key = "minutes.fix"
	}
	return key, says
}

package wording

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"inktally/core/book"
	"inktally/core/plan"
	"inktally/core/sum"
)

// WhyLine is one line of the sum that made a figure.
type WhyLine struct {
	Says, Value string
	// Rule is the number of the rule; Figure the key of the figure of the yardstick that
	// the line comes from, empty for none.
	Rule, Figure string
	// Sum reports whether a line is the result of those before it.
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

// WhyGain words the sum of what a family gains (rules 7.1 to 7.4, 3.10).
func (w Teller) WhyGain(f *book.Family, s sum.Sum) []WhyLine {
	name := quoted(w.Display(f.Lead().Text))
	return append(steps(s, stepNames{phrase: name}), WhyLine{Says: "Gain of " + name, Value: Figure(s.Result()),
		Rule: "7.4", Sum: true})
}

// WhyPart words the sums of a part's gain and time (rules 12.1 to 12.3).
func (w Teller) WhyPart(t *plan.Target, p *plan.Part) []WhyLine {
	names := stepNames{part: PartName(p.Kind), kind: Kind(t.Kind)}
	gain := append(steps(p.Sum, names), WhyLine{Says: "Gain", Value: Figure(p.Gain), Rule: "12.2", Sum: true})
	time := steps(p.Effort, names)
	if len(p.Effort) > 1 {
		time = append(time, WhyLine{Says: "Time", Value: minutes(p.Minutes), Rule: "12.3", Sum: true})
	}
	return append(gain, time...)
}

// WhyTarget adds up the parts of a target, with what brings it to its place (rules 12.2, 12.4).
func (w Teller) WhyTarget(t *plan.Target, y plan.Rules) []WhyLine {
	lines := steps(t.Effort(y), stepNames{kind: Kind(t.Kind)})
	lines = append(lines, WhyLine{Says: "Gain of all parts", Value: Figure(t.Gain), Rule: "12.2", Sum: true},
		WhyLine{Says: "Time of all parts", Value: minutes(t.Minutes), Rule: "12.3", Sum: true})
	if t.Minutes <= 0 || t.Rank <= 0 {
		return lines
	}
	if t.Rank-t.Gain > .005 {
		lines = append(lines, WhyLine{Says: "For the order, phrases of unknown volume count as the smallest gain",
			Value: Figure(t.Rank), Rule: "12.2"})
	}
	return append(lines, WhyLine{Says: "Gain per hour, which sets the order", Value: Figure(t.PerHour()),
		Rule: "12.4",
		Sum:  true})
}

// stepNames are what steps speak of.
type stepNames struct{ phrase, part, kind string }

// steps words the steps of a sum, with what each does to the figure so far.
func steps(s sum.Sum, names stepNames) []WhyLine {
	out := make([]WhyLine, len(s))
	for i, x := range s {
		out[i] = WhyLine{Says: stepSays[x.Code](x, names), Value: stepValue(i, x), Rule: x.Rule, Figure: x.Figure}
	}
	return out
}

// stepValue writes the value of step i with its operation.
func stepValue(i int, s sum.Step) string {
	value := Figure(math.Abs(s.Value))
	switch s.Unit {
	case sum.Percent:
		value = percent(s.Value * 100)
	case sum.Minutes:
		value = minutes(s.Value)
	}
	switch {
	case s.Op == sum.Times:
		return "× " + value
	case s.Op == sum.Note || i == 0:
		return value
	case math.Signbit(s.Value): // what is taken away may be nothing
		return "− " + value
	}
	return "+ " + value
}

func minutes(x float64) string { return Figure(x) + " min" }

// stepSays words each step.
var stepSays = map[sum.Code]func(s sum.Step, n stepNames) string{
	sum.Uncounted: func(s sum.Step, n stepNames) string {
		return fmt.Sprintf("%s: %s, but not counted in the town", n.phrase, searches(s.Count))
	},
	sum.NoSearches: func(_ sum.Step, n stepNames) string { return n.phrase + ": searches unknown" },
	sum.Volume: func(s sum.Step, n stepNames) string {
		says := fmt.Sprintf("%s: %s", n.phrase, searches(s.Count))
		if s.Part > 0 {
			says += fmt.Sprintf(", and %s of those in other words", share(s.Part))
		}
		return says
	},
	sum.AimByDifficulty: func(s sum.Step, _ stepNames) string {
		return fmt.Sprintf("Aimed position, difficulty %d", s.Count)
	},
	sum.AimUnknown: says("Aimed position, difficulty unknown"),
	sum.AimAlready: says("Aimed position: today's is better than the rule's"),
	sum.Clicks:     func(s sum.Step, _ stepNames) string { return fmt.Sprintf("Clicks at position %d", s.Count) },
	sum.VisitsNow: func(s sum.Step, _ stepNames) string {
		if s.Count == 0 {
			return "Visits now: no position"
		}
		return fmt.Sprintf("Visits now, at position %d", s.Count)
	},
	sum.NoLoss: says("Today's position brings more: no loss is counted"),
	sum.AlsoSearched: func(s sum.Step, _ stepNames) string {
		return fmt.Sprintf("Also searched: %s of their gain", share(s.Part))
	},
	sum.OfPhrase: says("Gain of its phrase"), sum.OfPage: says("Gain of all the page's phrases"),
	sum.Alike:         says("Each phrase counts the same: no searches are known"),
	sum.Weight:        func(_ sum.Step, n stepNames) string { return n.part + " counts for" },
	sum.WeightOfWords: says("Words count for"), sum.Credit: says("Share of the first phrase's gain"),
	sum.AllMissing:  says("all of it is missing"),
	sum.Loosely:     says("half is missing: the words are there, but not as one phrase"),
	sum.Late:        says("half is missing: it is too far behind in the title"),
	sum.OtherMember: says("half is missing: it is there in another form"),
	sum.TooFew: func(s sum.Step, _ stepNames) string {
		return fmt.Sprintf("what is missing: it is there %s, %s wanted", times(s.Count), Number(s.Of))
	},
	sum.MemberShare: says("its part of the phrase's searches"),
	sum.LessMembers: says("what its other forms leave"),
	sum.WordsOfTarget: func(s sum.Step, _ stepNames) string {
		return fmt.Sprintf("%s of %s words", Number(s.Count), Number(s.Of))
	},
	sum.NoMore: says("No page brings more than its phrases"),
	sum.ByHand: says("As you set it"), sum.Each: func(_ sum.Step, n stepNames) string { return n.part },
	sum.EachTarget:  func(_ sum.Step, n stepNames) string { return n.kind },
	sum.RenamePlace: says("Name of the wrong town"), sum.HundredWords: says("100 words"),
	sum.RedirectOld: says("Redirect of the old address"),
	sum.Hundreds:    func(s sum.Step, _ stepNames) string { return Count(s.Count, "word", "") },
	sum.Repeated:    func(s sum.Step, _ stepNames) string { return times(s.Count) },
	sum.NewPage:     says("Creating a page"), sum.InNewPage: says("Part of creating the page"),
}

// says returns the sentence of a step without parameters.
func says(sentence string) func(sum.Step, stepNames) string {
	return func(sum.Step, stepNames) string { return sentence }
}

func times(n int) string { return Count(n, "time", "") }

func share(x float64) string {
	if x == .5 {
		return "half"
	}
	return percent(x * 100)
}

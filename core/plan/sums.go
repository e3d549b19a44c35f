package plan

import (
	"inktally/core/finding"
	"inktally/core/sum"
)

// weigh gives a part its gain: that of families by its weight and by the shares that are
// missing (rules 12.1, 12.2).
func (p *Part) weigh(y Rules, rule PartRule, families []Stake, missing ...sum.Step) {
	rank := 0.0
	p.Sum = sum.Sum{stake(rule, families)}
	for _, f := range families {
		p.Families = append(p.Families, f.Key)
		rank += f.rank
	}
	code := sum.Weight
	if rule.Kind == Words {
		code = sum.WeightOfWords
	}
	factors := append(sum.Sum{{Code: code, Op: sum.Times, Value: rule.weight(y.Weights) / 100, Unit: sum.Percent,
		Rule: "12.1", Figure: string(rule.Weight)}}, missing...)
	p.Sum = append(p.Sum, factors...)
	p.Gain = p.Sum.Result()
	p.Rank = append(sum.Sum{{Value: rank}}, factors...).Result()
}

// stake returns the first step of a gain: what the families at stake may bring.
func stake(rule PartRule, families []Stake) sum.Step {
	s := sum.Step{Code: sum.OfPhrase, Rule: "12.2"}
	if rule.Kind == Words {
		s.Code = sum.OfPage
	}
	for _, f := range families {
		s.Value += f.Gain
		if !f.Known && f.Gain > 0 {
			s.Code = sum.Alike
		}
	}
	return s
}

// missingShare returns the step of a share that is missing.
func missingShare(code sum.Code, share float64) sum.Step {
	return sum.Step{Code: code, Op: sum.Times, Value: share, Unit: sum.Percent, Rule: "12.2"}
}

// missingIn returns the step of a phrase that is not in a slot, or loosely.
func missingIn(share float64) sum.Step {
	if share == half {
		return missingShare(sum.Loosely, share)
	}
	return missingShare(sum.AllMissing, share)
}

// lessMembers returns the steps of what members leave of a slot.
func lessMembers(share float64) []sum.Step {
	if share == 1 {
		return nil
	}
	return []sum.Step{missingShare(sum.LessMembers, share)}
}

// credit gives a part a percent of a family's gain, at most so much of gain and rank.
func (p *Part) credit(rule KindRule, percent float64, f Stake, gain, rank float64) {
	s := sum.Sum{stake(PartRule{}, []Stake{f}), {Code: sum.Credit, Op: sum.Times, Value: percent / 100,
		Unit: sum.Percent, Rule: "12.2", Figure: string(rule.Credit)}}
	if over := s.Result() - max(0, gain); over > 0 {
		s = append(s, sum.Step{Code: sum.NoMore, Value: -over, Rule: "12.2"})
	}
	p.Estimate = Estimate{Families: []string{f.Key}, Sum: s, Gain: max(0, s.Result()),
		Rank: max(0, min(f.rank*percent/100, rank))}
}

// takes gives a part its time.
func (p *Part) takes(steps ...sum.Step) {
	p.Effort = steps
	p.Minutes = p.Effort.Result()
}

// effort returns the step of a time that the yardstick has.
func effort(code sum.Code, minutes float64, figure string) sum.Step {
	return sum.Step{Code: code, Value: minutes, Unit: sum.Minutes, Rule: "12.3", Figure: figure}
}

// each returns the time of a part of a kind.
func (y Rules) each(rule PartRule) sum.Step {
	return effort(sum.Each, rule.minutes(y.Minutes), rule.Effort)
}

// inNewPage returns the time of a part that is in that of making its page.
func (b *builder) inNewPage() sum.Step { return effort(sum.InNewPage, 0, "minutes.new_page") }

// ofWords returns the steps of the time that words take.
func (y Rules) ofWords(words int) sum.Sum {
	return sum.Sum{effort(sum.HundredWords, y.Minutes.HundredWords, "minutes.hundred_words"),
		{Code: sum.Hundreds, Op: sum.Times, Value: float64(words) / 100, Count: words, Rule: "12.3"}}
}

// effortOf returns the steps of the time that a target of one line takes on a page.
func (y Rules) effortOf(t *Target, p *Aim) sum.Sum {
	rule := KindRuleOf(t.Kind)
	if t.Finding != nil {
		switch t.Finding.Type {
		case finding.HTTPOnly:
			return sum.Sum{effort(sum.EachTarget, y.Minutes.Secure, "minutes.https")}
		case finding.NoBusinessData:
			return sum.Sum{effort(sum.EachTarget, y.Minutes.Data, "minutes.structured_data")}
		case finding.NoTestimonial:
			return sum.Sum{effort(sum.EachTarget, y.Minutes.Testimonial, "minutes.testimonial")}
		}
	}
	if rule.minutes == nil { // all of the page's words are written anew
		return y.ofWords(p.copied())
	}
	return sum.Sum{effort(sum.EachTarget, rule.minutes(y.Minutes), rule.Effort)}
}

// Effort returns the sum of a target's time beside its parts, none for one that has none.
func (t *Target) Effort(y Rules) sum.Sum {
	if t.Kind != NewPage {
		return nil
	}
	return sum.Sum{effort(sum.NewPage, y.Minutes.NewPage, "minutes.new_page")}
}

// Package visits estimates what positions in a search bring (rule 7).
//
// In go search volumes, positions and difficulties; out come visits a month:
// now, at the position that is aimed at, and the gain between them. All of it
// is an estimate and is to be shown as one.
package visits

import (
	"fmt"

	"inktally/core/sum"
)

// Rules are what visits are estimated by; a user may change them.
type Rules struct {
	// CTR are the click-through rates of positions 1 to 10; Second is that of 11
	// to 20, Third of 21 to 30. What stands beyond brings nothing.
	CTR           [10]float64
	Second, Third float64
	// Map are the click-through rates of the map pack, shown beside the others
	// and never added to them.
	Map [3]float64
	// Others is the share of their volume with which the members of a family
	// beside its lead count.
	Others float64
	// Aims are the positions to aim at, by difficulty; Else beyond them and
	// Unknown if no difficulty is known.
	Aims          [3]Aim
	Else, Unknown int
	// Soon and Late are the months that it takes at a difficulty up to SoonAt,
	// and from LateAt on; between in proportion.
	Soon, Late     float64
	SoonAt, LateAt int
}

// Aim is the position to aim at up to a difficulty.
type Aim struct{ Difficulty, Position int }

// Standard returns the rules as rule 7 has them.
func Standard() Rules {
	return Rules{
		CTR: [10]float64{.33, .20, .11, .08, .06, .045, .035, .03, .025, .02}, Second: .007, Third: .0025,
		Map: [3]float64{.18, .12, .09}, Others: .5,
		Aims: [3]Aim{{10, 1}, {25, 2}, {45, 3}}, Else: 5, Unknown: 3, Soon: 3, Late: 12, SoonAt: 5, LateAt: 20,
	}
}

// Rate returns the click-through rate of a position; 0 is no position.
func (r Rules) Rate(position int) float64 {
	switch {
	case position < 1:
		return 0
	case position <= len(r.CTR):
		return r.CTR[position-1]
	case position <= 20:
		return r.Second
	case position <= 30:
		return r.Third
	}
	return 0
}

// Aimed returns the position to aim at: never worse than today's, which is the best
// of a family's members (rule 7.2). A nil difficulty is not known; today is
// 0 for no position.
func (r Rules) Aimed(difficulty *int, today int) int { return int(r.aim(difficulty, today).Value) }

// aim returns the position to aim at, and why.
func (r Rules) aim(difficulty *int, today int) sum.Step {
	aim := sum.Step{Op: sum.Note, Unit: sum.Position, Rule: "7.2"}
	switch position, figure := r.ruled(difficulty); {
	case today > 0 && today < position:
		aim.Code, aim.Value = sum.AimAlready, float64(today)
	case difficulty == nil:
		aim.Code, aim.Value, aim.Figure = sum.AimUnknown, float64(position), figure
	default:
		aim.Code, aim.Value, aim.Figure, aim.Count = sum.AimByDifficulty, float64(position), figure, *difficulty
	}
	return aim
}

// ruled returns the position for a difficulty, whatever today's is, with its figure.
func (r Rules) ruled(difficulty *int) (position int, figure string) {
	if difficulty == nil {
		return r.Unknown, "visits.aim.unknown"
	}
	for i, a := range r.Aims {
		if *difficulty <= a.Difficulty {
			return a.Position, fmt.Sprintf("visits.aim.%d.position", i+1)
		}
	}
	return r.Else, "visits.aim.else"
}

// Sum returns the steps of an estimate's gain (rules 7.1 to 7.4): of the searches that count,
// those of the lead, and the position of today, 0 for none.
func (r Rules) Sum(e Estimate, lead int, difficulty *int, today int) sum.Sum {
	volume := sum.Step{Code: sum.Volume, Value: e.Volume, Count: lead, Rule: "7.3"}
	if e.Volume > float64(lead) {
		volume.Part, volume.Figure = r.Others, "visits.others"
	}
	out := sum.Sum{volume, r.aim(difficulty, today),
		{Code: sum.Clicks, Op: sum.Times, Value: r.Rate(e.Aimed), Unit: sum.Percent, Count: e.Aimed, Rule: "7.1",
			Figure: clicksFigure(e.Aimed)},
		{Code: sum.VisitsNow, Value: -e.Now, Count: today, Rule: "7.3"}}
	if e.Now > e.Then {
		out = append(out, sum.Step{Code: sum.NoLoss, Value: e.Now - e.Then, Rule: "7.4"})
	}
	return out
}

// clicksFigure returns the key of the figure that a position's click-through rate comes from.
func clicksFigure(position int) string {
	switch {
	case position <= 10:
		return fmt.Sprintf("visits.ctr.%d", position)
	case position <= 20:
		return "visits.ctr.11_20"
	}
	return "visits.ctr.21_30"
}

// Months returns how long it takes to get there (rule 7.2).
func (r Rules) Months(difficulty *int) float64 {
	if difficulty == nil || *difficulty >= r.LateAt {
		return r.Late
	}
	if *difficulty <= r.SoonAt {
		return r.Soon
	}
	return r.Soon + (r.Late-r.Soon)*float64(*difficulty-r.SoonAt)/float64(r.LateAt-r.SoonAt)
}

// Member is what is known of the search for one phrase of a family.
type Member struct {
	// Volume is searches a month, nil if it is not known: it counts as none.
	Volume *int
	// Position is today's, 0 for none.
	Position int
}

// Estimate is what a family brings, in visits a month.
type Estimate struct {
	Volume float64
	// Unknown reports whether the volume of some member is not known.
	Unknown bool
	Now     float64
	Aimed   int
	Then    float64
	Gain    float64
	Months  float64
	// Map are the visits of the places in the map pack, shown beside the others
	// and never added to them (rule 7.1).
	Map [3]float64
	// Worth is the gain in money, 0 if that is not known.
	Worth float64
}

// Family estimates a family by its members, the lead first (rules 7.3, 7.4).
// A member without a position of its own stands where the lead does.
func (r Rules) Family(members []Member, difficulty *int) Estimate {
	var e Estimate
	for i, m := range members {
		if m.Volume == nil {
			e.Unknown = true
			continue
		}
		share := float64(*m.Volume)
		if i > 0 {
			share *= r.Others
		}
		position := m.Position
		if position == 0 {
			position = members[0].Position
		}
		e.Volume += share
		e.Now += share * r.Rate(position)
	}
	today := 0
	for _, m := range members {
		if m.Position > 0 && (today == 0 || m.Position < today) {
			today = m.Position
		}
	}
	e.Aimed = r.Aimed(difficulty, today)
	e.Then = e.Volume * r.Rate(e.Aimed)
	for place, rate := range r.Map {
		e.Map[place] = e.Volume * rate
	}
	e.Gain = max(0, e.Then-e.Now)
	e.Months = r.Months(difficulty)
	return e
}

// InMoney puts the worth of the gain on an estimate: customers that come of a
// hundred visits, and what the job of one brings.
func (e Estimate) InMoney(perHundred, job float64) Estimate {
	e.Worth = e.Gain * perHundred / 100 * job
	return e
}

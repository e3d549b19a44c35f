// Package hours reads opening hours as people and directories write them, so that two writings of the same hours can be
// held against each other (rule 13.3).
//
// In goes a text; out comes a Week.
package hours

import (
	"slices"
	"strings"
)

// Interval is a time of being open, in minutes after midnight; Until may be after the next midnight.
type Interval struct{ From, Until int }

// Week is when a business is open, from Monday on.
type Week struct {
	Days [7][]Interval
	// ByAppointment is told in place of hours.
	ByAppointment bool
}

const (
	day     = 24 * 60
	halfDay = 12 * 60
)

// Equal reports whether two are the same hours.
func (w Week) Equal(as Week) bool {
	for i := range w.Days {
		if !slices.Equal(w.Days[i], as.Days[i]) {
			return false
		}
	}
	return w.ByAppointment == as.ByAppointment
}

// empty reports whether it is never open.
func (w Week) empty() bool {
	for _, d := range w.Days {
		if len(d) > 0 {
			return false
		}
	}
	return true
}

// Parse reads hours; it is not ok for a text that tells none.
func Parse(s string) (w Week, ok bool) {
	if len(s) > mostLetters {
		return w, false
	}
	p := parser{tokens: tokensOf(strings.ToLower(s))}
	p.run()
	w = p.week
	for i := range w.Days {
		w.Days[i] = merged(w.Days[i])
	}
	w.ByAppointment = p.appointment && w.empty()
	return w, w.ByAppointment || !w.empty()
}

// mostLetters is how long a text of hours is at most.
const mostLetters = 1000

// merged returns intervals in order, those that touch as one.
func merged(list []Interval) (out []Interval) {
	slices.SortFunc(list, func(a, b Interval) int { return a.From - b.From })
	for _, i := range list {
		if n := len(out); n > 0 && i.From <= out[n-1].Until {
			out[n-1].Until = max(out[n-1].Until, i.Until)
			continue
		}
		out = append(out, i)
	}
	return out
}

// parser goes through the tokens of a text: days, then the times that hold for them.
type parser struct {
	tokens []token
	at     int
	week   Week
	days   []int
	timed  bool // since the last day a time was told
	// appointment reports whether hours by appointment are told.
	appointment bool
}

func (p *parser) run() {
	for p.at < len(p.tokens) {
		t := p.tokens[p.at]
		switch t.kind {
		case dayName:
			p.day(t.value)
		case clock:
			p.times()
			continue
		case allDay:
			p.open(Interval{0, day})
		case closed:
			p.timed = true
		case appointment:
			p.appointment = true
		}
		p.at++
	}
}

// day adds a day, or all from the last one to it after a dash.
func (p *parser) day(d int) {
	if p.timed {
		p.days, p.timed = nil, false
	}
	if d == everyDay {
		p.days = []int{0, 1, 2, 3, 4, 5, 6}
		return
	}
	if p.at > 0 && p.tokens[p.at-1].kind == dash && len(p.days) > 0 {
		for next := p.days[len(p.days)-1]; next != d; {
			next = (next + 1) % 7
			p.days = append(p.days, next)
		}
		return
	}
	p.days = append(p.days, d)
}

// times reads a time from which, a dash and a time until which.
func (p *parser) times() {
	from := p.tokens[p.at]
	p.at++
	if p.at+1 >= len(p.tokens) || p.tokens[p.at].kind != dash || p.tokens[p.at+1].kind != clock {
		return
	}
	until := p.tokens[p.at+1]
	p.at += 2
	p.open(interval(from, until))
}

// interval puts two times together. Where one of them does not say which half of the day it is in, the sense does: who
// opens at 8 and closes at 5 closes in the afternoon.
func interval(from, until token) Interval {
	a, b := from.minutes()%day, until.minutes()
	if from.half == noHalf && until.half == afternoon && a+halfDay < b && a < 7*60 {
		a += halfDay
	}
	if until.half == noHalf && b <= a && b < halfDay && a < halfDay {
		b += halfDay
	}
	if b <= a {
		b += day
	}
	return Interval{a, b}
}

// open adds an interval to the days that were told, to all if none was.
func (p *parser) open(i Interval) {
	days := p.days
	if len(days) == 0 {
		days = []int{0, 1, 2, 3, 4, 5, 6}
	}
	for _, d := range days {
		p.week.Days[d] = append(p.week.Days[d], i)
	}
	p.timed = true
}

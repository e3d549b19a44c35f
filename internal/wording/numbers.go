package wording

import (
	"fmt"
	"strings"

	"golang.org/x/text/language"
	"golang.org/x/text/message"
)

var numbers = message.NewPrinter(language.AmericanEnglish)

// Number writes a number with its thousands parted: 1,500.
func Number(n int) string { return numbers.Sprintf("%d", n) }

// Count writes a number of things: 1 rival, 2 rivals. many is empty for a plural
// in s.
func Count(n int, one, many string) string {
	if n == 1 {
		return "1 " + one
	}
	if many == "" {
		many = one + "s"
	}
	return Number(n) + " " + many
}

// Unit is what gains are in.
type Unit string

// The units of gains.
const (
	Visits Unit = "visits"
	Share  Unit = "share"
)

// Gain writes a gain in its unit, with a decimal under ten.
func Gain(unit Unit, gain float64) string {
	figure := fmt.Sprintf("%.0f", gain)
	if gain < 9.95 {
		figure = strings.TrimSuffix(fmt.Sprintf("%.1f", gain), ".0")
	}
	if unit == Visits {
		if figure == "1" {
			return "about 1 visit a month"
		}
		return "about " + figure + " visits a month"
	}
	return figure + "% of the gain"
}

// UnitNote returns what gains are.
func UnitNote(unit Unit) string {
	if unit == Visits {
		return "Gains are visits a month at the aimed positions. They are estimates."
	}
	return "Gains are shares of what the page can win with its phrases. They are estimates."
}

// Takes writes what work brings, if a rule gives it a gain, and the time that it takes, if it is not part of other
// work; empty for neither.
func Takes(unit Unit, gain, minutes float64) string {
	var says []string
	if gain > 0 {
		says = append(says, Gain(unit, gain))
	}
	if minutes >= 0.5 {
		says = append(says, Duration(minutes))
	}
	return strings.Join(says, " · ")
}

// Duration writes minutes as hours and minutes: 36 min, 3 h 17 min.
func Duration(minutes float64) string {
	m := int(minutes + 0.5)
	switch {
	case m < 60:
		return fmt.Sprintf("%d min", m)
	case m%60 == 0:
		return fmt.Sprintf("%d h", m/60)
	}
	return fmt.Sprintf("%d h %d min", m/60, m%60)
}

// quoted puts words in quotation marks.
func quoted(words string) string { return "“" + words + "”" }

//go:build sense

package sense

import (
	"encoding/json"
	"fmt"
	"math"
	"regexp"
	"strconv"
	"strings"

	"inktally/core/plan"
	"inktally/internal/view"
)

var number = regexp.MustCompile(`\d[\d,]*(\.\d+)?`)

// numbersIn returns the numbers that stand in a text.
func numbersIn(s string) (out []float64) {
	for _, n := range number.FindAllString(s, -1) {
		value, err := strconv.ParseFloat(strings.ReplaceAll(n, ",", ""), 64)
		if err == nil {
			out = append(out, value)
		}
	}
	return out
}

// numbersOf returns the numbers of a page in the plan: of its lines with their parts, and of its outline, also as they
// are rounded where they are said.
func (c *client) numbersOf(page string) map[float64]bool {
	out := map[float64]bool{}
	note := func(of any) {
		raw, _ := json.Marshal(of)
		for _, n := range numbersIn(string(raw)) {
			for _, places := range []float64{1, 10} {
				out[math.Round(n*places)/places], out[math.RoundToEven(n*places)/places] = true, true
			}
		}
	}
	for _, x := range c.plan.Targets {
		if x.Page == page {
			note(x)
		}
	}
	note(c.outlines[page]) // its words too: the rule that decided their number
	note(c.ground.Business)
	for _, p := range c.ground.Pages {
		if fmt.Sprintf("p%d", p.ID) == page {
			note(p)
		}
	}
	return out
}

// What the brief of a page says in figures.
var briefChecks = []check{
	{"every figure of a brief is one of the plan's", func(c *client) (bad []string) {
		for _, p := range c.ground.Pages {
			brief, key := c.briefs[p.URL], fmt.Sprintf("p%d", p.ID)
			if p.URL == "" {
				continue
			}
			known := c.numbersOf(key)
			for _, line := range strings.Split(brief, "\n") {
				if strings.Contains(line, "Written on ") {
					continue
				}
				for _, n := range numbersIn(line) {
					if !known[n] {
						bad = append(bad, p.URL+": "+strconv.FormatFloat(n, 'f', -1, 64)+" in “"+line+"”")
					}
				}
			}
		}
		return bad
	}},
	{"every figure to write by is in the brief", func(c *client) (bad []string) {
		for _, p := range c.ground.Pages {
			brief, key := c.briefs[p.URL], fmt.Sprintf("p%d", p.ID)
			if p.URL == "" {
				continue
			}
			said := map[float64]bool{}
			for _, n := range numbersIn(brief) {
				said[n] = true
			}
			for _, x := range c.plan.Targets {
				if x.Page != key || x.Choice.State == view.TargetState(plan.Dropped) {
					continue
				}
				for _, part := range x.Parts {
					for _, n := range numbersIn(part.Before + part.After) {
						if !said[n] {
							bad = append(bad, c.says(x)+": "+part.Before+part.Pencil+part.After)
						}
					}
				}
			}
		}
		return bad
	}},
}

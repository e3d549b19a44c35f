//go:build !race

package book

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Each rule is switched off by itself over all lists: none is there that makes
// things worse, and the table shows what each brings. -v prints it.
func TestEveryRuleHelps(t *testing.T) {
	rules := []struct {
		name string
		off  func(tr *trial)
	}{
		{"acts that are not offered", func(tr *trial) { tr.ground.Lists.Acts = nil }},
		{"goods, jobs, permits", func(tr *trial) { tr.ground.Lists.Goods = nil }},
		{"words of questions", func(tr *trial) { tr.ground.Lists.Question, tr.ground.Lists.Research = nil, nil }},
		{"troubles", func(tr *trial) { tr.ground.Lists.Trouble = nil }},
		{"words of hiring", func(tr *trial) { tr.ground.Lists.Hire = nil }},
		{"who does the work", func(tr *trial) { tr.ground.Lists.Doers = nil }},
		{"ways to say near me", func(tr *trial) { tr.ground.Lists.Near = []string{"near me"} }},
		{"words that say nothing", func(tr *trial) { tr.ground.Lists.Generic = nil }},
		{"names of firms", func(tr *trial) { tr.ground.Names = nil }},
		{"endings of names", func(tr *trial) { tr.ground.Lists.Endings = nil }},
		{"towns and regions", func(tr *trial) { tr.ground.Towns = nil }},
		{"the trade as a form", func(tr *trial) { tr.ground.Trade = "" }},
		{"ties made by themselves", func(tr *trial) { tr.untied = true }},
		{"judging by likely slips", func(tr *trial) { tr.unguessed = true }},
	}
	var table strings.Builder
	fmt.Fprintf(&table, "\n| off | %s |\n", strings.Join(slices.Concat(long, short), " | "))
	with := map[string][2]float64{}
	for _, name := range slices.Concat(long, short) {
		tr := loadTrial(t, name)
		with[name] = tr.agreement(t)
	}
	for _, rule := range rules {
		helps, hurts := 0, 0
		fmt.Fprintf(&table, "| %s |", rule.name)
		for _, name := range slices.Concat(long, short) {
			tr := loadTrial(t, name)
			rule.off(&tr)
			off := tr.agreement(t)
			kept, found := off[0]-with[name][0], off[1]-with[name][1]
			helps += boolInt(min(kept, found) < -.001)
			hurts += boolInt(max(kept, found) > .001)
			fmt.Fprintf(&table, " %+.1f", 100*kept)
			if slices.Contains(long, name) {
				fmt.Fprintf(&table, " / %+.1f", 100*found)
			}
			table.WriteString(" |")
		}
		table.WriteString("\n")
		assert.GreaterOrEqual(t, helps, 2, "%s: helps %d lists and hurts %d", rule.name, helps, hurts)
		assert.Less(t, hurts, helps, rule.name)
	}
	t.Log(table.String())
}

// agreement returns how well a book agrees with a list: of what is kept (the mean of
// precision and recall, F1), and of intents, those that are unsure told wrong.
func (tr trial) agreement(t *testing.T) [2]float64 {
	families, _ := tr.book()
	s := tr.score(t, families)
	found := map[string]string{}
	for _, f := range families {
		for _, m := range f.Members {
			found[m.Text] = strings.ReplaceAll(string(f.Intent), "_", " ")
		}
	}
	right := 0.0
	for _, p := range tr.phrases {
		right += float64(boolInt(found[p.text] == p.label))
	}
	return [2]float64{2 * s.precision * s.recall / (s.precision + s.recall), right / float64(len(tr.phrases))}
}

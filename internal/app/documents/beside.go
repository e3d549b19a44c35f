package documents

import (
	"inktally/core/handoff"
	"inktally/core/listing"
	"inktally/core/standing"
	"inktally/internal/paper"
	"inktally/internal/study/stood"
	"inktally/internal/telling"
)

// besideJobs returns the work on links, listings and map profile as an owner hears of it, and what it may bring.
func besideJobs(s *stood.Standing) (out []handoff.BesideJob, gain float64) {
	for _, t := range s.Targets {
		j := handoff.BesideJob{Kind: t.Kind, Minutes: t.Minutes}
		for _, p := range t.Parts {
			if p.State == standing.Open {
				j.Names = append(j.Names, calledHere(s, t.Kind, p.Key))
			}
		}
		if j.Count = len(j.Names); t.Kind == standing.Ask {
			j.Count = s.Reviews.Missing
		}
		gain += t.Gain
		if j.Count > 0 && t.Kind != standing.Doubt {
			out = append(out, j)
		}
	}
	return out, gain
}

// calledHere returns what a part of a target is called: a directory as its list has it, all others by their key.
func calledHere(s *stood.Standing, kind standing.Kind, key string) string {
	if kind != standing.List && kind != standing.Correct {
		return key
	}
	for _, rows := range [][]listing.Row{s.Grid.Listed, s.Grid.Missing} {
		for _, r := range rows {
			if r.Key == key {
				return r.Name
			}
		}
	}
	return key
}

// besideList puts the work that no page holds on paper.
func besideList(t telling.OwnerTeller) (out []paper.Block) {
	list := paper.List{Mark: paper.Box}
	for _, j := range t.Owner.Beside {
		list.Items = append(list.Items, job(telling.Beside(j), j.Minutes))
	}
	if len(list.Items) == 0 {
		return nil
	}
	out = append(out, paper.Heading{Level: 2, Text: telling.BesideTitle}, list)
	if says := telling.BesideBrings(t.Owner.BesideGain); says != "" {
		out = append(out, paragraphs([]string{says})...)
	}
	return out
}

package targets

import (
	"context"

	"inktally/core/plan"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// done returns what the plan asked for before the client's pages were read the last time, and
// does not ask for any more. Words are told by page: what was written may stand in any
// section.
func (now *Worked) done(ctx context.Context) ([]view.Done, error) {
	earlier, err := now.Study.PlanBefore(ctx)
	if err != nil || earlier == nil {
		return []view.Done{}, err
	}
	return now.doneOf(earlier), nil
}

// DoneSince returns what the plan asked for by earlier readings of the client's pages, and does not ask for any more.
func (now *Worked) DoneSince(ctx context.Context, readings map[string]store.Reading) ([]view.Done, error) {
	earlier, err := now.Study.PlanWith(ctx, readings)
	if err != nil || earlier == nil {
		return nil, err
	}
	return now.doneOf(earlier), nil
}

func (now *Worked) doneOf(earlier *study.Plan) []view.Done {
	out := []view.Done{}
	before, said := worked(now.Study, earlier), now.From.Said()
	asked := map[plan.Ref]bool{}
	for i := range now.Targets {
		for _, p := range now.Targets[i].Parts {
			asked[plan.Ref{Page: now.Targets[i].Page, Key: p.Key}] = true
		}
	}
	for i := range before.Targets {
		t := &before.Targets[i]
		if whole, _ := said(t.Page, t.Key); whole.State == plan.Dropped {
			continue
		}
		for k := range t.Parts {
			part := t.Parts[k] // shared
			if c, ok := said(t.Page, part.Key); ok {
				part.Choice = c
			}
			if part.Kind == plan.Words || part.Choice.State == plan.Dropped ||
				asked[plan.Ref{Page: t.Page, Key: part.Key}] || now.Pages[t.Page] == nil {
				continue
			}
			says := before.Teller(t.Page).Part(t, &part)
			out = append(out, view.Done{Page: t.Page, Key: part.Key, Kind: view.PartKind(part.Kind),
				Name: wording.PartName(part.Kind),
				Says: join(says.Before, says.Pencil, says.After),
				Note: says.Note, Gain: part.Gain, Minutes: part.Minutes})
		}
	}
	return append(out, written(before, now)...)
}

// written returns the words that were written on pages that were short of them.
func written(before, now *Worked) (out []view.Done) {
	for _, c := range before.Whole.Pages {
		key := c.Aim.Key
		earlier, is := before.Words[key], now.Words[key]
		if n := earlier.ToWrite - is.ToWrite; n > 0 && now.Pages[key] != nil {
			says, note := wording.Done(n, earlier.ToWrite, is.ToWrite)
			out = append(out, view.Done{Page: key, Key: "words", Kind: view.PartKind(plan.Words),
				Name: wording.PartName(plan.Words), Says: says,
				Note: note, Words: n, Minutes: now.Study.Yardstick.Target.Minutes.HundredWords * float64(n) / 100})
		}
	}
	return out
}

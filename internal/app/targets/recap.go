package targets

import (
	"inktally/core/plan"
	"inktally/core/recap"
	"inktally/internal/app/sheets"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// recap shows the plan in up to three imperatives, and what stands folded in it.
func (w *Worked) recap(out *view.Plan) {
	for _, m := range w.Imperatives() {
		shown := view.Recap{Fronts: []view.FrontCode{}, Says: m.Says, Evidence: m.Evidence, Words: m.Words,
			Slots: []view.SlotCode{}, Gain: m.Gain, Minutes: m.Minutes, Targets: idsOf(m.Targets)}
		for _, f := range m.Fronts {
			shown.Fronts = append(shown.Fronts, view.FrontCode(f))
		}
		if len(m.Made) == 0 && m.Words > 0 {
			shown.Now = w.Teller(m.Pages[0]).Page.Words
		}
		shown.Slots = placedIn(m.Targets)
		out.Recap = append(out.Recap, shown)
	}
	for _, f := range recap.Folded(w.Targets) {
		out.Folded = append(out.Folded, view.Fold{Page: f.Page, Says: wording.Fold(w.Name(f.Page), len(f.Targets)),
			Gain: f.Gain, Minutes: f.Minutes, Targets: idsOf(f.Targets)})
	}
}

// Imperative is a line of the recap in words.
type Imperative struct {
	recap.Imperative
	wording.RecapSays
}

// Imperatives returns the plan in up to three imperatives (rule 16.2).
func (w *Worked) Imperatives() (out []Imperative) {
	for _, m := range recap.Of(w.Targets) {
		out = append(out, Imperative{m, wording.Recap(m, w.recapCase(m))})
	}
	return out
}

// recapCase returns what the sentences of an imperative speak of.
func (w *Worked) recapCase(m recap.Imperative) wording.RecapCase {
	out := wording.RecapCase{Names: []string{}, Teller: w.Teller(m.Pages[0])}
	for _, page := range m.Pages {
		out.Names = append(out.Names, w.Name(page))
	}
	for _, page := range m.Made {
		out.Made = append(out.Made, w.Teller(page).Page)
	}
	out.Words = w.Words[m.Pages[0]]
	if c, ok := w.Pages[m.Pages[0]]; ok {
		out.Case = sheets.WordCase(c)
	}
	for _, t := range m.Targets {
		if t.Kind == plan.Placing && out.Phrase == "" {
			out.Phrase = w.Teller(t.Page).Display(t.Phrase)
		}
	}
	return out
}

// Name returns what a page is called.
func (w *Worked) Name(page string) string {
	if c, ok := w.Pages[page]; ok {
		return wording.PageName(c.Page.Kind, c.Page.Service, c.Page.Place, c.Page.URL)
	}
	return page
}

func idsOf(list []*plan.Target) []string {
	out := make([]string, len(list))
	for i, t := range list {
		out[i] = t.Ref().String()
	}
	return out
}

// placedIn returns where the lines of an imperative place phrases, each once.
func placedIn(list []*plan.Target) []view.SlotCode {
	seen, out := map[view.SlotCode]bool{}, []view.SlotCode{}
	for _, t := range list {
		for i := range t.Parts {
			rule := plan.PartRuleOf(t.Parts[i].Kind)
			if rule.Weight == "" || rule.Kind == plan.Words || t.Parts[i].Choice.State == plan.Dropped {
				continue
			}
			if code := view.SlotCode(rule.Slot.String()); !seen[code] {
				seen[code] = true
				out = append(out, code)
			}
		}
	}
	return out
}

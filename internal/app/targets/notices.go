package targets

import (
	"slices"

	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// notices tell which rivals count for a page's word target that did not when they were read
// before, and which do not any more (rule 8.2): more words of a rival may lower a target
// then.
func (w *Worked) notices() []view.Notice {
	out := []view.Notice{}
	before := w.Study.Before
	if len(before) == 0 {
		return out
	}
	for _, c := range w.Whole.Pages {
		out = append(out, w.noticesOf(c, before)...)
	}
	return out
}

func (w *Worked) noticesOf(c *study.Comparison, before map[string]store.Reading) (out []view.Notice) {
	counted := c.Counted()
	words := make([]int, len(counted))
	for i, r := range counted {
		words[i] = r.Column.Page.Words.Seen
		if former, ok := before[r.URL]; ok {
			words[i] = former.Facts.Words.Seen
		}
	}
	is := c.Words
	earlier := w.Whole.Known.Yardstick.Target.WordTargetBeside(&c.Aim, words)
	for i, r := range counted {
		aside := slices.Contains(is.SetAside, i)
		if aside != slices.Contains(earlier.SetAside, i) {
			out = append(out, view.Notice{Page: c.Aim.Key,
				Says: wording.CountedAgain(r.Name, r.Column.Page.Words.Seen, aside, earlier.Target, is.Target)})
		}
	}
	return out
}

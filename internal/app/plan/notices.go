package plan

import (
	"context"
	"slices"

	"inktally/internal/app/sheet"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// notices tell which rivals count for a page's word target that did not when they were read
// before, and which do not any more (rule 8.2): more words of a rival may lower a target
// then.
func (p *Plan) notices(ctx context.Context, client int64, w *Worked) ([]view.Notice, error) {
	var before map[string]store.Reading
	err := p.DB.Read(ctx, func(tx *store.Tx) (err error) {
		before, err = tx.ReadingsBefore(client)
		return err
	})
	out := []view.Notice{}
	if err != nil || len(before) == 0 {
		return out, err
	}
	for _, c := range w.Whole.Pages {
		out = append(out, w.noticesOf(c, before)...)
	}
	return out, nil
}

func (w *Worked) noticesOf(c *sheet.Comparison, before map[string]store.Reading) (out []view.Notice) {
	counted := c.Counted()
	words := make([]int, len(counted))
	for i, r := range counted {
		words[i] = r.Column.Page.Words.Seen
		if former, ok := before[r.URL]; ok {
			words[i] = former.Facts.Words.Seen
		}
	}
	is := c.Words
	was := w.Whole.Known.Yardstick.Target.WordTargetBeside(&c.Aim, words)
	for i, r := range counted {
		aside := slices.Contains(is.SetAside, i)
		if aside != slices.Contains(was.SetAside, i) {
			out = append(out, view.Notice{Page: c.Aim.Key, Says: wording.CountedAgain(r.Name, r.Column.Page.Words.Seen, aside, was.Target, is.Target)})
		}
	}
	return out
}

package documents

import (
	"context"

	"inktally/core/handoff"
	"inktally/internal/paper"
	"inktally/internal/pencilled"
)

// pencilledFile writes a page as a proof-reader's copy.
func (h *Handoff) pencilledFile(ctx context.Context, a Ask) (*File, error) {
	d, err := h.brief(ctx, a.Client, a.Page)
	if err != nil {
		return nil, err
	}
	firm := d.page.Known.Client.Name
	copied := handoff.PencilledOf(&d.work.Plan.Plan, a.Page, now(d.page), d.page.Aim.Criteria)
	p := &paper.Pencilled{Title: d.name() + " page of " + firm, Key: pencilled.Key,
		Under: append(d.under(), h.writtenOn()), Lang: d.page.Known.Client.Language}
	if p.Letterhead, err = h.Letterhead(ctx); err != nil {
		return nil, err
	}
	p.Head, p.Body = pencilled.Of(&copied, d.teller)
	out := &File{Name: fileName(a, firm+" "+d.name()), Type: a.Format.Type(), Body: paper.WebPencilled(p)}
	if a.Format == PDF {
		out.Body, err = h.print(ctx, out.Body)
	}
	return out, err
}

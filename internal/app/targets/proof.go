package targets

import (
	"context"
	"strings"

	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/proof"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/draft"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Proof measures a draft against the targets of a page; name is that of its file, empty for
// pasted text.
func (p *Plan) Proof(ctx context.Context, client int64, pageKey, name string, raw []byte) (*view.Proof, error) {
	read, err := draft.Read(name, raw)
	if err != nil {
		return nil, err
	}
	w, c, err := p.one(ctx, client, pageKey)
	if err != nil {
		return nil, err
	}
	survey, err := w.Study.Asked(ctx, store.Site{})
	if err != nil {
		return nil, err
	}
	survey.Firm = w.Whole.Known.Client.Name
	aim := w.Study.Aim(c)
	drafted := page.Read(read.HTML, page.Source{URL: c.Page.URL, ContentType: "text/html; charset=utf-8"})
	report := proof.Of(proof.Input{Rules: w.Whole.Known.Yardstick.Target, Page: aim, Draft: drafted, Survey: survey})
	return w.proof(pageKey, read.Format, drafted, &report), nil
}

// one returns the plan of a client with one of its pages.
func (p *Plan) one(ctx context.Context, client int64, pageKey string) (*Worked, *study.Comparison, error) {
	s, err := p.Studies.Of(ctx, client)
	if err != nil {
		return nil, nil, err
	}
	c, whole, err := s.PageOf(ctx, pageKey)
	if err != nil {
		return nil, nil, err
	}
	return worked(s, &study.Plan{Whole: whole, Pages: map[string]*study.Comparison{pageKey: c}}), c, nil
}

// proof shows a report.
func (w *Worked) proof(key string, format draft.Format, read *page.Page, r *proof.Report) *view.Proof {
	teller := w.Teller(key)
	out := &view.Proof{Page: key, Format: string(format), Copy: r.Copy, Wanted: r.Wanted, Left: r.Left, Hold: r.Hold,
		Short:    r.Short(),
		Sections: []view.ProofSection{}, Missing: []view.ProofLine{}, Met: []view.ProofLine{}, Over: []view.ProofLine{},
		Wrong: []string{}}
	for _, s := range r.Sections {
		if !s.Dropped {
			out.Sections = append(out.Sections,
				view.ProofSection{Key: s.Key, Heading: teller.Section(s), Words: s.Holds, Left: s.Words})
		}
	}
	lines := func(parts []plan.Part) []view.ProofLine {
		list := make([]view.ProofLine, 0, len(parts))
		for i := range parts {
			says := teller.Part(&plan.Target{Kind: plan.Placing}, &parts[i])
			list = append(list, view.ProofLine{Key: parts[i].Key, Name: wording.PartName(parts[i].Kind),
				Says:   join(says.Before, says.Pencil, says.After),
				Phrase: teller.Display(parts[i].Says()), Note: says.Note})
		}
		return list
	}
	out.Missing, out.Met = lines(r.Missing), lines(r.Met)
	for i := range r.Over {
		says := teller.Part(&plan.Target{Kind: plan.CutBack}, &r.Over[i])
		out.Over = append(out.Over, view.ProofLine{Key: r.Over[i].Key, Name: "Overuse",
			Says: join(says.Before, says.Pencil, says.After), Note: says.Note})
	}
	for _, f := range r.Wrong {
		out.Wrong = append(out.Wrong, wording.Finding(f))
	}
	out.Menu = read.Words.Copy == 0 && read.Words.Seen > 0
	out.Language = w.otherLanguage(read)
	return out
}

// otherLanguage returns the language of a draft that is not in the client's, empty if it is.
func (w *Worked) otherLanguage(read *page.Page) string {
	const enough = 30 // words that tell a language
	own, of := base(w.Whole.Known.Client.Language), base(read.Lang)
	if own == "" {
		own = "en"
	}
	if read.Words.Copy < enough || of == "" || of == own {
		return ""
	}
	return of
}

func base(tag string) string {
	tag, _, _ = strings.Cut(strings.ToLower(strings.ReplaceAll(tag, "_", "-")), "-")
	return tag
}

// FindPage returns the key of a page of a client by what somebody calls it: its key, its
// address, or home.
func (p *Plan) FindPage(ctx context.Context, client int64, called string) (string, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return "", err
	}
	called = text.Collapse(called)
	if strings.EqualFold(called, "home") || called == "" {
		if home := w.Home(); home != "" {
			return home, nil
		}
	}
	for _, c := range w.Whole.Pages {
		subject := strings.TrimSpace(c.Page.Service + " " + c.Page.Place)
		if c.Aim.Key == called || c.Page.URL != "" && site.SameAddress(c.Page.URL, called) ||
			strings.EqualFold(subject, called) ||
			strings.EqualFold(study.Purpose(c.Page), called) {
			return c.Aim.Key, nil
		}
	}
	return "", DraftNoPage.New(called)
}

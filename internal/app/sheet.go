package app

import (
	"context"
	"time"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/target"
	"inktally/internal/store"
)

// Sheet is the client's page and the rivals', side by side.
type Sheet struct {
	Page     PageInfo    `json:"page"`
	Families []Family    `json:"families"`
	Columns  []Column    `json:"columns" doc:"The client's page first, then the rivals' in order"`
	Target   SheetTarget `json:"target"`
}

// Family is a family of the page's phrases.
type Family struct {
	Lead    string   `json:"lead"`
	Members []string `json:"members" doc:"All members, the lead first"`
}

// Column is one page of a sheet.
type Column struct {
	Role     string `json:"role" enum:"client,rival"`
	EntryID  int64  `json:"entry_id" doc:"The rival's lineup entry, 0 for the client"`
	Name     string `json:"name"`
	Standing string `json:"standing" doc:"Where the rival stood in the search"`
	URL      string `json:"url"`
	// ReadingID is 0 where the page was not read.
	ReadingID int64      `json:"reading_id"`
	TakenAt   *time.Time `json:"taken_at"`
	Road      string     `json:"road" doc:"How the page came in: web, browser, saved file, web archive or pasted"`
	// Way is how it is to be read: served, browser, or empty where that is left
	// to the program.
	Way string `json:"way"`
	// Overruled tells that its site asks programs not to read it.
	Overruled bool `json:"overruled"`
	// Redirects are the addresses that led on to the page.
	Redirects []string `json:"redirects"`
	// Note is what is to be known of how it came in.
	Note string `json:"note"`
	// Error is why the last attempt to read the page failed.
	Error       string            `json:"error"`
	Title       string            `json:"title"`
	Description string            `json:"description"`
	Lang        string            `json:"lang"`
	Words       page.Words        `json:"words"`
	Families    []sheet.Placement `json:"families" doc:"In the order of the sheet's families"`
	Headings    []page.Heading    `json:"headings"`
	Images      []Image           `json:"images"`
	Carrying    int               `json:"carrying" doc:"Images whose names carry a phrase"`
	Warnings    []page.Warning    `json:"warnings"`
	// Details are null where the page was not read.
	Details *page.Details `json:"details"`
	// SetAside tells a rival too far off to count for the mark (MEASURES 8.2).
	SetAside bool `json:"set_aside"`
	// Unlike tells a rival's page of another kind: it counts for no mark.
	Unlike bool `json:"unlike" doc:"A page of another kind: it counts for no mark"`
}

// Image is an image of a page with its verdict.
type Image struct {
	page.Image
	Verdict  imagename.Verdict `json:"verdict"`
	Proposal string            `json:"proposal" doc:"A better name with its extension, empty for none"`
}

// SheetTarget is the column of what the client's page should have.
type SheetTarget struct {
	Words target.WordTarget `json:"words"`
	// Wanted are the slots in which each family should stand exactly.
	Wanted   [][]string `json:"wanted"`
	Carrying int        `json:"carrying" doc:"Images whose names should carry a phrase"`
	H1       string     `json:"h1" doc:"What the h1 should say, empty where it does"`
	// MarkOf is the index of the column whose figure is the mark, else -1.
	MarkOf int `json:"mark_of"`
}

// Sheet measures a page and its rivals for the sheet.
func (a *App) Sheet(ctx context.Context, client, pageID int64) (*Sheet, error) {
	s, err := a.study(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	out := &Sheet{Families: s.families(), Columns: []Column{}}
	out.Page = pageInfo(s.page)
	own := columnOf(s.client)
	own.Role = "client"
	s.propose(own.Images)
	if s.client.column != nil {
		out.Page.Words = &own.Words.Seen
		out.Page.ToWrite = &s.words.ToWrite
	}
	out.Columns = append(out.Columns, own)
	aside := map[int64]bool{}
	read := s.read()
	for _, i := range s.words.SetAside {
		aside[read[i].entry.ID] = true
	}
	out.Target = s.sheetTarget()
	for _, r := range s.rivals {
		c := columnOf(r)
		c.Role, c.EntryID, c.Standing, c.SetAside, c.Unlike = "rival", r.entry.ID, standing(r.entry), aside[r.entry.ID], !s.like(r)
		if m := s.words.MarkOf; m >= 0 && read[m] == r {
			out.Target.MarkOf = len(out.Columns)
		}
		out.Columns = append(out.Columns, c)
	}
	return out, nil
}

func (s *study) families() []Family {
	out := []Family{}
	for _, f := range s.question.Families() {
		family := Family{Lead: s.phrases[f.Members[0]]}
		for _, m := range f.Members {
			family.Members = append(family.Members, s.phrases[m])
		}
		out = append(out, family)
	}
	return out
}

func columnOf(sub *subject) Column {
	c := Column{Name: sub.name, URL: sub.url, Error: sub.failed, Families: []sheet.Placement{}, Headings: []page.Heading{},
		Images: []Image{}, Warnings: []page.Warning{}, Redirects: []string{}, Way: sub.way}
	if sub.column == nil {
		return c
	}
	p := sub.column.Page
	r := sub.reading
	c.ReadingID, c.TakenAt, c.Road, c.Overruled = r.ID, when(r.TakenAt), r.Road, r.Overruled
	c.Redirects = append(c.Redirects, r.Redirects...)
	c.Note = factsOf(*r).Note
	c.Title, c.Description, c.Lang, c.Words = p.Title, p.Description, p.Lang, p.Words
	c.Families = sub.column.Families
	c.Headings = append(c.Headings, p.Headings...)
	c.Warnings = append(c.Warnings, p.Warnings...)
	c.Carrying = sub.column.Carrying()
	details := p.Details()
	c.Details = &details
	for i, img := range p.Images {
		c.Images = append(c.Images, Image{Image: img, Verdict: sub.column.Verdicts[i]})
	}
	return c
}

// propose puts the proposed names of the targets on the client's images.
func (s *study) propose(images []Image) {
	for _, t := range s.targets {
		if t.Subject == target.AboutImageName && t.Image >= 0 {
			images[t.Image].Proposal = t.Wanted
		}
	}
}

func (s *study) sheetTarget() SheetTarget {
	y := target.Standard()
	t := SheetTarget{Words: s.words, Wanted: [][]string{}, Carrying: y.CarryingOther, MarkOf: -1}
	if s.page.Kind == target.Home {
		t.Carrying = y.CarryingHome
	}
	for i := range s.leads {
		slots := []string{}
		for _, slot := range y.Wanted(s.page.Kind, i, s.words.Target) {
			slots = append(slots, slot.String())
		}
		t.Wanted = append(t.Wanted, slots)
	}
	for _, x := range s.targets {
		if x.Subject == target.AboutH1 {
			t.H1 = s.display(x.Phrase)
		}
	}
	return t
}

// entryOf finds the lineup entry of a rival in a study.
func (s *study) entryOf(id int64) (*subject, error) {
	if id == 0 {
		return s.client, nil
	}
	for _, r := range s.rivals {
		if r.entry.ID == id {
			return r, nil
		}
	}
	return nil, store.ErrNotFound
}

package targets

import (
	"cmp"
	"context"
	"regexp"
	"slices"
	"strings"

	"inktally/core/imagename"
	"inktally/core/plan"
	"inktally/internal/export"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Images lists the images of all pages with the names and alt texts that they should have.
// Those that are named for what they show are left alone.
func (p *Plan) Images(ctx context.Context, client int64) (*view.ImageNames, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	return w.images(), nil
}

// Shown lists them as a screen shows them: where there are very many, not all of which nothing is asked.
func (p *Plan) Shown(ctx context.Context, client int64) (list view.ImageNames, err error) {
	all, err := p.Images(ctx, client)
	if err == nil {
		list = all.Cut()
	}
	return list, err
}

func (w *Worked) images() *view.ImageNames {
	out := &view.ImageNames{Rows: []view.ImageRow{}}
	for _, c := range w.Whole.Pages {
		key, address := c.Aim.Key, cmp.Or(c.Page.URL, c.Aim.Key)
		asked := w.imageParts(key)
		if c.Aim.Client != nil {
			pg := c.Aim.Client.Page
			seen := map[string]bool{}
			for i, img := range pg.Images {
				file := img.File + img.Ext
				if img.Frame || file == "" || seen[file] {
					continue
				}
				seen[file] = true
				row := view.ImageRow{Page: key, PageURL: address, Now: file,
					Verdict:     view.VerdictCode(c.Aim.Client.Verdicts[i]),
					VerdictSays: wording.Verdict(c.Aim.Client.Verdicts[i], img.File), Hidden: img.Hidden}
				if img.Alt != nil {
					row.AltNow = *img.Alt
				}
				ask(&row, asked[i])
				out.Rows = append(out.Rows, row)
			}
		}
		for _, part := range asked[-1] {
			if part.Kind == plan.ImageName {
				row := view.ImageRow{Page: key, PageURL: address}
				ask(&row, append([]plan.Part{part}, altOf(asked[-1], part)...))
				out.Rows = append(out.Rows, row)
			}
		}
	}
	w.twins(out)
	return out
}

// imageParts returns the parts of a page's targets that are about images, by the image.
func (w *Worked) imageParts(page string) map[int][]plan.Part {
	out := map[int][]plan.Part{}
	for i := range w.Targets {
		t := &w.Targets[i]
		for _, p := range t.Parts {
			if t.Page == page && (p.Kind == plan.ImageName || p.Kind == plan.Alt) {
				if t.Choice.State == plan.Dropped {
					p.Choice.State = plan.Dropped
				}
				out[p.Image.At] = append(out[p.Image.At], p)
			}
		}
	}
	return out
}

// altOf returns the alt text of an image that is to be added.
func altOf(parts []plan.Part, name plan.Part) (out []plan.Part) {
	for _, p := range parts {
		if p.Kind == plan.Alt && (p.Says() == name.Says() || p.Family() != "" && p.Family() == name.Family()) {
			return []plan.Part{p}
		}
	}
	return nil
}

// ask puts what is asked of an image on its row.
func ask(row *view.ImageRow, parts []plan.Part) {
	for _, p := range parts {
		changed := p.Choice.State == plan.Changed
		switch p.Kind {
		case plan.ImageName:
			row.NameKey, row.Wanted, row.Proposed, row.Dropped, row.Changed = p.Key, p.Image.Wanted, p.Image.Wanted,
				p.Choice.State == plan.Dropped, changed
			if changed {
				row.Wanted = p.Choice.Value
			}
		case plan.Alt:
			row.AltKey, row.AltWanted, row.AltChanged = p.Key, p.Image.Wanted, changed
			if changed {
				row.AltWanted = p.Choice.Value
			}
			if p.Choice.State == plan.Dropped {
				row.AltWanted = ""
			}
		}
	}
}

// twins marks rows that would have the name of another file of the site.
func (w *Worked) twins(list *view.ImageNames) {
	names := map[string]int{}
	for _, r := range list.Rows {
		names[final(r)]++
	}
	for i := range list.Rows {
		r := &list.Rows[i]
		r.Twice = r.Wanted != "" && !r.Dropped && names[final(*r)] > 1
	}
}

// final returns the name that the image of a row would have.
func final(r view.ImageRow) string {
	if r.Wanted != "" && !r.Dropped {
		return strings.ToLower(r.Wanted)
	}
	return strings.ToLower(r.Now)
}

// Renames returns the files that are to get another name.
func (p *Plan) Renames(ctx context.Context, client int64) ([]export.Rename, error) {
	list, err := p.Images(ctx, client)
	if err != nil {
		return nil, err
	}
	var out []export.Rename
	for _, r := range list.Rows {
		if r.Now != "" && r.Wanted != "" && !r.Dropped && !r.Twice {
			out = append(out, export.Rename{From: r.Now, To: r.Wanted})
		}
	}
	return out, nil
}

// fileName is what an image may be called: one that every server and every file system
// takes.
var fileName = regexp.MustCompile(`^[A-Za-z0-9][A-Za-z0-9._-]{0,99}\.[A-Za-z0-9]{1,5}$`)

// checkName checks what the user says that an image is to be called. Its error is a fault.
func (w *Worked) checkName(s Said) error {
	ofImage := slices.ContainsFunc(w.Targets, func(t plan.Target) bool {
		return t.Page == s.Page && slices.ContainsFunc(t.Parts, func(p plan.Part) bool {
			return p.Key == s.Key && p.Kind == plan.ImageName
		})
	})
	if !ofImage || s.State != plan.Changed {
		return nil
	}
	if !fileName.MatchString(s.Value) {
		return ImageNameBad.New(s.Value, imagename.Slug(strings.TrimSuffix(s.Value, ".jpg"))+".jpg")
	}
	return nil
}

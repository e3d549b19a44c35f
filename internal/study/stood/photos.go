package stood

import (
	"context"
	"path"

	"inktally/core/imagename"
	"inktally/internal/study"
)

// photoNames returns what tells what photos of the map profile should be called: they are judged and named as images of
// the home page are, with what its families, services and towns say (rules 4.2, 4.3, 13.4). nil without a home page.
func photoNames(ctx context.Context, of *study.Study) (func(files []string) []string, error) {
	home, err := study.HomePage(of.Pages)
	if err != nil {
		return nil, nil
	}
	c, err := of.Compare(ctx, home.ID)
	if err != nil {
		return nil, err
	}
	var wishes []string // the first family, then services and towns, then what is searched for beside
	if first, ok := c.First(); ok {
		wishes = append(wishes, first.Text)
	}
	wishes = append(wishes, c.Aim.Wishes...)
	for _, f := range c.Aim.Families {
		wishes = append(wishes, f.Text)
	}
	judge := c.Criteria.Judge()
	return func(files []string) []string {
		images := make([]imagename.Image, len(files))
		for i, file := range files {
			ext := path.Ext(file)
			name := file[:len(file)-len(ext)]
			images[i] = imagename.Image{Name: name, Ext: ext, Verdict: judge.Verdict(name)}
		}
		return judge.Propose(images, wishes, 0, imagename.NamesOf(files))
	}, nil
}

package standings

import (
	"context"
	"time"

	"inktally/core/brought"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study/stood"
	show "inktally/internal/view/stood"
)

// Ask asks all sources for the figures of the client and its rivals, and keeps what they know.
func (s *Standing) Ask(ctx context.Context, id int64) (*show.FiguresKept, error) {
	if len(s.Sources) == 0 {
		return nil, NoFigureSource.New()
	}
	k, err := s.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	known := stood.SitesOf(k)
	var read []dated
	for _, of := range s.Sources {
		for _, site := range known {
			host := site.Domain
			if host == stood.OwnDomain {
				host = ""
			}
			list, err := of.Tables(ctx, host, site.Name)
			if err != nil {
				return nil, err
			}
			for _, t := range list {
				read = append(read, s.dated(t, known, site.Domain))
			}
		}
	}
	out := &show.FiguresKept{LeftOut: []show.RowLeftOut{}}
	for _, d := range read {
		out.LeftN += len(d.leftOut)
		out.LeftOut = append(out.LeftOut, leftOut(d.leftOut)...)
	}
	if len(read) == 0 {
		return nil, NothingKept.New()
	}
	out.Says = saysOf(read)
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		i := elsewhere.Import{Name: "from your sources", On: s.Now()}
		if out.Import, err = elsewhere.AddImport(tx, id, i); err != nil {
			return err
		}
		for _, d := range read {
			if err := d.put(tx, id, out.Import, elsewhere.Import{Source: d.source, On: d.on}); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	out.Standing, err = s.Get(ctx, id)
	return out, err
}

// dated is a table of a source as it was read.
type dated struct {
	reader
	source string
	on     time.Time
}

// dated reads a table of a source.
func (s *Standing) dated(t source.FigureTable, known []stood.Site, site string) dated {
	on, err := time.Parse(time.DateOnly, t.On)
	if err != nil {
		on = s.Now()
	}
	d := dated{reader{sites: known, site: site}, t.Source, on}
	d.take(t.Rows, brought.Guess(t.Rows))
	return d
}

// saysOf tells what tables bring together.
func saysOf(list []dated) string {
	all := reader{domains: map[string]bool{}}
	links, listings := 0, 0
	for _, d := range list {
		all.totals, all.facts = append(all.totals, d.totals...), append(all.facts, d.facts...)
		for domain := range d.domains {
			all.domains[domain] = true
		}
		links += count(d.links)
		listings += count(d.listings)
	}
	return finds(&all, links, listings)
}

package standings

import (
	"inktally/core/lineup"
	"inktally/core/listing"
	show "inktally/internal/view/stood"
	"inktally/internal/wording/standings"
)

// ownPlace returns the organic place of the client's website in the newest search for its own name, 0 for none.
func (t table) ownPlace() int {
	n := t.s.Names[0]
	for i, e := range n.Entries {
		if n.Hits[i] == listing.OwnSite && e.Part == lineup.Organic {
			return e.Position
		}
	}
	return 0
}

// nameSearch is the row of what the newest search for the client's own name shows.
func (t table) nameSearch() show.StandingRow {
	row := show.StandingRow{Key: "own_name", Name: "search for its own name"}
	for _, site := range t.s.Sites {
		c := show.StandingCell{Former: []show.FormerFigure{}}
		if site.Own && len(t.s.Names) > 0 {
			n := t.s.Names[0]
			c.Text = standings.NameFound(t.ownPlace(), n.Hits)
			c.Source = from("“"+n.Phrase+"”", n.RecordedAt)
		}
		row.Cells = append(row.Cells, c)
	}
	return row
}

// nameNotes tell what is wrong with what the newest search for the client's own name shows.
func (t table) nameNotes() (out []string) {
	if len(t.s.Names) == 0 {
		return nil
	}
	n, own := t.s.Names[0], t.ownPlace()
	if own == 0 && t.s.Business.Site != "" {
		out = append(out, standings.NameNotFound(n.LookedAt))
	}
	for i, e := range n.Entries {
		if n.Hits[i] == listing.Namesake && e.Part == lineup.Organic && (own == 0 || e.Position < own) {
			return append(out, standings.NamesakeAbove(e.Name, e.Position))
		}
	}
	return out
}

package store

import (
	"time"

	"inktally/internal/store/kept"

	"inktally/core/standing"
)

// SiteFigure is a figure of a site that comes from elsewhere.
type SiteFigure struct {
	Domain string
	Figure standing.Figure
	Value  float64
	// Scale is what the source's own strength is measured in, Source who says so.
	Scale, Source string
	TakenOn       time.Time
}

// SiteFigures returns the figures that a client's user brought.
func (t *Tx) SiteFigures(client int64) ([]SiteFigure, error) {
	return All(t, func(r Scanner, f *SiteFigure) error {
		return r.Scan(&f.Domain, &f.Figure, &f.Value, &f.Scale, &f.Source, (*kept.Time)(&f.TakenOn))
	},
		`SELECT domain, figure, value, scale, source, taken_on FROM site_figures WHERE client_id = ?
			ORDER BY domain, figure`, client)
}

// SetSiteFigure keeps a figure in place of the one that was known.
func (t *Tx) SetSiteFigure(client int64, f SiteFigure) error {
	_, err := t.exec(of(client, FacetStanding),
		`INSERT OR REPLACE INTO site_figures (client_id, domain, figure, value, scale, source, taken_on)
			VALUES (?, ?, ?, ?, ?, ?, ?)`,
		client, f.Domain, f.Figure, f.Value, f.Scale, f.Source, kept.Time(f.TakenOn))
	return err
}

// DeleteSiteFigure forgets a figure; one that is not known is forgotten already.
func (t *Tx) DeleteSiteFigure(client int64, domain string, figure standing.Figure) error {
	_, err := t.exec(of(client, FacetStanding),
		`DELETE FROM site_figures WHERE client_id = ? AND domain = ? AND figure = ?`, client, domain, figure)
	return err
}

package store

import (
	"inktally/core/gazetteer"
)

// Towns returns those that the file adds to the gazetteer.
func (t *Tx) Towns() ([]gazetteer.Town, error) {
	return All(t, func(r Scanner, v *gazetteer.Town) error {
		return r.Scan(&v.Name, &v.Country, &v.State, &v.Lat, &v.Lon, &v.Size)
	}, `SELECT name, country, state, lat, lon, size FROM towns ORDER BY id`)
}

// AddTowns adds towns to the gazetteer; one of the same name, country and state
// takes the place of what was known of it.
func (t *Tx) AddTowns(towns []gazetteer.Town) error {
	for _, v := range towns {
		if _, err := t.exec(of(Everyone, FacetGround),
			`INSERT OR REPLACE INTO towns (name, country, state, lat, lon, size) VALUES (?, ?, ?, ?, ?, ?)`,
			v.Name, v.Country, v.State, v.Lat, v.Lon, v.Size); err != nil {
			return err
		}
	}
	return nil
}

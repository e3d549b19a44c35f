package workspace

import (
	"inktally/core/gazetteer"
	"inktally/internal/store"
)

// Towns returns those that the file adds to the gazetteer.
func Towns(t *store.Tx) ([]gazetteer.Town, error) {
	return store.All(t, func(r store.Scanner, v *gazetteer.Town) error {
		return r.Scan(&v.Name, &v.Country, &v.State, &v.Lat, &v.Lon, &v.Size)
	}, `SELECT name, country, state, lat, lon, size FROM towns ORDER BY id`)
}

// AddTowns adds towns to the gazetteer; one of the same name, country and state
// takes the place of what was known of it.
func AddTowns(t *store.Tx, towns []gazetteer.Town) error {
	for _, v := range towns {
		if err := t.Put(store.Everyone, store.FacetGround,
			`INSERT OR REPLACE INTO towns (name, country, state, lat, lon, size) VALUES (?, ?, ?, ?, ?, ?)`,
			v.Name, v.Country, v.State, v.Lat, v.Lon, v.Size); err != nil {
			return err
		}
	}
	return nil
}

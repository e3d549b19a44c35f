package phrasebook

import (
	"inktally/internal/store"
	"inktally/internal/study"
)

// keepFirsts keeps what the pages of a client that were read are for by now, before figures come that may tell
// otherwise: a page that was written for one phrase is not to be written for another because a list is newer (9.2).
func keepFirsts(tx *store.Tx, k *study.Known) error {
	for _, p := range k.Pages {
		if _, read := k.Latest[study.ReadingKey(p)]; !read || p.First != "" {
			continue
		}
		families := k.Shown(p.ID)
		if len(families) == 0 || families[0].RowVolume == 0 {
			continue
		}
		if err := tx.SetFirst(k.Client.ID, p.ID, families[0].Key); err != nil {
			return err
		}
	}
	return nil
}

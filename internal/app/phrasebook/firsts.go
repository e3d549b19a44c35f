package phrasebook

import (
	"inktally/core/book"
	"inktally/internal/store"
	"inktally/internal/study"
)

// keepFirsts keeps what the pages of a client that were read are for by now, before figures come that may tell
// otherwise: a page that was written for one phrase is not to be written for another because a list is newer (9.2).
func keepFirsts(tx *store.Tx, k *study.Known) error {
	for _, p := range k.Pages {
		if p.First != "" {
			continue
		}
		_, read := k.Latest[study.ReadingKey(p)]
		first := book.Settled(k.Shown(p.ID), read)
		if first == "" {
			continue
		}
		if err := tx.SetFirst(k.Client.ID, p.ID, first); err != nil {
			return err
		}
	}
	return nil
}

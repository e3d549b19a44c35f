package phrasebook

import (
	"context"
	"strconv"

	"inktally/internal/export"
	"inktally/internal/store"
	"inktally/internal/wording"
)

// File returns a client's phrase book as CSV, a phrase a row in the order of the
// book, and the name of its client. Imported again, it gives the same figures.
func (b *Book) File(ctx context.Context, client int64) (csv []byte, name string, err error) {
	shown, err := b.Get(ctx, client)
	if err != nil {
		return nil, "", err
	}
	err = b.DB.Read(ctx, func(tx *store.Tx) error {
		c, err := tx.Client(client)
		name = c.Name
		return err
	})
	if err != nil {
		return nil, "", err
	}
	rows, leads := [][]string{wording.BookColumns()}, map[string]string{}
	for _, f := range shown.Families {
		leads[f.Key] = f.Members[0].Text
	}
	for _, f := range shown.Families {
		for i, m := range f.Members {
			row := []string{m.Text, f.Members[0].Text, figure(m.Volume), string(m.Area), figure(m.Difficulty),
				figure(m.Position), string(f.Intent), f.Why.Says, f.Service, f.Place, f.Carrier, yes(f.Kept), "", "",
				leads[f.Under]}
			if f.Choice.Reason != "" {
				row[7] = f.Choice.Reason
			}
			if i == 0 && f.Under == "" { // what is folded under another stands in its gain
				row[12], row[13] = decimal(f.RowGain), decimal(f.Worth)
			}
			rows = append(rows, row)
		}
	}
	csv, err = export.CSV(rows)
	return csv, name, err
}

func figure(n *int) string {
	if n == nil {
		return ""
	}
	return strconv.Itoa(*n)
}

func decimal(f float64) string {
	if f == 0 {
		return ""
	}
	return strconv.FormatFloat(f, 'f', 1, 64)
}

func yes(b bool) string {
	if b {
		return "yes"
	}
	return "no"
}

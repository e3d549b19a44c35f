package datafile

import (
	"context"
	"fmt"
)

// How many rows, or pages of the file, are changed at once where there may be little room; fewer of rows with which
// others go.
const (
	piece      = 1000
	largePiece = 50
)

// Purge deletes the rows of a table that are marked in a column, with all that belongs to them, and gives the disk back
// what they took. The rows that would go with one go before it, some at a time, and the file takes in each piece before
// the next: so its log needs little room, however much there is. Where even that finds no room the rest is left for
// another time.
func (f *File) Purge(ctx context.Context, table, marked string) error {
	ids, err := f.numbers(ctx, `SELECT id FROM `+table+` WHERE `+marked)
	if err != nil || len(ids) == 0 {
		return err
	}
	f.Release(ctx)
	defer f.Reserve()
	for _, id := range ids {
		if err := f.deleteInPieces(ctx, table, id); err != nil {
			return unlessFull(err)
		}
	}
	return unlessFull(f.Shrink(ctx))
}

// unlessFull returns an error but for one that says that there is no room.
func unlessFull(err error) error {
	if Full(err) {
		return nil
	}
	return err
}

// numbers returns those that a query answers with.
func (f *File) numbers(ctx context.Context, query string, args ...any) (out []int64, err error) {
	rows, err := f.Writer.QueryContext(ctx, query, args...)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	for rows.Next() {
		var n int64
		if err := rows.Scan(&n); err != nil {
			return nil, err
		}
		out = append(out, n)
	}
	return out, rows.Err()
}

func (f *File) deleteInPieces(ctx context.Context, table string, id int64) error {
	children, err := f.children(ctx, table)
	if err != nil {
		return err
	}
	for _, c := range children {
		some := fmt.Sprintf(`DELETE FROM %[1]s WHERE rowid IN (SELECT rowid FROM %[1]s WHERE %[2]s = ? LIMIT %[3]d)`,
			c.table, c.column, c.rows)
		for {
			result, err := f.Writer.ExecContext(ctx, some, id)
			if err != nil {
				return err
			}
			if n, err := result.RowsAffected(); err != nil {
				return err
			} else if n == 0 {
				break
			}
			if err := drain(ctx, f.Writer, checkpoint); err != nil {
				return err
			}
		}
	}
	_, err = f.Writer.ExecContext(ctx, `DELETE FROM `+table+` WHERE id = ?`, id)
	return err
}

// child is a table whose rows go with those of another.
type child struct {
	table, column string
	rows          int // that are deleted at once
}

// children are the tables whose rows go with those of a table, but for those without row ids: these hold what a person
// typed, and go with the last piece.
func (f *File) children(ctx context.Context, table string) (out []child, err error) {
	rows, err := f.Writer.QueryContext(ctx, `
		WITH keys AS (SELECT m.name AS child, m.wr AS wr, k."table" AS parent, k."from" AS field
			FROM pragma_table_list m, pragma_foreign_key_list(m.name) k
			WHERE m.schema = 'main' AND m.type = 'table' AND k.on_delete = 'CASCADE')
		SELECT child, field, CASE WHEN child IN (SELECT parent FROM keys) THEN ? ELSE ? END
		FROM keys WHERE parent = ? AND NOT wr ORDER BY child`, largePiece, piece, table)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	for rows.Next() {
		var c child
		if err := rows.Scan(&c.table, &c.column, &c.rows); err != nil {
			return nil, err
		}
		out = append(out, c)
	}
	return out, rows.Err()
}

package datafile

import (
	"context"
	"database/sql"
	"fmt"
	"io/fs"
	"strings"

	"github.com/pressly/goose/v3"
)

// Strange returns the first thing in which the tables of a file are not those that this program made at its version,
// empty for nothing: a table more or less, another column, a trigger or a view that nobody made. Such a file may be
// whole and do what nobody asked for.
func Strange(ctx context.Context, path string, migrations fs.FS) (string, error) {
	is, known, err := versions(ctx, path, migrations)
	if err != nil || is == 0 || is > known {
		return "", err
	}
	want, err := madeBy(ctx, migrations, is)
	if err != nil {
		return "", err
	}
	db, err := look(ctx, path)
	if err != nil {
		return "", err
	}
	defer db.Close()
	have, err := partsOf(ctx, db)
	if err != nil {
		return "", err
	}
	for name, part := range have {
		switch its, ok := want[name]; {
		case !ok:
			return fmt.Sprintf("it has a %s that is no part of it: %s", part.kind, part.name), nil
		case its.sql != part.sql:
			return fmt.Sprintf("its %s %s is another one", part.kind, part.name), nil
		}
	}
	for name, part := range want {
		if _, ok := have[name]; !ok {
			return fmt.Sprintf("its %s %s is missing", part.kind, part.name), nil
		}
	}
	return "", nil
}

// part is a table, an index, a trigger or a view; sql is what it is made of: of a table its columns.
type part struct{ kind, name, sql string }

// madeBy returns the parts of a file of a version.
func madeBy(ctx context.Context, migrations fs.FS, version int64) (map[string]part, error) {
	db, err := sql.Open("sqlite", ":memory:")
	if err != nil {
		return nil, err
	}
	defer db.Close()
	db.SetMaxOpenConns(1)
	provider, err := goose.NewProvider(goose.DialectSQLite3, db, migrations)
	if err != nil {
		return nil, err
	}
	if _, err := provider.UpTo(ctx, version); err != nil {
		return nil, err
	}
	return partsOf(ctx, db)
}

// partsOf returns the parts of a file by kind and name.
func partsOf(ctx context.Context, db *sql.DB) (map[string]part, error) {
	rows, err := db.QueryContext(ctx, `SELECT type, name, COALESCE(sql, ''), CASE type WHEN 'table' THEN (
			SELECT group_concat(name || ' ' || type || ' ' || "notnull" || ' ' || pk, ', ') FROM pragma_table_info(m.name))
		ELSE '' END FROM sqlite_master m WHERE name NOT LIKE 'sqlite\_%' ESCAPE '\'`)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	out := map[string]part{}
	for rows.Next() {
		var p part
		var columns sql.NullString
		if err := rows.Scan(&p.kind, &p.name, &p.sql, &columns); err != nil {
			return nil, err
		}
		p.sql = strings.Join(strings.Fields(p.sql), " ")
		if p.kind == "table" { // as it is written differs with how it was changed
			p.sql = columns.String
		}
		if p.kind == "index" {
			p.sql = ""
		}
		out[p.kind+" "+p.name] = p
	}
	return out, rows.Err()
}

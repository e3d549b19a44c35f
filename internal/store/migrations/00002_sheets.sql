-- +goose Up
-- The style sheets that readings were made with, each kept once.
CREATE TABLE sheets (
    id   INTEGER PRIMARY KEY,
    hash TEXT NOT NULL UNIQUE,
    css  BLOB NOT NULL
);

CREATE TABLE reading_sheets (
    reading_id INTEGER NOT NULL REFERENCES readings (id) ON DELETE CASCADE,
    url        TEXT NOT NULL,
    sheet_id   INTEGER NOT NULL REFERENCES sheets (id),
    PRIMARY KEY (reading_id, url)
) WITHOUT ROWID;

-- +goose Down
DROP TABLE reading_sheets;
DROP TABLE sheets;

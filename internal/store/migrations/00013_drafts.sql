-- +goose Up

-- Drafts that were kept as versions of their pages. What was read of a draft is a reading
-- like any other, under a name of its own; this is what its writer typed.
CREATE TABLE drafts (
    reading_id INTEGER PRIMARY KEY REFERENCES readings (id) ON DELETE CASCADE,
    client_id  INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page       TEXT NOT NULL,
    name       TEXT NOT NULL DEFAULT '',
    format     TEXT NOT NULL,
    body       BLOB NOT NULL
);
CREATE INDEX drafts_page ON drafts (client_id, page);

-- +goose Down
DELETE FROM readings WHERE id IN (SELECT reading_id FROM drafts);
DROP TABLE drafts;

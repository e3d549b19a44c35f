-- +goose Up
-- Pages that are read although their site asks programs not to.
CREATE TABLE overrules (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url       TEXT NOT NULL,
    PRIMARY KEY (client_id, url)
) WITHOUT ROWID;

-- +goose Down
DROP TABLE overrules;

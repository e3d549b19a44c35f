-- +goose Up
-- Ids are never used twice (AUTOINCREMENT): readings are kept in memory by id,
-- and a link to something deleted must not lead to something else.
CREATE TABLE clients (
    id         INTEGER PRIMARY KEY AUTOINCREMENT,
    name       TEXT NOT NULL,
    trade      TEXT NOT NULL DEFAULT '',
    phone      TEXT NOT NULL DEFAULT '',
    hours      REAL NOT NULL DEFAULT 4,
    created_at TEXT NOT NULL
);

CREATE TABLE services (
    id        INTEGER PRIMARY KEY,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    position  INTEGER NOT NULL,
    name      TEXT NOT NULL
);
CREATE INDEX services_client ON services (client_id, position);

CREATE TABLE places (
    id        INTEGER PRIMARY KEY,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    position  INTEGER NOT NULL,
    name      TEXT NOT NULL,
    state     TEXT NOT NULL DEFAULT '',
    home      INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX places_client ON places (client_id, position);

CREATE TABLE phrases (
    id        INTEGER PRIMARY KEY,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    position  INTEGER NOT NULL,
    text      TEXT NOT NULL
);
CREATE INDEX phrases_client ON phrases (client_id, position);

-- The client's own pages. One without an address is not there yet.
CREATE TABLE pages (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    kind      TEXT NOT NULL,
    url       TEXT NOT NULL DEFAULT ''
);
CREATE INDEX pages_client ON pages (client_id);

-- The conditions of the search that was recorded last.
CREATE TABLE lineups (
    client_id   INTEGER PRIMARY KEY REFERENCES clients (id) ON DELETE CASCADE,
    phrase      TEXT NOT NULL,
    place       TEXT NOT NULL DEFAULT '',
    device      TEXT NOT NULL DEFAULT '',
    looked_at   INTEGER NOT NULL DEFAULT 0,
    ads         TEXT NOT NULL DEFAULT '',
    recorded_at TEXT NOT NULL
);

CREATE TABLE lineup_entries (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    part      TEXT NOT NULL,
    position  INTEGER NOT NULL,
    sponsored INTEGER NOT NULL DEFAULT 0,
    name      TEXT NOT NULL,
    url       TEXT NOT NULL DEFAULT '',
    rating    REAL,
    reviews   INTEGER,
    kind      TEXT NOT NULL,
    reason    TEXT NOT NULL DEFAULT '',
    taken     INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX lineup_entries_client ON lineup_entries (client_id);

-- One page, read and measured at one moment; never changed afterwards.
CREATE TABLE readings (
    id           INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id    INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url          TEXT NOT NULL,
    final_url    TEXT NOT NULL,
    road         TEXT NOT NULL,
    content_type TEXT NOT NULL DEFAULT '',
    taken_at     TEXT NOT NULL,
    html         BLOB NOT NULL,
    facts        TEXT NOT NULL
);
CREATE INDEX readings_url ON readings (client_id, url, id);

CREATE TABLE jobs (
    id         INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id  INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    state      TEXT NOT NULL,
    started_at TEXT NOT NULL,
    ended_at   TEXT NOT NULL DEFAULT ''
);
CREATE INDEX jobs_client ON jobs (client_id, id);

CREATE TABLE job_items (
    job_id     INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
    position   INTEGER NOT NULL,
    name       TEXT NOT NULL,
    url        TEXT NOT NULL,
    state      TEXT NOT NULL,
    error      TEXT NOT NULL DEFAULT '',
    reading_id INTEGER REFERENCES readings (id) ON DELETE SET NULL,
    PRIMARY KEY (job_id, position)
) WITHOUT ROWID;

-- What the user said of a target; the targets themselves are worked out anew.
CREATE TABLE targets (
    page_id INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    key     TEXT NOT NULL,
    state   TEXT NOT NULL,
    value   TEXT NOT NULL DEFAULT '',
    reason  TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (page_id, key)
) WITHOUT ROWID;

-- +goose Down
DROP TABLE targets;
DROP TABLE job_items;
DROP TABLE jobs;
DROP TABLE readings;
DROP TABLE lineup_entries;
DROP TABLE lineups;
DROP TABLE pages;
DROP TABLE phrases;
DROP TABLE places;
DROP TABLE services;
DROP TABLE clients;

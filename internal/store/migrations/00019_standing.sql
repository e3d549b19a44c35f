-- +goose Up
-- What was brought at once, to be taken back at once.
CREATE TABLE standing_imports (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    name      TEXT NOT NULL,
    source    TEXT NOT NULL DEFAULT '',
    taken_on  TEXT NOT NULL
);
CREATE INDEX standing_imports_client ON standing_imports (client_id, id);

-- Figures of sites that come from elsewhere. None replaces an older one: it stands beside it.
CREATE TABLE standing_figures (
    id        INTEGER PRIMARY KEY, -- of one day what was kept last is the newest
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    site      TEXT NOT NULL,
    figure    TEXT NOT NULL,
    scope     TEXT NOT NULL DEFAULT 'site',
    name      TEXT NOT NULL DEFAULT '',
    source    TEXT NOT NULL DEFAULT '',
    taken_on  TEXT NOT NULL,
    scale     REAL NOT NULL DEFAULT 0,
    value     REAL NOT NULL,
    import_id INTEGER REFERENCES standing_imports (id) ON DELETE CASCADE,
    UNIQUE (client_id, site, figure, scope, name, taken_on, source)
);
INSERT INTO standing_figures (client_id, site, figure, name, source, taken_on, value)
    SELECT client_id, domain, figure, CASE WHEN figure = 'strength' THEN scale ELSE '' END, source,
        substr(taken_on, 1, 10), value FROM site_figures;
DROP TABLE site_figures;

-- Lists of links and of listings, as they were brought; counted are domains that link, directories that list.
CREATE TABLE standing_lists (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    kind      TEXT NOT NULL,
    site      TEXT NOT NULL,
    source    TEXT NOT NULL DEFAULT '',
    taken_on  TEXT NOT NULL,
    fields    TEXT NOT NULL DEFAULT '',
    counted   INTEGER NOT NULL,
    body      BLOB NOT NULL,
    import_id INTEGER REFERENCES standing_imports (id) ON DELETE CASCADE,
    UNIQUE (client_id, kind, site, taken_on, source)
);

-- Facts of map profiles; an empty one is known to be missing.
CREATE TABLE standing_facts (
    id        INTEGER PRIMARY KEY,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    site      TEXT NOT NULL,
    field     TEXT NOT NULL,
    source    TEXT NOT NULL DEFAULT '',
    taken_on  TEXT NOT NULL,
    value     TEXT NOT NULL,
    import_id INTEGER REFERENCES standing_imports (id) ON DELETE CASCADE,
    UNIQUE (client_id, site, field, taken_on, source)
);

-- What was said of parts of the standing's targets.
CREATE TABLE standing_said (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    kind      TEXT NOT NULL,
    part      TEXT NOT NULL,
    state     TEXT NOT NULL,
    said_at   TEXT NOT NULL,
    PRIMARY KEY (client_id, kind, part)
) WITHOUT ROWID;

-- What the user said of domains that link, for all clients.
CREATE TABLE link_verdicts (
    domain  TEXT PRIMARY KEY,
    verdict TEXT NOT NULL,
    said_at TEXT NOT NULL
) WITHOUT ROWID;

-- The business as it should stand in every listing.
ALTER TABLE clients ADD COLUMN street_address TEXT NOT NULL DEFAULT '';
ALTER TABLE clients ADD COLUMN address_hidden INTEGER NOT NULL DEFAULT 0;
ALTER TABLE clients ADD COLUMN opening_hours TEXT NOT NULL DEFAULT '';
ALTER TABLE clients ADD COLUMN more_phones TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE clients DROP COLUMN more_phones;
ALTER TABLE clients DROP COLUMN opening_hours;
ALTER TABLE clients DROP COLUMN address_hidden;
ALTER TABLE clients DROP COLUMN street_address;
DROP TABLE link_verdicts;
DROP TABLE standing_said;
DROP TABLE standing_facts;
DROP TABLE standing_lists;
CREATE TABLE site_figures (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    domain    TEXT NOT NULL,
    figure    TEXT NOT NULL,
    value     REAL NOT NULL,
    scale     TEXT NOT NULL DEFAULT '',
    source    TEXT NOT NULL DEFAULT '',
    taken_on  TEXT NOT NULL,
    PRIMARY KEY (client_id, domain, figure)
) WITHOUT ROWID;
INSERT OR REPLACE INTO site_figures (client_id, domain, figure, value, scale, source, taken_on)
    SELECT client_id, site, figure, value, name, source, taken_on || 'T00:00:00Z' FROM standing_figures
    WHERE scope = 'site' ORDER BY taken_on;
DROP TABLE standing_figures;
DROP TABLE standing_imports;

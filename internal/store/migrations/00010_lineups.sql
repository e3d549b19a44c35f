-- +goose Up
-- Searches are kept, each with its entries; typed pages belong to none.
CREATE TABLE recorded (
    id            INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id     INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    phrase        TEXT NOT NULL,
    place         TEXT NOT NULL DEFAULT '',
    device        TEXT NOT NULL DEFAULT '',
    looked_at     INTEGER NOT NULL DEFAULT 0,
    map_looked_at INTEGER NOT NULL DEFAULT 0,
    ads           TEXT NOT NULL DEFAULT '',
    recorded_at   TEXT NOT NULL
);
INSERT INTO recorded (client_id, phrase, place, device, looked_at, ads, recorded_at)
    SELECT client_id, phrase, place, device, looked_at, ads, recorded_at FROM lineups;
DROP TABLE lineups;
ALTER TABLE recorded RENAME TO lineups;
CREATE INDEX lineups_client ON lineups (client_id, id);

ALTER TABLE lineup_entries ADD COLUMN lineup_id INTEGER REFERENCES lineups (id) ON DELETE CASCADE;
ALTER TABLE lineup_entries ADD COLUMN phone TEXT NOT NULL DEFAULT '';
ALTER TABLE lineup_entries ADD COLUMN years INTEGER NOT NULL DEFAULT 0;
UPDATE lineup_entries SET lineup_id = (SELECT id FROM lineups l WHERE l.client_id = lineup_entries.client_id) WHERE part <> 'typed';
DELETE FROM lineup_entries WHERE part <> 'typed' AND lineup_id IS NULL;

-- +goose StatementBegin
CREATE TRIGGER lineups_insert AFTER INSERT ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_update AFTER UPDATE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_delete AFTER DELETE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd

-- What a person said that a site is, for all clients.
CREATE TABLE site_kinds (
    domain  TEXT PRIMARY KEY,
    kind    TEXT NOT NULL,
    said_for TEXT NOT NULL,
    said_at TEXT NOT NULL
) WITHOUT ROWID;

-- Figures of sites that come from elsewhere, each with its source and day.
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

ALTER TABLE client_figures ADD COLUMN map_position INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN organic_position INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN searched INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN rivals INTEGER NOT NULL DEFAULT 0;
UPDATE clients SET revision = revision + 1;

-- +goose Down
ALTER TABLE client_figures DROP COLUMN rivals;
ALTER TABLE client_figures DROP COLUMN searched;
ALTER TABLE client_figures DROP COLUMN organic_position;
ALTER TABLE client_figures DROP COLUMN map_position;
DROP TABLE site_figures;
DROP TABLE site_kinds;
DELETE FROM lineup_entries WHERE lineup_id IS NOT NULL AND lineup_id NOT IN (SELECT MAX(id) FROM lineups GROUP BY client_id);
DROP TRIGGER lineups_delete;
DROP TRIGGER lineups_update;
DROP TRIGGER lineups_insert;
ALTER TABLE lineup_entries DROP COLUMN years;
ALTER TABLE lineup_entries DROP COLUMN phone;
ALTER TABLE lineup_entries DROP COLUMN lineup_id;
CREATE TABLE newest (
    client_id   INTEGER PRIMARY KEY REFERENCES clients (id) ON DELETE CASCADE,
    phrase      TEXT NOT NULL,
    place       TEXT NOT NULL DEFAULT '',
    device      TEXT NOT NULL DEFAULT '',
    looked_at   INTEGER NOT NULL DEFAULT 0,
    ads         TEXT NOT NULL DEFAULT '',
    recorded_at TEXT NOT NULL
);
INSERT INTO newest SELECT client_id, phrase, place, device, looked_at, ads, recorded_at FROM lineups
    WHERE id IN (SELECT MAX(id) FROM lineups GROUP BY client_id);
DROP TABLE lineups;
ALTER TABLE newest RENAME TO lineups;
-- +goose StatementBegin
CREATE TRIGGER lineups_insert AFTER INSERT ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_update AFTER UPDATE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_delete AFTER DELETE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd

-- +goose Up
-- The program raises the revision of a client where it writes, with what changed: nothing in
-- the file does it by itself any more, and nothing that can be worked out is kept.
DROP TRIGGER IF EXISTS services_insert;
DROP TRIGGER IF EXISTS services_update;
DROP TRIGGER IF EXISTS services_delete;
DROP TRIGGER IF EXISTS places_insert;
DROP TRIGGER IF EXISTS places_update;
DROP TRIGGER IF EXISTS places_delete;
DROP TRIGGER IF EXISTS phrases_insert;
DROP TRIGGER IF EXISTS phrases_update;
DROP TRIGGER IF EXISTS phrases_delete;
DROP TRIGGER IF EXISTS pages_insert;
DROP TRIGGER IF EXISTS pages_update;
DROP TRIGGER IF EXISTS pages_delete;
DROP TRIGGER IF EXISTS lineups_insert;
DROP TRIGGER IF EXISTS lineups_update;
DROP TRIGGER IF EXISTS lineups_delete;
DROP TRIGGER IF EXISTS lineup_entries_insert;
DROP TRIGGER IF EXISTS lineup_entries_update;
DROP TRIGGER IF EXISTS lineup_entries_delete;
DROP TRIGGER IF EXISTS readings_insert;
DROP TRIGGER IF EXISTS readings_update;
DROP TRIGGER IF EXISTS readings_delete;
DROP TRIGGER IF EXISTS book_phrases_insert;
DROP TRIGGER IF EXISTS book_phrases_update;
DROP TRIGGER IF EXISTS book_phrases_delete;
DROP TRIGGER IF EXISTS book_choices_insert;
DROP TRIGGER IF EXISTS book_choices_update;
DROP TRIGGER IF EXISTS book_choices_delete;
DROP TRIGGER IF EXISTS book_words_insert;
DROP TRIGGER IF EXISTS book_words_update;
DROP TRIGGER IF EXISTS book_words_delete;
DROP TRIGGER IF EXISTS yardstick_insert;
DROP TRIGGER IF EXISTS yardstick_update;
DROP TRIGGER IF EXISTS yardstick_delete;
DROP TRIGGER IF EXISTS clients_update;
DROP TRIGGER IF EXISTS sites_insert;
DROP TRIGGER IF EXISTS sites_update;
DROP TRIGGER IF EXISTS sites_delete;
DROP TRIGGER IF EXISTS like_choices_insert;
DROP TRIGGER IF EXISTS like_choices_delete;
DROP TABLE page_figures;
DROP TABLE client_figures;
CREATE TABLE revisions (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    facet     TEXT NOT NULL,
    revision  INTEGER NOT NULL,
    PRIMARY KEY (client_id, facet)
) WITHOUT ROWID;
UPDATE clients SET revision = revision + 1;

-- What pages of sites are for, and what is wrong with them, is worked out where it is asked for.
ALTER TABLE sites DROP COLUMN judged;
ALTER TABLE sites DROP COLUMN findings;
ALTER TABLE site_pages DROP COLUMN title;
ALTER TABLE site_pages DROP COLUMN kind;
ALTER TABLE site_pages DROP COLUMN service;
ALTER TABLE site_pages DROP COLUMN place;
ALTER TABLE site_pages DROP COLUMN reason;
ALTER TABLE site_pages DROP COLUMN reason_words;
ALTER TABLE site_pages DROP COLUMN words;
ALTER TABLE site_pages DROP COLUMN own;

-- The bodies of readings stand by themselves, so that a list of readings reads none.
CREATE TABLE bodies (
    reading_id INTEGER PRIMARY KEY REFERENCES readings (id) ON DELETE CASCADE,
    html       BLOB NOT NULL,
    page       BLOB
);
INSERT INTO bodies (reading_id, html, page) SELECT id, html, page FROM readings;
ALTER TABLE readings DROP COLUMN html;
ALTER TABLE readings DROP COLUMN page;

-- Lists are JSON.
UPDATE services SET words = CASE words WHEN '' THEN '[]' ELSE '["' || replace(replace(replace(words, '\', '\\'), '"', '\"'), ', ', '","') || '"]' END;
UPDATE places SET spellings = CASE spellings WHEN '' THEN '[]' ELSE '["' || replace(replace(replace(spellings, '\', '\\'), '"', '\"'), ', ', '","') || '"]' END;
UPDATE readings SET warnings = CASE warnings WHEN '' THEN '[]' ELSE '["' || replace(warnings, ' ', '","') || '"]' END;

-- A page of the client is there, was removed by a person, was dropped by a survey, or is to be
-- made. One to make has a row as soon as something was said of it, and keeps it when it is made.
ALTER TABLE pages ADD COLUMN state TEXT NOT NULL DEFAULT 'there';
UPDATE pages SET state = CASE gone WHEN 0 THEN 'there' WHEN 1 THEN 'removed' ELSE 'dropped' END;
ALTER TABLE pages DROP COLUMN gone;
CREATE UNIQUE INDEX pages_to_make ON pages (client_id, kind, service, place) WHERE state = 'to_make';

-- What was said of pages by their names, which were p and an id, or what a page to make is for.
CREATE TEMP TABLE named AS
    SELECT client_id, page FROM target_choices UNION SELECT client_id, page FROM outlines
    UNION SELECT client_id, page FROM drafts UNION SELECT client_id, page FROM own_targets;
CREATE TEMP TABLE purposes AS
    SELECT DISTINCT client_id, page, substr(page, 1, instr(page, ': ') - 1) AS kind, substr(page, instr(page, ': ') + 2) AS subject
    FROM named WHERE page GLOB 'service: *' OR page GLOB 'area: *';
CREATE TEMP TABLE rows_of AS
    SELECT n.client_id, n.page, p.id AS page_id, 0 AS former FROM named n JOIN pages p ON p.client_id = n.client_id AND n.page = 'p' || p.id;
-- What was said of a page before it was made is said of the one that was made.
INSERT INTO rows_of
    SELECT u.client_id, u.page, MIN(p.id), 1 FROM purposes u JOIN pages p ON p.client_id = u.client_id AND p.kind = u.kind AND p.state = 'there'
        AND u.subject = CASE p.kind WHEN 'service' THEN p.service ELSE p.place END
    GROUP BY u.client_id, u.page;
INSERT INTO pages (client_id, kind, service, place, state)
    SELECT client_id, kind, CASE kind WHEN 'service' THEN subject ELSE '' END, CASE kind WHEN 'area' THEN subject ELSE '' END, 'to_make'
    FROM purposes u WHERE NOT EXISTS (SELECT 1 FROM rows_of r WHERE r.client_id = u.client_id AND r.page = u.page);
INSERT INTO rows_of
    SELECT u.client_id, u.page, p.id, 0 FROM purposes u JOIN pages p ON p.client_id = u.client_id AND p.kind = u.kind AND p.state = 'to_make'
        AND u.subject = CASE p.kind WHEN 'service' THEN p.service ELSE p.place END;

CREATE TABLE choices (
    page_id INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    key     TEXT NOT NULL,
    state   TEXT NOT NULL,
    value   TEXT NOT NULL DEFAULT '',
    reason  TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (page_id, key)
) WITHOUT ROWID;
INSERT OR IGNORE INTO choices (page_id, key, state, value, reason)
    SELECT r.page_id, t.key, t.state, t.value, t.reason FROM target_choices t JOIN rows_of r ON r.client_id = t.client_id AND r.page = t.page ORDER BY r.former;
DROP TABLE target_choices;
ALTER TABLE choices RENAME TO target_choices;

CREATE TABLE edits (
    page_id INTEGER PRIMARY KEY REFERENCES pages (id) ON DELETE CASCADE,
    edits   TEXT NOT NULL
);
INSERT OR IGNORE INTO edits (page_id, edits)
    SELECT r.page_id, o.edits FROM outlines o JOIN rows_of r ON r.client_id = o.client_id AND r.page = o.page ORDER BY r.former;
DROP TABLE outlines;
ALTER TABLE edits RENAME TO outlines;

CREATE TABLE own (
    id      INTEGER PRIMARY KEY AUTOINCREMENT,
    page_id INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    text    TEXT NOT NULL,
    gain    REAL NOT NULL DEFAULT 0,
    minutes REAL NOT NULL DEFAULT 0
);
INSERT INTO own (id, page_id, text, gain, minutes)
    SELECT o.id, r.page_id, o.text, o.gain, o.minutes FROM own_targets o JOIN rows_of r ON r.client_id = o.client_id AND r.page = o.page;
UPDATE sqlite_sequence SET seq = MAX(seq, COALESCE((SELECT seq FROM sqlite_sequence WHERE name = 'own_targets'), 0)) WHERE name = 'own';
INSERT INTO sqlite_sequence (name, seq) SELECT 'own', seq FROM sqlite_sequence
    WHERE name = 'own_targets' AND NOT EXISTS (SELECT 1 FROM sqlite_sequence WHERE name = 'own');
DROP TABLE own_targets;
ALTER TABLE own RENAME TO own_targets;
CREATE INDEX own_targets_page ON own_targets (page_id);

-- A draft is a reading without an address; one that was removed can come back.
CREATE TABLE kept_drafts (
    reading_id INTEGER PRIMARY KEY REFERENCES readings (id) ON DELETE CASCADE,
    page_id    INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    name       TEXT NOT NULL DEFAULT '',
    format     TEXT NOT NULL,
    body       BLOB NOT NULL,
    removed    INTEGER NOT NULL DEFAULT 0
);
INSERT INTO kept_drafts (reading_id, page_id, name, format, body, removed)
    SELECT d.reading_id, r.page_id, d.name, d.format, d.body, e.url GLOB 'removed draft:*'
    FROM drafts d JOIN rows_of r ON r.client_id = d.client_id AND r.page = d.page JOIN readings e ON e.id = d.reading_id;
DROP TABLE drafts;
ALTER TABLE kept_drafts RENAME TO drafts;
CREATE INDEX drafts_page ON drafts (page_id);
UPDATE readings SET url = '' WHERE id IN (SELECT reading_id FROM drafts);

DROP TABLE rows_of;
DROP TABLE purposes;
DROP TABLE named;

-- +goose Down
-- Names of pages: p and the id, or what a page to make is for.
CREATE TEMP TABLE names AS
    SELECT id, client_id, CASE state WHEN 'to_make' THEN kind || ': ' || CASE kind WHEN 'service' THEN service ELSE place END ELSE 'p' || id END AS page FROM pages;
CREATE TABLE older (
    reading_id INTEGER PRIMARY KEY REFERENCES readings (id) ON DELETE CASCADE,
    client_id  INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page       TEXT NOT NULL,
    name       TEXT NOT NULL DEFAULT '',
    format     TEXT NOT NULL,
    body       BLOB NOT NULL
);
INSERT INTO older SELECT d.reading_id, n.client_id, n.page, d.name, d.format, d.body FROM drafts d JOIN names n ON n.id = d.page_id;
UPDATE readings SET url = (SELECT CASE d.removed WHEN 1 THEN 'removed draft:' ELSE 'draft:' END || n.page FROM drafts d JOIN names n ON n.id = d.page_id
    WHERE d.reading_id = readings.id) WHERE id IN (SELECT reading_id FROM drafts);
DROP TABLE drafts;
ALTER TABLE older RENAME TO drafts;
CREATE INDEX drafts_page ON drafts (client_id, page);

CREATE TABLE older (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    text      TEXT NOT NULL,
    gain      REAL NOT NULL DEFAULT 0,
    minutes   REAL NOT NULL DEFAULT 0
);
INSERT INTO older SELECT o.id, n.client_id, n.page, o.text, o.gain, o.minutes FROM own_targets o JOIN names n ON n.id = o.page_id;
DROP TABLE own_targets;
ALTER TABLE older RENAME TO own_targets;
CREATE INDEX own_targets_client ON own_targets (client_id);

CREATE TABLE older (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    edits     TEXT NOT NULL,
    PRIMARY KEY (client_id, page)
) WITHOUT ROWID;
INSERT INTO older SELECT n.client_id, n.page, o.edits FROM outlines o JOIN names n ON n.id = o.page_id;
DROP TABLE outlines;
ALTER TABLE older RENAME TO outlines;

CREATE TABLE older (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    key       TEXT NOT NULL,
    state     TEXT NOT NULL,
    value     TEXT NOT NULL DEFAULT '',
    reason    TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (client_id, page, key)
) WITHOUT ROWID;
INSERT INTO older SELECT n.client_id, n.page, t.key, t.state, t.value, t.reason FROM target_choices t JOIN names n ON n.id = t.page_id;
DROP TABLE target_choices;
ALTER TABLE older RENAME TO target_choices;
DROP TABLE names;

DROP INDEX pages_to_make;
DELETE FROM pages WHERE state = 'to_make';
ALTER TABLE pages ADD COLUMN gone INTEGER NOT NULL DEFAULT 0;
UPDATE pages SET gone = CASE state WHEN 'there' THEN 0 WHEN 'removed' THEN 1 ELSE 2 END;
ALTER TABLE pages DROP COLUMN state;

UPDATE readings SET warnings = (SELECT COALESCE(group_concat(value, ' '), '') FROM json_each(warnings));
UPDATE places SET spellings = (SELECT COALESCE(group_concat(value, ', '), '') FROM json_each(spellings));
UPDATE services SET words = (SELECT COALESCE(group_concat(value, ', '), '') FROM json_each(words));

ALTER TABLE readings ADD COLUMN html BLOB NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN page BLOB;
UPDATE readings SET html = (SELECT html FROM bodies WHERE reading_id = id), page = (SELECT page FROM bodies WHERE reading_id = id);
DROP TABLE bodies;

ALTER TABLE site_pages ADD COLUMN title TEXT NOT NULL DEFAULT '';
ALTER TABLE site_pages ADD COLUMN kind TEXT NOT NULL DEFAULT 'other';
ALTER TABLE site_pages ADD COLUMN service TEXT NOT NULL DEFAULT '';
ALTER TABLE site_pages ADD COLUMN place TEXT NOT NULL DEFAULT '';
ALTER TABLE site_pages ADD COLUMN reason TEXT NOT NULL DEFAULT '';
ALTER TABLE site_pages ADD COLUMN reason_words TEXT NOT NULL DEFAULT '[]';
ALTER TABLE site_pages ADD COLUMN words INTEGER NOT NULL DEFAULT 0;
ALTER TABLE site_pages ADD COLUMN own INTEGER NOT NULL DEFAULT 0;
ALTER TABLE sites ADD COLUMN judged TEXT NOT NULL DEFAULT '';
ALTER TABLE sites ADD COLUMN findings TEXT NOT NULL DEFAULT '[]';
DROP TABLE revisions;
CREATE TABLE client_figures (
    client_id INTEGER PRIMARY KEY REFERENCES clients (id) ON DELETE CASCADE,
    revision  INTEGER NOT NULL,
    rules     INTEGER NOT NULL,
    lead      TEXT NOT NULL DEFAULT ''
);
CREATE TABLE page_figures (
    page_id   INTEGER PRIMARY KEY REFERENCES pages (id) ON DELETE CASCADE,
    words     INTEGER,
    to_write  INTEGER NOT NULL DEFAULT 0,
    taken_at  TEXT NOT NULL DEFAULT ''
);
ALTER TABLE client_figures ADD COLUMN map_position INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN organic_position INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN searched INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client_figures ADD COLUMN rivals INTEGER NOT NULL DEFAULT 0;
-- +goose StatementBegin
CREATE TRIGGER services_insert AFTER INSERT ON services BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER services_update AFTER UPDATE ON services BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER services_delete AFTER DELETE ON services BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER places_insert AFTER INSERT ON places BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER places_update AFTER UPDATE ON places BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER places_delete AFTER DELETE ON places BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER phrases_insert AFTER INSERT ON phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER phrases_update AFTER UPDATE ON phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER phrases_delete AFTER DELETE ON phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER pages_insert AFTER INSERT ON pages BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER pages_update AFTER UPDATE ON pages BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER pages_delete AFTER DELETE ON pages BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_insert AFTER INSERT ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_update AFTER UPDATE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineups_delete AFTER DELETE ON lineups BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineup_entries_insert AFTER INSERT ON lineup_entries BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineup_entries_update AFTER UPDATE ON lineup_entries BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER lineup_entries_delete AFTER DELETE ON lineup_entries BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER readings_insert AFTER INSERT ON readings BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER readings_update AFTER UPDATE ON readings BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER readings_delete AFTER DELETE ON readings BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_phrases_insert AFTER INSERT ON book_phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_phrases_update AFTER UPDATE ON book_phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_phrases_delete AFTER DELETE ON book_phrases BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_choices_insert AFTER INSERT ON book_choices BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_choices_update AFTER UPDATE ON book_choices BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_choices_delete AFTER DELETE ON book_choices BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_words_insert AFTER INSERT ON book_words BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_words_update AFTER UPDATE ON book_words BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER book_words_delete AFTER DELETE ON book_words BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER yardstick_insert AFTER INSERT ON yardstick_figures BEGIN
    UPDATE clients SET revision = revision + 1 WHERE NEW.client_id IS NULL OR id = NEW.client_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER yardstick_update AFTER UPDATE ON yardstick_figures BEGIN
    UPDATE clients SET revision = revision + 1 WHERE NEW.client_id IS NULL OR id = NEW.client_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER yardstick_delete AFTER DELETE ON yardstick_figures BEGIN
    UPDATE clients SET revision = revision + 1 WHERE OLD.client_id IS NULL OR id = OLD.client_id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER clients_update AFTER UPDATE OF name, trade, phone, language, lists, postcode ON clients BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = NEW.id;
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sites_insert AFTER INSERT ON sites BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sites_update AFTER UPDATE ON sites BEGIN UPDATE clients SET revision = revision + 1 WHERE id = NEW.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER sites_delete AFTER DELETE ON sites BEGIN UPDATE clients SET revision = revision + 1 WHERE id = OLD.client_id; END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER like_choices_insert AFTER INSERT ON like_choices BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = (SELECT client_id FROM pages WHERE id = NEW.page_id); END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER like_choices_delete AFTER DELETE ON like_choices BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = (SELECT client_id FROM pages WHERE id = OLD.page_id); END;
-- +goose StatementEnd

-- +goose Up
-- A phrase is typed for a page: those there were for the home page.
ALTER TABLE phrases ADD COLUMN page_id INTEGER REFERENCES pages (id) ON DELETE CASCADE;
UPDATE phrases SET page_id = (SELECT id FROM pages WHERE pages.client_id = phrases.client_id AND kind = 'home' ORDER BY id LIMIT 1);

-- Reasons are codes with what they speak of.
ALTER TABLE lineup_entries ADD COLUMN reason_quote TEXT NOT NULL DEFAULT '';
ALTER TABLE lineup_entries ADD COLUMN reason_number INTEGER NOT NULL DEFAULT 0;
UPDATE lineup_entries SET reason_quote = replace(replace(substr(reason, 12), '“', ''), '”', ''), reason = 'list_title' WHERE reason LIKE 'title says %';
UPDATE lineup_entries SET reason_number = CAST(substr(reason, 7) AS INTEGER), reason = 'many_listings' WHERE reason LIKE 'lists % businesses';
UPDATE lineup_entries SET reason_number = CAST(substr(reason, 18) AS INTEGER), reason = 'beyond_most' WHERE reason LIKE 'beyond the first %';
UPDATE lineup_entries SET reason = CASE reason WHEN 'the client' THEN 'is_client' WHEN 'paid' THEN 'is_paid' WHEN 'sponsored' THEN 'is_sponsored'
    WHEN 'has no site' THEN 'has_no_site' WHEN 'taken from the map pack' THEN 'taken_already' WHEN 'set aside by hand' THEN 'dismissed_by_hand'
    WHEN 'list_title' THEN reason WHEN 'many_listings' THEN reason WHEN 'beyond_most' THEN reason ELSE '' END;

UPDATE lineup_entries SET kind = 'list_article' WHERE kind = 'list article';
UPDATE jobs SET state = 'interrupted' WHERE state = 'broken off';

-- What is paid for is no rival: taking it makes a typed rival of it.
INSERT INTO lineup_entries (client_id, part, position, name, url, kind, taken)
    SELECT client_id, 'typed', 100 + MIN(position), MIN(name), url, 'business', 1 FROM lineup_entries AS e
    WHERE taken = 1 AND (part = 'paid' OR sponsored = 1) AND url <> ''
        AND NOT EXISTS (SELECT 1 FROM lineup_entries AS o WHERE o.client_id = e.client_id AND o.url = e.url AND o.part = 'typed')
    GROUP BY client_id, url;
UPDATE lineup_entries SET taken = 0, reason = CASE part WHEN 'paid' THEN 'is_paid' ELSE 'is_sponsored' END WHERE part = 'paid' OR sponsored = 1;

-- How a page is to be read, and whether although its robots.txt asks not to.
CREATE TABLE read_modes (
    client_id     INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url           TEXT NOT NULL,
    mode          TEXT NOT NULL DEFAULT '',
    ignore_robots INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (client_id, url)
) WITHOUT ROWID;
INSERT INTO read_modes (client_id, url, mode) SELECT client_id, url, CASE way WHEN 'browser' THEN 'rendered' ELSE way END FROM ways;
INSERT INTO read_modes (client_id, url, ignore_robots) SELECT client_id, url, 1 FROM overrules WHERE true
    ON CONFLICT (client_id, url) DO UPDATE SET ignore_robots = 1;
DROP TABLE ways;
DROP TABLE overrules;

-- Where a reading came from; its figures for lists; what is to be known of how it
-- came in, as a fault; and the page as it was read, by the rules of a version.
ALTER TABLE readings RENAME COLUMN road TO source;
ALTER TABLE readings RENAME COLUMN overruled TO robots_ignored;
ALTER TABLE readings ADD COLUMN title TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN seen INTEGER NOT NULL DEFAULT 0;
ALTER TABLE readings ADD COLUMN copied INTEGER NOT NULL DEFAULT 0;
ALTER TABLE readings ADD COLUMN hidden INTEGER NOT NULL DEFAULT 0;
ALTER TABLE readings ADD COLUMN warnings TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN note TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN rules INTEGER NOT NULL DEFAULT 0;
ALTER TABLE readings ADD COLUMN page BLOB;
UPDATE readings SET source = replace(source, ' ', '_'),
    title = COALESCE(json_extract(facts, '$.title'), ''), seen = COALESCE(json_extract(facts, '$.words.seen'), 0),
    copied = COALESCE(json_extract(facts, '$.words.copy'), 0), hidden = COALESCE(json_extract(facts, '$.words.hidden'), 0),
    warnings = trim(CASE WHEN facts LIKE '%"drawn by script:%' THEN 'drawn_by_script ' ELSE '' END ||
        CASE WHEN facts LIKE '%"the page holds no text"%' THEN 'no_text ' ELSE '' END ||
        CASE WHEN facts LIKE '%"the page is nested too deeply%' THEN 'too_deep ' ELSE '' END ||
        CASE WHEN facts LIKE '%"this is not a web page"%' THEN 'not_html ' ELSE '' END ||
        CASE WHEN facts LIKE '%"a style sheet could not be read:%' THEN 'sheet_missing' ELSE '' END),
    note = CASE WHEN json_extract(facts, '$.note') <> '' THEN '{"code":"taken_as_served","inner":{"code":"not_read_before"}}' ELSE '' END;
ALTER TABLE readings DROP COLUMN facts;

-- Why a page was not read, as a fault.
ALTER TABLE job_items RENAME COLUMN error TO fault;
UPDATE job_items SET fault = CASE
    WHEN fault LIKE '% asks programs not to read this page (robots.txt)'
        THEN json_object('code', 'robots_refuse', 'params', json_object('host', substr(fault, 1, instr(fault, ' asks programs') - 1)))
    ELSE '{"code":"not_read_before"}' END WHERE fault <> '';

UPDATE targets SET key = 'new_page' WHERE key = 'new page';

-- Figures of the yardstick that differ from the standard: those of the workspace
-- have no client.
CREATE TABLE yardstick_figures (
    id        INTEGER PRIMARY KEY,
    client_id INTEGER REFERENCES clients (id) ON DELETE CASCADE,
    key       TEXT NOT NULL,
    value     TEXT NOT NULL
);
CREATE UNIQUE INDEX yardstick_key ON yardstick_figures (COALESCE(client_id, 0), key);

-- What lists show of clients and pages, worked out when the revision of a client
-- has changed.
ALTER TABLE clients ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
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

-- Whatever a figure is worked out from raises the revision of its client.
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
CREATE TRIGGER clients_update AFTER UPDATE OF name, trade, phone, language, lists ON clients BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = NEW.id;
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER services_insert;
DROP TRIGGER services_update;
DROP TRIGGER services_delete;
DROP TRIGGER places_insert;
DROP TRIGGER places_update;
DROP TRIGGER places_delete;
DROP TRIGGER phrases_insert;
DROP TRIGGER phrases_update;
DROP TRIGGER phrases_delete;
DROP TRIGGER pages_insert;
DROP TRIGGER pages_update;
DROP TRIGGER pages_delete;
DROP TRIGGER lineups_insert;
DROP TRIGGER lineups_update;
DROP TRIGGER lineups_delete;
DROP TRIGGER lineup_entries_insert;
DROP TRIGGER lineup_entries_update;
DROP TRIGGER lineup_entries_delete;
DROP TRIGGER readings_insert;
DROP TRIGGER readings_update;
DROP TRIGGER readings_delete;
DROP TRIGGER book_phrases_insert;
DROP TRIGGER book_phrases_update;
DROP TRIGGER book_phrases_delete;
DROP TRIGGER book_choices_insert;
DROP TRIGGER book_choices_update;
DROP TRIGGER book_choices_delete;
DROP TRIGGER book_words_insert;
DROP TRIGGER book_words_update;
DROP TRIGGER book_words_delete;
DROP TRIGGER yardstick_insert;
DROP TRIGGER yardstick_update;
DROP TRIGGER yardstick_delete;
DROP TRIGGER clients_update;
DROP TABLE page_figures;
DROP TABLE client_figures;
ALTER TABLE clients DROP COLUMN revision;
DROP TABLE yardstick_figures;
UPDATE targets SET key = 'new page' WHERE key = 'new_page';
UPDATE job_items SET fault = 'this page could not be read' WHERE fault <> '';
ALTER TABLE job_items RENAME COLUMN fault TO error;
ALTER TABLE readings ADD COLUMN facts TEXT NOT NULL DEFAULT '{}';
UPDATE readings SET facts = json_object('title', title, 'words', json_object('seen', seen, 'copy', copied, 'hidden', hidden)),
    source = replace(source, '_', ' ');
ALTER TABLE readings DROP COLUMN page;
ALTER TABLE readings DROP COLUMN rules;
ALTER TABLE readings DROP COLUMN note;
ALTER TABLE readings DROP COLUMN warnings;
ALTER TABLE readings DROP COLUMN hidden;
ALTER TABLE readings DROP COLUMN copied;
ALTER TABLE readings DROP COLUMN seen;
ALTER TABLE readings DROP COLUMN title;
ALTER TABLE readings RENAME COLUMN robots_ignored TO overruled;
ALTER TABLE readings RENAME COLUMN source TO road;
CREATE TABLE ways (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url       TEXT NOT NULL,
    way       TEXT NOT NULL,
    PRIMARY KEY (client_id, url)
) WITHOUT ROWID;
CREATE TABLE overrules (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url       TEXT NOT NULL,
    PRIMARY KEY (client_id, url)
) WITHOUT ROWID;
INSERT INTO ways SELECT client_id, url, CASE mode WHEN 'rendered' THEN 'browser' ELSE mode END FROM read_modes WHERE mode <> '';
INSERT INTO overrules SELECT client_id, url FROM read_modes WHERE ignore_robots = 1;
DROP TABLE read_modes;
UPDATE lineup_entries SET reason = '';
ALTER TABLE lineup_entries DROP COLUMN reason_number;
ALTER TABLE lineup_entries DROP COLUMN reason_quote;
DELETE FROM phrases WHERE page_id NOT IN (SELECT id FROM pages WHERE kind = 'home');
ALTER TABLE phrases DROP COLUMN page_id;

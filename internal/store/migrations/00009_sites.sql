-- +goose Up
-- The sites that were surveyed: the client's own and its rivals'.
CREATE TABLE sites (
    id          INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id   INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    domain      TEXT NOT NULL,
    surveyed_at TEXT NOT NULL,
    both        INTEGER NOT NULL DEFAULT 0,
    dead        TEXT NOT NULL DEFAULT '[]',
    fault       TEXT NOT NULL DEFAULT '',
    judged      TEXT NOT NULL DEFAULT '',
    findings    TEXT NOT NULL DEFAULT '[]',
    UNIQUE (client_id, domain)
);

CREATE TABLE site_pages (
    site_id      INTEGER NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
    position     INTEGER NOT NULL,
    url          TEXT NOT NULL,
    labels       TEXT NOT NULL DEFAULT '[]',
    in_links     INTEGER NOT NULL DEFAULT 0,
    canonical    TEXT NOT NULL DEFAULT '',
    title        TEXT NOT NULL DEFAULT '',
    kind         TEXT NOT NULL DEFAULT 'other',
    service      TEXT NOT NULL DEFAULT '',
    place        TEXT NOT NULL DEFAULT '',
    reason       TEXT NOT NULL DEFAULT '',
    reason_words TEXT NOT NULL DEFAULT '[]',
    words        INTEGER NOT NULL DEFAULT 0,
    own          INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (site_id, url)
) WITHOUT ROWID;

-- Which page of a rival's site a client's page is compared with, if the user
-- said so; an empty address says that the rival has none.
CREATE TABLE like_choices (
    page_id INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    domain  TEXT NOT NULL,
    url     TEXT NOT NULL,
    PRIMARY KEY (page_id, domain)
) WITHOUT ROWID;

-- A run reads pages and surveys sites; what a survey read so far is not read
-- again when it goes on.
ALTER TABLE job_items ADD COLUMN kind TEXT NOT NULL DEFAULT 'page';
ALTER TABLE job_items ADD COLUMN visited INTEGER NOT NULL DEFAULT 0;
ALTER TABLE job_items ADD COLUMN known INTEGER NOT NULL DEFAULT 0;

CREATE TABLE survey_answers (
    job_id     INTEGER NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
    url        TEXT NOT NULL,
    reading_id INTEGER NOT NULL REFERENCES readings (id) ON DELETE CASCADE,
    PRIMARY KEY (job_id, url)
) WITHOUT ROWID;

-- What a person said a page is for is never changed by a survey; pages that a
-- survey added go when the site has them no more.
ALTER TABLE pages ADD COLUMN by_hand INTEGER NOT NULL DEFAULT 0;
ALTER TABLE pages ADD COLUMN surveyed INTEGER NOT NULL DEFAULT 0;
UPDATE pages SET by_hand = 1 WHERE kind NOT IN ('home', 'other');

-- Whatever a figure is worked out from raises the revision of its client.
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

-- +goose Down
DROP TRIGGER like_choices_delete;
DROP TRIGGER like_choices_insert;
DROP TRIGGER sites_delete;
DROP TRIGGER sites_update;
DROP TRIGGER sites_insert;
ALTER TABLE pages DROP COLUMN surveyed;
ALTER TABLE pages DROP COLUMN by_hand;
DROP TABLE survey_answers;
ALTER TABLE job_items DROP COLUMN known;
ALTER TABLE job_items DROP COLUMN visited;
ALTER TABLE job_items DROP COLUMN kind;
DROP TABLE like_choices;
DROP TABLE site_pages;
DROP TABLE sites;

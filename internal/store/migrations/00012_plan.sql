-- +goose Up
-- What the user said of targets and of their parts. A page goes by a key: one that
-- is still to be made has no row of its own.
CREATE TABLE target_choices (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    key       TEXT NOT NULL,
    state     TEXT NOT NULL,
    value     TEXT NOT NULL DEFAULT '',
    reason    TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (client_id, page, key)
) WITHOUT ROWID;
INSERT INTO target_choices (client_id, page, key, state, value, reason)
    SELECT p.client_id, 'p' || p.id, t.key, t.state, t.value, t.reason FROM targets t JOIN pages p ON p.id = t.page_id;
DROP TABLE targets;

-- Targets that the user added.
CREATE TABLE own_targets (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    text      TEXT NOT NULL,
    gain      REAL NOT NULL DEFAULT 0,
    minutes   REAL NOT NULL DEFAULT 0
);
CREATE INDEX own_targets_client ON own_targets (client_id);

-- What the user changed of the outlines of pages.
CREATE TABLE outlines (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    page      TEXT NOT NULL,
    edits     TEXT NOT NULL,
    PRIMARY KEY (client_id, page)
) WITHOUT ROWID;

-- +goose Down
DROP TABLE outlines;
DROP TABLE own_targets;
CREATE TABLE targets (
    page_id INTEGER NOT NULL REFERENCES pages (id) ON DELETE CASCADE,
    key     TEXT NOT NULL,
    state   TEXT NOT NULL,
    value   TEXT NOT NULL DEFAULT '',
    reason  TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (page_id, key)
) WITHOUT ROWID;
INSERT INTO targets (page_id, key, state, value, reason)
    SELECT p.id, t.key, t.state, t.value, t.reason FROM target_choices t JOIN pages p ON t.page = 'p' || p.id AND t.client_id = p.client_id;
DROP TABLE target_choices;

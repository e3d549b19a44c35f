-- +goose Up
-- A service with the other words for it, parted by commas, and what one job of
-- it brings; a place with its other spellings, parted by commas.
ALTER TABLE services ADD COLUMN words TEXT NOT NULL DEFAULT '';
ALTER TABLE services ADD COLUMN worth REAL NOT NULL DEFAULT 0;
UPDATE services SET words = trim(substr(name, instr(name, ',') + 1)), name = trim(substr(name, 1, instr(name, ',') - 1))
    WHERE instr(name, ',') > 0;
ALTER TABLE places ADD COLUMN spellings TEXT NOT NULL DEFAULT '';

-- What a page is for; empty is the home town, and no service of its own. One
-- that was taken off is kept with its targets, so that it can come back.
ALTER TABLE pages ADD COLUMN service TEXT NOT NULL DEFAULT '';
ALTER TABLE pages ADD COLUMN place TEXT NOT NULL DEFAULT '';
ALTER TABLE pages ADD COLUMN gone INTEGER NOT NULL DEFAULT 0;

-- The language of a client's phrases, the customers that come of a hundred
-- visits, the sign of its money, and its lists of words as JSON where they are
-- not the standard ones.
ALTER TABLE clients ADD COLUMN language TEXT NOT NULL DEFAULT 'en';
ALTER TABLE clients ADD COLUMN customers REAL NOT NULL DEFAULT 0;
ALTER TABLE clients ADD COLUMN money TEXT NOT NULL DEFAULT '$';
ALTER TABLE clients ADD COLUMN lists TEXT NOT NULL DEFAULT '';

-- The phrase with whose family the user put a phrase, itself where it stands
-- alone; empty where the rule decides.
ALTER TABLE book_phrases ADD COLUMN stands_with TEXT NOT NULL DEFAULT '';

-- What a site is found for, a list each time; the last one of a site counts.
CREATE TABLE found_lists (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    site      TEXT NOT NULL,
    source    TEXT NOT NULL,
    taken_at  TEXT NOT NULL,
    phrases   TEXT NOT NULL
);
CREATE INDEX found_lists_client ON found_lists (client_id, site, id);
ALTER TABLE book_imports ADD COLUMN found TEXT NOT NULL DEFAULT '[]';

-- +goose Down
ALTER TABLE book_imports DROP COLUMN found;
DROP TABLE found_lists;
ALTER TABLE book_phrases DROP COLUMN stands_with;
ALTER TABLE clients DROP COLUMN lists;
ALTER TABLE clients DROP COLUMN money;
ALTER TABLE clients DROP COLUMN customers;
ALTER TABLE clients DROP COLUMN language;
DELETE FROM pages WHERE gone = 1;
ALTER TABLE pages DROP COLUMN gone;
ALTER TABLE pages DROP COLUMN place;
ALTER TABLE pages DROP COLUMN service;
ALTER TABLE places DROP COLUMN spellings;
UPDATE services SET name = name || ', ' || words WHERE words <> '';
ALTER TABLE services DROP COLUMN worth;
ALTER TABLE services DROP COLUMN words;

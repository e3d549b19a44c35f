-- +goose Up
-- How a page is to be read where its user chose it: served, or in a browser.
-- Pages without a choice are read as served, and in a browser when a script
-- draws them.
CREATE TABLE ways (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    url       TEXT NOT NULL,
    way       TEXT NOT NULL,
    PRIMARY KEY (client_id, url)
) WITHOUT ROWID;

-- What is known of how a reading came in: what relative addresses start from,
-- the addresses that led on to the page, and what the site said of its age.
ALTER TABLE readings ADD COLUMN overruled INTEGER NOT NULL DEFAULT 0;
ALTER TABLE readings ADD COLUMN base TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN redirects TEXT NOT NULL DEFAULT '[]';
ALTER TABLE readings ADD COLUMN etag TEXT NOT NULL DEFAULT '';
ALTER TABLE readings ADD COLUMN last_modified TEXT NOT NULL DEFAULT '';
UPDATE readings SET road = 'web', overruled = 1 WHERE road = 'web, overruled';

-- +goose Down
UPDATE readings SET road = 'web, overruled' WHERE overruled = 1 AND road = 'web';
ALTER TABLE readings DROP COLUMN last_modified;
ALTER TABLE readings DROP COLUMN etag;
ALTER TABLE readings DROP COLUMN redirects;
ALTER TABLE readings DROP COLUMN base;
ALTER TABLE readings DROP COLUMN overruled;
DROP TABLE ways;

-- +goose Up
-- A page that did not change since it was read last is kept once, as its HTML and as what was read of it: by the sum of
-- what is kept. Those that were kept before have no sum, and stay each by itself.
CREATE TABLE kept_bodies (
    id     INTEGER PRIMARY KEY AUTOINCREMENT,
    sum    BLOB UNIQUE,
    packed BLOB NOT NULL
);
ALTER TABLE readings ADD COLUMN html_id INTEGER REFERENCES kept_bodies (id);
ALTER TABLE readings ADD COLUMN page_id INTEGER REFERENCES kept_bodies (id);
INSERT INTO kept_bodies (id, packed) SELECT reading_id * 2, html FROM bodies;
INSERT INTO kept_bodies (id, packed) SELECT reading_id * 2 + 1, page FROM bodies WHERE page IS NOT NULL;
UPDATE readings SET html_id = (SELECT reading_id * 2 FROM bodies WHERE reading_id = readings.id),
    page_id = (SELECT reading_id * 2 + 1 FROM bodies WHERE reading_id = readings.id AND page IS NOT NULL);
DROP TABLE bodies;
ALTER TABLE kept_bodies RENAME TO bodies;
CREATE INDEX readings_html ON readings (html_id);
CREATE INDEX readings_page ON readings (page_id);
-- What no reading has any more goes with the last that had it.
-- +goose StatementBegin
CREATE TRIGGER readings_bodies AFTER DELETE ON readings BEGIN
    DELETE FROM bodies WHERE id IN (OLD.html_id, OLD.page_id)
        AND NOT EXISTS (SELECT 1 FROM readings WHERE html_id = bodies.id OR page_id = bodies.id);
END;
-- +goose StatementEnd
-- +goose StatementBegin
CREATE TRIGGER readings_page_anew AFTER UPDATE OF page_id ON readings WHEN OLD.page_id IS NOT NEW.page_id BEGIN
    DELETE FROM bodies WHERE id = OLD.page_id
        AND NOT EXISTS (SELECT 1 FROM readings WHERE html_id = bodies.id OR page_id = bodies.id);
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER readings_bodies;
DROP TRIGGER readings_page_anew;
DROP INDEX readings_html;
DROP INDEX readings_page;
CREATE TABLE bodies_of (
    reading_id INTEGER PRIMARY KEY REFERENCES readings (id) ON DELETE CASCADE,
    html       BLOB NOT NULL,
    page       BLOB
);
INSERT INTO bodies_of SELECT r.id, h.packed, p.packed FROM readings r JOIN bodies h ON h.id = r.html_id
    LEFT JOIN bodies p ON p.id = r.page_id;
ALTER TABLE readings DROP COLUMN html_id;
ALTER TABLE readings DROP COLUMN page_id;
DROP TABLE bodies;
ALTER TABLE bodies_of RENAME TO bodies;

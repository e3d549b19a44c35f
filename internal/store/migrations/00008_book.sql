-- +goose Up
-- Where the searches of a phrase were counted: town, state, country, empty if it is
-- not known.
ALTER TABLE book_phrases ADD COLUMN area TEXT NOT NULL DEFAULT '';
ALTER TABLE clients ADD COLUMN postcode TEXT NOT NULL DEFAULT '';

-- Verdicts by the names that they have now.
UPDATE book_words SET verdict = CASE verdict WHEN 'brand' THEN 'firm' WHEN 'service' THEN 'ours' ELSE verdict END;

-- Towns beside those that ship with the program, for all clients.
CREATE TABLE towns (
    id      INTEGER PRIMARY KEY,
    name    TEXT NOT NULL,
    country TEXT NOT NULL DEFAULT '',
    state   TEXT NOT NULL DEFAULT '',
    lat     REAL NOT NULL,
    lon     REAL NOT NULL,
    size    INTEGER NOT NULL DEFAULT 0
);
CREATE UNIQUE INDEX towns_name ON towns (name, country, state);

DROP TRIGGER clients_update;
-- +goose StatementBegin
CREATE TRIGGER clients_update AFTER UPDATE OF name, trade, phone, language, lists, postcode ON clients BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = NEW.id;
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER clients_update;
DROP TABLE towns;
UPDATE book_words SET verdict = CASE verdict WHEN 'firm' THEN 'brand' WHEN 'ours' THEN 'service' WHEN 'maker' THEN 'ordinary'
    WHEN 'not_ours' THEN 'ordinary' ELSE verdict END;
ALTER TABLE clients DROP COLUMN postcode;
ALTER TABLE book_phrases DROP COLUMN area;
-- +goose StatementBegin
CREATE TRIGGER clients_update AFTER UPDATE OF name, trade, phone, language, lists ON clients BEGIN
    UPDATE clients SET revision = revision + 1 WHERE id = NEW.id;
END;
-- +goose StatementEnd

-- +goose Up
-- A client that is being deleted is none any more: what belongs to it goes in pieces, for a disk may be full.
ALTER TABLE clients ADD COLUMN going INTEGER NOT NULL DEFAULT 0;

-- A style sheet goes with the last reading that has it.
DELETE FROM sheets WHERE id NOT IN (SELECT sheet_id FROM reading_sheets);
CREATE INDEX reading_sheets_sheet ON reading_sheets (sheet_id);
-- +goose StatementBegin
CREATE TRIGGER reading_sheets_gone AFTER DELETE ON reading_sheets BEGIN
    DELETE FROM sheets WHERE id = OLD.sheet_id AND NOT EXISTS (SELECT 1 FROM reading_sheets WHERE sheet_id = OLD.sheet_id);
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER reading_sheets_gone;
DROP INDEX reading_sheets_sheet;
ALTER TABLE clients DROP COLUMN going;

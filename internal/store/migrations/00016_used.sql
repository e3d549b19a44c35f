-- +goose Up
-- Of the searches for one phrase the one that was put to use last counts: a newer one waits until it is
-- used (rule 6.2). 0 is one that waits.
ALTER TABLE lineups ADD COLUMN used INTEGER NOT NULL DEFAULT 0;
UPDATE lineups SET used = id;

-- +goose Down
ALTER TABLE lineups DROP COLUMN used;

-- +goose Up
-- Whether a search was for the client's own name: such a one chooses no rivals.
ALTER TABLE lineups ADD COLUMN own_name INTEGER NOT NULL DEFAULT 0;

-- +goose Down
ALTER TABLE lineups DROP COLUMN own_name;

-- +goose Up
-- The family that was kept as the first of a page, whatever is searched for most by now (rule 9.2).
ALTER TABLE pages ADD COLUMN first_family TEXT NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE pages DROP COLUMN first_family;

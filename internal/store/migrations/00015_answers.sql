-- +goose Up
-- What the head of an answer tells search engines is kept with the page: its HTML does not say it.
ALTER TABLE readings ADD COLUMN robots TEXT NOT NULL DEFAULT '';

-- Where the root of a site leads, and whether it answers by http alone.
ALTER TABLE sites ADD COLUMN root TEXT NOT NULL DEFAULT '';
ALTER TABLE sites ADD COLUMN plain INTEGER NOT NULL DEFAULT 0;

-- The pages of a site that a survey knows of and could not read.
ALTER TABLE sites ADD COLUMN missed TEXT NOT NULL DEFAULT '[]';

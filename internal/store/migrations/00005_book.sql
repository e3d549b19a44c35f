-- +goose Up
-- The phrase book: every phrase once, with what is known of its search.
CREATE TABLE book_phrases (
    id         INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id  INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    text       TEXT NOT NULL,
    folded     TEXT NOT NULL,
    volume     INTEGER,
    difficulty INTEGER,
    position   INTEGER,
    UNIQUE (client_id, folded)
);

-- What the user said of a family; families are worked out anew.
CREATE TABLE book_choices (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    family    TEXT NOT NULL,
    state     TEXT NOT NULL DEFAULT '',
    reason    TEXT NOT NULL DEFAULT '',
    lead      TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (client_id, family)
) WITHOUT ROWID;

-- What the user said of words: a verdict, or the word that it is tied to.
CREATE TABLE book_words (
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    word      TEXT NOT NULL,
    verdict   TEXT NOT NULL DEFAULT '',
    tied_to   TEXT NOT NULL DEFAULT '',
    PRIMARY KEY (client_id, word)
) WITHOUT ROWID;

-- Imports, each of which can be undone: the ids of the phrases that it added,
-- and the phrases that it changed as they were before.
CREATE TABLE book_imports (
    id        INTEGER PRIMARY KEY AUTOINCREMENT,
    client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
    name      TEXT NOT NULL,
    taken_at  TEXT NOT NULL,
    added     TEXT NOT NULL,
    changed   TEXT NOT NULL
);

-- +goose Down
DROP TABLE book_imports;
DROP TABLE book_words;
DROP TABLE book_choices;
DROP TABLE book_phrases;

-- +goose Up
-- What the user changed of a client's walk-through: the order of its steps, and what is said to them.
CREATE TABLE told_orders (
  client_id INTEGER PRIMARY KEY REFERENCES clients (id) ON DELETE CASCADE,
  steps TEXT NOT NULL
);
CREATE TABLE told_steps (
  client_id INTEGER NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
  step TEXT NOT NULL,
  dropped INTEGER NOT NULL DEFAULT 0,
  added INTEGER NOT NULL DEFAULT 0,
  head TEXT NOT NULL DEFAULT '',
  -- the talking points as a list, empty as they are made
  points TEXT NOT NULL DEFAULT '',
  picture BLOB,
  PRIMARY KEY (client_id, step)
);

-- +goose Down
DROP TABLE told_steps;
DROP TABLE told_orders;

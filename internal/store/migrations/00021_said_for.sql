-- +goose Up
-- What was said of a site stays for all clients; the name of the one for whom it was said goes with it.
UPDATE site_kinds SET said_for = '' WHERE said_for <> 'a list' AND said_for NOT IN (SELECT name FROM clients);
-- +goose StatementBegin
CREATE TRIGGER clients_said_for AFTER DELETE ON clients BEGIN
    UPDATE site_kinds SET said_for = '' WHERE said_for = OLD.name
        AND NOT EXISTS (SELECT 1 FROM clients WHERE name = OLD.name);
END;
-- +goose StatementEnd

-- +goose Down
DROP TRIGGER clients_said_for;

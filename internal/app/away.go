package app

import (
	"context"
	"sync"
	"time"

	"inktally/internal/store"
)

// awayFor is for how long a deleted client can be brought back; then, or when the program ends, it is deleted for good.
const awayFor = time.Hour

// Listed is the facet that changes where a client is deleted or brought back.
const Listed = store.FacetGround

// away are the clients that were deleted and can be brought back.
type away struct {
	mu     sync.Mutex
	timers map[int64]*time.Timer
}

// Delete stops what is under way for a client and puts it away: nothing shows it any more, and what belongs to it is
// deleted within the hour, or when the program ends.
func (a *App) Delete(ctx context.Context, client int64) error {
	if err := a.db.Read(ctx, func(tx *store.Tx) error { _, err := tx.Client(client); return err }); err != nil {
		return err
	}
	a.Runs.StopClient(ctx, client)
	a.away.mu.Lock()
	defer a.away.mu.Unlock()
	if a.away.timers == nil {
		a.away.timers = map[int64]*time.Timer{}
	}
	if a.away.timers[client] == nil {
		a.away.timers[client] = time.AfterFunc(awayFor, func() { a.forget(client) })
	}
	return nil
}

// Restore brings a client back that was deleted a short while ago.
func (a *App) Restore(_ context.Context, client int64) error {
	if !a.takeBack(client) {
		return store.ErrNoClient
	}
	return nil
}

// IsAway reports whether a client was deleted and can still be brought back.
func (a *App) IsAway(client int64) bool {
	a.away.mu.Lock()
	defer a.away.mu.Unlock()
	return a.away.timers[client] != nil
}

// takeBack reports whether a client was away, which it is not any more.
func (a *App) takeBack(client int64) bool {
	a.away.mu.Lock()
	defer a.away.mu.Unlock()
	timer := a.away.timers[client]
	if timer == nil {
		return false
	}
	timer.Stop()
	delete(a.away.timers, client)
	return true
}

// forget deletes a client that is away for good. Who brings it back at the same moment is either first or told that
// there is none.
func (a *App) forget(client int64) {
	if !a.takeBack(client) {
		return
	}
	if err := a.Ground.Delete(context.Background(), client); err != nil {
		a.log.Error("a deleted client is back: it is still in the data file", "client", client, "error", err)
	}
}

// forgetAll deletes all that are away for good.
func (a *App) forgetAll() {
	a.away.mu.Lock()
	var clients []int64
	for client := range a.away.timers {
		clients = append(clients, client)
	}
	a.away.mu.Unlock()
	for _, client := range clients {
		a.forget(client)
	}
}

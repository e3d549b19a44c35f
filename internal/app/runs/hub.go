package runs

import (
	"sync"

	"inktally/internal/view"
)

// hub hands the state of a client's run to all that watch it.
type hub struct {
	mu       sync.Mutex
	watchers map[int64]map[chan view.Run]bool // by client
}

// watch returns a channel of run states and a function that ends the watch. A
// slow watcher misses states, never the last one.
func (h *hub) watch(client int64) (<-chan view.Run, func()) {
	ch := make(chan view.Run, 1)
	h.mu.Lock()
	defer h.mu.Unlock()
	if h.watchers == nil {
		h.watchers = map[int64]map[chan view.Run]bool{}
	}
	if h.watchers[client] == nil {
		h.watchers[client] = map[chan view.Run]bool{}
	}
	h.watchers[client][ch] = true
	return ch, func() {
		h.mu.Lock()
		defer h.mu.Unlock()
		delete(h.watchers[client], ch)
	}
}

func (h *hub) publish(r view.Run) {
	h.mu.Lock()
	defer h.mu.Unlock()
	for ch := range h.watchers[r.ClientID] {
		select {
		case <-ch: // make room: the newest state counts
		default:
		}
		ch <- r
	}
}

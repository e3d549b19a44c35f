package gate

import (
	"net"
	"net/http"
	"sync"
	"time"
)

// askTime is how long a request may take to come in whole before anybody looks at it, ReadTime how long the body of an
// operation may take, WriteTime how long a client may take what it asked for; progress is sent as long as somebody
// listens.
const (
	askTime   = 20 * time.Second
	ReadTime  = 2 * time.Minute
	WriteTime = time.Minute
)

// Server serves a handler, and waits for nobody for ever.
func Server(h http.Handler) *http.Server {
	connections := &Connections{Most: MostConnections}
	return &http.Server{Handler: h, ReadHeaderTimeout: 10 * time.Second, ReadTimeout: askTime, WriteTimeout: WriteTime,
		IdleTimeout: ReadTime, MaxHeaderBytes: 64 << 10, ConnState: connections.State}
}

// MostConnections is how many connections an address may have open at once: a browser opens six, a program of many
// readers some more.
const MostConnections = 512

// Connections counts the open connections of each address, and closes those beyond Most.
type Connections struct {
	Most int

	mu   sync.Mutex
	open map[string]int
	had  map[net.Conn]string
}

// State follows a connection; it is a server's ConnState.
func (c *Connections) State(conn net.Conn, state http.ConnState) {
	c.mu.Lock()
	defer c.mu.Unlock()
	switch state {
	case http.StateNew:
		address, _, _ := net.SplitHostPort(conn.RemoteAddr().String())
		if c.open == nil {
			c.open, c.had = map[string]int{}, map[net.Conn]string{}
		}
		c.open[address]++
		c.had[conn] = address
		if c.open[address] > c.Most {
			_ = conn.Close()
		}
	case http.StateClosed, http.StateHijacked:
		address, ok := c.had[conn]
		if !ok {
			return
		}
		delete(c.had, conn)
		if c.open[address]--; c.open[address] == 0 {
			delete(c.open, address)
		}
	}
}

package e2e

import (
	"fmt"
	"net"
	"net/http"
	"path/filepath"
	"strings"
	"sync/atomic"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A kept page lies still in a browser: it opens no connection, to whatever it points.
func TestKeptPage(t *testing.T) {
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer listener.Close()
	var reached atomic.Int64
	go func() {
		for {
			conn, err := listener.Accept()
			if err != nil {
				return
			}
			reached.Add(1)
			_ = conn.Close()
		}
	}()
	page := strings.ReplaceAll(
		`<h1>Kept</h1><link rel=preconnect href="http://AT"><link rel=dns-prefetch href="http://AT"><link rel=prefetch href="http://AT/x">
		<link rel=stylesheet href="http://AT/s.css"><link rel=icon href="http://AT/i.ico"><style>@import "http://AT/i.css"; body{background:url(http://AT/b.png)} @font-face{font-family:F;src:url(http://AT/f)} h1{font-family:F}</style>
		<meta http-equiv=refresh content="0;url=http://AT/"><script>fetch("http://AT")</script><img src="http://AT/p.png" srcset="http://AT/q.png 2x"><iframe src="http://AT"></iframe>
		<script type=speculationrules>{"prerender":[{"source":"list","urls":["http://AT/p"],"eagerness":"immediate"}]}</script><video autoplay src="http://AT/v"></video>
		<object data="http://AT/o"></object><svg><image href="http://AT/g.png"></image><use href="http://AT/u#x"></use></svg><input type=image src="http://AT/n.png"><body background="http://AT/c.png">`,
		"AT", listener.Addr().String())

	p := start(t, filepath.Join(t.TempDir(), "kept.db"))
	client, home := brindle(t, p)
	require.Equal(t, http.StatusOK, send(t, p, http.MethodPost,
		fmt.Sprintf("/api/clients/%d/pages/%d/paste", client, home), map[string]any{"entry": 0, "html": page}))
	reading := get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, home)).Columns[0].ReadingID
	s := look(t, p)
	s.open(fmt.Sprintf("/api/clients/%d/readings/%d/page", client, reading))
	s.until(`document.querySelector('h1')?.innerText === 'Kept'`)
	s.open(fmt.Sprintf("/clients/%d/ground", client)) // time for what comes late
	s.until(`document.querySelector('main')`)
	assert.Zero(t, reached.Load())
}

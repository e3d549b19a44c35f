package fetch

import (
	"context"
	"errors"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/dns/dnsmessage"
)

// names returns a name server that answers with one address after the other.
func names(t *testing.T, answers ...[4]byte) (address string, asked *atomic.Int32) {
	t.Helper()
	conn, err := net.ListenPacket("udp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { conn.Close() })
	asked = &atomic.Int32{}
	go func() {
		buf := make([]byte, 1500)
		for {
			n, from, err := conn.ReadFrom(buf)
			if err != nil {
				return
			}
			var m dnsmessage.Message
			if m.Unpack(buf[:n]) != nil || len(m.Questions) != 1 {
				continue
			}
			q := m.Questions[0]
			m.Response, m.Authoritative, m.Additionals = true, true, nil
			if q.Type == dnsmessage.TypeA {
				answer := answers[min(int(asked.Add(1))-1, len(answers)-1)]
				m.Answers = []dnsmessage.Resource{
					{Header: dnsmessage.ResourceHeader{Name: q.Name, Type: q.Type, Class: q.Class},
						Body: &dnsmessage.AResource{A: answer}}}
			}
			if packed, err := m.Pack(); err == nil {
				_, _ = conn.WriteTo(packed, from)
			}
		}
	}()
	return conn.LocalAddr().String(), asked
}

// A name that is public when it is first asked for and private afterwards
// leads nowhere: what counts is the address of the socket.
func TestChangingName(t *testing.T) {
	served := atomic.Bool{}
	server := httptest.NewServer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { served.Store(true) }))
	defer server.Close()
	_, port, _ := strings.Cut(strings.TrimPrefix(server.URL, "http://"), ":")
	dns, asked := names(t, [4]byte{192, 0, 2, 7}, [4]byte{127, 0, 0, 1})
	usual := net.DefaultResolver
	defer func() { net.DefaultResolver = usual }()
	net.DefaultResolver = &net.Resolver{PreferGo: true, Dial: func(ctx context.Context, _, _ string) (net.Conn, error) {
		return (&net.Dialer{}).DialContext(ctx, "udp", dns)
	}}
	// The first address stands for a public one, which nothing here can reach.
	var seen []netip.Addr
	guard := func(addr netip.Addr) error {
		seen = append(seen, addr)
		if addr == netip.AddrFrom4([4]byte{192, 0, 2, 7}) {
			return errors.New("no way there")
		}
		return Public(addr)
	}
	f := New(Options{Timeout: 2 * time.Second, Guard: guard})
	for range 3 {
		_, err := f.Get(context.Background(),
			Request{Address: "http://changing.example:" + port + "/", IgnoreRobots: true})
		require.Error(t, err)
	}
	_, err := f.Get(context.Background(), Request{Address: "http://changing.example:" + port + "/", IgnoreRobots: true})
	require.True(t, PrivateAddress.Is(err), "%v", err)
	assert.Greater(t, asked.Load(), int32(1))
	assert.Contains(t, seen, netip.AddrFrom4([4]byte{192, 0, 2, 7}), "the first answer was followed")
	assert.Contains(t, seen, netip.AddrFrom4([4]byte{127, 0, 0, 1}), "and so was the second")
	assert.False(t, served.Load())
}

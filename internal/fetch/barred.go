package fetch

import (
	"context"
	"errors"
	"net"
	"net/http"
	"net/netip"
	"strconv"
	"strings"
	"sync"
	"time"
)

// barred keeps what goes through a proxy from private networks: no dialer sees where that connects to, so each
// request's host is judged before it is sent, at every hop.
type barred struct {
	guard Guard
	next  http.RoundTripper
	// look resolves a name; what it cannot resolve is left to the proxy.
	look func(ctx context.Context, host string) ([]netip.Addr, error)

	mu    sync.Mutex
	known map[string]error // by host
	dumb  int              // how often in a row no name could be resolved: this machine resolves none
}

const (
	resolving = time.Second // what a name may take
	mostDumb  = 3
	mostHosts = 1000
)

// RoundTrip sends a request whose host is not of a private network.
func (b *barred) RoundTrip(req *http.Request) (*http.Response, error) {
	if err := b.judge(req.Context(), req.URL.Hostname()); err != nil {
		return nil, err
	}
	return b.next.RoundTrip(req)
}

// judge returns why a host is refused, nil if it is not: literal addresses in whatever form, names of this machine and
// of its network, and names that resolve here to what is refused.
func (b *barred) judge(ctx context.Context, host string) error {
	host = strings.ToLower(strings.TrimSuffix(host, "."))
	if addr, ok := literal(host); ok {
		return b.guard(addr)
	}
	if isNear(host) {
		return refused{host: host}
	}
	b.mu.Lock()
	err, known := b.known[host]
	dumb := b.dumb >= mostDumb
	b.mu.Unlock()
	if known || dumb {
		return err
	}
	looks, cancel := context.WithTimeout(ctx, resolving)
	defer cancel()
	addrs, failed := b.look(looks, host)
	if ctx.Err() != nil {
		return ctx.Err()
	}
	for _, a := range addrs {
		if err = b.guard(a.Unmap()); err != nil {
			break
		}
	}
	b.mu.Lock()
	defer b.mu.Unlock()
	b.dumb = map[bool]int{true: b.dumb + 1}[failed != nil && !isNoName(failed)]
	if len(b.known) >= mostHosts {
		clear(b.known)
	}
	b.known[host] = err
	return err
}

// isNoName reports whether a resolver answered that there is no such name, and so answers at all.
func isNoName(err error) bool {
	var dns *net.DNSError
	return errors.As(err, &dns) && dns.IsNotFound
}

func lookUp(ctx context.Context, host string) ([]netip.Addr, error) {
	return net.DefaultResolver.LookupNetIP(ctx, "ip", host)
}

// isNear reports whether a name is one of this machine or its network: localhost, one without a dot, and those that
// are kept for networks at home and at work.
func isNear(host string) bool {
	if !strings.Contains(host, ".") {
		return true
	}
	for _, end := range []string{".localhost", ".local", ".localdomain", ".internal", ".intranet", ".lan", ".home",
		".corp", ".home.arpa", ".in-addr.arpa", ".ip6.arpa"} {
		if strings.HasSuffix(host, end) {
			return true
		}
	}
	return false
}

// literal reads an address in any of the forms that programs take: of IPv6, with its zone; of IPv4 with one to four
// numbers, each decimal, octal or hexadecimal.
func literal(host string) (netip.Addr, bool) {
	host = strings.Trim(host, "[]")
	if bare, _, zoned := strings.Cut(host, "%"); zoned {
		host = bare
	}
	if addr, err := netip.ParseAddr(host); err == nil {
		return addr, true
	}
	parts := strings.Split(host, ".")
	if len(parts) > 4 {
		return netip.Addr{}, false
	}
	var sum uint64
	for i, p := range parts {
		n, err := strconv.ParseUint(octal(p), 0, 64)
		if err != nil || strings.ContainsAny(p, "_+-bBoO") && !strings.HasPrefix(strings.ToLower(p), "0x") {
			return netip.Addr{}, false
		}
		if last := i == len(parts)-1; last {
			if n > 1<<(8*(5-len(parts)))-1 {
				return netip.Addr{}, false
			}
			sum = sum<<(8*(5-len(parts))) | n
		} else if n > 255 {
			return netip.Addr{}, false
		} else {
			sum = sum<<8 | n
		}
	}
	return netip.AddrFrom4([4]byte{byte(sum >> 24), byte(sum >> 16), byte(sum >> 8), byte(sum)}), true
}

// octal writes a number that begins with 0 as one that is told to be octal.
func octal(s string) string {
	if len(s) > 1 && s[0] == '0' && s[1] >= '0' && s[1] <= '9' {
		return "0o" + s[1:]
	}
	return s
}

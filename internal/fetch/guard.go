package fetch

import (
	"fmt"
	"net"
	"net/netip"
	"syscall"
)

// Guard decides whether a socket may be opened to an address.
type Guard func(netip.Addr) error

// Public refuses every address that is not on the public internet. It is the
// guard of every fetcher that is given none.
func Public(addr netip.Addr) error {
	addr = addr.Unmap()
	if !addr.IsGlobalUnicast() || addr.IsPrivate() || inReserved(addr) {
		return refused{addr}
	}
	return nil
}

type refused struct{ addr netip.Addr }

func (r refused) Error() string {
	return fmt.Sprintf("%s is on this machine or a private network and is not read", r.addr)
}

// reserved are ranges beyond those that netip knows: shared, test and
// benchmark networks, and the IPv6 forms that hold an IPv4 address.
var reserved = []netip.Prefix{
	netip.MustParsePrefix("0.0.0.0/8"),
	netip.MustParsePrefix("100.64.0.0/10"),
	netip.MustParsePrefix("192.0.0.0/24"),
	netip.MustParsePrefix("192.0.2.0/24"),
	netip.MustParsePrefix("198.18.0.0/15"),
	netip.MustParsePrefix("198.51.100.0/24"),
	netip.MustParsePrefix("203.0.113.0/24"),
	netip.MustParsePrefix("240.0.0.0/4"),
	netip.MustParsePrefix("::/96"),
	netip.MustParsePrefix("64:ff9b::/32"),
	netip.MustParsePrefix("2001::/32"),
	netip.MustParsePrefix("2001:db8::/32"),
	netip.MustParsePrefix("2002::/16"),
}

func inReserved(addr netip.Addr) bool {
	for _, p := range reserved {
		if p.Contains(addr) {
			return true
		}
	}
	return false
}

// control makes a guard of a dialer: it sees the address that the socket is
// about to connect to, after all names are resolved.
func (g Guard) control(_, address string, _ syscall.RawConn) error {
	host, _, err := net.SplitHostPort(address)
	if err != nil {
		return err
	}
	addr, err := netip.ParseAddr(host)
	if err != nil {
		return err
	}
	return g(addr.WithZone(""))
}

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
	addr = addr.Unmap().WithZone("")
	if !addr.IsGlobalUnicast() || isSpecial(addr) || addr.Is6() && !assigned.Contains(addr) {
		return refused{addr: addr}
	}
	return nil
}

// assigned is what of IPv6 is given out for the public internet.
var assigned = netip.MustParsePrefix("2000::/3")

// refused is that of an address, or of a name that is one of a private network by itself.
type refused struct {
	addr netip.Addr
	host string
}

// String is what was refused.
func (r refused) String() string {
	if r.host != "" {
		return r.host
	}
	return r.addr.String()
}

func (r refused) Error() string {
	return fmt.Sprintf("%s is on this machine or a private network and is not read", r.String())
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

package fetch

import "net/netip"

// special are the blocks of the registries of special-purpose addresses (RFC 6890 and those
// after it) that are not reachable on the public internet, with those that hold another
// address in them and those that were given up: what is sent to any of them may end up
// nearby.
var special = []netip.Prefix{
	netip.MustParsePrefix("0.0.0.0/8"),       // this network
	netip.MustParsePrefix("10.0.0.0/8"),      // private
	netip.MustParsePrefix("100.64.0.0/10"),   // shared by carriers
	netip.MustParsePrefix("127.0.0.0/8"),     // this machine
	netip.MustParsePrefix("169.254.0.0/16"),  // link-local
	netip.MustParsePrefix("172.16.0.0/12"),   // private
	netip.MustParsePrefix("192.0.0.0/24"),    // protocol assignments
	netip.MustParsePrefix("192.0.2.0/24"),    // documentation
	netip.MustParsePrefix("192.88.99.0/24"),  // 6to4 relays, given up
	netip.MustParsePrefix("192.168.0.0/16"),  // private
	netip.MustParsePrefix("198.18.0.0/15"),   // benchmarking
	netip.MustParsePrefix("198.51.100.0/24"), // documentation
	netip.MustParsePrefix("203.0.113.0/24"),  // documentation
	netip.MustParsePrefix("224.0.0.0/4"),     // multicast
	netip.MustParsePrefix("240.0.0.0/4"),     // reserved, and broadcast
	netip.MustParsePrefix("::/96"),           // unspecified, this machine, and compatible with IPv4, given up
	netip.MustParsePrefix("::ffff:0:0/96"),   // mapped from IPv4
	netip.MustParsePrefix("::ffff:0:0:0/96"), // translated from IPv4
	netip.MustParsePrefix("64:ff9b::/96"),    // translated to IPv4
	netip.MustParsePrefix("64:ff9b:1::/48"),  // translated to IPv4, of a site
	netip.MustParsePrefix("100::/64"),        // discarded
	netip.MustParsePrefix("100:0:0:1::/64"),  // dummy
	netip.MustParsePrefix("2001::/23"),       // protocol assignments: Teredo, benchmarking, ORCHID
	netip.MustParsePrefix("2001:db8::/32"),   // documentation
	netip.MustParsePrefix("2002::/16"),       // 6to4, holds an IPv4 address
	netip.MustParsePrefix("3fff::/20"),       // documentation
	netip.MustParsePrefix("5f00::/16"),       // segment routing
	netip.MustParsePrefix("fc00::/7"),        // private
	netip.MustParsePrefix("fe80::/10"),       // link-local
	netip.MustParsePrefix("fec0::/10"),       // site-local, given up
	netip.MustParsePrefix("ff00::/8"),        // multicast
}

func isSpecial(addr netip.Addr) bool {
	for _, p := range special {
		if p.Contains(addr) {
			return true
		}
	}
	return false
}

package fetch

import (
	"net/netip"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every block of special addresses is refused from its first address to its last, in whatever
// form it is written; the public addresses beside them are not.
func TestSpecialAddresses(t *testing.T) {
	for _, p := range special {
		first, last := p.Masked().Addr(), lastOf(p)
		assert.Error(t, Public(first), "%s: %s", p, first)
		assert.Error(t, Public(last), "%s: %s", p, last)
		if first.Is4() {
			mapped := netip.AddrFrom16(first.As16())
			assert.Error(t, Public(mapped), "mapped %s", first)
		}
	}
	for _, a := range []string{
		"0.0.0.0", "10.1.2.3", "100.64.0.1", "100.127.255.255", "127.0.0.1", "127.255.0.1", "169.254.169.254",
		"172.31.255.255", "192.0.0.170", "192.168.1.1",
		"198.19.255.255", "224.0.0.251", "239.255.255.250", "255.255.255.255", "::", "::1", "::ffff:127.0.0.1",
		"::127.0.0.1", "::ffff:0:127.0.0.1",
		"64:ff9b::7f00:1", "64:ff9b:1::1", "100::1", "2001::1", "2001:2::1", "2001:10::1", "2001:20::1", "2001:db8::1",
		"2002:7f00:1::", "3fff::1", "5f00::1",
		"fc00::1", "fd12::1", "fe80::1", "fe80::1%eth0", "febf::1", "fec0::1", "feff::1", "ff02::1", "64:ff9c::1",
		"1000::1", "4000::1", "::2:3:4",
	} {
		addr, err := netip.ParseAddr(a)
		require.NoError(t, err)
		assert.Error(t, Public(addr), a)
	}
	for _, a := range []string{"1.1.1.1", "9.255.255.255", "11.0.0.0", "100.63.255.255", "100.128.0.0",
		"126.255.255.255", "128.0.0.0", "169.253.255.255", "169.255.0.0",
		"172.15.255.255", "172.32.0.0", "192.167.255.255", "192.169.0.0", "198.17.255.255", "198.20.0.0",
		"223.255.255.255", "2000::1", "2001:200::1", "2003::1", "2606:4700::1",
		"2a00::1"} {
		assert.NoError(t, Public(netip.MustParseAddr(a)), a)
	}
}

// lastOf returns the last address of a block.
func lastOf(p netip.Prefix) netip.Addr {
	raw := p.Masked().Addr().AsSlice()
	for bit := p.Bits(); bit < len(raw)*8; bit++ {
		raw[bit/8] |= 1 << (7 - bit%8)
	}
	last, _ := netip.AddrFromSlice(raw)
	return last
}

package fetch

import (
	"net/netip"
	"net/url"
	"strings"

	"inktally/core/fault"
)

// Address reads what somebody typed as the address of a page. Without a scheme
// it is taken as http, from which a site leads on to https by itself. The
// errors are sentences for the user.
func Address(typed string) (string, error) {
	typed = strings.TrimSpace(typed)
	if typed == "" {
		return "", fault.New(fault.AddressMissing)
	}
	if strings.ContainsAny(typed, " \t\n") {
		return "", fault.New(fault.AddressSpace, typed)
	}
	scheme, rest, found := strings.Cut(typed, "://")
	switch {
	case !found && hasScheme(typed):
		scheme, _, _ = strings.Cut(typed, ":")
		return "", fault.New(fault.AddressScheme, scheme)
	case !found:
		typed = "http://" + typed
	case !strings.EqualFold(scheme, "http") && !strings.EqualFold(scheme, "https"):
		return "", fault.New(fault.AddressScheme, scheme)
	case rest == "":
		return "", fault.New(fault.AddressNoSite, typed)
	}
	u, err := url.Parse(typed)
	if err != nil {
		return "", fault.New(fault.AddressBad, typed)
	}
	if u.Hostname() == "" {
		return "", fault.New(fault.AddressNoSite, typed)
	}
	u.Scheme = strings.ToLower(u.Scheme)
	u.Host = strings.ToLower(u.Host)
	u.Fragment, u.User = "", nil
	if u.Path == "" {
		u.Path = "/"
	}
	if !strings.Contains(u.Hostname(), ".") && !strings.Contains(u.Hostname(), ":") && u.Hostname() != "localhost" {
		return "", fault.New(fault.AddressNoDot, u.Hostname())
	}
	return u.String(), nil
}

// hasScheme tells "javascript:x" and "mailto:x" from "shop.example:8080".
func hasScheme(typed string) bool {
	scheme, rest, found := strings.Cut(typed, ":")
	if !found || scheme == "" || strings.ContainsAny(scheme, "./[") {
		return false
	}
	if scheme == "localhost" {
		return false
	}
	_, err := netip.ParseAddr(scheme)
	return err != nil && (rest == "" || rest[0] < '0' || rest[0] > '9')
}

package fetch

import (
	"net/netip"
	"net/url"
	"strings"
)

// Address reads what somebody typed as the address of a page. Without a scheme
// it is taken as http, from which a site leads on to https by itself. The
// errors are sentences for the user.
func Address(typed string) (string, error) {
	typed = strings.TrimSpace(typed)
	if typed == "" {
		return "", AddressMissing.New()
	}
	if strings.ContainsAny(typed, " \t\n") {
		return "", AddressSpace.New(typed)
	}
	scheme, rest, found := strings.Cut(typed, "://")
	switch {
	case !found && hasScheme(typed):
		scheme, _, _ = strings.Cut(typed, ":")
		return "", AddressScheme.New(scheme)
	case !found:
		typed = "http://" + typed
	case !strings.EqualFold(scheme, "http") && !strings.EqualFold(scheme, "https"):
		return "", AddressScheme.New(scheme)
	case rest == "":
		return "", AddressNoSite.New(typed)
	}
	u, err := url.Parse(typed)
	if err != nil {
		return "", AddressBad.New(typed)
	}
	if u.Hostname() == "" {
		return "", AddressNoSite.New(typed)
	}
	u.Scheme = strings.ToLower(u.Scheme)
	u.Host = strings.ToLower(u.Host)
	u.Fragment, u.User = "", nil
	if u.Path == "" {
		u.Path = "/"
	}
	if !strings.Contains(u.Hostname(), ".") && !strings.Contains(u.Hostname(), ":") && u.Hostname() != "localhost" {
		return "", AddressNoDot.New(u.Hostname())
	}
	return u.String(), nil
}

// hasScheme reports whether an address has a scheme: "javascript:x" and "mailto:x", not "shop.example:8080".
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

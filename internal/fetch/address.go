package fetch

import (
	"errors"
	"fmt"
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
		return "", errors.New("an address is missing: type one such as shop.example")
	}
	if strings.ContainsAny(typed, " \t\n") {
		return "", fmt.Errorf("%q is no address: it holds a space", short(typed))
	}
	scheme, rest, found := strings.Cut(typed, "://")
	switch {
	case !found && hasScheme(typed):
		scheme, _, _ = strings.Cut(typed, ":")
		return "", fmt.Errorf("an address that begins with %s: cannot be read; only http and https can", short(scheme))
	case !found:
		typed = "http://" + typed
	case !strings.EqualFold(scheme, "http") && !strings.EqualFold(scheme, "https"):
		return "", fmt.Errorf("an address that begins with %s: cannot be read; only http and https can", short(scheme))
	case rest == "":
		return "", fmt.Errorf("%q names no site", short(typed))
	}
	u, err := url.Parse(typed)
	if err != nil {
		return "", fmt.Errorf("%q is no address", short(typed))
	}
	if u.Hostname() == "" {
		return "", fmt.Errorf("%q names no site", short(typed))
	}
	u.Scheme = strings.ToLower(u.Scheme)
	u.Host = strings.ToLower(u.Host)
	u.Fragment, u.User = "", nil
	if u.Path == "" {
		u.Path = "/"
	}
	if !strings.Contains(u.Hostname(), ".") && !strings.Contains(u.Hostname(), ":") && u.Hostname() != "localhost" {
		return "", fmt.Errorf("%q is no address of a site: its name has no dot", short(u.Hostname()))
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

// short keeps a quotation from filling the screen.
func short(s string) string {
	if r := []rune(s); len(r) > 60 {
		return string(r[:60]) + "…"
	}
	return s
}

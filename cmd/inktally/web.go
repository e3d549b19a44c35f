package main

import (
	"fmt"
	"io"
	"log/slog"
	"net/url"
	"strings"

	"inktally/internal/fetch"
	"inktally/internal/fetch/render"

	"github.com/spf13/cobra"
)

// webFlags say how pages are read from the web.
type webFlags struct {
	contact, browserURL, browserPath, proxy string
}

func (f *webFlags) flags(cmd *cobra.Command) {
	cmd.Flags().StringVar(&f.contact, "contact", "",
		"whom sites may turn to about the reading of their pages: an email address or a page")
	cmd.Flags().StringVar(&f.proxy, "proxy", "",
		"what everything is fetched through, such as http://proxy:3128; names are then resolved there")
	cmd.Flags().StringVar(&f.browserURL, "browser-url", "",
		"the DevTools address of a browser elsewhere that renders pages, such as http://host:9222/")
	cmd.Flags().StringVar(&f.browserPath, "browser", "",
		"the Chromium that renders pages; it is looked for if this is not given")
}

// fetcher returns what reads pages; through a proxy, which is told.
func (f *webFlags) fetcher(warnings io.Writer) (*fetch.Fetcher, error) {
	o, err := f.options()
	if err == nil && o.Proxy != nil {
		fmt.Fprintln(warnings, "inktally: everything is fetched through",
			o.Proxy.Redacted()+", which resolves the names")
	}
	return fetch.New(o), err
}

func (f *webFlags) options() (o fetch.Options, err error) {
	o.Contact = f.contact
	if f.proxy != "" {
		u, err := url.Parse(f.proxy)
		if err != nil || u.Host == "" || u.Scheme != "http" && u.Scheme != "https" && u.Scheme != "socks5" {
			return o, fetch.AddressBad.New(withoutPassword(f.proxy))
		}
		o.Proxy = u
	}
	return o, nil
}

// withoutPassword takes whatever stands before the host out of an address that may be none.
func withoutPassword(address string) string {
	if at := strings.LastIndexByte(address, '@'); at >= 0 {
		return "…" + address[at:]
	}
	return address
}

// browser returns the browser that renders pages through web.
func (f *webFlags) browser(web render.Web) *render.Browser {
	return render.New(render.Options{Web: web, URL: f.browserURL, Path: f.browserPath, Log: slog.Default()})
}

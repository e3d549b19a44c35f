package main

import (
	"inktally/internal/fetch/drawn"

	"github.com/spf13/cobra"
)

// reading is how pages are read from the web.
type reading struct {
	contact, browserURL, browserPath string
}

func (r *reading) flags(cmd *cobra.Command) {
	cmd.Flags().StringVar(&r.contact, "contact", "", "whom sites may turn to about the reading of their pages: a mail address or a page")
	cmd.Flags().StringVar(&r.browserURL, "browser-url", "", "the DevTools address of a browser elsewhere that draws pages, such as http://host:9222/")
	cmd.Flags().StringVar(&r.browserPath, "browser", "", "the Chromium that draws pages; it is looked for where this is not given")
}

// browser returns the browser that draws pages through web.
func (r *reading) browser(web drawn.Web) *drawn.Browser {
	return drawn.New(drawn.Options{Web: web, URL: r.browserURL, Path: r.browserPath})
}

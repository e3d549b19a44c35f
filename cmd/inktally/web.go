package main

import (
	"inktally/internal/fetch/render"

	"github.com/spf13/cobra"
)

// webFlags say how pages are read from the web.
type webFlags struct {
	contact, browserURL, browserPath string
}

func (f *webFlags) flags(cmd *cobra.Command) {
	cmd.Flags().StringVar(&f.contact, "contact", "", "whom sites may turn to about the reading of their pages: an email address or a page")
	cmd.Flags().StringVar(&f.browserURL, "browser-url", "", "the DevTools address of a browser elsewhere that renders pages, such as http://host:9222/")
	cmd.Flags().StringVar(&f.browserPath, "browser", "", "the Chromium that renders pages; it is looked for if this is not given")
}

// browser returns the browser that renders pages through web.
func (f *webFlags) browser(web render.Web) *render.Browser {
	return render.New(render.Options{Web: web, URL: f.browserURL, Path: f.browserPath})
}

package standings

import "inktally/core/fault"

// The failures that a person is told of.
var (
	SiteNeeded     = fault.Define0("site_needed")
	NothingKept    = fault.Define0("nothing_kept")
	NoFigureSource = fault.Define0("no_figure_source")
	NoLinkSite     = fault.Define0("no_link_site")
)

package render

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoBrowser        = fault.Define0("no_browser")
	BrowserNotStart  = fault.Define0("browser_not_started")
	BrowserLost      = fault.Define0("browser_lost")
	RenderTimedOut   = fault.Define1("render_timed_out", "host")
	RenderFailed     = fault.Define1("render_failed", "host")
	RenderMemory     = fault.Define1("render_memory", "host")
	RenderTooLarge   = fault.Define0("render_too_large")
	BrowserNotClosed = fault.Define0("browser_not_closed")
)

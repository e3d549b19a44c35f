// Package reading is one page, read and measured at one moment: where it came
// from, how it is to be read, and the few figures of it that lists show.
package reading

import (
	"slices"

	"inktally/core/page"
)

// Source is where a reading came from.
type Source string

// The sources.
const (
	FromWeb     Source = "web"
	FromBrowser Source = "browser" // rendered
	FromFile    Source = "saved_file"
	FromArchive Source = "web_archive"
	FromPaste   Source = "pasted"
	FromTab     Source = "tab"   // handed over by the bookmark, as it was shown
	FromDraft   Source = "draft" // a version that is not live
)

// Sources returns all of them.
func Sources() []Source {
	return []Source{FromWeb, FromBrowser, FromFile, FromArchive, FromPaste, FromTab, FromDraft}
}

// Mode is how a page of the web is to be read.
type Mode string

// The modes; Automatic renders a page only if a script builds it.
const (
	Automatic Mode = ""
	Served    Mode = "served"
	Rendered  Mode = "rendered"
)

// Modes returns all of them.
func Modes() []Mode { return []Mode{Automatic, Served, Rendered} }

// Facts are the figures of a reading that lists show.
type Facts struct {
	Title    string
	Words    page.Words
	Warnings []page.Warning
}

// FactsOf returns those of a page.
func FactsOf(p *page.Page) Facts {
	return Facts{Title: p.Title, Words: p.Words, Warnings: p.Warnings}
}

// Whole reports whether the words of a page are all there: one that a script
// draws and no browser has rendered counts for nothing, since its few words
// would pull the figures down.
func (f Facts) Whole() bool { return !slices.Contains(f.Warnings, page.DrawnByScript) }

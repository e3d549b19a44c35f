package view

import "github.com/danielgtaylor/huma/v2"

// HandedAs is what a page that was handed over from a tab is.
type HandedAs string

// What it may be.
const (
	HandedClientPage HandedAs = "client_page"
	HandedRivalPage  HandedAs = "rival_page"
	HandedResults    HandedAs = "results"
	HandedPhrases    HandedAs = "phrases"
	HandedFigures    HandedAs = "figures"
)

// Schema describes the codes.
func (HandedAs) Schema(huma.Registry) *huma.Schema {
	return Enum([]HandedAs{HandedClientPage, HandedRivalPage, HandedResults, HandedPhrases, HandedFigures})
}

// Bookmark is the bookmark that hands the page of a tab over.
type Bookmark struct {
	Address string `json:"address" doc:"A script; __ORIGIN__ in it stands for the origin of the program"`
}

// Handed is a page that the bookmark handed over.
type Handed struct {
	Key    string `json:"key" maxLength:"100" doc:"Of the bookmark"`
	Origin string `json:"origin" maxLength:"2000" doc:"Where the message came from, as the browser tells it; null for a page without one"`
	URL    string `json:"url" maxLength:"8000"`
	HTML   string `json:"html" doc:"The page as it was shown"`
}

// Recognized is what a page that was handed over may be.
type Recognized struct {
	As      HandedAs           `json:"as" doc:"The most likely"`
	Title   string             `json:"title"`
	Words   int                `json:"words" doc:"Words seen"`
	Entries int                `json:"entries" doc:"Entries of search results that were read in it"`
	Tables  int                `json:"tables" doc:"Tables of figures and labelled numbers that were read in it"`
	Query   string             `json:"query" doc:"What its address asks a search engine for, empty for nothing"`
	Clients []RecognizedClient `json:"clients" doc:"The newest first"`
}

// RecognizedClient is a client that the page may be for.
type RecognizedClient struct {
	ID     int64      `json:"id"`
	Name   string     `json:"name"`
	Own    bool       `json:"own" doc:"The page is of its site"`
	Rival  bool       `json:"rival" doc:"The page is of a rival's site"`
	PageID int64      `json:"page_id" doc:"Its page with that address, 0 for none"`
	Pages  []PageInfo `json:"pages"`
}

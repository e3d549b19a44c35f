// Package page reads one page from its HTML: what a visitor sees, block by
// block, with the headings, links and images on it (rules 1, 2 and 4.1).
//
// In go the bytes of a page and what is known of where they come from; out
// comes a Page, made in one walk over the tree. Nothing in a page can make
// Read fail: the worst page gives an empty Page with a warning.
package page

// Package sense reads the plans of made-up clients as a consultant would, line by line.
//
// Sums can be right and a plan silly all the same: a section of sixteen words, an image named after
// somebody else's word, English headings on a French page. Each check of checks_test.go is one thing
// that nobody may be told; the clients are the demo's and those of testdata, of other trades, languages
// and sizes. Run it by make sense.
package sense

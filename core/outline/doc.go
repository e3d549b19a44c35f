// Package outline works out which sections a page should have, what it has of each, how many
// words are to be written in which, and which families they carry (rule 10.1).
//
// In go the page, its rivals' pages, what the client does and where, how many words are to
// be written, and what the user changed; out come Sections. Headings are worded elsewhere,
// but for those that stand on a page.
package outline

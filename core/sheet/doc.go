// Package sheet measures pages so that they can stand side by side: where the
// phrases stand in them, slot by slot, and what their image names are worth
// (rules 3.3, 3.4, 4.2).
//
// In go pages and Criteria: the phrases, services and places of a client; out
// comes a Column for each page, and for any figure the places that it counted.
// Families are spoken of by their keys, never by where they stand in a list.
package sheet

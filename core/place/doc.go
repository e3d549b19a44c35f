// Package place knows the places of a client and the forms in which people
// write them: the town, the town with its state, the state's abbreviation.
//
// In go the names of places; out come their forms as tokens, and whether a
// text names one (rules 3.5, 5.1).
package place

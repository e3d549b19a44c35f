// Package book keeps a client's phrases: in families, each with what it may
// bring and the page that carries it (rules 3.5, 3.7, 3.9, 7.3, 7.5, 9.1).
//
// In go phrases with their figures, the judge of the client's intents, its
// pages and what the user said of families; out come the families, those worth
// writing for first. Whatever else speaks of a page's families takes them from
// here.
package book

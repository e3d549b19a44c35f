// Package told has what the API shows of what owners and writers are told: what sites get of searches, why rivals lead,
// and the documents. Like package view, of which it is a part, it has no rule of its own.
package told

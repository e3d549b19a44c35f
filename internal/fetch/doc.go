// Package fetch brings pages in: over HTTP from the web, or from a saved file.
//
// In goes an address; out comes the body of the page with its final address
// and content type, or an error that one sentence explains to a user. Private
// addresses are refused at the socket, whatever name or redirect led there.
package fetch

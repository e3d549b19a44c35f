// Package view is what the API says and takes: its names, their documentation
// and their validation. Each view is made from core values in one place, with
// the sentences that people read beside the codes that the screen goes by.
//
// Nothing is stored in these shapes: a name here can change without a file
// noticing.
package view

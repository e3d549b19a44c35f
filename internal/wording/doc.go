// Package wording makes the sentences that people read out of codes and
// figures: in American English, for the screen, the command line and the
// documents alike. Nothing else in the program words a code.
//
// The screen gets codes and sentences side by side; what it does goes by the
// codes. Another language of the screen would be another package like this one.
package wording

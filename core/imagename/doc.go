// Package imagename judges the file names of images and proposes better ones
// (rules 4.2, 4.3).
//
// In go names without folder and extension, and what is known of the client:
// the families of the page, services and places. Out come verdicts and
// proposals.
package imagename

// Package text splits text into words, tokens, sentences and stems.
//
// In goes a string; out come the number of its words (rule 2.1) and its
// tokens with their places in the text (rule 2.4), the sentence and the
// word that each stands in, and on request the stem of a token (rule 2.5)
// and whether it is a small word (rule 2.6).
package text

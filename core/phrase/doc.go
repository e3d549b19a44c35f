// Package phrase finds phrases in texts, exactly and loosely, and groups them
// in families (rules 3.1, 3.2, 3.5).
//
// In go phrases as somebody types them into a search and the language of a
// client; Compile makes of them a Matcher that finds all of them in one pass
// over the tokens of a text. A Family has a key, by which everything else
// speaks of it.
package phrase

package cues

import (
	"strings"

	"inktally/core/text"

	"github.com/abadojack/whatlanggo"
)

const (
	sampleBytes  = 1000 // of a page that are looked at
	sampleTokens = 1500 // of a page that are looked at for small words
	foreignBytes = 240  // of a block that are looked at
	pageVotes    = 8    // small words that tell the language of a page
	blockVotes   = 3    // and of a block
	clearVotes   = 25   // more than another, or twice as many
	commonShare  = 10   // at least one word in so many is a common one in any text
	voteShare    = 16   // and one of those that are known here
)

// MayBeForeign reports whether so many words of an English page may be in another
// language, or those of another page in English: telling for sure is slow.
func (s Signs) MayBeForeign(english bool, words int) bool {
	if english {
		return s.English == 0 && s.Others >= 2 && s.Others*commonShare >= words
	}
	return s.English >= 2 && s.English*commonShare >= words
}

// told are the languages that blocks are told apart by.
var detection = whatlanggo.Options{Whitelist: map[whatlanggo.Lang]bool{
	whatlanggo.Eng: true, whatlanggo.Spa: true, whatlanggo.Fra: true, whatlanggo.Deu: true, whatlanggo.Por: true,
	whatlanggo.Ita: true, whatlanggo.Nld: true, whatlanggo.Swe: true,
}}

// Foreign reports whether a block, the tokens from lo to hi, is in another language than the
// page's own.
func Foreign(scan *text.Scan, lo, hi int, block, own string) bool {
	own = text.Base(own)
	voted := vote(scan, lo, hi, blockVotes)
	if voted.says&alike != 0 {
		return false
	}
	found := voted.tag
	if found == "" {
		info := whatlanggo.DetectWithOptions(strings.ToValidUTF8(block[:min(len(block), foreignBytes)], ""), detection)
		if info.IsReliable() {
			found = info.Lang.Iso6391()
		}
	}
	return own != "" && found != "" && found != own
}

// Language returns the language of a text that does not tell its own, empty if
// that is not clear (rule 1.6).
func Language(scan *text.Scan) string {
	if voted := vote(scan, 0, min(len(scan.Tokens), sampleTokens), pageVotes); voted.tag != "" &&
		voted.says&alike == 0 {
		return voted.tag
	}
	info := whatlanggo.Detect(strings.ToValidUTF8(scan.Text[:min(len(scan.Text), sampleBytes)], ""))
	if !info.IsReliable() {
		return ""
	}
	return info.Lang.Iso6391()
}

// vote returns the language of tokens by its small words: at least so many, one
// in sixteen, and clearly more than those of any other. It is empty if that does
// not decide.
func vote(scan *text.Scan, lo, hi, least int) (winner spoken) {
	votes := make([]int, len(languages))
	for i := lo; i < hi; i++ {
		if !signalKeys[scan.Tokens[i].Key()] {
			continue
		}
		if found := signalWords[scan.Folded(i)]; found&(english|otherLanguage|alike) != 0 {
			for l := range languages {
				if found&languages[l].says != 0 {
					votes[l]++
				}
			}
		}
	}
	best, second := 0, 0
	for l := range votes {
		switch {
		case votes[l] > votes[best]:
			best, second = l, votes[best]
		case l != best:
			second = max(second, votes[l])
		}
	}
	if votes[best] < least || votes[best]*voteShare < hi-lo || votes[best] < 2*second &&
		votes[best] < second+clearVotes {
		return spoken{}
	}
	return languages[best]
}

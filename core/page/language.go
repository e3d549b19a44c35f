package page

import (
	"strings"

	"inktally/core/text"

	"github.com/abadojack/whatlanggo"
)

const (
	sampleBytes  = 1000 // of a page that are looked at
	sampleTokens = 1500 // of a page that are looked at for small words
	foreignWords = 12   // words of a block whose language can be told
	foreignTries = 6    // blocks of a page whose language is told: it is slow
	foreignBytes = 240  // of a block that are looked at
	pageVotes    = 8    // small words that tell the language of a page
	blockVotes   = 3    // and of a block
	clearVotes   = 25   // more than another, or twice as many
	commonShare  = 10   // at least one word in so many is a common one in any text
	voteShare    = 16   // and one of those that are known here
)

// placeholder tells left-over text, given in lower case, by its usual words.
func placeholder(low string) bool {
	for _, words := range []string{"lorem ipsum", "dolor sit amet", "your text here", "insert text here"} {
		if strings.Contains(low, words) {
			return true
		}
	}
	return false
}

// mayBeForeign tells whether a block of an English page may be in another
// language, or one of another page in English: telling for sure is slow.
func mayBeForeign(english bool, s signs, words int) bool {
	if english {
		return s.english == 0 && s.others >= 2 && s.others*commonShare >= words
	}
	return s.english >= 2 && s.english*commonShare >= words
}

// told are the languages that blocks are told apart by.
var told = whatlanggo.Options{Whitelist: map[whatlanggo.Lang]bool{
	whatlanggo.Eng: true, whatlanggo.Spa: true, whatlanggo.Fra: true, whatlanggo.Deu: true, whatlanggo.Por: true,
	whatlanggo.Ita: true, whatlanggo.Nld: true, whatlanggo.Swe: true,
}}

// foreign tells a block in another language than the page's.
func (p *Page) foreign(block int) bool {
	own := text.Base(p.Lang)
	lo, hi := p.TokenRange(block)
	voted := p.vote(lo, hi, blockVotes)
	if voted.says&alike != 0 {
		return false
	}
	found := voted.tag
	if found == "" {
		s := p.Text(block)
		info := whatlanggo.DetectWithOptions(strings.ToValidUTF8(s[:min(len(s), foreignBytes)], ""), told)
		if info.IsReliable() {
			found = info.Lang.Iso6391()
		}
	}
	return own != "" && found != "" && found != own
}

// detectLanguage tells the language of a page that does not tell its own.
func (p *Page) detectLanguage() string {
	if voted := p.vote(0, min(len(p.scan.Tokens), sampleTokens), pageVotes); voted.tag != "" && voted.says&alike == 0 {
		return voted.tag
	}
	info := whatlanggo.Detect(strings.ToValidUTF8(p.scan.Text[:min(len(p.scan.Text), sampleBytes)], ""))
	if !info.IsReliable() {
		return ""
	}
	return info.Lang.Iso6391()
}

// vote tells the language of tokens by its small words: at least so many, one
// in sixteen, and clearly more than those of any other. It is empty if that does
// not decide.
func (p *Page) vote(lo, hi, least int) (winner spoken) {
	votes := make([]int, len(languages))
	for i := lo; i < hi; i++ {
		if !signalKeys[p.scan.Tokens[i].Key()] {
			continue
		}
		if found := signalWords[p.scan.Folded(i)]; found&(english|otherLanguage|alike) != 0 {
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
	if votes[best] < least || votes[best]*voteShare < hi-lo || votes[best] < 2*second && votes[best] < second+clearVotes {
		return spoken{}
	}
	return languages[best]
}

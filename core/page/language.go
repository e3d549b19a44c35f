package page

import (
	"strings"

	"inktally/core/text"

	"github.com/abadojack/whatlanggo"
)

const (
	foreignWords = 12  // words of a block whose language can be told
	foreignTries = 6   // blocks of a page whose language is told: it is slow
	foreignBytes = 240 // of a block that are looked at
	commonShare  = 10  // at least one word in so many is a common one in any text
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
func (p *Page) mayBeForeign(s signs, words int) bool {
	if text.English(p.Lang) {
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
func (p *Page) foreign(s string) bool {
	if len(s) > foreignBytes {
		s = strings.ToValidUTF8(s[:foreignBytes], "")
	}
	own, _, _ := strings.Cut(strings.ToLower(p.Lang), "-")
	info := whatlanggo.DetectWithOptions(s, told)
	found := info.Lang.Iso6391()
	return own != "" && info.IsReliable() && found != "" && found != own
}

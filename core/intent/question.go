package intent

import (
	"slices"
	"strings"
)

// asks returns why a phrase is a question or one of somebody who wants to know;
// without a code it is neither.
func (j *Judge) asks(typed string, words []word, about about) Reason {
	if strings.HasSuffix(strings.TrimSpace(typed), "?") {
		return Reason{AsksQuestion, []string{"?"}}
	}
	if len(words) > 0 && j.question[words[0].stem] && !j.seeksFirm(words) {
		return Reason{AsksQuestion, []string{words[0].text}}
	}
	if j.compares(words, about) {
		return Reason{Code: Compares}
	}
	for _, l := range j.research {
		at := index(words, l.words)
		if at < 0 || priceWords[l.text] && j.unpriced(words[:at]) {
			continue // low cost, no call out fee
		}
		return Reason{WantsToKnow, []string{l.text}}
	}
	return j.inTrouble(words, about)
}

// priceWords are words of prices; after no, free, low, fixed they are none of research.
var priceWords = map[string]bool{"cost": true, "price": true, "pricing": true, "rate": true, "fee": true,
	"charge": true}

// offeredPrices are what a firm says of its prices, as no customer asks for them.
var offeredPrices = map[string]bool{"no": true, "low": true, "upfront": true, "fixed": true, "flat": true,
	"fair": true, "honest": true, "transparent": true}

// unpricedWithin is how many words before a price one says that there is none.
const unpricedWithin = 3

// unpriced reports whether words that stand before one of a price say that there is none, or what it is like.
func (j *Judge) unpriced(before []word) bool {
	return slices.ContainsFunc(before[max(0, len(before)-unpricedWithin):], func(w word) bool {
		return offeredPrices[w.text] || freeWords[w.text]
	})
}

// inTrouble reports whether a phrase says what is wrong with a thing of the client's,
// and asks for nothing that is offered: a leaking chimney. A leaking chimney
// repair is no question.
func (j *Judge) inTrouble(words []word, about about) Reason {
	if len(about.thing) == 0 {
		return Reason{}
	}
	asked, _ := j.asked(words, about.thing)
	if about.whole && len(asked) > 0 {
		return Reason{}
	}
	for _, l := range j.trouble {
		if at := index(words, l.words); at >= 0 && !j.typed[words[at].text] {
			return Reason{NamesTrouble, []string{l.text}}
		}
	}
	return Reason{}
}

// seeksFirm reports whether a question is that of somebody who looks for a firm here: who sweeps
// chimneys near me, where can I get gutters cleaned in a town that is served.
func (j *Judge) seeksFirm(words []word) bool {
	return (words[0].text == "who" || words[0].text == "where") && slices.ContainsFunc(words, word.taken)
}

// compares reports whether a phrase asks for the best of something for something: the best brush
// for a chimney, the best time to sweep one. The best of a service is none.
func (j *Judge) compares(words []word, about about) bool {
	at := slices.IndexFunc(words, func(w word) bool { return w.text == "best" })
	if at < 0 || at+1 == len(words) {
		return false
	}
	rest := texts(words[at+1:])
	asked, doers := j.asked(words, about.thing)
	hired := about.whole && len(asked)+len(doers) > 0
	return (slices.Contains(rest, "for") || slices.Contains(rest, "to")) && !(hired && j.service[words[at+1].stem])
}

package intent

import (
	"slices"

	"inktally/core/lexicon"
	"inktally/core/tie"
)

// ofMaker lets a maker stand for the thing where an act that is offered stands
// beside it: a repair of that maker's goods.
func (j *Judge) ofMaker(words []word, subject about) about {
	if j.judged(words, MakerWord) == "" || subject.whole {
		return subject
	}
	asked, doers := j.asked(words, subject.thing)
	if len(asked) == 0 && slices.ContainsFunc(words, func(w word) bool { return contactWords[w.singular] }) {
		return subject
	}
	for _, f := range j.forms {
		if slices.ContainsFunc(asked, func(a askedAct) bool { return slices.Contains(f.acts, a.act) }) ||
			len(doers) > 0 && len(asked) == 0 && len(f.acts) > 0 {
			subject.service, subject.whole, subject.refused, subject.alone = f.service, true, "", false
			return subject
		}
	}
	return subject
}

// contactWords stand beside a maker's name where it is the maker that is sought.
var contactWords = map[string]bool{"number": true, "support": true, "contact": true, "customer": true, "helpline": true,
	"hotline": true, "login": true, "address": true, "email": true, "center": true, "centre": true,
	"headquarters": true}

// likelyMaker returns the word that may be a maker's: the only one that nothing is known of, none of the
// language, right before an act that is offered, where no thing is named.
func (j *Judge) likelyMaker(words []word, about about) string {
	if len(about.thing) > 0 || about.whole {
		return ""
	}
	maker := ""
	for i, w := range words {
		if !w.unknown() {
			continue
		}
		if maker != "" || lexicon.English(w.text) || i+1 == len(words) || j.isSlip(w.text) {
			return ""
		}
		a, n := j.acts.actOf([]string{words[i+1].stem})
		if n == 0 || a == anyWork || !j.doesAct(a) {
			return ""
		}
		maker = w.text
	}
	return maker
}

// isSlip reports whether a word is one letter away from a word of a service.
func (j *Judge) isSlip(word string) bool {
	for own := range j.typed {
		if tie.IsSlip(word, own) {
			return true
		}
	}
	return false
}

// doesAct reports whether some service does an act.
func (j *Judge) doesAct(a act) bool {
	for _, done := range j.done {
		if slices.Contains(done, a) {
			return true
		}
	}
	return false
}

package intent

import (
	"slices"

	"inktally/core/lexicon"
	"inktally/core/place"
	"inktally/core/text"
)

// firmName is the name of the client or a rival, by the words of it that may be
// told by: none that is a service, a place, the trade or a word of many names.
type firmName struct {
	words []string
	// whole are all words of the name, but for what it ends in: Rook Locksmiths Ltd.
	whole []string
}

// names knows the words of firms' names.
type names struct {
	// telling are words that name a firm by themselves, ordinary ones of the
	// language that need another word of the same name beside them.
	telling  map[string]bool
	ordinary map[string][]int // by word: the names that hold it
	firms    []firmName
}

// learnNames makes brand words of the words of names that are neither of the
// services, nor of places, nor of the trade, nor of many names.
func (j *Judge) learnNames(g Ground) {
	j.names = names{telling: map[string]bool{}, ordinary: map[string][]int{}}
	skip := map[string]bool{}
	for _, t := range text.Tokens(g.Trade) {
		skip[j.lang.Stem(t)] = true
	}
	for _, name := range g.Names {
		var firm firmName
		at := len(j.names.firms)
		for _, t := range j.withoutPlaces(text.Tokens(name)) {
			stem := j.lang.Stem(t)
			if len(t) < 2 || j.lang.Small(t) || j.service[stem] || j.isAct(stem) {
				continue
			}
			w := singular(t)
			firm.words = append(firm.words, w)
			if skip[stem] || j.ordinary[stem] {
				continue // it may stand beside another one, and tells nothing by itself
			}
			if lexicon.English(t) {
				j.names.ordinary[w] = append(j.names.ordinary[w], at)
			} else {
				j.names.telling[w] = true
			}
		}
		firm.whole = j.wholeName(name)
		j.names.firms = append(j.names.firms, firm)
	}
}

// wholeName returns the words of a name as phrases have them, without a legal ending.
func (j *Judge) wholeName(name string) (whole []string) {
	for _, t := range j.lang.Reads(text.Tokens(name)) {
		whole = append(whole, singular(t))
	}
	if n := len(whole) - 1; n > 0 && (legalEndings[whole[n]] || whole[n] == "co") {
		whole = whole[:n]
	}
	return whole
}

func (j *Judge) isAct(stem string) bool {
	_, n := j.acts.actOf([]string{stem})
	return n > 0
}

// withoutPlaces takes the client's places, and the states that follow them, out
// of the tokens of a name.
func (j *Judge) withoutPlaces(tokens []string) []string {
	for _, p := range j.lang.Places {
		for _, form := range append(p.Forms(), p.StateForms()...) {
			if at := place.Index(tokens, form); at >= 0 {
				tokens = slices.Concat(tokens[:at], tokens[at+len(form):])
			}
		}
	}
	return tokens
}

// brand returns the word of a phrase that names a firm, empty for none.
func (j *Judge) brand(words []word) string {
	for _, w := range words {
		if w.taken() || w.verdict != "" || j.service[w.stem] {
			continue
		}
		if j.names.telling[w.singular] {
			return w.text
		}
		for _, at := range j.names.ordinary[w.singular] {
			if firm := j.names.firms[at]; j.hasOther(words, firm, w) || !j.hiring[w.text] && isNamed(words, firm) {
				return w.text
			}
		}
	}
	return ""
}

// hasOther reports whether another word of a name stands in a phrase too.
func (j *Judge) hasOther(words []word, firm firmName, beside word) bool {
	return slices.ContainsFunc(words, func(w word) bool {
		return !w.taken() && w.singular != beside.singular && slices.Contains(firm.words, w.singular)
	})
}

// isNamed reports whether the whole name of a firm stands in a phrase.
func isNamed(words []word, firm firmName) bool {
	for lo := 0; len(firm.whole) > 1 && lo+len(firm.whole) <= len(words); lo++ {
		if slices.EqualFunc(words[lo:lo+len(firm.whole)], firm.whole,
			func(w word, name string) bool { return w.singular == name }) {
			return true
		}
	}
	return false
}

// IsOwnName reports whether a phrase is a search for the client's own name, the first of the names: it has every word
// that the client is told by, and none but words of the name, of places and small ones (rule 13.3).
func (j *Judge) IsOwnName(typed string) bool {
	if len(j.names.firms) == 0 || len(j.names.firms[0].words) == 0 || j.Of(typed).Intent != Brand {
		return false
	}
	firm, has := j.names.firms[0], map[string]bool{}
	for _, t := range j.withoutPlaces(j.lang.Reads(text.Tokens(typed))) {
		w := singular(t)
		if has[w] = true; !j.lang.Small(t) && !slices.Contains(firm.whole, w) && !legalEndings[w] {
			return false
		}
	}
	return !slices.ContainsFunc(firm.words, func(w string) bool { return !has[w] })
}

// legalEndings make a firm's name of whatever stands before them (rule 3.6).
var legalEndings = map[string]bool{"llc": true, "ltd": true, "inc": true, "pty": true, "plc": true, "gmbh": true,
	"sarl": true, "limited": true, "corp": true, "incorporated": true}

// namedCo reports whether a phrase is a name that ends in co: a place, what is done, co.
func (j *Judge) namedCo(words []word) bool {
	n := len(words) - 1
	return words[n].text == "co" && n > 1 && words[0].role == ownPlace &&
		(j.service[words[n-1].stem] || j.isAct(words[n-1].stem))
}

// ending returns the ending of a firm's name that a phrase has beside a word that
// nothing is known of; empty for none.
func (j *Judge) ending(words []word) string {
	if n := len(words) - 1; n > 0 && (legalEndings[words[n].text] || j.namedCo(words)) {
		return words[n].text
	}
	if !slices.ContainsFunc(words, word.unknown) {
		return ""
	}
	for _, e := range j.endings {
		for i := range words {
			if i > 0 && startsWith(words[i:], e) && (len(e) > 1 || !words[i].taken()) {
				return words[i].text
			}
		}
	}
	return ""
}

func startsWith(words []word, tokens []string) bool {
	if len(words) < len(tokens) || len(tokens) == 0 {
		return false
	}
	for i, t := range tokens {
		if words[i].text != t {
			return false
		}
	}
	return true
}

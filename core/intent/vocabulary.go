package intent

import (
	"hash/maphash"
	"slices"
	"strings"
	"sync"

	"inktally/core/phrase"
	"inktally/core/text"
)

// vocabulary are the lists of words as they are looked up. It depends on them and
// the language alone, so that the clients that share them share it; it is never
// changed.
type vocabulary struct {
	known    map[string]bool // by stem: words that stand in some list
	question map[string]bool // by stem
	generic  map[string]bool // by stem
	ordinary map[string]bool // by stem: words of many names, and their endings
	firm     map[string]bool // by stem: words for a firm
	hiring   map[string]bool // single words of hiring that are spelled like an act, as they are written
	acts     acts
	endings  [][]string

	research, trouble, hire, near, goods, aside []listed
}

// listed is an entry of a list, its words in the singular: an installer is no
// installation, so that stems would say too much.
type listed struct {
	text  string
	words []string
}

// vocabularies are those that were made, by what they were made of.
var vocabularies = struct {
	sync.Mutex
	seed maphash.Seed
	made map[uint64]*vocabulary
}{seed: maphash.MakeSeed(), made: map[uint64]*vocabulary{}}

// mostVocabularies bounds how many are kept.
const mostVocabularies = 32

// vocabularyOf returns the vocabulary of lists, made once.
func vocabularyOf(lang phrase.Language, lists Lists) *vocabulary {
	var h maphash.Hash
	h.SetSeed(vocabularies.seed)
	_, _ = h.WriteString(lang.Tag)
	for _, list := range lists.all() {
		_ = h.WriteByte(0)
		for _, entry := range *list {
			_, _ = h.WriteString(entry)
			_ = h.WriteByte(1)
		}
	}
	key := h.Sum64()
	vocabularies.Lock()
	defer vocabularies.Unlock()
	if v, ok := vocabularies.made[key]; ok {
		return v
	}
	if len(vocabularies.made) >= mostVocabularies {
		clear(vocabularies.made)
	}
	v := newVocabulary(text.StemmerFor(lang.Tag), lists)
	vocabularies.made[key] = v
	return v
}

func newVocabulary(stem text.Stemmer, lists Lists) *vocabulary {
	v := &vocabulary{known: map[string]bool{}, question: map[string]bool{}, generic: map[string]bool{},
		ordinary: map[string]bool{}, firm: map[string]bool{}, hiring: map[string]bool{}}
	v.acts = newActs(stem, lists, v.known)
	list := func(entries []string) []listed { return v.list(stem, entries) }
	v.research, v.trouble, v.hire = list(lists.Research), list(lists.Trouble), list(lists.Hire)
	v.near, v.goods, v.aside = list(lists.Near), list(lists.Goods), list(lists.Elsewhere)
	for _, l := range v.hire {
		if len(l.words) == 1 {
			v.hiring[l.text] = true
		}
	}
	slices.SortStableFunc(v.near, func(a, b listed) int { return len(b.words) - len(a.words) })
	for _, e := range list(lists.Endings) {
		v.endings = append(v.endings, text.Tokens(e.text))
	}
	learn := func(entries []string, more ...map[string]bool) {
		for _, entry := range entries {
			for _, t := range text.Tokens(entry) {
				s := stem(t)
				v.known[s] = true
				for _, set := range more {
					set[s] = true
				}
			}
		}
	}
	learn(pronouns)
	learn(lists.Generic, v.generic, v.ordinary)
	learn(lists.Ordinary, v.ordinary)
	learn(lists.Endings, v.ordinary)
	learn(lists.Question, v.question)
	learn(firmWords, v.firm)
	return v
}

// list prepares a list; its words are known ones.
func (v *vocabulary) list(stem text.Stemmer, entries []string) []listed {
	out := make([]listed, 0, len(entries))
	for _, e := range entries {
		l := listed{text: e}
		for _, t := range text.Tokens(e) {
			v.known[stem(t)] = true
			l.words = append(l.words, singular(t))
		}
		if len(l.words) > 0 {
			out = append(out, l)
		}
	}
	return out
}

// firmWords are words for a firm: whoever types one wants to hire it.
var firmWords = []string{"company", "contractor", "firm", "entreprise", "entrepreneur", "société", "compagnie", "firma",
	"unternehmen", "betrieb", "empresa", "compañía", "contratista"}

// pronouns and the like say nothing of what is searched for.
var pronouns = strings.Fields(
	"i you it my me we they this that these those no so if as but be been get getting got need want make go there " +
		"here it's own every someone anyone somebody")

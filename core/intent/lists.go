package intent

import (
	"slices"

	"inktally/core/lexicon"
	"inktally/core/text"
)

// Lists are the words that intents are told by (rule 3.6). They are part of
// the yardstick and can be edited. Entries may be of several words.
type Lists struct {
	// Question are words that begin a question.
	Question []string
	// Research are words of somebody who wants to know, not to hire.
	Research []string
	// Trouble are words for what is wrong with a thing.
	Trouble []string
	// Hire are words of somebody who is ready to hire, Doers those for who does
	// the work, and for work of any kind: company, engineer, service.
	Hire, Doers []string
	// Near are the ways to ask for what is close to the searcher.
	Near []string
	// Acts are what can be done with a thing: the words of one act parted by
	// commas, its noun first (installation, install, installer).
	Acts []string
	// Goods are words of somebody who buys goods, looks for work, a permit or a
	// course: such a phrase is not offered.
	Goods []string
	// Generic are words that say nothing of what is offered: residential, work.
	Generic []string
	// Small are small words beside those of the language.
	Small []string
	// Elsewhere are places that the client does not serve.
	Elsewhere []string
	// Endings are those of the names of firms, Ordinary words that stand in such
	// names and make no brand.
	Endings, Ordinary []string
}

// all returns the lists, to go through them.
func (l *Lists) all() []*[]string {
	return []*[]string{&l.Question, &l.Research, &l.Trouble, &l.Hire, &l.Doers, &l.Near, &l.Acts, &l.Goods, &l.Generic,
		&l.Small, &l.Elsewhere, &l.Endings, &l.Ordinary}
}

// Each returns the lists with each of them changed.
func (l Lists) Each(change func(entries []string) []string) Lists {
	for _, list := range l.all() {
		*list = change(*list)
	}
	return l
}

// With returns the lists with the entries of others behind them.
func (l Lists) With(more Lists) Lists {
	other := more.all()
	for i, list := range l.all() {
		*list = slices.Concat(*list, *other[i])
	}
	return l
}

// Merge makes each list of what it was, what it is by now, and what it is to be, which is l's.
func (l Lists) Merge(old, is Lists, merge func(old, is, want []string) []string) Lists {
	before, now := old.all(), is.all()
	for i, list := range l.all() {
		*list = merge(*before[i], *now[i], *list)
	}
	return l
}

// shipped are the lists by language.
var shipped = map[string]func() Lists{"en": EnglishLists, "fr": frenchLists, "de": germanLists, "es": spanishLists}

// ListsFor returns the lists for a language: those that ship, empty ones for others
// until the user fills them.
func ListsFor(lang string) Lists {
	if text.English(lang) {
		return EnglishLists()
	}
	if lists, ok := shipped[text.Base(lang)]; ok {
		return lists()
	}
	return Lists{}
}

// ListsOfServices returns the lists of a client's language and of the others that
// its services are named in beside it: who offers a réparation de toiture
// is asked for it in French.
func ListsOfServices(lang string, services []Service) Lists {
	own := ListsFor(lang)
	for _, other := range []string{"de", "en", "es", "fr"} {
		if other != text.Base(lang) && (other != "en" || lang != "") && namedIn(other, services) {
			own = own.With(shipped[other]())
			own.Small = append(own.Small, text.SmallWords(other)...)
		}
	}
	return own
}

// namedIn reports whether a service is named by an act of a language, in a word that
// is none of English or beside a small word of that language.
func namedIn(lang string, services []Service) bool {
	if lang == "en" {
		return false
	}
	acts := map[string]bool{}
	for _, entry := range shipped[lang]().Acts {
		for _, t := range text.Tokens(entry) {
			acts[t] = true
		}
	}
	small := text.SmallFor(lang)
	for _, s := range services {
		for _, form := range s.Forms() {
			tokens := text.Tokens(form)
			foreign := slices.ContainsFunc(tokens, func(t string) bool {
				return !lexicon.English(t) && (acts[t] || small(t))
			})
			if foreign && slices.ContainsFunc(tokens, func(t string) bool { return acts[t] }) {
				return true
			}
		}
	}
	return false
}

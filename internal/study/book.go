package study

import (
	"context"
	"strings"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/core/tie"
	"inktally/internal/study/topic"
)

// readWith is what the client's phrases are read with: its ties first, then the
// judge that knows them (rule 3.5).
type readWith struct {
	language phrase.Language
	judge    *intent.Judge
	ties     []tie.Tie
	slips    map[string]bool
	searched map[string]string // the families of the phrases that were searched for
}

// Language returns what the client's phrases are read with.
func (k *Known) Language() phrase.Language { return k.readWith().language }

// Judge judges phrases for the client.
func (k *Known) Judge() *intent.Judge { return k.readWith().judge }

// LikelyTies returns the words of the book that may mean the same: those that are made
// by themselves, and those that are proposed.
func (k *Known) LikelyTies() []tie.Tie { return k.readWith().ties }

// Slips are words that are slips of spelling, made or proposed.
func (k *Known) Slips() map[string]bool { return k.readWith().slips }

func (k *Known) readWith() *readWith {
	r, _ := k.read.Get(context.Background(), func(context.Context) (*readWith, error) { return k.learn(), nil })
	return r
}

// learn reads the client's phrases.
func (k *Known) learn() *readWith {
	r := k.learnTies()
	r.searched = map[string]string{}
	for _, l := range k.Lineups {
		r.searched[l.Phrase] = phrase.New(l.Phrase, r.language).Family()
	}
	return r
}

func (k *Known) learnTies() *readWith {
	corrections := k.Corrections()
	plain := phrase.LanguageOf(k.Client.Language, k.Places, corrections)
	ground := k.ground(plain.Remembering())
	r := &readWith{language: plain, judge: intent.NewJudge(ground), slips: map[string]bool{}}
	r.ties = book.Ties(k.Phrases, r.judge, k.Services, k.apart())
	for _, t := range r.ties {
		r.slips[t.Word] = t.Kind == tie.Slip
	}
	for _, w := range k.Words {
		if w.TiedTo != w.Word && tie.IsSlip(w.Word, w.TiedTo) {
			r.slips[w.Word] = true
		}
	}
	certain, guesses := tie.Certain(r.ties), book.Guesses(r.ties)
	if len(certain)+len(guesses) == 0 {
		return r
	}
	for word, means := range book.Read(certain) {
		corrections.Read[word] = means
	}
	r.language = phrase.LanguageOf(k.Client.Language, k.Places, corrections)
	ground = k.ground(r.language.Remembering())
	ground.Guesses = guesses
	r.judge = intent.NewJudge(ground)
	return r
}

// ground returns what the client's intents are told by.
func (k *Known) ground(lang phrase.Language) intent.Ground {
	g := intent.Ground{
		Language: lang, Services: k.Services, Names: append([]string{k.Client.Name}, k.Rivals...),
		Trade:    k.Client.Trade,
		Postcode: k.Client.Postcode, Towns: k.Towns, Lists: k.Lists, Verdicts: map[string]intent.Verdict{},
	}
	for _, w := range k.Words {
		if w.Verdict != "" {
			g.Verdicts[w.Word] = intent.Verdict(w.Verdict)
		}
	}
	return g
}

// apart returns the words that the user wants to be read as they are: those tied to
// themselves, and those that were judged or tied.
func (k *Known) apart() map[string]bool {
	out := map[string]bool{}
	for _, w := range k.Words {
		out[w.Word] = w.TiedTo != "" || w.Verdict != ""
	}
	return out
}

// Ties returns the words that the user has tied as one, each to one other.
func (k *Known) Ties() phrase.Ties {
	groups := map[string]int{}
	out := phrase.Ties{}
	for _, w := range k.Words {
		if w.TiedTo == "" || w.TiedTo == w.Word || strings.Contains(w.TiedTo, " ") {
			continue
		}
		at, ok := groups[w.TiedTo]
		if !ok {
			at = len(out)
			groups[w.TiedTo] = at
			out = append(out, []string{w.TiedTo})
		}
		out[at] = append(out[at], w.Word)
	}
	return out
}

// Corrections returns what the user corrected of words and phrases.
func (k *Known) Corrections() phrase.Corrections {
	c := phrase.Corrections{Ties: k.Ties(), With: map[string]string{}, Small: k.Lists.Small, Near: k.Lists.Near,
		Read: map[string][]string{}}
	for _, p := range k.Phrases {
		if p.With != "" {
			c.With[phrase.Fold(p.Text)] = p.With
		}
	}
	for _, w := range k.Words { // a tie holds for places and intents too, so that it is read before them
		if w.TiedTo != "" && w.TiedTo != w.Word {
			c.Read[w.Word] = text.Tokens(w.TiedTo)
		}
	}
	return c
}

// spoken is all that a client's phrases are read with: what is read with the same is the same.
type spoken struct {
	language    string
	places      []place.Place
	corrections phrase.Corrections
	certain     []tie.Tie
}

func (k *Known) spoken() spoken {
	return spoken{k.Client.Language, k.Places, k.Corrections(), tie.Certain(k.LikelyTies())}
}

// Families returns those of the client's book, with the pages that carry them. It is
// the one source of families and their gains for book, sheet and targets
// (rule 9.1). They are shared: who changes one clones them first.
func (k *Known) Families() []book.Family { return k.worked().families }

// ByKey are they by their keys.
func (k *Known) ByKey() map[string]*book.Family { return k.worked().byKey }

// worked is the client's book as it was worked out.
type worked struct {
	families []book.Family
	byKey    map[string]*book.Family
	topics   topic.Topics
}

func (k *Known) worked() *worked {
	w, _ := k.families.Get(context.Background(), func(context.Context) (*worked, error) {
		in := book.Input{Phrases: k.Phrases, Judge: k.Judge(), Choices: k.Choices, Services: k.Services,
			Home:  k.Home().Name,
			Rules: k.Yardstick.Book, Visits: k.Yardstick.Visits, Customers: k.Client.Customers, Slips: k.Slips()}
		in.Pages = k.bookPages()
		w := &worked{families: book.Families(in)}
		w.byKey, w.topics = book.ByKey(w.families), topic.Of(k.Services, w.families)
		return w, nil
	})
	return w
}

// bookPages returns the client's pages as far as they carry families.
func (k *Known) bookPages() []book.Carrying {
	out := make([]book.Carrying, 0, len(k.Pages))
	for _, p := range k.Pages {
		is := k.surveyed[site.BareAddress(p.URL)]
		out = append(out, book.Carrying{ID: p.ID, URL: p.URL, Kind: p.Kind, Service: p.Service, Place: p.Place,
			First: p.First, Says: is.Says, Copy: is.Copy})
	}
	return out
}

// Members returns the further members of a family's row (rule 9.3).
func (k *Known) Members(f *book.Family) []book.Member {
	return book.MembersOf(f, k.ByKey(), k.Yardstick.Book, k.Slips(), k.Yardstick.Visits.Others)
}

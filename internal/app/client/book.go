package client

import (
	"encoding/json"
	"reflect"
	"strings"

	"inktally/core/book"
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/text"
	"inktally/core/tie"
	"inktally/core/yardstick"
)

// reading is what the client's phrases are read with: its ties first, then the
// judge that knows them (rule 3.5).
type reading struct {
	language phrase.Language
	judge    *intent.Judge
	ties     []tie.Tie
	slips    map[string]bool
}

// Language is what the client's phrases are read with.
func (k *Known) Language() phrase.Language { return k.reading().language }

// Judge judges phrases for the client. It is for one goroutine.
func (k *Known) Judge() *intent.Judge { return k.reading().judge }

// LikelyTies are the words of the book that may mean the same: those that are made
// by themselves, and those that are proposed.
func (k *Known) LikelyTies() []tie.Tie { return k.reading().ties }

// Slips are words that are slips of spelling, made or proposed.
func (k *Known) Slips() map[string]bool { return k.reading().slips }

func (k *Known) reading() *reading {
	if k.read != nil {
		return k.read
	}
	corrections := k.Corrections()
	plain := phrase.LanguageOf(k.Client.Language, k.Places, corrections)
	ground := k.ground(plain.Remembering()) // the judge is for one goroutine, the language for many
	r := &reading{language: plain, judge: intent.NewJudge(ground), slips: map[string]bool{}}
	r.ties = book.Ties(k.Phrases, r.judge, k.Services, k.apart())
	for _, t := range r.ties {
		r.slips[t.Word] = t.Kind == tie.Slip
	}
	for _, w := range k.Words {
		if w.TiedTo != w.Word && tie.IsSlip(w.Word, w.TiedTo) {
			r.slips[w.Word] = true
		}
	}
	k.read = r
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

// ground is what the client's intents are told by.
func (k *Known) ground(lang phrase.Language) intent.Ground {
	g := intent.Ground{
		Language: lang, Services: k.Services, Names: append([]string{k.Client.Name}, k.Rivals...), Trade: k.Client.Trade,
		Postcode: k.Client.Postcode, Towns: k.Towns, Lists: k.Lists, Verdicts: map[string]intent.Verdict{},
	}
	for _, w := range k.Words {
		if w.Verdict != "" {
			g.Verdicts[w.Word] = intent.Verdict(w.Verdict)
		}
	}
	return g
}

// apart are the words that the user wants to be read as they are: those tied to
// themselves, and those that were judged or tied.
func (k *Known) apart() map[string]bool {
	out := map[string]bool{}
	for _, w := range k.Words {
		out[w.Word] = w.TiedTo != "" || w.Verdict != ""
	}
	return out
}

// Ties are the words that the user has tied as one, each to one other.
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

// Corrections are what the user corrected of words and phrases.
func (k *Known) Corrections() phrase.Corrections {
	c := phrase.Corrections{Ties: k.Ties(), With: map[string]string{}, Small: k.Lists.Small, Near: k.Lists.Near, Read: map[string][]string{}}
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

// ReadWith names all that the client's phrases are read with: what is read with the same
// words is the same.
func (k *Known) ReadWith() string {
	raw, err := json.Marshal([]any{k.Client.ID, k.Client.Language, k.Places, k.Corrections(), tie.Certain(k.LikelyTies())})
	if err != nil {
		return ""
	}
	return string(raw)
}

// Families are those of the client's book, with the pages that carry them. It is
// the one source of families and their gains for book, sheet and targets
// (rule 9.1).
func (k *Known) Families() []book.Family {
	in := book.Input{Phrases: k.Phrases, Judge: k.Judge(), Choices: k.Choices, Services: k.Services, Home: k.Home().Name,
		Rules: k.Yardstick.Book, Visits: k.Yardstick.Visits, Customers: k.Client.Customers, Slips: k.Slips()}
	in.Pages = k.bookPages()
	return book.Families(in)
}

// AllFamilies are the families as they were when they were first asked for.
func (k *Known) AllFamilies() []book.Family {
	if k.families == nil {
		k.families = k.Families()
	}
	return k.families
}

// As is what is known with the figures of another yardstick. Families stay what they are
// where none of their figures is another.
func (k *Known) As(y yardstick.Yardstick) *Known {
	out := *k
	out.Yardstick = y
	if !reflect.DeepEqual(y.Book, k.Yardstick.Book) || !reflect.DeepEqual(y.Visits, k.Yardstick.Visits) {
		out.families = nil
	}
	return &out
}

// bookPages are the client's pages as far as they carry families.
func (k *Known) bookPages() []book.Page {
	out := make([]book.Page, 0, len(k.Pages))
	for _, p := range k.Pages {
		out = append(out, book.Page{ID: p.ID, Kind: p.Kind, Service: p.Service, Place: p.Place})
	}
	return out
}

// Members are the further members of a family's row (rule 9.3).
func (k *Known) Members(f *book.Family, byKey map[string]*book.Family) []book.Member {
	return book.MembersOf(f, byKey, k.Yardstick.Book, k.Slips(), k.Yardstick.Visits.Others)
}

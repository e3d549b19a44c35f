package book

import (
	"inktally/core/intent"
	"inktally/core/text"
	"inktally/core/tie"
)

// Ties returns the words of a book that may mean the same (rule 3.5), by the judge of
// its client before any of them is made. Words in apart are read as they are.
func Ties(phrases []Phrase, judge *intent.Judge, services []intent.Service, apart map[string]bool) []tie.Tie {
	lang := judge.Language()
	in := tie.Input{Stem: lang.Stem, English: lang.English, Known: judge.Known, Act: judge.Act, Town: judge.Town,
		Apart: apart}
	for _, p := range phrases {
		one := tie.Searched{Tokens: text.Tokens(p.Text)}
		if p.Volume != nil {
			one.Searches = *p.Volume
		}
		in.Phrases = append(in.Phrases, one)
	}
	for _, s := range services {
		for _, form := range s.Forms() {
			in.Own = append(in.Own, text.Tokens(form))
		}
	}
	for _, p := range lang.Places {
		in.Own = append(in.Own, p.Forms()...)
	}
	return tie.Find(in)
}

// Read are ties as they go into what phrases are read with.
func Read(ties []tie.Tie) map[string][]string {
	read := make(map[string][]string, len(ties))
	for _, t := range ties {
		read[t.Word] = t.Means
	}
	return read
}

// Guesses returns the slips, degrees and short forms that are proposed: what they stand in
// is judged by what is meant, before they are made.
func Guesses(ties []tie.Tie) map[string]string {
	slips := map[string]string{}
	for _, t := range ties {
		if !t.Certain && len(t.Means) == 1 && t.Kind != tie.Doer {
			slips[t.Word] = t.Means[0]
		}
	}
	return slips
}

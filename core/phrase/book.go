package phrase

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/visits"
)

// BookPhrase is a phrase of a phrase book with what is known of its search.
type BookPhrase struct {
	ID   int64  `json:"id"`
	Text string `json:"text"`
	// Volume is searches a month, Difficulty 0 to 100, Position today's; null
	// where it is not known.
	Volume     *int `json:"volume" doc:"Searches a month"`
	Difficulty *int `json:"difficulty" doc:"0 to 100"`
	Position   *int `json:"position" doc:"Where the client stands"`
	// With is the phrase with whose family the user put it, itself where it
	// stands alone; empty where the rule decides.
	With string `json:"with" doc:"The phrase with whose family the user put it, itself where it stands alone"`
}

// FamilyChoice is what the user said of a family.
type FamilyChoice struct {
	// State is "kept" or "aside", empty where the rules decide.
	State  string `json:"state" enum:",kept,aside"`
	Reason string `json:"reason" maxLength:"200"`
	// Lead is the text of the member that is to lead, empty for the rule's.
	Lead string `json:"lead" maxLength:"200"`
}

// BookFamily is a family of a phrase book (MEASURES 3.5).
type BookFamily struct {
	// Key names the family; it is the same as long as its words are.
	Key string `json:"key"`
	// Members are its phrases, the lead first.
	Members []BookPhrase `json:"members" doc:"The phrases, the lead first"`
	Told
	visits.Estimate
	// Difficulty is the lead's, else the least of the others'.
	Difficulty *int `json:"difficulty"`
	Position   *int `json:"position"`
	// NearMiss tells a family well within reach; where its page was read, one
	// whose page lacks the exact lead (MEASURES 3.9).
	NearMiss bool         `json:"near_miss" doc:"Position 11 to 30 or of low difficulty, and its page lacks the exact lead"`
	Choice   FamilyChoice `json:"choice"`
	// Kept tells whether it is worth writing for: by rule, or as the user says.
	Kept bool `json:"kept"`
}

// Rules are what families are estimated by.
type Rules struct {
	Visits visits.Rules
	// Customers are those who come of a hundred visits, 0 where that is not
	// known.
	Customers float64
}

const (
	nearMissFrom, nearMissTo = 11, 30
	nearMissDifficulty       = 25 // (Y)
)

// Book groups entries into families and judges each, the kept ones first, by
// gain (MEASURES 3.5 to 3.9, 7).
func Book(entries []BookPhrase, s *Sorter, rules Rules, choices map[string]FamilyChoice) []BookFamily {
	phrases := make([]Phrase, len(entries))
	for i, e := range entries {
		phrases[i] = New(e.Text, s.lang)
	}
	families := make([]BookFamily, 0, len(entries))
	for _, f := range Families(phrases) {
		b := BookFamily{Key: phrases[f.Members[0]].key}
		b.Choice = choices[b.Key]
		for _, m := range f.Members {
			b.Members = append(b.Members, entries[m])
		}
		b.lead()
		b.judge(s, rules)
		families = append(families, b)
	}
	slices.SortStableFunc(families, func(a, b BookFamily) int {
		if a.Kept != b.Kept {
			return cmp.Compare(boolInt(b.Kept), boolInt(a.Kept))
		}
		return cmp.Or(cmp.Compare(b.Gain, a.Gain), cmp.Compare(b.Volume, a.Volume), strings.Compare(a.Members[0].Text, b.Members[0].Text))
	})
	return families
}

func boolInt(b bool) int {
	if b {
		return 1
	}
	return 0
}

// lead puts the lead first: the one that the user chose, else the one with the
// highest volume, then the shortest, then the first.
func (b *BookFamily) lead() {
	slices.SortStableFunc(b.Members, func(x, y BookPhrase) int {
		return cmp.Or(cmp.Compare(boolInt(y.Text == b.Choice.Lead), boolInt(x.Text == b.Choice.Lead)),
			cmp.Compare(figure(y.Volume), figure(x.Volume)), cmp.Compare(len(x.Text), len(y.Text)), strings.Compare(x.Text, y.Text))
	})
}

// Estimate tells what a family of phrases brings, in whatever order they are
// (MEASURES 7.3, 7.4).
func Estimate(members []BookPhrase, rules visits.Rules) visits.Estimate {
	b := BookFamily{Members: slices.Clone(members)}
	b.lead()
	b.estimate(rules)
	return b.Estimate
}

// estimate works out what a family brings, its lead first.
func (b *BookFamily) estimate(rules visits.Rules) {
	var members []visits.Member
	for _, e := range b.Members {
		m := visits.Member{Volume: e.Volume}
		if e.Position != nil {
			m.Position = *e.Position
			if b.Position == nil || *e.Position < *b.Position {
				b.Position = e.Position
			}
		}
		if e.Difficulty != nil && (b.Difficulty == nil || *e.Difficulty < *b.Difficulty) {
			b.Difficulty = e.Difficulty
		}
		members = append(members, m)
	}
	if len(b.Members) > 0 && b.Members[0].Difficulty != nil {
		b.Difficulty = b.Members[0].Difficulty
	}
	b.Estimate = rules.Family(members, b.Difficulty)
}

func (b *BookFamily) judge(s *Sorter, rules Rules) {
	b.Told = s.Tell(b.Members[0].Text)
	b.estimate(rules.Visits)
	b.Estimate = b.InMoney(rules.Customers, s.jobs[b.Service])
	b.NearMiss = b.Intent == Hire && (b.Position != nil && *b.Position >= nearMissFrom && *b.Position <= nearMissTo ||
		b.Difficulty != nil && *b.Difficulty <= nearMissDifficulty)
	switch b.Choice.State {
	case "kept":
		b.Kept = true
	case "aside":
		b.Kept = false
	default:
		b.Kept = b.Intent == Hire
	}
}

// Patterns are how candidates are made: S a word for a service, P a place, ST
// and State its state (MEASURES 3.7).
var Patterns = []string{"S P", "P S", "S in P", "S P ST", "S P State", "S company P", "S contractor P", "S near me", "best S P", "emergency S P", "affordable S P"}

// Candidates makes phrases of services, places and patterns, each once.
func Candidates(services []Service, lang Language, patterns []string, states func(state string) (abbreviation, name string)) []string {
	var out []string
	seen := map[string]bool{}
	for _, service := range services {
		for _, form := range service.Forms() {
			for _, p := range lang.Places {
				short, long := states(p.State)
				for _, pattern := range patterns {
					if strings.Contains(pattern, "ST") && short == "" || strings.Contains(pattern, "State") && long == "" {
						continue
					}
					words := strings.Fields(pattern)
					for i, w := range words {
						switch w {
						case "S":
							words[i] = form
						case "P":
							words[i] = p.Name
						case "ST":
							words[i] = short
						case "State":
							words[i] = long
						}
					}
					if c := strings.ToLower(strings.Join(words, " ")); !seen[c] {
						seen[c] = true
						out = append(out, c)
					}
				}
			}
		}
	}
	return out
}

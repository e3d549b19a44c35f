package book

import (
	"encoding/csv"
	"encoding/json"
	"flag"
	"maps"
	"os"
	"slices"
	"strconv"
	"strings"
	"testing"

	"inktally/core/gazetteer"
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/tie"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// explain lists what was told wrong.
var explain = flag.Bool("explain", false, "list what was told wrong")

// labelledPhrase is a phrase of a list that a person labelled.
type labelledPhrase struct {
	text   string
	volume int
	hire   bool
	label  string
	family int // phrases with the same number mean the same search
	slip   bool
	// service is the one that it asks for, empty where that was not labelled.
	service string
}

// trial is a list with what is known of its client.
type trial struct {
	name     string
	ground   intent.Ground
	phrases  []labelledPhrase
	verdicts map[string]string // by word: what a consultant would answer
	language string
	places   []place.Place
	ties     map[string][]string // that the consultant made
	// untied makes no ties, unguessed judges slips as they stand.
	untied, unguessed bool
}

func loadTrial(t *testing.T, name string) trial {
	var known struct {
		Language, Trade, Postcode string
		Names                     []string
		Places                    []place.Place
		Services                  []intent.Service
		Verdicts                  map[string][]string
	}
	raw, err := os.ReadFile("../intent/testdata/" + name + ".json")
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &known))
	out := trial{name: name, verdicts: map[string]string{}, ground: intent.Ground{
		Trade: known.Trade, Postcode: known.Postcode, Towns: gazetteer.World(), Names: known.Names,
		Services: known.Services,
		Lists:    intent.ListsOfServices(known.Language, known.Services), Verdicts: map[string]intent.Verdict{},
	}, language: known.Language, places: known.Places, ties: map[string][]string{}}
	for verdict, words := range known.Verdicts {
		for _, w := range words {
			out.verdicts[w] = verdict
		}
	}
	f, err := os.Open("../intent/testdata/" + name + ".csv")
	require.NoError(t, err)
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	require.NoError(t, err)
	at := func(r []string, column string) string {
		if i := slices.Index(rows[0], column); i >= 0 {
			return r[i]
		}
		return ""
	}
	for i, r := range rows[1:] {
		p := labelledPhrase{text: r[0], label: at(r, "label"), hire: at(r, "label") == "hire",
			slip: at(r, "slip") != "", family: -i, service: at(r, "service")}
		p.volume, _ = strconv.Atoi(at(r, "volume"))
		if family, err := strconv.Atoi(at(r, "family")); err == nil {
			p.family = family
		}
		out.phrases = append(out.phrases, p)
	}
	return out
}

// score is how well a book agrees with a list.
type score struct{ precision, recall, pairPrecision, pairRecall, slips, services float64 }

func (tr trial) score(t *testing.T, families []Family) score {
	services := map[string]string{}
	kept, key, told1 := map[string]bool{}, map[string]string{}, map[string]intent.Intent{}
	for _, f := range families {
		for _, m := range f.Members {
			services[m.Text] = f.Service
			kept[m.Text], key[m.Text], told1[m.Text] = f.Kept, f.Key, f.Intent
		}
	}
	if *explain {
		confusion := map[string]map[intent.Intent]int{}
		for _, p := range tr.phrases {
			if confusion[p.label] == nil {
				confusion[p.label] = map[intent.Intent]int{}
			}
			confusion[p.label][told1[p.text]]++
			if p.label != "hire" && string(told1[p.text]) != strings.ReplaceAll(p.label, " ", "_") {
				t.Logf("%s: %s is %s", p.text, p.label, told1[p.text])
			}
		}
		t.Log(tr.name, confusion)
	}
	var found, should, both, slips, joined float64
	wrong := map[string][]string{}
	ofFamily := map[int][]string{}
	for _, p := range tr.phrases {
		is := kept[p.text]
		found += float64(boolInt(is))
		should += float64(boolInt(p.hire))
		both += float64(boolInt(is && p.hire))
		if is != p.hire {
			wrong[p.label] = append(wrong[p.label], p.text)
		}
		if !p.slip {
			ofFamily[p.family] = append(ofFamily[p.family], p.text)
		}
	}
	asked, right := 0.0, 0.0
	var otherwise []string
	for _, p := range tr.phrases {
		if p.service == "" || !kept[p.text] {
			continue
		}
		asked++
		right += float64(boolInt(services[p.text] == p.service))
		if services[p.text] != p.service {
			otherwise = append(otherwise, p.text+": "+services[p.text])
		}
	}
	var pairsTold, pairsShould, pairsBoth float64
	var apart, false1 []string
	for i, a := range tr.phrases {
		if a.slip {
			slips++
			for _, right := range ofFamily[a.family] {
				if key[right] == key[a.text] {
					joined++
					break
				}
			}
		}
		for _, b := range tr.phrases[:i] {
			same, one := key[a.text] == key[b.text], a.family == b.family
			pairsTold += float64(boolInt(same))
			pairsShould += float64(boolInt(one))
			pairsBoth += float64(boolInt(same && one))
			if one && !same {
				apart = append(apart, b.text+" / "+a.text)
			}
			if same && !one {
				false1 = append(false1, b.text+" / "+a.text)
			}
		}
	}
	if *explain {
		for label, list := range wrong {
			t.Logf("%s, %s: %d, such as %s", tr.name, label, len(list), strings.Join(list[:min(len(list), 60)], " | "))
		}
		t.Logf("%s, of another service: %s", tr.name, strings.Join(otherwise, " | "))
		t.Logf("%s, apart: %d, such as %s", tr.name, len(apart), strings.Join(apart[:min(len(apart), 40)], " | "))
		t.Logf("%s, wrongly one: %d, such as %s", tr.name, len(false1),
			strings.Join(false1[:min(len(false1), 20)], " | "))
	}
	return score{both / found, both / should, pairsBoth / pairsTold, pairsBoth / pairsShould, joined / slips,
		right / max(1, asked)}
}

// book makes the book of a list: first the ties that are certain, then families.
func (tr trial) book() (families []Family, proposed []tie.Tie) {
	var phrases []Phrase
	for i, p := range tr.phrases {
		phrases = append(phrases, Phrase{ID: int64(i + 1), Text: p.text, Volume: &p.volume})
	}
	g := tr.ground
	corrections := phrase.Corrections{Small: g.Lists.Small, Near: g.Lists.Near, Read: maps.Clone(tr.ties)}
	g.Language = phrase.LanguageOf(tr.language, tr.places, corrections)
	ties := Ties(phrases, intent.NewJudge(g), g.Services, nil)
	if !tr.untied {
		maps.Copy(corrections.Read, Read(tie.Certain(ties)))
	}
	if !tr.unguessed {
		g.Guesses = Guesses(ties)
	}
	g.Language = phrase.LanguageOf(tr.language, tr.places, corrections)
	return Families(Input{Phrases: phrases, Judge: intent.NewJudge(g), Services: g.Services, Home: tr.places[0].Name,
		Rules: StandardRules(), Visits: visits.Standard()}), ties
}

// consult answers for the words that decide about the most gain, one after
// another, as a consultant would, and makes the ties that are proposed.
func (tr trial) consult(verdicts int) (families []Family) {
	_, proposed := tr.book()
	for _, t := range proposed {
		tr.ties[t.Word] = t.Means
	}
	families, _ = tr.book()
	for range verdicts {
		words := WordsToJudge(families)
		if len(words) == 0 {
			break
		}
		verdict := intent.OrdinaryWord
		if v, ok := tr.verdicts[words[0].Word]; ok {
			verdict = intent.Verdict(v)
		} else if v, ok := tr.verdicts[strings.TrimSuffix(words[0].Word, "s")]; ok {
			verdict = intent.Verdict(v)
		}
		tr.ground.Verdicts[words[0].Word] = verdict
		families, _ = tr.book()
	}
	return families
}

// long are the lists with families and slips; short those
// that were there before, of kept and set aside alone.
var (
	long  = []string{"garage", "boilers", "roofing", "pests", "fences", "appliances", "locksmith", "electrician"}
	short = []string{"chimney", "wells", "upholstery", "gutters", "trees", "septic"}
)

// What the rules reach on lists that were labelled before them: at once, and after
// 20 verdicts and the ties that are proposed. docs/decisions/015 has the figures.
func TestLabelledTrades(t *testing.T) {
	for _, name := range slices.Concat(long, short) {
		t.Run(name, func(t *testing.T) {
			tr := loadTrial(t, name)
			first, _ := tr.book()
			s := tr.score(t, first)
			after := tr.score(t, tr.consult(20))
			t.Logf("%s, first: precision %.3f recall %.3f; pairs %.3f %.3f; slips %.3f; services %.3f", name,
				s.precision, s.recall,
				s.pairPrecision, s.pairRecall, s.slips, s.services)
			t.Logf("%s, after: precision %.3f recall %.3f; pairs %.3f %.3f; slips %.3f; services %.3f", name,
				after.precision,
				after.recall, after.pairPrecision, after.pairRecall, after.slips, after.services)
			for _, share := range []float64{s.precision, s.recall, after.precision, after.recall} {
				assert.GreaterOrEqual(t, share, .95)
			}
			if slices.Contains(long, name) {
				assert.GreaterOrEqual(t, min(after.precision, after.recall), .97)
				assert.GreaterOrEqual(t, min(s.pairPrecision, after.pairPrecision), .97)
				assert.GreaterOrEqual(t, after.pairRecall, .95)
				assert.GreaterOrEqual(t, after.slips, .9)
			}
		})
	}
}

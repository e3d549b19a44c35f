package backlink

import (
	"bufio"
	_ "embed"
	"slices"
	"strings"
	"unicode"

	"inktally/core/intent"
	"inktally/core/text"
)

// IdleWords returns what tells the words that say nothing of a trade, by the lists that intents are told by: acts, hire
// words, words of work of any kind, small words.
func IdleWords(l intent.Lists) func(token string) bool {
	idle := map[string]bool{}
	for _, list := range [][]string{l.Acts, l.Hire, l.Doers, l.Generic, l.Small, l.Near} {
		for _, entry := range list {
			for _, part := range strings.Split(entry, ",") {
				if tokens := text.Tokens(part); len(tokens) == 1 {
					idle[tokens[0]] = true
				}
			}
		}
	}
	return func(token string) bool { return idle[token] || text.Small(token) }
}

// runTogether is how long a word is at least that is found inside a name that is written without blanks.
const runTogether = 5

// wordList are words that a token begins with; those with a point at their end are the whole token.
type wordList struct {
	starts, whole []string
	long          []string // of the starts and whole ones, those that are found inside names
}

func listOf(words string) (l wordList) {
	for _, w := range strings.Fields(words) {
		bare, whole := strings.CutSuffix(w, ".")
		if whole {
			l.whole = append(l.whole, bare)
		} else {
			l.starts = append(l.starts, bare)
		}
		if len(bare) >= runTogether {
			l.long = append(l.long, bare)
		}
	}
	return l
}

// without returns the words that begin none of the tokens.
func (l wordList) without(tokens []string) wordList {
	begins := func(word string) bool {
		return slices.ContainsFunc(tokens, func(t string) bool { return strings.HasPrefix(t, word) })
	}
	return wordList{starts: slices.DeleteFunc(slices.Clone(l.starts), begins),
		whole: slices.DeleteFunc(slices.Clone(l.whole), begins), long: slices.DeleteFunc(slices.Clone(l.long), begins)}
}

func (l wordList) has(token string) bool {
	return slices.Contains(l.whole, token) ||
		slices.ContainsFunc(l.starts, func(start string) bool { return strings.HasPrefix(token, start) })
}

// associations are words of associations, schools, churches, towns, in the languages known.
var associations = listOf(
	`chamber association guild. guilds. society societies club. clubs. league. leagues. school. ` +
		`schools. college university church. churches. museum library libraries council. councils. town. township city. county. municipal ` +
		`borough parish rotary lions. charity charities foundation. nonprofit coalition alliance. federation union. ` +
		`chambre. guilde. ville. commune. mairie ecole. ecoles. eglise paroisse chorale bibliotheque musee syndicat ` +
		`federation. verein vereine innung kammer handwerkskammer stadt. gemeinde. schule. grundschule gymnasium feuerwehr ` +
		`kirche. kirchengemeinde bucherei verband fachverband camara. asociacion gremio. ayuntamiento escuela. iglesia. ` +
		`biblioteca museo. associazione comune. scuola. chiesa. vereniging gemeente. kerk. bibliotheek`)

// press are words of the names of newspapers.
var press = []string{"news", "gazette", "herald", "tribune", "chronicle", "journal", "zeitung", "anzeiger", "kurier",
	"gazet", "diario", "giornale"}

func setOf(words string) map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(words) {
		out[w] = true
	}
	return out
}

var (
	profileFolders = setOf(`profile profiles user users member members company companies biz membre membres mitglied ` +
		`mitglieder nutzer profil profile miembro miembros usuario usuarios perfil utente utenti lid leden`)
	articleFolders = setOf(`blog news post posts article articles story stories magazine press artikel beitrag ` +
		`beitraege nachrichten actualites actualite articulos articulo noticias articoli articolo notizie nieuws`)
	forumFolders = setOf(`thread threads forum forums topic topics t r viewtopic showthread question questions`)
)

//go:embed neighbors.txt
var neighborLists string

// neighbors are the words of trades that are neighbors of one another, a list a line.
var neighbors = func() (out []wordList) {
	lines := bufio.NewScanner(strings.NewReader(neighborLists))
	for lines.Scan() {
		if line := lines.Text(); line != "" && line[0] != '#' {
			out = append(out, listOf(line))
		}
	}
	return out
}()

// words are those that links are told by, of one client.
type words struct {
	stem     text.Stemmer
	own      []string   // stems of the trade
	forms    [][]string // stems of the services' forms
	places   []town
	firms    [][]string // tokens of the names of the sites that are linked to
	nearby   []wordList // of the trades beside the client's
	accepted []string   // languages
	latin    bool
}

// town is the name of a place; joined is it without blanks, if it is long enough to be found inside a name.
type town struct {
	name   string
	tokens []string
	joined string
}

func newWords(g Ground, sites []Site) *words {
	w := &words{accepted: g.Languages, latin: true}
	lang := ""
	if len(g.Languages) > 0 {
		lang = g.Languages[0]
	}
	w.stem = remembering(text.StemmerFor(lang))
	w.own = w.content(g.Trade, g.Idle)
	for _, s := range g.Services {
		if form := w.content(s, text.SmallFor(lang)); len(form) > 0 {
			w.forms = append(w.forms, form)
		}
	}
	for _, p := range g.Places {
		if tokens := text.Tokens(p); len(tokens) > 0 {
			at := town{name: p, tokens: tokens, joined: strings.Join(tokens, "")}
			if len(at.joined) < runTogether {
				at.joined = ""
			}
			w.places = append(w.places, at)
		}
	}
	w.nearby = neighborsOf(g)
	for _, site := range sites {
		if tokens := text.Tokens(site.Name); len(tokens) > 1 {
			w.firms = append(w.firms, tokens)
		}
	}
	for _, l := range g.Languages {
		w.latin = w.latin && !slices.Contains(otherScripts, text.Base(l))
	}
	return w
}

// remembering returns a stemmer that works out no stem twice: a list of links has the same words again and again.
func remembering(stem text.Stemmer) text.Stemmer {
	known := map[string]string{}
	return func(token string) string {
		s, ok := known[token]
		if !ok {
			s = stem(token)
			known[token] = s
		}
		return s
	}
}

// neighborsOf returns the words of the trades beside the client's, without those that its own trade has.
func neighborsOf(g Ground) (out []wordList) {
	trade := text.Tokens(g.Trade)
	all := append(text.Tokens(strings.Join(g.Services, " ")), trade...)
	all = slices.DeleteFunc(all, func(t string) bool { return g.Idle != nil && g.Idle(t) })
	for _, list := range neighbors {
		if slices.ContainsFunc(all, list.has) {
			out = append(out, list.without(trade))
		}
	}
	return out
}

// content returns the stems of what a text says of a trade.
func (w *words) content(s string, idle func(string) bool) (out []string) {
	for _, t := range text.Tokens(s) {
		if idle == nil || !idle(t) {
			out = append(out, w.stem(t))
		}
	}
	return out
}

// said is what is said of a link's page: the name of its site, its folders, the words of its title and path.
type said struct {
	label, joined string // joined is the label without hyphens
	folders       []string
	tokens, stems []string
}

// read reads what is said of a link's page.
func (w *words) read(domain string, r *Row) *said {
	s := &said{label: label(domain), folders: foldersOf(r.Page)}
	s.joined = strings.ReplaceAll(s.label, "-", "")
	s.tokens = append(w.withoutFirms(text.Tokens(r.Title)), text.Tokens(strings.Join(s.folders, " "))...)
	s.stems = make([]string, len(s.tokens))
	for i, t := range s.tokens {
		s.stems[i] = w.stem(t)
	}
	return s
}

// withoutFirms returns the words of a title without the names of the sites' businesses.
func (w *words) withoutFirms(tokens []string) []string {
	for _, firm := range w.firms {
		for i := 0; i+len(firm) <= len(tokens); i++ {
			if slices.Equal(tokens[i:i+len(firm)], firm) {
				tokens = slices.Delete(tokens, i, i+len(firm))
				i--
			}
		}
	}
	return tokens
}

// names returns the word by which what is said names the client's trade, or the service that it names whole; empty for
// neither.
func (w *words) names(s *said) string {
	in := func(stem string) string {
		if i := slices.Index(s.stems, stem); i >= 0 {
			return s.tokens[i]
		}
		if len(stem) >= runTogether && strings.Contains(s.joined, stem) {
			return stem
		}
		return ""
	}
	for _, stem := range w.own {
		if word := in(stem); word != "" {
			return word
		}
	}
	for _, form := range w.forms {
		words := make([]string, len(form))
		for i, stem := range form {
			words[i] = in(stem)
		}
		if !slices.Contains(words, "") {
			return strings.Join(words, " ")
		}
	}
	return ""
}

// neighbor returns the word by which what is said names a neighboring trade, empty for none.
func (w *words) neighbor(s *said) string {
	for _, list := range w.nearby {
		if i := slices.IndexFunc(s.tokens, list.has); i >= 0 {
			return s.tokens[i]
		}
	}
	for _, list := range w.nearby {
		if word := wordIn(s, list); word != "" {
			return word
		}
	}
	return ""
}

// place returns the place of the client that what is said names, empty for none.
func (w *words) place(s *said) string {
	for _, p := range w.places {
		if p.joined != "" && strings.Contains(s.joined, p.joined) {
			return p.name
		}
		for i := 0; i+len(p.tokens) <= len(s.tokens); i++ {
			if slices.Equal(s.tokens[i:i+len(p.tokens)], p.tokens) {
				return p.name
			}
		}
	}
	return ""
}

// belongs reports whether a link of a site that everybody knows has to do with the client: a word of trade or place in
// title, page or anchor, or somebody's own page (rule 13.2).
func (w *words) belongs(r *Row) bool {
	s := w.read("", &Row{Page: r.Page, Title: r.Title + " " + r.Anchor})
	return isProfile(s.folders) || w.names(s) != "" || w.place(s) != ""
}

// told are the languages that a title is told to be in.
var told = []string{"en", "de", "fr", "es", "it", "nl", "pt", "sv", "da", "tr", "ro", "hu", "pl"}

// otherScripts are languages that are not written in Latin letters.
var otherScripts = []string{"ru", "uk", "bg", "sr", "el", "he", "ar", "fa", "zh", "ja", "ko", "th", "hi"}

// common are words that the lists of small words leave out because phrases may be told by them, by language.
var common = map[string]map[string]bool{
	"en": setOf(
		"is are was were be it its this that these and but not you your we they which how what who if can has have"),
	"de": setOf("ist sind war waren wird nicht auch aber wenn was wie man sie wir ich es sich als dass"),
	"fr": setOf("est sont etait pas qui que quoi comment il elle nous vous je se ce cette mais si plus"),
	"es": setOf("es son esta estan no que como cuando sin se lo mas pero si muy"),
	"it": setOf("e sono non che come quando si piu ma se"),
	"nl": setOf("is zijn was niet ook maar als wat hoe men wij ik het zich dat"),
	"pt": setOf("e sao nao que como quando se mais mas"),
	"pl": setOf("i w na z do nie jest sie to jak co dla ale tylko takze oraz przez czy od po za"),
}

// smallOf are the languages that a small word is of, a bit each in the order of told.
var smallOf = func() map[string]uint16 {
	out := map[string]uint16{}
	for i, code := range told {
		for _, t := range text.SmallWords(code) {
			out[t] |= 1 << i
		}
		for t := range common[code] {
			out[t] |= 1 << i
		}
	}
	return out
}()

// foreign returns the language of a link's page where it is none of those that are accepted, empty else: as the source
// says, by its letters, or by at least three small words that those have not.
func (w *words) foreign(r Row) string {
	if len(w.accepted) == 0 {
		return ""
	}
	if r.Language != "" {
		if w.accepts(r.Language) {
			return ""
		}
		return text.Base(r.Language)
	}
	if w.latin && otherLetters(r.Title) {
		return "other letters"
	}
	counts := smallWords(r.Title)
	best, most, own := "", 0, 0
	for i, code := range told {
		switch n := counts[i]; {
		case n > own && w.accepts(code):
			own = n
		case n > most && !w.accepts(code):
			best, most = code, n
		}
	}
	if most >= wordsFor && most >= own+2 {
		return best
	}
	return ""
}

// smallWords counts the different small words of a text, by language in the order of told.
func smallWords(s string) (counts [16]int) {
	var seen []string
	for _, t := range text.Tokens(s) {
		bits := smallOf[t]
		if bits == 0 || slices.Contains(seen, t) {
			continue
		}
		seen = append(seen, t)
		for i := range told {
			counts[i] += int(bits >> i & 1)
		}
	}
	return counts
}

func (w *words) accepts(lang string) bool {
	return slices.ContainsFunc(w.accepted, func(l string) bool { return text.Base(l) == text.Base(lang) })
}

// otherLetters reports whether most letters of a text are not Latin.
func otherLetters(s string) bool {
	letters, latin := 0, 0
	for _, r := range s {
		if unicode.IsLetter(r) {
			letters++
			if unicode.Is(unicode.Latin, r) {
				latin++
			}
		}
	}
	return letters > 0 && 2*latin < letters
}

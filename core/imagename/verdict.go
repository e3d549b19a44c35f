package imagename

import (
	"regexp"
	"slices"
	"strings"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Verdict is what a file name is worth (rule 4.2).
type Verdict string

// The verdicts, in the order in which they are tried. NoName is that of
// inline data.
const (
	WrongPlace Verdict = "wrong_place"
	Carries    Verdict = "carries"
	Near       Verdict = "near"
	Camera     Verdict = "camera"
	Machine    Verdict = "machine"
	Counter    Verdict = "counter"
	Plain      Verdict = "plain"
	NoName     Verdict = "no_name"
)

// Verdicts returns all of them.
func Verdicts() []Verdict {
	return []Verdict{WrongPlace, Carries, Near, Camera, Machine, Counter, Plain, NoName}
}

// Judge knows the families of a page and the client's services and places.
type Judge struct {
	Matcher  *phrase.Matcher
	Language phrase.Language
	// Services are the words for what the client sells.
	Services []string
	// Place is the page's own place.
	Place place.Place
	// PlacesBound reports whether the page is one of a service or an area, on which
	// other places are contradictions (rule 5.2).
	PlacesBound bool

	known    map[string]bool
	filter   text.StemFilter // of the stems that matter
	services [][]string      // stems
	places   [][]string
	names    [][]string // tokens of the places that are not the page's own
	own      []string   // tokens of the page's place
	ownStems []string
	// ofPhrases are the stems of all phrases.
	ofPhrases map[string]bool
}

// NewJudge completes a judge from its exported fields.
func NewJudge(j Judge) *Judge {
	j.known, j.ofPhrases = map[string]bool{}, map[string]bool{}
	for _, p := range j.Matcher.Phrases {
		for _, s := range p.Stems {
			j.ofPhrases[s] = true
		}
	}
	learn := func(tokens []string) {
		for _, t := range tokens {
			if len(t) > 1 {
				j.known[t] = true
			}
		}
	}
	placeStems := map[string]bool{}
	j.own = j.Place.Tokens()
	j.ownStems = j.stems(j.own)
	for _, p := range j.Language.Places {
		for _, form := range p.Forms() {
			learn(form)
		}
		if p.Name != j.Place.Name {
			j.names = append(j.names, p.Forms()...)
		}
		stems := j.stems(p.Tokens())
		j.places = append(j.places, stems)
		for _, s := range stems {
			placeStems[s] = true
		}
	}
	for _, s := range j.Services {
		learn(text.Tokens(s))
		j.services = append(j.services, j.stems(text.Tokens(s)))
	}
	for _, p := range j.Matcher.Phrases {
		learn(p.Tokens)
		if service := without(p.Stems, placeStems); len(service) > 0 && len(service) < len(p.Stems) {
			j.services = append(j.services, service)
		}
	}
	j.Language.Admit(&j.filter)
	for _, list := range [][][]string{j.services, j.places} {
		for _, stems := range list {
			for _, s := range stems {
				j.filter.Add(s, j.Language.English)
			}
		}
	}
	for _, p := range j.Matcher.Phrases {
		for _, s := range p.Stems {
			j.filter.Add(s, j.Language.English)
		}
	}
	return &j
}

// Words parts a file name into its words, as its phrases are looked for.
func (j *Judge) Words(name string) []string { return split(name, j.known) }

// Verdict judges a file name.
func (j *Judge) Verdict(name string) Verdict {
	words := j.Words(name)
	return j.VerdictOf(name, words, j.holdsFamily(words))
}

// VerdictOf judges a file name that was parted into words and searched for the
// families of the page before.
func (j *Judge) VerdictOf(name string, words []string, holdsFamily bool) Verdict {
	if strings.TrimSpace(name) == "" {
		return NoName
	}
	stems := j.knownStems(words)
	service, own, other := holdsAny(stems, j.services), holds(stems, j.ownStems), j.otherPlace(words)
	switch {
	case j.PlacesBound && other && !own:
		return WrongPlace
	case holdsFamily, service && (own || holdsAny(stems, j.places)):
		return Carries
	case service, own, other, j.holdsHalf(stems):
		return Near
	case strings.ContainsAny(name, "0123456789sS") && cameraName.MatchString(name):
		return Camera
	case machine(name, words):
		return Machine
	case counter(words):
		return Counter
	}
	return Plain
}

func (j *Judge) stems(tokens []string) []string {
	out := make([]string, 0, len(tokens))
	for _, t := range tokens {
		if !j.Language.Small(t) {
			out = append(out, j.Language.Stem(t))
		}
	}
	return out
}

// knownStems returns the stems of those words that may mean something here.
func (j *Judge) knownStems(words []string) []string {
	var out []string
	for _, w := range words {
		if j.filter.May(w) {
			out = append(out, j.Language.Stem(w))
		}
	}
	return out
}

// holdsFamily reports whether a family of the page stands in the words.
func (j *Judge) holdsFamily(words []string) bool {
	scan, _ := text.ScanText(strings.Join(words, " "))
	return len(j.Matcher.Finder(scan).Find(0, len(scan.Tokens))) > 0
}

// holdsHalf reports whether half of the words of a family stand in a name, which
// then is near if the client's services are not known.
func (j *Judge) holdsHalf(stems []string) bool {
	if len(j.services) > 0 || !slices.ContainsFunc(stems, func(s string) bool { return j.ofPhrases[s] }) {
		return false
	}
	for _, p := range j.Matcher.Phrases {
		n := 0
		for _, s := range p.Stems {
			if holds(stems, []string{s}) {
				n++
			}
		}
		if n > 0 && 2*n >= len(p.Stems) {
			return true
		}
	}
	return false
}

// otherPlace reports whether the words name a known place that is not the page's.
func (j *Judge) otherPlace(words []string) bool {
	rest := words
	if at := place.Index(words, j.own); at >= 0 {
		rest = append(append([]string{}, words[:at]...), words[at+len(j.own):]...)
	}
	for _, name := range j.names {
		if place.Index(rest, name) >= 0 {
			return true
		}
	}
	return false
}

// holds reports whether all of want are among stems.
func holds(stems, want []string) bool {
	for _, w := range want {
		found := false
		for _, s := range stems {
			found = found || s == w
		}
		if !found {
			return false
		}
	}
	return len(want) > 0
}

func holdsAny(stems []string, wants [][]string) bool {
	for _, w := range wants {
		if holds(stems, w) {
			return true
		}
	}
	return false
}

func without(stems []string, drop map[string]bool) []string {
	var out []string
	for _, s := range stems {
		if !drop[s] {
			out = append(out, s)
		}
	}
	return out
}

// cameraName are the names that cameras, phones and messengers give.
var cameraName = regexp.MustCompile(`(?i)^(?:` +
	`(?:img|image|imag|dsc|dscn|dscf|dcim|pxl|mvi|mvimg|vid|dji|gopr|pict|cimg|sam|hpim|kic)[-_ ]?e?\d{3,}` +
	`|p\d{6,8}(?:\D|$)` +
	`|(?:[a-z]+[-_ ])?image[-_ ]\d{4}-\d\d-\d\d` +
	`|(?:photo|image)[-_ ]\d{4}-\d\d-\d\d` +
	`|screen[-_ ]?shot)`)

// machine reports whether a program gave a name: mostly digits and hex, or a long
// run of letters that no words explain.
func machine(name string, words []string) bool {
	if 2*hexLength(name) > len([]rune(name)) {
		return true
	}
	for _, w := range words {
		if len([]rune(w)) >= 20 {
			return true
		}
	}
	return false
}

// hexLength returns how much of a name stands in runs of 6 hex digits and more, of
// which at least 2 are decimal.
func hexLength(name string) int {
	sum, run, digits := 0, 0, 0
	for i := 0; i <= len(name); i++ {
		if i < len(name) {
			c := name[i] | 0x20
			if name[i] >= '0' && name[i] <= '9' {
				run, digits = run+1, digits+1
				continue
			}
			if c >= 'a' && c <= 'f' {
				run++
				continue
			}
		}
		if run >= 6 && digits >= 2 {
			sum += run
		}
		run, digits = 0, 0
	}
	return sum
}

// idle are words that say nothing of what an image shows.
var idle = map[string]bool{
	"hero": true, "banner": true, "slide": true, "slider": true, "image": true, "img": true, "photo": true,
	"pic": true, "picture": true, "home": true, "homepage": true, "logo": true, "bg": true, "background": true,
	"final": true, "new": true, "copy": true, "old": true, "main": true, "header": true, "footer": true,
	"thumb": true, "thumbnail": true, "untitled": true, "default": true, "placeholder": true, "edit": true,
	"v": true, "web": true, "small": true, "large": true,
}

// counter reports whether a name is one plain word and a number, or idle words only.
func counter(words []string) bool {
	plain, numbers, speaking := 0, 0, 0
	for _, w := range words {
		switch {
		case w[0] >= '0' && w[0] <= '9':
			numbers++
		case idle[w]:
			plain++
		default:
			plain++
			speaking++
		}
	}
	return speaking == 0 || plain == 1 && numbers > 0
}

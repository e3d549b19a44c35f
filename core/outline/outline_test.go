package outline

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"inktally/core/copy"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var topics = Topics{Services: []Topic{{Name: "chimney sweep", Forms: []string{"chimney cleaning"}},
	{Name: "flue liner installation", Forms: []string{"chimney liner"}}},
	Towns: []string{"Ostrey", "Quillby", "Pell Crossing"}, Questions: []string{"how often should a chimney be swept"},
	Firm: "Brindle & Ash"}

var texts = copy.Of("en")

func words(n int) string { return strings.Repeat("word ", n) }

func read(s string) *page.Page {
	return page.Read([]byte(s), page.Source{URL: "http://brindleandash.example/"})
}

var english = phrase.LanguageOf("en", []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}},
	phrase.Corrections{})

// home returns a home page of so many words to write.
func home(p *page.Page, write int, e Edits) Input {
	in := Input{Kind: site.Home, Page: p, Language: english, Topics: topics, Edits: e, ToWrite: write, Writer: write}
	if p != nil {
		in.Writer += p.Words.Copy
	}
	return in
}

// shares returns the words to write by the keys of sections.
func shares(list []Section) map[string]int {
	out := map[string]int{}
	for _, s := range list {
		out[s.Key] = s.Words
	}
	return out
}

// The worked example of rule 10.1.
func TestOutline(t *testing.T) {
	const target = 2000
	in := home(nil, target, Edits{})
	assert.Equal(t, map[string]int{"lead": 250, "service: chimney sweep": 440, "service: flue liner installation": 440,
		"questions": 440, "towns": 220, "about": 210},
		shares(StandardRules().Of(in)), "what exceeds the lead's 250 goes to the others")
	in.Topics = Topics{Firm: "Brindle", Standing: texts.Standing[:]}
	assert.Equal(t, map[string]int{"lead": 250, "standing: done": 700, "standing: when": 700, "about": 350},
		shares(StandardRules().Of(in)), "the shares of what there is not go to the others")
}

// Services that would get too few words for a section each stand in one list, those of most gain first.
func TestListOfServices(t *testing.T) {
	in := home(nil, 440, Edits{})
	in.Kind, in.Place = site.Area, "Ostrey"
	for _, name := range []string{"masonry repair", "dryer vent cleaning", "chimney cap fitting"} {
		in.Topics.Services = append(in.Topics.Services, Topic{Name: name})
	}
	in.Families = []Given{{Key: "a", Service: "chimney cap fitting"}, {Key: "b", Service: "chimney sweep"}}
	list := StandardRules().Of(in)
	assert.Equal(t, map[string]int{"lead": 110, "services": 220, "questions": 110}, shares(list),
		"none about the firm and the towns: it is no home page, and no rival has them")
	assert.Equal(t, []string{"chimney cap fitting", "chimney sweep", "flue liner installation", "masonry repair",
		"dryer vent cleaning"}, list[1].Subjects)
	assert.Equal(t, []string{"a", "b"}, list[1].Families)
	in.ToWrite, in.Writer = 120, 120
	assert.Equal(t, map[string]int{"lead": 60, "services": 60}, shares(StandardRules().Of(in)))
	in.Edits.Sections = map[string]SectionEdit{"service: masonry repair": {Heading: "Brick and stone"}}
	in.ToWrite, in.Writer = 440, 440
	assert.Contains(t, shares(StandardRules().Of(in)), "service: masonry repair", "the user said something of it")
}

// What a page has of a section counts, and what no rule asks for stays.
func TestSectionsOfThePage(t *testing.T) {
	client := read("<h1>Welcome</h1><p>" + words(99) + "</p><h2>Relining and a new chimney liner</h2><p>" + words(100) +
		"</p><h2>Why people call us back</h2><p>" +
		words(150) + "</p><h2>The vans</h2><p>" + words(80) + "</p><h2>Small talk</h2><p>" + words(9) +
		"</p><h2>Do you serve Ostrey?</h2><p>" + words(20) + "</p>")
	list := StandardRules().Of(home(client, 1000, Edits{}))
	at := func(key string) Section {
		for _, s := range list {
			if s.Key == key {
				return s
			}
		}
		require.Fail(t, "no section", key)
		return Section{}
	}
	assert.Equal(t, Section{Key: "lead", Kind: LeadSection, There: true, Holds: 100, Words: at("lead").Words,
		share: at("lead").share}, at("lead"))
	assert.Equal(t, "Relining and a new chimney liner", at("service: flue liner installation").Heading)
	assert.Equal(t, 106, at("service: flue liner installation").Holds)
	assert.Equal(t, 155, at("about").Holds, "why people call us back")
	assert.Equal(t, 24, at("questions").Holds, "a question, whatever it names")
	assert.True(t, at("kept: the vans").There)
	assert.Zero(t, at("kept: the vans").Words)
	sum := 0
	for _, s := range list {
		assert.NotEqual(t, "kept: small talk", s.Key)
		sum += s.Words
	}
	assert.Equal(t, 1000, sum)
}

// The topics of a service page are those that two rivals have, however they word them.
func TestAspects(t *testing.T) {
	rival := func(headings ...string) *page.Page {
		body := "<h1>Flue liners</h1>"
		for _, h := range headings {
			body += "<h2>" + h + "</h2><p>" + words(40) + "</p>"
		}
		return read(body)
	}
	p := Input{Kind: site.Service, Service: "flue liner installation", Language: english, Topics: topics, ToWrite: 500,
		Writer: 500, Rivals: []*page.Page{
			rival("What a chimney liner costs", "Steel or clay", "Call us", "Our dog"),
			rival("Liner cost in Tarn Harbor", "Clay or steel liners", "Contact"),
			rival("How long it takes", "Call today")}}
	p.Topics.Rivals = []string{"Harbor Flue", "Old Saltbox", "Wide River"}
	var got []string
	for _, s := range StandardRules().Of(p) {
		if s.Kind == AspectText {
			got = append(got, fmt.Sprint(s.Heading, " ", s.Have, " of ", s.Rivals))
		}
	}
	assert.Equal(t, []string{"What a chimney liner costs 2 of 3", "Steel or clay 2 of 3"}, got)
}

func TestEdits(t *testing.T) {
	of := func(e Edits) []Section { return StandardRules().Of(home(nil, 1500, e)) }
	fifty := 50
	list := of(Edits{Order: []string{"about", "lead", "gone"}, Sections: map[string]SectionEdit{
		"towns": {Dropped: true}, "about": {Heading: "Who we are", Words: &fifty},
		"added: 1": {Added: true, Heading: "Prices"}, "gone": {Heading: "x"}}})
	var keys []string
	sum := 0
	for _, s := range list {
		keys = append(keys, s.Key)
		sum += s.Words
	}
	assert.Equal(t, []string{"about", "added: 1", "lead", "service: chimney sweep", "service: flue liner installation",
		"questions", "towns"}, keys, "what the user has not seen stays behind the one before it")
	assert.Equal(t, 1500, sum, "the others make up for it")
	assert.Equal(t, 50, shares(list)["about"])
	assert.Equal(t, "Who we are", list[0].Heading)
	assert.Zero(t, shares(list)["towns"])
	alone := shares(of(Edits{Alone: true, Sections: map[string]SectionEdit{"about": {Words: &fifty}}}))
	assert.Equal(t, shares(of(Edits{}))["lead"], alone["lead"], "or do not")
}

// Whatever is edited, the sections keep adding up to what is to write, unless the user set
// other words; none is below 0, and none is lost.
func TestOutlineProperties(t *testing.T) {
	keys := []string{"lead", "service: chimney sweep", "service: flue liner installation", "questions", "towns",
		"about", "added: 1", "gone"}
	rapid.Check(t, func(t *rapid.T) {
		e := Edits{Order: rapid.SliceOfDistinct(rapid.SampledFrom(keys), rapid.ID).Draw(t, "order"),
			Sections: map[string]SectionEdit{}}
		set := 0
		for _, key := range keys {
			if rapid.IntRange(0, 4).Draw(t, "edited") == 0 {
				edit := SectionEdit{Heading: rapid.SampledFrom([]string{"", "x"}).Draw(t, "heading"),
					Added: strings.HasPrefix(key, "added")}
				edit.Dropped = rapid.IntRange(0, 3).Draw(t, "dropped") == 0 && key != "lead"
				if rapid.Bool().Draw(t, "set") && !edit.Dropped && key != "gone" && (key != "added: 1" || edit.Added) {
					n := rapid.IntRange(0, 300).Draw(t, "words")
					edit.Words = &n
					set += n
				}
				e.Sections[key] = edit
			}
		}
		body := ""
		for range rapid.IntRange(0, 4).Draw(t, "headings") {
			body += "<h2>" + rapid.SampledFrom(
				[]string{"Chimney cleaning", "The vans", "About us", "Towns: Ostrey", "Why?"}).Draw(t, "h2") +
				"</h2><p>" +
				words(rapid.IntRange(0, 300).Draw(t, "under"))
		}
		write := rapid.IntRange(0, 1900).Draw(t, "write")
		list := StandardRules().Of(home(read(body), write, e))
		seen, sum, free := map[string]bool{}, 0, false
		for _, s := range list {
			assert.False(t, seen[s.Key], s.Key)
			seen[s.Key] = true
			assert.GreaterOrEqual(t, s.Words, 0)
			if s.Dropped {
				assert.Zero(t, s.Words)
			}
			sum += s.Words
			free = free || !s.Fixed && s.Words > 0
		}
		for _, s := range list { // nothing stands in it that nobody writes, has or spoke of
			_, said := e.Sections[s.Key]
			assert.True(t, s.There || s.Words > 0 || s.Kind == LeadSection || said, s.Key)
		}
		for _, key := range keys[:6] {
			listed := strings.HasPrefix(key, "service: ") && slices.ContainsFunc(list, func(s Section) bool {
				return slices.Contains(s.Subjects, strings.TrimPrefix(key, "service: "))
			})
			assert.True(t, seen[key] || listed || write < 1000, key)
		}
		if len(e.Sections) == 0 && write >= leastWords {
			odd := 0
			for _, s := range list {
				assert.True(t, s.Words == 0 || s.Words >= leastWords, "%s of %d words", s.Key, s.Words)
				if s.Words%10 > 0 {
					odd++
				}
			}
			assert.LessOrEqual(t, odd, 1)
		}
		if set == 0 && len(e.Sections) == 0 || free && set <= write && write > 0 {
			assert.Equal(t, write, sum)
		}
	})
}

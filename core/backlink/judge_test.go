package backlink

import (
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/place"
	"inktally/core/text"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// labelled is a case that was labelled before the rule was written.
type labelled struct {
	ground Ground
	sites  []Site
	labels [][]string
	order  []string
}

func parts(line, sign string) []string {
	out := strings.Split(line, sign)
	for i := range out {
		out[i] = strings.TrimSpace(out[i])
	}
	return out
}

func readCase(t *testing.T, name string) labelled {
	t.Helper()
	raw, err := os.ReadFile(name)
	require.NoError(t, err)
	c := labelled{ground: Ground{Said: map[string]Verdict{}, Minutes: StandardMinutes()}}
	directories, section := []string{}, ""
	var places []place.Place
	for _, line := range strings.Split(string(raw), "\n") {
		cells := parts(line, "|")
		switch {
		case line == "" || line[0] == '#':
		case len(cells) == 1:
			section = line
		case section == "labels":
			c.labels = append(c.labels, cells)
		case section == "rows":
			c.addRow(t, cells)
		case cells[0] == "client", cells[0] == "rival", cells[0] == "chain":
			c.sites = append(c.sites, Site{Domain: cells[1], Own: cells[0] == "client", Chain: cells[0] == "chain"})
		case cells[0] == "trade":
			c.ground.Trade = cells[1]
		case cells[0] == "services":
			c.ground.Services = parts(cells[1], ";")
		case cells[0] == "languages":
			c.ground.Languages = parts(cells[1], ";")
		case cells[0] == "country":
			c.ground.Country = cells[1]
		case cells[0] == "directories":
			directories = parts(cells[1], ";")
		case cells[0] == "places":
			for _, p := range parts(cells[1], ";") {
				places = append(places, place.Parse(p))
				c.ground.Places = append(c.ground.Places, places[len(places)-1].Name)
			}
		case cells[0] == "said" && cells[1] != "":
			for _, s := range parts(cells[1], ";") {
				domain, verdict, _ := strings.Cut(s, " ")
				c.ground.Said[domain] = Verdict(verdict)
			}
		}
		if section == "order" && len(cells) == 1 && line != "" && line[0] != '#' && line != "order" {
			c.order = append(c.order, line)
			section = "order"
		}
		if len(cells) == 1 && strings.Contains(line, ".example") {
			section = "order"
		}
	}
	if c.ground.Country == "" {
		c.ground.Country = places[0].Country()
	}
	c.ground.Idle = IdleWords(intent.ListsFor(c.ground.Languages[0]))
	services := append([]string{c.ground.Trade}, c.ground.Services...)
	names := func(list []string) func(string) bool {
		return func(s string) bool {
			return slices.ContainsFunc(list, func(of string) bool {
				return place.Index(text.Tokens(s), text.Tokens(of)) >= 0
			})
		}
	}
	evidence := lineup.Evidence{NamesService: names(services), NamesPlace: names(c.ground.Places)}
	c.ground.Directory = func(title, address string) bool {
		kind, _ := lineup.Judge(lineup.Entry{Part: lineup.Organic, Name: title, URL: address}, evidence)
		return kind == lineup.Directory || slices.Contains(directories, lineup.Domain(address))
	}
	c.ground.Ranks = func(title, address string) bool {
		kind, _ := lineup.Judge(lineup.Entry{Part: lineup.Organic, Name: title, URL: address}, evidence)
		return kind == lineup.ListArticle
	}
	return c
}

func (c *labelled) addRow(t *testing.T, cells []string) {
	t.Helper()
	require.GreaterOrEqual(t, len(cells), 9, cells)
	r := Row{Domain: lineup.Domain(cells[1]), Page: cells[1], Title: cells[2], Anchor: cells[3],
		NotFollowed: cells[7] == "no", Lost: cells[8] == "lost"}
	number := func(s string) Strength {
		n, err := strconv.ParseFloat(s, 64)
		if err != nil {
			return Strength{}
		}
		return Of(n)
	}
	r.OfPage = number(cells[4])
	for i, s := range parts(cells[5], "/") {
		r.OfSite[i] = number(s)
	}
	r.FirstSeen, _ = time.Parse(time.DateOnly, cells[6])
	if len(cells) > 9 {
		r.Links, _ = strconv.Atoi(cells[9])
	}
	at := slices.IndexFunc(c.sites, func(s Site) bool { return s.Domain == cells[0] })
	require.GreaterOrEqual(t, at, 0, cells[0])
	c.sites[at].Rows = append(c.sites[at].Rows, r)
}

var reasonsOf = map[string]ReasonCode{"said": ByHand, "directory": IsDirectory, "weak": WeakSite, "many": ManyLinks,
	"language": ForeignWords, "ending": ForeignEnd, "apart": FarApart, "burst": Burst, "famous": Famous}

// Cases of other trades, labelled before the rule was written: at least 95 of 100 domains are judged as they are.
func TestLabelled(t *testing.T) {
	names, err := filepath.Glob("testdata/*.txt")
	require.NoError(t, err)
	agree, all := 0, 0
	var wrong []string
	for _, name := range names {
		c := readCase(t, name)
		j := Judge(c.sites, c.ground)
		got := map[string]Domain{}
		verdicts := map[string]string{}
		for verdict, list := range map[string][]Domain{"get": j.Ask, "listing": j.Listings, "doubtful": j.Doubtful,
			"leave": j.Left, "have_doubtful": j.OwnDoubtful} {
			for _, d := range list {
				got[d.Name], verdicts[d.Name] = d, verdict
			}
		}
		for _, l := range c.labels {
			all++
			d, verdict := got[l[0]], verdicts[l[0]]
			want := l[1]
			if want == "none" || want == "have" {
				want = ""
			}
			ok := verdict == want
			if reason := reasonsOf[l[2]]; ok && reason != "" {
				ok = d.Reason.Code == reason
			}
			if rest, found := strings.CutPrefix(l[2], "rivals "); ok && found {
				ok = rest == fmt.Sprint(len(d.Rivals))
			}
			if ok && len(l) > 3 && l[3] != "" {
				ok = slices.Contains(parts(l[3], "/"), string(d.Kind))
			}
			if ok {
				agree++
				continue
			}
			wrong = append(wrong, fmt.Sprintf("%s %v: %s %v %s", filepath.Base(name), l, verdict, d.Reason, d.Kind))
		}
		var first []string
		for _, d := range j.Ask[:min(len(j.Ask), len(c.order))] {
			first = append(first, d.Name)
		}
		assert.Equal(t, c.order, first, name)
	}
	t.Logf("%d of %d domains", agree, all)
	assert.GreaterOrEqual(t, 100*agree, 95*all, strings.Join(wrong, "\n"))
	for _, w := range wrong {
		t.Log(w)
	}
}

// Whatever the lists say: a domain stands once, none of the sites' own, and what the client has is never asked for.
func TestEachDomainOnce(t *testing.T) {
	names := []string{"a.example", "b.example", "own.example", "rival.example", "weak.example", "far.ru"}
	rapid.Check(t, func(t *rapid.T) {
		sites := []Site{{Domain: "own.example", Own: true}, {Domain: "rival.example"}, {Domain: "other.example"},
			{Domain: "chain.example", Chain: true}}
		for i := range sites {
			for range rapid.IntRange(0, 12).Draw(t, "rows") {
				sites[i].Rows = append(sites[i].Rows, Row{Domain: rapid.SampledFrom(names).Draw(t, "domain"),
					OfSite: [2]Strength{Of(float64(rapid.IntRange(0, 100).Draw(t, "strength")))},
					Lost:   rapid.IntRange(0, 5).Draw(t, "lost") == 0, Links: rapid.IntRange(0, 120).Draw(t, "links")})
			}
		}
		j := Judge(sites, Ground{Country: "US", Languages: []string{"en"}, Minutes: StandardMinutes()})
		seen := map[string]bool{}
		for _, list := range [][]Domain{j.Ask, j.Listings, j.Doubtful, j.Left, j.OwnDoubtful} {
			for _, d := range list {
				assert.False(t, seen[d.Name], d.Name)
				seen[d.Name] = true
				assert.NotContains(t, []string{"own.example", "rival.example"}, d.Name)
			}
		}
		has := map[string]bool{}
		for _, r := range sites[0].Rows {
			if !r.Lost {
				has[r.Domain] = true
			}
		}
		for _, d := range j.Ask {
			assert.False(t, has[d.Name], "%s is the client's already", d.Name)
			assert.NotEmpty(t, d.Rivals)
			assert.Positive(t, d.Minutes)
		}
	})
}

// How many were seen together with each is what trying all windows finds.
func TestMostWithin(t *testing.T) {
	rapid.Check(t, func(r *rapid.T) {
		days := rapid.SliceOfN(rapid.IntRange(0, 200), 1, 40).Draw(r, "days")
		slices.Sort(days)
		dated := make([]*found, len(days))
		for i, d := range days {
			dated[i] = &found{first: map[int]time.Time{0: time.Date(2026, 1, 1+d, 0, 0, 0, 0, time.UTC)}}
		}
		got := mostWithin(dated, 0)
		for j := range days {
			most := 0
			for from := 0; from <= j; from++ {
				for to := j; to < len(days); to++ {
					if days[to]-days[from] <= burstDays {
						most = max(most, to-from+1)
					}
				}
			}
			require.Equal(r, most, got[j], "%v at %d", days, j)
		}
	})
}

//go:build sense

package sense

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"inktally/core/text"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
)

// check is one thing that nobody may be told. It returns the lines that tell it.
type check struct {
	says string
	bad  func(c *client) []string
}

// The plans of all clients hold every check.
func TestSense(t *testing.T) {
	all := clients(t)
	assert.GreaterOrEqual(t, len(all), 8)
	checks := slices.Concat(pageChecks, nameChecks, sizeChecks, orderChecks, wordChecks, briefChecks)
	assert.GreaterOrEqual(t, len(checks), 25)
	silly := 0
	for _, ch := range checks {
		t.Run(ch.says, func(t *testing.T) {
			for _, c := range all {
				bad := ch.bad(c)
				silly += len(bad)
				assert.Empty(t, strings.Join(bad[:min(len(bad), 6)], "\n"), "%s: %d lines", c.name, len(bad))
			}
		})
	}
	lines := 0
	for _, c := range all {
		lines += len(c.plan.Targets)
	}
	t.Logf("%d silly lines in %d targets of %d clients, by %d checks", silly, lines, len(all), len(checks))
}

// lines are the lines of a plan that hold something.
func (c *client) lines(bad func(view.Target) bool) (out []string) {
	for _, x := range c.plan.Targets {
		if bad(x) {
			out = append(out, c.says(x))
		}
	}
	return out
}

// parts are the parts of a plan that hold something, of some kinds.
func (c *client) parts(bad func(view.Target, view.Part) bool, kinds ...view.PartKind) (out []string) {
	for _, x := range c.plan.Targets {
		for _, p := range x.Parts {
			if (len(kinds) == 0 || slices.Contains(kinds, p.Kind)) && bad(x, p) {
				out = append(out, fmt.Sprintf("%s: %s %s %s %s (%s)", c.called(x.Page), p.Name, p.Before, p.Pencil,
					p.After, p.Note))
			}
		}
	}
	return out
}

func (c *client) says(x view.Target) string {
	return fmt.Sprintf("%s: %s %s %s (%s)", c.called(x.Page), x.Before, x.Pencil, x.After, x.Evidence)
}

// page returns the page of a key.
func (c *client) page(key string) view.PageInfo {
	for _, p := range c.plan.Pages {
		if p.Key == key {
			return p.Page
		}
	}
	return view.PageInfo{}
}

func (c *client) called(key string) string {
	p := c.page(key)
	if p.URL != "" {
		return p.URL
	}
	return strings.TrimSpace(fmt.Sprint(p.Kind, " ", p.Service, " ", p.Place))
}

// home is the town of the client.
func (c *client) home() string {
	for _, p := range c.ground.Places {
		if p.Home {
			return p.Name
		}
	}
	return ""
}

// withoutFirm returns a text without the name of the business.
func (c *client) withoutFirm(s string) string { return text.WithoutFold(s, c.ground.Name) }

// town returns that of a page.
func (c *client) town(p view.PageInfo) string {
	if p.Place != "" {
		return p.Place
	}
	return c.home()
}

// forms returns all names of a service.
func (c *client) forms(service string) []string {
	for _, s := range c.ground.Services {
		if s.Name == service {
			return append([]string{s.Name}, s.Words...)
		}
	}
	return nil
}

// plain returns the words of a text, folded.
func plain(s string) []string { return text.Tokens(s) }

// holds reports whether a text holds a phrase: each of its words, in one form or another.
func holds(s, phrase string) bool {
	words := plain(s)
	for _, w := range plain(phrase) {
		if !slices.ContainsFunc(words, func(x string) bool { return root(x) == root(w) }) {
			return false
		}
	}
	return true
}

// root is a word without what forms of it end in.
func root(w string) string {
	for _, end := range []string{"ing", "er", "ers", "s", "ed"} {
		if cut := strings.TrimSuffix(w, end); len(cut) >= 4 {
			w = cut
		}
	}
	return w
}

func holdsAny(s string, phrases []string) bool {
	return slices.ContainsFunc(phrases, func(p string) bool { return holds(s, p) })
}

// twice returns what stands in a list more than once.
func twice(list []string) (out []string) {
	seen := map[string]int{}
	for _, s := range list {
		if seen[s]++; seen[s] == 2 {
			out = append(out, s)
		}
	}
	return out
}

// Ten lines of each plan, to be read aloud: go test -tags sense -run TestRead -v ./internal/sense.
func TestRead(t *testing.T) {
	const aloud = 10
	for _, c := range clients(t) {
		t.Logf("== %s, %.0f hours, +%.1f of %.1f", c.name, c.plan.Hours, c.plan.Gain, c.plan.All)
		for _, r := range c.recap {
			t.Log("** ", r)
		}
		for i, x := range c.plan.Targets[:min(len(c.plan.Targets), aloud)] {
			t.Logf("%2d %v %s +%.2f %.0f min", i+1, x.Fits, c.says(x), x.Gain, x.Minutes)
		}
		assert.NotEmpty(t, c.briefs)
	}
}

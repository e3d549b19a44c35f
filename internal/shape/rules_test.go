// Package shape holds the documents and the code together: every rule that is
// named stands in docs/rules.md with examples that tests hold, and packages know
// of one another as docs/decisions/013-packages.md says.
package shape

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"inktally/core/yardstick"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const root = "../.."

var (
	heading  = regexp.MustCompile(`(?m)^(?:## (\d+) |\*\*(\d+\.\d+) )`)
	citation = regexp.MustCompile(`\brules? (\d+(?:\.\d+)?(?:(?:, | and | to )\d+(?:\.\d+)?)*)`)
	number   = regexp.MustCompile(`\d+(?:\.\d+)?`)
	example  = regexp.MustCompile("(?s)> Example \\(`([a-z/]+)` (\\w+)\\): (.*?)(?:\n\n|$)")
	quoted   = regexp.MustCompile("`([^`]+)`")
	// A citation may go on behind the end of a comment's line.
	wrapped = regexp.MustCompile(`\n\s*(?://|--|\*|#)? ?`)
)

func rules(t *testing.T) (text string, numbers map[string]bool) {
	raw, err := os.ReadFile(filepath.Join(root, "docs/rules.md"))
	require.NoError(t, err)
	numbers = map[string]bool{}
	for _, m := range heading.FindAllStringSubmatch(string(raw), -1) {
		numbers[m[1]+m[2]] = true
	}
	require.Greater(t, len(numbers), 50)
	return string(raw), numbers
}

// sources returns the files in which rules may be named.
func sources(t *testing.T) map[string]string {
	out := map[string]string{}
	for _, dir := range []string{"core", "internal", "cmd", "bench", "e2e", "web/src", "docs/decisions"} {
		err := filepath.WalkDir(filepath.Join(root, dir), func(path string, d fs.DirEntry, err error) error {
			if err != nil || d.IsDir() {
				return err
			}
			switch filepath.Ext(path) {
			case ".go", ".sql", ".ts", ".vue", ".md":
				raw, err := os.ReadFile(path)
				out[path] = string(raw)
				return err
			}
			return nil
		})
		require.NoError(t, err)
	}
	return out
}

// Every rule that is named exists, and the rules are named where they are
// followed.
func TestCitations(t *testing.T) {
	_, numbers := rules(t)
	named := map[string]bool{}
	for file, text := range sources(t) {
		for _, m := range citation.FindAllStringSubmatch(wrapped.ReplaceAllString(text, " "), -1) {
			for _, n := range number.FindAllString(m[1], -1) {
				assert.True(t, numbers[n], "%s names rule %s, which is not in docs/rules.md", file, n)
				named[n] = true
			}
		}
	}
	assert.Greater(t, len(named), 40)
}

// The figures of the yardstick belong to rules.
func TestFiguresHaveRules(t *testing.T) {
	_, numbers := rules(t)
	for _, f := range yardstick.Standard().Figures() {
		assert.True(t, numbers[f.Rule], "%s is of rule %s, which is not in docs/rules.md", f.Key, f.Rule)
	}
}

// What an example quotes stands in the tests that it names.
func TestExamples(t *testing.T) {
	text, _ := rules(t)
	found := example.FindAllStringSubmatch(text, -1)
	assert.Equal(t, strings.Count(text, "> Example"), len(found), "an example is not written as one")
	require.NotEmpty(t, found)
	for _, m := range found {
		folder, name, says := m[1], m[2], strings.ReplaceAll(m[3], "\n> ", " ")
		t.Run(name, func(t *testing.T) {
			body := testBody(t, folder, name)
			for _, q := range quoted.FindAllStringSubmatch(says, -1) {
				assert.Contains(t, body, q[1])
			}
		})
	}
}

// testBody returns the source of a test.
func testBody(t *testing.T, folder, name string) string {
	files, err := filepath.Glob(filepath.Join(root, folder, "*_test.go"))
	require.NoError(t, err)
	for _, file := range files {
		raw, err := os.ReadFile(file)
		require.NoError(t, err)
		_, rest, ok := strings.Cut(string(raw), "\nfunc "+name+"(")
		if !ok {
			continue
		}
		body, _, _ := strings.Cut(rest, "\n}\n")
		return body
	}
	require.Fail(t, "there is no such test", "%s in %s", name, folder)
	return ""
}

// quotedFigure is a figure of the yardstick as docs/rules.md quotes it: a number or its word, at most
// three words before the sign.
var quotedFigure = regexp.MustCompile(`(\d[\d,.]*(?:–\d[\d,.]*)?|half|[Ff]our|ten)(%)?((?: [a-z]+){0,3})‡`)

// section is the text of a rule.
var section = regexp.MustCompile(`(?ms)^\*\*(\d+\.\d+) (.*?)(?:^\*\*|^## |\z)`)

// The figures that docs/rules.md quotes are those of the standard yardstick.
func TestQuotedFigures(t *testing.T) {
	text, _ := rules(t)
	standard := map[string][]float64{}
	for _, f := range yardstick.Standard().Figures() {
		if value, err := strconv.ParseFloat(f.Value, 64); err == nil {
			standard[f.Rule] = append(standard[f.Rule], value)
		}
	}
	quotes := 0
	for at := 0; ; {
		m := section.FindStringSubmatchIndex(text[at:])
		if m == nil {
			break
		}
		rule, says := text[at+m[2]:at+m[3]], text[at+m[4]:at+m[5]]
		at += m[5]
		for _, q := range quotedFigure.FindAllStringSubmatch(says, -1) {
			for _, value := range numbersOf(t, q[1]) {
				quotes++
				if q[2] == "%" && !slices.Contains(standard[rule], value) {
					value /= 100
				}
				assert.Contains(t, standard[rule], value, "rule %s says %s", rule, q[0])
			}
		}
	}
	assert.Greater(t, quotes, 50)
}

// numbersOf returns the numbers of a quoted figure, both of a range.
func numbersOf(t *testing.T, quoted string) (out []float64) {
	for _, one := range strings.Split(strings.ReplaceAll(quoted, ",", ""), "–") {
		word, ok := map[string]float64{"half": .5, "four": 4, "ten": 10}[strings.ToLower(one)]
		if ok {
			out = append(out, word)
			continue
		}
		value, err := strconv.ParseFloat(strings.TrimSuffix(one, "."), 64)
		require.NoError(t, err, quoted)
		out = append(out, value)
	}
	return out
}

// namedFile is a file or a folder of the repository as the documents name it.
var namedFile = regexp.MustCompile("`((?:core|internal|cmd|web|e2e|bench|docs|tools)/[A-Za-z0-9_./-]*[A-Za-z0-9_])`")

// What the documents name is there.
func TestNamedFiles(t *testing.T) {
	documents, err := filepath.Glob(filepath.Join(root, "docs/decisions/*.md"))
	require.NoError(t, err)
	found := 0
	for _, document := range append(documents, filepath.Join(root, "docs/architecture.md"),
		filepath.Join(root, "docs/rules.md"), filepath.Join(root, "docs/security.md"),
		filepath.Join(root, "README.md")) {
		text, err := os.ReadFile(document)
		require.NoError(t, err)
		for _, m := range namedFile.FindAllStringSubmatch(string(text), -1) {
			found++
			_, err := os.Stat(filepath.Join(root, m[1]))
			assert.NoError(t, err, "%s names %s", document, m[1])
		}
	}
	assert.Greater(t, found, 50)
}

// mapped is a place of the map of rules in docs/architecture.md, with the rules that it holds.
var mapped = regexp.MustCompile("`((?:core|internal)/[a-z/_.]+)`(?: \\(([\\d., to]+)\\))?")

// From the map of rules every rule is found in one hop: it stands in a comment of a place that the
// map gives for it or, where it gives none, for its chapter.
func TestMapOfRules(t *testing.T) {
	text, err := os.ReadFile(filepath.Join(root, "docs/architecture.md"))
	require.NoError(t, err)
	row := regexp.MustCompile(`(?m)^\| (\d+) [^|]*\| (.*) \|$`)
	places := map[string][]string{} // of a rule, and of a chapter those without a rule
	for _, m := range row.FindAllStringSubmatch(string(text), -1) {
		for _, p := range mapped.FindAllStringSubmatch(m[2], -1) {
			of := between(p[2])
			if len(of) == 0 {
				of = []string{m[1]}
			}
			for _, rule := range of {
				places[rule] = append(places[rule], p[1])
			}
		}
	}
	_, numbers := rules(t)
	for rule := range numbers {
		chapter, _, inner := strings.Cut(rule, ".")
		if !inner {
			continue
		}
		at := places[rule]
		if len(at) == 0 {
			at = places[chapter]
		}
		assert.True(t, slices.ContainsFunc(at, func(place string) bool { return cites(t, place, rule) }),
			"rule %s is not found in %v", rule, at)
	}
}

// between returns the numbers of a list such as 9.2 to 9.5, 9.7.
func between(list string) (out []string) {
	for _, part := range strings.Split(list, ", ") {
		first, last, isRange := strings.Cut(part, " to ")
		if !isRange {
			last = first
		}
		chapter, from, ok := strings.Cut(first, ".")
		_, to, _ := strings.Cut(last, ".")
		a, errA := strconv.Atoi(from)
		b, errB := strconv.Atoi(to)
		for n := a; ok && errA == nil && errB == nil && n <= b; n++ {
			out = append(out, chapter+"."+strconv.Itoa(n))
		}
	}
	return out
}

// cites reports whether a file, or one of a folder, names a rule.
func cites(t *testing.T, place, rule string) bool {
	files := []string{filepath.Join(root, place)}
	if filepath.Ext(place) == "" {
		var err error
		files, err = filepath.Glob(filepath.Join(root, place, "*.go"))
		require.NoError(t, err)
	}
	for _, file := range files {
		text, err := os.ReadFile(file)
		require.NoError(t, err)
		for _, m := range citation.FindAllStringSubmatch(wrapped.ReplaceAllString(string(text), " "), -1) {
			if slices.Contains(named(m[1]), rule) {
				return true
			}
		}
	}
	return false
}

// named returns the rules of a citation, those of a range too.
func named(cited string) (out []string) {
	for _, part := range regexp.MustCompile(`, | and `).Split(cited, -1) {
		if of := between(part); len(of) > 0 {
			out = append(out, of...)
		}
	}
	return out
}

package export

import (
	"fmt"
	"regexp"
	"strings"

	"inktally/internal/view"

	"github.com/goccy/go-yaml"
)

// maxYardstick is how large the file of a yardstick may be, in bytes.
const maxYardstick = 64 << 10

// Yardstick writes figures as YAML: one a line, each with what it means.
func Yardstick(figures []view.Figure) []byte {
	var b strings.Builder
	b.WriteString("# Ink Tally yardstick: change values, and read the file in again.\n")
	group := ""
	for _, f := range figures {
		if f.Group != group {
			group = f.Group
			fmt.Fprintf(&b, "\n# %s\n", group)
		}
		value, err := yaml.Marshal(map[string]any{f.Key: scalar(f)})
		if err != nil {
			continue // a number or a short text always is one
		}
		fmt.Fprintf(&b, "# %s (rule %s)\n%s", f.Says, f.Rule, value)
	}
	return []byte(b.String())
}

// scalar returns the value of a figure as YAML has it: a bare number, or a text.
func scalar(f view.Figure) any {
	if f.Least == 0 && f.Most == 0 || f.Unit == "lines" {
		return f.Value
	}
	var n float64
	if _, err := fmt.Sscan(f.Value, &n); err != nil {
		return f.Value
	}
	if n == float64(int64(n)) {
		return int64(n)
	}
	return n
}

// entry is a line of a flat file: a key with a number, a text, or the sign that the lines below are its text.
var entry = regexp.MustCompile(`^("?)[a-zA-Z0-9_.-]+("?):(?:[ \t]+(?:[|>][+-]?|"(?:[^"\\]|\\.)*"|'(?:[^']|'')*'|[^&*{}\[\]!?|>"'%@` + "`" + `#].*)?)?[ \t]*$`)

// flat reports whether a file is keys with values, a line each, and nothing nested: no anchors, no aliases, no merges,
// so that reading it costs what its lines do. The lines of a text stand further in than its key.
func flat(raw []byte) bool {
	block := false
	for line := range strings.Lines(string(raw)) {
		line = strings.TrimRight(line, "\r\n")
		text := strings.TrimSpace(line)
		switch {
		case text == "" || strings.HasPrefix(line, "#"):
		case strings.HasPrefix(line, " "):
			if !block {
				return false
			}
		case line == "---" || !entry.MatchString(line):
			if line != "---" {
				return false
			}
		default:
			sign := strings.TrimRight(text, "+-")
			block = strings.HasSuffix(sign, "|") || strings.HasSuffix(sign, ">")
		}
	}
	return true
}

// ReadYardstick reads figures written by Yardstick, by their keys.
func ReadYardstick(raw []byte) (map[string]string, error) {
	if len(raw) > maxYardstick {
		return nil, YardstickTooLarge.New(maxYardstick >> 10)
	}
	if !flat(raw) {
		return nil, YardstickNotYAML.New()
	}
	var values map[string]any
	if err := yaml.Unmarshal(raw, &values); err != nil || len(values) == 0 {
		return nil, YardstickNotYAML.New().Because(err)
	}
	out := make(map[string]string, len(values))
	for key, v := range values {
		switch v.(type) {
		case string, int, int64, uint64, float64:
			out[key] = strings.TrimSpace(fmt.Sprint(v))
		default:
			return nil, YardstickNotYAML.New()
		}
	}
	return out, nil
}

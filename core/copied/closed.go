package copied

import "strings"

// A text of fewLines lines or more of which mostLines of a hundred are parted from the next, or begin
// with a bullet, is one in which all are.
const (
	fewLines  = 8
	mostLines = 90
)

// closed returns the lines of a text as the page has them: a program that puts an empty line behind
// each of them, or a bullet before each, has said nothing by it.
func closed(lines []string) []string {
	full, parted, listed := 0, 0, 0
	for i, l := range lines {
		if strings.TrimSpace(l) == "" {
			continue
		}
		full++
		if i+1 == len(lines) || strings.TrimSpace(lines[i+1]) == "" {
			parted++
		}
		if _, ok := withoutBullet(l); ok {
			listed++
		}
	}
	if full < fewLines {
		return lines
	}
	apart, bullets := 100*parted >= mostLines*full, 100*listed >= mostLines*full
	out := make([]string, 0, len(lines))
	for i, l := range lines {
		empty := strings.TrimSpace(l) == ""
		if empty && apart && i > 0 && strings.TrimSpace(lines[i-1]) != "" {
			continue
		}
		if bullets {
			l, _ = withoutBullet(l)
		}
		out = append(out, l)
	}
	return out
}

// withoutBullet returns a line without the bullet it begins with, and whether it has one.
func withoutBullet(l string) (string, bool) {
	s := strings.TrimLeft(l, " \t\u00a0")
	for _, bullet := range []string{"• ", "* ", "- ", "▪ ", "◦ ", "‣ "} {
		if rest, ok := strings.CutPrefix(s, bullet); ok {
			return rest, true
		}
	}
	return l, false
}

package yardstick

import (
	"regexp"
	"slices"
	"strings"

	"inktally/core/copy"
)

// ofTexts are those that are proposed for a client's page, by language (rules 9.2, 10.1, 10.3).
func (y *Yardstick) ofTexts(t *table) {
	for _, tag := range copy.Tags() {
		ending := "." + tag
		if tag == "en" {
			ending = "" // what was kept before there were others
		}
		texts := y.Target.Copy.In(tag)
		line := func(key, rule string, at *string, blanks ...string) {
			t.list = append(t.list, figure{Figure: Figure{Key: key + ending, Rule: rule, Unit: Line, Most: 1,
				Language: tag, Blanks: blanks}, line: at})
		}
		lines := func(key, rule string, at *[]string, blanks ...string) {
			t.list = append(t.list, figure{Figure: Figure{Key: key + ending, Rule: rule, Unit: Lines, Most: 60,
				Language: tag, Blanks: blanks}, lines: at})
		}
		lines("copy.titles", "9.2", &texts.Titles, copy.Phrase, copy.State, copy.Firm, copy.Brand)
		lines("copy.descriptions", "9.2", &texts.Descriptions, copy.Phrase, copy.Firm, copy.Phone, copy.Towns)
		lines("copy.short_descriptions", "9.2", &texts.Short, copy.Phrase, copy.Firm, copy.Phone)
		lines("phrases.frames", "10.3", &texts.Sentences, copy.Phrase)
		for i := range texts.Standing {
			line("copy.heading."+texts.Standing[i].Key, "10.1", &texts.Standing[i].Heading)
		}
		line("copy.heading.services", "10.1", &texts.Services, copy.Town)
		line("copy.heading.questions", "10.1", &texts.Questions)
		line("copy.heading.towns", "10.1", &texts.Towns)
		line("copy.heading.about", "10.1", &texts.About, copy.Firm)
		line("copy.picture", "4.3", &texts.Picture)
	}
}

// longestLine is how many characters a line of a text may have.
const longestLine = 200

// blank is a place in a text that is filled in.
var blank = regexp.MustCompile(`\{[^{}]*\}`)

// checkLine finds what is wrong with a line.
func (f figure) checkLine(line string) error {
	if letters := []rune(line); len(letters) > longestLine {
		return TextLineTooLong.New(longestLine, string(letters[:longestLine]))
	}
	for _, b := range blank.FindAllString(line, -1) {
		if !slices.Contains(f.Blanks, b) {
			return TextUnknownBlank.New(b, line)
		}
	}
	if slices.Contains(f.Blanks, copy.Phrase) && strings.Count(line, copy.Phrase) != 1 {
		return TextNeedsPhrase.New(copy.Phrase, line)
	}
	return nil
}

// setLine puts a text of one line.
func (f figure) setLine(value string) error {
	value = strings.Join(strings.Fields(value), " ")
	if value == "" {
		return TextEmpty.New(f.Key)
	}
	if err := f.checkLine(value); err != nil {
		return err
	}
	*f.line = value
	return nil
}

// setLines puts texts, one a line.
func (f figure) setLines(value string) error {
	var lines []string
	for line := range strings.Lines(value) {
		if line = strings.TrimSpace(line); line == "" {
			continue
		}
		if err := f.checkLine(line); err != nil {
			return err
		}
		lines = append(lines, line)
	}
	if len(lines) == 0 {
		return TextEmpty.New(f.Key)
	}
	if float64(len(lines)) > f.Most {
		return FigureOutOfRange.New(f.Key, f.Least, f.Most)
	}
	*f.lines = lines
	return nil
}

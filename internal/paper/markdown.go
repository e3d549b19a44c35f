package paper

import (
	"slices"
	"strings"

	"inktally/internal/wording"
)

// Markdown writes a document as Markdown.
func Markdown(p *Paper) []byte {
	var m markdown
	m.line("# " + MarkdownText(p.Title))
	if p.Name != "" {
		m.line("\n" + MarkdownText(p.Name))
	}
	for i, under := range p.Under {
		if i == 0 {
			m.line("")
		}
		m.broken(MarkdownText(under), i == len(p.Under)-1)
	}
	for _, b := range p.Blocks {
		m.line("")
		m.block(b)
	}
	for _, end := range []string{p.Signature, p.Footer} {
		if end != "" {
			m.line("\n" + strings.Join(markdownLines(end), "  \n"))
		}
	}
	return []byte(m.String())
}

type markdown struct{ strings.Builder }

func (m *markdown) line(s string) { m.WriteString(s + "\n") }

// broken writes a line; two spaces before its end break it where it is not the last.
func (m *markdown) broken(s string, last bool) {
	if !last {
		s += "  "
	}
	m.line(s)
}

func (m *markdown) block(b Block) {
	switch b := b.(type) {
	case Heading:
		m.line(strings.Repeat("#", b.Level+1) + " " + MarkdownText(b.Text))
	case Text:
		m.line(markdownRuns(b))
	case Quote:
		m.line("> " + markdownRuns(b))
	case List:
		for _, i := range b.Items {
			m.item(b.Mark, i)
		}
	case Table:
		m.table(&b)
	case Tally:
		for _, r := range b {
			m.line("- " + MarkdownText(r.Name) + ": " + tallyWords(r))
		}
	}
}

func (m *markdown) item(mark Mark, i Item) {
	indent, mk := "", "- "
	if i.Inside {
		indent = "  "
	}
	if mark == Box {
		mk = "- [ ] "
	}
	m.broken(indent+mk+markdownRuns(i.Says), len(i.Under) == 0)
	for k, under := range i.Under {
		m.broken(indent+"  "+markdownRuns(under), k == len(i.Under)-1)
	}
}

func (m *markdown) table(t *Table) {
	row := func(cells []string) {
		for i := range cells {
			cells[i] = strings.ReplaceAll(cells[i], "|", `\|`)
		}
		m.line("| " + strings.Join(cells, " | ") + " |")
	}
	head, under := []string{}, []string{}
	for i, h := range t.Head {
		head = append(head, MarkdownText(h))
		if i >= t.Numbers {
			under = append(under, "--:")
		} else {
			under = append(under, "---")
		}
	}
	row(head)
	row(under)
	for _, r := range t.Rows {
		cells := []string{}
		for _, c := range r {
			cells = append(cells, markdownRuns(c))
		}
		row(cells)
	}
}

// tallyWords says a row of strokes.
func tallyWords(r TallyRow) string {
	says := wording.Count(r.Words, "word", "")
	if r.Write > 0 {
		says += ", " + wording.Number(r.Write) + " to write"
	}
	return says
}

func markdownRuns(runs []Run) string {
	var out []string
	for _, r := range runs {
		s := MarkdownText(r.Text)
		switch {
		case s == "":
			continue
		case r.Link != "":
			s = MarkdownLink(r.Link)
		case r.Style == Wanted || r.Style == Strong:
			s = "**" + s + "**"
		case r.Style == Struck:
			s = "~~" + s + "~~"
		}
		out = append(out, s)
	}
	return strings.Join(out, " ")
}

func markdownLines(s string) []string {
	lines := strings.Split(s, "\n")
	for i, l := range lines {
		lines[i] = MarkdownText(l)
	}
	return slices.DeleteFunc(lines, func(l string) bool { return l == "" })
}

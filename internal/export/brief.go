package export

import (
	"fmt"
	"slices"
	"strings"
	"time"
)

// Brief is a brief in words.
type Brief struct {
	Title     string
	URL, Lead string // empty for none
	Date      time.Time
	Words     Says
	Why       string
	Sections  []BriefSection
	// Stays is what of the page stays as it is, under a title of its own.
	StaysTitle string
	Stays      []string
	Note       string // what gains are
}

// Says is an instruction: its middle is what is to be written.
type Says struct{ Before, Pencil, After string }

// BriefSection is a part of a brief with what is to be done.
type BriefSection struct {
	Title string
	Items []BriefItem
}

// BriefItem is an item to tick off: what it is of, what there is now, what it brings and takes.
type BriefItem struct {
	Name string
	// Heads reports whether it is a section to write: the items that go into it follow.
	Heads bool
	Says
	Now, Takes string
}

// BriefMarkdown writes a brief as Markdown.
func BriefMarkdown(b *Brief) []byte {
	var out strings.Builder
	fmt.Fprintf(&out, "# %s\n\n", MarkdownText(b.Title))
	if b.URL != "" {
		fmt.Fprintf(&out, "URL: %s  \n", MarkdownLink(b.URL))
	}
	if b.Lead != "" {
		fmt.Fprintf(&out, "First phrase: %s  \n", MarkdownText(b.Lead))
	}
	fmt.Fprintf(&out, "Written on %s\n\n## Words\n\n%s\n", b.Date.Format("January 2, 2006"), b.Words.markdown())
	if b.Why != "" {
		fmt.Fprintf(&out, "\nWhy: %s\n", MarkdownText(b.Why))
	}
	for _, s := range b.Sections {
		fmt.Fprintf(&out, "\n## %s\n\n", s.Title)
		for _, i := range s.Items {
			i.markdown(&out)
		}
	}
	if len(b.Stays) > 0 {
		fmt.Fprintf(&out, "\n## %s\n\n", b.StaysTitle)
		for _, s := range b.Stays {
			fmt.Fprintf(&out, "- %s\n", MarkdownText(s))
		}
	}
	fmt.Fprintf(&out, "\n%s\n", b.Note)
	return []byte(out.String())
}

func (i *BriefItem) markdown(out *strings.Builder) {
	says := i.Says.markdown()
	if i.Heads {
		out.WriteString("\n")
	} else {
		says = i.Name + ": " + says
	}
	lines := []string{"- [ ] " + says}
	for _, more := range []string{MarkdownText(i.Now), i.Takes} {
		if more != "" {
			lines = append(lines, "  "+more)
		}
	}
	out.WriteString(strings.Join(lines, "  \n") + "\n") // two spaces before its end break a line
}

// markdown writes an instruction with what is to be written in bold.
func (s Says) markdown() string {
	pencil := MarkdownText(s.Pencil)
	if pencil != "" {
		pencil = "**" + pencil + "**"
	}
	pieces := []string{MarkdownText(s.Before), pencil, MarkdownText(s.After)}
	return strings.Join(slices.DeleteFunc(pieces, func(p string) bool { return p == "" }), " ")
}

package export

import (
	"fmt"
	"math"
	"strings"
	"time"
)

// Walk is a walk-through in words.
type Walk struct {
	Client string
	Date   time.Time
	// Minutes is how long it takes to say.
	Minutes float64
	Steps   []WalkStep
}

// WalkStep is a step of it: its headline, what is shown in lines, and what is said.
type WalkStep struct {
	Head   string
	Shown  []string
	Points []string
}

// WalkMarkdown writes a walk-through as Markdown.
func WalkMarkdown(w *Walk) []byte {
	var out strings.Builder
	fmt.Fprintf(&out, "# %s\n\nWalk-through, %s, about %.0f minutes to say.\n", MarkdownText(w.Client),
		w.Date.Format("January 2, 2006"), math.Max(1, math.Round(w.Minutes)))
	for i, s := range w.Steps {
		fmt.Fprintf(&out, "\n## %d. %s\n\n", i+1, MarkdownText(s.Head))
		for _, line := range s.Shown {
			fmt.Fprintf(&out, "- %s\n", MarkdownText(line))
		}
		if len(s.Shown) > 0 {
			out.WriteString("\n")
		}
		for _, p := range s.Points {
			fmt.Fprintf(&out, "> %s\n", MarkdownText(p))
		}
	}
	return []byte(out.String())
}

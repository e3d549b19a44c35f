package told

import (
	"time"

	"inktally/core/handoff"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Brief is a page's targets as a writer needs them.
type Brief struct {
	Client   string         `json:"client"`
	Page     view.PageInfo  `json:"page"`
	Date     time.Time      `json:"date"`
	Lead     string         `json:"lead"`
	Unit     view.GainUnit  `json:"unit"`
	UnitNote string         `json:"unit_note" doc:"What gains are, in a sentence"`
	Words    BriefWords     `json:"words"`
	Sections []BriefSection `json:"sections"`
	Stays    []string       `json:"stays" doc:"What of the page stays as it is"`
}

// BriefWords is the figure at the head of a brief.
type BriefWords struct {
	Now      int    `json:"now" doc:"Words seen now"`
	Target   int    `json:"target"`
	ToWrite  int    `json:"to_write"`
	Writer   int    `json:"writer" doc:"Copy to hand in: the target less menus and footers"`
	Hold     bool   `json:"hold"`
	Evidence string `json:"evidence"`
}

// BriefSection is a part of a brief.
type BriefSection struct {
	Part  view.BriefPart `json:"part"`
	Title string         `json:"title"`
	Lines []BriefLine    `json:"lines"`
}

// BriefLine is a line of a brief.
type BriefLine struct {
	view.Part
	Heads  bool `json:"heads" doc:"It is a section to write; the lines that go into it follow"`
	Inside bool `json:"inside" doc:"It goes into the section above it"`
}

// BriefOf shows what a brief asks for.
func BriefOf(w wording.Teller, b handoff.Brief, unit wording.Unit) *Brief {
	t := b.Words
	out := &Brief{Unit: view.GainUnit(unit), UnitNote: wording.UnitNote(unit), Sections: []BriefSection{},
		Stays: []string{}, Words: BriefWords{Target: t.Target, ToWrite: t.ToWrite, Writer: t.Writer, Hold: t.Hold}}
	for _, s := range b.Sections {
		section := BriefSection{Part: view.BriefPart(s.Where), Title: wording.Where(s.Where), Lines: []BriefLine{}}
		for _, l := range s.Lines {
			line := BriefLine{Part: view.PartOf(l.Part, w.BriefLine(l)), Heads: l.Heads(), Inside: l.Inside()}
			line.Name = wording.LineName(l)
			section.Lines = append(section.Lines, line)
		}
		out.Sections = append(out.Sections, section)
	}
	for _, s := range b.Stays {
		out.Stays = append(out.Stays, wording.Stays(s))
	}
	return out
}

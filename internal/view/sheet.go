package view

import (
	"strings"
	"time"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/wordtarget"
	"inktally/internal/wording"
)

// Sheet is the client's page and the rivals', side by side.
type Sheet struct {
	Page     PageInfo    `json:"page"`
	Families []Family    `json:"families" doc:"Of the page: its first one, then in order of gain"`
	Columns  []Column    `json:"columns" doc:"The client's page first, then its draft if one was kept, then the rivals' in order"`
	Target   SheetTarget `json:"target"`
}

// Family is a family of the page's phrases.
type Family struct {
	Key     string         `json:"key" doc:"The same from run to run; everything else speaks of the family by it"`
	Lead    string         `json:"lead"`
	Members []FamilyMember `json:"members" doc:"The lead, then the others and the leads of the families folded under it, those searched for most first"`
	Gain    float64        `json:"gain" doc:"Of the family's row, as the book has it; an estimate"`
	Near    bool           `json:"near" doc:"It asks for what is near: it is asked for in no text"`
}

// FamilyMember is a phrase of a family's row.
type FamilyMember struct {
	Text     string `json:"text"`
	Searches *int   `json:"searches" doc:"A month, null if it is not known"`
	Wanted   bool   `json:"wanted" doc:"It is searched for enough to stand exactly on the page"`
	Also     bool   `json:"also" doc:"The lead of a family that is folded under the row"`
}

// Column is one page of a sheet.
type Column struct {
	Role          string            `json:"role" enum:"client,draft,rival"`
	EntryID       int64             `json:"entry_id" doc:"The rival's lineup entry, 0 for the client, -1 for its draft"`
	Name          string            `json:"name"`
	Standing      string            `json:"standing" doc:"Where the rival stood in the search"`
	URL           string            `json:"url"`
	ReadingID     int64             `json:"reading_id" doc:"0 if the page was not read"`
	TakenAt       *time.Time        `json:"taken_at"`
	Source        Source            `json:"source" doc:"Where the reading came from"`
	Mode          ReadMode          `json:"mode" doc:"How it is to be read"`
	RobotsIgnored bool              `json:"robots_ignored" doc:"Its site asks programs not to read it"`
	Redirects     []string          `json:"redirects" doc:"The addresses that led on to the page"`
	Note          *Failure          `json:"note" doc:"What is to be known of how it came in, null for nothing"`
	Failure       *Failure          `json:"failure" doc:"Why the last attempt to read it failed, null if it did not"`
	Title         string            `json:"title"`
	Description   string            `json:"description"`
	Lang          string            `json:"lang"`
	Words         Words             `json:"words"`
	Own           *int              `json:"own" doc:"Copy words that its site does not repeat, null if its site was not surveyed"`
	Families      []FamilyPlacement `json:"families" doc:"One for each family of the sheet"`
	Headings      []Heading         `json:"headings" doc:"The first of them where there are very many"`
	HeadingCount  int               `json:"heading_count"`
	Images        []Image           `json:"images" doc:"The first of them where there are very many"`
	ImageCount    int               `json:"image_count"`
	WithAlt       int               `json:"with_alt" doc:"Images with an alt text"`
	Carrying      int               `json:"carrying" doc:"Images whose names hold a phrase"`
	Warnings      []Warning         `json:"warnings"`
	Details       *Details          `json:"details" doc:"Null if the page was not read"`
	None          bool              `json:"none" doc:"The rival has no page like the client's, as far as its site is known"`
	Like          string            `json:"like" doc:"Why it is the comparable page, empty for the page that was found"`
	Chosen        bool              `json:"chosen" doc:"A person said that it is the comparable page, or that there is none"`
	SetAside      bool              `json:"set_aside" doc:"Too far above the others to count for the mark"`
	Unlike        bool              `json:"unlike" doc:"A page of another kind: it counts for no mark"`
}

// FamilyPlacement is where a family stands in a page.
type FamilyPlacement struct {
	Family string `json:"family" doc:"Its key"`
	Placement
	Members []Slots `json:"members" doc:"Where each member of the row stands exactly, in the order of the sheet's"`
}

// Placement is where a phrase or a family stands in a page.
type Placement struct {
	Exact  Slots `json:"exact"`
	Loose  Slots `json:"loose"`
	InCopy int   `json:"in_copy" doc:"In headings and body, exact and loose"`
}

// Slots are the occurrences of a phrase in each slot.
type Slots struct {
	Title       int `json:"title"`
	Description int `json:"description"`
	Address     int `json:"address" doc:"Words of the address's path"`
	H1          int `json:"h1"`
	Subheads    int `json:"subheads" doc:"h2 to h6"`
	Opening     int `json:"opening" doc:"The first 100 words of the body; part of it"`
	Body        int `json:"body" doc:"Copy blocks that are no headings"`
	Links       int `json:"links" doc:"Anchor texts; they stand in other slots too"`
	ImageNames  int `json:"image_names"`
	Alt         int `json:"alt"`
	Elsewhere   int `json:"elsewhere" doc:"Visible blocks outside the copy that are no headings"`
	Total       int `json:"total" doc:"h1 + subheads + body + elsewhere: all visible text once"`
}

// PlacementOf shows a placement.
func PlacementOf(p sheet.Placement) Placement {
	return Placement{Slots(p.Exact), Slots(p.Loose), p.InCopy}
}

// Image is an image of a page with the verdict on its file name.
type Image struct {
	Src         string      `json:"src"`
	File        string      `json:"file" doc:"Without folder, query, extension and size suffix; empty for inline data"`
	Ext         string      `json:"ext" doc:"With its point"`
	Alt         *string     `json:"alt" doc:"Null if the attribute is absent"`
	Hidden      bool        `json:"hidden"`
	Background  bool        `json:"background" doc:"The background of an element"`
	Frame       bool        `json:"frame" doc:"In a menu, header or footer"`
	Heading     string      `json:"heading" doc:"The nearest heading above"`
	Width       int         `json:"width" doc:"Pixels, as the page or the file's name gives it; 0 for none"`
	Height      int         `json:"height" doc:"Pixels, as the page or the file's name gives it; 0 for none"`
	Link        string      `json:"link" doc:"Where the link leads that it stands in, empty for none"`
	Baked       bool        `json:"baked" doc:"Large, hardly any text near it: words may be part of the picture"`
	Verdict     VerdictCode `json:"verdict"`
	VerdictSays string      `json:"verdict_says"`
	Proposal    string      `json:"proposal" doc:"A better name with its extension, empty for none"`
}

// ImageOf shows an image.
func ImageOf(i page.Image, v imagename.Verdict) Image {
	return Image{Src: i.Src, File: i.File, Ext: i.Ext, Alt: i.Alt, Hidden: i.Hidden, Background: i.Background,
		Frame:   i.Frame,
		Heading: i.Heading, Width: i.Width, Height: i.Height, Link: i.Link, Baked: i.Baked, Verdict: VerdictCode(v),
		VerdictSays: wording.Verdict(v, i.File)}
}

// Measured puts what was measured of a page on its column.
func (c *Column) Measured(m *sheet.Column) {
	p := m.Page
	c.Title, c.Description, c.Lang, c.Words = p.Title, p.Description, p.Lang, WordsOf(p.Words)
	for i, f := range m.Criteria.Families {
		c.Families = append(c.Families, FamilyPlacement{f.Key, PlacementOf(m.Families[i]), []Slots{}})
	}
	c.HeadingCount, c.ImageCount = len(p.Headings), len(p.Images)
	for _, h := range firstOf(p.Headings, mostHeadings) {
		c.Headings = append(c.Headings, Heading(h))
	}
	for i, img := range firstOf(p.Images, mostImages) {
		c.Images = append(c.Images, ImageOf(img, m.Verdicts[i]))
	}
	for _, img := range p.Images {
		if img.Alt != nil && strings.TrimSpace(*img.Alt) != "" {
			c.WithAlt++
		}
	}
	c.Carrying, c.Warnings, c.Details = m.Carrying(), WarningsOf(p.Warnings), DetailsOf(p)
}

// SheetTarget is the column of what the client's page should have.
type SheetTarget struct {
	Words    WordTarget    `json:"words"`
	Wanted   []WantedSlots `json:"wanted" doc:"One for each family of the sheet"`
	Carrying int           `json:"carrying" doc:"Images whose names should hold a phrase"`
	H1       string        `json:"h1" doc:"What the H1 should say, empty if it does"`
	MarkOf   int           `json:"mark_of" doc:"The column whose figure is the mark, else -1"`
	Beat     string        `json:"beat" doc:"By how much the mark is to be beaten"`
}

// WantedSlots are the slots in which a family should stand exactly.
type WantedSlots struct {
	Family string     `json:"family" doc:"Its key"`
	Slots  []SlotCode `json:"slots"`
}

// WordTarget is how many words a page needs and why, with the figures of the
// yardstick that decided it.
type WordTarget struct {
	Target        int       `json:"target" doc:"Words seen that the page should have"`
	ToWrite       int       `json:"to_write" doc:"What is missing, 0 if the page holds"`
	Hold          bool      `json:"hold" doc:"The page has enough: the work is placement"`
	Writer        int       `json:"writer" doc:"The copy to hand in: the target less the page's frame"`
	Frame         int       `json:"frame"`
	Mark          float64   `json:"mark" doc:"The rivals' figure to beat, 0 without rivals"`
	MarkOf        int       `json:"mark_of" doc:"The rival whose figure the mark is, else -1"`
	Beat          float64   `json:"beat" doc:"The mark and what is to be added to it"`
	Rule          WordRule  `json:"rule" doc:"What decided the target"`
	SetAside      []int     `json:"set_aside" doc:"Rivals too far above the others to count"`
	BeatsMark     bool      `json:"beats_mark" doc:"False if the ceiling keeps the target from the mark"`
	Guideline     Guideline `json:"guideline"`
	BeatWords     float64   `json:"beat_words" doc:"The mark is beaten by this many words at least"`
	BeatPercent   float64   `json:"beat_percent" doc:"The mark is beaten by this share"`
	OutlierFactor float64   `json:"outlier_factor" doc:"Over so many times the median of all, and above the ceiling, a rival does not count"`
	Step          int       `json:"step" doc:"Targets are rounded up to it"`
}

// Guideline is how many words a kind of page should have.
type Guideline struct {
	Low     int `json:"low"`
	High    int `json:"high"`
	Ceiling int `json:"ceiling" doc:"No target goes beyond it"`
}

// WordTargetOf shows a word target.
func WordTargetOf(w wordtarget.Target) WordTarget {
	return WordTarget{Target: w.Target, ToWrite: w.ToWrite, Hold: w.Hold, Writer: w.Writer, Frame: w.Frame,
		Mark: w.Mark, MarkOf: w.MarkOf,
		Beat: w.Beat, Rule: WordRule(w.Rule), SetAside: w.SetAside, BeatsMark: w.BeatsMark,
		Guideline: Guideline(w.Guideline),
		BeatWords: w.Figures.BeatWords, BeatPercent: w.Figures.BeatPercent, OutlierFactor: w.Figures.OutlierFactor,
		Step: w.Figures.Step}
}

// MadeOf is what a page's copy is made of, and what the rivals' have in common.
type MadeOf struct {
	Sequences []Sequence    `json:"sequences" doc:"The most frequent first"`
	Shared    []SharedWords `json:"shared" doc:"What rivals have in common, those on most pages first"`
	Counted   int           `json:"counted" doc:"How many words of the copy were looked at where these are not all of them, else 0"`
}

// Sequence is words that stand one after another in a page's copy more than
// once.
type Sequence struct {
	Text  string  `json:"text" doc:"With the capitals of places"`
	Words int     `json:"words"`
	Count int     `json:"count"`
	Rate  float64 `json:"rate" doc:"Occurrences in 1,000 copy words"`
}

// SharedWords is a sequence that rivals have in common.
type SharedWords struct {
	Text    string  `json:"text" doc:"With the capitals of places"`
	Rivals  int     `json:"rivals" doc:"On how many of their pages it stands"`
	Median  float64 `json:"median" doc:"The median of their rates in 1,000 copy words"`
	Own     int     `json:"own" doc:"How often it stands in the client's copy"`
	Missing bool    `json:"missing"`
	Named   bool    `json:"named" doc:"It names a service or a place of the client"`
}

package yardstick

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"inktally/core/wordtarget"
)

// Unit is what a figure is in.
type Unit string

// The units.
const (
	Share     Unit = "share" // of 1
	Percent   Unit = "percent"
	WordCount Unit = "words"
	Minutes   Unit = "minutes"
	Months    Unit = "months"
	Visits    Unit = "visits" // a month
	Position  Unit = "position"
	Count     Unit = "count"
	Letters   Unit = "characters"
	Times     Unit = "times"
	// Rate is in 1,000 words.
	Rate   Unit = "per_thousand"
	Choice Unit = "choice"
	// Line is a text of one line, Lines are several.
	Line  Unit = "line"
	Lines Unit = "lines"
	// Kilometers are as the crow flies.
	Kilometers Unit = "kilometers"
	// Tags are those of languages, none for nothing.
	Tags Unit = "tags"
)

// Units returns all of them.
func Units() []Unit {
	return []Unit{Share, Percent, WordCount, Minutes, Months, Visits, Position, Count, Letters, Times, Rate, Choice,
		Line, Lines, Kilometers, Tags}
}

// Figure is one figure of a yardstick as it is told.
type Figure struct {
	// Key stays the same for ever: what was kept goes by it.
	Key  string
	Unit Unit
	// Rule is the number of the rule that it is of.
	Rule string
	// Least and Most are its bounds; Choices those of a figure that is none.
	Least, Most float64
	Choices     []string
	// Language is the tag of the language that a text is in, empty for all that is none; Blanks are what it may have
	// filled in, such as {phrase}, which it must have where it is one of them.
	Language string
	Blanks   []string
	// Value and Default are as they are written down.
	Value, Default string
}

// figure is a Figure with its place in a yardstick: one of the six.
type figure struct {
	Figure
	whole    *int
	fraction *float64
	choice   *wordtarget.MarkRule
	line     *string
	lines    *[]string
	tags     *[]string // of languages
}

func (f figure) value() string {
	switch {
	case f.whole != nil:
		return strconv.Itoa(*f.whole)
	case f.fraction != nil:
		return strconv.FormatFloat(*f.fraction, 'f', -1, 64)
	case f.line != nil:
		return *f.line
	case f.lines != nil:
		return strings.Join(*f.lines, "\n")
	case f.tags != nil:
		return strings.Join(*f.tags, ", ")
	}
	return string(*f.choice)
}

// set puts a value that is within the bounds.
func (f figure) set(value string) error {
	value = strings.TrimSpace(value)
	switch {
	case f.line != nil:
		return f.setLine(value)
	case f.lines != nil:
		return f.setLines(value)
	case f.tags != nil:
		return f.setTags(value)
	case f.choice != nil:
		if !slices.Contains(f.Choices, value) {
			return FigureOutOfRange.New(f.Key, f.Choices[0], f.Choices[len(f.Choices)-1])
		}
		*f.choice = wordtarget.MarkRule(value)
		return nil
	}
	n, err := strconv.ParseFloat(value, 64)
	if err != nil || !(n >= f.Least && n <= f.Most) || f.whole != nil && n != float64(int(n)) {
		return FigureOutOfRange.New(f.Key, f.Least, f.Most)
	}
	if f.whole != nil {
		*f.whole = int(n)
	} else {
		*f.fraction = n
	}
	return nil
}

// Figures returns all figures with their values and defaults.
func (y Yardstick) Figures() []Figure {
	standard := Standard()
	defaults := standard.figures()
	var out []Figure
	for i, f := range y.figures() {
		f.Value, f.Default = f.value(), defaults[i].value()
		out = append(out, f.Figure)
	}
	return out
}

// table gathers the figures of a yardstick.
type table struct{ list []figure }

func (t *table) whole(key, rule string, unit Unit, least, most int, at *int) {
	t.list = append(t.list, figure{Figure: Figure{Key: key, Rule: rule, Unit: unit, Least: float64(least),
		Most: float64(most)}, whole: at})
}

func (t *table) fraction(key, rule string, unit Unit, least, most float64, at *float64) {
	t.list = append(t.list, figure{Figure: Figure{Key: key, Rule: rule, Unit: unit, Least: least, Most: most},
		fraction: at})
}

func (y *Yardstick) figures() []figure {
	t := &table{}
	y.ofVisits(t)
	y.ofBook(t)
	y.ofWords(t)
	y.ofTargets(t)
	y.ofStanding(t)
	return t.list
}

func (y *Yardstick) ofVisits(t *table) {
	v := &y.Visits
	for i := range v.CTR {
		t.fraction(fmt.Sprintf("visits.ctr.%d", i+1), "7.1", Share, 0, 1, &v.CTR[i])
	}
	t.fraction("visits.ctr.11_20", "7.1", Share, 0, 1, &v.Second)
	t.fraction("visits.ctr.21_30", "7.1", Share, 0, 1, &v.Third)
	for i := range v.Map {
		t.fraction(fmt.Sprintf("visits.map.%d", i+1), "7.1", Share, 0, 1, &v.Map[i])
	}
	t.fraction("visits.others", "7.3", Share, 0, 1, &v.Others)
	for i := range v.Aims {
		t.whole(fmt.Sprintf("visits.aim.%d.difficulty", i+1), "7.2", Count, 0, 100, &v.Aims[i].Difficulty)
		t.whole(fmt.Sprintf("visits.aim.%d.position", i+1), "7.2", Position, 1, 30, &v.Aims[i].Position)
	}
	t.whole("visits.aim.else", "7.2", Position, 1, 30, &v.Else)
	t.whole("visits.aim.unknown", "7.2", Position, 1, 30, &v.Unknown)
	t.fraction("visits.soon", "7.2", Months, 0, 60, &v.Soon)
	t.fraction("visits.late", "7.2", Months, 0, 60, &v.Late)
	t.whole("visits.soon_at", "7.2", Count, 0, 100, &v.SoonAt)
	t.whole("visits.late_at", "7.2", Count, 0, 100, &v.LateAt)
}

func (y *Yardstick) ofBook(t *table) {
	b, l := &y.Book, &y.Lineup
	t.whole("book.near_miss.from", "3.9", Position, 1, 100, &b.NearMissFrom)
	t.whole("book.near_miss.to", "3.9", Position, 1, 100, &b.NearMissTo)
	t.whole("book.near_miss.difficulty", "3.9", Count, 0, 100, &b.NearMissDifficulty)
	t.fraction("book.area_gain", "9.1", Visits, 0, 100_000, &b.AreaGain)
	t.whole("book.member_searches", "9.3", Count, 0, 100_000, &b.MemberSearches)
	t.fraction("book.member_percent", "9.3", Percent, 0, 100, &b.MemberPercent)
	t.whole("book.members", "9.3", Count, 0, 20, &b.Members)
	t.fraction("book.also_share", "3.10", Share, 0, 1, &b.AlsoShare)
	t.fraction("book.community_km", "5.4", Kilometers, 1, 200, &b.CommunityKm)
	t.whole("book.page_families", "9.3", Count, 1, 100, &b.PageFamilies)
	t.whole("lineup.most", "6.2", Count, 0, 20, &l.Most)
	t.whole("lineup.pack", "6.2", Count, 0, 20, &l.Pack)
	t.whole("lineup.organic", "6.2", Position, 0, 100, &l.Organic)
}

func (y *Yardstick) ofWords(t *table) {
	w := &y.Target
	for _, g := range []struct {
		page string
		at   *wordtarget.Guideline
	}{{"home", &w.Words.Home}, {"service", &w.Words.Service}} {
		t.whole("words."+g.page+".low", "8.1", WordCount, 0, 20_000, &g.at.Low)
		t.whole("words."+g.page+".high", "8.1", WordCount, 0, 20_000, &g.at.High)
		t.whole("words."+g.page+".ceiling", "8.1", WordCount, 0, 20_000, &g.at.Ceiling)
	}
	choices := []string{}
	for _, r := range wordtarget.MarkRules() {
		choices = append(choices, string(r))
	}
	t.list = append(t.list, figure{Figure: Figure{Key: "words.mark", Rule: "8.2", Unit: Choice, Choices: choices},
		choice: &w.Words.Mark})
	t.fraction("words.outlier", "8.2", Times, 1, 100, &w.Words.OutlierFactor)
	t.fraction("words.beat_words", "8.3", WordCount, 0, 10_000, &w.Words.BeatWords)
	t.fraction("words.beat_percent", "8.3", Percent, 0, 500, &w.Words.BeatPercent)
	t.whole("words.step", "8.4", WordCount, 1, 1000, &w.Words.Step)
	t.fraction("words.writer_percent", "8.6", Percent, 0, 100, &w.Words.WriterPercent)
}

func (y *Yardstick) ofTargets(t *table) {
	r, weights, minutes := &y.Target, &y.Target.Weights, &y.Target.Minutes
	for _, w := range []struct {
		key string
		at  *float64
	}{{"words", &weights.Words}, {"title", &weights.Title}, {"h1", &weights.H1}, {"subheads", &weights.Subheads},
		{"body", &weights.Body},
		{"image_names", &weights.ImageNames}, {"opening", &weights.Opening}, {"address", &weights.Address},
		{"alt", &weights.Alt},
		{"description", &weights.Description}} {
		t.fraction("weight."+w.key, "12.1", Percent, 0, 100, w.at)
	}
	for _, m := range []struct {
		key string
		at  *float64
	}{{"hundred_words", &minutes.HundredWords}, {"title", &minutes.Title}, {"h1", &minutes.H1},
		{"phrase", &minutes.Phrase},
		{"image_name", &minutes.ImageName}, {"alt", &minutes.Alt}, {"new_page", &minutes.NewPage},
		{"place", &minutes.Place},
		{"redirect", &minutes.Redirect}, {"merge", &minutes.Merge}, {"fix", &minutes.Fix},
		{"https", &minutes.Secure}, {"structured_data", &minutes.Data}, {"testimonial", &minutes.Testimonial},
		{"listing", &minutes.Listing}, {"cut_back", &minutes.CutBack}} {
		t.fraction("minutes."+m.key, "12.3", Minutes, 0, 10_000, m.at)
	}
	t.whole("phrases.words_per_family", "9.3", WordCount, 1, 10_000, &r.WordsPerFamily)
	t.whole("phrases.title_start", "9.2", Letters, 1, 500, &r.TitleStart)
	t.whole("images.carrying_home", "10.2", Count, 0, 100, &r.CarryingHome)
	t.whole("images.carrying_other", "10.2", Count, 0, 100, &r.CarryingOther)
	t.fraction("phrases.rate.usual", "9.4", Rate, 0, 100, &r.Rate.Usual)
	t.fraction("phrases.rate.least", "9.4", Rate, 0, 100, &r.Rate.Least)
	t.fraction("phrases.rate.most", "9.4", Rate, 0, 100, &r.Rate.Most)
	t.fraction("phrases.rate.per_tokens", "9.4", Rate, 1, 1000, &r.Rate.PerTokens)
	t.fraction("phrases.density", "9.5", Percent, 0.1, 100, &r.Rate.Density)
	y.ofOutline(t)
	t.fraction("gain.redirect", "12.2", Percent, 0, 100, &r.RedirectPercent)
	t.fraction("gain.vague_words", "12.2", Percent, 0, 100, &r.VaguePercent)
	t.fraction("order.slices", "12.4", Percent, 0, 100, &r.SlicePercent)
	y.ofTexts(t)
}

func (y *Yardstick) ofOutline(t *table) {
	r := &y.Target.Outline
	for _, s := range []struct {
		key string
		at  *float64
	}{{"lead", &r.Shares.Lead}, {"services", &r.Shares.Services}, {"questions", &r.Shares.Questions},
		{"places", &r.Shares.Places},
		{"about", &r.Shares.About}} {
		t.fraction("outline."+s.key, "10.1", Percent, 0, 100, s.at)
	}
	t.whole("outline.kept_words", "10.1", WordCount, 0, 10_000, &r.KeptWords)
	t.whole("outline.slice_words", "10.1", WordCount, 20, 10_000, &r.SliceWords)
	t.whole("outline.shared_by", "10.1", Count, 1, 20, &r.SharedBy)
}

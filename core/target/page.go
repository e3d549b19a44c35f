package target

import (
	"strings"

	"inktally/core/imagename"
	"inktally/core/sheet"
	"inktally/core/site"
)

// Targets works out all targets of a page, in the order in which they are
// worth doing.
func (y Rules) Targets(p Page) []Target {
	words := y.WordTarget(p.Kind, p.seen(), p.frame(), p.rivalWords())
	b := builder{y: y, p: p, words: words}
	b.placeFirst()
	b.placeOthers()
	b.nameImages()
	if p.Client == nil {
		return []Target{b.newPage()}
	}
	b.writeWords()
	return Order(b.out)
}

func (p Page) seen() int {
	if p.Client == nil {
		return 0
	}
	return p.Client.Page.Words.Seen
}

func (p Page) frame() int {
	if p.Client == nil {
		return p.Frame
	}
	return p.Client.Page.Words.Frame()
}

func (p Page) rivalWords() []int {
	out := make([]int, len(p.Rivals))
	for i, r := range p.Rivals {
		out[i] = r.Page.Words.Seen
	}
	return out
}

// builder gathers the targets of one page.
type builder struct {
	y     Rules
	p     Page
	words WordTarget
	out   []Target
}

// placeFirst places the page's first family (rule 9.2).
func (b *builder) placeFirst() {
	if len(b.p.Leads) == 0 {
		return
	}
	lead := b.p.Leads[0]
	for _, slot := range FirstSlots(b.p.Kind) {
		b.place(lead, slot)
	}
	b.placeLead(lead)
}

// FirstSlots are the slots in which the first family of a page must stand
// exactly (rule 9.2).
func FirstSlots(kind site.Kind) []sheet.Slot {
	slots := []sheet.Slot{sheet.Title, sheet.H1, sheet.Subheads, sheet.Opening, sheet.ImageNames, sheet.Alt, sheet.Description}
	if kind.ForOneSubject() {
		slots = append(slots, sheet.Address)
	}
	return slots
}

// target begins a target of a kind about a family.
func (b *builder) target(rule KindRule, lead Lead) Target {
	return Target{Key: key(rule.Kind, lead.Family), Kind: rule.Kind, Phrase: lead.Text, Family: lead.Family, Image: -1,
		Minutes: rule.minutes(b.y.Minutes), Now: b.now(rule)}
}

// weighted is the gain of a family in a slot of which a share is missing
// (rule 12.2).
func (b *builder) weighted(rule KindRule, lead Lead, missing float64) float64 {
	return lead.Gain * rule.weight(b.y.Weights) / 100 * missing
}

// half is the share that is missing of what stands there loosely.
const half = 0.5

// place asks for a family in a slot unless it stands there.
func (b *builder) place(lead Lead, slot sheet.Slot) {
	if slot == sheet.ImageNames {
		return // the image's own target says it: nameImages
	}
	rule := placing(slot)
	t := b.target(rule, lead)
	missing := 1.0
	if c := b.p.Client; c != nil {
		placed := c.Family(lead.Family)
		if placed.Exact.In(slot) > 0 {
			if slot != sheet.Title || c.TitlePosition(lead.Family) < b.y.TitleStart {
				return
			}
			t.Late, t.Within = true, b.y.TitleStart
		}
		if t.Loose = placed.Loose.In(slot) > 0; t.Loose || t.Late {
			missing = half
		}
	}
	t.Gain = b.weighted(rule, lead, missing)
	b.countRivals(&t, slot)
	b.add(t)
}

// placeLead asks for the lead itself: exactly in title or h1 and once in the
// body (rule 9.2). Title and h1 are asked for anyway; if they hold another
// member, the h1 is the one to change.
func (b *builder) placeLead(lead Lead) {
	c := b.p.Client
	if c != nil {
		exact, family := c.Phrase(lead.Text).Exact, c.Family(lead.Family).Exact
		if exact.Title+exact.H1 == 0 && family.Title > 0 && family.H1 > 0 {
			t := b.target(RuleOf(H1), lead)
			t.Lead, t.Loose, t.Gain = true, true, b.weighted(RuleOf(H1), lead, half)
			b.countRivals(&t, sheet.H1)
			b.add(t)
		}
		if exact.Body > 0 {
			return
		}
	}
	rule := RuleOf(Body)
	t := b.target(rule, lead)
	t.Lead = true
	missing := 1.0
	if c != nil {
		f := c.Family(lead.Family)
		if t.Loose = f.Loose.Body+f.Exact.Body > 0; t.Loose {
			missing = half
		}
	}
	t.Gain = b.weighted(rule, lead, missing)
	b.countRivals(&t, sheet.Body)
	b.add(t)
}

// placeOthers asks for every other family once in body or subheads, as many
// as the words allow (rule 9.3).
func (b *builder) placeOthers() {
	if len(b.p.Leads) < 2 {
		return
	}
	rule := RuleOf(Subhead)
	room := b.words.Target/max(1, b.y.WordsPerFamily) - 1
	for _, lead := range b.p.Leads[1:] {
		if room--; room < 0 {
			return
		}
		t := b.target(rule, lead)
		missing := 1.0
		if c := b.p.Client; c != nil {
			f := c.Family(lead.Family)
			if f.Exact.Body+f.Exact.Subheads > 0 {
				continue
			}
			if t.Loose = f.Loose.Body+f.Loose.Subheads > 0; t.Loose {
				missing = half
			}
		}
		t.Gain = b.weighted(rule, lead, missing)
		b.countRivals(&t, sheet.Subheads)
		b.add(t)
	}
}

// countRivals counts the rivals on whose pages the target's family stands
// exactly in the slot.
func (b *builder) countRivals(t *Target, slot sheet.Slot) {
	t.Rivals = len(b.p.Rivals)
	for _, r := range b.p.Rivals {
		if r.Family(t.Family).Exact.In(slot) > 0 {
			t.RivalsHave++
		}
	}
}

// now is what stands in a slot that holds one text.
func (b *builder) now(rule KindRule) string {
	if b.p.Client == nil || rule.now == nil {
		return ""
	}
	return rule.now(b.p.Client.Page)
}

// nameImages asks for better names (rules 4.3, 10.2). The first name that
// carries the first family has that family's weight; so has each further
// family with its own. What carries no family has no rule and shows no gain.
func (b *builder) nameImages() {
	if b.p.Client == nil {
		return
	}
	rule := RuleOf(ImageName)
	pg := b.p.Client.Page
	judge := b.p.Criteria.Judge()
	images := make([]imagename.Image, len(pg.Images))
	taken := map[string]bool{}
	for i, img := range pg.Images {
		images[i] = imagename.Image{Name: img.File, Ext: img.Ext, Heading: img.Heading,
			Verdict: b.p.Client.Verdicts[i], Frame: img.Frame}
		if img.Alt != nil {
			images[i].Alt = *img.Alt
		}
		if taken[img.File+img.Ext] { // the same file once more needs no name of its own
			images[i].Verdict = imagename.NoName
		}
		taken[img.File+img.Ext] = true
	}
	var wishes []string
	for _, l := range b.p.Leads {
		wishes = append(wishes, l.Text)
	}
	for i, name := range judge.Propose(images, append(wishes, b.p.Wishes...), taken) {
		if name == "" {
			continue
		}
		now := pg.Images[i].File + pg.Images[i].Ext
		t := Target{Key: key(rule.Kind, now), Kind: rule.Kind, Image: i, Now: now, Wanted: name, Verdict: images[i].Verdict,
			Minutes: rule.minutes(b.y.Minutes), First: images[i].Verdict == imagename.WrongPlace, Rivals: len(b.p.Rivals)}
		b.creditName(&t, rule)
		for _, r := range b.p.Rivals {
			if r.Carrying() > 0 {
				t.RivalsHave++
			}
		}
		b.add(t)
	}
}

// creditName gives a proposed name the gain of the family that it carries and
// that no image carried yet.
func (b *builder) creditName(t *Target, rule KindRule) {
	slug := strings.TrimSuffix(t.Wanted, t.Now[len(b.p.Client.Page.Images[t.Image].File):])
	for _, lead := range b.p.Leads {
		if imagename.Slug(lead.Text) != slug {
			continue
		}
		t.Family, t.Phrase = lead.Family, lead.Text
		placed := b.p.Client.Family(lead.Family)
		switch {
		case placed.Exact.ImageNames > 0:
		case placed.Loose.ImageNames > 0:
			t.Loose = true
			t.Gain = b.weighted(rule, lead, half)
		default:
			t.Gain = b.weighted(rule, lead, 1)
		}
	}
}

// writeWords asks for the words that are missing (rules 8, 12.1).
func (b *builder) writeWords() {
	if b.words.Hold {
		return
	}
	words := b.words
	t := Target{Key: key(Words, ""), Kind: Words, Image: -1, Words: &words,
		Rivals:  len(b.p.Rivals),
		Gain:    b.totalGain() * b.y.Weights.Words / 100 * float64(words.ToWrite) / float64(words.Target),
		Minutes: float64(words.ToWrite) * b.y.Minutes.HundredWords / 100}
	for _, r := range b.p.Rivals {
		if r.Page.Words.Seen >= words.Guideline.Low {
			t.RivalsHave++
		}
	}
	b.add(t)
}

// newPage asks for a page that is not there yet, with all that it must hold
// inside (rule 12.1).
func (b *builder) newPage() Target {
	words := b.words
	return Target{Key: key(NewPage, ""), Kind: NewPage, Image: -1, Words: &words, Parts: b.out,
		Rivals: len(b.p.Rivals), RivalsHave: len(b.p.Rivals), Choice: Choice{State: Open},
		Gain: b.totalGain(), Minutes: b.y.Minutes.NewPage + float64(words.Target)*b.y.Minutes.HundredWords/100}
}

func (b *builder) totalGain() float64 {
	sum := 0.0
	for _, l := range b.p.Leads {
		sum += l.Gain
	}
	return sum
}

func (b *builder) add(t Target) {
	t.Choice.State = Open
	b.out = append(b.out, t)
}

// key is a target's: its kind, and the family or the file that it is about.
func key(k Kind, of string) string {
	return strings.TrimSuffix(string(k)+": "+strings.ToLower(of), ": ")
}

// Wanted returns the slots in which family i of a page's leads should stand
// exactly: the first in all of its own and the body, as many others as the
// words allow in a subhead (rules 9.2, 9.3).
func (y Rules) Wanted(kind site.Kind, i, words int) []sheet.Slot {
	switch {
	case i == 0:
		return append(FirstSlots(kind), sheet.Body)
	case i <= words/max(1, y.WordsPerFamily)-1:
		return []sheet.Slot{sheet.Subheads}
	}
	return nil
}

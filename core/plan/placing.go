package plan

import (
	"cmp"
	"slices"

	"inktally/core/outline"
	"inktally/core/rate"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/sum"
	"inktally/core/text"
)

// Wanted returns the slots in which family i of a page's families should stand
// exactly: the first in all of its own and the body, as many others as the words
// allow in the body, if no section's heading takes them (rules 9.2, 9.3).
func (y Rules) Wanted(kind site.Kind, i, words int) []sheet.Slot {
	switch {
	case i == 0:
		return append(sheet.FirstSlots(kind.ForOneSubject()), sheet.Body)
	case i < max(1, words/max(1, y.WordsPerFamily)):
		return []sheet.Slot{sheet.Body}
	}
	return nil
}

// half is the share that is missing of what stands there loosely.
const half = 0.5

// missing returns the share of a slot that a family lacks.
func missing(placed sheet.Placement, slot sheet.Slot) float64 {
	switch {
	case placed.Exact.In(slot) > 0:
		return 0
	case placed.Loose.In(slot) > 0:
		return half
	}
	return 1
}

// part begins a part that places a family, worth its weight by what is missing.
func (b *builder) part(rule PartRule, f *Stake, missing ...sum.Step) Part {
	p := Part{Key: partKey(rule.Kind, f.Key), Kind: rule.Kind, Phrase: &Saying{Family: f.Key, Text: f.Text},
		Slot: &Gap{Now: b.now(rule)}, Rivals: HaveIt{Of: len(b.p.Rivals)}}
	p.takes(b.y.each(rule))
	p.weigh(b.y, rule, []Stake{*f}, missing...)
	for _, r := range b.p.Rivals {
		if r.Family(f.Key).Exact.In(rule.Slot) > 0 {
			p.Rivals.Have++
		}
	}
	return p
}

// say makes a part ask for a member instead of the lead.
func (p *Part) say(m Member) {
	p.Phrase = &Saying{Family: p.Phrase.Family, Text: m.Text, Member: true, Searches: m.Searches}
}

// now returns what stands in a slot that holds one text.
func (b *builder) now(rule PartRule) string {
	if !b.p.there() || rule.now == nil {
		return ""
	}
	return rule.now(b.p.Client.Page)
}

// memberSlots are where the further members of a family are to stand, in the order of
// their searches (rule 9.3).
var memberSlots = []sheet.Slot{sheet.Subheads, sheet.Body, sheet.ImageNames, sheet.Alt}

// lacking returns the members that stand nowhere on the page, each with the slot that it is
// for.
func (b *builder) lacking(f *Stake) map[sheet.Slot][]Member {
	out := map[sheet.Slot][]Member{}
	for i, m := range f.Members[:min(len(f.Members), b.room[f.Key])] {
		if stands(b.p.placed(m.Text).Exact) {
			continue
		}
		slot := memberSlots[i%len(memberSlots)]
		switch {
		case f.Key != b.first() && slot != sheet.Subheads,
			slot == sheet.ImageNames && !b.named[f.Key],
			slot == sheet.Alt && b.p.family(f.Key).Exact.Alt > 0:
			slot = sheet.Body
		}
		out[slot] = append(out[slot], m)
	}
	return out
}

// stands reports whether a phrase stands anywhere on a page.
func stands(s sheet.Slots) bool {
	return s.Title+s.Description+s.Address+s.Total+s.ImageNames+s.Alt > 0
}

// placeFirst places the page's first family in page, head and text (rules 9.2, 9.4).
func (b *builder) placeFirst(f *Stake) []Part {
	var out []Part
	placed, planned := b.p.family(f.Key), 0
	slots := []sheet.Slot{sheet.Title, sheet.Description, sheet.Address, sheet.H1, sheet.Opening}
	for _, slot := range slots {
		if !slices.Contains(sheet.FirstSlots(b.p.Kind.ForOneSubject()), slot) {
			continue
		}
		if p, ok := b.placeIn(f, slot); ok {
			out = append(out, p)
			switch {
			case slot == sheet.H1: // it is written anew: what it says more than once goes
				planned += 1 - placed.Exact.H1 - placed.Loose.H1
			case slot == sheet.Opening && missing(placed, slot) == 1:
				planned++ // what stands there loosely is put in other words
			}
		}
	}
	members := b.lacking(f)
	if p, ok := b.subhead(f, missing(placed, sheet.Subheads), members[sheet.Subheads]); ok {
		b.subheads++
		out = append(out, p)
		if !p.Slot.Loose {
			planned++
		}
	}
	inBody, share := b.inBody(f, members[sheet.Body])
	out = append(out, inBody...)
	planned += len(inBody)
	if p, ok := b.bodyCount(f, planned, 1-share); ok {
		out = append(out, p)
		planned += p.Slot.Times
	}
	b.brought = planned
	return out
}

// placeIn asks for the first family in a slot unless it stands there. In the title it
// must start early; if neither title nor h1 hold the lead itself, the h1 is to.
func (b *builder) placeIn(f *Stake, slot sheet.Slot) (Part, bool) {
	placed, rule := b.p.family(f.Key), placing(slot)
	share := missing(placed, slot)
	if share == half && b.besideSmall(f, slot) {
		share = 0
	}
	kept, ok := b.kept(f, slot)
	if !ok {
		return Part{}, false
	}
	late := slot == sheet.Title && share == 0 && b.p.Client.TitlePosition(f.Key) >= b.y.TitleStart
	lead := slot == sheet.H1 && share == 0 && placed.Exact.Title > 0 && b.leadInHead(f) == 0
	lacks := missingIn(share)
	switch {
	case late:
		lacks = missingShare(sum.Late, half)
	case lead:
		lacks = missingShare(sum.OtherMember, half)
	case share == 0:
		return Part{}, false
	}
	p := b.part(rule, f, lacks)
	if slices.Contains([]sheet.Slot{sheet.Title, sheet.H1, sheet.Address}, slot) {
		p.Phrase.Text = b.y.texts(b.p).Modest(f.Text)
	}
	said := p.Says() != f.Text && b.holdsBut(slot, p.Says())
	if p.Slot.Wanted, ok = b.proposal(rule.Kind, p.Says(), kept); !ok || said {
		return Part{}, false
	}
	p.Slot.Loose, p.Slot.Late, p.Slot.Within, p.Slot.Lead = share == half || lead, late, b.y.TitleStart, lead
	if slot == sheet.Address && b.p.there() {
		p.takes(b.y.each(rule), effort(sum.RedirectOld, b.y.Minutes.Fix, "minutes.fix"))
	}
	return p, true
}

// besideSmall reports whether a title or H1 holds a family but for small words: that counts as exact there (rule 9.2).
func (b *builder) besideSmall(f *Stake, slot sheet.Slot) bool {
	return (slot == sheet.Title || slot == sheet.H1) && (b.holdsBut(slot, f.Text) ||
		slices.ContainsFunc(f.Members, func(m Member) bool { return b.holdsBut(slot, m.Text) }))
}

// holdsBut reports whether a slot that holds one text holds a phrase but for small words.
func (b *builder) holdsBut(slot sheet.Slot, phrase string) bool {
	return b.p.Criteria.Language().HoldsBut(b.now(placing(slot)), phrase)
}

// firstPlaces are the positions up to which what a title and an H1 hold stays (rules 9.2, 9.5).
const firstPlaces = 3

// leads reports whether a family stands at the first positions.
func (f *Stake) leads() bool { return f.Position > 0 && f.Position <= firstPlaces }

// kept returns another phrase at the first positions that a title or H1 holds, and that stays in it; it is not ok
// where that is of the family itself (rule 9.2).
func (b *builder) kept(f *Stake, slot sheet.Slot) (phrase string, ok bool) {
	if slot != sheet.Title && slot != sheet.H1 {
		return "", true
	}
	for i := range b.p.Families {
		other := &b.p.Families[i]
		if !other.leads() || missing(b.p.family(other.Key), slot) == 1 {
			continue
		}
		if other.Key == f.Key {
			return "", false
		}
		phrase = cmp.Or(phrase, other.Text)
	}
	return phrase, true
}

func (b *builder) leadInHead(f *Stake) int {
	exact := b.p.placed(f.Text).Exact
	return exact.Title + exact.H1
}

// subhead asks for a family in a subhead, for that of its members that is for one where
// there is such: it is a member of the family as well.
func (b *builder) subhead(f *Stake, share float64, members []Member) (Part, bool) {
	rule := PartRuleOf(Subhead)
	switch {
	case share > 0:
		p := b.part(rule, f, missingIn(share))
		p.Slot.Loose = share == half
		if len(members) > 0 {
			p.say(members[0])
		}
		return p, true
	case len(members) > 0:
		p := b.part(rule, f, missingShare(sum.MemberShare, members[0].Share))
		p.Key = partKey(rule.Kind, members[0].Text)
		p.say(members[0])
		return p, true
	}
	return Part{}, false
}

// inBody asks for members in the text, each worth its share of the slot.
func (b *builder) inBody(f *Stake, members []Member) (out []Part, share float64) {
	rule := PartRuleOf(Body)
	for _, m := range members {
		p := b.part(rule, f, missingShare(sum.MemberShare, m.Share))
		p.Key, p.Slot.Times = partKey(rule.Kind, m.Text), 1
		p.say(m)
		out = append(out, p)
		share += m.Share
	}
	return out, share
}

// bodyCount asks for the first family in the text as often as today's copy allows, the
// lead once at least; planned is how often other parts bring it (rule 9.4). share is what
// its members leave of the slot.
func (b *builder) bodyCount(f *Stake, planned int, share float64) (Part, bool) {
	placed := b.p.family(f.Key)
	_, today := b.counts(f)
	leadMissing := b.p.placed(f.Text).Exact.Body == 0
	times := max(today-placed.InCopy-planned, 0)
	if leadMissing {
		times = max(times, 1)
	}
	if times == 0 {
		return Part{}, false
	}
	lacks := missingShare(sum.AllMissing, 1)
	if placed.InCopy > 0 {
		have := min(placed.InCopy, today)
		lacks = missingShare(sum.TooFew, float64(today-have)/float64(today))
		lacks.Count, lacks.Of = have, today
		if leadMissing && lacks.Value < half {
			lacks = missingShare(sum.OtherMember, half)
		}
	}
	rule := PartRuleOf(Body)
	p := b.part(rule, f, append(lessMembers(share), lacks)...)
	p.Slot.Lead, p.Slot.Loose, p.Slot.Times = leadMissing, placed.InCopy > 0, times
	if times > 1 {
		p.takes(b.y.each(rule), sum.Step{Code: sum.Repeated, Op: sum.Times, Value: float64(times), Count: times,
			Rule: "9.4"})
	}
	return p, true
}

// counts returns how often the first family should stand in the copy of the page, and how
// often by today's words (rule 9.4).
func (b *builder) counts(f *Stake) (all, today int) {
	var rates []float64
	for _, r := range b.p.Rivals {
		if placed := r.Family(f.Key); placed.InCopy > 0 {
			rates = append(rates, placed.Rate(r.Page.Words.Copy))
		}
	}
	often := b.y.Rate.Of(rates, len(text.Tokens(f.Text)))
	all = rate.InAll(often, b.words.Writer)
	if b.p.there() && b.words.ToWrite == 0 {
		return all, all
	}
	copied := b.p.copied()
	if !b.p.there() { // it begins with its lead section
		for _, s := range b.outline {
			if s.Kind == outline.LeadSection {
				copied += s.Words
			}
		}
	}
	return all, rate.InSome(often, copied, all)
}

// placeOther asks for another family once: in the heading of a section of its service that is free, else in the
// text (rule 9.3), and for its members. t is the slice that carries it, nil for none.
func (b *builder) placeOther(f *Stake, t *Target) []Part {
	placed := b.p.family(f.Key)
	share := 1.0
	switch {
	case placed.Exact.Subheads+placed.Exact.Body > 0:
		share = 0
	case placed.Loose.Subheads+placed.Loose.Body > 0:
		share = half
	}
	var out []Part
	members := b.lacking(f)
	headed := share > 0 || len(members[sheet.Subheads]) > 0
	if headed = headed && b.heads(f, t); headed {
		p, _ := b.subhead(f, share, members[sheet.Subheads])
		out = append(out, p)
	} else {
		members[sheet.Body] = append(members[sheet.Subheads], members[sheet.Body]...)
	}
	inBody, taken := b.inBody(f, members[sheet.Body])
	if share > 0 && !headed {
		p := b.part(PartRuleOf(Body), f, append(lessMembers(1-taken), missingIn(share))...)
		p.Slot.Loose, p.Slot.Times = share == half, 1
		out = append(out, p)
	}
	return append(out, inBody...)
}

// heads reports whether a family gets the heading of the section of a slice, and takes it: where the section is of
// its service, has no phrase yet, and the page has room for one more subhead.
func (b *builder) heads(f *Stake, t *Target) bool {
	if t == nil || t.Section.Kind != outline.ServiceText || t.Section.Subject != f.Service || b.headed[t.Section.Key] ||
		b.subheads >= max(1, b.words.Target/wordsPerSubhead) {
		return false
	}
	b.headed[t.Section.Key] = true
	b.subheads++
	return true
}

// wordsPerSubhead is how many words of a page's target a subhead needs (rule 9.3).
const wordsPerSubhead = 120

// cutBack asks to say a family less often than its keyword density allows (rule 9.5); as
// often as its slots ask for is never too much.
func (b *builder) cutBack() {
	if !b.p.there() || b.p.copied() == 0 {
		return
	}
	var parts []Part
	for i := range b.p.Families {
		f := &b.p.Families[i]
		tokens := len(text.Tokens(f.Text))
		placed := b.p.family(f.Key)
		if tokens == 0 || f.leads() || placed.Density(tokens, b.p.copied()) <= b.y.Rate.Density {
			continue
		}
		least := 2
		if i == 0 {
			all, _ := b.counts(f)
			least = max(4, all)
		}
		to := max(least, b.y.Rate.Allowed(b.p.copied(), tokens))
		if placed.InCopy > to {
			part := Part{Key: partKey("cut_back", f.Key), Kind: Repair, Limit: &Limit{placed.InCopy, to},
				Phrase: &Saying{Family: f.Key, Text: f.Text}}
			over := placed.InCopy - to
			part.takes(effort(sum.Each, b.y.Minutes.CutBack, "minutes.cut_back"),
				sum.Step{Code: sum.Repeated, Op: sum.Times, Value: float64(over), Count: over, Rule: "9.5"})
			parts = append(parts, part)
		}
	}
	if len(parts) > 0 {
		b.add(Target{Key: string(CutBack), Kind: CutBack, Parts: parts})
	}
}

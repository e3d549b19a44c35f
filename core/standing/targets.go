package standing

import (
	"cmp"
	"slices"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"
)

// Kind is a kind of target of the standing.
type Kind string

// The kinds.
const (
	Claim   Kind = "claim"   // make or claim the map profile
	Correct Kind = "correct" // a listing that differs
	Fill    Kind = "fill"    // fields of the map profile
	List    Kind = "list"    // directories to be listed in
	Ask     Kind = "ask"     // for reviews
	Post    Kind = "post"    // on the map profile
	Link    Kind = "link"    // domains to ask for a link
	Doubt   Kind = "doubt"   // links of one's own to look at
)

// Kinds returns all of them.
func Kinds() []Kind { return []Kind{Claim, Correct, Fill, List, Ask, Post, Link, Doubt} }

// State is what was said of a part.
type State string

// The states. Done is one that the user ticked.
const (
	Open    State = "open"
	Done    State = "done"
	Dropped State = "dropped"
)

// States returns all of them.
func States() []State { return []State{Open, Done, Dropped} }

// Part is one piece of a target: a directory, a field, a domain.
type Part struct {
	// Key is what it is known by, with the kind of its target: the directory, the field, the domain.
	Key   string
	State State
	// Gain is in visits a month, Minutes is what it takes.
	Gain, Minutes float64
	// Fits reports whether it is above the cut line.
	Fits bool
}

// Target is work of one kind, with its parts in the order in which they are done.
type Target struct {
	Kind  Kind
	Parts []Part
	// Gain and Minutes are those of its open parts.
	Gain, Minutes float64
	// More is how many are wanted beyond the parts: directories that nobody has named yet.
	More int
}

// Rules are what things take and bring (rules 12.3, 13.5, Y).
type Rules struct {
	Minutes Minutes
	Shares  Shares
	// Hours is how much of the hours that are given is the standing's.
	Hours float64
}

// Minutes are what the pieces take.
type Minutes struct{ Listing, Correction, Field, Review, Claim, Post, Doubt float64 }

// Shares are what part of the map pack's visits listings, reviews and profile bring, in percent.
type Shares struct{ Listings, Reviews, Profile float64 }

// Sum returns what they come to, at most 100.
func (s Shares) Sum() float64 { return s.Listings + s.Reviews + s.Profile }

// StandardRules returns those that everybody starts with.
func StandardRules() Rules {
	return Rules{Minutes: Minutes{Listing: 20, Correction: 5, Field: 5, Review: 5, Claim: 20, Post: 5, Doubt: 5},
		Shares: Shares{Listings: 40, Reviews: 30, Profile: 30}, Hours: .25}
}

// Known is what the targets are made from.
type Known struct {
	// Pack is what the map pack would bring at the place aimed at, less what it brings now, in visits a month.
	Pack float64
	// Grid is directory by business, nil if no listings are known; Listings is how many are wanted.
	Grid     *listing.Grid
	Listings Wanted
	// Profile are the facts of the client's profile, empty if nothing is known of it. PostDue reports whether a post
	// is due.
	Profile []mapprofile.Item
	PostDue bool
	// Reviews are those that are wanted.
	Reviews mapprofile.ReviewTarget
	// Links are the domains to ask, with what is wanted; nil if no links are known.
	Links  *backlink.Judged
	Wanted Wanted
	// Said is what was said of parts, by kind and key.
	Said map[Ref]State
}

// Ref names a part.
type Ref struct {
	Kind Kind
	Key  string
}

// Targets returns the targets of the standing in their order (rule 13.5): first fixes and corrections, then what
// brings most for its time, then links in their order. minutes is the time given, negative for no limit.
func (r Rules) Targets(k Known, minutes float64) []Target {
	var fixes, work []Target
	fixes = append(fixes, r.claim(k), r.corrections(k))
	work = append(work, r.fill(k), r.list(k), r.ask(k), r.post(k))
	slices.SortStableFunc(work, func(a, b Target) int { return cmp.Compare(b.perHour(), a.perHour()) })
	all := slices.Concat(fixes, work, []Target{r.doubts(k), r.links(k)})
	if k.Wanted.Missing > 0 { // the doubtful ones come first only where the client leads
		last := len(all) - 1
		all[last], all[last-1] = all[last-1], all[last]
	}
	var out []Target
	for _, t := range all {
		if len(t.Parts) == 0 && t.More == 0 {
			continue
		}
		t.say(k.Said)
		out = append(out, t)
	}
	return cut(out, minutes)
}

// say puts what was said of the parts, and sums up those that are open.
func (t *Target) say(said map[Ref]State) {
	for i := range t.Parts {
		p := &t.Parts[i]
		if p.State = said[Ref{t.Kind, p.Key}]; p.State == "" {
			p.State = Open
		}
		if p.State == Open {
			t.Gain += p.Gain
			t.Minutes += p.Minutes
		}
	}
}

// perHour is what a target brings for an hour.
func (t *Target) perHour() float64 {
	gain, minutes := 0.0, 0.0
	for _, p := range t.Parts {
		gain += p.Gain
		minutes += p.Minutes
	}
	if minutes == 0 {
		return 0
	}
	return gain / minutes * 60
}

// cut draws the cut line: what does not fit any more is skipped and the next tried.
func cut(list []Target, minutes float64) []Target {
	for i := range list {
		for j := range list[i].Parts {
			p := &list[i].Parts[j]
			if p.State != Open {
				continue
			}
			if minutes < 0 {
				p.Fits = true
			} else if p.Minutes <= minutes {
				p.Fits = true
				minutes -= p.Minutes
			}
		}
	}
	return list
}

// claim asks for a profile, or for it to be claimed.
func (r Rules) claim(k Known) Target {
	t := Target{Kind: Claim}
	for _, i := range k.Profile {
		if (i.Field == mapprofile.There || i.Field == mapprofile.Claimed) && i.State == mapprofile.Blank {
			t.Parts = append(t.Parts, Part{Key: string(i.Field), Minutes: r.Minutes.Claim})
		}
	}
	return t
}

// corrections ask for listings that differ, a directory each.
func (r Rules) corrections(k Known) Target {
	t := Target{Kind: Correct}
	if k.Grid == nil {
		return t
	}
	for _, row := range k.Grid.Listed {
		if listing.Different(row.Checks) {
			t.Parts = append(t.Parts, Part{Key: row.Key, Minutes: r.Minutes.Correction})
		}
	}
	return t
}

// fill asks for the fields of the profile that are blank or wrong.
func (r Rules) fill(k Known) Target {
	t := Target{Kind: Fill}
	_, known := mapprofile.Count(k.Profile)
	for _, i := range k.Profile {
		if i.Field != mapprofile.There && i.Field != mapprofile.Claimed && (i.State == mapprofile.Blank ||
			i.State == mapprofile.Wrong) {
			part := Part{Key: string(i.Field), Minutes: r.Minutes.Field}
			if i.Field != mapprofile.PhotoNames { // the profile is filled in without them
				part.Gain = k.Pack * r.Shares.Profile / 100 / float64(known)
			}
			t.Parts = append(t.Parts, part)
		}
	}
	return t
}

// list asks for directories that list a rival and not the client, as many as are wanted. One that holds a high place
// of a search is asked for in the plan already (rule 11).
func (r Rules) list(k Known) Target {
	t := Target{Kind: List, More: k.Listings.Missing}
	if k.Listings.Target == 0 {
		return t
	}
	each := k.Pack * r.Shares.Listings / 100 / float64(k.Listings.Target)
	if k.Grid != nil {
		for _, row := range k.Grid.Missing {
			if t.More == 0 { // beyond what is wanted they bring nothing that is known
				break
			}
			t.More--
			if row.Position == 0 {
				t.Parts = append(t.Parts, Part{Key: row.Key, Minutes: r.Minutes.Listing, Gain: each})
			}
		}
	}
	return t
}

// ask asks for reviews.
func (r Rules) ask(k Known) Target {
	t := Target{Kind: Ask}
	if n := k.Reviews.Missing; n > 0 {
		t.Parts = []Part{{Key: "reviews", Minutes: float64(n) * r.Minutes.Review,
			Gain: k.Pack * r.Shares.Reviews / 100 * float64(n) / float64(k.Reviews.First)}}
	}
	return t
}

func (r Rules) post(k Known) Target {
	t := Target{Kind: Post}
	if k.PostDue {
		t.Parts = []Part{{Key: "post", Minutes: r.Minutes.Post}}
	}
	return t
}

// links ask for links, in the order of core/backlink, as many as are missing where that is known.
func (r Rules) links(k Known) Target {
	t := Target{Kind: Link}
	if k.Links == nil || k.Wanted.Leads {
		return t
	}
	for _, d := range k.Links.Ask {
		if k.Wanted.Known && k.Wanted.Target > 0 && len(t.Parts) == k.Wanted.Missing {
			break
		}
		t.Parts = append(t.Parts, Part{Key: d.Name, Minutes: d.Minutes})
	}
	t.More = max(0, k.Wanted.Missing-len(t.Parts))
	return t
}

// doubts ask for a look at the doubtful links that the client has itself.
func (r Rules) doubts(k Known) Target {
	t := Target{Kind: Doubt}
	if k.Links == nil {
		return t
	}
	for _, d := range k.Links.OwnDoubtful {
		t.Parts = append(t.Parts, Part{Key: d.Name, Minutes: r.Minutes.Doubt})
	}
	return t
}

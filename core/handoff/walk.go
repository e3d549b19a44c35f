package handoff

import (
	"cmp"
	"slices"

	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/sheet"
)

// StepKind names a step of the walk-through.
type StepKind string

// The steps, in the order of telling (rule 16.1).
const (
	Advantages StepKind = "advantages"
	WordsStep  StepKind = "words"
	PhraseStep StepKind = "phrase"
	ImagesStep StepKind = "images"
	SearchStep StepKind = "search"
	RivalStep  StepKind = "rival"
	PagesStep  StepKind = "pages"
	Listed     StepKind = "standing" // listings and reviews
	LinksStep  StepKind = "links"
	VisitsStep StepKind = "visits"
	WorthStep  StepKind = "worth"
	RecapStep  StepKind = "recap"
	NextStep   StepKind = "next"
)

// StepKinds returns all of them, in the order of telling.
func StepKinds() []StepKind {
	return []StepKind{Advantages, WordsStep, PhraseStep, ImagesStep, SearchStep, RivalStep, PagesStep, Listed,
		LinksStep, VisitsStep, WorthStep, RecapStep, NextStep}
}

// Walk is what is told to an owner: facts as they were measured, nil for what nothing is known of. What has nothing to
// say is left out of its Steps.
type Walk struct {
	Client     string
	Advantages []Advantage
	Words      *WordsTold
	Phrase     *PhraseTold
	Images     *ImagesTold
	Search     *SearchTold
	Rival      *RivalTold
	Pages      *PagesTold
	// Reviews and Listings are those of the client and of the best rival.
	Reviews, Listings, Links *Compared
	Visits                   *VisitsTold
	Worth                    *WorthTold
	Recap                    []Imperative
	// Beside is the work on links, listings and map profile, and BesideGain what it may bring from the map (rule 13.5).
	Beside     []BesideJob
	BesideGain float64
	Next       NextTold
}

// Advantage is a front in which the client leads all rivals, or a detail that an owner can see and no rival has.
type Advantage struct {
	Front ladder.Front // empty for a detail
	// Own is the client's figure, Best the best rival's.
	Own, Best float64
	Detail    Detail
}

// Detail is something of a page that an owner can see.
type Detail string

// The details that may be an advantage.
const (
	Calls       Detail = "calls"        // the phone number can be pressed
	HasForm     Detail = "form"         // a form to ask with
	HasVideo    Detail = "video"        // a video
	HasMap      Detail = "map"          // a map
	Testimonial Detail = "testimonials" // customers' words
	YearsInIt   Detail = "years"        // how long the firm is in trade
)

// Details returns all of them.
func Details() []Detail { return []Detail{Testimonial, YearsInIt, Calls, HasForm, HasVideo, HasMap} }

// WordsTold is how many words there are, how many a rival has and how many are wanted.
type WordsTold struct {
	Own, Target, ToWrite, Enough int // Enough is where the guideline starts
	// Best is the strongest comparable page, nil where there is none.
	Best *Firm
	// There reports whether the client has the page; Hold whether it has enough words.
	There, Hold bool
}

// Firm is a rival with a figure.
type Firm struct {
	Name   string
	Entry  int64 // of the lineup
	Figure int
	ladder.Places
}

// PhraseTold is where the first phrase stands, on the client's page and on that of the rival that has it most.
type PhraseTold struct {
	Phrase string
	// Searches are those a month, nil if they are not known or not the town's.
	Searches *int
	Own      Stands
	Rival    *Stands
	// Missing are the places where the plan wants it.
	Missing []sheet.Slot
	There   bool
}

// Stands is where a phrase stands on a page.
type Stands struct {
	Name  string
	Entry int64
	// Found is how often find-in-page finds it; Slots are the places that have it.
	Found int
	Slots []sheet.Slot
}

// ImagesTold is what image files are called.
type ImagesTold struct {
	// Named are the images of the client's page of which the name says what they show.
	Named int
	// Names are those to change, with the better name.
	Names []Renamed
	// Rival has the most named images, with one of their names; nil for none.
	Rival   *Firm
	Example string
}

// Renamed is a file name and the better one.
type Renamed struct{ Now, Better string }

// SearchTold is a recorded search, from the top.
type SearchTold struct {
	Phrase, Place string
	// Ads is how many results are paid for.
	Ads          int
	Map, Organic []Result
	// Own is where the client stands; Looked and MapLooked how far the lists were looked at.
	Own               ladder.Places
	Looked, MapLooked int
	// Free are organic positions that no actual business holds (rule 6.4).
	Free []int
}

// Result is an entry of a search.
type Result struct {
	Position int
	Name     string
	Own      bool
	Kind     lineup.Kind
	// Rival reports whether it is measured.
	Rival bool
}

// RivalTold is one rival whole: that which stands above the client with most visits, else the highest.
type RivalTold struct {
	Firm
	Steps  []ladder.Step
	Reason ladder.Reason
	// Places are how many the first phrase can have.
	Places int
}

// PagesTold is the pages for services and towns.
type PagesTold struct {
	Own  int
	Best *Firm
	// Make are the names of the pages to make, most gain first.
	Make []string
}

// Compared is a figure of the client and of the best rival.
type Compared struct {
	Own  int
	Best Firm
}

// VisitsTold is what searches bring a month: estimates.
type VisitsTold struct {
	Now, Aimed float64
	// Best is the rival that gets most, BestVisits what it gets.
	Best       *Firm
	BestVisits float64
	// Soon and Late are the months that it takes, from the easiest to the hardest of the phrases to win.
	Soon, Late float64
}

// WorthTold is what the visits at the aimed positions are worth a month, beyond those of now.
type WorthTold struct {
	Customers   float64
	Least, Most float64 // money, 0 where no job's worth is known
	Money       string
}

// Imperative is a line of the recap, as the plan words it.
type Imperative struct {
	Says string
	// Front is what it is about, the first of them where there are two.
	Front plan.Front
}

// NextTold is what is done next.
type NextTold struct {
	Hours float64
	// Fit are the targets that fit into them, First the first of these that brings visits.
	Fit   int
	First string
	// Open are all targets that are open.
	Open int
}

// Steps returns the steps that have something to tell, in the order of telling: none without figures, and none where
// the client leads and nothing is to be done (rule 16.1).
func (w *Walk) Steps() (out []StepKind) {
	for _, s := range []struct {
		kind  StepKind
		tells bool
	}{
		{Advantages, len(w.Advantages) > 0},
		{WordsStep, w.Words != nil && !w.Words.Hold && w.Words.ToWrite > 0},
		{PhraseStep, w.Phrase != nil && len(w.Phrase.Missing) > 0},
		{ImagesStep, w.Images != nil && len(w.Images.Names) > 0},
		{SearchStep, w.Search != nil && len(w.Search.Map)+len(w.Search.Organic) > 0},
		{RivalStep, w.Rival != nil},
		{PagesStep, w.Pages != nil && len(w.Pages.Make) > 0},
		{Listed, behind(w.Reviews) || behind(w.Listings)},
		{LinksStep, behind(w.Links)},
		{VisitsStep, w.Visits != nil && w.Visits.Aimed > w.Visits.Now},
		{WorthStep, w.Worth != nil && w.Worth.Customers > 0},
		{RecapStep, len(w.Recap) > 0},
		{NextStep, true},
	} {
		if s.tells {
			out = append(out, s.kind)
		}
	}
	return out
}

func behind(c *Compared) bool { return c != nil && c.Own < c.Best.Figure }

// Best returns up to two advantages, those in which the client is furthest ahead first; a detail comes last (rule
// 16.1).
func Best(list []Advantage) []Advantage {
	ratio := func(a Advantage) float64 {
		switch {
		case a.Front == "":
			return 0
		case a.Best == 0:
			return 1e9
		}
		return a.Own / a.Best
	}
	out := slices.Clone(list)
	slices.SortStableFunc(out, func(a, b Advantage) int { return cmp.Compare(ratio(b), ratio(a)) })
	return out[:min(len(out), 2)]
}

// Leading returns the fronts in which the client is ahead of every rival of which the figure is known.
func Leading(rungs [][]ladder.Step) (out []Advantage) {
	for _, f := range ladder.Explaining() {
		a, known := Advantage{Front: f}, 0
		for _, steps := range rungs {
			for _, s := range steps {
				if s.Front == f && s.Leader != ladder.Unknown {
					known++
					a.Own, a.Best = s.Own, max(a.Best, s.Theirs)
				}
			}
		}
		if known > 0 && a.Own > a.Best {
			out = append(out, a)
		}
	}
	return out
}

// Standing is a rival as it is chosen from: where it stands, whether above the client, and what it gets.
type Standing struct {
	ladder.Places
	Above  bool
	Visits float64
}

// Whole returns the index of the rival that is told whole: of those above the client the one with most visits, else the
// highest in the organic results; -1 for none (rule 16.1).
func Whole(list []Standing) int {
	best := -1
	for i, s := range list {
		if s.Above && s.Visits > 0 && (best < 0 || s.Visits > list[best].Visits) {
			best = i
		}
	}
	if best >= 0 {
		return best
	}
	for i, s := range list {
		if s.Organic > 0 && (best < 0 || s.Organic < list[best].Organic) {
			best = i
		}
	}
	if best < 0 {
		best = slices.IndexFunc(list, func(s Standing) bool { return s.Above })
	}
	return best
}

package handoff

import "inktally/core/ladder"

// FigureOf names a figure of a step.
type FigureOf string

// The figures.
const (
	OwnWords    FigureOf = "own_words"
	BestWords   FigureOf = "best_words"
	WantedWords FigureOf = "wanted_words"
	OwnPhrase   FigureOf = "own_phrase"
	BestPhrase  FigureOf = "best_phrase"
	Searches    FigureOf = "searches"
	OwnImages   FigureOf = "own_images"
	BestImages  FigureOf = "best_images"
	NewNames    FigureOf = "new_names"
	OwnOrganic  FigureOf = "own_organic"
	OwnMap      FigureOf = "own_map"
	FreePlaces  FigureOf = "free_places"
	OwnFront    FigureOf = "own_front"
	BestFront   FigureOf = "best_front"
	OwnPages    FigureOf = "own_pages"
	BestPages   FigureOf = "best_pages"
	NewPages    FigureOf = "new_pages"
	OwnVisits   FigureOf = "own_visits"
	BestVisits  FigureOf = "best_visits"
	AimedVisits FigureOf = "aimed_visits"
	Customers   FigureOf = "customers"
	LeastMoney  FigureOf = "least_money"
	MostMoney   FigureOf = "most_money"
	PlanHours   FigureOf = "hours"
	PlanFit     FigureOf = "fit"
	PlanOpen    FigureOf = "open"
)

// Proof is where a figure is proved: the view that shows what it counted.
type Proof string

// The proofs.
const (
	InSheet    Proof = "sheet"  // of a page: its words
	InPhrases  Proof = "phrase" // of a page: where the phrase stands
	InImages   Proof = "images" // of a page: its image names
	InLineup   Proof = "lineup"
	InLadder   Proof = "ladder"
	InSite     Proof = "overview"
	InFound    Proof = "found"
	InTargets  Proof = "targets"
	InStanding Proof = "standing" // figures from elsewhere, below the lineup
)

// Proofs returns all of them.
func Proofs() []Proof {
	return []Proof{InSheet, InPhrases, InImages, InLineup, InLadder, InSite, InFound, InTargets, InStanding}
}

// Figure is a figure of a step with what proves it.
type Figure struct {
	Of    FigureOf
	Value float64
	// Pencil reports whether it is wanted, and not there yet.
	Pencil bool
	// Proof is where it is shown; Entry is the lineup's entry of the rival that it is of, 0 for the client.
	Proof Proof
	Entry int64
	// Front is the front that it is of, empty for none.
	Front ladder.Front
}

// mostFigures bounds the figures of a step (rule 16.3).
const mostFigures = 3

// Figures returns up to three figures of a step, the most telling first.
func (w *Walk) Figures(kind StepKind) []Figure {
	var out []Figure
	ink := func(of FigureOf, value float64, proof Proof, entry int64) {
		out = append(out, Figure{Of: of, Value: value, Proof: proof, Entry: entry})
	}
	pencil := func(of FigureOf, value float64, proof Proof) {
		out = append(out, Figure{Of: of, Value: value, Proof: proof, Pencil: true})
	}
	whole := func(of FigureOf, n int, proof Proof, entry int64) { ink(of, float64(n), proof, entry) }
	front := func(f ladder.Front, own, theirs float64, proof Proof, entry int64) {
		out = append(out, Figure{Of: OwnFront, Value: own, Proof: proof, Front: f},
			Figure{Of: BestFront, Value: theirs, Proof: proof, Entry: entry, Front: f})
	}
	switch kind {
	case Advantages:
		for _, a := range w.Advantages[:min(len(w.Advantages), 1)] {
			if a.Front != "" {
				front(a.Front, a.Own, a.Best, InLadder, 0)
			}
		}
	case WordsStep:
		if w.Words.There {
			whole(OwnWords, w.Words.Own, InSheet, 0)
		}
		if b := w.Words.Best; b != nil {
			whole(BestWords, b.Figure, InSheet, b.Entry)
		}
		pencil(WantedWords, float64(w.Words.Target), InTargets)
	case PhraseStep:
		if w.Phrase.There {
			whole(OwnPhrase, w.Phrase.Own.Found, InPhrases, 0)
		}
		if r := w.Phrase.Rival; r != nil {
			whole(BestPhrase, r.Found, InPhrases, r.Entry)
		}
		if n := w.Phrase.Searches; n != nil {
			whole(Searches, *n, InFound, 0)
		}
	case ImagesStep:
		whole(OwnImages, w.Images.Named, InImages, 0)
		if r := w.Images.Rival; r != nil {
			whole(BestImages, r.Figure, InImages, r.Entry)
		}
		pencil(NewNames, float64(len(w.Images.Names)), InTargets)
	case SearchStep:
		whole(OwnOrganic, w.Search.Own.Organic, InLineup, 0)
		whole(OwnMap, w.Search.Own.Map, InLineup, 0)
		if n := len(w.Search.Free); n > 0 {
			pencil(FreePlaces, float64(n), InLineup)
		}
	case RivalStep:
		if len(w.Rival.Reason.Leads) > 0 {
			s := w.Rival.Reason.Leads[0]
			front(s.Front, s.Own, s.Theirs, InLadder, w.Rival.Entry)
		}
	case PagesStep:
		whole(OwnPages, w.Pages.Own, InSite, 0)
		if b := w.Pages.Best; b != nil {
			whole(BestPages, b.Figure, InSite, b.Entry)
		}
		pencil(NewPages, float64(len(w.Pages.Make)), InTargets)
	case Listed:
		f, c := ladder.Reviews, w.Reviews
		if !behind(c) {
			f, c = ladder.Listings, w.Listings
		}
		front(f, float64(c.Own), float64(c.Best.Figure), InStanding, c.Best.Entry)
	case LinksStep:
		front(ladder.Links, float64(w.Links.Own), float64(w.Links.Best.Figure), InStanding, w.Links.Best.Entry)
	case VisitsStep:
		ink(OwnVisits, w.Visits.Now, InFound, 0)
		if w.Visits.Best != nil {
			ink(BestVisits, w.Visits.BestVisits, InFound, 0)
		}
		pencil(AimedVisits, w.Visits.Aimed, InFound)
	case WorthStep:
		pencil(Customers, w.Worth.Customers, InFound)
		if w.Worth.Most > 0 {
			pencil(LeastMoney, w.Worth.Least, InFound)
			pencil(MostMoney, w.Worth.Most, InFound)
		}
	case NextStep:
		if w.Next.Open > 0 {
			ink(PlanHours, w.Next.Hours, InTargets, 0)
			whole(PlanFit, w.Next.Fit, InTargets, 0)
			whole(PlanOpen, w.Next.Open, InTargets, 0)
		}
	}
	return out[:min(len(out), mostFigures)]
}

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
	InStanding Proof = "standing" // figures from elsewhere, the ground's last leaf
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
	of := map[StepKind]func() []Figure{
		Advantages: w.advantageFigures, WordsStep: w.wordFigures, PhraseStep: w.phraseFigures,
		ImagesStep: w.imageFigures, SearchStep: w.searchFigures, RivalStep: w.rivalFigures, PagesStep: w.pageFigures,
		Listed: w.listedFigures, VisitsStep: w.visitFigures, WorthStep: w.worthFigures, NextStep: w.nextFigures,
		LinksStep: func() []Figure { return compared(ladder.Links, w.Links) },
	}[kind]
	if of == nil {
		return nil
	}
	list := of()
	return list[:min(len(list), mostFigures)]
}

// ink returns a figure that was measured, pencil one that is wanted.
func ink(of FigureOf, value float64, proof Proof, entry int64) Figure {
	return Figure{Of: of, Value: value, Proof: proof, Entry: entry}
}

func pencil(of FigureOf, value float64, proof Proof) Figure {
	return Figure{Of: of, Value: value, Proof: proof, Pencil: true}
}

func count(of FigureOf, n int, proof Proof, entry int64) Figure {
	return ink(of, float64(n), proof, entry)
}

// front returns a front of the client and of a rival.
func front(f ladder.Front, own, theirs float64, proof Proof, entry int64) []Figure {
	return []Figure{{Of: OwnFront, Value: own, Proof: proof, Front: f},
		{Of: BestFront, Value: theirs, Proof: proof, Entry: entry, Front: f}}
}

func compared(f ladder.Front, c *Compared) []Figure {
	return front(f, float64(c.Own), float64(c.Best.Figure), InStanding, c.Best.Entry)
}

func (w *Walk) advantageFigures() []Figure {
	if a := w.Advantages[0]; a.Front != "" {
		return front(a.Front, a.Own, a.Best, InLadder, 0)
	}
	return nil
}

func (w *Walk) wordFigures() (out []Figure) {
	if w.Words.There {
		out = append(out, count(OwnWords, w.Words.Own, InSheet, 0))
	}
	if b := w.Words.Best; b != nil {
		out = append(out, count(BestWords, b.Figure, InSheet, b.Entry))
	}
	return append(out, pencil(WantedWords, float64(w.Words.Target), InTargets))
}

func (w *Walk) phraseFigures() (out []Figure) {
	if w.Phrase.There {
		out = append(out, count(OwnPhrase, w.Phrase.Own.Found, InPhrases, 0))
	}
	if r := w.Phrase.Rival; r != nil {
		out = append(out, count(BestPhrase, r.Found, InPhrases, r.Entry))
	}
	if n := w.Phrase.Searches; n != nil {
		out = append(out, count(Searches, *n, InFound, 0))
	}
	return out
}

func (w *Walk) imageFigures() []Figure {
	out := []Figure{count(OwnImages, w.Images.Named, InImages, 0)}
	if r := w.Images.Rival; r != nil {
		out = append(out, count(BestImages, r.Figure, InImages, r.Entry))
	}
	return append(out, pencil(NewNames, float64(len(w.Images.Names)), InTargets))
}

func (w *Walk) searchFigures() []Figure {
	out := []Figure{count(OwnOrganic, w.Search.Own.Organic, InLineup, 0), count(OwnMap, w.Search.Own.Map, InLineup, 0)}
	if n := len(w.Search.Free); n > 0 {
		out = append(out, pencil(FreePlaces, float64(n), InLineup))
	}
	return out
}

func (w *Walk) rivalFigures() []Figure {
	if len(w.Rival.Reason.Leads) == 0 {
		return nil
	}
	s := w.Rival.Reason.Leads[0]
	return front(s.Front, s.Own, s.Theirs, InLadder, w.Rival.Entry)
}

func (w *Walk) pageFigures() []Figure {
	out := []Figure{count(OwnPages, w.Pages.Own, InSite, 0)}
	if b := w.Pages.Best; b != nil {
		out = append(out, count(BestPages, b.Figure, InSite, b.Entry))
	}
	return append(out, pencil(NewPages, float64(len(w.Pages.Make)), InTargets))
}

func (w *Walk) listedFigures() []Figure {
	if behind(w.Reviews) {
		return compared(ladder.Reviews, w.Reviews)
	}
	return compared(ladder.Listings, w.Listings)
}

func (w *Walk) visitFigures() []Figure {
	out := []Figure{ink(OwnVisits, w.Visits.Now, InFound, 0)}
	if w.Visits.Best != nil {
		out = append(out, ink(BestVisits, w.Visits.BestVisits, InFound, 0))
	}
	return append(out, pencil(AimedVisits, w.Visits.Aimed, InFound))
}

func (w *Walk) worthFigures() []Figure {
	out := []Figure{pencil(Customers, w.Worth.Customers, InFound)}
	if w.Worth.Most > 0 {
		out = append(out, pencil(LeastMoney, w.Worth.Least, InFound), pencil(MostMoney, w.Worth.Most, InFound))
	}
	return out
}

func (w *Walk) nextFigures() []Figure {
	if w.Next.Open == 0 {
		return nil
	}
	return []Figure{ink(PlanHours, w.Next.Hours, InTargets, 0), count(PlanFit, w.Next.Fit, InTargets, 0),
		count(PlanOpen, w.Next.Open, InTargets, 0)}
}
